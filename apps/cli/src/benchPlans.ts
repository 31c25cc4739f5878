/** `ostrin bench --plans`: plans against rules of thumb and against no plan, in the same simulated pits. */
import { measure, type Measured, type Row } from '../../../checks/plans/table';

const ratio = (a: number, b: number): number => Number((a / b).toFixed(2));

/** What is asked of plans, with what was measured. */
function askedOf({ all, families }: Measured) {
  const steady = Object.entries(families).filter(([, f]) => f.rules.rmsK < 3);
  return {
    rmsAgainstRules: { asked: 'at most 0.5', got: ratio(all.plan.rmsK, all.rules.rmsK) },
    outOfBandAgainstRules: {
      asked: 'at most 0.5',
      got: ratio(all.plan.outOfBandMinPerCook, all.rules.outOfBandMinPerCook),
    },
    familiesWorseWhereRulesHold: {
      asked: 'none',
      got: steady.filter(([, f]) => f.plan.rmsK > f.rules.rmsK).map(([name]) => name),
    },
    loadedOverNeeded: { asked: '1.05 to 1.30', got: all.plan.loadedOverNeeded },
    ranOut: { asked: 'at most 2 of 60', got: all.plan.ranOut },
    readyInWindow: {
      asked: 'at least 0.85',
      got: all.plan.inWindowFraction,
      rules: all.rules.inWindowFraction,
    },
  };
}

/** Runs the sixty. `told` hears of every case. */
export function benchPlans(told?: (row: Row) => void) {
  const measured = measure(told);
  return { ...measured, asked: askedOf(measured) };
}

/** The same pit, solved by a solver of high accuracy instead of the stepper. */
import {
  applyAction,
  createCook,
  igniteReachedWood,
  removeSpentParcels,
  type Scenario,
  stepThermostatFan,
  weatherAt,
} from '@ostrin/core/internals';
import { packPit, pitDerivative, unpackPit } from './derivative';

/** The part of the solver's package used here; its own types do not pass strict checking. */
interface Odex {
  Solver: new (size: number) => {
    relativeTolerance: number;
    absoluteTolerance: number;
    initialStepSize: number;
    solve(
      f: (x: number, y: number[]) => number[],
      from: number,
      y: number[],
      to: number,
    ): { y: number[] };
  };
}
const { Solver } = jest.requireActual<Odex>('odex');

/** Probe temperature, C, at every whole minute. Fans are turned once a second, as a fine stepper would. */
export function referencePitC(scenario: Scenario): number[] {
  const cook = createCook(scenario);
  const pit = cook.pit!;
  const out: number[] = [pit.probeK - 273.15];
  const actions = [...scenario.actions].sort((a, b) => a.atMin - b.atMin);
  let now = 0;
  const end = scenario.untilMin * 60;
  while (now < end - 1e-6) {
    while (actions.length > 0 && actions[0]!.atMin * 60 <= now + 1e-6)
      applyAction(cook, actions.shift()!);
    cook.timeS = now;
    if (pit.lidOpen && now >= cook.lidUntilS - 1e-6) pit.lidOpen = false;
    igniteReachedWood(pit);
    removeSpentParcels(pit);
    let next = Math.min(Math.floor(now / 60 + 1e-6) * 60 + 60, end);
    if (pit.lidOpen) next = Math.min(next, cook.lidUntilS);
    if (actions.length > 0) next = Math.min(next, actions[0]!.atMin * 60);
    const waiting = pit.parcels.some((p) => !p.caught);
    const stride = cook.fan ? 2 : waiting ? 5 : next - now;
    while (now < next - 1e-6) {
      const to = Math.min(now + stride, next);
      if (cook.fan) stepThermostatFan(cook.fan, pit, to - now);
      igniteReachedWood(pit);
      solve(cook, now, to);
      now = to;
    }
    if (Math.abs(now / 60 - Math.round(now / 60)) < 1e-9) out.push(pit.probeK - 273.15);
    cook.timeS = now;
  }
  return out;
}

function solve(cook: ReturnType<typeof createCook>, from: number, to: number): void {
  const pit = cook.pit!;
  const w = weatherAt(cook.scenario.weather, from / 60);
  const y = packPit(pit);
  const solver = new Solver(y.length);
  solver.relativeTolerance = 1e-5;
  solver.absoluteTolerance = 1e-6;
  solver.initialStepSize = 0.5;
  const done = solver.solve((_x, v) => pitDerivative(pit, w, v), from, y, to);
  unpackPit(pit, done.y);
  pit.ledger.releasedJ = Math.max(pit.ledger.releasedJ, 1);
}

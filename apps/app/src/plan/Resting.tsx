/** Choices of the rest: how it stops cooking, where it waits, how hot and how long. */
import {
  cutOf,
  FIRST_STAGES,
  SHUT_IN,
  USUAL_RESTS,
  usualFirst,
  usualRest,
  type RestWhere,
} from '@ostrin/core/catalogue';
import { capital, spanOfTime, temperatureWords } from '@ostrin/wording';
import { useSettings } from '../store/settings';
import { Stepper, TitledChoice } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { TemperatureStepper } from '../ui/TemperatureStepper';
import { useChangeMeat, type MeatChoiceProps } from './MeatChoices';
import { REST_NAMES } from './meatWords';

/** What keeps a piece, and for how long. */
const RESTS: readonly { value: RestWhere; note: string }[] = [
  { value: 'tented', note: 'a quarter of an hour or more' },
  { value: 'cool-box', note: 'in towels; an hour, keeps for several' },
  { value: 'warmer', note: 'kept moist; keeps for many hours' },
  { value: 'oven', note: 'at its lowest; keeps for many hours' },
  { value: 'counter', note: 'wrapped; half an hour' },
  { value: 'open', note: 'ten minutes' },
];

const whereOf = ({ rest, cut }: MeatChoiceProps['meat']): RestWhere =>
  rest ?? usualRest(cutOf(cut)).where;

export function Resting({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  return (
    <>
      <TitledChoice
        label="Rested"
        options={RESTS.map((r) => ({ ...r, label: capital(REST_NAMES[r.value]) }))}
        value={whereOf(meat)}
        onChange={(r) => change({ rest: r, restC: null, restFirst: null, restMin: null })}
      />
      <FirstStage meat={meat} />
      <HoldingHeat meat={meat} />
      <RestFor meat={meat} />
      <Note>
        The longer it can be held, the earlier it may be ready, and the surer it is on time.
      </Note>
    </>
  );
}

/** How it stops cooking before it is shut in. */
function FirstStage({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const units = useSettings((s) => s.units);
  const where = whereOf(meat);
  if (!SHUT_IN.includes(where)) return null;
  const usual = usualFirst(cutOf(meat.cut), where)?.where ?? 'in';
  return (
    <>
      <TitledChoice
        label="Before it is shut in"
        options={[
          {
            value: 'open',
            label: `${spanOfTime(FIRST_STAGES.open.minutes)} in the open`,
            note: 'until it stops steaming: it goes on cooking less',
          },
          {
            value: 'counter',
            label: `On the counter to ${temperatureWords(FIRST_STAGES.counter.untilCoreC, units)}`,
            note: 'for a hold of a night: it stops cooking, and keeps its slices',
          },
          { value: 'in', label: 'Straight in', note: 'softer, and too soft sooner' },
        ]}
        value={meat.restFirst ?? usual}
        onChange={(restFirst) => change({ restFirst })}
      />
    </>
  );
}

/** What an oven or a warmer can be set to, C: lower it is not held safely, higher it goes on cooking. */
const HOLDING_C = { low: 60, high: 95 };

/** The lowest that the user's own oven or warmer does. */
function HoldingHeat({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  if (meat.rest !== 'oven' && meat.rest !== 'warmer') return null;
  return (
    <TemperatureStepper
      label="Set to"
      c={meat.restC ?? USUAL_RESTS[meat.rest].atC}
      range={HOLDING_C}
      stepK={1}
      onChange={(restC) => change({ restC })}
      ends={{
        low: 'Below that it is not held hot.',
        high: 'Above that it goes on cooking.',
      }}
    />
  );
}

/** Longest rest that is planned, min, and how finely it is told: short ones in quarters, long ones in hours. */
const REST = { mostMin: 24 * 60, shortUntilMin: 120, shortMin: 15, longMin: 60 };

/** How long it rests at least. */
function RestFor({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const where = whereOf(meat);
  const usual = meat.rest ? USUAL_RESTS[where].minutes : usualRest(cutOf(meat.cut)).minutes;
  const minutes = meat.restMin ?? usual;
  const step = (by: -1 | 1): number => {
    const long = by > 0 ? minutes >= REST.shortUntilMin : minutes > REST.shortUntilMin;
    return long ? REST.longMin : REST.shortMin;
  };
  const set = (to: number): void =>
    change({ restMin: Math.min(REST.mostMin, Math.max(REST.shortMin, to)) });
  return (
    <Stepper
      label="For at least"
      shown={spanOfTime(minutes)}
      onStep={(by) => set(minutes + by * step(by))}
      canDown={minutes > REST.shortMin}
      canUp={minutes < REST.mostMin}
      ends={{
        low: 'If it is cut sooner, its juice runs out.',
        high: 'After a day it is no longer a fresh meal.',
      }}
    />
  );
}

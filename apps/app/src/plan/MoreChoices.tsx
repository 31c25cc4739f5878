/** Choices around a meat: how it is prepared, where it rests, when and on which pit. */
import {
  cutOf,
  epochOf,
  localOf,
  MINUTE_MS,
  USUAL_RESTS,
  usualRest,
  type RestWhere,
} from '@ostrin/core';
import type { PitRecord } from '@ostrin/contract/types';
import { capital, spanOfTime } from '@ostrin/wording';
import { usualPit } from '../store/request';
import { usePlanDraft } from '../store/planDraft';
import { Choice, Stepper } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { TemperatureStepper } from '../ui/TemperatureStepper';
import { Subhead } from '../ui/Title';
import { clockAndDay } from '../ui/words';
import { useChangeMeat, type MeatChoiceProps } from './MeatChoices';
import { REST_NAMES } from './meatWords';
import { pitOptions } from './PitChoices';

const PREPARE = [
  { value: 'none', label: 'As it comes', note: 'already seasoned, or at the table' },
  {
    value: 'season',
    label: 'Seasoned just before',
    note: '15 to 60 min ahead, back in the fridge',
  },
  {
    value: 'dry-brine',
    label: 'Salted ahead',
    note: 'overnight when thick, a few hours when thin',
  },
  { value: 'brine', label: 'Brined', note: 'ten hours in brine, patted dry' },
] as const;

const COMES = [
  { value: 'fresh', label: 'Fresh', note: 'in the fridge' },
  { value: 'frozen', label: 'Frozen now', note: 'thawing comes first' },
] as const;

const INJECTED = [
  { value: 'no', label: 'Not injected' },
  { value: 'yes', label: 'Injected', note: 'a little wetter, a little slower' },
] as const;

/** What keeps a piece, and for how long. */
const RESTS: readonly { value: RestWhere; note: string }[] = [
  { value: 'tented', note: 'a quarter of an hour or more' },
  { value: 'cool-box', note: 'in towels; an hour, keeps for several' },
  { value: 'warmer', note: 'kept moist; keeps for many hours' },
  { value: 'oven', note: 'at its lowest; keeps for many hours' },
  { value: 'counter', note: 'wrapped; half an hour' },
  { value: 'open', note: 'ten minutes' },
];

/** A course of its own: at first so long before the rest, moved in such steps, at most so early; min. */
const COURSE = { firstMin: 180, stepMin: 15, mostMin: 12 * 60 };

/** A piece that comes late: at first so long before it is eaten, moved in such steps, at most so early; min. */
const LATE = { firstMin: 6 * 60, stepMin: 15, mostMin: 24 * 60 };

export function BeforeAndAfter({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  return (
    <>
      <Subhead>Prepared</Subhead>
      <Choice
        label="Prepared"
        options={PREPARE}
        value={meat.prepare ?? 'none'}
        onChange={(p) => change({ prepare: p === 'none' ? null : p })}
      />
      <Choice
        label="How it comes"
        columns={2}
        options={COMES}
        value={meat.frozen ? 'frozen' : 'fresh'}
        onChange={(c) => change({ frozen: c === 'frozen' })}
      />
      <Comes meat={meat} />
      <Choice
        label="Injection"
        columns={2}
        options={INJECTED}
        value={meat.injected ? 'yes' : 'no'}
        onChange={(i) => change({ injected: i === 'yes' })}
      />
      <Subhead>Rested</Subhead>
      <Choice
        label="Rested"
        options={RESTS.map((r) => ({ ...r, label: capital(REST_NAMES[r.value]) }))}
        value={meat.rest ?? usualRest(cutOf(meat.cut)).where}
        onChange={(r) => change({ rest: r, restC: null, restMin: null })}
      />
      <HoldingHeat meat={meat} />
      <RestFor meat={meat} />
      <Note>
        The longer it can be held, the earlier it may be ready, and the surer it is on time.
      </Note>
      <Eaten meat={meat} />
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
        low: 'Under that it is not held hot.',
        high: 'Over that it goes on cooking.',
      }}
    />
  );
}

/** Longest rest that is planned, min, and how finely it is told: short ones in quarters, long ones in hours. */
const REST = { mostMin: 24 * 60, shortUntilMin: 120, shortMin: 15, longMin: 60 };

/** How long it rests at least. */
function RestFor({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const where = meat.rest ?? usualRest(cutOf(meat.cut)).where;
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
        low: 'Cut sooner, its juice runs out.',
        high: 'Held longer than a day it is no fresh meal any more.',
      }}
    />
  );
}

/** There from the start, or brought, bought or thawed late. */
function Comes({ meat }: MeatChoiceProps) {
  const { serveAt, timeZone } = usePlanDraft();
  const change = useChangeMeat(meat);
  const eaten = epochOf(meat.serveAt ?? serveAt, timeZone);
  const own = meat.notBefore ? epochOf(meat.notBefore, timeZone) : null;
  const ahead = (min: number): string => localOf(eaten - min * MINUTE_MS, timeZone);
  const aheadMin = own === null ? 0 : Math.round((eaten - own) / MINUTE_MS);
  return (
    <>
      <Choice
        label="When it is there"
        columns={2}
        options={[
          { value: 'there', label: 'It is there', note: 'goes on when it suits' },
          { value: 'late', label: 'It comes late', note: 'goes on when it has come' },
        ]}
        value={own === null ? 'there' : 'late'}
        onChange={(v) => change({ notBefore: v === 'there' ? null : ahead(LATE.firstMin) })}
      />
      {own === null ? null : (
        <Stepper
          label="Not before"
          shown={`from ${clockAndDay(meat.notBefore!)}`}
          onStep={(by) => change({ notBefore: ahead(aheadMin - by * LATE.stepMin) })}
          canDown={aheadMin < LATE.mostMin}
          canUp={aheadMin > LATE.stepMin}
        />
      )}
    </>
  );
}

/** With everything else, or as a course before it. */
function Eaten({ meat }: MeatChoiceProps) {
  const { serveAt, timeZone, meats } = usePlanDraft();
  const change = useChangeMeat(meat);
  // The last course is the meal itself: one meat at least is eaten with it.
  const alone = meats.every((m) => m.id === meat.id || m.serveAt !== null);
  if (alone) return null;
  const main = epochOf(serveAt, timeZone);
  const own = meat.serveAt ? epochOf(meat.serveAt, timeZone) : null;
  const earlier = (min: number): string => localOf(main - min * MINUTE_MS, timeZone);
  const aheadMin = own === null ? 0 : Math.round((main - own) / MINUTE_MS);
  return (
    <>
      <Subhead>Eaten</Subhead>
      <Choice
        label="Eaten"
        options={[
          { value: 'together', label: 'With everything else' },
          {
            value: 'before',
            label: 'As a course before it',
            note: 'an early treat, a first round',
          },
        ]}
        value={own === null ? 'together' : 'before'}
        onChange={(v) => change({ serveAt: v === 'together' ? null : earlier(COURSE.firstMin) })}
      />
      {own === null ? null : (
        <Stepper
          label="Course"
          shown={clockAndDay(meat.serveAt!)}
          onStep={(by) => change({ serveAt: earlier(aheadMin - by * COURSE.stepMin) })}
          canDown={aheadMin < COURSE.mostMin}
          canUp={aheadMin > COURSE.stepMin}
        />
      )}
    </>
  );
}

/** The pit that one of several meats lies on. */
export function MeatPit({ meat, yard }: MeatChoiceProps & { yard: readonly PitRecord[] }) {
  const change = useChangeMeat(meat);
  return (
    <>
      <Subhead>Cooked on</Subhead>
      <Choice
        label="Cooked on"
        columns={2}
        options={pitOptions(yard)}
        value={meat.pitId ?? usualPit(yard)!.id}
        onChange={(id) => change({ pitId: id })}
      />
    </>
  );
}

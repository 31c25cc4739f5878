/** Choices around a meat: how it is prepared, where it rests, when and on which pit. */
import { epochOf, localOf, MINUTE_MS } from '@ostrin/core/quantity';
import type { PitRecord } from '@ostrin/contract/types';
import { usualPit } from '../store/request';
import { usePlanDraft } from '../store/planDraft';
import { Choice, Stepper, TitledChoice } from '../ui/Choice';
import { clockAndDay } from '../ui/words';
import { useChangeMeat, type MeatChoiceProps } from './MeatChoices';
import { Resting } from './Resting';
import { pitOptions } from './PitChoices';

const PREPARE = [
  { value: 'none', label: 'Whenever it suits', note: 'how much salt is on its card' },
  { value: 'as-is', label: 'Seasoned already', note: 'no more salt' },
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

/** A course of its own: at first so long before the rest, moved in such steps, at most so early; min. */
const COURSE = { firstMin: 180, stepMin: 15, mostMin: 12 * 60 };

/** A piece that comes late: at first so long before it is eaten, moved in such steps, at most so early; min. */
const LATE = { firstMin: 6 * 60, stepMin: 15, mostMin: 24 * 60 };

export function BeforeAndAfter({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  return (
    <>
      <TitledChoice
        label="Prepared"
        options={PREPARE}
        value={meat.prepare ?? 'none'}
        onChange={(p) => change({ prepare: p === 'none' ? undefined : p })}
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
      <Resting meat={meat} />
      <Eaten meat={meat} />
    </>
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
        label="When it arrives"
        columns={2}
        options={[
          { value: 'there', label: 'Here already', note: 'goes on at the best time' },
          { value: 'late', label: 'Arrives later', note: 'goes on once it is here' },
        ]}
        value={own === null ? 'there' : 'late'}
        onChange={(v) => change({ notBefore: v === 'there' ? undefined : ahead(LATE.firstMin) })}
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
  const alone = meats.every((m) => m.id === meat.id || m.serveAt !== undefined);
  if (alone) return null;
  const main = epochOf(serveAt, timeZone);
  const own = meat.serveAt ? epochOf(meat.serveAt, timeZone) : null;
  const earlier = (min: number): string => localOf(main - min * MINUTE_MS, timeZone);
  const aheadMin = own === null ? 0 : Math.round((main - own) / MINUTE_MS);
  return (
    <>
      <TitledChoice
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
        onChange={(v) =>
          change({ serveAt: v === 'together' ? undefined : earlier(COURSE.firstMin) })
        }
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
      <TitledChoice
        label="Cooked on"
        columns={2}
        options={pitOptions(yard)}
        value={meat.pitId ?? usualPit(yard)!.id}
        onChange={(id) => change({ pitId: id })}
      />
    </>
  );
}

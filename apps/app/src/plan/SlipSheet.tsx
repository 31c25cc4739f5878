/** The sheets behind the slip's words. */
import { countWords, epochOf, localOf, MINUTE_MS, presetOf, temperatureWords } from '@ostrin/core';
import { View } from 'react-native';
import { useSettings } from '../store/settings';
import { PACES, PEOPLE_RANGE, piecesOf, useSlip, WINDS } from '../store/slip';
import { Button } from '../ui/Button';
import { Choice, Stepper } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { useTick } from '../ui/useTick';
import { Note } from '../ui/Notice';
import { clockOf, dayOf } from '../ui/words';
import type { PitRecord } from '@ostrin/contract/types';
import { Done, Mass, WhichCut, Wrap } from './MeatChoices';
import { Crew, Fire, WhichPit } from './PitChoices';

export type SlipField =
  | 'people'
  | 'serveAt'
  | 'cut'
  | 'mass'
  | 'pit'
  | 'fire'
  | 'pace'
  | 'wrap'
  | 'done'
  | 'weather'
  | 'crew';

const TITLES: Record<SlipField, string> = {
  people: 'How many people',
  serveAt: 'When they sit down',
  cut: 'Which cut',
  mass: 'How heavy is one piece',
  pit: 'Which pit',
  fire: 'What it burns',
  crew: 'Who keeps the watch',
  pace: 'How hot to hold the pit',
  wrap: 'Wrapped or not',
  done: 'When it is done',
  weather: 'The weather',
};

const DAYS_AHEAD = 14;
const PEOPLE_QUICK = [4, 6, 8, 12, 18, 24];

/** One sheet. Every choice takes effect at once. */
export function SlipSheet({
  field,
  pit,
  onClose,
}: {
  field: SlipField;
  pit: PitRecord;
  onClose: () => void;
}) {
  return (
    <Sheet title={TITLES[field]} onClose={onClose}>
      {field === 'people' ? <People /> : null}
      {field === 'serveAt' ? <ServeAt /> : null}
      {field === 'cut' ? <WhichCut /> : null}
      {field === 'mass' ? <Mass /> : null}
      {field === 'pit' ? <WhichPit at={pit.id} /> : null}
      {field === 'fire' ? <Fire family={presetOf(pit.preset).family} /> : null}
      {field === 'crew' ? <Crew /> : null}
      {field === 'pace' ? <Pace /> : null}
      {field === 'wrap' ? <Wrap /> : null}
      {field === 'done' ? <Done /> : null}
      {field === 'weather' ? <Weather /> : null}
      <Button kind="primary" label="Done" onPress={onClose} />
    </Sheet>
  );
}

function People() {
  const { people, change, ...slip } = useSlip();
  const set = (n: number): void =>
    change({ people: Math.min(PEOPLE_RANGE[1], Math.max(PEOPLE_RANGE[0], n)) });
  return (
    <>
      <Stepper
        label="People"
        shown={countWords(people, 'person', 'people')}
        onStep={(by) => set(people + by)}
        canDown={people > PEOPLE_RANGE[0]}
        canUp={people < PEOPLE_RANGE[1]}
      />
      <Choice
        label="People"
        columns={3}
        options={PEOPLE_QUICK.map((n) => ({ value: n, label: String(n) }))}
        value={people}
        onChange={set}
      />
      <Note>{`At 220 g of cooked meat a head that is ${countWords(piecesOf({ ...slip, people }), 'piece', 'pieces')}.`}</Note>
    </>
  );
}

function ServeAt() {
  const { serveAt, timeZone, change } = useSlip();
  const ms = epochOf(serveAt, timeZone);
  const now = useTick(60_000);
  const today = localOf(now, timeZone).slice(0, 10);
  const last = localOf(now + DAYS_AHEAD * 1440 * MINUTE_MS, timeZone).slice(0, 10);
  // Days are stepped on the calendar and quarters on the clock, so that a clock change keeps the hour.
  const moveDay = (by: number): void => {
    const d = new Date(`${serveAt}:00Z`);
    d.setUTCDate(d.getUTCDate() + by);
    change({ serveAt: d.toISOString().slice(0, 16) });
  };
  return (
    <>
      <Stepper
        label="Day"
        shown={dayOf(serveAt)}
        onStep={moveDay}
        canDown={serveAt.slice(0, 10) > today}
        canUp={serveAt.slice(0, 10) < last}
      />
      <Stepper
        label="Time"
        shown={clockOf(serveAt)}
        onStep={(by) => change({ serveAt: localOf(ms + by * 15 * MINUTE_MS, timeZone) })}
        canDown
        canUp
      />
      <Choice
        label="Usual times"
        columns={3}
        options={['12:00', '13:00', '17:00', '18:30', '19:30', '21:00'].map((t) => ({
          value: t,
          label: t,
        }))}
        value={clockOf(serveAt)}
        onChange={(t) => change({ serveAt: `${serveAt.slice(0, 10)}T${t}` })}
      />
    </>
  );
}

function Pace() {
  const { pitC, change } = useSlip();
  const units = useSettings((s) => s.units);
  const notes: Record<number, string> = {
    107: 'slowest, most bark',
    121: 'the usual slow pace',
    135: 'steady, an hour or two shorter',
    150: 'fast: saves hours, costs bark',
    163: 'the fastest; sugar in the rub burns',
  };
  return (
    <Choice
      label="Pit temperature"
      options={PACES.map((c) => ({ value: c, label: temperatureWords(c, units), note: notes[c] }))}
      value={pitC}
      onChange={(c) => change({ pitC: c })}
    />
  );
}

function Weather() {
  const { airC, windMps, change } = useSlip();
  const units = useSettings((s) => s.units);
  return (
    <>
      <Stepper
        label="Air"
        shown={temperatureWords(airC, units)}
        onStep={(by) => change({ airC: airC + by })}
        canDown={airC > -20}
        canUp={airC < 40}
      />
      <Choice
        label="Wind"
        columns={2}
        options={WINDS.map((w) => ({ ...w }))}
        value={windMps}
        onChange={(w) => change({ windMps: w })}
      />
      <View className="h-1" />
      <Note>As forecast for the hours of the cook. A sheltered corner counts one step calmer.</Note>
    </>
  );
}

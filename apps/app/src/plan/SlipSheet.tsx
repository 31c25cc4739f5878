/** The sheets behind the slip's words. */
import {
  countWords,
  localOf,
  massWords,
  MINUTE_MS,
  epochOf,
  temperatureWords,
  type WrapId,
} from '@ostrin/core';
import { Text, View } from 'react-native';
import { useSettings } from '../store/settings';
import {
  CUT,
  PACES,
  PEOPLE_RANGE,
  piecesOf,
  stepMass,
  useSlip,
  WINDS,
  WRAP_WHEN_C,
} from '../store/slip';
import { Button } from '../ui/Button';
import { Choice, Stepper } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { useTick } from '../ui/useTick';
import { clockOf, dayOf } from '../ui/words';

export type SlipField = 'people' | 'serveAt' | 'mass' | 'pace' | 'wrap' | 'weather';

const TITLES: Record<SlipField, string> = {
  people: 'How many people',
  serveAt: 'When they sit down',
  mass: 'How heavy is one piece',
  pace: 'How hot to hold the pit',
  wrap: 'Wrapped or not',
  weather: 'The weather',
};

const DAYS_AHEAD = 14;
const PEOPLE_QUICK = [4, 6, 8, 12, 18, 24];
const Note = ({ children }: { children: string }) => (
  <Text className="font-sans text-soot text-[16px] leading-[22px]">{children}</Text>
);

/** One sheet. Every choice takes effect at once. */
export function SlipSheet({ field, onClose }: { field: SlipField; onClose: () => void }) {
  return (
    <Sheet title={TITLES[field]} onClose={onClose}>
      {field === 'people' ? <People /> : null}
      {field === 'serveAt' ? <ServeAt /> : null}
      {field === 'mass' ? <Mass /> : null}
      {field === 'pace' ? <Pace /> : null}
      {field === 'wrap' ? <Wrap /> : null}
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

function Mass() {
  const { massKg, change } = useSlip();
  const units = useSettings((s) => s.units);
  return (
    <>
      <Stepper
        label="Mass of one piece"
        shown={massWords(massKg, units)}
        onStep={(by) => change({ massKg: stepMass(massKg, by) })}
        canDown={massKg > CUT.massRange[0]}
        canUp={massKg < CUT.massRange[1]}
      />
      <Choice
        label="Usual masses"
        columns={3}
        options={[1.5, 2, 2.5, 3, 3.5, 4].map((kg) => ({ value: kg, label: massWords(kg, units) }))}
        value={massKg}
        onChange={(kg) => change({ massKg: kg })}
      />
      <Note>Weigh it trimmed: thin edges rounded off, 3 to 6 mm of fat left on.</Note>
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

function Wrap() {
  const { wrap, change } = useSlip();
  const units = useSettings((s) => s.units);
  const at = `when the middle reads ${temperatureWords(WRAP_WHEN_C, units)}`;
  const options: { value: WrapId; label: string; note: string }[] = [
    { value: 'none', label: 'Not wrapped', note: 'the hardest bark, the longest cook' },
    { value: 'paper', label: 'Paper', note: `${at}; keeps most of the bark` },
    { value: 'foil', label: 'Foil', note: `${at}; quickest, softest bark` },
  ];
  return (
    <Choice label="Wrap" options={options} value={wrap} onChange={(w) => change({ wrap: w })} />
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

/** The sheets behind the words of the planning sentence. */
import { epochOf, localOf, MINUTE_MS } from '@ostrin/core/quantity';
import { countWords, temperatureWords } from '@ostrin/wording';
import { View } from 'react-native';
import { draftPitsOf, type DraftPit } from '../store/request';
import { useSettings } from '../store/settings';
import {
  APPETITES,
  CHANCES,
  PEOPLE_RANGE,
  usePlanDraft,
  WINDS,
  type DraftMeat,
} from '../store/planDraft';
import { withNight } from '../store/weather';
import { Button } from '../ui/Button';
import { CalendarField } from '../ui/CalendarField';
import { Choice, Stepper, TitledChoice } from '../ui/Choice';
import { Sheet } from '../ui/Sheet';
import { YardHeight } from '../ui/YardHeight';
import { useTick } from '../ui/useTick';
import { Note } from '../ui/Notice';
import { Subhead } from '../ui/Title';
import { clockOf, dayOf } from '../ui/words';
import type { PitRecord } from '@ostrin/contract/types';
import { Done, Mass, WhichCut } from './MeatChoices';
import { Wrapping } from './Wrapping';
import { BeforeAndAfter, MeatPit } from './MoreChoices';
import { AddMeat } from './AddMeat';
import { Fire } from './FireChoices';
import { Crew, Pace, WhichPit } from './PitChoices';

const TITLES = {
  people: 'How many people',
  serveAt: 'When you eat',
  cut: 'Which cut',
  mass: 'How heavy, and how many',
  pit: 'Which pit',
  fire: 'What it burns',
  crew: 'Who tends the fire',
  pace: 'How hot to hold the pit',
  wrap: 'Wrapped or not',
  done: 'When it is done',
  rest: 'Before the fire and after it',
  weather: 'The weather',
  add: 'Another meat',
} as const;

/**
 * What was touched: a word of the sentence, of which meat or which pit by their places from 0. Not by their ids, which
 * change with the cut and the cooker that are chosen: the sentence may be a moment behind.
 */
export interface OpenedField {
  field: keyof typeof TITLES;
  meat?: number;
  pit?: number;
}

const DAYS_AHEAD = 400;
const PEOPLE_QUICK = [4, 6, 8, 12, 18, 24];

interface Props {
  opened: OpenedField;
  yard: readonly PitRecord[];
  onClose: () => void;
}

/** One sheet. Every choice takes effect at once. */
export function PlanSheet({ opened, yard, onClose }: Props) {
  const draft = usePlanDraft();
  const table = draftPitsOf(draft, yard);
  const at = table[opened.pit ?? 0]!;
  const meat = opened.meat === undefined ? undefined : draft.meats[opened.meat];
  return (
    <Sheet title={TITLES[opened.field]} onClose={onClose}>
      {meat ? <MeatField field={opened.field} meat={meat} yard={yard} onClose={onClose} /> : null}
      <TableField field={opened.field} at={at} table={table} yard={yard} onClose={onClose} />
      <Button kind="primary" label="Done" onPress={onClose} />
    </Sheet>
  );
}

function MeatField({
  field,
  meat,
  yard,
  onClose,
}: {
  field: OpenedField['field'];
  meat: DraftMeat;
  yard: readonly PitRecord[];
  onClose: () => void;
}) {
  const several = usePlanDraft((s) => s.meats.length > 1);
  const drop = usePlanDraft((s) => s.dropMeat);
  switch (field) {
    case 'cut':
      return (
        <>
          <WhichCut meat={meat} />
          {yard.length > 1 && several ? <MeatPit meat={meat} yard={yard} /> : null}
          {several ? (
            <Button
              label="Remove it from the plan"
              onPress={() => {
                onClose();
                drop(meat.id);
              }}
            />
          ) : null}
        </>
      );
    case 'mass':
      return <Mass meat={meat} />;
    case 'wrap':
      return <Wrapping meat={meat} />;
    case 'done':
      return <Done meat={meat} />;
    case 'rest':
      return <BeforeAndAfter meat={meat} />;
    default:
      return null;
  }
}

function TableField({
  field,
  at,
  table,
  yard,
  onClose,
}: {
  field: OpenedField['field'];
  at: DraftPit;
  table: readonly DraftPit[];
  yard: readonly PitRecord[];
  onClose: () => void;
}) {
  switch (field) {
    case 'people':
      return <People />;
    case 'serveAt':
      return <ServeAt />;
    case 'pit':
      return (
        <WhichPit
          at={at.pit.id}
          yard={yard}
          others={table.map((t) => t.pit.id).filter((id) => id !== at.pit.id)}
        />
      );
    case 'fire':
      return <Fire pitId={at.pit.id} fire={at.fire} preset={at.pit.preset} />;
    case 'pace':
      return <Pace at={at} />;
    case 'weather':
      return <Weather />;
    case 'crew':
      return <Crew />;
    case 'add':
      return <AddMeat pitId={at.pit.id} yard={yard} onClose={onClose} />;
    default:
      return null;
  }
}

function People() {
  const { people, appetiteG, change } = usePlanDraft();
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
        typed={{ value: people, onType: (n) => set(Math.round(n)) }}
        ends={{ low: 'At least one person.', high: 'More than one table: plan it in parts.' }}
      />
      <Choice
        label="People"
        columns={3}
        options={PEOPLE_QUICK.map((n) => ({ value: n, label: String(n) }))}
        value={people}
        onChange={set}
      />
      <TitledChoice
        label="Appetite"
        options={APPETITES}
        value={appetiteG}
        onChange={(g) => change({ appetiteG: g })}
      />
    </>
  );
}

function ServeAt() {
  const { serveAt, timeZone, chance, change } = usePlanDraft();
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
      <View className="flex-row gap-3">
        <CalendarField
          label="Date"
          kind="date"
          value={serveAt.slice(0, 10)}
          range={{ first: today, last }}
          onChange={(day) => change({ serveAt: `${day}T${clockOf(serveAt)}` })}
          testID="serve-date"
        />
        <CalendarField
          label="Hour"
          kind="time"
          value={clockOf(serveAt)}
          onChange={(clock) => change({ serveAt: `${serveAt.slice(0, 10)}T${clock}` })}
          testID="serve-hour"
        />
      </View>
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
      <TitledChoice
        label="How sure you want to be of being on time"
        columns={3}
        options={CHANCES}
        value={chance}
        onChange={(c) => change({ chance: c })}
      />
    </>
  );
}

function Weather() {
  const { airC, nightC, windMps, change } = usePlanDraft();
  const units = useSettings((s) => s.units);
  const coldest = nightC ?? airC;
  return (
    <>
      <Subhead>Air by day</Subhead>
      <Stepper
        label="Air by day"
        shown={temperatureWords(airC, units)}
        onStep={(by) => change(withNight(airC + by, nightC))}
        canDown={airC > -20}
        canUp={airC < 40}
      />
      <Subhead>At night</Subhead>
      <Stepper
        label="Air at night"
        shown={nightC === null ? 'as by day' : temperatureWords(nightC, units)}
        onStep={(by) => change(withNight(airC, coldest + by))}
        canDown={coldest > -25}
        canUp={nightC !== null}
      />
      <TitledChoice
        label="Wind"
        columns={2}
        options={WINDS.map((w) => ({ ...w }))}
        value={windMps}
        onChange={(w) => change({ windMps: w })}
      />
      <View className="h-1" />
      <Note>As forecast for the hours of the cook. A sheltered corner counts one step calmer.</Note>
      <Subhead>Height of the yard above the sea</Subhead>
      <YardHeight />
    </>
  );
}

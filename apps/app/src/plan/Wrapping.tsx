/** Choices of what is done to a piece on the grate: wrapped when, bared, sprayed, sauced. */
import {
  BARE_LAST_MIN,
  SAUCE_LAST_MIN,
  SCHOOL_IDS,
  SPRAY_SCHOOLS,
  WRAP_SCHOOLS,
  schoolOf,
  type SchoolId,
  type SpraySchool,
  type WrapId,
} from '@ostrin/core/catalogue';
import type { WrapWhen } from '@ostrin/core';
import { capital, spanOfTime, whenWrappedWords } from '@ostrin/wording';
import { useSettings } from '../store/settings';
import { Choice, TitledChoice } from '../ui/Choice';
import { MinutesStepper } from '../ui/MinutesStepper';
import { TemperatureStepper } from '../ui/TemperatureStepper';
import { Subhead } from '../ui/Title';
import { useChangeMeat, type MeatChoiceProps } from './MeatChoices';

const WRAP_OPTIONS: { value: WrapId; label: string; note: string }[] = [
  { value: 'none', label: 'Not wrapped', note: 'the hardest bark, the longest cook' },
  { value: 'paper', label: 'Paper', note: 'lets steam out; keeps most of the bark' },
  { value: 'foil', label: 'Foil', note: 'quickest, softest bark' },
  { value: 'boat', label: 'Foil boat', note: 'open above: bark on top, juice below' },
  { value: 'pan', label: 'Covered pan', note: 'with a cup of liquid; braises to the end' },
];

/** What each school of wrapping stands for. */
const SCHOOL_NOTES: Readonly<Record<SchoolId, string>> = {
  'core-68': 'early: softer bark, sooner done',
  'core-74': 'the usual',
  'core-80': 'late: past the stall',
  'core-85': 'only to finish',
  stall: 'when it has stopped climbing',
  bark: 'when nothing comes off on a finger',
};

/** Cores at which a piece can be wrapped, C. */
const WRAP_C = { low: 40, high: 95 };
/** How long a piece is on before it is wrapped by the clock, min, and where the choice begins (common practice). */
const WRAP_AFTER = { low: 30, high: 1200, step: 15, usual: 180 };
/** How long it is bare at the end, min. */
const BARE = { low: 5, high: 90, step: 5 };
/** The first spray after it went on, and from one to the next, min. */
const FIRST_SPRAY = { low: 15, high: 600, step: 15, usual: 120 };
const SPRAY_EVERY = { low: 10, high: 240, step: 5 };
/** How long before the end sauce goes on, min. */
const SAUCE = { low: 5, high: 90, step: 5 };

type WhenId = SchoolId | 'core' | 'clock';

const whenId = (when: WrapWhen): WhenId => schoolOf(when) ?? ('coreC' in when ? 'core' : 'clock');

export function Wrapping({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  return (
    <>
      <Choice
        label="Wrap"
        options={WRAP_OPTIONS}
        value={meat.wrap}
        onChange={(w) => change({ wrap: w })}
      />
      {meat.wrap === 'none' ? null : (
        <>
          <WhenWrapped meat={meat} />
          <BareAtTheEnd meat={meat} />
        </>
      )}
      <Spraying meat={meat} />
      {meat.wrap === 'none' || meat.bareLastMin !== undefined ? <Sauce meat={meat} /> : null}
    </>
  );
}

function WhenWrapped({ meat: { wrapWhen }, meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const units = useSettings((s) => s.units);
  const id = whenId(wrapWhen);
  const coreC = 'coreC' in wrapWhen ? wrapWhen.coreC : WRAP_SCHOOLS['core-74'].coreC;
  const choose = (to: WhenId): void => {
    if (to === 'core') change({ wrapWhen: { coreC: coreC - 1 } });
    else if (to === 'clock') change({ wrapWhen: { onForMin: WRAP_AFTER.usual } });
    else change({ wrapWhen: WRAP_SCHOOLS[to] });
  };
  return (
    <>
      <Subhead>When</Subhead>
      <Choice<WhenId>
        label="When to wrap"
        columns={2}
        options={[
          ...SCHOOL_IDS.map((school) => ({
            value: school,
            label: capital(whenWrappedWords(WRAP_SCHOOLS[school], units)),
            note: SCHOOL_NOTES[school],
          })),
          { value: 'core', label: 'At another core', note: 'any temperature' },
          { value: 'clock', label: 'By the clock', note: 'counted from when it went on' },
        ]}
        value={id}
        onChange={choose}
      />
      {'coreC' in wrapWhen ? (
        <>
          <Subhead>Core when it is wrapped</Subhead>
          <TemperatureStepper
            label="Core when it is wrapped"
            c={wrapWhen.coreC}
            range={WRAP_C}
            stepK={1}
            onChange={(c) => change({ wrapWhen: { coreC: Math.round(c) } })}
          />
        </>
      ) : null}
      {'onForMin' in wrapWhen ? (
        <MinutesStepper
          label="On the pit before it is wrapped"
          minutes={wrapWhen.onForMin}
          range={WRAP_AFTER}
          onChange={(onForMin) => change({ wrapWhen: { onForMin } })}
        />
      ) : null}
    </>
  );
}

function BareAtTheEnd({ meat: { bareLastMin }, meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const shown = spanOfTime(bareLastMin ?? BARE_LAST_MIN);
  return (
    <>
      <TitledChoice
        label="At the end"
        options={[
          { value: 'stays', label: 'Stays wrapped', note: 'juicier; the bark stays soft' },
          {
            value: 'bare',
            label: `Bare for the last ${shown}`,
            note: 'the bark firms up; some juice is lost',
          },
        ]}
        value={bareLastMin === undefined ? 'stays' : 'bare'}
        onChange={(v) => change({ bareLastMin: v === 'bare' ? BARE_LAST_MIN : undefined })}
      />
      {bareLastMin === undefined ? null : (
        <MinutesStepper
          label="Bare before it is done"
          minutes={bareLastMin}
          range={BARE}
          onChange={(minutes) => change({ bareLastMin: minutes })}
        />
      )}
    </>
  );
}

/** The schools of spraying, with when each begins where nobody says otherwise. */
const SPRAY_OPTIONS = [
  { value: 'never', label: 'Never', note: 'fastest; every look costs minutes' },
  {
    value: 'dry-spots',
    label: 'When dry spots show',
    note: `once the bark is firm, every ${spanOfTime(SPRAY_SCHOOLS['dry-spots'].everyMin)}; darker bark, ready later`,
  },
  { value: 'twice', label: 'Once or twice', note: 'a little colour for little time' },
] as const satisfies readonly { value: SpraySchool | 'never'; label: string; note: string }[];

const FIRST_OPTIONS = [
  { value: 'bark', label: 'Once the bark is firm' },
  { value: 'clock', label: 'By the clock' },
] as const;

function Spraying({ meat: { spray, sprayTimes = {} }, meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const { firstMin } = sprayTimes;
  const setTimes = (part: NonNullable<typeof meat.sprayTimes>): void =>
    change({ sprayTimes: { ...sprayTimes, ...part } });
  return (
    <>
      <TitledChoice
        label="Spray"
        options={SPRAY_OPTIONS}
        value={spray ?? 'never'}
        onChange={(v) => change({ spray: v === 'never' ? undefined : v, sprayTimes: undefined })}
      />
      {spray ? (
        <>
          <Subhead>First spray</Subhead>
          <Choice
            label="First spray"
            columns={2}
            options={FIRST_OPTIONS}
            value={firstMin === undefined ? 'bark' : 'clock'}
            onChange={(v) => setTimes({ firstMin: v === 'bark' ? undefined : FIRST_SPRAY.usual })}
          />
          {firstMin === undefined ? null : (
            <MinutesStepper
              label="On the pit before the first spray"
              minutes={firstMin}
              range={FIRST_SPRAY}
              onChange={(minutes) => setTimes({ firstMin: minutes })}
            />
          )}
          <MinutesStepper
            label="From one spray to the next"
            minutes={sprayTimes.everyMin ?? SPRAY_SCHOOLS[spray].everyMin}
            range={SPRAY_EVERY}
            onChange={(everyMin) => setTimes({ everyMin })}
          />
        </>
      ) : null}
    </>
  );
}

function Sauce({ meat: { sauce, sauceLastMin = SAUCE_LAST_MIN }, meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  return (
    <>
      <TitledChoice
        label="Sauce"
        columns={2}
        options={[
          { value: 'no', label: 'None' },
          { value: 'yes', label: 'Sauced', note: `${spanOfTime(sauceLastMin)} before the end` },
        ]}
        value={sauce ? 'yes' : 'no'}
        onChange={(v) => change({ sauce: v === 'yes' })}
      />
      {sauce ? (
        <MinutesStepper
          label="Sauced before it is done"
          minutes={sauceLastMin}
          range={SAUCE}
          onChange={(minutes) => change({ sauceLastMin: minutes })}
        />
      ) : null}
    </>
  );
}

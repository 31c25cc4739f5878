/** Choices about one meat: which cut, how heavy, wrapped how, done when. */
import {
  CUTS,
  cutOf,
  doneByFeel,
  doneOnPlate,
  SAFE_C,
  SCHOOL_IDS,
  usualMassKg,
  type Cut,
  type SchoolId,
  type SpraySchool,
  type WrapId,
} from '@ostrin/core/catalogue';
import { piecesPerMeat } from '@ostrin/core';
import { clamp, fromKg, roundTo, toKg, type Units } from '@ostrin/core/quantity';
import { capital, countWords, massWords, schoolWords, temperatureWords } from '@ostrin/wording';
import { useSettings } from '../store/settings';
import { usePlanDraft, withCut, type DraftMeat } from '../store/planDraft';
import { stepMass, usualMasses, withinMass } from '../store/masses';
import { Button } from '../ui/Button';
import { Choice, Stepper, TitledChoice } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { Subhead } from '../ui/Title';

export interface MeatChoiceProps {
  meat: DraftMeat;
}

/** What changes this meat in the draft. */
export function useChangeMeat(meat: DraftMeat): (part: Partial<DraftMeat>) => void {
  const changeMeat = usePlanDraft((s) => s.changeMeat);
  return (part) => changeMeat(meat.id, part);
}

/** All cuts, with what is usual for each. */
export function CutChoice({ value, onChange }: { value: string; onChange: (id: string) => void }) {
  const units = useSettings((s) => s.units);
  return (
    <Choice
      label="Cut"
      columns={2}
      options={Object.values(CUTS).map((c) => ({
        value: c.id,
        label: capital(c.name),
        note: `${massWords(usualMassKg(c), units)}, ${doneByFeel(c) ? 'by feel' : rangeWords(c, units)}`,
      }))}
      value={value}
      onChange={onChange}
    />
  );
}

export function WhichCut({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  return <CutChoice value={meat.cut} onChange={(id) => change(withCut(id))} />;
}

/** `74–82 C`: where a cut that is done by temperature usually ends. */
const rangeWords = ({ doneRangeC: [low, high] }: Cut, units: Units): string =>
  `${temperatureWords(low, units).split(' ')[0]}–${temperatureWords(high, units)}`;

/** Most pieces of one kind that a sheet counts to. */
const MOST_PIECES = 60;

export function Mass({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const draft = usePlanDraft();
  const { meatPrices = {}, change: changeDraft } = draft;
  const { massKg, pieces } = piecesPerMeat(draft)[draft.meats.findIndex((m) => m.id === meat.id)]!;
  const units = useSettings((s) => s.units);
  const cut = cutOf(meat.cut);
  const perKg = meatPrices[meat.cut] ?? 0;
  const setPrice = (v: number): void =>
    changeDraft({ meatPrices: { ...meatPrices, [meat.cut]: Math.max(0, roundTo(v, 0.01)) } });
  return (
    <>
      <Stepper
        label="Mass of one piece"
        shown={massWords(massKg, units)}
        onStep={(by) => change({ massKg: stepMass(cut, massKg, by) })}
        canDown={massKg > cut.massRange[0]}
        canUp={massKg < cut.massRange[1]}
        typed={{
          value: roundTo(fromKg(massKg, units.mass), 0.05),
          onType: (v) => change({ massKg: withinMass(cut, toKg(v, units.mass)) }),
        }}
        ends={{
          low: `Lighter ones are not sold as ${cut.name}.`,
          high: `Heavier ones are not sold as ${cut.name}; take more pieces.`,
        }}
      />
      <Button
        label="As heavy as the guests need"
        selected={meat.massKg === undefined}
        onPress={() => change({ massKg: undefined })}
      />
      <Choice
        label="Usual masses"
        columns={3}
        options={usualMasses(cut).map((kg) => ({ value: kg, label: massWords(kg, units) }))}
        value={massKg}
        onChange={(kg) => change({ massKg: kg })}
      />
      <Subhead>Price of a kilogram, raw</Subhead>
      <Stepper
        label="Price"
        shown={perKg === 0 ? 'not set' : perKg.toFixed(2)}
        onStep={(by) => setPrice(perKg + by)}
        canDown={perKg > 0}
        canUp
        typed={{ value: perKg, onType: setPrice }}
      />
      {cut.safetyKind === 'red' ? (
        <Note>Weigh it trimmed: thin edges rounded off, 3 to 6 mm of fat left on.</Note>
      ) : null}
      <Subhead>How many</Subhead>
      <Stepper
        label="Pieces"
        shown={countWords(pieces, 'piece', 'pieces')}
        onStep={(by) => change({ pieces: pieces + by })}
        canDown={pieces > 1}
        canUp={pieces < MOST_PIECES}
        typed={{
          value: pieces,
          onType: (n) => change({ pieces: clamp(Math.round(n), 1, MOST_PIECES) }),
        }}
      />
      <Button
        label="As many as the guests need"
        selected={meat.pieces === undefined}
        onPress={() => change({ pieces: undefined })}
      />
    </>
  );
}

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

const BARE_OPTIONS = [
  { value: 'stays', label: 'Stays wrapped', note: 'juicier; the bark stays soft' },
  {
    value: 'bare',
    label: 'Bare for the last 25 min',
    note: 'the bark firms up; some juice is lost',
  },
] as const;

/** The schools of spraying; the first is the usual. */
const SPRAY_OPTIONS = [
  { value: 'never', label: 'Never', note: 'fastest; every look costs minutes' },
  {
    value: 'dry-spots',
    label: 'When dry spots show',
    note: 'once the bark is firm, every 40 min; darker bark, ready later',
  },
  { value: 'twice', label: 'Once or twice', note: 'a little colour for little time' },
] as const satisfies readonly { value: SpraySchool | 'never'; label: string; note: string }[];

const SAUCE_OPTIONS = [
  { value: 'no', label: 'None' },
  { value: 'yes', label: 'Sauced', note: '15 min before the end' },
] as const;

export function Wrap({ meat }: MeatChoiceProps) {
  const change = useChangeMeat(meat);
  const units = useSettings((s) => s.units);
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
          <Subhead>When</Subhead>
          <Choice
            label="When to wrap"
            columns={2}
            options={SCHOOL_IDS.map((id) => ({
              value: id,
              label: capital(schoolWords(id, units)),
              note: SCHOOL_NOTES[id],
            }))}
            value={meat.wrapWhen}
            onChange={(id) => change({ wrapWhen: id })}
          />
          <TitledChoice
            label="At the end"
            options={BARE_OPTIONS}
            value={meat.bare ? 'bare' : 'stays'}
            onChange={(v) => change({ bare: v === 'bare' })}
          />
        </>
      )}
      <TitledChoice
        label="Spray"
        options={SPRAY_OPTIONS}
        value={meat.spray ?? 'never'}
        onChange={(v) => change({ spray: v === 'never' ? undefined : v })}
      />
      {meat.wrap === 'none' || meat.bare ? (
        <>
          <TitledChoice
            label="Sauce"
            columns={2}
            options={SAUCE_OPTIONS}
            value={meat.sauce ? 'yes' : 'no'}
            onChange={(v) => change({ sauce: v === 'yes' })}
          />
        </>
      ) : null}
    </>
  );
}

const FEEL = 'feel';

export function Done({ meat }: MeatChoiceProps) {
  const { doneC } = meat;
  const change = useChangeMeat(meat);
  const units = useSettings((s) => s.units);
  const cut = cutOf(meat.cut);
  const feel = { value: FEEL, label: 'By feel', note: 'a probe goes in as into soft butter' };
  const [low, high] = cut.doneRangeC;
  const byFeel = doneByFeel(cut);
  const shownC = doneC ?? Math.round((low + high) / 2);
  return (
    <>
      {byFeel ? (
        <Choice
          label="Done by feel"
          options={[feel]}
          value={doneC === null ? FEEL : ''}
          onChange={() => change({ doneC: null })}
        />
      ) : null}
      <Stepper
        label={doneOnPlate(cut) ? 'Middle on the plate' : 'Middle when it is done'}
        shown={doneC === null ? 'by feel' : temperatureWords(doneC, units)}
        onStep={(by) => change({ doneC: doneC === null ? shownC : doneC + by })}
        canDown={doneC === null || doneC > low}
        canUp={doneC === null || doneC < high}
      />
      <Note>{doneNote(cut.safetyKind, doneByFeel(cut), units)}</Note>
    </>
  );
}

/** What to know about calling this kind of meat done. */
function doneNote(kind: Cut['safetyKind'], feel: boolean, units: Units): string {
  if (kind !== 'red') {
    const safe = temperatureWords(SAFE_C[kind], units);
    return kind === 'poultry'
      ? `Poultry is safe at ${safe} in its thickest part, and not before.`
      : `Minced meat is safe at ${safe} in the middle, and not before.`;
  }
  return feel
    ? `By feel it is done somewhere between ${temperatureWords(90, units)} and ${temperatureWords(99, units)}; two pieces differ. A fixed temperature is easier to plan.`
    : 'It is pulled earlier: how much it climbs while it rests is worked out for this piece and this pit.';
}

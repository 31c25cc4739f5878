/** Choices about one meat: which cut, how heavy, wrapped how, done when. */
import {
  CUTS,
  cutOf,
  doneByFeel,
  doneOnPlate,
  SAFE_C,
  usualMassKg,
  type Cut,
} from '@ostrin/core/catalogue';
import { piecesPerMeat } from '@ostrin/core';
import { clamp, fromKg, roundTo, toKg, type Units } from '@ostrin/core/quantity';
import { capital, countWords, massWords, temperatureWords } from '@ostrin/wording';
import { useSettings } from '../store/settings';
import { usePlanDraft, withCut, type DraftMeat } from '../store/planDraft';
import { stepMass, usualMasses, withinMass } from '../store/masses';
import { Button } from '../ui/Button';
import { Choice, Stepper } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { TemperatureStepper } from '../ui/TemperatureStepper';
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
      <TemperatureStepper
        label={doneOnPlate(cut) ? 'Middle on the plate' : 'Middle when it is done'}
        shown={doneC === null ? 'by feel' : undefined}
        c={shownC}
        range={{ low, high }}
        onChange={(c) => change({ doneC: Math.round(c) })}
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

/** The slip's choices about the meat: which cut, how heavy, wrapped how, done when. */
import {
  CUTS,
  cutOf,
  doneByFeel,
  doneTemperatures,
  massWords,
  SAFE_C,
  temperatureWords,
  usualKg,
  type Cut,
  type Units,
  type WrapId,
} from '@ostrin/core';
import { Text } from 'react-native';
import { useSettings } from '../store/settings';
import {
  schoolWords,
  stepMass,
  usualMasses,
  useSlip,
  withCut,
  WRAP_SCHOOLS,
  type SchoolId,
} from '../store/slip';
import { Choice, Stepper } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { capital } from '../ui/words';

export function WhichCut() {
  const { cut, change } = useSlip();
  const units = useSettings((s) => s.units);
  return (
    <Choice
      label="Cut"
      columns={2}
      options={Object.values(CUTS).map((c) => ({
        value: c.id,
        label: capital(c.name),
        note: `${massWords(usualKg(c), units)}, ${doneByFeel(c) ? 'by feel' : rangeWords(c, units)}`,
      }))}
      value={cut}
      onChange={(id) => change(withCut(id))}
    />
  );
}

/** `74–82 C`: where a cut that is done by temperature usually ends. */
const rangeWords = ({ doneRangeC: [low, high] }: Cut, units: Units): string =>
  `${temperatureWords(low, units).split(' ')[0]}–${temperatureWords(high, units)}`;

export function Mass() {
  const { massKg, change, cut: id } = useSlip();
  const units = useSettings((s) => s.units);
  const cut = cutOf(id);
  return (
    <>
      <Stepper
        label="Mass of one piece"
        shown={massWords(massKg, units)}
        onStep={(by) => change({ massKg: stepMass(cut, massKg, by) })}
        canDown={massKg > cut.massRange[0]}
        canUp={massKg < cut.massRange[1]}
      />
      <Choice
        label="Usual masses"
        columns={3}
        options={usualMasses(cut).map((kg) => ({ value: kg, label: massWords(kg, units) }))}
        value={massKg}
        onChange={(kg) => change({ massKg: kg })}
      />
      {cut.kind === 'red' ? (
        <Note>Weigh it trimmed: thin edges rounded off, 3 to 6 mm of fat left on.</Note>
      ) : null}
    </>
  );
}

const WRAP_OPTIONS: { value: WrapId; label: string; note: string }[] = [
  { value: 'none', label: 'Not wrapped', note: 'the hardest bark, the longest cook' },
  { value: 'paper', label: 'Paper', note: 'breathes; keeps most of the bark' },
  { value: 'foil', label: 'Foil', note: 'quickest, softest bark' },
  { value: 'boat', label: 'Foil boat', note: 'open above: bark on top, juice below' },
  { value: 'pan', label: 'Covered pan', note: 'with a cup of liquid; braises to the end' },
];

export function Wrap() {
  const { wrap, wrapWhen, change } = useSlip();
  const units = useSettings((s) => s.units);
  return (
    <>
      <Choice
        label="Wrap"
        options={WRAP_OPTIONS}
        value={wrap}
        onChange={(w) => change({ wrap: w })}
      />
      {wrap === 'none' ? null : (
        <>
          <Text className="font-sans-bold text-ink text-[16px] pt-2">When</Text>
          <Choice
            label="When to wrap"
            columns={2}
            options={(Object.keys(WRAP_SCHOOLS) as SchoolId[]).map((id) => ({
              value: id,
              label: capital(schoolWords(id, units)),
              note: WRAP_SCHOOLS[id].note,
            }))}
            value={wrapWhen}
            onChange={(id) => change({ wrapWhen: id })}
          />
        </>
      )}
    </>
  );
}

const FEEL = 'feel';

export function Done() {
  const { cut: id, doneC, change } = useSlip();
  const units = useSettings((s) => s.units);
  const cut = cutOf(id);
  const feel = { value: FEEL, label: 'By feel', note: 'a probe goes in as into soft butter' };
  const options = doneTemperatures(cut).map((c) => ({
    value: String(c),
    label: temperatureWords(c, units),
  }));
  return (
    <>
      {doneByFeel(cut) ? (
        <Choice
          label="Done by feel"
          options={[feel]}
          value={doneC === null ? FEEL : ''}
          onChange={() => change({ doneC: null })}
        />
      ) : null}
      <Choice
        label="Done at"
        columns={3}
        options={options}
        value={doneC === null ? '' : String(doneC)}
        onChange={(c) => change({ doneC: Number(c) })}
      />
      <Note>{doneNote(cut.kind, doneByFeel(cut), units)}</Note>
    </>
  );
}

/** What to know about calling this kind of meat done. */
function doneNote(kind: Cut['kind'], feel: boolean, units: Units): string {
  if (kind !== 'red') {
    const safe = temperatureWords(SAFE_C[kind], units);
    return kind === 'poultry'
      ? `Poultry is safe at ${safe} in its thickest part, and not before.`
      : `Minced meat is safe at ${safe} in the middle, and not before.`;
  }
  return feel
    ? 'By feel it is done somewhere between 90 and 99 C (194 and 210 F); two pieces differ. A fixed temperature is easier to plan.'
    : 'Pull it 3 to 5 C (5 to 9 F) under the centre you want: it climbs on while it rests.';
}

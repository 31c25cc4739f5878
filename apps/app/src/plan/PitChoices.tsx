/** Choices about a pit: which one, what it burns, how hot it is held, and who watches it. */
import { clamp, spanFromK } from '@ostrin/core/quantity';
import { presetOf, PRESETS, sugarCaution } from '@ostrin/core/catalogue';
import { capital, cautionWords, spanWords, temperatureWords } from '@ostrin/wording';
import type { PitRecord } from '@ostrin/contract/types';
import { TextInput } from 'react-native';
import { useSavePit } from '../api/queries';
import { COMMON_PIT, isCommonPit } from '../store/commonPit';
import { usualBandK } from '../store/fires';
import { usualPit, type DraftPit } from '../store/request';
import { useSettings } from '../store/settings';
import { BAND_K, PACES, PIT_C, usePlanDraft, SHIFTS, type DraftFire } from '../store/planDraft';
import { Choice, Stepper, TitledChoice } from '../ui/Choice';
import { Note, Notice } from '../ui/Notice';
import { TemperatureStepper } from '../ui/TemperatureStepper';
import { Subhead } from '../ui/Title';

/** Pits of the yard as choices. */
export const pitOptions = (yard: readonly PitRecord[]) =>
  yard.map((p) => ({ value: p.id, label: p.name, note: presetOf(p.preset).name }));

interface WhichPitProps {
  at: string;
  yard: readonly PitRecord[];
  others: readonly string[];
}

/** Another pit for everything that is on this one: of the yard, or, while that is empty, of any kind. */
export function WhichPit(props: WhichPitProps) {
  return isCommonPit({ id: props.at }) ? <FirstPit /> : <PitOfYard {...props} />;
}

function PitOfYard({ at, yard, others }: WhichPitProps) {
  const movePit = usePlanDraft((s) => s.movePit);
  return (
    <>
      <Choice
        label="Pit"
        options={pitOptions(yard.filter((p) => !others.includes(p.id)))}
        value={at}
        onChange={(id) => movePit(at, id, usualPit(yard)!.id)}
      />
      <Note>More pits are added under Yard.</Note>
    </>
  );
}

/** What the first pit is called until its owner names it. */
const FIRST_NAME = 'My pit';

/** Every kind of pit; the chosen one goes into the yard and is planned for. */
function FirstPit() {
  const save = useSavePit();
  const movePit = usePlanDraft((s) => s.movePit);
  const choose = (id: string): void => {
    const { ventNotation } = presetOf(id);
    save.mutate(
      {
        base: null,
        pit: { id, name: FIRST_NAME, preset: id, overrides: {}, ventWay: ventNotation },
      },
      { onSuccess: () => movePit(COMMON_PIT.id, id, COMMON_PIT.id) },
    );
  };
  return (
    <>
      {save.isError ? <Notice tone="warn" title={save.error.message} /> : null}
      <Choice
        label="What you cook on"
        options={Object.values(PRESETS).map((p) => ({ value: p.id, label: capital(p.name) }))}
        value={save.isPending ? save.variables.pit.preset : ''}
        onChange={choose}
      />
      <Note>It is added to your yard. Give it a name and its own sizes there.</Note>
    </>
  );
}

/** How hot it is held. */
export function Pace({ at: { pit, fire } }: { at: DraftPit }) {
  const changeFire = usePlanDraft((s) => s.changeFire);
  const units = useSettings((s) => s.units);
  const notes: Record<number, string> = {
    107: 'slowest, most bark',
    121: 'the usual slow pace',
    135: 'steady, an hour or two shorter; sugar in the rub darkens',
    150: 'fast: saves hours, costs bark; no sugar in the rub',
    163: 'the fastest; no sugar in the rub',
  };
  const sugar = sugarCaution(fire.pitC);
  const { temperature } = units;
  const set = (pitC: number): void => changeFire(pit.id, { pitC });
  const degreesPerK = spanFromK(1, temperature);
  const bandK = fire.bandC ?? usualBandK(pit.preset, fire);
  const setBand = (k: number): void =>
    changeFire(pit.id, { bandC: clamp(k, BAND_K.low, BAND_K.high) });
  return (
    <>
      <TemperatureStepper
        label="Pit"
        c={fire.pitC}
        range={PIT_C}
        onChange={set}
        ends={{
          low: 'Any cooler and the meat stays too long at temperatures where germs grow.',
          high: 'Any hotter is grilling, and Ostrin plans no fire for that.',
        }}
      />
      <Choice
        label="Pit temperature"
        options={PACES.map((c) => ({
          value: c,
          label: temperatureWords(c, units),
          note: notes[c],
        }))}
        value={fire.pitC}
        onChange={set}
      />
      <Subhead>Allowed swing</Subhead>
      <Stepper
        label="Band"
        shown={`± ${spanWords(bandK, units)}`}
        onStep={(by) => setBand(bandK + by / degreesPerK)}
        canDown={bandK > BAND_K.low}
        canUp={bandK < BAND_K.high}
        typed={{
          value: Math.round(spanFromK(bandK, temperature)),
          onType: (v) => setBand(v / degreesPerK),
        }}
        ends={{
          low: 'No fire of wood or charcoal is held closer than that.',
          high: 'A wider band than that is no target any more.',
        }}
      />
      <SecondPace pitId={pit.id} fire={fire} />
      {fire.fan || presetOf(pit.preset).hasFan ? null : <ReadBy pitId={pit.id} fire={fire} />}
      <Note>A wider band means fewer moves and longer sleep; a closer one costs both.</Note>
      {sugar ? <Note>{cautionWords(sugar, units)}</Note> : null}
    </>
  );
}

/** What a second pace begins with where nobody says more, C. */
const SECOND = { downK: 14, upC: 190, lateC: 85 };

const GAUGE_OPTIONS = [
  { value: 'grate', label: 'A probe at the grate', note: 'all figures are given for it' },
  { value: 'lid-dial', label: 'The dial in the lid', note: 'what it should read is worked out' },
  {
    value: 'oven-thermometer',
    label: 'An oven thermometer on the grate',
    note: 'read through a quick look',
  },
] as const;

/** What the pit is read by. */
function ReadBy({ pitId, fire }: { pitId: string; fire: DraftFire }) {
  const change = usePlanDraft((s) => s.changeFire);
  return (
    <>
      <TitledChoice
        label="Read by"
        options={GAUGE_OPTIONS}
        value={fire.gauge ?? 'grate'}
        onChange={(v) => change(pitId, { gauge: v === 'grate' ? undefined : v })}
      />
    </>
  );
}

/** Another heat from when the first piece is so far. */
function SecondPace({ pitId, fire }: { pitId: string; fire: DraftFire }) {
  const change = usePlanDraft((s) => s.changeFire);
  const units = useSettings((s) => s.units);
  const { then } = fire;
  const kind = !then ? 'none' : 'coreC' in then.when ? 'late' : 'bark';
  const choose = (v: typeof kind): void =>
    change(pitId, {
      then:
        v === 'none'
          ? undefined
          : v === 'bark'
            ? { pitC: Math.max(PIT_C.low, fire.pitC - SECOND.downK), when: { barkFirm: true } }
            : { pitC: SECOND.upC, when: { coreC: SECOND.lateC } },
    });
  return (
    <>
      <TitledChoice
        label="And later"
        options={[
          { value: 'none', label: 'The same heat to the end', note: 'simplest to hold' },
          {
            value: 'bark',
            label: 'Another heat once the bark is firm',
            note: 'hot for the bark, then slower for the middle',
          },
          {
            value: 'late',
            label: `Finish hot from ${temperatureWords(SECOND.lateC, units)} inside`,
            note: 'crisps the outside; sugar burns',
          },
        ]}
        value={kind}
        onChange={choose}
      />
      {then ? (
        <TemperatureStepper
          label="Later"
          c={then.pitC}
          range={PIT_C}
          onChange={(pitC) => change(pitId, { then: { ...then, pitC } })}
        />
      ) : null}
    </>
  );
}

/** Who shares the watch. */
export function Crew() {
  const { crew, change } = usePlanDraft();
  const n = Math.max(crew.length, 1);
  const setCount = (count: number): void =>
    change({
      crew: count === 1 ? [] : Array.from({ length: count }, (_, i) => crew[i] ?? SHIFTS[i]!),
    });
  return (
    <>
      <Stepper
        label="People sharing the shifts"
        shown={n === 1 ? 'one' : String(n)}
        onStep={(by) => setCount(n + by)}
        canDown={n > 1}
        canUp={n < SHIFTS.length}
      />
      {crew.map((name, i) => (
        <TextInput
          key={i}
          value={name}
          maxLength={40}
          aria-label={`Name of the ${SHIFTS[i]!.toLowerCase()}`}
          placeholder={SHIFTS[i]}
          onChangeText={(text) => change({ crew: crew.map((c, k) => (k === i ? text : c)) })}
          className="min-h-[52px] rounded-lg border border-edge bg-paper px-4 font-sans text-[17px] text-ink"
        />
      ))}
      <Note>The hours are shared evenly, with handovers at quiet times.</Note>
    </>
  );
}

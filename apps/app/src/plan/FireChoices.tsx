/** Choices about a fire: what it burns, how it is fed, what is left in it, its wood, and whether a fan holds it. */
import { clamp, fromKg, roundTo, toKg } from '@ostrin/core/quantity';
import { presetOf, WOODS } from '@ostrin/core/catalogue';
import { capital, fireChoiceWords, massWords, woodStrengthWords } from '@ostrin/wording';
import { fireOf, firesOf } from '../store/fires';
import { useSettings } from '../store/settings';
import { FEED_MIN, SMOKE_WOODS, usePlanDraft, type DraftFire } from '../store/planDraft';
import { Choice, Stepper, TitledChoice } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { Subhead } from '../ui/Title';

/** The fire, and the wood that smokes. */
export function Fire({ pitId, fire, preset }: { pitId: string; fire: DraftFire; preset: string }) {
  const change = usePlanDraft((s) => s.changeFire);
  const { id: chosen, fuel } = fireOf(preset, fire.fireId);
  const { hasFan, parameters } = presetOf(preset);
  return (
    <>
      <Choice
        label="Fire"
        options={firesOf(preset).map(({ id }) => {
          const { label, note } = fireChoiceWords(id);
          return { value: id, label: capital(label), note };
        })}
        value={chosen}
        onChange={(id) => change(pitId, { fireId: id })}
      />
      {fuel === 'splits' ? (
        <Feeding everyMin={fire.everyMin} onChange={(everyMin) => change(pitId, { everyMin })} />
      ) : null}
      {fuel !== 'splits' && !hasFan ? (
        <>
          <TitledChoice
            label="Thermostat fan"
            options={FAN_OPTIONS}
            value={fire.fan ? 'fan' : 'vents'}
            onChange={(v) => change(pitId, { fan: v === 'fan' })}
          />
        </>
      ) : null}
      {parameters.waterKg > 0 ? (
        <>
          <TitledChoice
            label="Water pan"
            options={WATER_OPTIONS}
            value={fire.water ?? 'best'}
            onChange={(v) => change(pitId, { water: v === 'best' ? undefined : v })}
          />
        </>
      ) : null}
      <Subhead>Left in it from last time</Subhead>
      <Left pitId={pitId} fire={fire} preset={preset} />
      <TitledChoice
        label="Wood"
        columns={2}
        options={SMOKE_WOODS.map((w) => ({
          value: w,
          label: capital(WOODS[w].name),
          note: woodStrengthWords(w),
        }))}
        value={fire.species}
        onChange={(w) => change(pitId, { species: w })}
      />
      {fuel === 'splits' ? null : (
        <Note>Chunks, not chips: chips on bare coals are gone in minutes.</Note>
      )}
    </>
  );
}

const FEEDING_OPTIONS = [
  { value: 'usual', label: 'As is usual', note: 'tried out for this pit' },
  { value: 'own', label: 'As you wish' },
] as const;

/** How often splits go on: as people feed such a pit, or any interval. */
function Feeding({
  everyMin,
  onChange,
}: {
  everyMin: number | undefined;
  onChange: (everyMin: number | undefined) => void;
}) {
  const { low, high, first } = FEED_MIN;
  const set = (min: number): void => onChange(clamp(Math.round(min), low, high));
  return (
    <>
      <TitledChoice
        label="A split every"
        columns={2}
        options={FEEDING_OPTIONS}
        value={everyMin === undefined ? 'usual' : 'own'}
        onChange={(v) => onChange(v === 'own' ? first : undefined)}
      />
      {everyMin === undefined ? null : (
        <>
          <Stepper
            label="Minutes between splits"
            shown={`${everyMin} min`}
            onStep={(by) => set(everyMin + 5 * by)}
            canDown={everyMin > low}
            canUp={everyMin < high}
            typed={{ value: everyMin, onType: set }}
          />
          <Note>Seldom means thick splits: the pit swings more. Often means more visits.</Note>
        </>
      )}
    </>
  );
}

const WATER_OPTIONS = [
  { value: 'best', label: 'What holds best', note: 'worked out for this pit and heat' },
  {
    value: 'filled',
    label: 'Filled hot',
    note: 'steadies a low pit; takes fuel; refill or let it run dry',
  },
  { value: 'empty', label: 'Left empty', note: 'covered with foil; saves fuel, holds hotter' },
] as const;

const FAN_OPTIONS = [
  { value: 'vents', label: 'Held by its vents', note: 'moves by hand; needs no power' },
  { value: 'fan', label: 'A fan is fitted', note: 'holds closer, sleeps longer; needs power' },
] as const;

/** Shares of a full load that may be left, as people see them. */
const LEFT_SHARES = [
  { value: 0, label: 'None' },
  { value: 0.25, label: 'A quarter' },
  { value: 0.5, label: 'Half full' },
] as const;

/** Unburnt charcoal that is still in it, as a mass or a share of full. */
function Left({ pitId, fire, preset }: { pitId: string; fire: DraftFire; preset: string }) {
  const change = usePlanDraft((s) => s.changeFire);
  const units = useSettings((s) => s.units);
  const full = presetOf(preset).fullLoadKg;
  const kg = fire.leftKg ?? 0;
  const set = (v: number): void => change(pitId, { leftKg: clamp(v, 0, full) });
  return (
    <>
      <Stepper
        label="Left"
        shown={kg === 0 ? 'nothing' : massWords(kg, units)}
        onStep={(by) => set(kg + 0.1 * by)}
        canDown={kg > 0}
        canUp={kg < full}
        typed={{
          value: roundTo(fromKg(kg, units.mass), 0.05),
          onType: (v) => set(toKg(v, units.mass)),
        }}
        ends={{ low: 'All of it is new.', high: 'It holds no more.' }}
      />
      <Choice
        label="Share of full"
        columns={3}
        options={LEFT_SHARES}
        value={LEFT_SHARES.find((s) => Math.abs(s.value * full - kg) < 0.02)?.value ?? -1}
        onChange={(share) => set(share * full)}
      />
    </>
  );
}

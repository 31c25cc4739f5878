/** The slip's choices about a pit: which one, what it burns, how hot it is held, and who watches it. */
import { presetOf, WOODS } from '@ostrin/core';
import { fireChoiceWords, temperatureWords } from '@ostrin/wording';
import type { PitRecord } from '@ostrin/contract/types';
import { useState } from 'react';
import { TextInput } from 'react-native';
import { fireOf, firesOf } from '../store/fires';
import { usualPit, type DraftPit } from '../store/request';
import { useSettings } from '../store/settings';
import {
  FEEDS,
  PACES,
  SMOKE_WOODS,
  usePlanDraft,
  WATCHES,
  type DraftFire,
} from '../store/planDraft';
import { Choice, Stepper } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { Subhead } from '../ui/Title';
import { capital } from '../ui/words';

/** Pits of the yard as choices. */
export const pitOptions = (yard: readonly PitRecord[]) =>
  yard.map((p) => ({ value: p.id, label: p.name, note: presetOf(p.preset).name }));

/** Another pit of the yard, not in use yet, for everything that is on this one. */
export function WhichPit({
  at,
  yard,
  others,
}: {
  at: string;
  yard: readonly PitRecord[];
  others: readonly string[];
}) {
  const movePit = usePlanDraft((s) => s.movePit);
  const [now, setNow] = useState(at);
  const [taken] = useState(others);
  return (
    <>
      <Choice
        label="Pit"
        options={pitOptions(yard.filter((p) => !taken.includes(p.id)))}
        value={now}
        onChange={(id) => {
          movePit(now, id, usualPit(yard)!.id);
          setNow(id);
        }}
      />
      <Note>More pits are added under Yard.</Note>
    </>
  );
}

/** The fire, and the wood that smokes. */
export function Fire({ pitId, fire, preset }: { pitId: string; fire: DraftFire; preset: string }) {
  const change = usePlanDraft((s) => s.changeFire);
  return (
    <>
      <Choice
        label="Fire"
        options={firesOf(preset).map(({ id }) => {
          const { label, note } = fireChoiceWords(id);
          return { value: id, label: capital(label), note };
        })}
        value={fireOf(preset, fire.fireId).id}
        onChange={(id) => change(pitId, { fireId: id })}
      />
      {fireOf(preset, fire.fireId).fuel === 'splits' ? (
        <>
          <Subhead>A split each</Subhead>
          <Choice
            label="A split each"
            columns={3}
            options={[
              { value: 0, label: 'Best' },
              ...FEEDS.map((m) => ({ value: m as number, label: `${m} min` })),
            ]}
            value={fire.everyMin ?? 0}
            onChange={(m) => change(pitId, { everyMin: m || null })}
          />
        </>
      ) : null}
      <Subhead>Wood</Subhead>
      <Choice
        label="Wood"
        columns={3}
        options={SMOKE_WOODS.map((w) => ({ value: w, label: capital(WOODS[w].name) }))}
        value={fire.species}
        onChange={(w) => change(pitId, { species: w })}
      />
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
    135: 'steady, an hour or two shorter',
    150: 'fast: saves hours, costs bark',
    163: 'the fastest; sugar in the rub burns',
  };
  return (
    <Choice
      label="Pit temperature"
      options={PACES.map((c) => ({ value: c, label: temperatureWords(c, units), note: notes[c] }))}
      value={fire.pitC}
      onChange={(c) => changeFire(pit.id, { pitC: c })}
    />
  );
}

/** Who shares the watch. */
export function Crew() {
  const { crew, change } = usePlanDraft();
  const n = Math.max(crew.length, 1);
  const setCount = (count: number): void =>
    change({
      crew: count === 1 ? [] : Array.from({ length: count }, (_, i) => crew[i] ?? WATCHES[i]!),
    });
  return (
    <>
      <Stepper
        label="People on the watch"
        shown={n === 1 ? 'one' : String(n)}
        onStep={(by) => setCount(n + by)}
        canDown={n > 1}
        canUp={n < WATCHES.length}
      />
      {crew.map((name, i) => (
        <TextInput
          key={i}
          value={name}
          maxLength={40}
          aria-label={`Name of the ${WATCHES[i]!.toLowerCase()}`}
          placeholder={WATCHES[i]}
          onChangeText={(text) => change({ crew: crew.map((c, k) => (k === i ? text : c)) })}
          className="min-h-[52px] rounded-lg border border-edge bg-paper px-4 font-sans text-[17px] text-ink placeholder:text-soot"
        />
      ))}
      <Note>The hours are shared evenly and handed over where it is quiet.</Note>
    </>
  );
}

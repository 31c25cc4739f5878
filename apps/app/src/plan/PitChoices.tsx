/** The slip's choices about the pit: which one, what it burns, and who watches it. */
import { presetOf, WOODS, type Family } from '@ostrin/core';
import { Text } from 'react-native';
import { usePits } from '../api/queries';
import { FIRES, fireOf } from '../store/fires';
import { MOST_CREW, SMOKE_WOODS, useSlip } from '../store/slip';
import { Choice, Stepper } from '../ui/Choice';
import { Note } from '../ui/Notice';
import { capital } from '../ui/words';

/** A pit of the yard; another one brings its own usual fire. */
export function WhichPit({ at }: { at: string }) {
  const pits = usePits();
  const change = useSlip((s) => s.change);
  return (
    <>
      <Choice
        label="Pit"
        options={(pits.data ?? []).map((p) => ({
          value: p.id,
          label: p.name,
          note: presetOf(p.preset).name,
        }))}
        value={at}
        onChange={(id) => change({ pitId: id, fireId: null })}
      />
      <Note>More pits are added under Yard.</Note>
    </>
  );
}

/** The fire, and the wood that smokes. */
export function Fire({ family }: { family: Family }) {
  const { fireId, species, change } = useSlip();
  return (
    <>
      <Choice
        label="Fire"
        options={FIRES[family].map((f) => ({ value: f.id, label: capital(f.label), note: f.note }))}
        value={fireOf(family, fireId).id}
        onChange={(id) => change({ fireId: id })}
      />
      <Text className="font-sans-bold text-ink text-[16px] pt-2">Wood</Text>
      <Choice
        label="Wood"
        columns={3}
        options={SMOKE_WOODS.map((w) => ({ value: w, label: capital(WOODS[w].name) }))}
        value={species}
        onChange={(w) => change({ species: w })}
      />
    </>
  );
}

/** How many share the watch. */
export function Crew() {
  const { crew, change } = useSlip();
  const n = Math.max(crew, 1);
  return (
    <>
      <Stepper
        label="People on the watch"
        shown={n === 1 ? 'one' : String(n)}
        onStep={(by) => change({ crew: n + by })}
        canDown={n > 1}
        canUp={n < MOST_CREW}
      />
      <Note>The hours are shared evenly and handed over where it is quiet.</Note>
    </>
  );
}

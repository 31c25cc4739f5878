/** The grate of a plan: where pieces lie one after the other, load by load. */
import type { GratePlan, RequestMeat } from '@ostrin/core';
import { cutOf } from '@ostrin/core/catalogue';
import { capital } from '@ostrin/wording';
import { useMemo, useState, type ComponentProps } from 'react';
import { Choice } from '../ui/Choice';
import { GrateEditor } from './GrateEditor';

/** What lies on a grate together, load after load. */
function loadsOf(grate: GratePlan): GratePlan[] {
  const rounds = [...new Set(grate.laid.map((p) => p.round ?? 0))].sort((a, b) => a - b);
  return rounds.length <= 1
    ? [grate]
    : rounds.map((round) => ({ ...grate, laid: grate.laid.filter((p) => p.round === round) }));
}

/** `Briskets and racks of spare ribs`: what lies in one load. */
function loadWords({ laid }: GratePlan, meats: readonly RequestMeat[]): string {
  const here = new Set(laid.map((p) => p.meat));
  const names = meats.filter((m) => here.has(m.id)).map((m) => cutOf(m.cut).plural);
  return capital(names.join(' and '));
}

export function GrateLoads(props: ComponentProps<typeof GrateEditor>) {
  const { grate, meats } = props;
  const loads = useMemo(() => loadsOf(grate), [grate]);
  const [shown, setShown] = useState(0);
  return (
    <>
      {loads.length > 1 ? (
        <Choice
          label="What lies on the grate"
          options={loads.map((load, i) => ({
            value: i,
            label: loadWords(load, meats),
            note: i === 0 ? 'first' : 'after that',
          }))}
          value={shown}
          onChange={setShown}
        />
      ) : null}
      <GrateEditor {...props} grate={loads[shown] ?? loads[0]!} />
    </>
  );
}

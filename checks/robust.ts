/** No knife edge: the pit's rows again with one parameter after another moved by a tenth. */
import { PRESETS } from '@ostrin/core';
import { CHAR } from '@ostrin/core/fire/char';
import { HEAPS } from '@ostrin/core/fire/heaps';
import { WOOD } from '@ostrin/core/fire/parcel';
import { INSIDE } from '@ostrin/core/pit/closures';
import { HOPPER } from '@ostrin/core/pit/hopper';
import { KAMADO } from '@ostrin/core/pit/kamado';
import { KETTLE } from '@ostrin/core/pit/kettle';
import { OFFSET } from '@ostrin/core/pit/offset';
import { pitRows } from './run';

/** One parameter that can be moved. */
export interface Knob {
  name: string;
  move(factor: number): void;
}

/** Temperatures in K would move by far more than they are uncertain: they move by a tenth of their plausible range. */
const RANGE_K = 60;

const knobsOf = (group: string, of: object): Knob[] =>
  Object.entries(of)
    .filter(([, v]) => typeof v === 'number')
    .map(([key, base]) => ({
      name: `${group}.${key}`,
      move: (factor: number) => {
        const kelvins = key.endsWith('K') && base > 400 && key !== 'activationK';
        const moved = kelvins ? base + (factor - 1) * RANGE_K : base * factor;
        (of as Record<string, number>)[key] = moved;
      },
    }));

/** Every closure, and every figure of every preset moved for all presets together. */
export function knobs(): Knob[] {
  const presets = Object.values(PRESETS).map((p) => ({ pit: p.pit, base: { ...p.pit } }));
  const keys = Object.keys(presets[0]!.base) as (keyof (typeof presets)[0]['base'])[];
  return [
    ...knobsOf('char', CHAR),
    ...knobsOf('wood', WOOD),
    ...knobsOf('heaps', HEAPS),
    ...knobsOf('inside', INSIDE),
    ...knobsOf('kettle', KETTLE),
    ...knobsOf('kamado', KAMADO),
    ...knobsOf('offset', OFFSET),
    ...knobsOf('hopper', HOPPER),
    ...keys.map((key) => ({
      name: `pit.${key}`,
      move: (factor: number) => presets.forEach((p) => (p.pit[key] = p.base[key] * factor)),
    })),
  ];
}

export interface Moved {
  knob: string;
  factor: number;
  /** Share of the rows met before that are still met, and those that are not. */
  share: number;
  lost: string[];
}

/** Moves each knob down and up by a tenth, one at a time, and puts it back. */
export function moved(list: readonly Knob[]): Moved[] {
  const before = pitRows()
    .filter((r) => r.pass)
    .map((r) => r.id);
  return list.flatMap((knob) =>
    [0.9, 1.1].map((factor) => {
      knob.move(factor);
      const now = new Map(pitRows().map((r) => [r.id, r.pass]));
      knob.move(1);
      const lost = before.filter((id) => !now.get(id));
      return { knob: knob.name, factor, share: 1 - lost.length / before.length, lost };
    }),
  );
}

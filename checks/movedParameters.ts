/** No knife edge: the pit's rows again with one parameter after another moved by a tenth. */
import {
  CHAR,
  HEAP_CLOSURES,
  HOPPER,
  KAMADO,
  KETTLE,
  OFFSET,
  PIT_CLOSURES,
  PRESETS,
  WOOD,
} from '@ostrin/core/internals';
import { pitRows } from './run';

/** One parameter that can be moved. */
interface MovableParameter {
  name: string;
  move(factor: number): void;
}

/** Temperatures in K would move by far more than they are uncertain: they move by a tenth of their plausible range. */
const RANGE_K = 60;

const parametersOf = (group: string, of: object): MovableParameter[] =>
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
export function movableParameters(): MovableParameter[] {
  const presets = Object.values(PRESETS).map((p) => ({
    pit: p.parameters,
    base: { ...p.parameters },
  }));
  const keys = Object.keys(presets[0]!.base) as (keyof (typeof presets)[0]['base'])[];
  return [
    ...parametersOf('char', CHAR),
    ...parametersOf('wood', WOOD),
    ...parametersOf('heaps', HEAP_CLOSURES),
    ...parametersOf('inside', PIT_CLOSURES),
    ...parametersOf('kettle', KETTLE),
    ...parametersOf('kamado', KAMADO),
    ...parametersOf('offset', OFFSET),
    ...parametersOf('hopper', HOPPER),
    ...keys.map((key) => ({
      name: `pit.${key}`,
      move: (factor: number) => presets.forEach((p) => (p.pit[key] = p.base[key] * factor)),
    })),
  ];
}

interface MovedRows {
  knob: string;
  factor: number;
  /** Share of the rows met before that are still met, and those that are not. */
  share: number;
  lost: string[];
}

/** Moves each knob down and up by a tenth, one at a time, and puts it back. */
export function rowsWithParametersMoved(list: readonly MovableParameter[]): MovedRows[] {
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

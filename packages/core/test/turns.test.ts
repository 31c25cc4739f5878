import fc from 'fast-check';
import {
  advance,
  createCook,
  resultOf,
  simulate,
  usualFire,
  presetOf,
  type Scenario,
} from '@ostrin/core/internals';
import { kettle } from '@ostrin/testing';

/** A cook with meat in a preset, on its usual fire. */
const cookIn = (preset: string, seed: number): Scenario => ({
  ...kettle(),
  cooker: { preset, overrides: {} },
  fire: usualFire(presetOf(preset)),
  control: presetOf(preset).hasFan
    ? { mode: 'fan', targetC: 121 }
    : { mode: 'tended', targetC: 115 + seed },
  weather: { ...(kettle().weather as object), windMps: seed } as Scenario['weather'],
  actions: [{ atMin: 20, do: 'meat-on', meat: 'a' }],
  meats: [{ id: 'a', cut: 'pork-shoulder', massKg: 2 + seed / 10, startC: 4 }],
  untilMin: 90,
  everyMin: 10,
});

it('steps two cooks in turn as it steps each alone', () => {
  const presets = ['kettle-57', 'bullet-47', 'offset-light', 'kamado-46', 'hopper-fan'];
  fc.assert(
    fc.property(
      fc.constantFrom(...presets),
      fc.constantFrom(...presets),
      fc.integer({ min: 0, max: 5 }),
      (one, other, seed) => {
        const scenarios = [cookIn(one, seed), cookIn(other, seed + 2)];
        const cooks = scenarios.map((s) => createCook(s));
        for (let min = 1; min <= 90; min++) for (const cook of cooks) advance(cook, min);
        cooks.forEach((cook, i) => {
          const alone = createCook(scenarios[i]!);
          for (let min = 1; min <= 90; min++) advance(alone, min);
          expect(resultOf(cook)).toEqual(resultOf(alone));
        });
        expect(simulate(scenarios[0]!).pitC.at(-1)).not.toBeNull();
      },
    ),
    { numRuns: 6 },
  );
});

import fc from 'fast-check';
import {
  PRESETS,
  simulate,
  usualFire,
  WOODS,
  type Action,
  type WoodId,
} from '@ostrin/core/internals';
import { pit } from '@ostrin/testing';

const RUNS = 300;
const HOURS = 12;

const fraction = fc.double({ min: 0, max: 1, noNaN: true });
const atMin = fc.double({ min: 0, max: HOURS * 60 - 60, noNaN: true });
const doing = <T extends Action['do']>(name: T) => fc.constant(name);
const meat = fc.constant('a');

const action: fc.Arbitrary<Action> = fc.oneof(
  fc.record({ atMin, do: doing('set-vents'), intakeFraction: fraction, exhaustFraction: fraction }),
  fc.record({ atMin, do: doing('lid-open'), seconds: fc.integer({ min: 1, max: 1200 }) }),
  fc.record({
    atMin,
    do: doing('door'),
    openFraction: fraction,
    seconds: fc.integer({ min: 1, max: 3600 }),
  }),
  fc.record({
    atMin,
    do: doing('add-fuel'),
    fuel: fc.constantFrom('briquette' as const, 'briquette-ashy' as const, 'lump' as const),
    pieces: fc.integer({ min: 1, max: 40 }),
    lit: fc.boolean(),
  }),
  fc.record({
    atMin,
    do: doing('add-fuel'),
    fuel: fc.constant('splits' as const),
    species: fc.constantFrom(...(Object.keys(WOODS) as WoodId[])),
    pieces: fc.integer({ min: 1, max: 2 }),
    massKg: fc.double({ min: 0.3, max: 2.5, noNaN: true }),
    moistureFraction: fc.double({ min: 0.05, max: 0.45, noNaN: true }),
    lit: fc.boolean(),
    preheated: fc.boolean(),
  }),
  fc.record({
    atMin,
    do: doing('add-wood'),
    species: fc.constantFrom(...(Object.keys(WOODS) as WoodId[])),
    massG: fc.integer({ min: 20, max: 400 }),
  }),
  fc.record({ atMin, do: doing('rake') }),
  fc.record({
    atMin,
    do: doing('fill-water'),
    massKg: fc.double({ min: 0.1, max: 4, noNaN: true }),
  }),
  fc.record({ atMin, do: doing('fan'), on: fc.boolean() }),
  fc.record({ atMin, do: doing('set-target'), targetC: fc.integer({ min: 60, max: 250 }) }),
  fc.record({ atMin, do: doing('meat-on'), meat }),
  fc.record({ atMin, do: doing('meat-off'), meat }),
  fc.record({ atMin, do: doing('spritz'), meat }),
);

describe('ledgers and bounds of every preset', () => {
  it(`closes and stays sane under ${RUNS} random action sequences over ${HOURS} hours`, () => {
    const presets = Object.values(PRESETS);
    let next = 0;
    fc.assert(
      fc.property(
        fc.array(action, { maxLength: 14 }),
        fc.integer({ min: -25, max: 40 }),
        fc.double({ min: 0, max: 14, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.constantFrom('vents' as const, 'fan' as const, 'tended' as const),
        (actions, airC, windMps, leakTimes, mode) => {
          // Every preset in turn, so that each gets its share whatever the draw.
          const preset = presets[next++ % presets.length]!;
          const arrangement = preset.arrangements[next % preset.arrangements.length]!;
          const run = simulate(
            pit(preset.id, actions, {
              cooker: {
                preset: preset.id,
                overrides: { leakCm2: preset.parameters.leakCm2 * leakTimes },
              },
              fire: usualFire(preset, arrangement),
              control: { mode, targetC: 121 },
              weather: {
                airC,
                windMps,
                relativeHumidityFraction: 0.7,
                altitudeM: 300,
                rainMmPerH: 2,
              },
              meats: [{ id: 'a', cut: 'mutton-shoulder', massKg: 2.5, count: 2, startC: 4 }],
              untilMin: HOURS * 60,
              everyMin: 10,
            }),
          );
          expect(run.balance.energyResidualFraction).toBeLessThan(0.005);
          expect(run.balance.massResidualFraction).toBeLessThan(0.005);
          // One expectation a run: thousands of them would take longer than the cooks.
          const { fuel } = run;
          const wrong = [
            ...[run.pitC, run.domeC, run.fireC, ...run.grate.map((g) => g.C)]
              .flat()
              .filter((c) => !(c !== null && c > airC - 30 && c < 1400)),
            ...run.oxygenFraction.filter((y) => !(y !== null && y >= 0 && y <= 0.232)),
            ...[fuel.leftKg, fuel.unlitKg, fuel.woodLeftKg, fuel.ashKg, fuel.waterLeftKg].filter(
              (kg) => !(kg >= 0),
            ),
            ...run.meats[0]!.massKg.filter((kg) => kg !== null && !(kg > 0.3)),
          ];
          expect(wrong).toEqual([]);
        },
      ),
      { numRuns: RUNS },
    );
  }, 240_000);
});

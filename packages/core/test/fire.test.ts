import fc from 'fast-check';
import { CHARCOALS, dafShare, settledC, simulate, snakePieces, type Action } from '../src';
import { createSnake, LONGEST_ARC } from '../src/fire/snake';
import { kettle, vents } from './scenarios';

const peak = (c: readonly (number | null)[]): number => Math.max(...c.map((v) => v ?? -Infinity));

describe('the snake', () => {
  it('counts as many pieces as practice says', () => {
    const pieces = snakePieces({ side: 2, layers: 2, arcDegrees: 290 }, 0.57);
    expect(pieces).toBeGreaterThanOrEqual(105);
    expect(pieces).toBeLessThanOrEqual(112);
  });

  it('keeps its fuel whatever way the front is pushed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: LONGEST_ARC }),
        fc.array(fc.double({ min: -0.3, max: 0.5, noNaN: true }), { maxLength: 20 }),
        (arcDegrees, moves) => {
          const snake = createSnake(
            { side: 2, layers: 2, arcDegrees },
            CHARCOALS.briquette,
            0.57,
            8,
          );
          const all = snake.unlitKg() + snake.litKg;
          let lit = snake.litKg;
          for (const m of moves) lit += snake.advance(m);
          expect(snake.unlitKg() + lit).toBeCloseTo(all, 9);
          expect(snake.unlitKg()).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('is not changed by a copy', () => {
    const snake = createSnake(
      { side: 2, layers: 1, arcDegrees: 200 },
      CHARCOALS.briquette,
      0.57,
      8,
    );
    const before = snake.unlitKg();
    snake.clone().advance(0.4);
    expect(snake.unlitKg()).toBe(before);
  });
});

describe('the kettle', () => {
  it('is hotter the wider its vents stand, and dies shut', () => {
    const at = (i: number, e: number): number =>
      settledC(simulate(kettle({ actions: [vents(0, 1, 1), vents(15, i, e)] })).pitC, 1);
    const ladder = [at(0, 0), at(0.25, 0.25), at(0.25, 0.5), at(0.5, 0.5), at(0.5, 1)];
    for (let i = 1; i < ladder.length; i++) expect(ladder[i]).toBeGreaterThan(ladder[i - 1]!);
    expect(ladder[0]).toBeLessThan(90);
  });

  it('loses to cold and to a longer lid, and saves fuel when shut', () => {
    const warm = simulate(kettle());
    const cold = simulate(
      kettle({
        weather: {
          airC: -8,
          windMps: 1,
          relativeHumidityFraction: 0.6,
          altitudeM: 0,
          rainMmPerH: 0,
        },
      }),
    );
    expect(settledC(cold.pitC, 1)).toBeLessThan(settledC(warm.pitC, 1));
    const shut = simulate(
      kettle({ actions: [vents(0, 1, 1), vents(15, 0.25, 0.5), vents(120, 0, 0)], untilMin: 600 }),
    );
    const open = simulate(kettle({ untilMin: 600 }));
    expect(shut.fuel.leftKg).toBeGreaterThan(open.fuel.leftKg + 0.3);
  });

  it('runs out when a short snake is through, and says when', () => {
    const run = simulate(
      kettle({ fire: { ...kettle().fire!, arcDegrees: 90, woodChunks: [] }, untilMin: 500 }),
    );
    expect(run.fuel.outAtMin).not.toBeNull();
    expect(run.fuel.leftKg).toBeLessThan(0.1);
    expect(run.pitC.at(-1)!).toBeLessThan(40);
    const longer = simulate(
      kettle({
        fire: { ...kettle().fire!, arcDegrees: 90, woodChunks: [] },
        actions: [
          vents(0, 1, 1),
          vents(15, 0.25, 0.5),
          { atMin: 60, do: 'add-fuel', fuel: 'briquette', pieces: 40, lit: false },
        ],
        untilMin: 500,
      }),
    );
    expect(longer.fuel.outAtMin ?? Infinity).toBeGreaterThan(run.fuel.outAtMin! + 90);
    expect(longer.fuel.addedKg).toBeCloseTo(40 * 0.026, 6);
  });

  it('smokes while a chunk burns and clears afterwards', () => {
    const run = simulate(kettle());
    const first = run.smoke.findIndex((s) => s !== 'clear');
    expect(first).toBeGreaterThanOrEqual(0);
    expect(first).toBeLessThan(30);
    expect(run.smoke.at(-1)).toBe('clear');
    const none = simulate(kettle({ fire: { ...kettle().fire!, woodChunks: [] } }));
    expect(none.smoke.every((s) => s === 'clear')).toBe(true);
  });

  it('gets hotter over lit fuel thrown in', () => {
    const add: Action = { atMin: 120, do: 'add-fuel', fuel: 'briquette', pieces: 10, lit: true };
    const more = simulate(kettle({ actions: [...kettle().actions, add], untilMin: 160 }));
    const same = simulate(kettle({ untilMin: 160 }));
    expect(peak(more.pitC.slice(121))).toBeGreaterThan(peak(same.pitC.slice(121)) + 5);
    expect(more.balance.energyResidualFraction).toBeLessThan(0.005);
  });

  it('closes its ledgers and stays sane under whatever is done to it', () => {
    const fraction = fc.double({ min: 0, max: 1, noNaN: true });
    const atMin = fc.double({ min: 0, max: 420, noNaN: true });
    const action: fc.Arbitrary<Action> = fc.oneof(
      fc.record({
        atMin,
        do: fc.constant('set-vents' as const),
        intakeFraction: fraction,
        exhaustFraction: fraction,
      }),
      fc.record({
        atMin,
        do: fc.constant('lid-open' as const),
        seconds: fc.integer({ min: 1, max: 1200 }),
      }),
      fc.record({
        atMin,
        do: fc.constant('add-fuel' as const),
        fuel: fc.constant('briquette' as const),
        pieces: fc.integer({ min: 1, max: 40 }),
        lit: fc.boolean(),
      }),
      fc.record({
        atMin,
        do: fc.constant('add-wood' as const),
        species: fc.constantFrom('cherry' as const, 'oak' as const),
        massG: fc.integer({ min: 20, max: 400 }),
      }),
      fc.record({ atMin, do: fc.constant('meat-on' as const), meat: fc.constant('a') }),
      fc.record({ atMin, do: fc.constant('meat-off' as const), meat: fc.constant('a') }),
    );
    fc.assert(
      fc.property(
        fc.array(action, { maxLength: 12 }),
        fc.integer({ min: -25, max: 40 }),
        fc.double({ min: 0, max: 14, noNaN: true }),
        fc.integer({ min: 3, max: 40 }),
        (actions, airC, windMps, leakCm2) => {
          const run = simulate(
            kettle({
              cooker: { preset: 'kettle-57', overrides: { leakCm2 } },
              weather: {
                airC,
                windMps,
                relativeHumidityFraction: 0.7,
                altitudeM: 300,
                rainMmPerH: 2,
              },
              actions,
              meats: [{ id: 'a', cut: 'mutton-shoulder', massKg: 2.5, count: 2, startC: 4 }],
              untilMin: 480,
              everyMin: 5,
            }),
          );
          expect(run.balance.energyResidualFraction).toBeLessThan(0.005);
          expect(run.balance.massResidualFraction).toBeLessThan(0.005);
          for (const series of [run.pitC, run.domeC, run.fireC]) {
            for (const c of series) {
              expect(Number.isFinite(c)).toBe(true);
              expect(c).toBeGreaterThan(airC - 30);
              expect(c).toBeLessThan(1400);
            }
          }
          expect(run.fuel.leftKg).toBeGreaterThanOrEqual(0);
          expect(run.fuel.burnedKg).toBeLessThanOrEqual(
            run.fuel.startedKg + run.fuel.addedKg + 0.24 * 12 * 0.4 + 1e-6,
          );
          for (const kg of run.meats[0]!.massKg) {
            if (kg !== null) expect(kg).toBeGreaterThan(0.3);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('burns no more than it had', () => {
    const run = simulate(kettle({ untilMin: 900, everyMin: 10 }));
    expect(run.fuel.burnedKg + run.fuel.leftKg).toBeCloseTo(
      run.fuel.startedKg + (0.24 * 0.06 * 0.86) / dafShare(CHARCOALS.briquette),
      2,
    );
  });
});

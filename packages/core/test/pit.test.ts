import {
  applyAction,
  advance,
  createCook,
  dafFraction,
  CHARCOALS,
  PRESETS,
  settledC,
  simulate,
  usualFire,
  presetOf,
  sectorsOverFire,
  type Action,
  type Result,
} from '@ostrin/core/internals';
import { kettle, pit, SNAKE, stickBurner, vents } from '@ostrin/testing';

const peak = (c: readonly (number | null)[]): number => Math.max(...c.map((v) => v ?? -Infinity));
const settled = (r: Result): number => settledC(r.pitC, 1);
const day = (part: object) => ({
  airC: 10,
  windMps: 1,
  relativeHumidityFraction: 0.6,
  altitudeM: 0,
  rainMmPerH: 0,
  ...part,
});

describe('the kettle', () => {
  it('is hotter the wider its vents stand, and dies shut', () => {
    const at = (i: number, e: number): number =>
      settled(simulate(kettle({ actions: [vents(0, 1, 1), vents(15, i, e)] })));
    const ladder = [at(0, 0), at(0.25, 0.25), at(0.25, 0.5), at(0.5, 0.5), at(0.5, 1)];
    for (let i = 1; i < ladder.length; i++) expect(ladder[i]).toBeGreaterThan(ladder[i - 1]!);
    expect(ladder[0]).toBeLessThan(90);
  });

  it('loses to cold, rain and height, and saves fuel when shut', () => {
    const mild = settled(simulate(kettle()));
    expect(settled(simulate(kettle({ weather: day({ airC: -8 }) })))).toBeLessThan(mild);
    expect(settled(simulate(kettle({ weather: day({ rainMmPerH: 8 }) })))).toBeLessThan(mild - 2);
    const high = simulate(kettle({ weather: day({ altitudeM: 3000 }) }));
    expect(settled(high)).toBeLessThan(mild);
    expect(high.draughtGPerS[200]!).toBeLessThan(simulate(kettle()).draughtGPerS[200]!);
    const shut = simulate(
      kettle({ actions: [vents(0, 1, 1), vents(15, 0.25, 0.5), vents(120, 0, 0)], untilMin: 600 }),
    );
    const open = simulate(kettle({ untilMin: 600 }));
    expect(shut.fuel.unlitKg).toBeGreaterThan(open.fuel.leftKg + 0.3);
  });

  it('runs out when a short snake is through, says when, and burns on when lengthened', () => {
    const fire = { ...SNAKE, arcDegrees: 90, woodChunks: [] };
    const run = simulate(kettle({ fire, untilMin: 500 }));
    expect(run.fuel.outAtMin).not.toBeNull();
    expect(run.happened).toContainEqual({ atMin: run.fuel.outAtMin, do: 'fire-out' });
    expect(run.fuel.leftKg).toBeLessThan(0.1);
    expect(run.pitC.at(-1)!).toBeLessThan(40);
    const add: Action = { atMin: 60, do: 'add-fuel', fuel: 'briquette', pieces: 40, lit: false };
    const longer = simulate(
      kettle({ fire, actions: [vents(0, 1, 1), vents(15, 0.25, 0.5), add], untilMin: 500 }),
    );
    expect(longer.fuel.outAtMin ?? Infinity).toBeGreaterThan(run.fuel.outAtMin! + 90);
    expect(longer.fuel.addedKg).toBeCloseTo(40 * 0.026, 6);
    expect(longer.piecesLeft!.unlit).toBeLessThan(4);
  });

  it('smokes while a chunk burns, clears afterwards, and is hotter over the fire', () => {
    const run = simulate(kettle());
    const first = run.smoke.findIndex((s) => s !== 'clear');
    expect(first).toBeGreaterThanOrEqual(0);
    expect(first).toBeLessThan(40);
    expect(run.smoke.at(-1)).toBe('clear');
    expect(run.smokeDose).toBeGreaterThan(1);
    const none = simulate(kettle({ fire: { ...SNAKE, woodChunks: [] } }));
    expect(none.smoke.every((s) => s === 'clear')).toBe(true);
    const at = (name: string): number => run.grate.find((g) => g.at === name)!.C[200]!;
    expect(at('over-fire')).toBeGreaterThan(at('middle') + 20);
    expect(at('middle')).toBeGreaterThan(at('away'));
  });

  it('tells which sectors of the grate lie over the burning part as it walks round', () => {
    const run = simulate(kettle({ untilMin: 420 }));
    const over = (min: number): number[] =>
      sectorsOverFire(run.tailDegrees[min]!, run.frontDegrees[min]!).flatMap((on, i) =>
        on ? [i] : [],
      );
    expect(over(30)[0]).toBe(0);
    expect(over(400)[0]).toBeGreaterThan(over(120)[0]!);
    for (let min = 1; min <= 420; min++) {
      expect(run.tailDegrees[min]!).toBeLessThanOrEqual(run.frontDegrees[min]!);
    }
    expect(sectorsOverFire(50, 50)).toEqual(Array(8).fill(false));
  });

  it('gets hotter over lit fuel thrown in', () => {
    const add: Action = { atMin: 120, do: 'add-fuel', fuel: 'briquette', pieces: 10, lit: true };
    const more = simulate(kettle({ actions: [...kettle().actions, add], untilMin: 160 }));
    const same = simulate(kettle({ untilMin: 160 }));
    expect(peak(more.pitC.slice(121))).toBeGreaterThan(peak(same.pitC.slice(121)) + 5);
  });

  it('burns no more than it had', () => {
    const run = simulate(kettle({ untilMin: 900, everyMin: 10 }));
    expect(run.fuel.burnedKg + run.fuel.leftKg).toBeCloseTo(
      run.fuel.startedKg + (0.24 * 0.06 * 0.86) / dafFraction(CHARCOALS.briquette),
      2,
    );
  });
});

describe('every preset', () => {
  it('states its load, its vents and ranges that hold its own figures', () => {
    for (const p of Object.values(PRESETS)) {
      expect(p.fullLoadKg).toBeGreaterThan(1);
      expect(p.ventTravel.intake).not.toBe('');
      for (const [key, [low, high]] of Object.entries(p.plausibleRanges)) {
        const own = p.parameters[key as keyof typeof p.parameters];
        expect([p.id, key, own >= low && own <= high]).toEqual([p.id, key, true]);
      }
      const { positions, coalViewFractions: coalViews } = p.layout(p.parameters);
      for (const at of positions) {
        expect(at.gasShares.reduce((s, [, x]) => s + x, 0)).toBeCloseTo(1);
        expect(at.viewShares.reduce((s, [, x]) => s + x, 0)).toBeCloseTo(1);
      }
      expect(coalViews.reduce((s, [, x]) => s + x, 0)).toBeCloseTo(1);
    }
  });

  it('is tended to near its target, but a water smoker stays where its water holds it', () => {
    for (const id of Object.keys(PRESETS)) {
      const run = simulate(
        pit(id, [], {
          control: { mode: 'tended', targetC: id === 'bullet-47' ? 112 : 130 },
          untilMin: 360,
        }),
      );
      expect([id, Math.abs(settled(run) - (id === 'bullet-47' ? 112 : 130)) < 15]).toEqual([
        id,
        true,
      ]);
    }
  });
});

describe('the stick burner', () => {
  it('is hottest near the firebox, unless the flow is reversed', () => {
    const run = simulate(stickBurner());
    const at = (r: Result, name: string): number =>
      r.grate
        .find((g) => g.at === name)!
        .C.slice(150)
        .reduce<number>((s, c) => s + c!, 0) / 151;
    expect(at(run, 'near')).toBeGreaterThan(at(run, 'middle'));
    expect(at(run, 'middle')).toBeGreaterThan(at(run, 'far'));
    const back = simulate({
      ...stickBurner(),
      cooker: { preset: 'offset-heavy-reverse', overrides: {} },
    });
    expect(Math.abs(at(back, 'near') - at(back, 'far'))).toBeLessThan(
      at(run, 'near') - at(run, 'far'),
    );
  });

  it('falls when the damper is half shut and smoulders when choked', () => {
    const open = simulate(stickBurner());
    const half = simulate(stickBurner({}, [vents(200, 1, 0.35)]));
    expect(half.pitC[215]!).toBeLessThan(open.pitC[215]! - 3);
    const choked = simulate(stickBurner({}, [vents(150, 0.03, 0.03)]));
    expect(
      choked.smoke.slice(155, 190).filter((s) => s !== 'clear' && s !== 'thin-blue').length,
    ).toBeGreaterThan(10);
  });

  it('breathes more through an open fire door', () => {
    const door: Action = { atMin: 200, do: 'door', openFraction: 1, seconds: 600 };
    const shut = simulate(stickBurner({}, [vents(150, 0.15, 1)]));
    const open = simulate(stickBurner({}, [vents(150, 0.15, 1), door]));
    expect(open.draughtGPerS[205]!).toBeGreaterThan(shut.draughtGPerS[205]! * 1.1);
    expect(open.draughtGPerS[230]! / shut.draughtGPerS[230]!).toBeLessThan(1.1);
  });
});

describe('what goes wrong and is put right', () => {
  it('chokes on its own ash until it is raked', () => {
    const ashy = { ...usualFire(presetOf('kamado-46')), fuel: 'briquette-ashy' as const };
    const run = (extra: Action[]) =>
      simulate(
        pit('kamado-46', [vents(0, 0.4, 0.6), vents(45, 0.3, 0.6), ...extra], {
          fire: ashy,
          untilMin: 320,
        }),
      );
    expect(run([{ atMin: 250, do: 'rake' }]).draughtGPerS[260]!).toBeGreaterThan(
      run([]).draughtGPerS[260]! * 1.05,
    );
  });

  it('holds the water smoker down while there is water, and lets it climb when dry', () => {
    const acts = [vents(0, 1, 1), vents(30, 0.25, 1)];
    const dry = simulate(
      pit('bullet-47', acts, { cooker: { preset: 'bullet-47', overrides: { waterKg: 1 } } }),
    );
    const at = dry.happened.find((h) => h.do === 'pan-dry')!.atMin;
    expect(at).toBeGreaterThan(40);
    expect(peak(dry.pitC.slice(at, at + 60))).toBeGreaterThan(dry.pitC[at - 10]! + 15);
    const filled = simulate(
      pit('bullet-47', [...acts, { atMin: at - 5, do: 'fill-water', massKg: 4 }], {
        cooker: { preset: 'bullet-47', overrides: { waterKg: 1 } },
      }),
    );
    expect(filled.pitC[at + 40]!).toBeLessThan(dry.pitC[at + 40]! - 10);
    expect(filled.balance.massResidualFraction).toBeLessThan(1e-9);
  });

  it('holds a set point with a fan, falls in a power cut and comes back', () => {
    const run = simulate(
      pit(
        'hopper-fan',
        [
          { atMin: 180, do: 'fan', on: false },
          { atMin: 240, do: 'fan', on: true },
          { atMin: 330, do: 'set-target', targetC: 150 },
        ],
        {
          control: { mode: 'fan', targetC: 121 },
          untilMin: 420,
        },
      ),
    );
    for (const c of run.pitC.slice(120, 180)) expect(Math.abs(c! - 121)).toBeLessThan(5);
    expect(run.pitC[239]!).toBeLessThan(105);
    expect(Math.abs(run.pitC[325]! - 121)).toBeLessThan(6);
    expect(Math.abs(run.pitC[415]! - 150)).toBeLessThan(6);
  });

  it('flares when a starved hot fire is opened fast, and only then', () => {
    const starved = createCook(
      pit('kamado-46', [vents(0, 1, 1), vents(60, 0, 0)], { untilMin: 200 }),
    );
    advance(starved, 63);
    applyAction(starved, { atMin: 63, do: 'lid-open', seconds: 30 });
    expect(starved.happened.map((h) => h.do)).toContain('flare');
    const calm = createCook(kettle());
    advance(calm, 150);
    applyAction(calm, { atMin: 150, do: 'lid-open', seconds: 30 });
    expect(calm.happened.map((h) => h.do)).not.toContain('flare');
  });
});

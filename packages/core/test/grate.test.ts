import {
  type Action,
  type MeatResult,
  type MeatSpec,
  type Place,
  type Scenario,
  simulate,
  sugarCaution,
} from '@ostrin/core/internals';
import { held, kettle, stickBurner } from '@ostrin/testing';

const RIBS: MeatSpec = { id: 'a', cut: 'spare-ribs', massKg: 1.2, startC: 4 };
const on = (atMin: number, meat = 'a'): Action => ({ atMin, do: 'meat-on', meat });
const first = (s: Scenario) => simulate(s).meats[0]!;
const cautions = (m: MeatResult) => m.cautions.map((c) => c.id);
/** Ribs in a held pit with more done to them. */
const ribs = (actions: Action[], part: Partial<MeatSpec> = {}, pitC = 130) => {
  const base = held(pitC, { cut: 'spare-ribs', massKg: 1.2, ...part });
  return first({ ...base, actions: [...base.actions, ...actions], untilMin: 420 });
};

describe('places on the grate', () => {
  const offset = (places: (Place | undefined)[], extra: Action[] = []) =>
    simulate(
      stickBurner(
        {
          meats: places.map((at, i) => ({ ...RIBS, id: `m${i}`, at })),
          untilMin: 240,
        },
        [...places.map((_, i) => on(60, `m${i}`)), ...extra],
      ),
    );

  it('cook faster near the firebox than far from it', () => {
    const run = offset(['near', 'middle', 'far']);
    const [near, middle, far] = run.meats.map((m) => m.coreC[150]!) as [number, number, number];
    expect(near).toBeGreaterThan(middle);
    expect(middle).toBeGreaterThan(far);
    expect(run.balance.energyResidualFraction).toBeLessThan(0.005);
  });

  it('are the middle when nothing is said, and change when a piece is moved', () => {
    const run = offset(
      [undefined, 'middle', 'far'],
      [{ atMin: 100, do: 'move', meat: 'm2', to: 'near' }],
    );
    expect(run.meats[0]!.coreC[200]).toBeCloseTo(run.meats[1]!.coreC[200]!, 1);
    const stayed = offset([undefined, 'middle', 'far']);
    expect(run.meats[2]!.coreC[90]).toBe(stayed.meats[2]!.coreC[90]);
    expect(run.meats[2]!.coreC[180]).toBeGreaterThan(stayed.meats[2]!.coreC[180]! + 3);
  });

  it('has room for pieces that come and go at their own times, and feels their load', () => {
    const meats = ['a', 'b'].map((id) => ({ id, cut: 'pork-shoulder', massKg: 4, startC: 4 }));
    const actions = kettle().actions;
    const run = (more: Action[]) =>
      simulate(kettle({ meats, actions: [...actions, ...more], untilMin: 260 }));
    const both = run([on(60, 'a'), on(120, 'b'), { atMin: 200, do: 'meat-off', meat: 'a' }]);
    expect(both.meats[1]!.coreC[119]).toBeNull();
    expect(both.meats[1]!.coreC[121]).not.toBeNull();
    expect(both.meats[0]!.coreC[220]).toBeNull();
    const one = run([on(60, 'a')]);
    expect(both.pitC[140]!).toBeLessThan(one.pitC[140]! - 0.5);
    expect(both.balance.energyResidualFraction).toBeLessThan(0.005);
  });
});

describe('what is done to a piece', () => {
  it('takes up most smoke while it is cool and wet, and none in a wrap', () => {
    const smoked = first(
      kettle({
        meats: [RIBS],
        actions: [...kettle().actions, on(20), { atMin: 120, do: 'wrap', meat: 'a', with: 'foil' }],
        untilMin: 200,
      }),
    );
    const at = (min: number): number => smoked.smokeTaken[min]!;
    expect(at(60)).toBeGreaterThan(0);
    expect(at(199)).toBe(at(121));
    const late = first(
      kettle({ meats: [{ ...RIBS, startC: 30 }], actions: [...kettle().actions, on(20)] }),
    );
    expect(late.smokeTaken[60]!).toBeLessThan(at(60));
  });

  it('slows down under spray and sauce; sauce sets', () => {
    const plain = ribs([]);
    const sprayed = ribs(
      [120, 150, 180].map((atMin) => ({ atMin, do: 'spritz', meat: 'a' }) as const),
    );
    expect(sprayed.coreC[200]!).toBeLessThan(plain.coreC[200]!);
    const sauced = ribs([{ atMin: 200, do: 'sauce', meat: 'a' }]);
    expect(sauced.sauceSetAtMin! - 200).toBeGreaterThan(3);
    expect(sauced.sauceSetAtMin! - 200).toBeLessThan(45);
    expect(cautions(sauced)).not.toContain('sugar-burns');
    expect(cautions(ribs([{ atMin: 100, do: 'sauce', meat: 'a' }], {}, 175))).toContain(
      'sugar-burns',
    );
  });

  it('loses its bark in foil and firms it up when bared again', () => {
    const wrap: Action = { atMin: 150, do: 'wrap', meat: 'a', with: 'foil' };
    const meat = { cut: 'pork-shoulder', massKg: 3 };
    const run = ribs(
      [
        { ...wrap, atMin: 240 },
        { atMin: 330, do: 'unwrap', meat: 'a' },
      ],
      meat,
      140,
    );
    expect(run.bark[329]!).toBeLessThan(run.bark[239]!);
    expect(run.bark[415]!).toBeGreaterThan(run.bark[329]!);
    expect(cautions(run)).toContain('foil-steam');
  });

  it('is brought to its end in an oven when the fire is not', () => {
    const meat = { done: { coreC: 88 }, rest: { where: 'tented', minutes: 20 } } as const;
    const finished = ribs([{ atMin: 120, do: 'oven-finish', meat: 'a', atC: 150 }], meat, 95);
    const left = ribs([], meat, 95);
    expect(finished.doneAtMin).not.toBeNull();
    expect(finished.doneAtMin!).toBeLessThan(left.doneAtMin ?? Infinity);
  });
});

it('warns of steam while it is wrapped in foil, before it is opened', () => {
  const wrap = { atMin: 150, do: 'wrap', meat: 'a', with: 'foil' } as const;
  expect(cautions(ribs([wrap]))).toContain('foil-steam');
  expect(cautions(ribs([{ ...wrap, with: 'paper' }]))).not.toContain('foil-steam');
  expect(cautions(ribs([]))).not.toContain('foil-steam');
});

it('warns of sugar from 135 °C on, firmly from 150 °C on', () => {
  const sauced = (pitC: number) =>
    cautions(ribs([{ atMin: 100, do: 'sauce', meat: 'a' }], {}, pitC)).filter((c) =>
      c.startsWith('sugar'),
    );
  expect(sauced(121)).toEqual([]);
  expect(sauced(136)).toEqual(['sugar-browns']);
  expect(sauced(151)).toEqual(['sugar-burns']);
  expect([134, 135, 149, 150].map(sugarCaution)).toEqual([
    null,
    'sugar-browns',
    'sugar-browns',
    'sugar-burns',
  ]);
});

describe('what may harm', () => {
  it('counts the minutes between 5 and 60 °C and names what is not intact', () => {
    const slow = { cut: 'pork-shoulder', massKg: 4 };
    const cook = (part: Partial<MeatSpec>) =>
      first({ ...held(95, { ...slow, ...part }), untilMin: 1400 });
    const intact = cook({});
    const injected = cook({ injected: true });
    expect(intact.lingering.centreMin).toBe(injected.lingering.centreMin);
    expect(intact.lingering.centreMin).toBeGreaterThan(240);
    expect(cautions(intact)).not.toContain('lingers-opened');
    expect(cautions(injected)).toContain('lingers-opened');
    expect(cautions(cook({ probedEarly: true }))).toContain('lingers-opened');
    expect(injected.safeAtMin!).toBeGreaterThan(intact.safeAtMin!);
  });

  it('tells of a hold that has gone cold', () => {
    const wrap = { with: 'foil', when: { coreC: 70 } } as const;
    const meat = { done: { coreC: 85 }, wrap } as const;
    const warm = ribs([], { ...meat, rest: { where: 'warmer', minutes: 120, atC: 70 } }, 150);
    expect(warm.hold).toEqual({ state: 'hot', coolMin: 0 });
    const cold = ribs([], { ...meat, rest: { where: 'cool-box', minutes: 240 } }, 150);
    expect(cold.hold!.coolMin).toBeGreaterThan(30);
    expect(cautions(cold)).toContain('hot-hold');
  });
});

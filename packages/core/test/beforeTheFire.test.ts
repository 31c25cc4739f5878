/** What is worked out of a meat before the fire: its card, and what a plate costs. */
import {
  type Request,
  chunkCount,
  CUTS,
  handlingOf,
  plan,
  preparationOf,
  type RequestMeat,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';
import { NOW, pitWith, wish } from './help/wish';

describe('the card of a piece', () => {
  const card = (meat: Partial<RequestMeat>, pits: Request['pits'] = request().pits) => {
    const asked = wish(meat, { pits });
    return preparationOf(asked, plan(asked, { nowMs: NOW, members: 1 }).amounts)[0]!;
  };

  it('is there for every cut, with a spot to probe and a way to serve', () => {
    for (const cut of Object.keys(CUTS)) {
      const how = handlingOf(cut);
      expect(how.spots.length).toBeGreaterThan(0);
      expect(how.serving.length).toBeGreaterThan(0);
    }
    expect(() => handlingOf('shoe')).toThrow(RangeError);
  });

  it('goes by the heat of the pit: membrane, sugar, and where the fat lies', () => {
    expect(card({ cut: 'spare-ribs' }, pitWith('kettle-57', 121)).membrane).toBe('off');
    expect(card({ cut: 'spare-ribs' }, pitWith('kettle-57', 140)).membrane).toBe('may-stay');
    expect(card({ cut: 'beef-short-ribs' }).membrane).toBe('stays');
    const sugar = [121, 140, 160].map((c) => card({}, pitWith('kettle-57', c)).sugar);
    expect(sugar).toEqual([null, 'sugar-browns', 'sugar-burns']);
    expect(card({ cut: 'brisket' }, pitWith('kettle-57', 121)).fatSide).toBe('up');
    expect(card({ cut: 'brisket' }, pitWith('kamado-46', 121)).fatSide).toBe('down');
    for (const cut of ['beef-short-ribs', 'spare-ribs']) {
      expect(card({ cut }, pitWith('kamado-46', 121)).fatSide).toBe('bones-down');
    }
    expect(card({ cut: 'whole-chicken' }).fatSide).toBeNull();
  });

  it('salts by the mass: overnight, within the hour for ribs, and not beside a brine', () => {
    const brisket = card({ cut: 'brisket', massKg: 6 }).salt!;
    expect(brisket.g).toBeCloseTo(6 * brisket.gPerKg);
    expect(brisket.when).toBe('overnight');
    expect(card({ cut: 'back-ribs', massKg: 1 }).salt!.when).toBe('hour');
    expect(card({ cut: 'whole-turkey', massKg: 5, prepare: 'brine' }).salt!.when).toBe('in-brine');
    expect(card({ cut: 'brisket', prepare: 'as-is' }).salt).toBeNull();
    expect(card({ cut: 'brisket', injected: true, massKg: 6 }).inject!.ml).toBeCloseTo(480);
    expect(card({ cut: 'brisket' }).inject).toBeNull();
  });
});

describe('the cost of a plate', () => {
  it('is the raw meat at its price, and the fuel, by the people', () => {
    const asked = wish(
      { cut: 'brisket', massKg: 6, pieces: 1 },
      {
        people: 8,
        meatPrices: [{ cut: 'brisket', perKg: 12 }],
        prices: [{ fuel: 'briquette', bagKg: 10, each: 20 }],
      },
    );
    const made = plan(asked, { nowMs: NOW, members: 1 });
    // By hand: trimming takes 15 to 30 %, so 6 kg are bought as 7.06 to 8.57 kg, 7.82 kg in the middle: 93.78 for 8.
    expect(made.plate!.meat).toBeCloseTo(11.72, 2);
    const { massKg, reserveKg } = made.fires[0]!;
    expect(made.plate!.fuel!).toBeCloseTo((2 * (massKg + reserveKg)) / 8, 1);
    expect(made.plate!.each).toBeCloseTo(made.plate!.meat + made.plate!.fuel!, 1);
    expect(made.plate!.unpriced).toBeUndefined();
    expect(plan(wish({}), { nowMs: NOW, members: 1 }).plate).toBeUndefined();
  });

  it('says what has no price and is not in it', () => {
    const [meat] = request().meats;
    const meats = ['brisket', 'chuck'].map((cut) => ({ ...meat, cut, id: cut, pieces: 1 }));
    const meatPrices = [{ cut: 'brisket', perKg: 12 }];
    const made = plan(request({ meats, meatPrices }), { nowMs: NOW, members: 1 });
    expect(made.plate!.unpriced).toEqual(['chuck']);
  });

  it('buys less where charcoal is left from last time', () => {
    const [pit] = request().pits;
    const kgOf = (leftKg: number): number => {
      const part = { pits: [{ ...pit, fire: { ...pit.fire, leftKg } }], fuelOnHand: [] };
      const made = plan(wish({}, part), { nowMs: NOW, members: 1 });
      const line = made.shopping.find((s) => s.kind === 'fuel' && s.fuel === 'briquette');
      return line?.kind === 'fuel' ? line.kg : NaN;
    };
    expect(kgOf(0) - kgOf(0.8)).toBeCloseTo(0.8, 2);
  });

  it('wants more chunks of a mild wood and fewer of a strong one', () => {
    expect(chunkCount('alder')).toBeGreaterThan(chunkCount('oak'));
    expect(chunkCount('mesquite')).toBeLessThan(chunkCount('oak'));
  });
});

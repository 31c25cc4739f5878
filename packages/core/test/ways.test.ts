/** What is learned of a cook's own ways, meat and fuel. */
import { glanceOf, learnedBurns, learnedWays, MINUTE_MS } from '@ostrin/core/internals';
import { act, cookOf, entry, ZERO } from './finishedCook';

describe('the ways of a cook, out of many', () => {
  const none = { movedAtK: [], weighed: [], fuelLeftKg: null };

  it('are the middle of its moves and the shares of what it weighed, each with its cooks', () => {
    const ways = learnedWays([
      { ...none, movedAtK: [-8, 9, 10] },
      { ...none, movedAtK: [12, -30] },
      { ...none, weighed: [{ cut: 'brisket', boughtKg: 6, trimmedKg: 4.5, cookedKg: 2.7 }] },
      { ...none, weighed: [{ cut: 'brisket', trimmedKg: 5, cookedKg: 3.5 }] },
    ]);
    expect(ways.patienceK).toEqual({ value: 10, cooks: 2 });
    expect(ways.cuts).toEqual([
      {
        cut: 'brisket',
        trimFraction: { value: 0.25, cooks: 1 },
        yieldFraction: { value: expect.closeTo(0.65, 9), cooks: 2 },
      },
    ]);
    expect(learnedWays([none, { ...none, movedAtK: [4] }])).toEqual({ patienceK: null, cuts: [] });
  });

  it('are read from a log: unasked moves of the vents while the pit was held, and what was weighed', () => {
    const { cook, plan } = cookOf({});
    const moves = [200, 260].map((min) =>
      act(min, { do: 'set-vents', intakeFraction: 0.3, exhaustFraction: 0.5 }),
    );
    const weighed = entry(900, { kind: 'weighed', what: 'cooked', meat: 'm', kg: 1.3 });
    const { ways } = glanceOf(plan, [...cook.entries, ...moves, weighed], cook.readings);
    const readAt = (min: number): number =>
      cook.readings.findLast((r) => r.at <= ZERO + min * MINUTE_MS)!.pitC!;
    expect(ways.movedAtK).toEqual(
      [200, 260].map((min) => Math.round(10 * (readAt(min) - 121)) / 10),
    );
    expect(ways.weighed).toEqual([{ cut: 'pork-shoulder', cookedKg: 1.3 }]);
  });

  it('tell how fast a fuel burns by what the scale says', () => {
    const burns = learnedBurns([
      { fuel: 'lump', givenKg: 3, leftKg: 0.6, burntKg: 2 },
      { fuel: 'lump', givenKg: 2, leftKg: 0, burntKg: 2 },
      { fuel: 'briquette', givenKg: 3, leftKg: 1, burntKg: 2 },
    ]);
    expect(burns.lump).toEqual({ value: expect.closeTo(1.1, 9), cooks: 2 });
    expect(burns.briquette).toEqual({ value: 1, cooks: 1 });
  });
});

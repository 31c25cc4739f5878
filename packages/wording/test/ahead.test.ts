/** What lies before the fire and what comes in the middle of it: shopping, pieces that come late, pieces that cannot wait. */
import fc from 'fast-check';
import {
  epochOf,
  HOUR_MS,
  localOf,
  MINUTE_MS,
  type Request,
  shopJob,
  shopMs,
} from '@ostrin/core/internals';
import { type WordedPlan } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import { request } from '@ostrin/testing';

const ZONE = 'Europe/Ljubljana';
const NOW = epochOf('2027-05-13T09:00', ZONE);
const MEAT = request().meats[0];
const planned = (part: Partial<Request> = {}, members = 24): WordedPlan =>
  planDocument(request(part), { nowMs: NOW, members });
const job = (p: WordedPlan, id: string) => p.jobs.find((j) => j.id === id)!;

describe('shopping', () => {
  it('is done in shop hours, an hour before anything needs it, and never in the past', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 60 * 24 * 370 }),
        fc.integer({ min: 0, max: 60 * 96 }),
        (needMin, aheadMin) => {
          const need = Date.UTC(2027, 0, 1) + needMin * MINUTE_MS;
          const now = need - aheadMin * MINUTE_MS;
          const at = shopMs(need, now, ZONE);
          expect(at).toBeGreaterThanOrEqual(now);
          expect(at).toBeLessThanOrEqual(need);
          if (at === now) return;
          const hour = Number(localOf(at, ZONE).slice(11, 13));
          expect(hour).toBeGreaterThanOrEqual(9);
          expect(hour).toBeLessThan(18);
          expect(need - at).toBeGreaterThanOrEqual(HOUR_MS);
          expect(need - at).toBeLessThanOrEqual(18 * HOUR_MS);
        },
      ),
    );
  });

  it('names what has to be fetched, and nothing that is there', () => {
    const bare = planned({ prices: [{ fuel: 'briquette', bagKg: 4, each: 7 }] });
    expect(bare.jobs[0]).toMatchObject({ id: 'shop', do: 'shop' });
    expect(Date.parse(bare.jobs[0]!.at)).toBeLessThan(Date.parse(job(bare, 'lay').at));
    expect(bare.jobs[0]!.detail).toMatch(
      /^2 mutton shoulders, .* as bought; briquettes, [12] bags? of 4 kg/,
    );
    const stocked = planned({
      meats: [{ ...MEAT, frozen: true }],
      fuelOnHand: [
        { fuel: 'briquette', massKg: 20 },
        { fuel: 'chunks', massKg: 2 },
      ],
    });
    expect(stocked.jobs.some((j) => j.do === 'shop')).toBe(false);
    expect(stocked.shopping[0]!.buy).toBe('nothing: it is in the freezer');
    expect(shopJob([], NOW, NOW, ZONE, NOW)).toEqual([]);
  });

  it('does not wait for what thaws: that is there already', () => {
    const thawed = planned({ meats: [{ ...MEAT, frozen: true }] });
    expect(thawed.jobs.map((j) => j.id).slice(0, 3)).toEqual(['thaw', 'shop', 'lay']);
    expect(thawed.jobs[1]!.detail).not.toMatch(/mutton/);
  });

  it('comes before salting and is no visit to the pit', () => {
    const salted = planned({ meats: [{ ...MEAT, prepare: 'dry-brine' }] });
    const plain = planned();
    expect(salted.jobs.map((j) => j.id).slice(0, 2)).toEqual(['shop', 'salt']);
    expect(salted.watch.visits).toBe(plain.watch.visits);
  });
});

describe('a piece that comes late', () => {
  const pair = (notBefore?: string): Request['meats'] => [
    { ...MEAT, id: 'first', pieces: 1 },
    {
      ...MEAT,
      id: 'late',
      cut: 'sausages',
      massKg: 0.15,
      pieces: 6,
      notBefore,
      wrap: { with: 'none' },
      done: { coreC: 74 },
      rest: { where: 'open', minutes: 5 },
    },
  ];

  const usual = planned({ meats: pair() });
  const onMs = ({ meatOnAt }: WordedPlan, i: number): number => epochOf(meatOnAt[i]!, ZONE);
  const arriving = (minutes: number): WordedPlan =>
    planned({ meats: pair(localOf(onMs(usual, 1) + minutes * MINUTE_MS, ZONE)) });

  it('goes on when it is there, and the rest of the table does not wait for it', () => {
    const late = arriving(20);
    const waited = (onMs(late, 1) - onMs(usual, 1)) / MINUTE_MS;
    expect(waited).toBeGreaterThanOrEqual(20);
    expect(waited).toBeLessThanOrEqual(30);
    const apart = (of: (p: WordedPlan) => number): number =>
      Math.abs(of(late) - of(usual)) / MINUTE_MS;
    expect(apart((p) => epochOf(p.lightAt, ZONE))).toBeLessThanOrEqual(10);
    expect(apart((p) => onMs(p, 0))).toBeLessThanOrEqual(10);
  });

  it('changes nothing where it is there before it has to go on', () => {
    const early = arriving(-30);
    expect(early.meatOnAt).toEqual(usual.meatOnAt);
    expect(early.lightAt).toBe(usual.lightAt);
    expect(early.problems).toEqual([]);
  });

  it('lights later when there is nothing else', () => {
    const alone = planned({ meats: [{ ...MEAT, notBefore: '2027-05-15T09:30' }] });
    expect(Date.parse(alone.lightAt)).toBeGreaterThan(Date.parse(planned().lightAt));
    expect(Date.parse(alone.meatOnAt[0]!)).toBeGreaterThanOrEqual(Date.parse('2027-05-15T09:30'));
  });

  it('is refused with a time that would do when it cannot be ready', () => {
    const { problems, ready } = planned({ meats: [{ ...MEAT, notBefore: '2027-05-15T13:00' }] });
    expect(problems).toHaveLength(1);
    expect(problems[0]).toMatchObject({ field: 'meats[0].notBefore' });
    expect(problems[0]!.message).toMatch(
      /^Put on at 13:00, the mutton shoulder is late in (9\d|100) of 100/,
    );
    const told = /^Serve it at (\d\d:\d\d)/.exec(problems[0]!.instead)![1]!;
    const then = epochOf(`${ready[0]!.p90.slice(0, 10)}T${told}`, ZONE);
    expect(then - epochOf(ready[0]!.p90, ZONE)).toBeGreaterThanOrEqual(60 * MINUTE_MS);
    expect(then - epochOf(ready[0]!.p90, ZONE)).toBeLessThan(80 * MINUTE_MS);
  });
});

describe('a piece that cannot wait', () => {
  const bird = (where: 'tented' | 'warmer'): WordedPlan =>
    planned({
      people: 6,
      meats: [
        {
          ...MEAT,
          id: 'bird',
          cut: 'whole-turkey',
          massKg: 5,
          wrap: { with: 'none' },
          done: { coreC: 74 },
          rest: { where, minutes: 15, ...(where === 'warmer' ? { atC: 68 } : {}) },
        },
      ],
    });

  it('is told as a risk with a place that keeps it, and is none there', () => {
    const tented = bird('tented');
    const early = tented.risks.find((r) => /before it is eaten$/.test(r.sign))!;
    expect(early.chanceFraction).toBeCloseTo(tented.ready[0]!.chanceEarlyFraction!, 1);
    expect(early.chanceFraction).toBeGreaterThan(0.25);
    const told = /hold it in a warmer: then (\d+) of 100/.exec(early.move);
    expect(told).not.toBeNull();
    const kept = bird('warmer').ready[0]!;
    expect(kept.chanceEarlyFraction).toBeLessThan(early.chanceFraction! - 0.2);
  });

  it('is no risk for what keeps for hours', () => {
    expect(planned().risks.some((r) => /before it is eaten$/.test(r.sign))).toBe(false);
  });
});

it('tells of splits how long the stack lasts and what it takes, and of a snake how it is made longer', () => {
  const splits = planned({
    pits: [
      {
        id: 'tom',
        cooker: { preset: 'offset-heavy', overrides: {} },
        fire: { fuel: 'splits', species: 'oak' },
        pace: { pitC: 135, bandC: 8 },
      },
    ],
  });
  const fire = splits.fires[0]!;
  const fed = fire.feeding.find((f) => f.what === 'splits')!;
  expect(fire.lastsMin).toBe(fed.toMin + fed.everyMin);
  expect(fire.neededKg).toBeCloseTo(fire.massKg + fed.massKg * fed.count, 1);
  expect(fire.leftKg).toBe(0);
  expect(fire.inWords.some((w) => w.startsWith('To make it last'))).toBe(false);
  const snake = planned().fires[0]!;
  const hourly = Number(/about (\d+) briquettes for an hour/.exec(snake.inWords.at(-1)!)![1]);
  expect(hourly * 0.026).toBeCloseTo((60 * snake.massKg) / snake.lastsMin, 1);
});

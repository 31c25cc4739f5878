/** How often splits are fed: found, or as was wished, and weighed against the sleep it costs. */
import {
  bestCandidate,
  compareVariants,
  plan,
  type Request,
  type VariantFigures,
  variantRequests,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const NOW = Date.UTC(2027, 4, 13, 12);
const wish = (everyMin?: number): Request =>
  request({
    pits: [
      {
        id: 'tom',
        cooker: { preset: 'offset-heavy', overrides: {} },
        fire: { fuel: 'splits', species: 'oak', ...(everyMin ? { everyMin } : {}) },
        pace: { pitC: 121, bandC: 8 },
      },
    ],
  });

describe('splits', () => {
  const often = plan(wish(20), { nowMs: NOW, members: 8 });
  const seldom = plan(wish(60), { nowMs: NOW, members: 8 });

  it('are fed as often as was wished, heavier where more seldom, each with its band and its visits', () => {
    for (const [made, everyMin] of [
      [often, 20],
      [seldom, 60],
    ] as const) {
      expect(made.guides[0]!.feed!.mostMin).toBe(everyMin);
      const fed = made.fires[0]!.feeding.find((f) => f.what === 'splits')!;
      expect(Math.abs(fed.everyMin - everyMin)).toBeLessThan(0.25 * everyMin);
    }
    const kg = [often, seldom].map((p) => p.fires[0]!.feeding[0]!.massKg);
    expect(kg[1]).toBeGreaterThan(2 * kg[0]!);
    expect(seldom.watch.visits).toBeLessThan(0.7 * often.watch.visits);
    expect(seldom.watch.longestFreeMin).toBeGreaterThan(often.watch.longestFreeMin);
    // The hour between two thick splits is paid for in the band.
    expect(seldom.fires[0]!.inBandFraction).toBeLessThan(often.fires[0]!.inBandFraction!);
    for (const p of [often, seldom]) {
      expect(p.fires[0]!.inBandFraction).toBeGreaterThan(0.2);
      expect(p.fires[0]!.inBandFraction).toBeLessThanOrEqual(1);
    }
  });

  it('go on until nearly all likely cooks are off, and say that those are for a slow one', () => {
    for (const made of [often, seldom]) {
      const feeds = made.jobs.filter((j) => j.facts.kind === 'feed');
      const everyMin = made.guides[0]!.feed!.mostMin;
      const until = made.rules![0]!.looks.toMin;
      const lastMin = feeds.at(-1)!.atMin;
      expect(lastMin).toBeLessThanOrEqual(until);
      expect(lastMin + 1.3 * everyMin).toBeGreaterThan(until);
      const off = made.jobs.find((j) => j.id === 'off')!.atMin;
      const ifSlow = feeds.filter((j) => j.facts.kind === 'feed' && j.facts.ifSlow);
      expect(ifSlow.every((j) => j.atMin > off)).toBe(true);
      expect(feeds.filter((j) => j.atMin > off + everyMin).every((j) => ifSlow.includes(j))).toBe(
        true,
      );
    }
  });

  it('are of the wood that was chosen, in the jobs, in what is logged and on the fire', () => {
    const pit = wish(45).pits[0]!;
    const made = plan(
      { ...wish(45), pits: [{ ...pit, fire: { ...pit.fire, species: 'hickory' } }] },
      { nowMs: NOW, members: 1 },
    );
    const feeds = made.jobs.filter((j) => j.id.startsWith('feed-'));
    expect(feeds.length).toBeGreaterThan(2);
    for (const job of feeds) {
      expect(job.facts).toMatchObject({ kind: 'feed', split: { species: 'hickory' } });
      expect(job.logs).toContainEqual(
        expect.objectContaining({ do: 'add-fuel', fuel: 'splits', species: 'hickory' }),
      );
    }
    const burnt = made.scenarios[0]!.actions.filter((a) => a.do === 'add-fuel');
    expect(burnt.every((a) => a.fuel !== 'splits' || a.species === 'hickory')).toBe(true);
    expect(made.shopping.find((s) => s.kind === 'fuel' && s.fuel === 'splits')).toMatchObject({
      species: 'hickory',
    });
  });
});

describe('how often splits are fed', () => {
  it('goes by the band that is asked for: as people feed in a usual one, oftener in a narrow one', () => {
    const everyMin = (preset: string, bandC: number): number => {
      const pit = { ...wish().pits[0]!, cooker: { preset, overrides: {} } };
      const pace = { pitC: 121, bandC };
      return plan({ ...wish(), pits: [{ ...pit, pace }] }, { nowMs: NOW, members: 2 }).guides[0]!
        .feed!.mostMin;
    };
    expect([everyMin('offset-heavy', 12), everyMin('offset-light', 12)]).toEqual([45, 30]);
    expect(everyMin('offset-heavy', 6)).toBeLessThan(45);
  });

  it('is compared, the way they are fed anyway left out', () => {
    const ids = (r: Request): string[] =>
      variantRequests(r)
        .map((w) => w.id)
        .filter((id) => id.startsWith('every-'));
    expect(ids(wish()).length).toBeGreaterThan(1);
    expect(ids(wish(45))).not.toContain('every-45');
    expect(ids(request())).toEqual([]);
    const rows: VariantFigures[] = [];
    for (const row of compareVariants(wish(), {}, { nowMs: NOW, members: 2 })) {
      if (row) rows.push(row);
    }
    const mine = plan(wish(), { nowMs: NOW, members: 2 }).guides[0]!.feed!.mostMin;
    const fed = rows.filter((r) => r.id.startsWith('every-'));
    expect(fed.map((r) => r.id)).not.toContain(`every-${mine}`);
    expect(fed).toHaveLength(ids(wish()).length - 1);
    for (const r of fed) {
      expect(r.request.pits[0]!.fire.everyMin).toBe(Number(r.id.slice(6)));
      expect(r.inBandFraction).toBeGreaterThan(0);
      expect(r.change).toEqual({ kind: 'feed-interval', everyMin: Number(r.id.slice(6)) });
    }
  });

  it('goes by visits where the band is as good, and by the band where it is not', () => {
    const score = (outFraction: number, rmsK: number, visitsPerHour: number) => ({
      score: { meanC: 120, rmsK, outFraction, whiteFraction: 0, visitsPerHour },
    });
    const splits = { asGood: 0.05, swing: 0 };
    const [thin, thick] = [score(0.28, 6, 3), score(0.3, 9, 1.2)];
    expect(bestCandidate([thin, thick], 8, splits)).toBe(thick);
    expect(bestCandidate([thin, score(0.4, 9, 1.2)], 8, splits)).toBe(thin);
    // Vents cost no more to hold a pit steadily inside its band.
    expect(bestCandidate([thin, thick], 8)).toBe(thin);
  });
});

/** Whatever is wished for, a plan is whole: in order, finite, within its pit, and its scenario can be run. */
import fc from 'fast-check';
import {
  onePit,
  CUTS,
  cutOf,
  epochOf,
  grateOf,
  designFire,
  fitsOnGrate,
  localOf,
  MINUTE_MS,
  PRESETS,
  presetOf,
  simulate,
  usualDone,
  usualRest,
  usualWrap,
  type Request,
  type RequestMeat,
  type RequestPit,
  type Weather,
} from '@ostrin/core/internals';
import { linesOf, markdownOf, type WordedPlan } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';

const ZONE = 'Europe/Ljubljana';
const SERVE = '2027-05-15T18:30';
const NOW = epochOf('2027-05-12T09:00', ZONE);
const minutesAfter = (from: string, to: string): number =>
  (epochOf(to, ZONE) - epochOf(from, ZONE)) / MINUTE_MS;

const pitArb = (id: string): fc.Arbitrary<RequestPit> =>
  fc
    .constantFrom(...Object.values(PRESETS))
    .chain((preset) =>
      fc.record({
        arrangement: fc.constantFrom(...preset.arrangements),
        fuel: fc.constantFrom('briquette' as const, 'lump' as const),
        pitC: fc.constantFrom(107, 121, 135),
        preset: fc.constant(preset.id),
      }),
    )
    .map(({ preset, arrangement, fuel, pitC }) => ({
      id,
      cooker: { preset, overrides: {} },
      fire: { fuel, arrangement, species: 'oak' as const },
      pace: { pitC, bandC: 8 },
    }));

const meatArb = (id: string, pits: readonly string[]): fc.Arbitrary<RequestMeat> =>
  fc
    .record({
      cut: fc.constantFrom(...Object.keys(CUTS)),
      pit: fc.constantFrom(...pits),
      pieces: fc.option(fc.integer({ min: 1, max: 6 }), { nil: undefined }),
      serveAt: fc.constantFrom(undefined, '2027-05-15T15:00'),
      prepare: fc.constantFrom(
        undefined,
        'dry-brine' as const,
        'brine' as const,
        'season' as const,
      ),
      frozen: fc.boolean(),
    })
    .map(({ cut, ...rest }) => {
      const wrap = usualWrap(cutOf(cut));
      return {
        id,
        cut,
        wrap: wrap === 'none' ? { with: wrap } : { with: wrap, when: { coreC: 74 } },
        done: usualDone(cutOf(cut)),
        rest: usualRest(cutOf(cut)),
        ...rest,
      };
    });

const weather = (airC: number, windMps: number): Weather => ({
  airC,
  windMps,
  relativeHumidityFraction: 0.6,
  altitudeM: 200,
  rainMmPerH: 0,
});
const before = (hours: number): string =>
  localOf(epochOf(SERVE, ZONE) - hours * 60 * MINUTE_MS, ZONE);

const requestArb: fc.Arbitrary<Request> = fc.integer({ min: 1, max: 2 }).chain((n) => {
  const ids = ['one', 'two'].slice(0, n);
  return fc
    .record({
      pits: fc.tuple(...ids.map(pitArb)),
      first: meatArb('a', ['one']),
      more: fc.array(meatArb('b', ids), { maxLength: 1 }),
      people: fc.integer({ min: 1, max: 30 }),
      airC: fc.integer({ min: -10, max: 35 }),
      windMps: fc.integer({ min: 0, max: 8 }),
      // The weather turns so many hours before the meal, or not at all.
      turn: fc.option(
        fc.record({
          hours: fc.integer({ min: 1, max: 30 }),
          airC: fc.integer({ min: -10, max: 35 }),
        }),
      ),
    })
    .map(({ pits, first, more, people, airC, windMps, turn }) => ({
      ostrin: 'request/1' as const,
      serveAt: SERVE,
      timeZone: ZONE,
      people,
      appetiteG: 220,
      pits,
      // The last course is the meal itself.
      meats: [{ ...first, serveAt: undefined }, ...more],
      weather: turn
        ? [
            { at: before(48), ...weather(airC, windMps) },
            { at: before(turn.hours), ...weather(turn.airC, windMps) },
          ]
        : weather(airC, windMps),
      chanceOnTimeFraction: 0.9,
      crew: people > 20 ? ['Pell', 'Anka'] : undefined,
    }));
});

/** Every number of a document, with its path. */
function numbersOf(value: unknown, path = ''): [string, number][] {
  if (typeof value === 'number') return [[path, value]];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([k, v]) => numbersOf(v, `${path}.${k}`));
}

function whole(made: WordedPlan, request: Request): void {
  for (const [path, v] of numbersOf(made)) {
    if (!Number.isFinite(v)) throw new Error(`${path} is ${v}`);
  }
  // In order of time, each job once, each with words.
  const times = made.jobs.map((j) => epochOf(j.at, ZONE));
  expect([...times].sort((a, b) => a - b)).toEqual(times);
  expect(new Set(made.jobs.map((j) => j.id)).size).toBe(made.jobs.length);
  for (const j of made.jobs) expect(j.inWords.length * j.detail.length).toBeGreaterThan(0);
  // From lighting to the table.
  for (const [i, r] of made.ready.entries()) {
    expect([r.p10, r.p50, r.p90]).toEqual([r.p10, r.p50, r.p90].sort());
    expect(Date.parse(made.meatOnAt[i]!)).toBeLessThan(Date.parse(r.p10));
    expect(Date.parse(made.meatOnAt[i]!)).toBeGreaterThan(Date.parse(made.lightAt));
    expect(Date.parse(r.wanted![0])).toBeLessThanOrEqual(Date.parse(r.wanted![1]));
  }
  expect(Date.parse(made.jobs.find((j) => j.id === 'serve')!.at)).toBeGreaterThanOrEqual(
    Date.parse(SERVE),
  );
  // Fuel that is laid, lit, and kept by.
  for (const fire of made.fires) {
    expect(fire.massKg).toBeGreaterThan(0);
    expect(fire.litPieces).toBeGreaterThan(0);
    expect(fire.litPieces).toBeLessThanOrEqual(fire.pieces);
    const preset = presetOf(request.pits.find((p) => p.id === fire.pit)!.cooker.preset);
    // Nothing is put on under a hot deflector: what is over lies in the bowl.
    if (preset.family === 'kamado') expect([fire.reserveKg, fire.feeding]).toEqual([0, []]);
    else expect(fire.reserveKg).toBeGreaterThan(0);
    if (fire.arrangement !== 'snake') {
      expect(fire.massKg).toBeLessThanOrEqual(preset.fullLoadKg + 0.1);
    }
  }
  // Nothing lies over the fire.
  for (const g of made.grates) {
    const pit = request.pits.find((p) => p.id === g.pit)!;
    const way = designFire(pit);
    const grate = grateOf(way.preset, way.fire.arrangement);
    for (const p of g.laid) expect(fitsOnGrate(grate, p)).toBe(true);
  }
  expect(made.watch.visits).toBeGreaterThan(2);
  expect(made.chanceLateFraction).toBeGreaterThanOrEqual(0);
  expect(made.chanceLateFraction).toBeLessThanOrEqual(1);
  for (const r of made.risks) expect(r.sign.length * r.move.length).toBeGreaterThan(0);
  for (const p of made.problems) expect(p.instead.length).toBeGreaterThan(0);
}

/** Every line of its sheets is a job at its time. */
function sameOnEverySheet(made: WordedPlan): void {
  const lines = linesOf(made);
  expect(lines.length).toBeLessThanOrEqual(made.jobs.length);
  const text = markdownOf(made, 'A plan');
  for (const line of lines) {
    expect(made.jobs.some((j) => j.id === line.job && j.at === line.at)).toBe(true);
    expect(text).toContain(`| ${line.at.slice(11)} |`);
  }
}

it('is whole for any pits, meats and weather, roughly, with the same jobs on every sheet', () => {
  fc.assert(
    fc.property(requestArb, (request) => {
      const made = planDocument(request, { nowMs: NOW, members: 1 });
      whole(made, request);
      sameOnEverySheet(made);
    }),
    { numRuns: 40 },
  );
});

it('is whole for any pits, meats and weather, with its likely cooks, and comes apart into cooks that run', () => {
  fc.assert(
    fc.property(requestArb, (request) => {
      const made = planDocument(request, { nowMs: NOW, members: 9 });
      whole(made, request);
      expect(made.scenarios).toHaveLength(made.fires.length);
      for (const fire of made.fires) {
        const part = onePit(made, fire.pit);
        expect(part.jobs.every((j) => j.do !== 'shop')).toBe(true);
        const scenario = part.scenarios[0];
        // After three hours, or when a short cook is done and its fire about to be shut.
        const doneMin = Math.max(...part.ready.map((r) => minutesAfter(part.lightAt, r.p50)));
        const run = simulate({ ...scenario, untilMin: Math.min(180, Math.floor(doneMin)) });
        expect(run.pitC.at(-1)).toBeGreaterThan(60);
        expect(run.meats).toHaveLength(part.request.meats.length);
      }
    }),
    { numRuns: 8 },
  );
});

it('is the same whenever it is asked, as long as nothing has passed', () => {
  fc.assert(
    fc.property(requestArb, fc.integer({ min: 0, max: 600 }), (request, laterMin) => {
      const bare = {
        ...request,
        meats: request.meats.map((m) => ({ ...m, frozen: false, prepare: undefined })),
      };
      const at = (nowMs: number): string => {
        const { jobs, ...rest } = planDocument(bare, { nowMs, members: 1 });
        return JSON.stringify([rest, jobs.filter((j) => j.do !== 'shop')]);
      };
      expect(at(NOW + laterMin * MINUTE_MS)).toBe(at(NOW));
    }),
    { numRuns: 8 },
  );
});

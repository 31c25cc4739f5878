/** What calls whoever tends a cook: codes with their figures. What swings by itself and comes back calls nobody. */
import { pitOf, leadMeat, type PitPlan } from '../plan/document/pitPlan';
import type { AfterOff } from '../advice/afterOff';
import { MINUTE_MS } from '../quantity/time';
import type { BandPlace, Cause, Diagnosis } from '../diagnosis/diagnose';
import { plainlyMoves } from '../diagnosis/trend';
import type { Forecast } from '../forecast/forecast';
import type { ReadingRow } from '../instruments/readings';
import type { DueJob } from '../forecast/jobTimes';
import { isAllOff, isOnPit, type KnownPiece } from './knownCook';
import { latenessMin } from './lateness';
import { nearDoneMin } from './phases';

export const ALARM_CODES = [
  'fire-out',
  'going-cold',
  'suspected',
  'probe-out',
  'out-of-band',
  'leaving-band',
  'fuel-out-soon',
  'late',
  'early',
  'called-at',
  'near-done',
  'near-wrap',
  'job-due',
  'no-reading',
] as const;
export type AlarmCode = (typeof ALARM_CODES)[number];

/** One alarm that is up. Two of the same id are the same alarm. */
export interface Alarm {
  /** What it is and of what. */
  id: string;
  code: AlarmCode;
  /** In how many minutes what it tells of is expected, from now; 0 where it is so already. */
  inMin: number;
  /** Where the pit stands, or will: of the alarms about its band. */
  side?: Exclude<BandPlace, 'in'>;
  /** The job that is due. */
  jobId?: string;
  /** The piece that it is about. */
  meat?: string;
  /** By how much it is late, or early, min. */
  byMin?: number;
  /** What its middle was to read for the call, C. */
  atC?: number;
}

/** What alarms are made from. */
export interface AlarmInput {
  plan: Pick<PitPlan, 'request'>;
  state: Diagnosis;
  forecast: Forecast | null;
  /** Jobs still to do, the next one first. */
  jobs: readonly DueJob[];
  /** What came by wire, in order of time. */
  wire: readonly ReadingRow[];
  /** When the pit was read last, by hand or by an instrument, epoch ms; null where it never was. */
  pitReadMs: number | null;
  /** Pieces with when each is done, minutes after lighting. */
  pieces: readonly (Pick<
    KnownPiece,
    'id' | 'onMs' | 'offMs' | 'wrapped' | 'probeOutMs' | 'callAtC' | 'read'
  > &
    Pick<Forecast, 'readyMin'>)[];
  /** Pieces that came off and were not eaten yet. */
  held: readonly Pick<AfterOff, 'meat' | 'coldMs' | 'notSafe'>[];
  /** The cook's clock, epoch ms. */
  nowMs: number;
  /** When the fire was lit, epoch ms; null before. */
  litMs: number | null;
  /** When people sit down, epoch ms. */
  serveMs: number;
}

/** How far ahead a warning comes of fuel that runs out, a wrap that is due and held meat that gets too cool, min. */
const WARN_MIN = { fuel: 60, wrap: 15, cold: 20 };
/** Late and early from so much on, min. */
const OFF_SERVING_MIN = 30;
/** The pit is looked ahead so far, min, and has to leave its band by this share of it. */
const AHEAD = { min: 30, outBy: 0.25 };
/** A thermometer that told each minute or oftener is missed after so long, min. */
const SILENT_MIN = 5;

/** A pit that is out of its band for one of these comes back by itself. */
const COMES_BACK: ReadonlySet<Cause['code']> = new Set([
  'not-lit',
  'coming-up',
  'smoke',
  'lid-was-open',
  'recovering-from-lid',
  'cold-meat',
  'vents-just-moved',
  'high-and-falling',
  'low-and-rising',
]);

/** The alarms that are up, the most urgent first. */
export function alarmsOf(input: AlarmInput): Alarm[] {
  // Nobody needs a fire with nothing over it.
  const ofTheFire = isAllOff(input.pieces)
    ? []
    : [...ofFire(input), ...ofBand(input), ...ofFuel(input), ...ofReadings(input)];
  const all = [
    ...ofTheFire,
    ...ofHeld(input),
    ...ofServing(input),
    ...ofPieces(input),
    ...ofJobs(input),
  ];
  return all.sort((a, b) => ALARM_CODES.indexOf(a.code) - ALARM_CODES.indexOf(b.code));
}

const soon = (code: AlarmCode, more: Partial<Alarm> = {}): Alarm => ({
  id: code,
  code,
  inMin: 0,
  ...more,
});

function ofFire({ state: { cause } }: AlarmInput): Alarm[] {
  if (cause.code === 'fire-out') return [soon('fire-out')];
  return cause.code === 'suspected' ? [soon('suspected', { id: `suspected/${cause.fault}` })] : [];
}

function ofBand({ plan, state, forecast }: AlarmInput): Alarm[] {
  const { code } = state.cause;
  if (code === 'fire-out' || code === 'no-reading' || COMES_BACK.has(code)) return [];
  const { place } = state;
  if (place !== 'in') return [soon('out-of-band', { id: `out-of-band/${place}`, side: place })];
  if (!forecast) return [];
  const { pitC, bandC } = pitOf(plan).pace;
  const out = bandC * (1 + AHEAD.outBy);
  const rows = AHEAD.min / forecast.everyMin;
  for (let i = 1; i <= rows && i < forecast.pitC.length; i++) {
    const [low, mid, high] = [forecast.pitLowC[i], forecast.pitC[i], forecast.pitHighC[i]];
    if (low == null || mid == null || high == null) continue;
    // Nearly all of the likely pits have to go that way.
    const side =
      mid > pitC + out && low > pitC ? 'above' : mid < pitC - out && high < pitC ? 'below' : null;
    if (side) {
      if (plainlyMoves(side === 'below', state.changeK)) return [];
      return [
        soon('leaving-band', { id: `leaving-band/${side}`, side, inMin: i * forecast.everyMin }),
      ];
    }
  }
  return [];
}

function ofFuel({ forecast, nowMs, litMs }: AlarmInput): Alarm[] {
  const out = forecast?.fuelOutMin?.[1];
  if (litMs === null || out == null) return [];
  const inMin = out - (nowMs - litMs) / MINUTE_MS;
  // What lasts until the meat is done lasts long enough.
  const needed = forecast?.readyMin?.[1] ?? Infinity;
  return inMin <= WARN_MIN.fuel && out < needed
    ? [soon('fuel-out-soon', { inMin: Math.max(inMin, 0) })]
    : [];
}

function ofPieces({ plan, pieces, forecast, nowMs, litMs }: AlarmInput): Alarm[] {
  if (litMs === null) return [];
  const now = (nowMs - litMs) / MINUTE_MS;
  const first = leadMeat(plan).id;
  const wrap = Math.max((forecast?.wrapMin ?? Infinity) - now, 0);
  const onPit = pieces.filter((p) => p.offMs === null);
  return [
    ...(wrap <= WARN_MIN.wrap && onPit.some((p) => p.id === first && !p.wrapped)
      ? [soon('near-wrap', { id: `near-wrap/${first}`, meat: first, inMin: wrap })]
      : []),
    ...onPit.flatMap(({ id, probeOutMs }) =>
      probeOutMs === null ? [] : [soon('probe-out', { id: `probe-out/${id}`, meat: id })],
    ),
    ...onPit.flatMap(({ id, callAtC, read }) =>
      callAtC === null || !read || read.c < callAtC
        ? []
        : [soon('called-at', { id: `called-at/${id}/${callAtC}`, meat: id, atC: callAtC })],
    ),
    ...onPit.flatMap(({ id, readyMin }) => {
      const done = nearDoneMin(readyMin, now);
      return done === null
        ? []
        : [soon('near-done', { id: `near-done/${id}`, meat: id, inMin: done })];
    }),
  ];
}

/** Meat that is kept hot and will not be for long. What was never hot enough has an order of its own. */
const ofHeld = ({ held, nowMs }: AlarmInput): Alarm[] =>
  held.flatMap(({ meat, coldMs, notSafe }) => {
    const inMin = coldMs === null ? Infinity : (coldMs - nowMs) / MINUTE_MS;
    return inMin > WARN_MIN.cold || notSafe?.why === 'cool'
      ? []
      : [soon('going-cold', { id: `going-cold/${meat}`, meat, inMin: Math.max(inMin, 0) })];
  });

/** Pieces on the pit that are done too late to be eaten when people sit down, or too early to be kept until then. */
function ofServing({ plan, pieces, litMs, serveMs }: AlarmInput): Alarm[] {
  return pieces.filter(isOnPit).flatMap(({ id, readyMin }) => {
    const meat = plan.request.meats.find((m) => m.id === id);
    if (!meat) return [];
    const byMin = latenessMin(plan.request, meat, readyMin, litMs, serveMs);
    if (Math.abs(byMin) < OFF_SERVING_MIN) return [];
    const code = byMin > 0 ? 'late' : 'early';
    return [soon(code, { id: `${code}/${id}`, meat: id, byMin: Math.abs(byMin) })];
  });
}

const ofJobs = ({ jobs, nowMs }: AlarmInput): Alarm[] =>
  jobs
    .filter(({ ms }) => ms <= nowMs)
    .map(({ job }) => soon('job-due', { id: `job-due/${job.id}`, jobId: job.id }));

/** A reading by hand stands in for a thermometer that fell silent for this long, min. */
const KNOWN_BY_HAND_MIN = 30;

/** Somebody who reads by hand is asked by the diagnosis; a thermometer by wire is missed sooner. */
function ofReadings({ state, wire, pitReadMs, nowMs, litMs }: AlarmInput): Alarm[] {
  if (litMs === null) return [];
  if (state.cause.code === 'no-reading') return [soon('no-reading')];
  const lately = wire.filter((r) => r.at > nowMs - 60 * MINUTE_MS && r.at <= nowMs);
  const last = lately.findLast((r) => r.pitC !== null || r.domeC != null);
  const often = lately.length >= 20;
  const silent = often && (!last || nowMs - last.at > SILENT_MIN * MINUTE_MS);
  const known = pitReadMs !== null && nowMs - pitReadMs < KNOWN_BY_HAND_MIN * MINUTE_MS;
  const byHand = pitReadMs !== null && (!last || pitReadMs > last.at);
  return silent && !(known && byHand) ? [soon('no-reading')] : [];
}

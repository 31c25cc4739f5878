/**
 * Everything that is known of a cook at an instant of its clock: the page of a cook, the server's monitor and the
 * benchmarks all read it from here. What is simulated is handed in: see `forecastInputs` and `forecastsOf`.
 */
import { afterOff } from '../advice/afterOff';
import { diagnose, type Diagnosis } from '../diagnosis/diagnose';
import type { Forecast } from '../forecast/forecast';
import { forecastInput } from '../forecast/forecastInput';
import { jobsByTime, type DueJob } from '../forecast/jobTimes';
import type { ForecastInput } from '../forecast/likelyCooks';
import { atTheGrate, freshPitC, type ReadingRow } from '../instruments/readings';
import { meatOf, pitOf } from '../plan/document/pitPlan';
import { courseOf } from '../plan/schedule/schedule';
import { MINUTE_MS } from '../quantity/time';
import { jobsAhead } from '../log/log';
import { alarmsOf, type Alarm } from './alarms';
import { closeMs } from './closeTime';
import { allOffMs, isOnPit, leadPiece, type KnownCook, type KnownPiece } from './knownCook';
import type { Forecasts } from './lookAhead';
import { piecePhase, pitPhase, type Phase } from './phases';
import { possibleJobs } from './possibleJobs';
import { withRuledLooks } from './ruledLooks';

/** A piece with what is expected of it. */
export interface PieceNow extends KnownPiece {
  /** When it is ready, minutes after lighting: p10, p50, p90; null where that is not known, or the fire is out. */
  readyMin: Forecast['readyMin'];
  /** Where the look ahead ends, minutes after lighting; null where nothing was worked out yet. */
  horizonMin: number | null;
  /** Where it stands in its cook. */
  phase: Phase;
  /** Whether it is the one to read next. */
  next: boolean;
}

/** A cook as everything known of it stands now. */
export interface CookNow extends Omit<KnownCook, 'pieces'> {
  /** The cook's clock, epoch ms. */
  nowMs: number;
  /** Minute 0 of what comes: when the fire was lit or, before that, is expected to be, epoch ms. */
  zeroMs: number;
  /** The pieces, in the order of the plan. */
  pieces: readonly PieceNow[];
  /** What is expected of the pit and of the piece that jobs go by; null before lighting and until it is worked out. */
  forecast: Forecast | null;
  /** Readings of the pit at the grate, by instruments and by hand, in order of time; `coreC` is of the first piece. */
  readings: readonly ReadingRow[];
  /** The pit at the grate, C; null where it was not read lately. */
  pitC: number | null;
  /** Where the pit stands in the cook. */
  phase: Phase;
  /** What the fire does, and why. */
  state: Diagnosis;
  /** Jobs still to do, the next one first. */
  jobs: readonly DueJob[];
  /** Alarms that are up, the most urgent first. */
  alarms: readonly Alarm[];
}

/** A reading still says how a piece stands for so long, min. */
const FRESH_MIN = 30;

/**
 * What has to be simulated to know a cook at `nowMs`: a question for each of `pieces`, all of them when left out. Empty
 * before lighting.
 */
export function forecastInputs(
  { id, plan, log, litMs, pieces }: KnownCook,
  nowMs: number,
  wanted: readonly string[] = pieces.map((p) => p.id),
): Record<string, ForecastInput> {
  if (litMs === null) return {};
  return Object.fromEntries(
    pieces
      .filter((p) => wanted.includes(p.id))
      .map((p) => [p.id, forecastInput(id, plan, log, p.readings, litMs, nowMs, p.id)]),
  );
}

/** The question about the piece that jobs go by, now. Throws RangeError before lighting. */
export function leadInput(cook: CookNow): ForecastInput {
  const { id } = leadPiece(cook);
  const input = forecastInputs(cook, cook.nowMs, [id])[id];
  if (!input) throw new RangeError('nothing is expected of a fire that is not lit');
  return input;
}

/** The cook at `nowMs` (its clock, epoch ms); `forecasts` are the latest, with none for what was not worked out yet. */
export function cookNow(known: KnownCook, forecasts: Forecasts, nowMs: number): CookNow {
  const { plan, log, litMs } = known;
  const lead = leadPiece(known);
  const forecast = litMs === null ? null : (forecasts[lead.id] ?? null);
  const pit = pitOf(plan);
  const readings = atTheGrate(
    lead.readings,
    forecast?.domeOverGrateK ?? pit.domeOverGrateK ?? null,
  );
  const state = diagnose({
    plan,
    readings,
    lines: log.lines,
    nowMs,
    litMs,
    fuelLeftFraction: forecast?.fuelLeftFraction ?? null,
    named: forecast?.named,
  });
  const zeroMs = litMs ?? Math.max(known.startMs, nowMs);
  const pitC = freshPitC(readings, nowMs);
  const clock = {
    zeroMs,
    forecast,
    serveMs: log.serveMs,
    wrapByBarkMs: lead.wrapByBarkMs,
    allOffMs: allOffMs(known.pieces),
    closeMs:
      litMs === null
        ? null
        : closeMs(jobsAhead(plan, log), { pitC, changeK: state.changeK }, nowMs),
  };
  const planned = possibleJobs(jobsByTime(plan, log, clock, nowMs), known);
  const jobs = withRuledLooks(planned, known, readings, nowMs);
  const pieces = piecesNow(known, forecasts, state, nowMs);
  return {
    ...known,
    nowMs,
    zeroMs,
    pieces,
    phase: pitPhase(pieces, { litMs, state }),
    forecast,
    readings,
    pitC,
    state,
    jobs,
    alarms: alarmsOf({
      plan,
      state,
      forecast,
      jobs,
      wire: known.wire,
      pitReadMs: readings.findLast((r) => r.pitC !== null && r.at <= nowMs)?.at ?? null,
      pieces,
      held: notEaten(known, forecast),
      nowMs,
      litMs,
      serveMs: known.serveMs,
    }),
  };
}

/** Pieces that came off whose course was not served yet. */
const notEaten = ({ plan, litMs, pieces, log }: KnownCook, forecast: Forecast | null) =>
  afterOff({ plan, forecast, litMs, pieces }).filter(
    ({ meat }) => !log.jobsDone.has(courseOf(plan.request, meatOf(plan.request, meat))),
  );

function piecesNow(
  known: KnownCook,
  forecasts: Forecasts,
  state: Diagnosis,
  nowMs: number,
): PieceNow[] {
  const { litMs, plan } = known;
  const inSight = litMs !== null && state.cause.code !== 'fire-out';
  const pieces = known.pieces.map((p) => {
    const readyMin = inSight ? (forecasts[p.id]?.readyMin ?? null) : null;
    return {
      ...p,
      readyMin,
      horizonMin: forecasts[p.id]?.horizonMin ?? null,
      phase: piecePhase(
        { ...p, readyMin },
        meatOf(plan.request, p.id),
        { plan, litMs, state },
        nowMs,
      ),
    };
  });
  const next = nextToRead(pieces, nowMs);
  return pieces.map((p) => ({ ...p, next: p.id === next }));
}

/** The piece on the pit to read next: of those not read lately the one that is ready first. */
function nextToRead(pieces: readonly Omit<PieceNow, 'next'>[], nowMs: number): string | null {
  const stale = pieces.filter(
    (p) => isOnPit(p) && (!p.read || nowMs - p.read.at > FRESH_MIN * MINUTE_MS),
  );
  const soonest = [...stale].sort(
    (a, b) => (a.readyMin?.[0] ?? Infinity) - (b.readyMin?.[0] ?? Infinity),
  );
  return soonest[0]?.id ?? null;
}

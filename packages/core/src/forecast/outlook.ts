/**
 * The piece on the grate, explained: where it is on its way, what wrapping now would save and cost, and what
 * is safe. Every option is run with the same likely pieces, so that only the option differs.
 */
import { runLikelyPiece, type PieceOutcome } from '../estimate/likelyPiece';
import type { FollowedFire } from '../estimate/followedFire';
import { isLukewarm } from '../cook/foodSafety';
import { onlyPiece, type MeatCaution, type MeatResult } from '../scenario/result';
import type { MeatSpec, Scenario } from '../scenario/scenario';
import type { WrapId } from '../meat/wraps';
import { ascending, quantile, p10p50p90 } from '../quantity/statistics';
import { likelyCooks, type ForecastInput } from './likelyCooks';

/** What can be done otherwise from here on. */
export type ChangeId =
  | 'as-planned'
  | 'leave-bare'
  | 'paper-now'
  | 'foil-now'
  | 'boat-now'
  | 'pan-now'
  | 'unwrap-now'
  | 'oven-now'
  | 'lower'
  | 'hotter';

/** One option from here on. */
export interface WrapOption {
  /** What is done. */
  id: ChangeId;
  /** Minutes after lighting at which it is done: p10, p50, p90; null when out of sight. */
  readyMin: [number, number, number] | null;
  /** Cooked over raw mass, and bark (1 = set), when done; middle values. */
  yieldFraction: number | null;
  /** Bark when it is done; 1 is set. */
  bark: number | null;
}

export interface Outlook {
  /** Now, minutes after lighting. */
  nowMin: number;
  /** What the middle reads, or is expected to where no probe is in; C. */
  coreC: number | null;
  /** Face, C; null while it is not on. */
  surfaceC: number | null;
  /** Where it is on its way. */
  phase:
    | 'not-on'
    | 'warming'
    | 'stall'
    | 'past-the-stall'
    | 'wrapped'
    | 'unwrapped'
    | 'tender'
    | 'resting'
    | 'rested';
  /** Mass gone so far, kg a piece. */
  lostKg: number | null;
  /** Bark; 1 is set. */
  bark: number | null;
  /** Tenderness; 1 probes tender. */
  tenderness: number | null;
  /** From when to when it stalls, middle values; null when it hardly does. */
  stallMin: [number, number] | null;
  /** Ways of wrapping from here on. */
  options: WrapOption[];
  /** What is safe. */
  safety: {
    /** Minute by which nine in ten of the likely pieces are safe; null when not in sight. */
    safeByMin: number | null;
    safeNow: boolean;
    /** Minutes that the middle has lain between 5 and 60 C until now. */
    centreMin: number;
    /** What has come about, and what would if it goes on as planned: each with its minute after lighting. */
    cautions: MeatCaution[];
  };
}

/** Outlook for the first piece of a cook under way. */
export function meatOutlook(input: ForecastInput, followed?: FollowedFire): Outlook {
  const { nowMin } = input;
  const { remaining: planned, now, members } = likelyCooks(input, followed);
  const run = (scenario: Scenario): PieceOutcome[] =>
    members.map(({ drawn: likely, measured }) =>
      runLikelyPiece(scenario, measured, nowMin, likely, input.felt),
    );
  const asPlanned = run(planned);
  const meats = asPlanned.flatMap((a) => (a.meat ? [a.meat] : []));
  const at = (of: (m: MeatResult) => readonly (number | null)[]): number | null =>
    medianOfKnown(meats.map((m) => of(m)[now] ?? null));
  const piece = onlyPiece(planned);
  const stage = stageOf(input, piece);
  const wrapped = stage === 'wrapped';
  const [likeliest] = meats;
  const on = (likeliest?.coreC[now] ?? null) !== null && stage !== 'resting' && stage !== 'rested';
  const massKg = at((m) => m.massKg);
  const stallMin = stallOf(meats);
  const coreC = at((m) => m.coreC);
  const tenderness = at((m) => m.tenderness);
  return {
    nowMin: now,
    coreC,
    surfaceC: at((m) => m.surfaceC),
    phase: phaseOf(stage, tenderness, stallMin, now, coreC),
    lostKg: on && massKg !== null ? piece.massKg - massKg : null,
    bark: at((m) => m.bark),
    tenderness,
    stallMin,
    options: [
      wrapOptionOf('as-planned', asPlanned),
      ...(on && !wrapped ? otherOptions(planned, now, run) : []),
    ],
    safety: safetyOf(meats, now),
  };
}

const medianOfKnown = (values: readonly (number | null)[]): number | null => {
  const known = ascending(values.filter((v) => v !== null));
  return known.length * 2 > values.length ? quantile(known, 0.5) : null;
};

/** A piece that hardly stalls is past it from this core on, C. */
const NO_STALL_C = 75;

/** What the log says of a piece: whether it is on, wrapped, or off, whatever the probe reads. */
type Stage = 'waiting' | 'bare' | 'wrapped' | 'unwrapped' | 'resting' | 'rested';

function stageOf({ done, nowMin }: ForecastInput, meat: MeatSpec): Stage {
  let stage: Stage = 'waiting';
  for (const a of [...done].sort((x, y) => x.atMin - y.atMin)) {
    if (a.atMin > nowMin || !('meat' in a) || a.meat !== meat.id) continue;
    if (a.do === 'meat-on') stage = 'bare';
    else if (a.do === 'wrap') stage = a.with === 'none' ? 'unwrapped' : 'wrapped';
    else if (a.do === 'unwrap') stage = 'unwrapped';
    else if (a.do === 'meat-off') {
      stage = nowMin < a.atMin + (meat.rest?.minutes ?? 0) ? 'resting' : 'rested';
    }
  }
  return stage;
}

function phaseOf(
  stage: Stage,
  tenderness: number | null,
  stallMin: [number, number] | null,
  now: number,
  coreC: number | null,
): Outlook['phase'] {
  if (stage === 'resting' || stage === 'rested') return stage;
  if (stage === 'waiting') return 'not-on';
  if ((tenderness ?? 0) >= 1) return 'tender';
  if (stage === 'wrapped' || stage === 'unwrapped') return stage;
  // In its first minute nothing is known of its middle yet.
  if (!stallMin || coreC === null) return (coreC ?? 0) < NO_STALL_C ? 'warming' : 'past-the-stall';
  if (now < stallMin[0]) return 'warming';
  return now <= stallMin[1] ? 'stall' : 'past-the-stall';
}

function stallOf(meats: readonly MeatResult[]): [number, number] | null {
  const stalls = meats.flatMap((m) => (m.stall ? [m.stall] : []));
  if (stalls.length * 2 <= meats.length) return null;
  return [
    Math.round(p10p50p90(stalls.map((s) => s.fromMin))[1]),
    Math.round(p10p50p90(stalls.map((s) => s.toMin))[1]),
  ];
}

/** Never wrapped at all, and wrapped this very minute. */
function otherOptions(
  planned: Scenario,
  now: number,
  run: (s: Scenario) => PieceOutcome[],
): WrapOption[] {
  const meat = onlyPiece(planned);
  const bare: Scenario = { ...planned, meats: [{ ...meat, wrap: undefined }] };
  const wrapNow = (wrapWith: WrapId): Scenario => ({
    ...bare,
    actions: [...bare.actions, { atMin: now, do: 'wrap', meat: meat.id, with: wrapWith }],
  });
  return [
    wrapOptionOf('paper-now', run(wrapNow('paper'))),
    wrapOptionOf('foil-now', run(wrapNow('foil'))),
    wrapOptionOf('leave-bare', run(bare)),
  ];
}

export function wrapOptionOf(id: WrapOption['id'], runs: readonly PieceOutcome[]): WrapOption {
  const window = p10p50p90(runs.map((r) => r.doneAtMin));
  const whenDone = (of: (m: MeatResult) => readonly (number | null)[]): number | null =>
    medianOfKnown(
      runs.map(({ meat }) =>
        meat && meat.doneAtMin !== null ? (of(meat)[meat.doneAtMin] ?? null) : null,
      ),
    );
  const raw = runs.map(({ meat }) => meat?.massKg.find((v) => v !== null) ?? null);
  const mass = whenDone((m) => m.massKg);
  const rawKg = medianOfKnown(raw);
  return {
    id,
    readyMin: window.every(Number.isFinite) ? window : null,
    yieldFraction: mass !== null && rawKg ? mass / rawKg : null,
    bark: whenDone((m) => m.bark),
  };
}

/** Safety looks at the slow, cold end of the likely pieces, never at their middle. */
function safetyOf(meats: readonly MeatResult[], now: number): Outlook['safety'] {
  const safe = p10p50p90(meats.map((m) => m.safeAtMin ?? NaN))[2];
  const slowest = meats.reduce<MeatResult | null>(
    (worst, m) => ((m.safeAtMin ?? Infinity) > (worst?.safeAtMin ?? -1) ? m : worst),
    null,
  );
  return {
    safeByMin: Number.isFinite(safe) ? Math.round(safe) : null,
    safeNow: safe <= now,
    centreMin:
      slowest?.coreC.slice(0, now + 1).filter((c) => c !== null && isLukewarm(c)).length ?? 0,
    cautions: slowest?.cautions ?? [],
  };
}

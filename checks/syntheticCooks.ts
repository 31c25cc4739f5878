/**
 * Synthetic cooks whose truth differs from the model in kind: twice the grid, a pit that drifts, a probe that
 * reads wrong and sits off the middle, a piece of another shape and cover than its cut's.
 */
import { onlyPiece } from '@ostrin/core';
import {
  type Action,
  advance,
  coreProbeC,
  createCook,
  type Cut,
  drawLikelyPiece,
  estimatePiece,
  heldTemperatureC,
  measuredAir,
  type MeasuredPit,
  type MeatSpec,
  p10p50p90,
  type PieceEstimate,
  type PitTrace,
  type ProbeReading,
  type Random,
  remainingScenario,
  runLikelyPiece,
  type Scenario,
  seeded,
  tracePit,
} from '@ostrin/core/internals';
import { heldCook } from './heldCook';
import { row, type Row } from './types';

interface Kind {
  pitC: number;
  meat: Omit<MeatSpec, 'id' | 'startC'>;
}
const paper = (coreC: number) => ({ with: 'paper', when: { coreC } }) as const;
const foil = (coreC: number) => ({ with: 'foil', when: { coreC } }) as const;
const tender = { tender: true } as const;
const KINDS: readonly Kind[] = [
  { pitC: 121, meat: { cut: 'pork-shoulder', massKg: 3.8, wrap: paper(74), done: { coreC: 95 } } },
  { pitC: 135, meat: { cut: 'pork-shoulder', massKg: 4, wrap: foil(74), done: tender } },
  { pitC: 135, meat: { cut: 'brisket', massKg: 6, wrap: paper(79), done: tender } },
  { pitC: 121, meat: { cut: 'brisket', massKg: 5, wrap: foil(71), done: { coreC: 94 } } },
  { pitC: 135, meat: { cut: 'lamb-shoulder', massKg: 2, wrap: foil(75), done: tender } },
  { pitC: 121, meat: { cut: 'beef-short-ribs', massKg: 2.2, wrap: paper(75), done: tender } },
  { pitC: 128, meat: { cut: 'spare-ribs', massKg: 1.2, done: tender } },
  { pitC: 125, meat: { cut: 'chuck', massKg: 2, wrap: foil(72), done: { coreC: 93 } } },
];
const UNTIL_MIN = 1200;

const usual = ({ pitC, meat }: Kind): Scenario => ({
  ...heldCook(pitC, meat),
  untilMin: UNTIL_MIN,
});

/** What the model expects of a kind, and its cook no longer than twice that: later nothing is compared. */
function expectedOf(kind: Kind): { traced: PitTrace; scenario: Scenario } {
  const trace = tracePit(usual(kind), UNTIL_MIN);
  const { doneAtMin, tenderAtMin } = onlyPiece(trace.result);
  const central = Math.max(doneAtMin ?? UNTIL_MIN, tenderAtMin ?? 0);
  return {
    traced: trace,
    scenario: { ...usual(kind), untilMin: Math.min(UNTIL_MIN, 2 * central) },
  };
}

/** How far the truth lies from the model in kind, one sd. */
const OTHER = { shape: 0.15, cap: 0.06, pitBiasK: 3, driftK: 5, noiseK: 0.5, probeOffM: 0.01 };

interface SyntheticCook {
  readings: ProbeReading[];
  wrappedAtMin: number | null;
  doneAtMin: number | null;
  tenderAtMin: number | null;
}

/** One true cook and what its thermometers said, every five minutes with gaps. */
function syntheticCook(kind: Kind, random: Random): SyntheticCook {
  const bias = OTHER.pitBiasK * random.normal();
  // The pit wanders about its setting: a slow walk that is drawn back.
  let drift = OTHER.driftK * random.normal();
  const schedule = Array.from({ length: UNTIL_MIN / 20 + 1 }, (_, i) => {
    drift = 0.85 * drift + OTHER.driftK * Math.sqrt(1 - 0.85 ** 2) * random.normal();
    return { atMin: 20 * i, pitC: kind.pitC + bias + drift };
  });
  const shape = OTHER.shape * random.normal();
  const cap = OTHER.cap * random.normal();
  const cut = (c: Cut): Cut => ({
    ...c,
    shapeExponent: Math.max(c.shapeExponent + shape, 0),
    coveredFraction: Math.min(Math.max(c.coveredFraction + cap, 0), 0.7),
  });
  const scenario: Scenario = { ...usual(kind), control: { mode: 'held', schedule } };
  const cook = createCook(scenario, {
    variations: [drawLikelyPiece(null, random).variation],
    pieceOverrides: { cells: 24, cut },
  });
  const readings: ProbeReading[] = [];
  let silentUntil = -1;
  for (let min = 0; min < UNTIL_MIN; min += 5) {
    advance(cook, min);
    const { piece, result } = cook.pieces[0]!;
    if (random.next() < 0.01) silentUntil = min + 60 * random.next();
    const silent = min < silentUntil;
    const noise = (): number => OTHER.noiseK * random.normal();
    const pit = heldTemperatureC(schedule, min) - bias;
    readings.push({
      atMin: min,
      pitC: silent ? null : pit + noise(),
      coreC: silent ? null : coreProbeC(piece, OTHER.probeOffM) + noise(),
    });
    if (result.doneAtMin !== null && result.tenderAtMin !== null) break;
  }
  const { wrappedAtMin, doneAtMin, tenderAtMin } = cook.pieces[0]!.result;
  return { readings, wrappedAtMin, doneAtMin, tenderAtMin };
}

/** p10, p50, p90 of when it is done and when tender, from a scenario and what is known of its piece. */
function windows(
  scenario: Scenario,
  measured: MeasuredPit,
  nowMin: number,
  estimate: PieceEstimate | null,
  members: number,
  random: Random,
) {
  const runs = Array.from({ length: members }, () =>
    runLikelyPiece(scenario, measured, nowMin, drawLikelyPiece(estimate, random)),
  );
  return {
    done: p10p50p90(runs.map((r) => r.doneAtMin)),
    tender: p10p50p90(runs.map((r) => r.tenderAtMin)),
  };
}

/** Share of true times inside p10..p90 of the ensembles, over `each` cooks of every kind. */
function calibration(each = 50, members = 80): { done: number; tender: number; cooks: number } {
  const random = seeded(20261123);
  let [done, tenderIn] = [0, 0];
  const inside = (t: number | null, [low, , high]: readonly number[]): number =>
    t !== null && t >= low! && t <= high! ? 1 : 0;
  for (const kind of KINDS) {
    const { traced: trace, scenario } = expectedOf(kind);
    const w = windows(scenario, measuredAir(trace, []), 0, null, members, random);
    for (let i = 0; i < each; i++) {
      const t = syntheticCook(kind, random);
      done += inside(t.doneAtMin, w.done);
      tenderIn += inside(t.tenderAtMin, w.tender);
    }
  }
  const cooks = each * KINDS.length;
  return { done: done / cooks, tender: tenderIn / cooks, cooks };
}

/** Errors of the middle of the window, min, and of the cook's length, at the start, halfway and two hours before. */
interface Assimilated {
  startMin: number[];
  halfwayMin: number[];
  twoHoursShare: number[];
  /** Share of true times inside p10..p90 halfway and two hours before. */
  inside: number;
}

/** The same cook called done at 94 C: tenderness shows only by feel, temperature on a probe. */
const byTemperature = (k: Kind): Kind => ({ ...k, meat: { ...k.meat, done: { coreC: 94 } } });

/** What readings add, over `cooks` cooks of all kinds in turn. */
export function assimilation(cooks = 100, members = 20): Assimilated {
  const random = seeded(4711);
  const out: Assimilated = { startMin: [], halfwayMin: [], twoHoursShare: [], inside: 0 };
  const kinds = KINDS.map(byTemperature).map((kind) => ({ kind, ...expectedOf(kind) }));
  let asked = 0;
  for (let i = 0; out.startMin.length < cooks; i++) {
    const { kind, traced, scenario } = kinds[i % kinds.length]!;
    const t = syntheticCook(kind, random);
    const truth = t.doneAtMin;
    if (truth === null || truth < 180) continue;
    const at = (nowMin: number): readonly [number, number, number] => {
      const known = t.readings.filter((r) => r.atMin <= nowMin);
      const measured = measuredAir(traced, known);
      const now = soFar(scenario, t.wrappedAtMin, nowMin);
      const estimate = estimatePiece({ scenario: now, measured, readings: known, nowMin });
      return windows(now, measured, nowMin, estimate, members, random).done;
    };
    const [start, halfway, late] = [at(0), at(truth / 2), at(truth - 120)];
    out.startMin.push(Math.abs(start[1] - truth));
    out.halfwayMin.push(Math.abs(halfway[1] - truth));
    out.twoHoursShare.push(Math.abs(late[1] - truth) / truth);
    for (const w of [halfway, late]) {
      asked++;
      if (truth >= w[0] && truth <= w[2]) out.inside++;
    }
  }
  out.inside /= asked;
  return out;
}

/** The scenario as far as it was done: a wrap that has happened is an act and no rule any more. */
function soFar(scenario: Scenario, wrappedAtMin: number | null, nowMin: number): Scenario {
  const { id, wrap } = onlyPiece(scenario);
  const wraps = (atMin: number): Action[] =>
    wrap ? [{ atMin, do: 'wrap', meat: id, with: wrap.with }] : [];
  const wrapped = wrappedAtMin !== null && wrappedAtMin <= nowMin;
  return remainingScenario({
    scenario,
    done: [...scenario.actions, ...(wrapped ? wraps(wrappedAtMin) : [])],
    ahead: wrapped ? [] : wraps(nowMin),
    nowMin,
  });
}

const OURS = 'asked of this engine: synthetic cooks of another kind';

/** How many true times fall into the windows made without any reading. */
export function calibrationRow(): Row {
  const c = calibration();
  return row('C1', `true times inside p10..p90, ${c.cooks} synthetic cooks`, OURS, [
    { what: 'done %', value: 100 * c.done, low: 73, high: 87 },
    { what: 'tender %', value: 100 * c.tender, low: 73, high: 87 },
  ]);
}

/** How much readings sharpen the done time. */
export function readingsRow(cooks = 100): Row {
  const a = assimilation(cooks);
  const median = (of: readonly number[]): number => p10p50p90(of)[1];
  const [start, halfway] = [median(a.startMin), median(a.halfwayMin)];
  return row('C2', `readings halve the error of the done time, ${cooks} synthetic cooks`, OURS, [
    { what: 'halfway over start', value: halfway / start, low: 0, high: 0.5, digits: 2 },
    { what: 'at the start min', value: start, low: 0, high: Infinity, digits: 0 },
    {
      what: 'two hours before, % of the cook',
      value: 100 * median(a.twoHoursShare),
      low: 0,
      high: 8,
    },
    { what: 'inside p10..p90 %', value: 100 * a.inside, low: 70, high: 92 },
  ]);
}

/** Both rows. */
export const syntheticRows = (): Row[] => [calibrationRow(), readingsRow()];

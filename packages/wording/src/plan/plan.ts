/** A plan with its sentences: what is shown, printed and exported, from the figures that are kept. */
import { METRIC, type Units } from '@ostrin/core/quantity';
import {
  pitFor,
  waysOut,
  type CardWords,
  type Feeding,
  type JobWords,
  type PlannedFire,
  type PlannedHold,
  type Plan,
  type PlannedRule,
  type PlanJob,
  type PlanVents,
  type Preparation,
  type Problem,
  type ProblemWords,
  type RequestPit,
  type Risk,
  type RiskWords,
  type Shopping,
  type ShoppingWords,
  type WrittenCard,
} from '@ostrin/core';
import { cautionWords } from '../cautions';
import { feedingWords, plannedFireWords } from '../fires';
import { temperatureWords } from '../quantities';
import { openingWords, settingWords, ventedPit, ventNames, type VentedPit } from '../vents';
import { jobWords } from './jobs';
import { firstMoveWords } from './moves';
import { holdWords } from './holds';
import { preparationWords } from './preparation';
import { problemWords } from './problems';
import { ruleWords } from './rule';
import { riskWords, wayOutWords } from './risks';
import { shoppingWords } from './shopping';

/** A setting, and what to try first when the pit settles high and when it settles low. */
interface VentWords {
  inWords: string;
  ifHigh?: string;
  ifLow?: string;
}

/** A fire with how it is built, step by step. */
type WordedFire = Omit<PlannedFire, 'feeding'> & {
  feeding: (Feeding & { inWords: string })[];
  inWords: string[];
};

/** A job with its sentences. */
export type WordedJob = PlanJob & JobWords;

/**
 * A plan with its sentences beside its figures: the `plan/1` document as it is shown and exported. What is read back
 * from it are the figures alone.
 */
export interface WordedPlan extends Plan {
  fires: WordedFire[];
  vents: (PlanVents & VentWords)[];
  rules: (PlannedRule & { inWords: string[] })[];
  jobs: WordedJob[];
  preparation: ((Preparation | WrittenCard) & CardWords)[];
  holds: ((PlannedHold | WrittenCard) & CardWords)[];
  shopping: (Shopping & ShoppingWords)[];
  risks: (Risk & RiskWords)[];
  problems: (Problem & ProblemWords)[];
  /** Ways out, in the order to try. */
  planB: string[];
  /** What is not safe about eating it as planned; each once. */
  cautions: string[];
}

/** The plan with its sentences, in the reader's units (those of its request when left out) and its pits' own vents. */
export function wordPlan(plan: Plan, units: Units = plan.request.units ?? METRIC): WordedPlan {
  const { request } = plan;
  const pitAt = (id: string | undefined): RequestPit => pitFor(request, id);
  return {
    ...plan,
    fires: plan.fires.map((fire, k) => ({
      ...fire,
      feeding: fire.feeding.map((f) => ({
        ...f,
        inWords: feedingWords(pitAt(fire.pit), f, units),
      })),
      inWords:
        fire.asWritten ?? plannedFireWords(pitAt(fire.pit), fire, plan.scenarios[k]!.fire!, units),
    })),
    vents: plan.vents.map((v) => ({
      ...v,
      ...ventWords(v, pitAt(v.pit), units, isByVents(plan, v.pit)),
    })),
    rules: (plan.rules ?? []).map((r) => ({ ...r, inWords: ruleWords(r, pitAt(r.pit), units) })),
    jobs: plan.jobs.map((job) => ({ ...job, ...jobWords(job.facts, pitAt(job.pit), units) })),
    preparation: plan.preparation.map((p) => ({
      ...p,
      ...('words' in p ? p.words : preparationWords(p, units)),
    })),
    holds: plan.holds.map((h) => ({ ...h, ...('words' in h ? h.words : holdWords(h, units)) })),
    shopping: plan.shopping.map((s) => ({ ...s, ...shoppingWords(s, units) })),
    risks: plan.risks.map((r) => ({ ...r, ...riskWords(r, ventedPit(pitAt(r.pit)), units) })),
    problems: plan.problems.map((p) => ({ ...p, ...problemWords(p, request, units) })),
    planB: waysOut(request.meats).map((way) => wayOutWords(way, units)),
    cautions:
      plan.writtenCautions ?? plan.cautionIds.map((id) => cautionWords(id, units, 'planned')),
  };
}

/** Whether a pit is held along notches of its vents: they say what to do when it stands high or low. */
const isByVents = ({ rules }: Plan, pit: string): boolean =>
  rules?.some((r) => r.pit === pit && r.notches.by === 'vents') ?? false;

/** A setting, where it settles, and, without a rule, what to try first when it does not. */
function ventWords(
  { fanTargetC, first, moves, ...vents }: PlanVents,
  pit: RequestPit,
  units: Units,
  byVents: boolean,
): VentWords {
  const vented = ventedPit(pit);
  const settles = `settles near ${temperatureWords(vents.settlesC, units)}`;
  const setting = settingWords(vented, vents.intakeFraction, vents.exhaustFraction);
  const inWords =
    fanTargetC !== null
      ? `Fan set to ${temperatureWords(fanTargetC, units)}, ${besideFanWords(vented, vents.exhaustFraction)}: ${settles}`
      : first
        ? `${setting}: ${settles}`
        : setting;
  return {
    inWords,
    ...(moves && !byVents
      ? { ifHigh: firstMoveWords(vented, moves.high), ifLow: firstMoveWords(vented, moves.low) }
      : {}),
  };
}

/** How the vents stand beside a fan: a built-in one has the slots to itself. */
const besideFanWords = (pit: VentedPit, exhaust: number): string =>
  pit.preset.hasFan
    ? `${ventNames(pit.preset).exhaust} open`
    : `${ventNames(pit.preset).exhaust} at ${openingWords(pit, 'exhaust', exhaust)}, the ${ventNames(pit.preset).intake} shut but for it`;

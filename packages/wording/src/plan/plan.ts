/** A plan with its sentences: the `plan/1` document from the figures that the engine works out. */
import {
  METRIC,
  plan,
  type Plan,
  type PlanFigures,
  type PlanOptions,
  type PlanVents,
  type Request,
  type RequestPit,
  type Result,
  type Units,
  type VentFigures,
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
import { riskWords, wayOutWords } from './risks';
import { shoppingWords } from './shopping';

/** The plan document, in the units of its request and the vents of its pits. */
export function wordPlan(figures: PlanFigures): Plan {
  const { request } = figures;
  const units = request.units ?? METRIC;
  const pitOf = (id: string | undefined): RequestPit =>
    request.pits.find((p) => p.id === id) ?? request.pits[0]!;
  return {
    ...figures,
    fires: figures.fires.map(({ spec, hourPieces, ...fire }) => {
      const pit = pitOf(fire.pit);
      return {
        ...fire,
        feeding: fire.feeding.map((f) => ({ ...f, inWords: feedingWords(pit, f, units) })),
        inWords: plannedFireWords(pit, { ...fire, spec, hourPieces }, units),
      };
    }),
    vents: figures.vents.map((v) => wordVents(v, pitOf(v.pit), units)),
    jobs: figures.jobs.map(({ facts, ...job }) => ({
      ...job,
      ...jobWords(facts, pitOf(job.pit), units),
    })),
    preparation: figures.preparation.map((p) => preparationWords(p, units)),
    holds: figures.holds.map((h) => holdWords(h, units)),
    shopping: figures.shopping.map((s) => shoppingWords(s, units)),
    risks: figures.risks.map((r) => riskWords(r, ventedPit(pitOf(r.pit)), units)),
    planB: figures.planB.map((way) => wayOutWords(way, units)),
    problems: figures.problems.map((p) => problemWords(p, request, units)),
    cautions: figures.cautions.map((id) => cautionWords(id, units)),
  };
}

/** A setting, where it settles, and what to try first when it does not. */
function wordVents(
  { fanTargetC, first, moves, ...vents }: VentFigures,
  pit: RequestPit,
  units: Units,
): PlanVents {
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
    ...vents,
    inWords,
    ...(moves
      ? { ifHigh: firstMoveWords(vented, moves.high), ifLow: firstMoveWords(vented, moves.low) }
      : {}),
  };
}

/** How the vents stand beside a fan: a built-in one has the slots to itself. */
const besideFanWords = (pit: VentedPit, exhaust: number): string =>
  pit.preset.hasFan
    ? `${ventNames(pit.preset).exhaust} open`
    : `${ventNames(pit.preset).exhaust} at ${openingWords(pit, 'exhaust', exhaust)}, the ${ventNames(pit.preset).intake} shut but for it`;

/** The plan document for a request, worked out and worded in one go. See `planSteps` of the engine. */
export const planDocument = (request: Request, options: PlanOptions): Plan =>
  wordPlan(plan(request, options));

/** A result document: its cautions in words, in the units of its reader. */
export const wordResult = (result: Result, units: Units = METRIC) => ({
  ...result,
  meats: result.meats.map((m) => ({
    ...m,
    cautions: m.cautions.map((id) => cautionWords(id, units)),
  })),
});

/** A cook run as far as it is needed: until its last piece is done, with the air of every piece kept. */
import { advance, createCook, simulate } from '../cook/cook';
import { surroundings } from '../cook/grateAir';
import type { Operator } from '../control/operator';
import { resultOf } from '../cook/result';
import type { CookingPiece } from '../cook/state';
import { onlyPiece, type MeatResult, type Result } from '../scenario/result';
import type { MeatSpec, Scenario } from '../scenario/scenario';
import { NO_VARIATION, type PieceVariation } from '../meat/variation';
import type { Surroundings } from '../meat/surface';
import { mean } from '../quantity/statistics';

/** Looked at this often whether everything is done, min. */
const CHECK_EVERY_MIN = 30;
/** A rough answer looks at the pit for so long, min. */
const BRIEF_RUN_MIN = 150;

export interface RunResult {
  /** What came of it. */
  result: Result;
  /** The air that each piece lay in, minute by minute. */
  air: Surroundings[][];
  /** Minute at which the run was ended. */
  endMin: number;
  /** The pieces as they were then. */
  pieces: readonly CookingPiece[];
}

/** Runs until every piece is done, at most to the scenario's end; `keepAir` for pieces to be laid in it again. */
export function runUntilDone(
  scenario: Scenario,
  options: { operator?: Operator; variations?: PieceVariation[]; keepAir?: boolean },
): RunResult {
  const cook = createCook(scenario, { operator: options.operator, variations: options.variations });
  const air: Surroundings[][] = scenario.meats.map(() => []);
  let at = 0;
  while (at < scenario.untilMin) {
    const next = Math.min(at + CHECK_EVERY_MIN, scenario.untilMin);
    if (options.keepAir) {
      for (let min = at; min < next; min++) {
        advance(cook, min);
        cook.pieces.forEach((g, i) => air[i]!.push(surroundings(cook, min, g.gratePlace)));
      }
    }
    advance(cook, next);
    at = next;
    if (cook.pieces.length > 0 && cook.pieces.every((g) => g.result.doneAtMin !== null)) break;
  }
  return { result: resultOf(cook), air, endMin: at, pieces: cook.pieces };
}

/**
 * The same without running a fire to its end, for an answer at once: the pit for its first hours, its pieces in that
 * air with the last hour of it going on. Nobody has worked out yet how this fire is held; it will be held at
 * `targetC`, so the air is moved by as much as its last hour is off that.
 */
export function runPitBriefly(
  scenario: Scenario,
  operator: Operator,
  onMin: readonly number[],
  targetC: number,
): RunResult {
  const run = runUntilDone({ ...scenario, untilMin: BRIEF_RUN_MIN }, { operator, keepAir: true });
  return { ...run, result: { ...run.result, meats: piecesHeldAt(targetC, scenario, run, onMin) } };
}

/** The pieces of a run in its air, moved by as much as the pit's last hour is off `targetC`. */
function piecesHeldAt(
  targetC: number,
  scenario: Scenario,
  { result, air }: RunResult,
  onMin: readonly number[],
): MeatResult[] {
  const lastHour = result.pitC.slice(-Math.ceil(60 / scenario.everyMin));
  const offK = targetC - mean(lastHour.filter((c) => c !== null));
  return scenario.meats.map((m, i) => {
    const held = air[i]!.map((a) => ({ ...a, airC: a.airC + offK, wallC: a.wallC + offK }));
    return runPieceInAir(scenario, m, onMin[i]!, held, NO_VARIATION);
  });
}

/** A piece of its own kind in air that is known; minutes as in the scenario it was kept from. */
export function runPieceInAir(
  scenario: Scenario,
  meat: MeatSpec,
  onMin: number,
  air: readonly Surroundings[],
  variation: PieceVariation,
): MeatResult {
  const last = air.length - 1;
  const alone: Scenario = {
    ...scenario,
    actions: [{ atMin: onMin, do: 'meat-on', meat: meat.id }],
    meats: [meat],
    untilMin: scenario.untilMin,
  };
  // The fire's last hour goes on for pieces that take longer than the one it was kept from.
  const at = (atMin: number): Surroundings =>
    air[
      atMin <= last
        ? Math.max(0, Math.floor(atMin))
        : Math.max(0, last - (Math.floor(atMin - last) % 60))
    ]!;
  return onlyPiece(simulate(alone, { variations: [variation], airTrace: at }));
}

/** A change of mind in the middle of a cook: each with its effect, before it is chosen. */
import { weatherAt } from '../air/weather';
import { FollowedFire } from '../estimate/followedFire';
import { runLikelyPiece } from '../estimate/likelyPiece';
import type { PlanLog } from '../plan/document/plan';
import { clamp } from '../quantity/units';
import { isWrapped } from '../scenario/actions';
import { likelyCooks, type ForecastInput } from '../forecast/likelyCooks';
import { wrapOptionOf, type ChangeId, type WrapOption } from '../forecast/outlook';

/** One change, with what it logs and its effect. */
export interface ChangeOption extends WrapOption {
  /** What choosing it logs; empty where it only leaves something out. */
  logs: PlanLog[];
  /** How many times as much fuel an hour the pit burns with it, about; 1 as planned, 0 where it may go out. */
  fuelTimes: number;
}

/** A pit is lowered by so much, and finished at so much, C (common practice: 180 to 200). */
const LOWER_BY_K = 14;
const LOWEST_C = 95;
const HOT_C = 190;

/** What a change of mind is asked about. */
export interface ChangeQuestion {
  /** The target of the pit as it is now, C. */
  targetC: number;
  /** What the kitchen oven would be set to, C. */
  ovenC: number;
  /** The changes that are asked for; all when left out. */
  ids?: readonly ChangeId[];
}

/** The changes that make sense for a piece that is wrapped or not. */
function changesFor(
  meat: string,
  wrapped: boolean,
  { targetC, ovenC }: ChangeQuestion,
): [ChangeId, PlanLog[]][] {
  const wrap = (id: 'paper' | 'foil' | 'boat' | 'pan'): [ChangeId, PlanLog[]] => [
    `${id}-now`,
    [{ do: 'wrap', meat, with: id }],
  ];
  return [
    ['as-planned', []],
    ...(wrapped
      ? [['unwrap-now', [{ do: 'unwrap', meat }]] satisfies [ChangeId, PlanLog[]]]
      : [wrap('paper'), wrap('foil'), wrap('boat'), wrap('pan')]),
    ['oven-now', [{ do: 'oven-finish', meat, atC: ovenC }]],
    ['lower', [{ do: 'set-target', targetC: clamp(targetC - LOWER_BY_K, LOWEST_C, targetC) }]],
    ['hotter', [{ do: 'set-target', targetC: Math.max(HOT_C, targetC) }]],
    ['leave-bare', []],
  ];
}

/** The changes for the piece that is asked about, run with the same likely pieces. */
export function changeOptions(
  input: ForecastInput,
  question: ChangeQuestion,
  followed = new FollowedFire(),
): ChangeOption[] {
  const { nowMin, scenario, done } = input;
  const { targetC, ids } = question;
  const meat = input.piece;
  const wrapped = isWrapped(done, meat);
  const { airC } = weatherAt(scenario.weather, nowMin);
  const asIs = likelyCooks(input, followed);
  return changesFor(meat, wrapped, question)
    .filter(([id]) => (id !== 'leave-bare' || !wrapped) && (!ids || ids.includes(id)))
    .map(([id, logs]) => {
      const ahead = logs.map((log) => ({ ...log, atMin: nowMin }));
      const target = logs.find((l) => l.do === 'set-target');
      // A fire's past stays as it was: what is chosen now is still to come.
      const { remaining, members } = target
        ? likelyCooks({ ...input, ahead: [...input.ahead, ...ahead] }, followed)
        : asIs;
      const [first] = remaining.meats;
      const changed =
        id === 'as-planned' || target
          ? remaining
          : {
              ...remaining,
              meats: [{ ...first!, wrap: undefined }],
              actions: [...remaining.actions, ...ahead],
            };
      const runs = members.map(({ drawn, measured }) =>
        runLikelyPiece(changed, measured, nowMin, drawn, input.felt),
      );
      const fuelTimes =
        id === 'oven-now' ? 0 : ((target?.targetC ?? targetC) - airC) / Math.max(targetC - airC, 1);
      return { ...wrapOptionOf(id, runs), logs, fuelTimes };
    });
}

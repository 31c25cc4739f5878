/** Where a piece rests, between the draft and the request document. */
import {
  cutOf,
  FIRST_STAGES,
  SHUT_IN,
  USUAL_RESTS,
  usualFirst,
  usualRest,
  type RestFirst,
  type RestWhere,
} from '@ostrin/core/catalogue';
import type { RequestMeat } from '@ostrin/core';
import type { DraftMeat } from './planDraft';

/** How it stops cooking before it is shut in: as was chosen, else as is usual; undefined for straight in. */
function firstStageOf({ cut, restFirst }: DraftMeat, where: RestWhere): RestFirst | undefined {
  if (!SHUT_IN.includes(where) || restFirst === 'in') return undefined;
  return restFirst ? FIRST_STAGES[restFirst] : usualFirst(cutOf(cut), where);
}

/** Where and how long it rests: as is usual for its cut where that is the place. */
export function requestRest(meat: DraftMeat): RequestMeat['rest'] {
  const cut = cutOf(meat.cut);
  const usual = usualRest(cut);
  const minutes = meat.restMin ? { minutes: meat.restMin } : {};
  const where = meat.rest ?? usual.where;
  const first = firstStageOf(meat, where);
  const before = first ? { first } : {};
  if (where === usual.where) return { where, minutes: usual.minutes, ...minutes, ...before };
  const rest = { where, ...USUAL_RESTS[where], ...minutes, ...before };
  return 'atC' in rest && meat.restC ? { ...rest, atC: meat.restC } : rest;
}

/** A rest as a draft has it; all null where it is as usual for the cut. */
export function draftRestOf({
  cut,
  rest,
}: Pick<RequestMeat, 'cut' | 'rest'>): Pick<DraftMeat, 'rest' | 'restC' | 'restFirst' | 'restMin'> {
  const same = JSON.stringify(rest) === JSON.stringify(usualRest(cutOf(cut)));
  return {
    rest: same ? null : rest.where,
    restC: rest.atC ?? null,
    restFirst: same ? null : (rest.first?.where ?? 'in'),
    restMin: same ? null : rest.minutes,
  };
}

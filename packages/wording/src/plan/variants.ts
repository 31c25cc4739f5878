/** Variants of a plan in words. */
import { cutOf, WRAPS, WRAP_SCHOOLS } from '@ostrin/core/catalogue';
import { METRIC, type Units } from '@ostrin/core/quantity';
import type { Request, WrapWhen } from '@ostrin/core';
import type { VariantChange, VariantFigures } from '@ostrin/core/engine';
import { fireChoiceWords } from '../fires';
import { spanOfTime, temperatureWords } from '../quantities';
import { problemWords } from './problems';

/** One variant as it would go, with its sentences. */
export interface PlanVariant extends Omit<VariantFigures, 'problem'> {
  /** In what it differs: `at 135 C`, `wrapped in foil`. */
  inWords: string;
  /** What stands in the way; empty when nothing does. */
  problem: string;
}

/** When a piece is wrapped: `at 74 C`, `in the stall`, `after 3 h`. */
export function whenWrappedWords(when: WrapWhen, units: Units): string {
  if ('coreC' in when) return `at ${temperatureWords(when.coreC, units)}`;
  if ('onForMin' in when) return `after ${spanOfTime(when.onForMin)}`;
  if ('atMin' in when) return 'by the clock';
  return 'stalled' in when ? 'in the stall' : 'when the bark is set';
}

/** In what a variant differs from the plan. */
export function changeWords(change: VariantChange, units: Units): string {
  switch (change.kind) {
    case 'as-planned':
      return 'as planned';
    case 'pit-temperature':
      return `at ${temperatureWords(change.pitC, units)}`;
    case 'feed-interval':
      return `fed every ${change.everyMin} min`;
    case 'fire':
      return `on ${fireChoiceWords(change.id).label}`;
    case 'pit':
      return `on ${change.name}`;
    case 'wrap':
      return change.with === 'none' ? 'not wrapped' : `wrapped in ${WRAPS[change.with].name}`;
    case 'cut':
      return `with ${cutOf(change.cut).plural} instead`;
    case 'wrap-when':
      return `wrapped ${whenWrappedWords(WRAP_SCHOOLS[change.school], units)}`;
  }
}

/** A variant of a request with its sentences. */
export function wordVariant(figures: VariantFigures, request: Request): PlanVariant {
  const units = request.units ?? METRIC;
  const { problem } = figures;
  return {
    ...figures,
    inWords: changeWords(figures.change, units),
    problem: problem ? problemWords(problem, figures.request, units).message : '',
  };
}

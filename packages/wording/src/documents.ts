/**
 * Documents worked out and worded in one go, for whoever has no worker to ask. It stands apart, so that a page does not
 * load the engine.
 */
import type { Request, Result } from '@ostrin/core';
import { plan, type PlanOptions } from '@ostrin/core/engine';
import { METRIC, type Units } from '@ostrin/core/quantity';
import { cautionWords } from './cautions';
import { wordPlan, type WordedPlan } from './plan/plan';

/** The plan document for a request, worked out and worded in one go. See `planSteps` of the engine. */
export const planDocument = (request: Request, options: PlanOptions): WordedPlan =>
  wordPlan(plan(request, options));

/** A result document: its cautions in words, in the units of its reader. */
export const wordResult = (result: Result, units: Units = METRIC) => ({
  ...result,
  meats: result.meats.map((m) => ({
    ...m,
    cautions: m.cautions.map(({ id }) => cautionWords(id, units, 'now')),
  })),
});

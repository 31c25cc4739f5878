/** A planned cook as it really goes: what was done is done, what lies ahead is still planned. */
import { hasRules } from '../cook/cookingPiece';
import type { Action } from '../scenario/actions';
import type { MeatSpec, Scenario } from '../scenario/scenario';

/** What is known of a cook under way. */
export interface CookInProgress {
  /** The scenario of the plan. */
  scenario: Scenario;
  /** What was done, minutes after lighting. */
  done: Action[];
  /** What is still planned, minutes after lighting. */
  ahead: Action[];
  /** Now, minutes after lighting. */
  nowMin: number;
}

/** The scenario to run on from here. Wrapping stays with its rule where it is still ahead. */
export function remainingScenario({ scenario, done, ahead, nowMin }: CookInProgress): Scenario {
  const wrapped = new Set(done.flatMap((a) => (a.do === 'wrap' ? [a.meat] : [])));
  const later = ahead.map((a) => ({ ...a, atMin: Math.max(a.atMin, nowMin + 1) }));
  const wrapAhead = later.some((a) => a.do === 'wrap');
  const retargets = [...done, ...later].some((a) => a.do === 'set-target');
  return {
    ...scenario,
    // Who changes the pace is told by the log, or by a job; the rule is for a cook that nobody tends.
    control: retargets ? withoutSecondPace(scenario.control) : scenario.control,
    // Wrapping and taking off are the cook's own acts now; only what still lies ahead may be assumed.
    meats: scenario.meats.map((m) => ({
      ...m,
      ...(hasRules(m) ? { rulesFromMin: nowMin } : {}),
      wrap: wrapped.has(m.id) || !wrapAhead ? onlyBared(m.wrap) : m.wrap,
    })),
    actions: [...done, ...later.filter((a) => a.do !== 'wrap' && a.do !== 'meat-off')],
    everyMin: 1,
  };
}

/** What is left of a wrap that is done, or left out: that it is bared again. */
export const onlyBared = (wrap: MeatSpec['wrap']): MeatSpec['wrap'] =>
  wrap?.bareLastMin === undefined ? undefined : { with: wrap.with, bareLastMin: wrap.bareLastMin };

const withoutSecondPace = (control: Scenario['control']): Scenario['control'] =>
  control.mode === 'held' ? control : { ...control, then: undefined };

/** Only what the log says was done counts; a fan goes on by itself. */
export const byLogOnly = (control: Scenario['control']): Scenario['control'] =>
  control.mode === 'fan' ? { ...control, then: undefined } : { mode: 'vents' };

/** A scenario in which nothing is sprayed, brushed, or taken to a second pace by itself: only what was done counts. */
export const withoutRules = (scenario: Scenario): Scenario => ({
  ...scenario,
  control: withoutSecondPace(scenario.control),
  meats: scenario.meats.map((m) =>
    hasRules(m)
      ? {
          ...m,
          spray: undefined,
          sauce: undefined,
          rulesFromMin: undefined,
          wrap: m.wrap && { ...m.wrap, bareLastMin: undefined },
        }
      : m,
  ),
});

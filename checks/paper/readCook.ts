/** One cook in its true pit, tended by a reader of the printed plan, and what came of it. */
import type { Case } from '../plans/requests';
import { inBandOf, tendCase } from '../tend/inBand';
import { planOf } from '../tend/truePit';
import { trueCook } from '../tend/truth';
import { paperReader } from './reader';

/** Too hot by so much over the band for so long is a runaway, K and min. */
const RUNAWAY = { overK: 25, min: 20 };
/** A pit that has been up and is so far under its target for so long is out, K and min. */
const OUT = { underK: 50, min: 30 };

/** What one cook came to. */
export interface ReadCook {
  id: string;
  family: string;
  /** Shares of the time in the band: by the paper, by its jobs without its looks, and by rules of thumb, 0 to 1. */
  paper: number;
  jobsOnly: number;
  rules: number;
  /** Whether it ran away, and whether the fire was out before the meat was done. */
  ranAway: boolean;
  ranOut: boolean;
  /** Visits an hour: what was done, and what the plan says, its looks included. */
  visitsPerH: number;
  plannedVisitsPerH: number;
  /** What the plan promises of its rule, 0 to 1; null beside a fan. */
  promised: number | null;
}

/** Whether something holds for so many minutes on end, from the half minute `from` on. */
function holdsFor(c: readonly number[], from: number, min: number, is: (c: number) => boolean) {
  let run = 0;
  for (const one of c.slice(from)) {
    run = is(one) ? run + 1 : 0;
    if (run >= 2 * min) return true;
  }
  return false;
}

/** Carries one case out by its printed plan. */
export function readCook(c: Case): ReadCook {
  const made = planOf(c);
  const { plan } = made;
  const t = trueCook(c, made, { operator: () => paperReader(plan) });
  const upTo = t.doneMin === null ? t.truePitC.length : 2 * t.doneMin;
  const pits = t.truePitC.slice(0, upTo);
  const { targetC, bandC } = t;
  const up = pits.findIndex((x) => Math.abs(x - targetC) <= bandC);
  const rule = plan.rules?.[0];
  const hours = (t.doneMin ?? t.endMin) / 60;
  const inBand = inBandOf(t);
  return {
    id: c.id,
    family: c.family,
    paper: inBand.inBand,
    jobsOnly: tendCase('planOnly', c, made).inBand,
    rules: tendCase('rules', c, made).inBand,
    ranAway: holdsFor(pits, 2 * t.onMin, RUNAWAY.min, (x) => x > targetC + bandC + RUNAWAY.overK),
    ranOut: up >= 0 && holdsFor(pits, up, OUT.min, (x) => x < targetC - OUT.underK),
    visitsPerH: inBand.visitsPerH,
    plannedVisitsPerH: (plan.watch.visits + (rule?.looks.count ?? 0)) / hours,
    promised: rule?.inBandFraction ?? null,
  };
}

/** Jobs with one piece between meat on and off besides wrapping: spraying, baring, brushing. */
import { LOOK_LID_S } from '../../scenario/actions';
import { FIRM_BARK } from '../../meat/treatments';
import { SAUCE_LAST_MIN } from '../../meat/usualTreatment';
import type { RequestMeat } from '../request/types';
import type { PlanLog } from '../document/plan';
import type { PitSchedule } from '../schedule/pitSchedule';
import { windowOf, type JobDraft } from './job';

/** A lid or door open for a look. */
export const LOOK: PlanLog = { do: 'lid-open', seconds: LOOK_LID_S };

/** Spraying, baring and brushing of one meat; `i` is its place among the meats of the pit. */
export function careJobs(
  plan: PitSchedule,
  meat: RequestMeat,
  i: number,
  pieces: number,
  id: (job: string) => string,
): JobDraft[] {
  const { cut } = meat;
  const [p10, p50, p90] = windowOf(plan.readyMin[i]!);
  const sprays = plan.result.meats[i]?.sprayedAtMin ?? [];
  const before = (minutes: number): Pick<JobDraft, 'atMin' | 'spanMin'> => ({
    atMin: p50 - minutes,
    spanMin: [p10 - minutes, p90 - minutes],
  });
  const jobs = sprays
    .filter((atMin) => atMin < p10)
    .map((atMin, n): JobDraft => ({
      id: id(`spray-${n + 1}`),
      atMin,
      do: 'spritz',
      facts: {
        kind: 'spray',
        cut,
        pieces,
        first: n === 0,
        school: meat.spray!,
        costMin: n === 0 ? plan.lookCostMin : null,
      },
      logs: [LOOK, { do: 'spritz', meat: meat.id }],
    }));
  const bareMin = meat.wrap.with === 'none' ? undefined : meat.wrap.bareLastMin;
  if (bareMin !== undefined) {
    jobs.push({
      id: id('bare'),
      ...before(bareMin),
      do: 'unwrap',
      facts: { kind: 'bare', cut, pieces, with: meat.wrap.with, minutes: bareMin },
      logs: [LOOK, { do: 'unwrap', meat: meat.id }],
    });
  }
  // Sauce sets on a bare face only.
  if (meat.sauce && (meat.wrap.with === 'none' || bareMin !== undefined)) {
    jobs.push({
      id: id('sauce'),
      ...before(Math.min(meat.sauceLastMin ?? SAUCE_LAST_MIN, bareMin ?? Infinity)),
      do: 'sauce',
      facts: { kind: 'sauce', cut, pieces },
      logs: [LOOK, { do: 'sauce', meat: meat.id }],
    });
  }
  return jobs;
}

/** How many minutes after it went on the bark of a piece is firm in the reference cook; null where it never is. */
export function barkFirmAfterMin(
  { result, scenario, onMin }: PitSchedule,
  i: number,
): number | null {
  const row = result.meats[i]?.bark.findIndex((b) => b !== null && b >= FIRM_BARK) ?? -1;
  return row < 0 ? null : Math.max(0, row * scenario.everyMin - onMin[i]!);
}

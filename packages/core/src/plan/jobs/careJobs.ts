/** Jobs with a piece between meat on and off besides wrapping: spraying, turning, swapping ends, baring, brushing. */
import { LOOK_LID_S } from '../../scenario/actions';
import { FIRM_BARK } from '../../meat/treatments';
import { BARE_LAST_MIN, SAUCE_LAST_MIN } from '../../meat/usualTreatment';
import { mean } from '../../quantity/statistics';
import type { RequestMeat } from '../request/types';
import type { PlanLog } from '../document/plan';
import type { PitPlan } from '../schedule/pitPlan';
import { lastOffMin, windowOf, type JobDraft } from './job';

/** A lid or door open for a look. */
const LOOK: PlanLog = { do: 'lid-open', seconds: LOOK_LID_S };

/** Spraying, baring and brushing of one meat; `i` is its place among the meats of the pit. */
export function careJobs(
  plan: PitPlan,
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
      ...before(Math.min(SAUCE_LAST_MIN, bareMin ?? BARE_LAST_MIN)),
      do: 'sauce',
      facts: { kind: 'sauce', cut, pieces },
      logs: [LOOK, { do: 'sauce', meat: meat.id }],
    });
  }
  return jobs;
}

/** How many minutes after it went on the bark of a piece is firm in the reference cook; null where it never is. */
export function barkFirmAfterMin({ result, scenario, onMin }: PitPlan, i: number): number | null {
  const row = result.meats[i]?.bark.findIndex((b) => b !== null && b >= FIRM_BARK) ?? -1;
  return row < 0 ? null : Math.max(0, row * scenario.everyMin - onMin[i]!);
}

/** A fire that walks is a quarter round further after so many degrees. */
const QUARTER_DEGREES = 90;
/** Ends of a grate that differ by less than this are left alone, K. */
const WORTH_SWAPPING_K = 8;
/** Nothing is turned any more so shortly before it may be done, min. */
const LAST_TURN_MIN = 45;

/** Turning what lies on a grate: as a fire walks round under it, or because one end runs hotter. */
export function turnJobs(plan: PitPlan, meats: readonly RequestMeat[]): JobDraft[] {
  const { result, setup, onMin, readyMin } = plan;
  const firstOn = Math.min(...onMin);
  const until = Math.min(lastOffMin(plan), ...readyMin.map((r) => windowOf(r)[0])) - LAST_TURN_MIN;
  const logs: PlanLog[] = [LOOK, ...meats.map((m): PlanLog => ({ do: 'turn', meat: m.id }))];
  if (setup.fire.arrangement === 'snake') {
    const from = result.frontDegrees.find((d) => d !== null) ?? 0;
    return [1, 2, 3].flatMap((quarter): JobDraft[] => {
      const row = result.frontDegrees.findIndex(
        (d) => d !== null && d - from >= quarter * QUARTER_DEGREES,
      );
      const atMin = row < 0 ? Infinity : result.minutes[row]!;
      if (atMin < firstOn || atMin > until) return [];
      const facts = { kind: 'turn-grate' as const };
      return [{ id: `turn-${quarter}`, atMin, do: 'turn', facts, logs }];
    });
  }
  if (!setup.preset.traits.longGrate) return [];
  const hotterK = hotEndK(plan);
  const atMin = Math.round((firstOn + until) / 2);
  if (hotterK < WORTH_SWAPPING_K || atMin <= firstOn) return [];
  return [{ id: 'swap', atMin, do: 'turn', facts: { kind: 'swap-ends', hotterK }, logs }];
}

/** How much hotter the end at the fire is than the far one while meat lies there, mean of the reference cook, K. */
function hotEndK({ result, onMin }: PitPlan): number {
  const from = result.minutes.findIndex((m) => m >= Math.min(...onMin));
  const at = (place: string): number[] =>
    (result.grate.find((g) => g.at === place)?.C ?? []).slice(from).filter((c) => c !== null);
  const [near, far] = [at('near'), at('far')];
  return near.length === 0 || far.length === 0 ? 0 : mean(near) - mean(far);
}

/** The likeliest troubles of a plan, by its own likely cooks. */
import { cutOf } from '../../meat/cuts';
import { doneByFeel } from '../../meat/cut';
import { mean } from '../../quantity/statistics';
import { roundDigits, roundTo } from '../../quantity/units';
import type { Risk } from '../document/plan';
import { windowOf } from '../jobs/job';
import type { RequestMeat } from '../request/types';
import type { PitSchedule } from '../schedule/pitSchedule';
import { latestEndMin, maxHoldMin } from '../schedule/schedule';
import { firstMove } from '../fire/firstMove';

/** How many are told. */
const MOST = 3;

/** A trouble of the pit that is looked at, with its chance. */
type RiskOfPit = Omit<Required<Risk>, 'pit'>;

/** Two or three troubles of a pit, the likeliest first. `late` is each meat's chance of being late, 0 to 1. */
export function risksOf(
  plan: PitSchedule,
  meats: readonly RequestMeat[],
  late: readonly number[],
): Risk[] {
  const all: RiskOfPit[] = [
    ...settlesOff(plan),
    ...fuelRisks(plan),
    ...meats.map((m, i) => lateRisk(plan, m, i, late[i] ?? 0)),
    ...meats.flatMap((m, i) => earlyRisk(plan, m, i)),
    ...risksOfThePit(plan),
  ];
  return all
    .sort((a, b) => b.chanceFraction - a.chanceFraction)
    .slice(0, MOST)
    .map((r) => ({
      ...r,
      pit: plan.setup.pit.id,
      chanceFraction: roundDigits(r.chanceFraction, 2),
    }));
}

const inHundred = (fraction: number): number => Math.round(100 * fraction);

/** The hour in which it is seen where a pit settles, min after lighting. */
const FIRST_HOUR_MIN = { from: 45, to: 120 };

/** Off its band in the first hours, by the likely pits: high or low, whichever is likelier. */
function settlesOff(plan: PitSchedule): RiskOfPit[] {
  const { setup, policy, likelyRuns } = plan;
  if (setup.underFan) return [];
  const { pitC: targetC, bandC } = setup.pit.pace;
  const early = likelyRuns.map((r) => {
    const part = r.pitC.filter(
      (_, i) => r.minutes[i]! >= FIRST_HOUR_MIN.from && r.minutes[i]! <= FIRST_HOUR_MIN.to,
    );
    return mean(part.filter((c): c is number => c !== null)) - targetC;
  });
  const highFraction = early.filter((k) => k > bandC / 2).length / early.length;
  const lowFraction = early.filter((k) => k < -bandC / 2).length / early.length;
  const high = highFraction >= lowFraction;
  const chanceFraction = Math.max(highFraction, lowFraction);
  return [
    {
      chanceFraction,
      facts: {
        kind: 'settles-off',
        high,
        offK: bandC / 2,
        targetC,
        first: firstMove(plan, high ? bandC : -bandC),
        waitMin: plan.rule?.everyMin ?? policy.waitMin,
      },
    },
  ];
}

/** How often a split smokes white for long, 0 to 1 (common practice: cold or damp wood). */
const WHITE_SPLIT_CHANCE = 0.3;
/** A load is short where the likely pits need more than this share of it. */
const SHORT_FROM = 0.92;

/** Fuel that may run short, and wood that smokes white. */
function fuelRisks(plan: PitSchedule): RiskOfPit[] {
  const { setup, charcoalKgPerMin } = plan;
  if (setup.onSplits) {
    return [{ chanceFraction: WHITE_SPLIT_CHANCE, facts: { kind: 'white-split' } }];
  }
  const needs = charcoalKgPerMin.map((k) => k * latestEndMin(plan));
  const short = needs.filter((kg) => kg > SHORT_FROM * plan.fuelLoadKg).length;
  const kgPerMin = mean(charcoalKgPerMin);
  return [
    {
      chanceFraction: short / Math.max(needs.length, 1),
      facts: {
        kind: 'short-of-fuel',
        lastsMin: roundTo(plan.fuelLoadKg / Math.max(kgPerMin, 1e-6), 15),
        canTopUp: setup.preset.traits.canTopUp,
        kgPerMin,
      },
    },
  ];
}

/** Every piece may be late; so much is said at least, 0 to 1. */
const LEAST_LATE = 0.05;
/** A piece should have left its stall at this share of its time on the pit. */
const PAST_STALL_AT = 0.6;

function lateRisk(plan: PitSchedule, meat: RequestMeat, i: number, late: number): RiskOfPit {
  const [p10, , p90] = windowOf(plan.readyMin[i]!);
  return {
    chanceFraction: Math.max(late, LEAST_LATE),
    facts: {
      kind: 'late',
      cut: meat.cut,
      behindAfterMin: Math.round(((p10 + p90) / 2 - plan.onMin[i]!) * PAST_STALL_AT),
      stalls: plan.result.meats[i]?.stall != null,
      canWrap: meat.wrap.with === 'none' && doneByFeel(cutOf(meat.cut)),
      inHundred: inHundred(late),
      spreadMin: Math.round(p90 - p10),
    },
  };
}

/** Places that keep a piece longer, the simplest first. */
const KEEPERS = ['cool-box', 'oven', 'warmer'] as const;
/** Ready too early in fewer cooks than this is not worth a word. */
const OFTEN_EARLY = 0.25;
/** Another place is named where it saves so many more of the cooks than the simpler one, and than now. */
const BETTER_BY = { thanSimpler: 0.05, thanNow: 0.1 };

/** Ready before it can be held: where it would keep, and how many of the likely cooks that saves. */
function earlyRisk(plan: PitSchedule, meat: RequestMeat, i: number): RiskOfPit[] {
  const ready = plan.readyMin[i]!;
  const { readyFromMin, readyByMin } = plan.targets[i]!;
  const latest = readyByMin - plan.litMin;
  const eaten = latest + meat.rest.minutes;
  const holdMin = readyByMin + meat.rest.minutes - readyFromMin;
  /** Share of the likely cooks that are in time and not held longer than `hold` minutes. */
  const inside = (hold: number): number =>
    ready.filter((v) => v >= eaten - hold && v <= latest).length / ready.length;
  const early = ready.filter((v) => v < eaten - holdMin).length / ready.length;
  if (ready.length < 2 || early < OFTEN_EARLY) return [];
  const best = KEEPERS.filter((where) => where !== meat.rest.where)
    .map((where) => ({
      where,
      share: inside(maxHoldMin({ ...meat, rest: { ...meat.rest, where } })),
    }))
    .reduce((a, b) => (b.share > a.share + BETTER_BY.thanSimpler ? b : a));
  const [p10, , p90] = windowOf(ready);
  return [
    {
      chanceFraction: early,
      facts: {
        kind: 'early',
        cut: meat.cut,
        holdMin,
        keep:
          best.share > inside(holdMin) + BETTER_BY.thanNow
            ? { where: best.where, inHundred: inHundred(best.share) }
            : null,
        spreadMin: Math.round(p90 - p10),
      },
    },
  ];
}

/** How likely these are (common practice), 0 to 1. */
const CHANCES = { panDry: 0.6, runsOver: 0.25, fanOrHopper: 0.15 };
/** A pan that boils dry lets the pit climb about so far, K. */
const DRY_PAN_K = 15;
/** An overshoot that is worth a warning, K. */
const OVER_K = 10;

function risksOfThePit(plan: PitSchedule): RiskOfPit[] {
  const { setup, result } = plan;
  const dry = result.happened.find((h) => h.do === 'pan-dry');
  const { slowToCool, gravityFed } = setup.preset.traits;
  const risks: RiskOfPit[] = [];
  if (dry) {
    const first = firstMove(plan, DRY_PAN_K);
    risks.push({
      chanceFraction: CHANCES.panDry,
      facts: { kind: 'pan-dry', atMin: dry.atMin, first },
    });
  }
  if (slowToCool) {
    risks.push({
      chanceFraction: CHANCES.runsOver,
      facts: { kind: 'runs-over', overC: setup.pit.pace.pitC + OVER_K },
    });
  }
  if (gravityFed) {
    risks.push({
      chanceFraction: CHANCES.fanOrHopper,
      facts: { kind: setup.underFan ? 'fan-or-hopper-fails' : 'hopper-bridges' },
    });
  } else if (setup.underFan) {
    risks.push({ chanceFraction: CHANCES.fanOrHopper, facts: { kind: 'fan-fails' } });
  }
  return risks;
}

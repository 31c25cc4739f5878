/**
 * The rules of thumb that plans are measured against, as the hand of somebody who goes by them (common
 * practice). The same thermometer, the same pit and the same times of looking as the operator who has a plan.
 */
import {
  MILD_DAY,
  presetOf,
  settledAtC,
  hasSmallFirebox,
  type Action,
  type FireSpec,
  type Observation,
  type Operator,
  type Preset,
} from '@ostrin/core/internals';

const LOOK_MIN = 5;

interface Rule {
  up: [intake: number, exhaust: number];
  /** Closed down to these when so far under the target; null: left as they are. */
  hold: [intake: number, exhaust: number] | null;
  closeBelowK: number;
  /** Fed from the start, and not only once it has come up: nobody lets a bed of coals die for want of a split. */
  feedsFromStart?: boolean;
  /** What is done at a look after that. */
  then?: (under: number, sinceMin: number, seen: Observation) => Action[];
}

const handful = (fire: FireSpec, pieces: number, atMin: number): Action => ({
  atMin,
  do: 'add-fuel',
  fuel: fire.fuel,
  pieces,
  lit: false,
});
const lid = (atMin: number): Action => ({ atMin, do: 'lid-open', seconds: 40 });

/** With so much unlit charcoal in it a fire that stays low lacks air and not fuel, kg: anybody sees that. */
const ENOUGH_UNLIT_KG = 1;
/** With so much wood on the coals, kg dry, another split is no help. */
const ENOUGH_WOOD = 1.5;

const vents = (atMin: number, intakeFraction: number, exhaustFraction: number): Action => ({
  atMin,
  do: 'set-vents',
  intakeFraction,
  exhaustFraction,
});

/**
 * Twelve briquettes when 10 C low, not more often than each twenty minutes; where enough lies there unlit, the
 * vents are opened a step instead, as anybody would.
 */
function whenLow(fire: FireSpec, hold: readonly [number, number]): Rule['then'] {
  const givesAir = airStep(hold);
  return (under, sinceMin, { atMin, unlitKg }) => {
    if (under <= 10 || sinceMin < 20) return [];
    return unlitKg < ENOUGH_UNLIT_KG ? [lid(atMin), handful(fire, 12, atMin)] : [givesAir(atMin)];
  };
}

/** Both vents a step wider each time, from where they were memorised. */
function airStep([intake, exhaust]: readonly [number, number]): (atMin: number) => Action {
  return (atMin) => {
    intake = Math.min(1.4 * intake, 1);
    exhaust = Math.min(1.4 * exhaust, 1);
    return vents(atMin, intake, exhaust);
  };
}

/** Openings tried for a memorised setting, share of the travel, and how often the bracket is halved. */
const FROM = 0.02;
const HALVINGS = 8;

/**
 * The setting an owner has in memory for a target: what settles there in this pit on a mild day, with the
 * exhaust so many times as far open as the intake (or fully). Generous: it is worked out on the very model.
 */
function memorisedSetting(
  presetId: string,
  targetC: number,
  exhaust: (intake: number) => number,
): [number, number] {
  const pit = { preset: presetId, overrides: {}, weather: MILD_DAY };
  let [low, high] = [FROM, 1];
  for (let i = 0; i < HALVINGS; i++) {
    const mid = Math.sqrt(low * high);
    if (settledAtC(pit, mid, exhaust(mid)) < targetC) low = mid;
    else high = mid;
  }
  const intake = Math.sqrt(low * high);
  return [intake, exhaust(intake)];
}

function ruleFor(preset: Preset, fire: FireSpec, targetC: number): Rule {
  const up: [number, number] = [1, 1];
  const { traits } = preset;
  if (traits.sideFirebox) {
    return fire.fuel === 'briquette' ? charcoalOffset(fire) : splitOffset(hasSmallFirebox(preset));
  }
  if (traits.gravityFed) return { up, hold: [0.25, 1], closeBelowK: 15 };
  if (traits.slowToCool) {
    const hold = memorisedSetting(preset.id, targetC, (x) => Math.min(2.4 * x, 1));
    return { up: [0.4, 0.6], hold, closeBelowK: 15 };
  }
  if (fire.arrangement === 'snake') return { up, hold: [0.25, 0.5], closeBelowK: 12 };
  if (traits.commonFirstCooker) {
    return { up, hold: [0.25, 0.33], closeBelowK: 12, then: whenLow(fire, [0.25, 0.33]) };
  }
  // A water smoker has no rule of its own: the memorised setting, and the handful of a kettle's basket.
  const hold = memorisedSetting(preset.id, targetC, () => 1);
  return { up, hold, closeBelowK: 12, then: whenLow(fire, hold) };
}

/** One split each so many minutes, damper at half, a second split when 15 C low and little lies there. */
function splitOffset(small: boolean): Rule {
  const [massKg, everyMin] = small ? [0.45, 30] : [1.3, 50];
  return {
    up: [1, 1],
    hold: [1, 0.5],
    closeBelowK: 12,
    feedsFromStart: true,
    then: (under, sinceMin, { atMin, woodKg }) =>
      woodKg < ENOUGH_WOOD * massKg && (sinceMin >= everyMin || (under > 15 && sinceMin >= 15))
        ? [
            {
              atMin,
              do: 'add-fuel',
              fuel: 'splits',
              pieces: 1,
              massKg,
              lit: false,
              preheated: true,
            },
            { atMin, do: 'door', openFraction: 0.15, seconds: 60 },
          ]
        : [],
  };
}

/** A handful and two chunks each 50 minutes (45-60); a fire that stays low with charcoal in it gets air. */
function charcoalOffset(fire: FireSpec): Rule {
  const hold: [number, number] = [0.25, 0.5];
  const givesAir = airStep(hold);
  return {
    up: [1, 1],
    hold,
    closeBelowK: 12,
    feedsFromStart: true,
    then: (under, sinceMin, { atMin, unlitKg }) => {
      if (sinceMin < 50) return [];
      const chunk: Action = { atMin, do: 'add-wood', species: 'oak', massG: 60 };
      const air = under > 10 ? [givesAir(atMin)] : [];
      return unlitKg < ENOUGH_UNLIT_KG
        ? [handful(fire, Math.round(0.5 / 0.026), atMin), chunk, chunk, ...air]
        : air;
    },
  };
}

/** A hand that goes by the rules of thumb. */
export function ruleOfThumbOperator(presetId: string, fire: FireSpec, targetC: number): Operator {
  const rule = ruleFor(presetOf(presetId), fire, targetC);
  let closed = false;
  let fedMin = 20;
  return {
    setTarget: () => undefined,
    decide(seen) {
      const { atMin, pitC } = seen;
      if (atMin === 0) return [vents(0, ...rule.up)];
      if (atMin % LOOK_MIN !== 0) return [];
      const under = targetC - pitC;
      if (!closed && under < rule.closeBelowK) {
        closed = true;
        return rule.hold ? [vents(atMin, ...rule.hold)] : [];
      }
      const feeds = closed || rule.feedsFromStart;
      const done = feeds ? (rule.then?.(under, atMin - fedMin, seen) ?? []) : [];
      if (done.length > 0) fedMin = atMin;
      return done;
    },
  };
}

/** What could go wrong, and the ways out, in words. */
import { cutOf } from '@ostrin/core/catalogue';
import type { Risk, RiskFacts, RiskWords, WayOut } from '@ostrin/core';
import { type Units, fromKg, roundDigits } from '@ostrin/core/quantity';
import { inHundred, spanOfTime, spanWords, temperatureWords } from '../quantities';
import { ventNames, type VentedPit } from '../vents';
import { firstMoveWords } from './moves';

const KEEP_WORDS = {
  'cool-box': 'wrapped in a dry cool box',
  oven: 'in a low oven',
  warmer: 'in a warmer',
} as const;

/** What is taken hotter when a cook is behind, K. */
const HOTTER_K = 15;
/** Closed down when the middle is so far short, to slow the last hour, K. */
const SLOW_DOWN_K = 5;

/** A risk of a pit in words. */
export const riskWords = (
  { chanceFraction = 0, facts }: Risk,
  pit: VentedPit,
  units: Units,
): RiskWords =>
  facts.kind === 'as-written' ? facts.words : risk(facts, chanceFraction, pit, units);

function risk(
  facts: Exclude<RiskFacts, { kind: 'as-written' }>,
  chance: number,
  pit: VentedPit,
  units: Units,
): RiskWords {
  const at = (c: number): string => temperatureWords(c, units);
  const by = (k: number): string => spanWords(k, units);
  switch (facts.kind) {
    case 'settles-off':
      return {
        sign: `The pit settles ${facts.high ? 'high' : 'low'}: over ${by(facts.offK)} off ${at(facts.targetC)} an hour after lighting`,
        move:
          facts.first.do === 'other-splits'
            ? firstMoveWords(pit, facts.first)
            : `${firstMoveWords(pit, facts.first)} Then wait ${Math.round(facts.waitMin)} minutes before the next move.`,
        why: `In ${inHundred(chance)} in 100 likely pits (other leaks, wind, thermometer).`,
      };
    case 'white-split':
      return {
        sign: 'A split smokes white for more than five minutes',
        move: 'Door ajar until it flames; warm the next one longer on the firebox. A damp stick goes back on the pile.',
        why: 'Common practice: cold or damp wood is the usual cause; on a glowing bed a seasoned split clears in under five.',
      };
    case 'short-of-fuel':
      return {
        sign: `The pit falls steadily before ${spanOfTime(facts.lastsMin)} after lighting, and wider vents do not help`,
        move: facts.canTopUp
          ? 'It is fuel, not air: put on unlit charcoal beside the glowing ones.'
          : 'Not under a hot deflector: finish in a low oven, wrapped.',
        why: `Burns ${rateWords(facts.kgPerMin, units)}; wind and cold take up to a quarter more.`,
      };
    case 'late':
      return {
        sign: `The ${cutOf(facts.cut).name} is behind: by ${spanOfTime(facts.behindAfterMin)} after it went on ${facts.stalls ? 'its middle has not left the stall' : 'it is not two thirds of the way'}`,
        move: facts.canWrap
          ? `Wrap it now, or take the pit ${by(HOTTER_K)} up.`
          : `Take the pit ${by(HOTTER_K)} up; a low oven finishes it as well.`,
        why: `${facts.inHundred} of 100 likely pieces are late as planned; pieces of one cut differ by ${spanOfTime(facts.spreadMin)}.`,
      };
    case 'early': {
      const waits = spanOfTime(facts.holdMin);
      return {
        sign: `The ${cutOf(facts.cut).name} is ready more than ${waits} before it is eaten`,
        move: facts.keep
          ? `Plan to hold it ${KEEP_WORDS[facts.keep.where]}: then ${facts.keep.inHundred} of 100 are in time and still good.`
          : `Slow its last hour down: close the vents a step when its middle is ${by(SLOW_DOWN_K)} short. Or serve sooner.`,
        why: `In ${inHundred(chance)} in 100 likely cooks: pieces of one cut differ by ${spanOfTime(facts.spreadMin)}, and it waits well for ${waits} only.`,
      };
    }
    case 'pan-dry':
      return {
        sign: `The water pan boils dry, about ${spanOfTime(facts.atMin)} after lighting: the pit climbs`,
        move: `Leave it dry and close down: ${firstMoveWords(pit, facts.first)} Filled up again, this pit falls back for an hour.`,
        why: 'From the simulated pit: boiling water holds it back.',
      };
    case 'runs-over':
      return {
        sign: `It runs over ${at(facts.overC)} while coming up`,
        move: 'Close to the holding setting at once: thick walls take more than an hour to give the heat back. Crack the lid before opening it wide: a starved fire flares.',
        why: `Common practice; the simulated pit needs over an hour from ${at(180)} down to ${at(125)}.`,
      };
    default:
      return feederWords(facts, pit);
  }
}

type FeederFacts = Extract<
  RiskFacts,
  { kind: 'fan-fails' | 'hopper-bridges' | 'fan-or-hopper-fails' }
>;

/** What feeds a fire by itself fails. */
function feederWords(facts: FeederFacts, pit: VentedPit): RiskWords {
  switch (facts.kind) {
    case 'fan-fails': {
      const { intake } = ventNames(pit.preset);
      return {
        sign: 'The fan has no power: the pit falls though there is fuel',
        move: `Take it off, open the ${intake} by hand as for a pit without one, and look again in half an hour.`,
      };
    }
    case 'hopper-bridges':
      return {
        sign: 'The pit falls though the hopper is full: its fuel bridges',
        move: 'Tap the hopper with its lid shut, and empty the ash pan. Never leave it unattended for long: fire can climb it.',
      };
    case 'fan-or-hopper-fails':
      return {
        sign: 'The power fails, or the fuel bridges in the hopper',
        move: 'Without its fan the fire dies down within the hour: tap the hopper, crack the slit beside the fan, or finish in an oven. Never leave a fan-fed hopper unattended: fire can climb it.',
        why: 'Common practice.',
      };
  }
}

const rateWords = (kgPerMin: number, units: Units): string =>
  `about ${roundDigits(fromKg(60 * kgPerMin, units.mass), units.mass === 'kg' ? 2 : 1)} ${units.mass} an hour`;

/** A way out, as a sentence. */
export function wayOutWords(way: WayOut, units: Units): string {
  const at = (c: number): string => temperatureWords(c, units);
  switch (way) {
    case 'hold-wrapped':
      return `Early: hold it wrapped in a dry cool box, or in an oven at ${at(70)}. It keeps for hours.`;
    case 'serve-sooner':
      return 'Early: tent it loosely and serve sooner; it does not wait long.';
    case 'wrap-now':
      return 'Behind: wrap it now in foil; that ends the stall.';
    case 'pit-hotter':
      return `Behind: take the pit ${spanWords(HOTTER_K, units)} hotter. Bark suffers a little, supper does not.`;
    case 'finish-in-oven':
      return `Fire gone or out of patience: a kitchen oven at ${at(130)}, wrapped, finishes it well.`;
  }
}

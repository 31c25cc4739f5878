/** The likeliest troubles of a plan, by its own likely cooks: the sign to look for and the move to make. */
import { withHoldingIntake, type VentOpenings } from '../control/controlPolicy';
import { cutOf, doneByFeel } from '../meat/cuts';
import { mean } from '../quantity/statistics';
import { clamp, roundDigits } from '../quantity/units';
import { spanOfTime, spanWords, temperatureWords, type Units } from '../quantity/words';
import type { PitPlan } from './schedule/pitPlan';
import { latestEndMin, maxHoldMin } from './schedule/schedule';
import { windowOf } from './jobs/job';
import type { RequestMeat, Risk } from './request/types';
import { settingWords } from './words';

/** How many are told. */
const MOST = 3;

type Weighed = Risk & { chanceFraction: number };

/** Two or three troubles, the likeliest first. */
export function risksOf(
  plan: PitPlan,
  meats: readonly RequestMeat[],
  late: readonly number[],
  units: Units,
): Risk[] {
  const all: Weighed[] = [
    ...offTarget(plan, units),
    ...fuelRisks(plan, units),
    ...meats.flatMap((m, i) => lateRisk(plan, m, i, late[i] ?? 0)),
    ...meats.flatMap((m, i) => earlyRisk(plan, m, i)),
    ...ofFamily(plan, units),
  ];
  return all
    .sort((a, b) => b.chanceFraction - a.chanceFraction)
    .slice(0, MOST)
    .map((r) => ({ ...r, chanceFraction: roundDigits(r.chanceFraction, 2) }));
}

/** Off its band in the first hours, by the likely pits: which way first. */
function offTarget(plan: PitPlan, units: Units): Weighed[] {
  const { setup: way, policy: guide, likelyRuns: pits } = plan;
  if (way.underFan) return [];
  const { pitC: target, bandC } = way.pit.pace;
  const early = pits.map((r) => {
    const part = r.pitC.filter((_, i) => r.minutes[i]! >= 45 && r.minutes[i]! <= 120);
    return mean(part.filter((c): c is number => c !== null)) - target;
  });
  const high = early.filter((k) => k > bandC / 2).length / early.length;
  const low = early.filter((k) => k < -bandC / 2).length / early.length;
  const turn = trimWords(plan, high >= low ? bandC : -bandC);
  const where = high >= low ? 'high' : 'low';
  return [
    {
      chanceFraction: Math.max(high, low),
      sign: `The pit settles ${where}: over ${spanWords(bandC / 2, units)} off ${temperatureWords(target, units)} an hour after lighting`,
      move: way.onSplits
        ? `The next split a quarter ${where === 'high' ? 'lighter' : 'heavier'}; the dampers stay.`
        : `${turn} Then wait ${Math.round(guide.waitMin)} minutes before the next move.`,
      why: `In ${Math.round(100 * Math.max(high, low))} of 100 likely pits (other leaks, wind, thermometer).`,
    },
  ];
}

/** How much further a move is tried that a hand cannot tell from none. */
const FURTHER = [1, 1.5, 2.25, 3.4, 5];

/** The first move when it stands `offK` from its target, in words: one that is heard as another setting. */
export function trimWords(plan: Pick<PitPlan, 'setup' | 'policy'>, offK: number): string {
  const { setup: way, policy: guide } = plan;
  const fold = clamp(-offK / guide.kelvinPerEFold, -0.6, 0.6);
  const words = ({ intake, exhaust }: VentOpenings): string => settingWords(way, intake, exhaust);
  const now = words(guide.hold);
  for (const times of FURTHER) {
    const wanted = clamp(guide.hold.intake * Math.exp(times * fold), guide.finest.small, 1);
    const said = words(withHoldingIntake(guide, wanted).hold);
    if (said !== now) return `${said}.`;
  }
  return offK > 0
    ? 'It is as far closed as it goes: look for leaks, and leave the lid shut.'
    : 'It is open already: rake the coals free of ash, and give it fuel.';
}

/** Fuel that may run short, and wind. */
function fuelRisks(plan: PitPlan, units: Units): Weighed[] {
  const { setup: way } = plan;
  if (way.onSplits) {
    return [
      {
        chanceFraction: 0.3,
        sign: 'A split smokes white for more than five minutes',
        move: 'Door ajar until it flames; warm the next one longer on the firebox. A damp stick goes back on the pile.',
        why: 'Common practice: cold or damp wood is the usual cause; on a glowing bed a seasoned split clears in under five.',
      },
    ];
  }
  const needs = plan.charcoalKgPerMin.map((k) => k * latestEndMin(plan));
  const short =
    needs.filter((kg) => kg > 0.92 * plan.fuelLoadKg).length / Math.max(needs.length, 1);
  const perMin = mean(plan.charcoalKgPerMin);
  const lasts = plan.fuelLoadKg / Math.max(perMin, 1e-6);
  return [
    {
      chanceFraction: short,
      sign: `The pit falls steadily before ${spanOfTime(Math.round(lasts / 15) * 15)} after lighting, and wider vents do not help`,
      move:
        !way.preset.traits.canTopUp
          ? 'Not under a hot deflector: finish in a low oven, wrapped.'
          : 'It is fuel, not air: put on unlit charcoal beside the glowing ones.',
      why: `Burns ${spanRate(perMin, units)}; wind and cold take up to a quarter more.`,
    },
  ];
}

const spanRate = (kgPerMin: number, units: Units): string =>
  units.mass === 'kg'
    ? `about ${roundDigits(60 * kgPerMin, 2)} kg an hour`
    : `about ${roundDigits((60 * kgPerMin) / 0.45359237, 1)} lb an hour`;

function lateRisk(plan: PitPlan, meat: RequestMeat, i: number, late: number): Weighed[] {
  const [p10, , p90] = windowOf(plan.readyMin[i]!);
  const name = cutOf(meat.cut).name;
  const wrap = meat.wrap.with === 'none' && doneByFeel(cutOf(meat.cut));
  return [
    {
      chanceFraction: Math.max(late, 0.05),
      sign: `The ${name} is behind: by ${spanOfTime(Math.round(((p10 + p90) / 2 - plan.onMin[i]!) * 0.6))} after it went on its middle has not left the stall`,
      move: wrap
        ? 'Wrap it now, or take the pit 15 C (27 F) up.'
        : 'Take the pit 15 C (27 F) up; a low oven finishes it as well.',
      why: `${Math.round(100 * late)} of 100 likely pieces are late as planned; pieces of one cut differ by ${spanOfTime(Math.round(p90 - p10))}.`,
    },
  ];
}

/** Places that keep a piece longer, the simplest first, as they are told. */
const KEEPERS = {
  'cool-box': 'wrapped in a dry cool box',
  oven: 'in a low oven',
  warmer: 'in a warmer',
} as const;
/** Ready too early in fewer cooks than this is not worth a word. */
const OFTEN_EARLY = 0.25;

/** Ready before it can be held: where it would keep, and how many of the likely cooks that saves. */
function earlyRisk(plan: PitPlan, meat: RequestMeat, i: number): Weighed[] {
  const ready = plan.readyMin[i]!;
  const late = plan.targets[i]!.readyByMin - plan.litMin;
  const eaten = late + meat.rest.minutes;
  const holdMin = maxHoldMin(meat);
  /** Share of the likely cooks that are in time and not longer there than it is held. */
  const inside = (hold: number): number =>
    ready.filter((v) => v >= eaten - hold && v <= late).length / ready.length;
  const early = ready.filter((v) => v < eaten - holdMin).length / ready.length;
  if (ready.length < 2 || early < OFTEN_EARLY) return [];
  const best = (Object.keys(KEEPERS) as (keyof typeof KEEPERS)[])
    .filter((where) => where !== meat.rest.where)
    .map((where) => ({
      where,
      share: inside(maxHoldMin({ ...meat, rest: { ...meat.rest, where } })),
    }))
    .reduce((a, b) => (b.share > a.share + 0.05 ? b : a));
  const waits = spanOfTime(holdMin);
  const [p10, , p90] = windowOf(ready);
  return [
    {
      chanceFraction: early,
      sign: `The ${cutOf(meat.cut).name} is ready more than ${waits} before it is eaten`,
      move:
        best.share > inside(holdMin) + 0.1
          ? `Plan to hold it ${KEEPERS[best.where]}: then ${Math.round(100 * best.share)} of 100 are in time and still good.`
          : 'Slow its last hour down: close a rung when its middle is 5 C (9 F) short. Or serve sooner.',
      why: `In ${Math.round(100 * early)} of 100 likely cooks: pieces of one cut differ by ${spanOfTime(Math.round(p90 - p10))}, and it waits well for ${waits} only.`,
    },
  ];
}

function ofFamily(plan: PitPlan, units: Units): Weighed[] {
  const dry = plan.result.happened.find((h) => h.do === 'pan-dry');
  const risks: Weighed[] = [];
  if (dry) {
    risks.push({
      chanceFraction: 0.6,
      sign: `The water pan boils dry, about ${spanOfTime(dry.atMin)} after lighting: the pit climbs`,
      move: `Leave it dry and close down: ${trimWords(plan, 15)} Filled up again, this pit falls back for an hour.`,
      why: 'From the simulated pit: boiling water holds it back.',
    });
  }
  if (plan.setup.preset.traits.slowToCool) {
    risks.push({
      chanceFraction: 0.25,
      sign: `It runs over ${temperatureWords(plan.setup.pit.pace.pitC + 10, units)} while coming up`,
      move: 'Close to the holding setting at once: thick walls take more than an hour to give the heat back. Crack the lid before opening it wide: a starved fire flares.',
      why: 'Common practice; the simulated pit needs over an hour from 180 C down to 125 C.',
    });
  }
  if (plan.setup.preset.traits.gravityFed) {
    risks.push({
      chanceFraction: 0.15,
      sign: 'The power fails, or the fuel bridges in the hopper',
      move: 'Without its fan the fire dies down within the hour: tap the hopper, crack the slit beside the fan, or finish in an oven. Never leave a fan-fed hopper unattended: fire can climb it.',
      why: 'Common practice.',
    });
  }
  return risks;
}

/** Plan B, in the order to try. */
export function planBOf(meats: readonly RequestMeat[]): string[] {
  const feel = meats.some((m) => doneByFeel(cutOf(m.cut)));
  const bare = meats.some((m) => m.wrap.with === 'none' && doneByFeel(cutOf(m.cut)));
  return [
    ...(feel
      ? [
          'Early: hold it wrapped in a dry cool box, or in an oven at 70 C (160 F). It keeps for hours.',
        ]
      : ['Early: tent it loosely and serve sooner; it does not wait long.']),
    ...(bare ? ['Behind: wrap it now in foil; that ends the stall.'] : []),
    'Behind: take the pit 15 C (27 F) hotter. Bark suffers a little, supper does not.',
    ...(feel
      ? [
          'Fire gone or patience: a kitchen oven at 130 C (265 F), wrapped, finishes it without shame.',
        ]
      : []),
  ];
}

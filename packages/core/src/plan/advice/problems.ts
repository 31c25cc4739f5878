/** Wishes that cannot be met, and what would make them possible. */
import { cutOf } from '../../meat/cuts';
import { HOUR_MS, MINUTE_MS } from '../../quantity/time';
import { mean, quantile } from '../../quantity/statistics';
import { roundTo } from '../../quantity/units';
import type { Problem } from '../document/plan';
import type { PitSetup } from '../fire/designFire';
import { footprintOf, grateOf } from '../grate/grate';
import type { MisplacedPiece } from '../grate/planGrate';
import { thawHours } from '../jobs/prepare';
import { edibleKg, requestedMassKg } from '../request/amount';
import type { Request, RequestMeat } from '../request/types';
import type { PitSchedule } from '../schedule/pitSchedule';
import { ascendingNeverLast, latestEndMin, MAX_COOK_MIN, servedMs } from '../schedule/schedule';

/** More pieces than the grate takes beside its fire. */
export function tooManyPieces(
  request: Request,
  setup: PitSetup,
  meat: RequestMeat,
  index: number,
  wanted: number,
  fits: number,
): Problem {
  if (fits === 0) {
    const grate = grateOf(setup.preset, setup.fire.arrangement);
    const foot = footprintOf(meat.cut, requestedMassKg(meat), meat.thicknessMm);
    const alone = request.meats.length === 1;
    return {
      field: `meats[${index}].massKg`,
      facts: {
        kind: 'no-room',
        cut: meat.cut,
        lengthM: foot.lengthM,
        widthM: foot.widthM,
        roomM: alone ? Math.min(2 * grate.clearRadiusM, grate.lengthM) : null,
        pit: setup.pit.name ?? `the ${setup.preset.name}`,
      },
    };
  }
  const [low, high] = edibleKg(cutOf(meat.cut), requestedMassKg(meat));
  const feeds = Math.floor((fits * (low + high) * 500) / request.appetiteG);
  return {
    field: meat.pieces === undefined ? 'people' : `meats[${index}].pieces`,
    facts: { kind: 'too-many-pieces', cut: meat.cut, wanted, fits, feeds },
  };
}

/** A piece that was laid where it cannot lie. */
export function misplacedPiece(request: Request, { index, piece, why }: MisplacedPiece): Problem {
  return {
    field: `meats[${index}].lie[${piece}]`,
    facts: {
      kind: why === 'touching' ? 'piece-touching' : 'piece-off-grate',
      cut: request.meats[index]!.cut,
    },
  };
}

/** Where a pit settles is looked at from here on where nothing was tuned, min after lighting. */
const SETTLED_FROM_MIN = 100;
/** Farther off the target than this many bands is a problem. */
const OFF_BANDS = 1.5;
/** A load is too small where the slow cooks need more than this share of it, and it is good for so much. */
const FULL = { needed: 0.97, burnt: 0.9 };

/** Of the pit: out of reach, never done, fuel that cannot last. `index` says where its meats stand. */
export function pitProblems(
  request: Request,
  cook: PitSchedule,
  index: readonly number[],
): Problem[] {
  const { setup } = cook;
  const { pitC: targetC, bandC } = setup.pit.pace;
  const k = Math.max(
    request.pits.findIndex((p) => p.id === setup.pit.id),
    0,
  );
  const problems: Problem[] = [];
  const part = cook.result.pitC.filter(
    (c, i): c is number => c !== null && cook.result.minutes[i]! >= SETTLED_FROM_MIN,
  );
  const settlesC = cook.tuned?.settlesC ?? mean(part.length > 0 ? part : [targetC]);
  if (!(Math.abs(settlesC - targetC) <= OFF_BANDS * bandC)) {
    problems.push({
      field: `pits[${k}].pace.pitC`,
      facts: { kind: settlesC < targetC ? 'too-cool' : 'too-hot', settlesC },
    });
  }
  cook.readyMin.forEach((r, n) => {
    if (Number.isFinite(quantile(ascendingNeverLast(r), request.chanceOnTimeFraction))) return;
    problems.push({
      field: `meats[${index[n]!}].done`,
      facts: { kind: 'never-done', longestMin: MAX_COOK_MIN, targetC },
    });
  });
  const kgPerMin = mean(cook.charcoalKgPerMin);
  const needKg = kgPerMin * latestEndMin(cook);
  if (!setup.preset.traits.canTopUp && needKg > FULL.needed * cook.fullLoadKg) {
    problems.push({
      field: `pits[${k}].fire`,
      facts: {
        kind: 'bowl-too-small',
        lastsMin: roundTo((FULL.burnt * cook.fullLoadKg) / Math.max(kgPerMin, 1e-6), 30),
        slowCookMin: roundTo(latestEndMin(cook), 30),
      },
    });
  }
  return problems;
}

/** The next quarter of an hour from an instant on, epoch ms. */
const onTheQuarter = (ms: number): number => Math.ceil(ms / (15 * MINUTE_MS)) * 15 * MINUTE_MS;

/** Of the clock: the meal or its lighting has passed. */
export function clockProblems(nowMs: number, serveMs: number, lightMs: number): Problem[] {
  if (serveMs <= nowMs) return [{ field: 'serveAt', facts: { kind: 'serving-passed' } }];
  if (lightMs >= nowMs) return [];
  const earliestMs = onTheQuarter(serveMs + nowMs - lightMs);
  return [{ field: 'serveAt', facts: { kind: 'lighting-passed', lightMs, earliestMs } }];
}

/** What lead times make impossible: a frozen piece for today, salt that should have gone on before now. */
export function leadTimeProblems(
  meat: RequestMeat,
  index: number,
  onMs: number,
  nowMs: number,
  leadMin: number,
): Problem[] {
  const haveMin = (onMs - nowMs) / MINUTE_MS;
  if (leadMin === 0 || haveMin >= leadMin) return [];
  if (!meat.frozen) {
    return [
      {
        field: `meats[${index}].prepare`,
        facts: { kind: 'salt-late', cut: meat.cut, agoMin: leadMin - haveMin },
      },
    ];
  }
  return [
    {
      field: `meats[${index}].frozen`,
      facts: {
        kind: 'still-frozen',
        cut: meat.cut,
        needH: thawHours(requestedMassKg(meat)),
        haveH: Math.max(0, Math.floor((haveMin * MINUTE_MS) / HOUR_MS)),
        laterH: Math.ceil((leadMin - haveMin) / 60),
      },
    },
  ];
}

/** So much later than was asked for is still said to be in time, 0 to 1. */
const LATE_MARGIN = 0.05;

/** A piece that comes too late to be ready. `readyMs`: when nine in ten of the likely pieces are. */
export function lateArrivalProblems(
  request: Request,
  index: number,
  lateFraction: number,
  readyMs: number,
): Problem[] {
  const meat = request.meats[index]!;
  if (!meat.notBefore || lateFraction <= 1 + LATE_MARGIN - request.chanceOnTimeFraction) return [];
  const serveMs = onTheQuarter(readyMs + meat.rest.minutes * MINUTE_MS);
  return [
    {
      field: `meats[${index}].notBefore`,
      facts: {
        kind: 'arrives-late',
        cut: meat.cut,
        notBefore: meat.notBefore,
        inHundred: Math.round(100 * lateFraction),
        serveMs,
        soonerMin: (serveMs - servedMs(request, meat)) / MINUTE_MS,
      },
    },
  ];
}

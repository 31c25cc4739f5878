/** What a cook has given so far: its rows, its fuel, its ledgers. */
import { waterResidualKg } from '../meat/piece';
import { CHARCOALS, dafFraction } from '../fuel/catalogue';
import { caughtFraction, remainingChemicalJ, remainingWoodKg } from '../pit/state';
import type { PitState } from '../pit/pitState';
import { storedHeatJ } from '../pit/heatStores';
import { probeEquilibriumK } from '../pit/readings';
import type { Place } from '../pit/layout';
import { celsius, kelvin, roundDigits } from '../quantity/units';
import type { Cook, ResultSeries } from './state';
import { weatherAt } from '../air/weather';
import { type Result, type Smoke } from '../scenario/result';

/** Series without a row yet, one grate series for each place. */
export const emptySeries = (places: readonly Place[]): ResultSeries => ({
  minutes: [],
  pitC: [],
  domeC: [],
  fireC: [],
  grate: places.map((at) => ({ at, C: [] })),
  smoke: [],
  smokeUnburntGPerM3: [],
  oxygenFraction: [],
  draughtGPerS: [],
  frontDegrees: [],
  tailDegrees: [],
});

/** From this much unburnt volatiles in the exhaust smoke is white (common practice, by eye). */
export const WHITE_G_PER_M3 = 2;

/** Smoke as a pitmaster names it, from unburnt volatiles per m3 of exhaust. */
function smokeName(gPerM3: number, flaming: boolean, oxygen: number): Smoke {
  if (gPerM3 < 0.08) return 'clear';
  if (flaming && oxygen < 0.05) return 'dark';
  return gPerM3 < WHITE_G_PER_M3 ? 'thin-blue' : 'white';
}

/** Adds a row; `airC` is the grate's air where there is no fire. */
export function recordPit(cook: Cook, airC: number): void {
  const r = cook.result;
  const { pit } = cook;
  r.minutes.push(cook.nextMin);
  if (!pit) {
    const c = roundDigits(airC, 2);
    r.pitC.push(c);
    for (const g of r.grate) g.C.push(c);
    r.smoke.push('clear');
    for (const s of [r.domeC, r.fireC, r.smokeUnburntGPerM3, r.oxygenFraction, r.draughtGPerS]) {
      s.push(null);
    }
    r.frontDegrees.push(null);
    r.tailDegrees.push(null);
    return;
  }
  const airK = kelvin(weatherAt(cook.scenario.weather, cook.nextMin).airC);
  const probeC = celsius(pit.probeK);
  const { positions, probePosition: probe } = pit.layout;
  const here = probeEquilibriumK(pit, positions[probe]!, airK);
  r.pitC.push(roundDigits(probeC, 2));
  positions.forEach((p, i) => {
    // Other places carry the probe's lag too: they differ from it by what they differ now.
    const c = i === probe ? probeC : probeC + probeEquilibriumK(pit, p, airK) - here;
    r.grate[i]!.C.push(roundDigits(c, 2));
  });
  r.domeC.push(roundDigits(celsius(pit.dialK), 2));
  r.fireC.push(roundDigits(celsius(pit.tempK[pit.coals]!), 1));
  r.smoke.push(smokeName(pit.smokeGPerM3, pit.flaming > 0.5, pit.oxygen[0]!));
  r.smokeUnburntGPerM3.push(roundDigits(pit.smokeGPerM3, 4));
  r.oxygenFraction.push(roundDigits(pit.oxygen[0]!, 4));
  r.draughtGPerS.push(roundDigits(1000 * pit.draughtKgPerS, 3));
  const front = frontDegrees(pit);
  r.frontDegrees.push(front === null ? null : roundDigits(front, 1));
  const tail = degreesAt(pit, caughtFraction(pit) * pit.ledger.givenKg - pit.lit.kg);
  r.tailDegrees.push(tail === null ? null : roundDigits(Math.max(tail, 0), 1));
}

/** Where so much of a snake has caught, degrees from the lit end; null for other fires. */
const degreesAt = (pit: PitState, kg: number): number | null => pit.arrangement.frontDegrees(kg);

/** Where a snake's front is, degrees from the lit end; null for other fires. */
export const frontDegrees = (pit: PitState): number | null =>
  degreesAt(pit, caughtFraction(pit) * pit.ledger.givenKg);

/**
 * Which of `sectors` equal sectors of the grate, counted from the lit end, lie over burning fuel when a
 * snake burns from `tail` to `front` degrees: nothing belongs there.
 */
export function sectorsOverFire(tail: number, front: number, sectors = 8): boolean[] {
  const width = 360 / sectors;
  return Array.from(
    { length: sectors },
    (_, i) => front > i * width && tail < (i + 1) * width && front > tail,
  );
}

/** The result document of a cook as far as it has come. */
export function resultOf(cook: Cook): Result {
  const { pit, fuel } = cook;
  const kind = cook.scenario.fire?.fuel ?? 'briquette';
  const share = dafFraction(CHARCOALS[kind]);
  const pieceDaf = CHARCOALS[kind].pieceKg * share;
  return {
    ostrin: 'result/1',
    ...cook.result,
    meats: cook.pieces.map((g) => g.result),
    fuel: {
      startedKg: roundDigits(fuel.startedKg, 4),
      addedKg: roundDigits(fuel.addedKg, 4),
      burnedKg: pit ? roundDigits(pit.ledger.burnedKg / share, 4) : 0,
      leftKg: pit ? roundDigits((pit.unlit.kg + pit.lit.kg) / share, 4) : 0,
      unlitKg: pit ? roundDigits(pit.unlit.kg / share, 4) : 0,
      woodGivenKg: pit ? roundDigits(pit.ledger.woodGivenKg, 4) : 0,
      woodLeftKg: pit ? roundDigits(remainingWoodKg(pit), 4) : 0,
      ashKg: pit ? roundDigits(pit.ledger.ashKg, 4) : 0,
      waterLeftKg: pit ? roundDigits(pit.waterKg, 4) : 0,
      outAtMin: fuel.outAtMin,
    },
    balance: balanceOf(cook),
    smokeDose: pit ? roundDigits(pit.smokeDose, 2) : null,
    piecesLeft: pit && {
      unlit: Math.round(pit.unlit.kg / pieceDaf),
      lit: Math.round(pit.lit.kg / pieceDaf),
      splits: pit.parcels.filter((p) => p.split).reduce((n, p) => n + p.count, 0),
    },
    happened: cook.happened,
  };
}

/** Residuals of the energy and mass ledgers, as shares of what went in. */
function balanceOf(cook: Cook): Result['balance'] {
  const { pit } = cook;
  let massResidual = 0;
  for (const g of cook.pieces) {
    massResidual = Math.max(massResidual, Math.abs(waterResidualKg(g.piece)) / g.piece.rawKg);
  }
  if (!pit) return { energyResidualFraction: 0, massResidualFraction: massResidual };
  const l = pit.ledger;
  const share = (given: number, found: number): number =>
    Math.abs(given - found) / Math.max(given, 1e-3);
  massResidual = Math.max(
    massResidual,
    share(l.givenKg + l.charFromWoodKg, l.burnedKg + pit.unlit.kg + pit.lit.kg),
    share(l.woodGivenKg, remainingWoodKg(pit) + l.volatilesKg + l.charFromWoodKg),
    share(l.waterGivenKg, pit.waterKg + l.panSteamKg),
  );
  // What was chemical energy and is not any more became heat, or left unburnt.
  const used = l.givenJ - remainingChemicalJ(pit) - l.unburntJ;
  const out = l.wallsJ + l.exhaustJ + l.latentJ + l.foodJ + storedHeatJ(pit) - l.storedStartJ;
  return {
    energyResidualFraction: Math.abs(used - out) / Math.max(used, 1e4),
    massResidualFraction: massResidual,
  };
}

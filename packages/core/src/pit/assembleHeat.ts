/** Puts the heat balance of a pit together from its layout, its air and what its fire does. */
import {
  boilingPointC,
  CP_GAS,
  vapourFilmResistance,
  saturationPressure,
  stefanFlowKgPerM2S,
  vaporisationHeat,
  vapourPressure,
} from '../air/moistAir';
import type { Weather } from '../air/weather';
import { CHAR, radiatingArea } from '../fire/char';
import { WOOD } from '../fire/woodParcel';
import { celsius } from '../quantity/units';
import {
  beginBalance,
  addVentilation,
  addAdvection,
  addConductance,
  addAmbientLoss,
  forcedFilmCubed,
  outsideFilm,
  radiationCoefficient,
  addSink,
} from './heatBalance';
import { PIT_CLOSURES, YARD_WIND_FRACTION, SKIN_EMISSIVITY } from './closures';
import type { Film } from './layout';
import { nodeOf } from './state';
import type { PitState } from './pitState';
import type {
  BoundaryFlows,
  BurnRates,
  HeatBalance,
  HeatTerms,
  InternalFlows,
  WoodRates,
} from './workspace';

/**
 * What the food does to the pit: heat taken, at each of the layout's positions, from the gas and from what
 * the place sees, W; vapour given, kg/s.
 */
export interface FoodLoad {
  /** Taken from the gas at each position, W. */
  fromGasW: number[];
  /** Taken from what each position sees, W. */
  fromWallsW: number[];
  /** Vapour given off, kg/s. */
  vapourKgPerS: number;
}

/** No food at any of `places` positions; to be filled. */
export const emptyFoodLoad = (places: number): FoodLoad => ({
  fromGasW: Array<number>(places).fill(0),
  fromWallsW: Array<number>(places).fill(0),
  vapourKgPerS: 0,
});

/** Heat of drying and warming the moisture in charcoal, J/kg. */
const DRYING_J = 2.6e6;
/** What goes out is this much colder than the mean of the bed, K. */
const OUT_COLDER_K = 150;

/** Assembles G and b in the pit's workspace. */
export function assembleHeatBalance(
  pit: PitState,
  weather: Weather,
  airK: number,
  boundary: BoundaryFlows,
  flows: InternalFlows,
  burn: BurnRates,
  wood: WoodRates,
  food: FoodLoad,
): HeatTerms {
  const airRel = airK - pit.referenceK;
  const balance = beginBalance(pit);
  addFuelHeat(balance, pit, burn, wood, food);
  addGasFlows(balance, pit, boundary, flows, airRel);
  addCoalExchange(balance, pit, boundary, flows, wood.coveredCoalsM2, airK, airRel);
  addSurfaceExchange(balance, pit, airK, airRel);
  addPanBoiling(balance, pit);
  addAmbientLosses(balance, pit, weather, airK, airRel);
  return pit.workspace.terms;
}

/** Fuel into the balance: its heat, what leaves with ash and dead coals, drying, and the food's share. */
function addFuelHeat(
  balance: HeatBalance,
  pit: PitState,
  burn: BurnRates,
  wood: WoodRates,
  food: FoodLoad,
): void {
  const { layout, lit } = pit;
  const { terms } = pit.workspace;
  const { rhs } = balance;
  const bedExcess = pit.tempK[pit.coals]! - pit.referenceK;
  const charGone = burn.burntKgPerS * CHAR.specificHeat * bedExcess;
  const ashGone = charGone * lit.ashPerKg;
  const coldOut = Math.max(bedExcess - OUT_COLDER_K, 0);
  const outGone = burn.wentOutKgPerS * CHAR.specificHeat * (1 + lit.ashPerKg) * coldOut;
  terms.dryingW = burn.litKgPerS * pit.unlit.moisturePerKg * DRYING_J;
  rhs[pit.coals]! +=
    burn.bedHeatFraction * burn.heatW - terms.dryingW - charGone - ashGone - outGone;
  // Wood draws heat with what the step does to coals and gas, or much wood would freeze few coals.
  addSink(balance, pit.coals, wood.fromCoalsW, wood.coalWPerK, wood.coalK - pit.referenceK);
  addSink(balance, 0, wood.fromGasW, wood.gasWPerK, wood.gasK - pit.referenceK);
  const next = layout.zones.length > 1 ? 1 : 0;
  const shines = WOOD.flameRadiantFraction * wood.heatW;
  const warms = wood.heatW - shines;
  rhs[0]! +=
    (1 - burn.bedHeatFraction) * burn.heatW + layout.flameFractionInFireZone * warms + charGone;
  rhs[next]! += (1 - layout.flameFractionInFireZone) * warms;
  addFlameRadiation(balance, pit, shines);
  rhs[pit.inner[layout.ashWallIndex]!]! += ashGone + outGone;
  for (let i = 0; i < food.fromGasW.length; i++) {
    if (food.fromGasW[i] === 0 && food.fromWallsW[i] === 0) continue;
    const { gasShares: gas, viewShares: seen } = layout.positions[i]!;
    for (let k = 0; k < gas.length; k++) {
      const part = gas[k]!;
      rhs[part[0]]! -= part[1] * food.fromGasW[i]!;
    }
    for (let k = 0; k < seen.length; k++) {
      const part = seen[k]!;
      rhs[nodeOf(pit, part[0])]! -= part[1] * food.fromWallsW[i]!;
    }
  }
}

/** A flame shines on the coals under it and on what they see. */
function addFlameRadiation({ rhs }: HeatBalance, pit: PitState, watts: number): void {
  if (watts === 0) return;
  const onCoals = WOOD.flameOnCoalsFraction * watts;
  const seen = pit.layout.flameViewFractions;
  rhs[pit.coals]! += onCoals;
  for (let i = 0; i < seen.length; i++) {
    const part = seen[i]!;
    rhs[nodeOf(pit, part[0])]! += part[1] * (watts - onCoals);
  }
}

/** Gas: in from the yard, onward, mixed, back round, and out again. */
function addGasFlows(
  balance: HeatBalance,
  pit: PitState,
  boundary: BoundaryFlows,
  flows: InternalFlows,
  airRel: number,
): void {
  const { layout } = pit;
  const zones = layout.zones.length;
  for (let z = 0; z < zones; z++)
    addVentilation(balance, z, boundary.inflow[z]!, boundary.outflow[z]!, airRel);
  for (let z = 0; z < zones - 1; z++) {
    const on = flows.onward[z]!;
    if (on >= 0) addAdvection(balance, z, z + 1, on);
    else addAdvection(balance, z + 1, z, -on);
  }
  if (layout.recirculation) addAdvection(balance, layout.recirculation.from, 0, flows.recirculated);
  for (let i = 0; i < layout.mixing.length; i++) {
    const m = layout.mixing[i]!;
    addAdvection(balance, m.a, m.b, flows.mixing[i]!);
    addAdvection(balance, m.b, m.a, flows.mixing[i]!);
  }
}

/** Coals shine on what they see, and warm the gas that passes: never more than it can carry. */
function addCoalExchange(
  balance: HeatBalance,
  pit: PitState,
  boundary: BoundaryFlows,
  flows: InternalFlows,
  coversM2: number,
  airK: number,
  airRel: number,
): void {
  const { tempK: t, layout, coals } = pit;
  const area = pit.arrangement.exposedFraction * radiatingArea(pit.lit.kg, t[coals]!);
  const free = Math.max(area - PIT_CLOSURES.woodHides * coversM2, 0.25 * area);
  const emittingM2 = CHAR.emissivity * free;
  for (let i = 0; i < layout.coalViewFractions.length; i++) {
    const seen = layout.coalViewFractions[i]!;
    const surface = seen[0];
    const view = seen[1];
    const node = nodeOf(pit, surface);
    if (typeof surface === 'number' && layout.walls[surface]!.lid && pit.lidOpen) {
      addAmbientLoss(
        balance,
        coals,
        emittingM2 * view * radiationCoefficient(t[coals]!, airK),
        airRel,
      );
    } else
      addConductance(
        balance,
        coals,
        node,
        emittingM2 * view * radiationCoefficient(t[coals]!, t[node]!),
      );
  }
  const film = PIT_CLOSURES.coalFilm * radiatingArea(pit.lit.kg, 1000);
  const passing = Math.max(boundary.throughBed + flows.recirculated, 1e-4);
  addConductance(balance, coals, 0, Math.min(film, 0.8 * passing * CP_GAS));
}

/** Walls, metal and pan inside; an open lid takes no part and lets what it covered see the sky. */
function addSurfaceExchange(
  balance: HeatBalance,
  pit: PitState,
  airK: number,
  airRel: number,
): void {
  const { tempK: t, layout } = pit;
  for (let w = 0; w < layout.walls.length; w++) {
    const wall = layout.walls[w]!;
    const first = pit.inner[w]!;
    for (let i = 0; i < wall.conductancesWPerK.length; i++)
      addConductance(balance, first + i, first + i + 1, wall.conductancesWPerK[i]!);
    if (wall.lid && pit.lidOpen) continue;
    addFilms(balance, wall.films, first);
  }
  addFilms(balance, layout.metal.films, pit.metal);
  if (pit.panIn) addFilms(balance, layout.pan.films, pit.pan);
  for (let i = 0; i < layout.radiationLinks.length; i++) {
    const shine = layout.radiationLinks[i]!;
    if (!pit.panIn && (shine.a === 'pan' || shine.b === 'pan')) continue;
    const a = nodeOf(pit, shine.a);
    const b = nodeOf(pit, shine.b);
    if (pit.lidOpen && typeof shine.b === 'number' && layout.walls[shine.b]!.lid) {
      addAmbientLoss(balance, a, shine.m2 * radiationCoefficient(t[a]!, airK), airRel);
    } else addConductance(balance, a, b, shine.m2 * radiationCoefficient(t[a]!, t[b]!));
  }
}

/** The films between a body and the gas. */
function addFilms(balance: HeatBalance, films: readonly Film[], node: number): void {
  for (let i = 0; i < films.length; i++) {
    const film = films[i]!;
    addConductance(balance, film.zone, node, film.wPerM2K * film.m2);
  }
}

/** Water in the pan: evaporates from its face, boils where it must; none left, none given. */
function addPanBoiling(balance: HeatBalance, pit: PitState): void {
  const { terms } = pit.workspace;
  terms.panW = terms.panSlope = 0;
  if (!pit.panIn || pit.waterKg <= 0) return;
  const { layout, pressurePa } = pit;
  const c = celsius(pit.tempK[pit.pan]!);
  terms.latentJPerKg = vaporisationHeat(c);
  const resistance = vapourFilmResistance(layout.pan.films.at(-1)!.wPerM2K, pressurePa);
  const vapourPa = vapourPressure(pit.humidity, pressurePa);
  // The last film of water runs dry in patches.
  const wet = layout.pan.m2 * (pit.waterKg / (pit.waterKg + 0.03));
  const watts = (x: number): number =>
    wet *
    (stefanFlowKgPerM2S(saturationPressure(x), vapourPa, resistance, pressurePa) *
      terms.latentJPerKg +
      BOIL_W_PER_M2K * smoothPositive(x - boilingPointC(pressurePa) - BOILS_OVER_K));
  terms.panW = watts(c);
  terms.panSlope = Math.max((watts(c + 0.2) - terms.panW) / 0.2, 0);
  addSink(balance, pit.pan, terms.panW, terms.panSlope, pit.tempK[pit.pan]! - pit.referenceK);
}

/** Water in a pan boils hard from so much over its boiling point on, K (from memory: nucleate boiling begins within 5 K). */
const BOILS_OVER_K = 0.5;
/** Past the boiling point all further heat goes into steam, W/m2K. */
const BOIL_W_PER_M2K = 8000;
const smoothPositive = (x: number): number => 0.5 * (x + Math.sqrt(x * x + 0.25));

/** Heat to the yard through the skin; an open lid loses on both sides, rain cools it. */
function addAmbientLosses(
  balance: HeatBalance,
  s: PitState,
  weather: Weather,
  airK: number,
  airRel: number,
): void {
  const { layout, parameters: pit, tempK: t } = s;
  const forced = forcedFilmCubed(s, YARD_WIND_FRACTION * weather.windMps);
  for (let i = 0; i < layout.walls.length; i++) {
    const wall = layout.walls[i]!;
    const node = s.outer[i]!;
    const skin =
      pit.wallLossFactor * outsideFilm(t[node]!, airK, forced, wall.lengthM, SKIN_EMISSIVITY);
    addAmbientLoss(balance, node, wall.outsideM2 * skin + rainLoss(weather, wall.rainM2), airRel);
    if (wall.lid && s.lidOpen) {
      const inner = s.inner[i]!;
      const inside = outsideFilm(t[inner]!, airK, forced, wall.lengthM, SKIN_EMISSIVITY);
      addAmbientLoss(balance, inner, wall.outsideM2 * inside, airRel);
    }
  }
}

/** Rain on a wall, W/K: warmed and partly boiled off, 9 kJ/kg per K of excess in all (from memory). */
const rainLoss = (weather: Weather, areaM2: number): number =>
  (weather.rainMmPerH / 3600) * areaM2 * 9000;

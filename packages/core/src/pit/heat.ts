/** Puts the heat balance of a pit together from its layout, its air and what its fire does. */
import {
  CP_GAS,
  filmResistance,
  saturationPressure,
  stefanFlow,
  vaporisationHeat,
  vapourPressure,
} from '../air/moist';
import type { Weather } from '../air/weather';
import { CHAR, radiatingArea } from '../fire/char';
import { celsius } from '../quantity/units';
import {
  beginBalance,
  breathe,
  carry,
  couple,
  lose,
  outsideFilm,
  radiative,
  rhs,
  shed,
} from './balance';
import type { Burn } from './burn';
import { INSIDE, SHELTER, SKIN_EMISSIVITY } from './closures';
import type { Flows } from './flows';
import type { Gas } from './gas';
import { nodeOf, type PitState } from './state';

/**
 * What the food does to the pit: heat taken, at each of the layout's positions, from the gas and from what
 * the place sees, W; vapour given, kg/s.
 */
export interface FoodLoad {
  fromGasW: number[];
  fromWallsW: number[];
  vapourKgPerS: number;
}

/** No food at any of `places` positions; to be filled and reused. */
export const noFood = (places: number): FoodLoad => ({
  fromGasW: Array<number>(places).fill(0),
  fromWallsW: Array<number>(places).fill(0),
  vapourKgPerS: 0,
});

/** What wood on the coals does, per second. */
export interface WoodRates {
  volatilesKgPerS: number;
  burntKgPerS: number;
  charKgPerS: number;
  steamKgPerS: number;
  heatW: number;
  fromCoalsW: number;
  fromGasW: number;
  /** How both grow with the temperature of coals and gas, W/K, and the temperatures they hold at, K. */
  coalWPerK: number;
  gasWPerK: number;
  coalK: number;
  gasK: number;
  coversM2: number;
}

/** A record without any wood, to be filled and reused. */
export const noWood = (): WoodRates => ({
  volatilesKgPerS: 0,
  burntKgPerS: 0,
  charKgPerS: 0,
  steamKgPerS: 0,
  heatW: 0,
  fromCoalsW: 0,
  fromGasW: 0,
  coalWPerK: 0,
  gasWPerK: 0,
  coalK: 0,
  gasK: 0,
  coversM2: 0,
});

/** Heat of drying and warming the moisture in charcoal, J/kg. */
const DRYING_J = 2.6e6;
/** What goes out is this much colder than the mean of the bed, K. */
const OUT_COLDER_K = 150;

/** Terms that the ledger needs again after the balance has been put together. */
export interface HeatTerms {
  dryingW: number;
  /** Heat that the pan spends on steam at its temperature now, W, and how it grows with it, W/K. */
  panW: number;
  panSlope: number;
  latentJPerKg: number;
}

const terms: HeatTerms = { dryingW: 0, panW: 0, panSlope: 0, latentJPerKg: 2.3e6 };

/** Assembles G and b. The record returned is reused. */
export function assembleHeat(
  s: PitState,
  w: Weather,
  airK: number,
  gas: Gas,
  flows: Flows,
  burn: Burn,
  wood: WoodRates,
  food: FoodLoad,
): HeatTerms {
  const airRel = airK - s.referenceK;
  beginBalance(s);
  bookFuel(s, burn, wood, food);
  moveGas(s, gas, flows, airRel);
  joinCoals(s, gas, flows, wood.coversM2, airK, airRel);
  joinSurfaces(s, airK, airRel);
  boilPan(s);
  loseToYard(s, w, airK, airRel);
  return terms;
}

/** Fuel into the balance: its heat, what leaves with ash and dead coals, drying, and the food's share. */
function bookFuel(s: PitState, burn: Burn, wood: WoodRates, food: FoodLoad): void {
  const { layout, lit } = s;
  const bedExcess = s.tempK[s.coals]! - s.referenceK;
  const charGone = burn.burntKgPerS * CHAR.specificHeat * bedExcess;
  const ashGone = charGone * lit.ashPerKg;
  const coldOut = Math.max(bedExcess - OUT_COLDER_K, 0);
  const outGone = burn.wentOutKgPerS * CHAR.specificHeat * (1 + lit.ashPerKg) * coldOut;
  terms.dryingW = burn.litKgPerS * s.unlit.moisturePerKg * DRYING_J;
  rhs[s.coals]! += burn.bedShare * burn.heatW - terms.dryingW - charGone - ashGone - outGone;
  // Wood draws heat with what the step does to coals and gas, or much wood would freeze few coals.
  shed(s.coals, wood.fromCoalsW, wood.coalWPerK, wood.coalK - s.referenceK);
  shed(0, wood.fromGasW, wood.gasWPerK, wood.gasK - s.referenceK);
  const next = layout.zones.length > 1 ? 1 : 0;
  rhs[0]! += (1 - burn.bedShare) * burn.heatW + layout.flameInFire * wood.heatW + charGone;
  rhs[next]! += (1 - layout.flameInFire) * wood.heatW;
  rhs[s.inner[layout.ashWall]!]! += ashGone + outGone;
  for (let i = 0; i < food.fromGasW.length; i++) {
    if (food.fromGasW[i] === 0 && food.fromWallsW[i] === 0) continue;
    const { gas, seen } = layout.positions[i]!;
    for (const [zone, share] of gas) rhs[zone]! -= share * food.fromGasW[i]!;
    for (const [surface, share] of seen) rhs[nodeOf(s, surface)]! -= share * food.fromWallsW[i]!;
  }
}

/** Gas: in from the yard, onward, mixed, back round, and out again. */
function moveGas(s: PitState, gas: Gas, flows: Flows, airRel: number): void {
  const { layout } = s;
  const zones = layout.zones.length;
  for (let z = 0; z < zones; z++) breathe(z, gas.into[z]!, gas.out[z]!, airRel);
  for (let z = 0; z < zones - 1; z++) {
    const on = flows.onward[z]!;
    if (on >= 0) carry(z, z + 1, on);
    else carry(z + 1, z, -on);
  }
  if (layout.loop) carry(layout.loop.from, 0, flows.around);
  for (let i = 0; i < layout.mixing.length; i++) {
    const m = layout.mixing[i]!;
    carry(m.a, m.b, flows.mixed[i]!);
    carry(m.b, m.a, flows.mixed[i]!);
  }
}

/** Coals shine on what they see, and warm the gas that passes: never more than it can carry. */
function joinCoals(
  s: PitState,
  gas: Gas,
  flows: Flows,
  coversM2: number,
  airK: number,
  airRel: number,
): void {
  const { tempK: t, layout, coals } = s;
  const area = s.arrangement.exposed * radiatingArea(s.lit.kg, t[coals]!);
  const free = Math.max(area - INSIDE.woodHides * coversM2, 0.25 * area);
  const shine = CHAR.emissivity * free;
  for (const [surface, view] of layout.coalViews) {
    const node = nodeOf(s, surface);
    if (typeof surface === 'number' && layout.walls[surface]!.lid && s.lidOpen) {
      lose(coals, shine * view * radiative(t[coals]!, airK), airRel);
    } else couple(coals, node, shine * view * radiative(t[coals]!, t[node]!));
  }
  const film = INSIDE.coalFilm * radiatingArea(s.lit.kg, 1000);
  const passing = Math.max(gas.throughBed + flows.around, 1e-4);
  couple(coals, 0, Math.min(film, 0.8 * passing * CP_GAS));
}

/** Walls, metal and pan inside; a lid in the hand takes no part and lets what it covered see the sky. */
function joinSurfaces(s: PitState, airK: number, airRel: number): void {
  const { tempK: t, layout } = s;
  for (let w = 0; w < layout.walls.length; w++) {
    const wall = layout.walls[w]!;
    const first = s.inner[w]!;
    for (let i = 0; i < wall.joinsWPerK.length; i++)
      couple(first + i, first + i + 1, wall.joinsWPerK[i]!);
    if (wall.lid && s.lidOpen) continue;
    for (const f of wall.films) couple(f.zone, first, f.wPerM2K * f.m2);
  }
  for (const f of layout.metal.films) couple(f.zone, s.metal, f.wPerM2K * f.m2);
  if (s.panIn) for (const f of layout.pan.films) couple(f.zone, s.pan, f.wPerM2K * f.m2);
  for (const shine of layout.shines) {
    if (!s.panIn && (shine.a === 'pan' || shine.b === 'pan')) continue;
    const a = nodeOf(s, shine.a);
    const b = nodeOf(s, shine.b);
    if (s.lidOpen && typeof shine.b === 'number' && layout.walls[shine.b]!.lid) {
      lose(a, shine.m2 * radiative(t[a]!, airK), airRel);
    } else couple(a, b, shine.m2 * radiative(t[a]!, t[b]!));
  }
}

/** Water in the pan: evaporates from its face, boils where it must; none left, none given. */
function boilPan(s: PitState): void {
  terms.panW = terms.panSlope = 0;
  if (!s.panIn || s.waterKg <= 0) return;
  const { layout, pressurePa } = s;
  const c = celsius(s.tempK[s.pan]!);
  terms.latentJPerKg = vaporisationHeat(c);
  const resistance = filmResistance(layout.pan.films.at(-1)!.wPerM2K, pressurePa);
  const vapourPa = vapourPressure(s.humidity, pressurePa);
  // The last film of water runs dry in patches.
  const wet = layout.pan.m2 * (s.waterKg / (s.waterKg + 0.03));
  const watts = (x: number): number =>
    wet *
    (stefanFlow(saturationPressure(x), vapourPa, resistance, pressurePa) * terms.latentJPerKg +
      BOIL_W_PER_M2K * smoothPositive(x - 100.5 * Math.pow(pressurePa / 101325, 0.27)));
  terms.panW = watts(c);
  terms.panSlope = Math.max((watts(c + 0.2) - terms.panW) / 0.2, 0);
  shed(s.pan, terms.panW, terms.panSlope, s.tempK[s.pan]! - s.referenceK);
}

/** Past the boiling point all further heat goes into steam, W/m2K. */
const BOIL_W_PER_M2K = 8000;
const smoothPositive = (x: number): number => 0.5 * (x + Math.sqrt(x * x + 0.25));

/** Heat to the yard through the skin; a lid in the hand loses on both sides, rain cools it. */
function loseToYard(s: PitState, w: Weather, airK: number, airRel: number): void {
  const { layout, pit, tempK: t } = s;
  const windMps = SHELTER * w.windMps;
  for (let i = 0; i < layout.walls.length; i++) {
    const wall = layout.walls[i]!;
    const node = s.outer[i]!;
    const skin =
      pit.wallLossFactor * outsideFilm(t[node]!, airK, windMps, wall.lengthM, SKIN_EMISSIVITY);
    lose(node, wall.outsideM2 * skin + rainLoss(w, wall.rainM2), airRel);
    if (wall.lid && s.lidOpen) {
      const inner = s.inner[i]!;
      const inside = outsideFilm(t[inner]!, airK, windMps, wall.lengthM, SKIN_EMISSIVITY);
      lose(inner, wall.outsideM2 * inside, airRel);
    }
  }
}

/** Rain on a wall, W/K: warmed and partly boiled off, 9 kJ/kg per K of excess in all (from memory). */
const rainLoss = (w: Weather, areaM2: number): number => (w.rainMmPerH / 3600) * areaM2 * 9000;

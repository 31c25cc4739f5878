/** Everything that changes while a pit burns: one flat record, made once, stepped in place. */
import type { Ledger, PitState } from './pitState';
import { humidityRatio, pressureAt, saturationPressure } from '../air/moistAir';
import { createDraughtNetwork } from '../air/draught';
import { isSpent, type WoodParcel } from '../fire/woodParcel';
import type { Arrangement, FuelPool } from '../fire/arrangement';
import { DRY_WOOD_HEAT } from '../fuel/catalogue';
import { kelvin } from '../quantity/units';
import { fixedHeatCapacities, storedHeatJ } from './heatStores';
import { inOneShape, type Layout, type Surface } from './layout';
import { updateOpenings } from './openings';
import type { CookerParameters } from './parameters';
import { createPitWorkspace } from './workspace';

/** Node of a surface. Where no pan is in, what would see it sees the grates behind it. */
export const nodeOf = (pit: PitState, surface: Surface): number =>
  surface === 'coals'
    ? pit.coals
    : surface === 'metal'
      ? pit.metal
      : surface === 'pan'
        ? pit.panIn
          ? pit.pan
          : pit.metal
        : pit.inner[surface]!;

/** What a pit is made from. Pools are taken over, not copied. */
interface PitInitial {
  /** Its parameters. */
  parameters: CookerParameters;
  /** Its layout. */
  layout: Layout;
  /** How fire goes through the fuel. */
  arrangement: Arrangement;
  /** Charcoal that glows. */
  lit: FuelPool;
  /** Charcoal that does not glow yet. */
  unlit: FuelPool;
  /** Pieces of wood. */
  parcels: WoodParcel[];
  /** Air when it is lit, C. */
  airC: number;
  /** Height over the sea, m. */
  altitudeM: number;
  /** Relative humidity, 0 to 1. */
  relativeHumidityFraction: number;
  /** Whether a fan is fitted. */
  fanFitted: boolean;
}

/** Totals of a pit with its charcoal and its water just put in. */
const openLedger = (lit: FuelPool, unlit: FuelPool, waterKg: number): Ledger => ({
  releasedJ: 0,
  wallsJ: 0,
  exhaustJ: 0,
  latentJ: 0,
  foodJ: 0,
  storedStartJ: 0,
  givenJ: lit.kg * lit.heatJPerKg + unlit.kg * unlit.heatJPerKg,
  givenKg: lit.kg + unlit.kg,
  burnedKg: 0,
  ashKg: 0,
  unburntJ: 0,
  charFromWoodKg: 0,
  woodGivenKg: 0,
  volatilesKg: 0,
  oxygenUsedKg: 0,
  panSteamKg: 0,
  waterGivenKg: waterKg,
});

/** A pit just lit: dull red coals, K (common practice), and moist air, which has a little less oxygen than dry air's 0.232. */
const JUST_LIT = { coalsK: 900, oxygen: 0.23 } as const;
/** A cold pit with its fire just lit: the lit pieces glow, everything else is at air temperature. */
export function createPitState(from: PitInitial): PitState {
  const { parameters: pit, lit, unlit } = from;
  const layout = inOneShape(from.layout);
  const airK = kelvin(from.airC);
  const zones = layout.zones.length;
  const inner = new Int32Array(layout.walls.length);
  const outer = new Int32Array(layout.walls.length);
  let nodes = zones + 3;
  layout.walls.forEach((w, i) => {
    inner[i] = nodes;
    nodes += w.heatStoresJPerK.length;
    outer[i] = nodes - 1;
  });
  const pressurePa = pressureAt(from.altitudeM);
  const tempK = new Float64Array(nodes).fill(airK);
  tempK[zones] = JUST_LIT.coalsK;
  const s: PitState = {
    parameters: pit,
    layout,
    arrangement: from.arrangement,
    lit,
    unlit,
    parcels: from.parcels,
    tempK,
    nodes,
    fixedJPerK: fixedHeatCapacities(layout, nodes, pressurePa),
    coals: zones,
    metal: zones + 1,
    pan: zones + 2,
    inner,
    outer,
    referenceK: airK,
    pressurePa,
    layerExcessK: 80,
    oxygen: new Float64Array(zones).fill(JUST_LIT.oxygen),
    humidity: humidityRatio(
      from.relativeHumidityFraction * saturationPressure(from.airC),
      pressurePa,
    ),
    waterKg: pit.waterKg,
    panIn: pit.waterKg > 0,
    bedAshKg: 0,
    unburntGasJ: 0,
    intakeFraction: 1,
    exhaustFraction: 1,
    doorFraction: 0,
    lidOpen: false,
    fanDuty: 0,
    fanFitted: from.fanFitted,
    network: createDraughtNetwork(
      layout.openings.map((h) => ({
        areaM2: 0,
        heightM: h.heightM,
        windPressureCoefficient: h.windPressureCoefficient,
        pushPa: 0,
      })),
    ),
    probeK: airK,
    dialK: airK,
    draughtKgPerS: 0.001,
    smokeGPerM3: 0,
    smokeDose: 0,
    smokeStrength: 1,
    flaming: 0,
    woodBurns: false,
    previousStep: { coalK: airK, gasK: airK, oxygen: JUST_LIT.oxygen, dtS: 0 },
    ledger: openLedger(lit, unlit, pit.waterKg),
    workspace: createPitWorkspace(nodes),
  };
  for (const p of from.parcels) addWoodToLedger(s, p);
  updateOpenings(s);
  s.ledger.storedStartJ = storedHeatJ(s);
  return s;
}

/** Enters a new piece of wood in the ledger. */
export function addWoodToLedger(pit: PitState, parcel: WoodParcel): void {
  pit.ledger.woodGivenKg += parcel.count * parcel.initialDryKg;
  pit.ledger.givenJ += parcel.count * parcel.initialDryKg * DRY_WOOD_HEAT;
}

/** Wood left in the fire, kg dry. */
export const remainingWoodKg = (pit: PitState): number =>
  pit.parcels.reduce((sum, p) => sum + p.count * p.dryKg, 0);

/** Chemical energy left in the pit, J: charcoal, wood, and gas that has not burnt yet. */
export const remainingChemicalJ = (pit: PitState): number =>
  pit.lit.kg * pit.lit.heatJPerKg +
  pit.unlit.kg * pit.unlit.heatJPerKg +
  remainingWoodKg(pit) * DRY_WOOD_HEAT +
  pit.unburntGasJ;

/** Takes burnt-out pieces off the list. */
export function removeSpentParcels(pit: PitState): void {
  if (pit.parcels.some((p) => isSpent(p) && p.dryKg === 0)) {
    pit.parcels = pit.parcels.filter((p) => p.dryKg > 0);
  }
}

/** Share of a snake, basket or bowl that has caught, 0 to 1. */
export function caughtFraction(pit: PitState): number {
  const charcoalGiven = pit.ledger.givenKg;
  return charcoalGiven > 0 ? 1 - pit.unlit.kg / charcoalGiven : 1;
}

/**
 * What a step of a pit works with: records and matrices that are filled anew in every step. Each pit has its
 * own, so that several cooks can be stepped in turn.
 */
import {
  emptyParcelRates,
  emptyWoodYield,
  type ParcelRates,
  type ParcelSurroundings,
  type WoodYield,
} from '../fire/burnParcel';
import { CHAR } from '../fire/char';

/** Most gas zones of any layout. */
const MAX_ZONES = 6;

/** Flows across the pit's boundary, by gas zone, kg/s. */
export interface BoundaryFlows {
  /** Into each zone. */
  inflow: Float64Array;
  /** Out of each zone. */
  outflow: Float64Array;
  /** Into all zones. */
  inflowTotal: number;
  /** Air that passes the coals on its way in. */
  throughBed: number;
  /** The part of it that goes among the coals and not past them, kg/s. */
  amongCoals: number;
}

/** Flows between gas zones, kg/s. */
export interface InternalFlows {
  /** From zone z on to z + 1, signed. */
  onward: Float64Array;
  /** Falling back from the end of the recirculation to the fire, and the part of it that passes the coals. */
  recirculated: number;
  /** The part that passes the coals. */
  recirculatedThroughCoals: number;
  /** Two-way exchange of each mixing pair. */
  mixing: Float64Array;
}

/** How the coals stand to burn, before it is known how much oxygen they get. */
export interface BurnReadiness {
  /** Temperature of the reacting layer, K. */
  layerK: number;
  /** Burning at an oxygen share of that in air, kg/s dry ash-free. */
  unitKgPerS: number;
  /** Share of the heat that leaves unburnt. */
  unburntFraction: number;
  /** Heat set free per kg burnt, J, and oxygen used, kg. */
  heatJPerKg: number;
  /** Oxygen used for each kg burnt, kg. */
  oxygenPerKg: number;
}

/** What the charcoal does, kg/s and W. */
export interface BurnRates {
  /** Burns. */
  burntKgPerS: number;
  /** Heat set free. */
  heatW: number;
  /** Heat that leaves unburnt. */
  unburntW: number;
  /** Catches. */
  litKgPerS: number;
  /** Goes out. */
  wentOutKgPerS: number;
  /** Change of the layer's excess temperature, K/s, and where it tends, K. */
  layerTargetK: number;
  /** Share of the heat that stays in the bed. */
  bedHeatFraction: number;
}

/** What wood on the coals does, per second. */
export interface WoodRates {
  /** Volatiles given off. */
  volatilesKgPerS: number;
  /** Volatiles burnt. */
  burntKgPerS: number;
  /** Char made. */
  charKgPerS: number;
  /** Steam given off. */
  steamKgPerS: number;
  /** Heat of its flames, W. */
  heatW: number;
  /** Heat taken from the coals, W. */
  fromCoalsW: number;
  /** Heat taken from the gas, W. */
  fromGasW: number;
  /** How both grow with the temperature of coals and gas, W/K, and the temperatures they hold at, K. */
  coalWPerK: number;
  /** How the heat from the gas grows with its temperature, W/K. */
  gasWPerK: number;
  /** Temperature of the coals that it holds at, K. */
  coalK: number;
  /** Temperature of the gas that it holds at, K. */
  gasK: number;
  /** Coals covered by wood, m2. */
  coveredCoalsM2: number;
}

/** A record without any wood, to be filled and reused. */
export const emptyWoodRates = (): WoodRates => ({
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
  coveredCoalsM2: 0,
});

/** Terms that the ledger needs again after the balance has been put together. */
export interface HeatTerms {
  /** Heat that drying charcoal takes, W. */
  dryingW: number;
  /** Heat that the pan spends on steam at its temperature now, W, and how it grows with it, W/K. */
  panW: number;
  /** How the pan's heat grows with its temperature, W/K. */
  panSlope: number;
  /** Heat of evaporation in the pan, J/kg. */
  latentJPerKg: number;
}

/** What takes oxygen: charcoal per unit of oxygen share in the fire's zone, wood's flame, kg/s. */
export interface OxygenSinks {
  /** Charcoal, for each unit of oxygen share in the fire's zone, kg/s. */
  charPerShare: number;
  /** Flames of wood, kg/s. */
  wood: number;
}

/** The heat balance G T = b with T above the reference: row-major n x n, W/K, and W. */
export interface HeatBalance {
  /** Number of nodes. */
  n: number;
  /** Conductances, W/K. */
  matrix: Float64Array;
  /** Sources, W; after solving, temperatures above the reference, K. */
  rhs: Float64Array;
  /** Conductance from each node to the yard, W/K, and the yard's temperature above the reference, K. */
  toYard: Float64Array;
  /** The yard's temperature above the reference, K. */
  yardRel: Float64Array;
}

/** The oxygen balance as a linear system: what leaves (matrix) and what comes (supply), kg/s of gas. */
interface OxygenBalance {
  /** What leaves. */
  matrix: Float64Array;
  /** What comes. */
  supply: Float64Array;
}

export interface PitWorkspace {
  /** The heat balance. */
  balance: HeatBalance;
  /** The oxygen balance. */
  oxygenBalance: OxygenBalance;
  /** Flows in and out. */
  boundary: BoundaryFlows;
  /** Flows between zones. */
  flows: InternalFlows;
  /** How the coals stand to burn. */
  readiness: BurnReadiness;
  /** What the charcoal does. */
  burn: BurnRates;
  /** What the wood does. */
  wood: WoodRates;
  /** Terms of the balance that the ledger needs. */
  terms: HeatTerms;
  /** What takes oxygen. */
  sinks: OxygenSinks;
  /** What the wood lies in. */
  parcelAir: ParcelSurroundings;
  /** Rates of the parcel that is stepped. */
  parcelRates: ParcelRates;
  /** What all parcels gave. */
  woodYield: WoodYield;
  /** The wind of the last step, m/s, and the forced film that it makes outside, (W/m2K) cubed. */
  wind: { mps: number; filmCubed: number };
  /** Largest change of a node's temperature in a step, K; of a skin's, K, and of a flame. */
  change: { nodeK: number; skinK: number; flame: number };
}

/** A workspace for a pit of so many nodes. */
export function createPitWorkspace(nodes: number): PitWorkspace {
  return {
    balance: {
      n: nodes,
      matrix: new Float64Array(nodes * nodes),
      rhs: new Float64Array(nodes),
      toYard: new Float64Array(nodes),
      yardRel: new Float64Array(nodes),
    },
    oxygenBalance: {
      matrix: new Float64Array(MAX_ZONES * MAX_ZONES),
      supply: new Float64Array(MAX_ZONES),
    },
    boundary: {
      inflow: new Float64Array(MAX_ZONES),
      outflow: new Float64Array(MAX_ZONES),
      inflowTotal: 0,
      throughBed: 0,
      amongCoals: 0,
    },
    flows: {
      onward: new Float64Array(MAX_ZONES),
      recirculated: 0,
      recirculatedThroughCoals: 0,
      mixing: new Float64Array(MAX_ZONES),
    },
    readiness: { layerK: 0, unitKgPerS: 0, unburntFraction: 0, heatJPerKg: 0, oxygenPerKg: 0 },
    burn: {
      burntKgPerS: 0,
      heatW: 0,
      unburntW: 0,
      litKgPerS: 0,
      wentOutKgPerS: 0,
      layerTargetK: 0,
      bedHeatFraction: CHAR.bedHeatFraction,
    },
    wood: emptyWoodRates(),
    terms: { dryingW: 0, panW: 0, panSlope: 0, latentJPerKg: 2.3e6 },
    sinks: { charPerShare: 0, wood: 0 },
    parcelAir: { coalK: 0, gasK: 0, oxygen: 0, open: false, contact: 1 },
    parcelRates: emptyParcelRates(),
    woodYield: emptyWoodYield(),
    wind: { mps: 0, filmCubed: 0 },
    change: { nodeK: 0, skinK: 0, flame: 0 },
  };
}

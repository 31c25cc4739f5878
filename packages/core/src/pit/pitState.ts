/** The state of a pit between two steps, as plain data. */
import type { DraughtNetwork } from '../air/draught';
import type { WoodParcel } from '../fire/woodParcel';
import type { Arrangement, FuelPool } from '../fire/arrangement';
import type { CompleteLayout } from './layout';
import type { CookerParameters } from './parameters';
import type { PitWorkspace } from './workspace';

/** Running totals for the energy and mass ledgers. J and kg since lighting. */
export interface Ledger {
  /** Heat released by burning. */
  releasedJ: number;
  /** Heat lost through the walls. */
  wallsJ: number;
  /** Heat lost with the gas. */
  exhaustJ: number;
  /** Heat spent on drying, steam and wood. */
  latentJ: number;
  /** Heat taken by food. */
  foodJ: number;
  /** Heat that came in with glowing fuel, and stood in the pit at the start. */
  storedStartJ: number;
  /** Chemical energy of all fuel ever put in, J, and all charcoal, kg dry ash-free. */
  givenJ: number;
  /** Charcoal put in, kg dry and ash-free. */
  givenKg: number;
  /** Charcoal burnt. */
  burnedKg: number;
  /** Ash made. */
  ashKg: number;
  /** Chemical energy that left as carbon monoxide or smoke, J. */
  unburntJ: number;
  /** Char made of wood. */
  charFromWoodKg: number;
  /** Wood put in, dry. */
  woodGivenKg: number;
  /** Volatiles given off by wood. */
  volatilesKg: number;
  /** Oxygen used. */
  oxygenUsedKg: number;
  /** Steam from the pan. */
  panSteamKg: number;
  /** Water poured into the pan. */
  waterGivenKg: number;
}

export interface PitState {
  /** Its parameters. */
  parameters: CookerParameters;
  /** Its layout. */
  layout: CompleteLayout;
  /** How fire goes through the fuel. */
  arrangement: Arrangement;
  /** Charcoal that glows. */
  lit: FuelPool;
  /** Charcoal that does not glow yet. */
  unlit: FuelPool;
  /** Pieces of wood. */
  parcels: WoodParcel[];
  /** Nodes: gas zones, coals, metal, pan, then the walls' nodes from the inside out, wall by wall. */
  tempK: Float64Array;
  /** Number of nodes. */
  nodes: number;
  /** Heat stores by node, J/K, as far as they do not change. */
  fixedJPerK: Float64Array;
  /** Node of the coals. */
  coals: number;
  /** Node of the loose metal. */
  metal: number;
  /** Node of the pan. */
  pan: number;
  /** Inner and outer node of each wall. */
  inner: Int32Array;
  /** Outer node of each wall. */
  outer: Int32Array;
  /** Temperature that heat is counted from, K. */
  referenceK: number;
  /** Air pressure, Pa. */
  pressurePa: number;
  /** How much hotter than the bed the reacting layer is, K. */
  layerExcessK: number;
  /** Oxygen in each gas zone, kg/kg. */
  oxygen: Float64Array;
  /** Humidity ratio in the chamber. */
  humidity: number;
  /** Water in the pan, kg. */
  waterKg: number;
  /** Whether a pan with water was put in. */
  panIn: boolean;
  /** Ash among the coals, kg: it chokes the air from below. */
  bedAshKg: number;
  /** Chemical energy of unburnt gas standing in the pit, J: what flares. */
  unburntGasJ: number;
  /** Intake, 0 shut to 1 fully open. */
  intakeFraction: number;
  /** Exhaust, 0 shut to 1 fully open. */
  exhaustFraction: number;
  /** Fire door, 0 shut to 1 open. */
  doorFraction: number;
  /** Whether the lid is off. */
  lidOpen: boolean;
  /** Share of full speed that the fan runs at, and whether one is fitted. */
  fanDuty: number;
  /** Whether a fan is fitted. */
  fanFitted: boolean;
  /** The openings as a network of flows. */
  network: DraughtNetwork;
  /** What the pit's probe reads, K. */
  probeK: number;
  /** What the dial in the lid reads, K. */
  dialK: number;
  /** Air drawn through the pit, kg/s. */
  draughtKgPerS: number;
  /** Unburnt volatiles in the exhaust, g/m3. */
  smokeGPerM3: number;
  /** Smoke taken up by what lies on the grate, in gram-minutes per m3, weighed by the wood's strength. */
  smokeDose: number;
  /** Mean strength of the wood that smokes now, 1 is oak. */
  smokeStrength: number;
  /** The liveliest flame of wood, 0 to 1. */
  flaming: number;
  /** Whether any wood has caught and is not yet char. */
  woodBurns: boolean;
  /** What the wood lay in at the last step's start, and how long that step was, s (0: do not look back). */
  previousStep: { coalK: number; gasK: number; oxygen: number; dtS: number };
  /** Totals since lighting. */
  ledger: Ledger;
  /** What a step works with; it says nothing about the pit between steps. */
  workspace: PitWorkspace;
}

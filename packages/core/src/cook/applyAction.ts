/** Carrying out what somebody does at the pit. */
import { WATER_SPECIFIC_HEAT } from '../air/moistAir';
import { createParcel } from '../fire/woodParcel';
import { addToPool, fuelPoolOf } from '../fire/fuelPool';
import {
  CHARCOALS,
  CHUNK_MOISTURE_FRACTION,
  USUAL_SPLIT_KG,
  USUAL_SPLIT_WOOD,
  WOOD_MOISTURE_FRACTION,
  type WoodId,
} from '../fuel/catalogue';
import { spritzPiece } from '../meat/treatments';
import { addWoodToLedger, caughtFraction } from '../pit/state';
import type { PitState } from '../pit/pitState';
import { storedHeatJ } from '../pit/heatStores';
import type { Cook } from './state';
import { surroundings } from './grateAir';
import {
  moveToOven,
  sauceCookingPiece,
  takeOff,
  unwrapCookingPiece,
  wrapCookingPiece,
} from './cookingPiece';
import { LOOK_LID_S, charcoalKg, type Action, type AddFuel } from '../scenario/actions';

/** A split pre-warmed on the hot firebox: skin and core, K, and what is left of its skin's water (common practice). */
const PREWARMED_SPLIT = { skinK: 500, coreK: 345, waterLeft: 0.03 };
/** Share of the ash that raking shakes out. */
const RAKED_ASH_FRACTION = 0.65;
/** A flare needs this much unburnt gas, J, an oxygen share this low before, and coals this hot, K. */
const FLARE = { gasJ: 12e3, oxygen: 0.1, coalK: 780 };

/** Carries out an action now and notes it. */
export function applyAction(cook: Cook, action: Action): void {
  if (cook.pit) {
    applyToPit(cook, cook.pit, action);
    cook.pit.previousStep.dtS = 0;
  }
  if ('meat' in action) applyToMeat(cook, action);
  if (action.do === 'set-target' && cook.fan) cook.fan.targetC = action.targetC;
  if (action.do === 'set-target') cook.operator?.setTarget(action.targetC);
  if (action.do === 'fan' && cook.fan) cook.fan.on = action.on;
  cook.happened.push(action);
  cook.stepS = 2;
}

/** Opens the lid for so long from now on, s, or longer where it is open already. */
function openLid(cook: Cook, pit: PitState, seconds: number): void {
  flare(cook, pit);
  pit.lidOpen = true;
  cook.lidUntilS = Math.max(cook.lidUntilS, cook.timeS + seconds);
}

/**
 * Tells what was done to a piece by its rules; spraying and brushing, which the rules only ask for, are done here, with the
 * lid open meanwhile: that is a part of them and not told apart.
 */
export function treatByRule(cook: Cook, asked: readonly Action[]): void {
  for (const action of asked) {
    if (action.do !== 'spritz' && action.do !== 'sauce') {
      cook.happened.push(action);
      continue;
    }
    if (cook.pit) openLid(cook, cook.pit, LOOK_LID_S);
    applyAction(cook, action);
  }
}

function applyToPit(cook: Cook, pit: PitState, action: Action): void {
  switch (action.do) {
    case 'set-vents':
      pit.intakeFraction = action.intakeFraction;
      pit.exhaustFraction = action.exhaustFraction;
      break;
    case 'lid-open':
      openLid(cook, pit, action.seconds);
      break;
    case 'door':
      if (action.openFraction > pit.doorFraction + 0.3 && pit.parameters.doorCm2 > 0)
        flare(cook, pit);
      pit.doorFraction = pit.parameters.doorCm2 > 0 ? action.openFraction : 0;
      cook.doorUntilS = action.seconds === undefined ? Infinity : cook.timeS + action.seconds;
      break;
    case 'add-fuel':
      if (action.fuel === 'splits') putOnSplits(pit, action);
      else putOnCharcoal(cook, pit, action);
      break;
    case 'add-wood':
      putOnChunk(
        pit,
        action.species,
        action.massG / 1000,
        action.moistureFraction ?? CHUNK_MOISTURE_FRACTION,
      );
      break;
    case 'rake':
      pit.bedAshKg *= 1 - RAKED_ASH_FRACTION;
      break;
    case 'fill-water':
      fillWater(pit, action.massKg);
      break;
    default:
    // Everything else is about the meat, the target or the fan.
  }
}

function applyToMeat(cook: Cook, action: Extract<Action, { meat: string }>): void {
  const cooking = cook.pieces.find((g) => g.spec.id === action.meat);
  if (!cooking) return;
  const atMin = cook.timeS / 60;
  switch (action.do) {
    case 'meat-on':
      if (cooking.stage === 'waiting') cooking.stage = 'on';
      break;
    case 'meat-off':
      takeOff(cooking, atMin);
      break;
    case 'wrap':
      wrapCookingPiece(cooking, action.with, atMin, action.liquidKg);
      break;
    case 'unwrap':
      unwrapCookingPiece(cooking, atMin);
      break;
    case 'move':
      cooking.gratePlace = action.to;
      break;
    case 'sauce':
      if (cooking.stage === 'on')
        sauceCookingPiece(cooking, surroundings(cook, atMin, cooking.gratePlace).airC, atMin);
      break;
    case 'oven-finish':
      moveToOven(cooking, action.atC);
      break;
    case 'spritz':
      if (cooking.stage !== 'on') break;
      spritzPiece(cooking.piece);
      cooking.result.sprayedAtMin.push(Math.round(atMin));
      break;
    case 'turn':
      // One-dimensional meat has no sides: turning is logged, and evens out what is not modelled.
      break;
  }
}

function putOnCharcoal(cook: Cook, pit: PitState, action: AddFuel): void {
  if (action.fuel === 'splits') return;
  const charcoal = CHARCOALS[action.fuel];
  const bought = charcoalKg(action);
  const pool = fuelPoolOf(charcoal, bought);
  cook.fuel.addedKg += bought;
  pit.ledger.givenJ += pool.kg * pool.heatJPerKg;
  pit.ledger.givenKg += pool.kg;
  if (!action.lit) {
    addToPool(pit.unlit, pool, pool.kg);
    return;
  }
  // Glowing fuel brings its heat with it; the ledger starts from there.
  const before = storedHeatJ(pit);
  if (pit.lit.kg < 0.02) pit.tempK[pit.coals] = Math.max(pit.tempK[pit.coals]!, 950);
  addToPool(pit.lit, pool, pool.kg);
  pit.ledger.storedStartJ += storedHeatJ(pit) - before;
}

function putOnSplits(pit: PitState, action: AddFuel): void {
  const count = Math.max(1, Math.round(action.pieces));
  const massKg = (action.massKg ?? count * USUAL_SPLIT_KG) / count;
  const parcel = createParcel({
    species: action.species ?? USUAL_SPLIT_WOOD,
    massKg,
    moistureFraction: action.moistureFraction ?? WOOD_MOISTURE_FRACTION.seasoned,
    count,
    split: true,
    startK: pit.referenceK,
  });
  if (action.preheated) {
    parcel.skinK = PREWARMED_SPLIT.skinK;
    parcel.coreK = PREWARMED_SPLIT.coreK;
    // The whole face has dried, not only the part that burns first.
    const skinKg = parcel.skinWaterKg / parcel.burningFraction;
    parcel.coreWaterKg -= (1 - PREWARMED_SPLIT.waterLeft) * (skinKg - parcel.skinWaterKg);
    parcel.skinWaterKg *= PREWARMED_SPLIT.waterLeft;
  }
  if (action.lit) parcel.flame = 1;
  // What is laid on coals is reached at once.
  parcel.caught = true;
  addWoodToLedger(pit, parcel);
  pit.parcels.push(parcel);
}

function putOnChunk(
  pit: PitState,
  species: WoodId,
  massKg: number,
  moistureFraction: number,
): void {
  const parcel = createParcel({ species, massKg, moistureFraction, startK: pit.referenceK });
  parcel.caught = caughtFraction(pit) > 0;
  addWoodToLedger(pit, parcel);
  pit.parcels.push(parcel);
}

function fillWater(pit: PitState, massKg: number): void {
  // Warm tap water, at the yard's temperature for the ledger's sake.
  const before = storedHeatJ(pit);
  const hot = pit.waterKg * WATER_SPECIFIC_HEAT + pit.layout.pan.jPerK;
  const rel = pit.tempK[pit.pan]! - pit.referenceK;
  pit.waterKg += massKg;
  pit.panIn = true;
  pit.tempK[pit.pan] = pit.referenceK + (rel * hot) / (hot + massKg * WATER_SPECIFIC_HEAT);
  pit.ledger.waterGivenKg += massKg;
  pit.ledger.storedStartJ += storedHeatJ(pit) - before;
}

/** Air rushing into a starved hot fire: the gas that stood there burns at once. */
function flare(cook: Cook, pit: PitState): void {
  const { unburntGasJ: gasJ } = pit;
  if (gasJ < FLARE.gasJ || pit.oxygen[0]! > FLARE.oxygen || pit.tempK[pit.coals]! < FLARE.coalK) {
    return;
  }
  // It goes into the walls it licks: gas alone could not hold it.
  const wall = pit.inner[0]!;
  const before = storedHeatJ(pit);
  pit.tempK[wall]! += gasJ / pit.layout.walls[0]!.heatStoresJPerK[0]!;
  pit.ledger.releasedJ += storedHeatJ(pit) - before;
  pit.unburntGasJ = 0;
  cook.happened.push({ atMin: cook.timeS / 60, do: 'flare' });
}

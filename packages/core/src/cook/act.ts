/** Carrying out what somebody does at the pit. */
import { WATER_HEAT } from '../air/moist';
import { createParcel } from '../fire/parcel';
import { mixIn, poolOf } from '../fire/pool';
import {
  CHARCOALS,
  CHUNK_MOISTURE,
  SEASONING,
  USUAL_SPLIT_KG,
  type WoodId,
} from '../fuel/catalogue';
import { spritzPiece } from '../meat/treat';
import { bookWood, caughtShare, storedJ, type PitState } from '../pit/state';
import type { Cook } from './state';
import { surroundings } from './grate';
import { ovenFinish, sauceGuest, takeOff, unwrapGuest, wrapGuest } from './guest';
import { charcoalKg, type Action, type AddFuel } from './scenario';

/** A split pre-warmed on the hot firebox: skin and core, K, and what is left of its skin's water (common practice). */
const WARMED = { skinK: 500, coreK: 345, waterLeft: 0.03 };
/** Share of the ash that raking shakes out. */
const RAKED_OUT = 0.65;
/** A flare needs this much unburnt gas, J, an oxygen share this low before, and coals this hot, K. */
const FLARE = { gasJ: 12e3, oxygen: 0.1, coalK: 780 };

/** Carries out an action now and notes it. */
export function act(cook: Cook, action: Action): void {
  if (cook.pit) {
    actOnPit(cook, cook.pit, action);
    cook.pit.before.dtS = 0;
  }
  if ('meat' in action) actOnMeat(cook, action);
  if (action.do === 'set-target' && cook.fan) cook.fan.targetC = action.targetC;
  if (action.do === 'set-target') cook.hand?.setTarget(action.targetC);
  if (action.do === 'fan' && cook.fan) cook.fan.on = action.on;
  cook.happened.push(action);
  cook.stepS = 2;
}

function actOnPit(cook: Cook, pit: PitState, action: Action): void {
  switch (action.do) {
    case 'set-vents':
      pit.intakeFraction = action.intakeFraction;
      pit.exhaustFraction = action.exhaustFraction;
      break;
    case 'lid-open':
      flare(cook, pit);
      pit.lidOpen = true;
      cook.lidUntilS = Math.max(cook.lidUntilS, cook.atS + action.seconds);
      break;
    case 'door':
      if (action.openFraction > pit.doorFraction + 0.3 && pit.pit.doorCm2 > 0) flare(cook, pit);
      pit.doorFraction = pit.pit.doorCm2 > 0 ? action.openFraction : 0;
      cook.doorUntilS = action.seconds === undefined ? Infinity : cook.atS + action.seconds;
      break;
    case 'add-fuel':
      if (action.fuel === 'splits') addSplits(pit, action);
      else addCharcoal(cook, pit, action);
      break;
    case 'add-wood':
      addWood(pit, action.species, action.massG / 1000, action.moistureFraction ?? CHUNK_MOISTURE);
      break;
    case 'rake':
      pit.bedAshKg *= 1 - RAKED_OUT;
      break;
    case 'fill-water':
      fillWater(pit, action.massKg);
      break;
  }
}

function actOnMeat(cook: Cook, action: Extract<Action, { meat: string }>): void {
  const guest = cook.guests.find((g) => g.spec.id === action.meat);
  if (!guest) return;
  const atMin = cook.atS / 60;
  switch (action.do) {
    case 'meat-on':
      if (guest.place === 'waiting') guest.place = 'on';
      break;
    case 'meat-off':
      takeOff(guest, atMin);
      break;
    case 'wrap':
      wrapGuest(guest, action.with, atMin, action.liquidKg);
      break;
    case 'unwrap':
      unwrapGuest(guest);
      break;
    case 'move':
      guest.at = action.to;
      break;
    case 'sauce':
      if (guest.place === 'on') sauceGuest(guest, surroundings(cook, atMin, guest.at).airC);
      break;
    case 'oven-finish':
      ovenFinish(guest, action.atC);
      break;
    case 'spritz':
      if (guest.place === 'on') spritzPiece(guest.piece);
      break;
    case 'turn':
      // One-dimensional meat has no sides: turning is logged, and evens out what is not modelled.
      break;
  }
}

function addCharcoal(cook: Cook, pit: PitState, a: AddFuel): void {
  if (a.fuel === 'splits') return;
  const charcoal = CHARCOALS[a.fuel];
  const bought = charcoalKg(a);
  const pool = poolOf(charcoal, bought);
  cook.fuel.addedKg += bought;
  pit.ledger.givenJ += pool.kg * pool.heatJPerKg;
  pit.ledger.givenKg += pool.kg;
  if (!a.lit) {
    mixIn(pit.unlit, pool, pool.kg);
    return;
  }
  // Glowing fuel brings its heat with it; the ledger starts from there.
  const before = storedJ(pit);
  if (pit.lit.kg < 0.02) pit.tempK[pit.coals] = Math.max(pit.tempK[pit.coals]!, 950);
  mixIn(pit.lit, pool, pool.kg);
  pit.ledger.storedStartJ += storedJ(pit) - before;
}

function addSplits(pit: PitState, a: AddFuel): void {
  const count = Math.max(1, Math.round(a.pieces));
  const massKg = (a.massKg ?? count * USUAL_SPLIT_KG) / count;
  const parcel = createParcel({
    species: a.species ?? 'oak',
    massKg,
    moistureFraction: a.moistureFraction ?? SEASONING.seasoned,
    count,
    split: true,
    startK: pit.referenceK,
  });
  if (a.preheated) {
    parcel.skinK = WARMED.skinK;
    parcel.coreK = WARMED.coreK;
    parcel.skinWaterKg *= WARMED.waterLeft;
  }
  if (a.lit) parcel.flame = 1;
  // What is laid on coals is reached at once.
  parcel.caught = true;
  bookWood(pit, parcel);
  pit.parcels.push(parcel);
}

function addWood(pit: PitState, species: WoodId, massKg: number, moistureFraction: number): void {
  const parcel = createParcel({ species, massKg, moistureFraction, startK: pit.referenceK });
  parcel.caught = caughtShare(pit) > 0;
  bookWood(pit, parcel);
  pit.parcels.push(parcel);
}

function fillWater(pit: PitState, massKg: number): void {
  // Warm tap water, at the yard's temperature for the ledger's sake.
  const before = storedJ(pit);
  const hot = pit.waterKg * WATER_HEAT + pit.layout.pan.jPerK;
  const rel = pit.tempK[pit.pan]! - pit.referenceK;
  pit.waterKg += massKg;
  pit.panIn = true;
  pit.tempK[pit.pan] = pit.referenceK + (rel * hot) / (hot + massKg * WATER_HEAT);
  pit.ledger.waterGivenKg += massKg;
  pit.ledger.storedStartJ += storedJ(pit) - before;
}

/** Air rushing into a starved hot fire: the gas that stood there burns at once. */
function flare(cook: Cook, pit: PitState): void {
  const { unburntGasJ: gasJ } = pit;
  if (gasJ < FLARE.gasJ || pit.oxygen[0]! > FLARE.oxygen || pit.tempK[pit.coals]! < FLARE.coalK) {
    return;
  }
  // It goes into the walls it licks: gas alone could not hold it.
  const wall = pit.inner[0]!;
  const before = storedJ(pit);
  pit.tempK[wall]! += gasJ / pit.layout.walls[0]!.storesJPerK[0]!;
  pit.ledger.releasedJ += storedJ(pit) - before;
  pit.unburntGasJ = 0;
  cook.happened.push({ atMin: cook.atS / 60, do: 'flare' });
}

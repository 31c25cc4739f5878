/** From a request to scenarios: the fire, the weather, the pieces and the moves, with open questions filled in. */
import type { Action, MeatSpec, Scenario } from '../cook/scenario';
import { CHARCOALS, type WoodId } from '../fuel/catalogue';
import { LONGEST_ARC, snakePieces } from '../fire/snake';
import { pitWith, presetOf } from '../pit/catalogue';
import type { Pit } from '../pit/types';
import type { Request, RequestMeat, RequestPit } from './types';

/** A snake two wide and two high, lit with a dozen: what kettles are built with most (common practice). */
export const LAY = { side: 2, layers: 2 };
export const LIT_PIECES = 12;
/** Smoke chunks: how many, how heavy, and how far apart along the snake, degrees. */
const CHUNKS = { count: 4, massG: 60, apartDegrees: 22 };
/** The lid stays open this long for putting meat on, wrapping and taking off, s. */
export const LID_SECONDS = { on: 60, wrap: 60 };
/** Fridge temperature of the meat, C. */
const FRIDGE_C = 4;

/** Everything open in a plan; what the planner turns. */
export interface Choice {
  arcDegrees: number;
  lengthenPieces: number;
  lengthenAtMin: number;
  intakeFraction: number;
  exhaustFraction: number;
  closeAtMin: number;
  meatOnMin: number;
  pieces: number;
  untilMin: number;
  everyMin: number;
  overrides: Partial<Pit>;
}

/** Degrees of the rim that the lit pieces take. */
export function litDegrees(pit: Pit): number {
  const perDegree = snakePieces({ ...LAY, arcDegrees: LONGEST_ARC }, pit.diameterM) / LONGEST_ARC;
  return LIT_PIECES / perDegree;
}

/** Chunks along the snake, the first on the lit end so that smoke has thinned before the meat goes on. */
export function chunksAlong(pit: Pit, species: WoodId, arcDegrees: number) {
  const from = Math.floor(litDegrees(pit)) - 2;
  return Array.from({ length: CHUNKS.count }, (_, i) => ({
    species,
    massG: CHUNKS.massG,
    atArcDegrees: from + i * CHUNKS.apartDegrees,
  })).filter((c) => c.atArcDegrees < arcDegrees - 5);
}

/** The meat of a request as the engine takes it. */
export function meatSpec(m: RequestMeat, pieces: number): MeatSpec {
  return {
    id: m.id,
    cut: m.cut,
    count: pieces,
    massKg: m.massKg,
    thicknessMm: m.thicknessMm,
    startC: FRIDGE_C,
    wrap:
      m.wrap.with === 'none'
        ? undefined
        : { with: m.wrap.with, when: m.wrap.when ?? { coreC: 74 } },
    done: m.done,
    rest: m.rest,
  };
}

/** The physics of a request's pit. */
export const physicsOf = (pit: RequestPit): Pit =>
  pitWith(presetOf(pit.cooker.preset), pit.cooker.overrides);

/** The scenario that a choice amounts to. */
export function scenarioOf(request: Request, choice: Choice): Scenario {
  const pit = request.pits[0]!;
  const meat = request.meats[0]!;
  const physics = physicsOf(pit);
  const actions: Action[] = [
    { atMin: 0, do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 },
    {
      atMin: choice.closeAtMin,
      do: 'set-vents',
      intakeFraction: choice.intakeFraction,
      exhaustFraction: choice.exhaustFraction,
    },
  ];
  if (choice.pieces > 0) {
    actions.push(
      { atMin: choice.meatOnMin, do: 'lid-open', seconds: LID_SECONDS.on },
      { atMin: choice.meatOnMin, do: 'meat-on', meat: meat.id },
    );
  }
  if (choice.lengthenPieces > 0) {
    actions.push({
      atMin: choice.lengthenAtMin,
      do: 'add-fuel',
      fuel: pit.fire.fuel,
      pieces: choice.lengthenPieces,
      lit: false,
    });
  }
  return {
    ostrin: 'scenario/1',
    cooker: {
      preset: pit.cooker.preset,
      overrides: { ...pit.cooker.overrides, ...choice.overrides },
    },
    fire: {
      arrangement: 'snake',
      fuel: pit.fire.fuel,
      ...LAY,
      arcDegrees: choice.arcDegrees,
      litPieces: LIT_PIECES,
      litAtMin: 0,
      woodChunks: chunksAlong(physics, pit.fire.species ?? 'cherry', choice.arcDegrees),
    },
    weather: request.weather,
    control: { mode: 'vents', targetC: pit.pace.pitC },
    actions: actions.sort((a, b) => a.atMin - b.atMin),
    meats: choice.pieces > 0 ? [meatSpec(meat, choice.pieces)] : [],
    untilMin: choice.untilMin,
    everyMin: choice.everyMin,
  };
}

/** Weight of so many pieces as bought, kg. */
export const piecesKg = (pit: RequestPit, pieces: number): number =>
  pieces * CHARCOALS[pit.fire.fuel].pieceKg;

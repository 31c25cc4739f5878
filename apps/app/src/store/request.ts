/** Between the draft and the request document, both ways. */
import { pitFor, type Request, type RequestMeat, type RequestPit } from '@ostrin/core';
import {
  ANOTHER_KIND_SD,
  cutOf,
  doneOnPlate,
  wishedC,
  pitWith,
  presetOf,
} from '@ostrin/core/catalogue';
import { type Units, epochOf } from '@ostrin/core/quantity';
import type { VariantSources } from '@ostrin/core/engine';
import type { PitRecord, Shelf } from '@ostrin/contract/types';
import { fireOf, firesOf, usualBandK } from './fires';
import {
  newMeat,
  USUAL_FIRE,
  SHIFTS,
  type DraftFire,
  type DraftMeat,
  type PlanDraft,
} from './planDraft';
import { draftRestOf, requestRest } from './rests';
import { dayAndNight, weatherOf } from './weather';

const WEEK_MS = 7 * 86_400_000;
/** One pit of the table with what is cooked on it. */
export interface DraftPit {
  pit: PitRecord;
  fire: DraftFire;
  meats: DraftMeat[];
}

/** The pit that is cooked on where nobody chose: a kettle, which most people begin with, or whatever there is. */
export const usualPit = (yard: readonly PitRecord[]): PitRecord | null =>
  yard.find((p) => presetOf(p.preset).traits.commonFirstCooker) ?? yard[0] ?? null;

/** The table by its pits, in the order of the meats. Empty where the yard is. */
export function draftPitsOf(
  draft: Pick<PlanDraft, 'meats' | 'fires'>,
  yard: readonly PitRecord[],
): DraftPit[] {
  const usual = usualPit(yard);
  if (!usual) return [];
  const table: DraftPit[] = [];
  for (const meat of draft.meats) {
    const pit = yard.find((p) => p.id === meat.pitId) ?? usual;
    const there = table.find((t) => t.pit.id === pit.id);
    if (there) there.meats.push(meat);
    else table.push({ pit, fire: draft.fires[pit.id] ?? USUAL_FIRE, meats: [meat] });
  }
  return table;
}

/** When a meat is done, as a request says it. */
function doneOf({ cut, doneC }: DraftMeat): RequestMeat['done'] {
  if (doneC === null) return { tender: true };
  return doneOnPlate(cutOf(cut)) ? { plateC: doneC } : { coreC: doneC };
}

/** Water in the pan, where somebody said how much of it; else it is left to what holds the pit best. */
function waterOf(pit: PitRecord, { water }: DraftFire): { waterKg?: number } {
  if (!water) return {};
  return { waterKg: water === 'empty' ? 0 : pitWith(presetOf(pit.preset), pit.overrides).waterKg };
}

type LearnedOfPit = Pick<RequestPit, 'known' | 'probeOffsetK' | 'windTimes' | 'domeOverGrateK'>;

/** What was learned of a pit last: how well it is known, and what its thermometer is off by. */
function knownOf({ learned, kind }: PitRecord): LearnedOfPit {
  const last = learned?.at(-1);
  if (last) {
    const { known, probeBiasK: probeOffsetK, windTimes, domeOverGrateK } = last;
    return {
      known,
      probeOffsetK,
      ...(windTimes === undefined ? {} : { windTimes }),
      ...(domeOverGrateK === undefined ? {} : { domeOverGrateK }),
    };
  }
  return kind ? { known: ANOTHER_KIND_SD } : {};
}

/** A pit as a request names it. */
function requestPit(pit: PitRecord, wish: DraftFire): RequestPit {
  const { fuel, arrangement } = fireOf(pit.preset, wish.fireId);
  return {
    id: pit.id,
    name: pit.name,
    ventWay: pit.ventWay,
    ...(pit.ventScales ? { ventScales: pit.ventScales } : {}),
    cooker: { preset: pit.preset, overrides: { ...pit.overrides, ...waterOf(pit, wish) } },
    fire: {
      fuel,
      arrangement,
      species: wish.species,
      ...(fuel === 'splits' && wish.everyMin ? { everyMin: wish.everyMin } : {}),
      ...(wish.leftKg ? { leftKg: wish.leftKg } : {}),
    },
    ...knownOf(pit),
    ...(wish.fan ? { fan: true } : {}),
    ...(wish.gauge ? { gauge: wish.gauge } : {}),
    pace: {
      pitC: wish.pitC,
      bandC: wish.bandC ?? usualBandK(pit.preset, wish),
      ...(wish.then ? { then: wish.then } : {}),
    },
  };
}

function requestMeat(meat: DraftMeat, pit: PitRecord): RequestMeat {
  const { pitId, wrapWhen, bareLastMin, doneC, rest, restC, restFirst, restMin, ...asSaid } = meat;
  return {
    ...asSaid,
    pit: pit.id,
    wrap: wrapOf(meat),
    done: doneOf(meat),
    rest: requestRest(meat),
  };
}

const wrapOf = ({ wrap, wrapWhen, bareLastMin }: DraftMeat): RequestMeat['wrap'] =>
  wrap === 'none'
    ? { with: 'none' }
    : {
        with: wrap,
        when: wrapWhen,
        ...(bareLastMin === undefined ? {} : { bareLastMin }),
      };

/** The request of a draft, with what is on the shelf, in a yard so high above the sea, m; it must have a pit. */
export function requestOf(
  draft: PlanDraft,
  yard: readonly PitRecord[],
  units: Units,
  shelf?: Shelf,
  altitudeM = 0,
): Request {
  const table = draftPitsOf(draft, yard);
  return {
    ostrin: 'request/1',
    serveAt: draft.serveAt,
    timeZone: draft.timeZone,
    people: draft.people,
    appetiteG: draft.appetiteG,
    pits: table.map((t) => requestPit(t.pit, t.fire)),
    meats: table.flatMap((t) => t.meats.map((m) => requestMeat(m, t.pit))),
    weather: weatherOf(draft, altitudeM),
    chanceOnTimeFraction: draft.chance,
    ...(draft.crew.length > 1
      ? { crew: draft.crew.map((name, i) => name.trim() || SHIFTS[i]!) }
      : {}),
    ...(shelf?.fuelOnHand.length ? { fuelOnHand: shelf.fuelOnHand } : {}),
    ...meatPricesOf(draft),
    ...(shelf?.prices.length ? { prices: shelf.prices } : {}),
    units,
  };
}

/** Prices of meat as a request tells them; nothing where none is known. */
function meatPricesOf({ meatPrices = {} }: PlanDraft): Pick<Request, 'meatPrices'> {
  const known = Object.entries(meatPrices).filter(([, perKg]) => perKg > 0);
  return known.length > 0 ? { meatPrices: known.map(([cut, perKg]) => ({ cut, perKg })) } : {};
}

/** What this table can be compared with: other fires of its first pit, and the other pits of the yard. */
export function variantSourcesOf(draft: PlanDraft, yard: readonly PitRecord[]): VariantSources {
  const [first, ...more] = draftPitsOf(draft, yard);
  if (!first) return {};
  const { preset } = first.pit;
  const mine = fireOf(preset, first.fire.fireId);
  const used = new Set([first, ...more].map((t) => t.pit.id));
  return {
    fires: firesOf(preset)
      .filter((f) => f.id !== mine.id)
      .map(({ id, fuel, arrangement }) => ({ id, fire: { fuel, arrangement } })),
    pits: yard
      .filter((p) => !used.has(p.id))
      .map((p) => requestPit(p, { ...first.fire, fireId: null })),
  };
}

/** The draft of a request, as far as a draft can say it: pits that are not in the yard become the usual one. */
export function draftOf(request: Request, yard: readonly PitRecord[]): PlanDraft {
  const fires: Record<string, DraftFire> = {};
  for (const p of request.pits) {
    const pit = yard.find((y) => y.id === p.id);
    if (!pit) continue;
    const { fuel, arrangement, species, everyMin } = p.fire;
    const known = firesOf(pit.preset).find((f) => f.fuel === fuel && f.arrangement === arrangement);
    fires[p.id] = {
      fireId: known?.id ?? null,
      species: species ?? USUAL_FIRE.species,
      pitC: p.pace.pitC,
      bandC: p.pace.bandC,
      then: p.pace.then,
      ...(p.cooker.overrides.waterKg === pit.overrides.waterKg
        ? {}
        : { water: p.cooker.overrides.waterKg === 0 ? 'empty' : 'filled' }),
      everyMin,
      ...(p.fire.leftKg ? { leftKg: p.fire.leftKg } : {}),
      ...(p.fan ? { fan: true } : {}),
      ...(p.gauge ? { gauge: p.gauge } : {}),
    };
  }
  const meats: DraftMeat[] = [];
  for (const m of request.meats) meats.push(draftMeatOf(m, request, yard, meats));
  return {
    people: request.people,
    appetiteG: request.appetiteG,
    serveAt: request.serveAt,
    timeZone: request.timeZone,
    chance: request.chanceOnTimeFraction,
    meats,
    fires,
    ...dayAndNight(request.weather),
    crew: (request.crew ?? []).slice(0, SHIFTS.length),
    meatPrices: Object.fromEntries((request.meatPrices ?? []).map((p) => [p.cut, p.perKg])),
  };
}

function draftMeatOf(
  m: RequestMeat,
  request: Request,
  yard: readonly PitRecord[],
  before: readonly DraftMeat[],
): DraftMeat {
  const usual = newMeat(m.cut, null, before);
  const { pit, wrap, done, rest, ...asSaid } = m;
  const pitId = pit ?? pitFor(request, undefined).id;
  return {
    ...usual,
    ...asSaid,
    wrap: wrap.with,
    wrapWhen: wrap.when ?? usual.wrapWhen,
    bareLastMin: wrap.bareLastMin,
    doneC: wishedC(done),
    ...draftRestOf(m),
    pitId: yard.some((p) => p.id === pitId) ? pitId : null,
  };
}

/** The same wish for the next time: days that have passed move on by whole weeks, hours and weekdays stay. */
export function movedToComingWeek(draft: PlanDraft, nowMs: number): PlanDraft {
  const { timeZone } = draft;
  const late = nowMs - epochOf(draft.serveAt, timeZone);
  if (late < 0) return draft;
  const weeks = Math.floor(late / WEEK_MS) + 1;
  const move = (at: string): string => {
    const d = new Date(`${at}:00Z`);
    d.setUTCDate(d.getUTCDate() + 7 * weeks);
    return d.toISOString().slice(0, 16);
  };
  return {
    ...draft,
    serveAt: move(draft.serveAt),
    meats: draft.meats.map((m) => ({
      ...m,
      serveAt: m.serveAt && move(m.serveAt),
      notBefore: m.notBefore && move(m.notBefore),
    })),
  };
}

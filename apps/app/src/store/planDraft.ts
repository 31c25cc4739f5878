/** The draft of a plan: what the planning sentence is made of. Everything else of a request is worked out from it. */
import {
  type FIRST_STAGES,
  type RestWhere,
  BARE_LAST_MIN,
  USUAL_WRAP_WHEN,
  WRAP_SCHOOLS,
  type SchoolId,
  USUAL_CHUNK_WOOD,
  WOODS,
  type WoodId,
  type WrapId,
  cutOf,
  usualDone,
  wishedC,
  usualWrap,
} from '@ostrin/core/catalogue';
import type { Request, RequestMeat, RequestPit, WrapWhen } from '@ostrin/core';
import { MINUTE_MS, epochOf, localOf } from '@ostrin/core/quantity';
import { v4 as newId } from 'uuid';
import { create, type StateCreator } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** What a draft says of a meat in its own words; `store/request` makes the request's of them. */
type SaidInWords = 'pit' | 'wrap' | 'done' | 'rest';

/** One kind of meat on the table: as a request has it, but for what the sentence offers as a choice of its own. */
export interface DraftMeat extends Omit<RequestMeat, SaidInWords> {
  wrap: WrapId;
  /** When to wrap. */
  wrapWhen: WrapWhen;
  /** Bared again so long before it is done, min; stays wrapped when left out. */
  bareLastMin?: number;
  /** Core at which it is done, C; null: when it probes tender. */
  doneC: number | null;
  /** Where it rests; null: as is usual for the cut. */
  rest: RestWhere | null;
  /** What its oven or warmer is set to, C; null or left out: as usual. */
  restC?: number | null;
  /** How it stops cooking before it is shut in; `in`: straight in, null or left out: as usual. */
  restFirst?: keyof typeof FIRST_STAGES | 'in' | null;
  /** How long it rests at least, min; null or left out: as usual. */
  restMin?: number | null;
  /** The pit of the yard it is cooked on; null: the usual one. */
  pitId: string | null;
}

/** How a pit is fired: as a request has it, but for the fire, which is one of those on offer. */
export interface DraftFire
  extends
    Pick<RequestPit, 'fan' | 'gauge'>,
    Pick<RequestPit['fire'], 'leftKg' | 'everyMin'>,
    Pick<RequestPit['pace'], 'pitC' | 'then'>,
    Partial<Pick<RequestPit['pace'], 'bandC'>> {
  /** One of FIRES; null: the usual one. */
  fireId: string | null;
  species: WoodId;
  /** Water in its pan: as holds it best when left out. */
  water?: 'filled' | 'empty';
}

export interface PlanDraft extends Pick<Request, 'people' | 'appetiteG' | 'serveAt' | 'timeZone'> {
  /** Wanted chance of being on time, 0 to 1. */
  chance: number;
  meats: DraftMeat[];
  /** By the id of the pit; a pit that is not in here is fired as usual. */
  fires: Record<string, DraftFire>;
  airC: number;
  /** The air in the small hours; null: as by day. */
  nightC: number | null;
  windMps: number;
  /** Who shares the watch; empty: one keeps it alone. */
  crew: string[];
  /** What a kilogram of each cut costs raw; left out by older drafts. */
  meatPrices?: Record<string, number>;
}

interface PlanDraftStore extends PlanDraft {
  /** What its jobs are known by in a calendar: a changed plan takes the place of the one before. */
  calendarKey: string;
  change(part: Partial<PlanDraft>): void;
  changeMeat(id: string, part: Partial<DraftMeat>): void;
  changeFire(pitId: string, part: Partial<DraftFire>): void;
  /** Moves all meats of one pit to another; `usual` is the pit of those that name none. */
  movePit(from: string, to: string, usual: string): void;
  addMeat(cut: string, pitId: string | null): void;
  dropMeat(id: string): void;
  /** Begins anew with a sensible sentence. */
  clear(): void;
  /** Its cook was begun: what is planned next is another one. */
  begun(): void;
  /** A saved plan, by its id, in the place of this one. */
  open(id: string, draft: PlanDraft): void;
}

const FIRST_CUT = 'mutton-shoulder';
export const PEOPLE_RANGE = [1, 300] as const;
/** Kinds of meat in one draft; a plan takes more, the sentence does not. */
export const MOST_MEATS = 5;
export const USUAL_FIRE: DraftFire = { fireId: null, species: USUAL_CHUNK_WOOD, pitC: 121 };

/** Appetites on offer, g of cooked meat a head. */
export const APPETITES = [
  { value: 150, label: 'Light', note: '150 g a head, among other dishes' },
  { value: 220, label: 'Usual', note: '220 g a head' },
  { value: 300, label: 'Hearty', note: '300 g a head, little else' },
] as const;
/** How sure you want to be of being on time. */
export const CHANCES = [
  { value: 0.8, label: '8 in 10', note: 'lit later' },
  { value: 0.9, label: '9 in 10', note: 'the usual' },
  { value: 0.95, label: '19 in 20', note: 'lit sooner' },
] as const;
/** Paces on offer: slow, steady, fast. */
export const PACES = [107, 113, 121, 127, 135, 150, 163] as const;
/** A pit is held at so much at least and at most, C, and may stray by so much, K: a fire on splits more (common practice 10-14). */
export const PIT_C = { low: 95, high: 200 };
export const BAND_K = { low: 4, usual: 8, onSplits: 12, high: 25 };
/** Splits may be fed this often, min: at the soonest and at the latest, and where the steps begin. */
export const FEED_MIN = { low: 15, high: 60, first: 40 };
/** Woods on offer: all that the engine knows. */
export const SMOKE_WOODS = Object.keys(WOODS) as WoodId[];
/** What the shifts of a shared watch are called until they have names. */
export const SHIFTS = ['First shift', 'Second shift', 'Third shift', 'Fourth shift'] as const;
/** Winds in words, with the figure each stands for, m/s at 10 m. */
export const WINDS = [
  { value: 0.5, label: 'calm' },
  { value: 2, label: 'light wind' },
  { value: 5, label: 'windy' },
  { value: 8, label: 'strong wind' },
] as const;

/** What changes with the cut: a usual piece of it, cooked the usual way. */
export function withCut(
  id: string,
): Pick<
  DraftMeat,
  'cut' | 'massKg' | 'wrap' | 'doneC' | 'rest' | 'restC' | 'restFirst' | 'restMin'
> {
  const cut = cutOf(id);
  const done = usualDone(cut);
  return {
    cut: id,
    massKg: undefined,
    wrap: usualWrap(cut),
    doneC: wishedC(done),
    rest: null,
    restC: null,
    restFirst: null,
    restMin: null,
  };
}

/** A usual piece of a cut, named so that it differs from those there already. */
export function newMeat(
  cut: string,
  pitId: string | null,
  others: readonly { id: string }[],
): DraftMeat {
  return {
    ...withCut(cut),
    id: freeId(cut, others),
    wrapWhen: USUAL_WRAP_WHEN,
    pitId,
  };
}

function freeId(cut: string, others: readonly { id: string }[]): string {
  const taken = new Set(others.map((m) => m.id));
  for (let n = 1; ; n++) {
    const id = n === 1 ? cut : `${cut}-${n}`;
    if (!taken.has(id)) return id;
  }
}

/** Tomorrow at half past six in the evening: late enough for any cook from here. */
export function firstDraft(nowMs: number, timeZone: string): PlanDraft {
  const tomorrow = localOf(nowMs + 1440 * MINUTE_MS, timeZone).slice(0, 10);
  return {
    people: 8,
    appetiteG: 220,
    serveAt: `${tomorrow}T18:30`,
    timeZone,
    chance: 0.9,
    meats: [newMeat(FIRST_CUT, null, [])],
    fires: {},
    airC: 12,
    nightC: null,
    windMps: 2,
    crew: [],
  };
}

/** Changes after which pieces laid by hand no longer lie where they were put. */
const CLEARS_PLACEMENT: readonly (keyof DraftMeat)[] = ['cut', 'massKg', 'pieces', 'pitId'];
const withoutPlacements = (meats: DraftMeat[]): DraftMeat[] =>
  meats.map((m) => ({ ...m, lie: undefined }));

const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** Whether a stored draft is for a meal that is still to come; drafts for past meals are discarded. */
export const isStillAhead = (kept: unknown, nowMs: number): kept is PlanDraft => {
  const draft = kept as PlanDraft | undefined;
  return !!draft?.meats?.length && epochOf(draft.serveAt, draft.timeZone) > nowMs;
};

const createDraftStore: StateCreator<PlanDraftStore> = (set) => ({
  ...firstDraft(Date.now(), zone),
  calendarKey: newId(),
  change: (part) => set(part),
  changeMeat: (id, part) =>
    set(({ meats }) => {
      const changed = meats.map((m) =>
        m.id === id
          ? {
              ...m,
              ...part,
              ...(part.cut && part.cut !== m.cut
                ? {
                    id: freeId(
                      part.cut,
                      meats.filter((o) => o.id !== id),
                    ),
                  }
                : {}),
            }
          : m,
      );
      return {
        meats: CLEARS_PLACEMENT.some((k) => k in part) ? withoutPlacements(changed) : changed,
      };
    }),
  changeFire: (pitId, part) =>
    set(({ fires, meats }) => ({
      fires: { ...fires, [pitId]: { ...USUAL_FIRE, ...fires[pitId], ...part } },
      meats: 'fireId' in part ? withoutPlacements(meats) : meats,
    })),
  movePit: (from, to, usual) =>
    set(({ meats, fires }) => {
      const on = (meat: DraftMeat): string => meat.pitId ?? usual;
      const inUse = meats.some((m) => on(m) === to);
      return {
        meats: withoutPlacements(meats).map((m) => (on(m) === from ? { ...m, pitId: to } : m)),
        // Another pit is fired its own way, at the heat that was asked for; one already in use stays as it is.
        fires: inUse
          ? fires
          : {
              ...fires,
              [to]: { ...(fires[from] ?? USUAL_FIRE), fireId: null, everyMin: undefined },
            },
      };
    }),
  addMeat: (cut, pitId) =>
    set(({ meats }) => ({ meats: [...withoutPlacements(meats), newMeat(cut, pitId, meats)] })),
  dropMeat: (id) =>
    set(({ meats }) => ({ meats: withoutPlacements(meats.filter((m) => m.id !== id)) })),
  clear: () => set({ ...firstDraft(Date.now(), zone), calendarKey: newId() }),
  begun: () => set({ calendarKey: newId() }),
  open: (id, draft) => set({ ...draft, calendarKey: id }),
});

/** A meat as drafts of before kept it: `wrapWhen` the name of a school, `bare` for its usual time. */
type FormerMeat = Omit<DraftMeat, 'wrapWhen'> & { wrapWhen: WrapWhen | SchoolId; bare?: boolean };

const liftedMeat = ({ wrapWhen, bare, ...meat }: FormerMeat): DraftMeat => ({
  ...meat,
  wrapWhen: typeof wrapWhen === 'string' ? WRAP_SCHOOLS[wrapWhen] : wrapWhen,
  ...(bare ? { bareLastMin: BARE_LAST_MIN } : {}),
});

/** A draft of before, that wrote `null` for what it left open. */
const lifted = (kept: PlanDraft): PlanDraft => ({
  ...kept,
  meats: (kept.meats ?? []).map((m) => ({ ...usualOf(m), ...withoutNulls(liftedMeat(m)) })),
  fires: Object.fromEntries(
    Object.entries(kept.fires ?? {}).map(([id, f]) => [id, { ...USUAL_FIRE, ...withoutNulls(f) }]),
  ),
});

const usualOf = ({ cut }: DraftMeat): Partial<DraftMeat> => ({
  ...withCut(cut),
  doneC: null,
  pitId: null,
});

const withoutNulls = <T extends object>(of: T): T =>
  Object.fromEntries(Object.entries(of).filter(([, v]) => v !== null)) as T;

/** Only what the sentence says is kept on this device; what it was for and has passed is not taken up again. */
export const usePlanDraft = create<PlanDraftStore>()(
  persist(createDraftStore, {
    name: 'ostrin-slip',
    version: 3,
    storage: createJSONStorage(() => localStorage),
    migrate: (kept) => lifted(kept as PlanDraft),
    merge: (kept, now) => (isStillAhead(kept, Date.now()) ? { ...now, ...kept } : now),
  }),
);

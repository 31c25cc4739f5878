/**
 * What can be wrong with a fire, each as what it does to a pit: the same engine that made the plan is run with it,
 * and what comes of that is held against what was read.
 */
import type { Cook } from '../cook/state';
import type { FireMember } from '../estimate/fireMember';
import { isSplits, type Action } from '../scenario/actions';
import { heatUp, putColdPieceOn, settling, storm, widen } from './faultEffects';
import type { SmokeLook } from '../log/lookKinds';
import { dripsFat } from '../meat/cut';

/** What can be wrong, as codes that say nothing of any one kind of cooker. */
export const FAULTS = [
  'fuel-low',
  'air-short',
  'air-too-much',
  'lid-left-open',
  'door-left-open',
  'damp-wood',
  'ash-choking',
  'wind-or-rain',
  'cold-load',
  'pan-dry',
  'probe-off',
  'fan-stuck',
  'grease-flare',
] as const;
export type Fault = (typeof FAULTS)[number];

/** What is known at the beginning of a window that a fault may lie in. */
export interface FaultContext {
  /** The pit in the middle of the likely ones. */
  member: FireMember;
  /** Where the window begins, min after lighting. */
  fromMin: number;
  /** What was done in it and in the half hour before. */
  done: readonly Action[];
  /** Share of the charcoal given that is left, 0 to 1. */
  fuelLeftFraction: number;
  /** What the smoke looked like in the window, the last time somebody looked; null where nobody did. */
  smoke: SmokeLook | null;
  /** Somebody, or a station, saw the weather: none of it is unknown. */
  weatherTold: boolean;
  /** The weather changes by the forecast in the window. */
  weatherChanges: boolean;
}

/** One way for something to be wrong, at any size and from any minute on. */
export interface FaultKind {
  fault: Fault;
  /** Logarithm of how likely it is before anything was read; 0 is the usual. */
  prior: number;
  /** Sizes that are tried first, small to large; what they mean is the fault's own business. */
  sizes: readonly number[];
  /** Which way a pit goes with it in the end; either way when left out. */
  goes?: 'up' | 'down';
  /** It is no trouble before it lasted so long, min. */
  leastMin?: number;
  /** Whether it begins with what was done in the window, and not at a minute of its own. */
  fromStart?: boolean;
  /** Changes what is done from the window's beginning on. */
  actions?: (actions: readonly Action[], size: number) => Action[];
  /** Changes the cook when it begins. */
  begin?: (cook: Cook, size: number) => void;
  /** What the thermometer reads instead of `c`, so many minutes after the beginning, C. */
  read?: (c: number, airC: number, sinceMin: number, size: number) => number;
}

/** Whether one of these was done in the window or shortly before it. */
const wasDone = ({ done, fromMin }: FaultContext, what: readonly Action['do'][]): boolean =>
  done.some((a) => what.includes(a.do) && a.atMin > fromMin - BEFORE_MIN);
const BEFORE_MIN = 5;

/** How much likelier a fault is by the look of the smoke, logarithm (common practice, in our figures). */
const BY_SMOKE: Readonly<Record<SmokeLook, Partial<Record<Fault, number>>>> = {
  clear: { 'damp-wood': -3, 'air-short': -1, 'grease-flare': -1, 'fuel-low': 1 },
  'thin-blue': { 'damp-wood': -3, 'air-short': -1, 'grease-flare': -2 },
  white: { 'damp-wood': 3, 'air-short': 1.5, 'ash-choking': 1 },
  dark: { 'grease-flare': 3, 'air-short': 2, 'ash-choking': 1 },
};

/** Every way in which something could have gone wrong in a window; only what this pit has can. */
export const faultKinds = (context: FaultContext): FaultKind[] =>
  [
    ...ofLidAndFood(context),
    ...ofFuel(context),
    ...ofProbe,
    ...(context.weatherTold ? [] : ofWeather(context)),
    ...(context.member.cook.fan ? ofFan : ofVents),
    ...ofLeaks(context),
    ...ofWater(context),
  ].map((kind) => ({
    ...kind,
    prior: kind.prior + ((context.smoke && BY_SMOKE[context.smoke][kind.fault]) ?? 0),
  }));

/** Whether fat may burn: a fat piece lies bare on the grate, and no pan of water catches what drips. */
function fatMayBurn({ member: { cook } }: FaultContext): boolean {
  return (
    !cook.pit!.panIn &&
    cook.pieces.some(
      ({ stage, piece }) => stage === 'on' && piece.wrap === 'none' && dripsFat(piece.cut),
    )
  );
}

/** A lid, a door or food: likelier where somebody was at them. */
function ofLidAndFood(context: FaultContext): FaultKind[] {
  const { pit, pieces } = context.member.cook;
  const lidUsed = wasDone(context, ['lid-open', 'meat-on', 'wrap', 'spritz', 'turn']);
  const fed = wasDone(context, ['add-fuel', 'add-wood', 'door', 'rake']);
  const kinds: FaultKind[] = [
    {
      fault: 'lid-left-open',
      goes: 'down',
      leastMin: 10,
      prior: lidUsed ? 0 : -1.5,
      sizes: [1],
      begin: (c) => {
        c.pit!.lidOpen = true;
        c.lidUntilS = Infinity;
      },
    },
  ];
  if (fatMayBurn(context)) {
    kinds.push({ fault: 'grease-flare', goes: 'up', prior: -2, sizes: [20, 50], begin: heatUp });
  }
  if (pit!.parameters.doorCm2 > 0) {
    kinds.push({
      fault: 'door-left-open',
      prior: fed ? -1 : -2,
      sizes: [0.3, 1],
      begin: (c, open) => {
        c.pit!.doorFraction = open;
        c.doorUntilS = Infinity;
      },
    });
  }
  if (pieces.length > 0) {
    kinds.push({
      fault: 'cold-load',
      goes: 'down',
      prior: lidUsed ? 0 : -3,
      sizes: [3, 7],
      begin: putColdPieceOn,
    });
  }
  return kinds;
}

/** Fuel that is less, damp, or lies in ash: likelier the less is left, after splits, and the more ash there is. */
function ofFuel(context: FaultContext): FaultKind[] {
  const { fuelLeftFraction: left, member, done, fromMin } = context;
  const { pit, fan } = member.cook;
  const { layout, bedAshKg } = pit!;
  const kinds: FaultKind[] = [
    {
      fault: 'fuel-low',
      goes: 'down',
      prior: left < 0.25 ? 0.5 : left < 0.5 ? -0.5 : -3.5,
      sizes: [0.05, 0.3],
      begin: (c, share) => {
        c.pit!.unlit.kg *= share;
      },
    },
  ];
  if (done.some((a) => isSplits(a) && a.atMin > fromMin)) {
    kinds.push({
      fault: 'damp-wood',
      goes: 'down',
      prior: 1,
      sizes: [0.3, 0.4],
      fromStart: true,
      actions: (list, moistureFraction) =>
        list.map((a) => (isSplits(a) ? { ...a, preheated: false, moistureFraction } : a)),
    });
  }
  if (layout.grateFreeAreaM2 > 0 && !fan) {
    const ash = bedAshKg / layout.ashHalvingKg;
    kinds.push({
      fault: 'ash-choking',
      goes: 'down',
      prior: ash > 0.35 ? 0.5 : ash > 0.2 ? -0.5 : -3.5,
      sizes: [1.5, 2.5],
      begin: (c, halvings) => {
        c.pit!.bedAshKg = Math.max(c.pit!.bedAshKg, halvings * layout.ashHalvingKg);
      },
    });
  }
  return kinds;
}

/** A probe that lies elsewhere: in the open air, half way there, or nearer the fire. */
const ofProbe: readonly FaultKind[] = [
  {
    fault: 'probe-off',
    prior: -3,
    sizes: [0.03, 0.25, 0.5],
    read: (c, airC, since, share) => settling(c, airC + share * (c - airC), since),
  },
  {
    fault: 'probe-off',
    prior: -4,
    sizes: [15, 30],
    read: (c, _, since, k) => settling(c, c + k, since),
  },
];

/** Rain falls with this much more wind, m/s. */
const SHOWER_WIND_MPS = 2;

/** Weather that nobody told: likelier where the forecast has it change. */
const ofWeather = ({ weatherChanges }: FaultContext): FaultKind[] => [
  {
    fault: 'wind-or-rain',
    prior: weatherChanges ? 1 : -1,
    sizes: [3, 6, 10],
    begin: (c, mps) => storm(c, mps, 0),
  },
  {
    fault: 'wind-or-rain',
    prior: weatherChanges ? 1 : -1.5,
    sizes: [3, 8],
    begin: (c, mm) => storm(c, SHOWER_WIND_MPS, mm),
  },
];

/** An intake that lets in less or more than it was set to. */
const ofVents: readonly FaultKind[] = [
  {
    fault: 'air-short',
    goes: 'down',
    prior: -1.5,
    sizes: [0.3, 0.6],
    begin: (c, times) => widen(c, 'intake', times),
  },
  {
    fault: 'air-too-much',
    goes: 'up',
    prior: -1.5,
    sizes: [1.6, 2.5],
    begin: (c, times) => widen(c, 'intake', times),
  },
];

/** A fan that is told to reach this never rests, C. */
const STUCK_ON_C = 500;

/** A fan that has no power, or never rests. */
const ofFan: readonly FaultKind[] = [
  {
    fault: 'fan-stuck',
    prior: 0.5,
    sizes: [0],
    begin: (c) => {
      c.fan!.on = false;
    },
  },
  {
    fault: 'fan-stuck',
    prior: 0,
    sizes: [STUCK_ON_C],
    begin: (c, targetC) => {
      c.fan!.targetC = targetC;
    },
  },
];

/** Leaks that were not there: a fan makes up for small ones. */
const ofLeaks = ({ member }: FaultContext): FaultKind[] => [
  {
    fault: 'air-too-much',
    goes: 'up',
    prior: -1.5,
    sizes: member.cook.fan ? [4, 10] : [2, 4],
    begin: (c, times) => widen(c, 'leak', times),
  },
];

/** Water that is gone: likelier where it should be low. */
function ofWater({ member }: FaultContext): FaultKind[] {
  const pit = member.cook.pit!;
  if (!pit.panIn || pit.waterKg <= 0.02) return [];
  return [
    {
      fault: 'pan-dry',
      goes: 'up',
      prior: pit.waterKg < 0.35 * pit.ledger.waterGivenKg ? 0.5 : -1,
      sizes: [0],
      begin: (c) => {
        c.pit!.waterKg = 0;
      },
    },
  ];
}

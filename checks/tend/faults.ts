/** Faults put into true cooks: other sizes and other ways than the ones that the engine reckons with. */
import { onlyPit } from '@ostrin/core';
import {
  cutOf,
  dripsFat,
  heatUp,
  presetOf,
  putColdPieceOn,
  storm,
  widen,
  type Cook,
  type Fault,
  type Random,
} from '@ostrin/core/internals';
import type { Case } from '../plans/requests';
import type { Meddle, TrueCook, TruthOptions } from './truth';

/** A fault as it is put into one cook. */
export interface Injected {
  fault: Fault;
  /** When it begins, min after lighting. */
  fromMin: number;
  options: Pick<TruthOptions, 'meddle' | 'adjust' | 'logged'>;
}

const between = (random: Random, low: number, high: number): number =>
  low + (high - low) * random.next();

/** Does something once, at the first minute from `fromMin` on at which `when` holds. */
function once(fromMin: number, act: (cook: Cook) => void): Meddle {
  let done = false;
  return (cook, atMin) => {
    if (done || atMin < fromMin) return;
    done = true;
    act(cook);
    cook.stepS = 2;
  };
}

/** Does something at every minute of a span. */
const during =
  (fromMin: number, toMin: number, act: (cook: Cook) => void): Meddle =>
  (cook, atMin) => {
    if (atMin >= fromMin && atMin < toMin) act(cook);
  };

/** Whether a pit of a case can have a fault at all. */
export function canHave({ request }: Case, fault: Fault): boolean {
  const pit = onlyPit(request);
  const preset = presetOf(pit.cooker.preset);
  const { parameters } = preset;
  const splits = pit.fire.fuel === 'splits';
  switch (fault) {
    case 'door-left-open':
      return parameters.doorCm2 > 0 && !preset.hasFan;
    case 'damp-wood':
      return splits;
    case 'ash-choking':
      return !preset.hasFan && !splits && preset.layout(parameters).grateFreeAreaM2 > 0;
    case 'pan-dry':
      return parameters.waterKg > 0;
    case 'grease-flare':
      // A pan of water catches what drips, and lean cuts drip too little.
      return parameters.waterKg === 0 && request.meats.some((m) => dripsFat(cutOf(m.cut)));
    case 'fan-stuck':
      return preset.hasFan;
    case 'air-short':
    case 'air-too-much':
      return !preset.hasFan && !splits;
    default:
      return true;
  }
}

type Put = (fromMin: number, random: Random) => Injected['options'];

/** How each fault is put into a true cook, its size drawn. */
const PUT: Readonly<Record<Fault, Put>> = {
  'fuel-low': (fromMin, random) => ({
    meddle: once(fromMin, (c) => {
      c.pit!.unlit.kg *= between(random, 0, 0.1);
    }),
  }),
  'air-short': (fromMin, random) => {
    const times = between(random, 0.2, 0.5);
    return { meddle: once(fromMin, (c) => widen(c, 'intake', times)) };
  },
  'air-too-much': (fromMin, random) => {
    const times = between(random, 3, 6);
    return { meddle: once(fromMin, (c) => widen(c, 'leak', times)) };
  },
  'lid-left-open': (fromMin, random) => {
    const forMin = between(random, 20, 40);
    return {
      meddle: once(fromMin, (c) => {
        c.pit!.lidOpen = true;
        c.lidUntilS = (fromMin + forMin) * 60;
      }),
      // Half of them were opened for a look, and not shut again.
      logged: random.next() < 0.5 ? [{ atMin: fromMin, do: 'lid-open', seconds: 60 }] : [],
    };
  },
  'door-left-open': (fromMin, random) => {
    const open = between(random, 0.4, 1);
    return {
      meddle: once(fromMin, (c) => {
        c.pit!.doorFraction = open;
        c.doorUntilS = (fromMin + 40) * 60;
      }),
    };
  },
  'damp-wood': (fromMin, random) => {
    const wet = between(random, 0.34, 0.45);
    return {
      adjust: (a) =>
        a.do === 'add-fuel' && a.fuel === 'splits' && a.atMin >= fromMin
          ? { ...a, preheated: false, moistureFraction: wet }
          : a,
    };
  },
  'ash-choking': (fromMin, random) => {
    const halvings = between(random, 1.5, 3);
    return {
      meddle: once(fromMin, (c) => {
        c.pit!.bedAshKg = Math.max(c.pit!.bedAshKg, halvings * c.pit!.layout.ashHalvingKg);
      }),
    };
  },
  'wind-or-rain': (fromMin, random) => {
    const [windMps, rainMmPerH] = random.next() < 0.6 ? [between(random, 5, 9), 0] : [2, 5];
    return { meddle: once(fromMin, (c) => storm(c, windMps, rainMmPerH)) };
  },
  'cold-load': (fromMin, random) => {
    const massKg = between(random, 4, 8);
    return {
      meddle: once(fromMin, (c) => {
        putColdPieceOn(c, massKg);
        c.pit!.lidOpen = true;
        c.lidUntilS = fromMin * 60 + 60;
      }),
      logged: [{ atMin: fromMin, do: 'lid-open', seconds: 60 }],
    };
  },
  'pan-dry': (fromMin) => ({
    meddle: once(fromMin, (c) => {
      c.pit!.waterKg = 0;
    }),
  }),
  'probe-off': (fromMin, random) => {
    const share = between(random, 0.02, 0.5);
    return {
      meddle: (_, atMin, felt) => {
        if (atMin < fromMin) return;
        felt.at = (c, airC) => {
          const off = airC + share * (c - airC);
          return off + (c - off) * Math.exp(-(atMin - fromMin) / 2.5);
        };
      },
    };
  },
  'fan-stuck': (fromMin, random) => {
    const off = random.next() < 0.6;
    return {
      meddle: once(fromMin, (c) => {
        if (off) c.fan!.on = false;
        else c.fan!.targetC = 400;
      }),
    };
  },
  'grease-flare': (fromMin, random) => {
    const minutes = between(random, 1, 4);
    const k = between(random, 12, 22);
    return { meddle: during(fromMin, fromMin + minutes, (c) => heatUp(c, k)) };
  },
};

/** One fault in one cook, its size drawn. */
export const inject = (fault: Fault, fromMin: number, random: Random): Injected => ({
  fault,
  fromMin,
  options: PUT[fault](fromMin, random),
});

/**
 * When a fault begins in a cook that went as `plain` without it, min after lighting: where it can come from. Null where it
 * cannot: no ash chokes a fire that has none, and fuel does not run low while there is plenty.
 */
export function beginsAt(fault: Fault, plain: TrueCook, random: Random): number | null {
  const usual = Math.round(Math.max(plain.onMin + 40, 110) + 110 * random.next());
  const first = (series: readonly number[], holds: (v: number) => boolean): number | null => {
    const i = series.findIndex((v, half) => half > 2 * (plain.onMin + 40) && holds(v));
    return i < 0 ? null : Math.ceil(i / 2);
  };
  switch (fault) {
    case 'fuel-low': {
      const left = between(random, 0.3, 0.45);
      return first(plain.trueFuelLeft, (v) => v < left);
    }
    case 'ash-choking':
      return first(plain.trueAsh, (v) => v > 0.4);
    case 'damp-wood':
      return plain.done.find((a) => a.do === 'add-fuel' && a.atMin > usual - 30)?.atMin ?? usual;
    default:
      return usual;
  }
}

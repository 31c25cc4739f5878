/**
 * Cautions, each with its source. They are shown once, where they matter, and defer to local codes
 * and licensed practice.
 */
export interface Caution {
  id: string;
  text: string;
  source: string;
}

export const CAUTIONS = {
  carbonMonoxide: {
    id: 'carbonMonoxide',
    text: 'Charcoal gives off carbon monoxide, also when it looks finished. Burn it outdoors only: never in a garage, a tent or near an air intake.',
    source: 'common practice; local fire and building codes come first',
  },
  hotAsh: {
    id: 'hotAsh',
    text: 'Ash hides embers for days. Metal bin with a lid, away from the house.',
    source: 'common practice; local codes come first',
  },
  notSafeYet: {
    id: 'notSafeYet',
    text: 'The centre has not yet been hot enough for long enough for an intact cut. Do not serve it before it has.',
    source:
      'USDA FSIS safe minimum temperatures (62.8 C and 3 min rest) and Appendix A, from memory',
  },
  startWarm: {
    id: 'startWarm',
    text: 'Out of the fridge at most 2 hours before it goes on, 1 hour above 32 C.',
    source: 'USDA consumer advice, from memory',
  },
  hotHold: {
    id: 'hotHold',
    text: 'Held meat has fallen under 60 C. Serve it, reheat it, or cool it quickly.',
    source: 'FDA Food Code 3-501.16 (57 C) and USDA consumer advice (60 C), from memory',
  },
} as const satisfies Record<string, Caution>;

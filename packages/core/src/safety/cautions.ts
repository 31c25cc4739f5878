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
    text: 'When it is called done, its centre has not been hot enough for long enough to be safe by the table for intact cuts. Tell who eats it; the very young, the old, the pregnant and the ill should not.',
    source:
      'USDA FSIS safe minimum temperatures (62.8 C and 3 min rest) and Appendix A, from memory',
  },
  notSafePoultry: {
    id: 'notSafePoultry',
    text: 'Poultry is safe at 74 C (165 F) in its thickest part, and not before. Check it there with a second thermometer.',
    source: 'USDA FSIS safe minimum temperatures (73.9 C), from memory; local codes come first',
  },
  notSafeMinced: {
    id: 'notSafeMinced',
    text: 'Minced, injected, pinned or bladed meat carries germs to its middle: 71 C (160 F) there, and not before.',
    source: 'USDA FSIS safe minimum temperatures (71.1 C), from memory; local codes come first',
  },
  lingersSurface: {
    id: 'lingersSurface',
    text: 'The surface has been between 5 and 60 C for more than 4 hours, where germs grow. A hotter pit next time; if in doubt, do not serve it.',
    source: 'common practice (4 hours), limits from USDA consumer advice, from memory',
  },
  lingersOpened: {
    id: 'lingersOpened',
    text: 'This piece is not intact any more (minced, injected, pinned, or probed early), and its middle has been between 5 and 60 C for more than 4 hours. If in doubt, do not serve it.',
    source: 'common practice (4 hours), limits from USDA consumer advice, from memory',
  },
  lingersCentre: {
    id: 'lingersCentre',
    text: 'The middle has been between 5 and 60 C for more than 10 hours. That is long even for an intact cut.',
    source: 'common practice; limits from USDA consumer advice, from memory',
  },
  coolsSlowly: {
    id: 'coolsSlowly',
    text: 'Under 57 C for two hours now. Eat it, or cut it small and cool it: to 21 C within 2 hours, to 5 C within 6 in all.',
    source: 'FDA Food Code 3-501.14, from memory; local codes come first',
  },
  foilSteam: {
    id: 'foilSteam',
    text: 'Steam under foil scalds: open it at the far end first, away from hands and face.',
    source: 'common practice',
  },
  sugarBurns: {
    id: 'sugarBurns',
    text: 'Sugar burns at this heat. Sauce goes on for the last 10 to 15 minutes, away from the fire.',
    source: 'common practice',
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

/** What is said of a piece called done before it is safe, by what makes it safe. */
export const NOT_SAFE = {
  red: CAUTIONS.notSafeYet,
  poultry: CAUTIONS.notSafePoultry,
  minced: CAUTIONS.notSafeMinced,
} as const;

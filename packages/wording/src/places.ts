/** Places on the grate, and where meat is kept while it rests. */
import type { MeatPlacement, Place, RestWhere } from '@ostrin/core/catalogue';

export const PLACE_WORDS: Readonly<Record<Place, string>> = {
  near: 'near the fire',
  middle: 'the middle of the grate',
  far: 'the far end',
  'over-fire': 'over the fire',
  away: 'away from the fire',
};

/** Where meat goes on a cooker's grate, after "Put it on". */
export const PLACEMENT_WORDS: Readonly<Record<MeatPlacement, string>> = {
  'away-from-fire': 'away from the fire, lid vent across from it',
  'over-pan': 'on the upper grate, over the pan',
  'over-deflector': 'over the deflector',
  'thick-end-to-firebox': 'the thick or fatty end towards the firebox, clear of its mouth',
  'either-way-round': 'either way round: the plate heats the chamber from end to end',
  middle: 'in the middle of the grate',
};

/** Where a piece rests, after "at least an hour". */
export const REST_WORDS: Readonly<Record<RestWhere, string>> = {
  open: 'in the open',
  tented: 'under loose foil',
  counter: 'on the counter, wrapped',
  'cool-box': 'in a dry cool box with towels',
  warmer: 'in a warmer',
  oven: 'in a low oven',
};

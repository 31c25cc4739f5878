/** What is said and weighed of a piece, as it is called in a log. */
import type { PieceVerdict, WeighedThing } from '@ostrin/core/log';

export const PIECE_VERDICT_NAMES: Readonly<Record<PieceVerdict, string>> = {
  tough: 'Tough',
  tender: 'Tender',
  'falls-apart': 'Falls apart',
  dry: 'Dry',
  moist: 'Moist',
  'bark-soft': 'Bark soft',
  'bark-good': 'Bark good',
  'bark-burnt': 'Bark burnt',
  'smoke-faint': 'Too little smoke',
  'smoke-good': 'Smoke good',
  'smoke-harsh': 'Smoke harsh',
};

export const WEIGHED_NAMES: Readonly<Record<WeighedThing, string>> = {
  'fuel-left': 'Charcoal left, weighed',
  bought: 'As bought',
  trimmed: 'Trimmed',
  cooked: 'Off the fire',
};

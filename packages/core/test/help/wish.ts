/** Wishes for one meat on one pit, and when their plans are asked for. */
import type { Request, RequestMeat } from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

/** When plans are asked for, epoch ms. */
export const NOW = Date.UTC(2027, 4, 12, 12);

/** The usual request with another meat, and whatever else differs. */
export const wish = (meat: Partial<RequestMeat>, part: Partial<Request> = {}): Request => {
  const usual = request();
  return { ...usual, ...part, meats: [{ ...usual.meats[0], ...meat }] };
};

/** One pit of a preset on lump at a heat, C. */
export const pitWith = (preset: string, pitC: number): Request['pits'] => [
  {
    ...request().pits[0],
    cooker: { preset, overrides: {} },
    fire: { fuel: 'lump' },
    pace: { pitC, bandC: 8 },
  },
];

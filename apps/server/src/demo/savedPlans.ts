/** What the club keeps between cooks: two suppers worth planning again, and its shelf. All invented. */
import type { PitRecord, SavedPlan, Shelf } from '@ostrin/contract';
import { cutOf, usualRest } from '@ostrin/core/catalogue';
import { DAY_MS, localOf } from '@ostrin/core/quantity';
import type { Request, RequestMeat } from '@ostrin/core';
import { ZONE } from './wish';
import { BOSUN, LONG_TOM } from './yard';

/** One kind of meat as the club usually cooks it. */
function meat(cut: string, pit: string, part: Partial<RequestMeat>): RequestMeat {
  return {
    id: cut,
    cut,
    pit,
    wrap: { with: 'none' },
    done: { tender: true },
    rest: usualRest(cutOf(cut)),
    ...part,
  };
}

const pitOf = (
  pit: PitRecord,
  fire: Request['pits'][number]['fire'],
  pitC: number,
): Request['pits'][number] => ({
  id: pit.id,
  name: pit.name,
  ventWay: pit.ventWay,
  cooker: { preset: pit.preset, overrides: pit.overrides },
  fire,
  pace: { pitC, bandC: 8 },
});
const SNAKE = { fuel: 'briquette', arrangement: 'snake', species: 'cherry' } as const;

function request(
  serveAt: string,
  people: number,
  pits: Request['pits'],
  meats: RequestMeat[],
): Request {
  return {
    ostrin: 'request/1',
    serveAt,
    timeZone: ZONE,
    people,
    appetiteG: 220,
    pits,
    meats,
    weather: {
      airC: 13,
      windMps: 2,
      relativeHumidityFraction: 0.65,
      altitudeM: 310,
      rainMmPerH: 0,
    },
    chanceOnTimeFraction: 0.9,
    crew: ['Pell', 'Anka', 'Idris'],
  };
}

/** The kept plans; `nowMs` decides their days. */
export function savedPlans(nowMs: number): SavedPlan[] {
  const day = (ago: number): string => localOf(nowMs - ago * DAY_MS, ZONE).slice(0, 10);
  return [
    {
      id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7b01',
      name: 'Harvest supper, two fires',
      favourite: true,
      request: request(
        `${day(40)}T18:00`,
        14,
        [pitOf(BOSUN, SNAKE, 121), pitOf(LONG_TOM, { fuel: 'splits', species: 'oak' }, 135)],
        [
          meat('pork-belly', BOSUN.id, { massKg: 3, pieces: 1, prepare: 'dry-brine' }),
          meat('whole-turkey', LONG_TOM.id, {
            massKg: 5.5,
            pieces: 1,
            done: { coreC: 75 },
            prepare: 'brine',
          }),
        ],
      ),
      changedAt: nowMs - 40 * DAY_MS,
    },
    {
      id: '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7b02',
      name: 'Regatta lunch: shoulders, cheeks first',
      favourite: false,
      request: request(
        `${day(9)}T13:30`,
        10,
        [pitOf(BOSUN, SNAKE, 121)],
        [
          meat('mutton-shoulder', BOSUN.id, {
            massKg: 2.6,
            pieces: 1,
            wrap: { with: 'paper', when: { coreC: 74 } },
          }),
          meat('beef-cheek', BOSUN.id, {
            massKg: 0.45,
            pieces: 3,
            serveAt: `${day(9)}T12:30`,
          }),
        ],
      ),
      changedAt: nowMs - 9 * DAY_MS,
    },
  ];
}

/** The shelf in the boathouse, and what the hardware shop in Larkmere asks. */
export const SHELF: Shelf = {
  fuelOnHand: [
    { fuel: 'briquette', massKg: 3.5 },
    { fuel: 'splits', massKg: 12 },
    { fuel: 'chunks', massKg: 0.8 },
  ],
  prices: [
    { fuel: 'briquette', bagKg: 8, each: 11.5 },
    { fuel: 'lump', bagKg: 10, each: 19 },
    { fuel: 'splits', bagKg: 15, each: 9 },
    { fuel: 'chunks', bagKg: 1.5, each: 6.5 },
  ],
};

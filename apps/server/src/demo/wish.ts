/** What the invented crew wished for in its past cooks, as requests. */
import type { PitRecord } from '@ostrin/contract';
import { DAY_MS, localOf } from '@ostrin/core/quantity';
import type { Request } from '@ostrin/core';
import type { Story } from './playStory';

export const ZONE = 'Europe/Ljubljana';

/** A wish of so many days ago. */
export interface StoryRequest {
  daysAgo: number;
  pit: PitRecord;
  fire: Request['pits'][number]['fire'];
  cut: string;
  serve: string;
  people: number;
  massKg: number;
  pitC: number;
  wrap: 'paper' | 'foil' | 'none';
  airC: number;
  windMps: number;
}

/** The request of such a wish. */
export function requestFor(nowMs: number, w: StoryRequest): Request {
  const day = localOf(nowMs - w.daysAgo * DAY_MS, ZONE).slice(0, 10);
  return {
    ostrin: 'request/1',
    serveAt: `${day}T${w.serve}`,
    timeZone: ZONE,
    people: w.people,
    appetiteG: 220,
    pits: [
      {
        id: w.pit.id,
        cooker: { preset: w.pit.preset, overrides: w.pit.overrides },
        fire: w.fire,
        pace: { pitC: w.pitC, bandC: 8 },
      },
    ],
    meats: [
      {
        id: w.cut === 'mutton-shoulder' ? 'mutton' : w.cut,
        cut: w.cut,
        massKg: w.massKg,
        wrap: w.wrap === 'none' ? { with: 'none' } : { with: w.wrap, when: { coreC: 74 } },
        done: { tender: true },
        rest: { where: 'cool-box', minutes: 60 },
      },
    ],
    weather: {
      airC: w.airC,
      windMps: w.windMps,
      relativeHumidityFraction: 0.65,
      altitudeM: 310,
      rainMmPerH: 0,
    },
    chanceOnTimeFraction: 0.9,
  };
}

/** Plans a past cook as it would have been planned then. */
export type Planner = (w: StoryRequest) => Story['plan'];

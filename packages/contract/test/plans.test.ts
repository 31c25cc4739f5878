/** Plans of every family as documents: taken by the server as they are, described by their schema, carried by a calendar. */
import Ajv2020 from 'ajv/dist/2020';
import ICAL from 'ical.js';
import { epochOf } from '@ostrin/core/quantity';
import { PRESETS } from '@ostrin/core/catalogue';
import type { Request } from '@ostrin/core';
import { type WordedPlan, ringingLines } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import { readNewCook, readRequest } from '../src';
import { calendarOf } from '../src/calendar';
import { schemaOf } from '../src/schema';

const ZONE = 'Europe/Ljubljana';
const NOW = epochOf('2027-05-13T09:00', ZONE);
const FUEL = {
  kettle: 'briquette',
  bullet: 'briquette',
  kamado: 'lump',
  hopper: 'briquette',
  offset: 'splits',
} as const;

const wish = (preset: string): Request => ({
  ostrin: 'request/1',
  serveAt: '2027-05-15T18:30',
  timeZone: ZONE,
  people: 4,
  appetiteG: 220,
  pits: [
    {
      id: 'pit',
      cooker: { preset, overrides: {} },
      fire: { fuel: FUEL[PRESETS[preset]!.family], species: 'oak' },
      pace: { pitC: 121, bandC: 8 },
    },
  ],
  meats: [
    {
      id: 'a',
      cut: 'pork-shoulder',
      massKg: 2,
      notBefore: '2027-05-15T05:00',
      prepare: 'dry-brine',
      wrap: { with: 'paper', when: { coreC: 74 } },
      done: { tender: true },
      rest: { where: 'cool-box', minutes: 60 },
    },
  ],
  weather: { airC: 12, windMps: 2, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
  chanceOnTimeFraction: 0.9,
  crew: ['Pell', 'Anka'],
  prices: [{ fuel: 'briquette', bagKg: 8, each: 11.5 }],
});

const valid = new Ajv2020({ strict: false }).compile(schemaOf('plan'));

describe.each(Object.keys(PRESETS))('a plan for %s', (preset) => {
  let made: WordedPlan;
  beforeAll(() => {
    const read = readRequest(JSON.parse(JSON.stringify(wish(preset))));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    made = planDocument(read.value, { nowMs: NOW, members: 2 });
  });

  it('begins a cook as it is, and keeps to its schema', () => {
    const document: unknown = JSON.parse(JSON.stringify(made));
    const cook = readNewCook({ name: 'Shoulder', pitName: 'a pit', plan: document });
    expect(cook.ok ? [] : cook.problems).toEqual([]);
    valid(document);
    expect(valid.errors ?? []).toEqual([]);
  });

  it('goes into a calendar with an alarm for every line, each at its instant', () => {
    const text = calendarOf(made, 'Shoulder', 'k1', NOW);
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    const lines = ringingLines(made);
    expect(events).toHaveLength(lines.length);
    events.forEach((e, i) => {
      const event = new ICAL.Event(e);
      expect(event.summary).toBe(lines[i]!.inWords);
      expect(event.startDate.toUnixTime() * 1000).toBe(epochOf(lines[i]!.at, ZONE));
      expect(e.getAllSubcomponents('valarm')).toHaveLength(1);
    });
    expect(new Set(events.map((e) => new ICAL.Event(e).uid)).size).toBe(events.length);
  });
});

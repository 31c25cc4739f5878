import { epochOf } from '@ostrin/core/quantity';
import { linesOf, markdownOf } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import ICAL from 'ical.js';
import { request } from '@ostrin/testing';
import { calendarOf } from '../src/calendar';

const NOW = Date.UTC(2027, 9, 28, 12);
// The night the clocks go back: local hours come twice.
const made = planDocument(request({ serveAt: '2027-10-31T13:00' }), { nowMs: NOW, members: 2 });

it('opens in a calendar of somebody else, every job at its instant with an alarm before it', () => {
  const calendar = new ICAL.Component(ICAL.parse(calendarOf(made, 'Mutton, for 8; and more', NOW)));
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  const lines = linesOf(made);
  expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
  expect(events.map((e) => e.summary)).toEqual(lines.map((l) => l.inWords));
  events.forEach((e, i) => {
    expect(e.startDate.toUnixTime() * 1000).toBe(epochOf(lines[i]!.at, 'Europe/Ljubljana'));
    expect(e.description).toBe(lines[i]!.detail);
    const alarm = e.component.getFirstSubcomponent('valarm')!;
    expect(String(alarm.getFirstPropertyValue('trigger'))).toBe('-PT5M');
  });
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
});

it('writes the whole plan as Markdown', () => {
  const text = markdownOf(made, 'Mutton for 8');
  for (const head of ['# Mutton for 8', '## Build the fire', '## Vents', '## Jobs', '## Plan B']) {
    expect(text).toContain(head);
  }
  for (const line of linesOf(made)) expect(text).toContain(line.inWords);
});

it('takes the force out of what people wrote into it', () => {
  const evil = '<img src=x onerror=alert(1)> [tap](javascript:alert(2)) `*#';
  const named = { ...made, request: { ...made.request, crew: [evil] } };
  const shift = { name: evil, from: made.lightAt, to: made.serveAt, visits: 2 };
  const text = markdownOf({ ...named, watch: { ...made.watch, shifts: [shift] } }, evil);
  expect(text).toContain('\\<img');
  expect(text).not.toMatch(/(^|[^\\])<img/);
  expect(text).not.toMatch(/(^|[^\\])\[tap\]/);
});

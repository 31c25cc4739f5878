import { epochOf, localOf } from '@ostrin/core/quantity';
import { type WordedPlan, linesOf, ringingLines, markdownOf, visitWords } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import ICAL from 'ical.js';
import { request } from '@ostrin/testing';
import { calendarOf } from '../src/calendar';

const NOW = Date.UTC(2027, 9, 28, 12);
// The night the clocks go back: local hours come twice.
const made = planDocument(request({ serveAt: '2027-10-31T13:00' }), { nowMs: NOW, members: 2 });

it('opens in a calendar of somebody else, every job at its instant with an alarm before it', () => {
  const calendar = new ICAL.Component(
    ICAL.parse(calendarOf(made, 'Mutton, for 8; and more', 'k1', NOW)),
  );
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  const lines = ringingLines(made);
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

it('takes the place of what was made of the plan before, job by job, and not of another plan', () => {
  const laterMs = NOW + 90_000;
  const moved = planDocument(request({ serveAt: '2027-10-31T15:00' }), { nowMs: NOW, members: 1 });
  /** A calendar as an application keeps it: of what has one UID, the latest version. */
  const kept = new Map<string, { startMs: number; version: number }>();
  const read = (text: string): string[] =>
    new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((component) => {
      const event = new ICAL.Event(component);
      const version = Number(event.sequence);
      if (version >= (kept.get(event.uid)?.version ?? -1)) {
        kept.set(event.uid, { startMs: event.startDate.toUnixTime() * 1000, version });
      }
      return event.uid;
    });
  read(calendarOf(made, 'Mutton', 'k1', NOW));
  const uids = read(calendarOf(moved, 'Mutton', 'k1', laterMs));
  const starts = ringingLines(moved).map((l) => epochOf(l.at, 'Europe/Ljubljana'));
  expect(uids.map((uid) => kept.get(uid)!.startMs)).toEqual(starts);
  // What is laid and lit stands in both, once.
  expect([...kept.keys()].filter((uid) => uid.startsWith('lay.'))).toHaveLength(1);
  const others = read(calendarOf(moved, 'Mutton', 'k2', laterMs));
  expect(others.filter((uid) => uids.includes(uid))).toEqual([]);
  expect(new Set(others).size).toBe(others.length);
});

/** Every minute at which what is called so rings. */
const rings = (of: WordedPlan, summary: RegExp): number[] =>
  new ICAL.Component(ICAL.parse(calendarOf(of, 'Mutton', 'k1', NOW)))
    .getAllSubcomponents('vevent')
    .map((e) => new ICAL.Event(e))
    .filter((e) => summary.test(e.summary))
    .flatMap((event) => {
      const all: number[] = [];
      const iterator = event.iterator();
      for (let at = iterator.next(); at; at = iterator.next()) all.push(at.toUnixTime() / 60);
      return all;
    });

it('rings at every look of the rule by day, and by night no oftener than the pit needs', () => {
  const looksOf = (serveAt: string) => {
    const of = planDocument(request({ serveAt }), { nowMs: NOW, members: 2 });
    return { rule: of.rules[0]!, looks: rings(of, /^Look at the pit$/), of };
  };
  const day = looksOf('2027-10-30T18:00');
  expect(day.looks).toHaveLength(day.rule.looks.count);
  for (const [i, at] of day.looks.slice(1).entries()) {
    expect(at - day.looks[i]!).toBe(day.rule.everyMin);
  }
  const night = looksOf('2027-10-31T08:00');
  const aloneMin = night.rule.aloneMin!;
  expect(aloneMin).toBeGreaterThan(night.rule.everyMin);
  expect(night.looks.length).toBeLessThan(night.rule.looks.count);
  const hourOf = (min: number): number =>
    Number(localOf(min * 60_000, 'Europe/Ljubljana').slice(11, 13));
  for (const [i, at] of night.looks.slice(1).entries()) {
    const gap = at - night.looks[i]!;
    const byNight = hourOf(at) >= 22 || hourOf(at) < 6;
    if (byNight) expect(gap).toBeGreaterThanOrEqual(Math.min(aloneMin, 60));
    expect(gap).toBeLessThanOrEqual(Math.max(aloneMin, night.rule.everyMin) + 15);
  }
  expect(visitWords(night.of).join(' ')).toContain(
    `less often by night, ${night.looks.length} in all`,
  );
});

it('rings at every split', () => {
  const onSplits = request({ serveAt: '2027-10-30T18:00' });
  onSplits.pits[0].cooker.preset = 'offset-heavy';
  onSplits.pits[0].fire = { fuel: 'splits', species: 'oak' };
  const fed = planDocument(onSplits, { nowMs: NOW, members: 1 });
  const feeds = fed.jobs.filter((j) => j.id.startsWith('feed-'));
  expect(rings(fed, new RegExp(feeds[0]!.inWords.slice(0, 12)))).toEqual(
    feeds.map((j) => epochOf(j.at, 'Europe/Ljubljana') / 60_000),
  );
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

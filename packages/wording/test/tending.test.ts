/** What is said of a cook under way, over every preset: no part, unit or fuel that this pit or this user does not have. */
import { METRIC } from '@ostrin/core/quantity';
import { PRESETS, presetOf } from '@ostrin/core/catalogue';
import type { Advice, Fault } from '@ostrin/core/tending';
import type { RequestPit } from '@ostrin/core';
import {
  type AfterOff,
  ALARM_CODES,
  FAULTS,
  LOOKS,
  type Alarm,
  type ChangeOption,
  type Disagreement,
  type Look,
  type OffPlan,
} from '@ostrin/core/internals';
import { causeWords, lookWords, stateWords } from '../src';
import {
  afterOffWords,
  alarmWords,
  changeName,
  changeWords,
  disagreementWords,
  effectWords,
  faultName,
  heardWords,
  moveWords,
  offPlanWords,
  faultRemedy,
  suspectedWords,
} from '../src/tending';

const C = { temperature: 'C', mass: 'kg' } as const;
const F = { temperature: 'F', mass: 'lb' } as const;

const fuelsOf = (preset: string): RequestPit['fire']['fuel'][] =>
  presetOf(preset).traits.sideFirebox ? ['splits', 'briquette'] : ['briquette', 'lump'];
const pits = Object.keys(PRESETS).flatMap((preset) =>
  fuelsOf(preset).map((fuel): RequestPit => ({
    id: preset,
    cooker: { preset, overrides: {} },
    fire: { fuel },
    pace: { pitC: 121, bandC: 8 },
  })),
);

/** What a sentence may not name at a pit that has no such thing. */
function expectOwnParts(text: string, pit: RequestPit): void {
  const { hasFan, parameters, ventNames } = presetOf(pit.cooker.preset);
  if (!hasFan) expect(text).not.toMatch(/\bfan\b/);
  if (parameters.doorCm2 === 0) expect(text).not.toMatch(/fire door/);
  if (parameters.waterKg === 0) expect(text).not.toMatch(/water pan/);
  if (pit.fire.fuel !== 'splits') expect(text).not.toMatch(/split/);
  if (pit.fire.fuel === 'lump') expect(text).not.toMatch(/briquette/);
  for (const part of [
    'bowl vent',
    'lid vent',
    'stack damper',
    'firebox damper',
    'bottom slot',
    'slots',
  ]) {
    const own = [ventNames.intake, ventNames.exhaust].map((n) => n.replace('-', ' '));
    if (!own.includes(part)) expect(text).not.toContain(part);
  }
  expect(text).not.toMatch(/undefined|NaN|null|\[object/);
}

/** Whether a pit can have a fault: the engine looks for no other. */
const canHave = (fault: Fault, pit: RequestPit): boolean => {
  const { hasFan, parameters } = presetOf(pit.cooker.preset);
  switch (fault) {
    case 'fan-stuck':
      return hasFan;
    case 'door-left-open':
      return parameters.doorCm2 > 0;
    case 'pan-dry':
      return parameters.waterKg > 0;
    case 'damp-wood':
      return pit.fire.fuel === 'splits';
    default:
      return true;
  }
};

it('names every fault that a pit can have in its own parts, with how sure and what to look at', () => {
  for (const pit of pits) {
    for (const fault of FAULTS.filter((f) => canHave(f, pit))) {
      const [sure, perhaps] = [0.97, 0.4].map((s) => suspectedWords(fault, s, pit));
      expect(sure).toMatch(/^Almost surely .*\.$/);
      expect(faultRemedy(fault, pit)).toMatch(/^[A-Z].*\.$/);
      expectOwnParts(faultRemedy(fault, pit), pit);
      expect(perhaps).toMatch(/^Perhaps /);
      expectOwnParts(sure!, pit);
      expectOwnParts(faultName(fault, pit), pit);
      const cause = { code: 'suspected', fault, sure: 0.97, sinceMs: 0 } as const;
      expect(causeWords(cause, pit)).toBe(sure);
    }
  }
});

it('says that a pit comes back by itself once, and only where that is so', () => {
  const pit = pits[0]!;
  const said = (code: 'too-much-air' | 'high-and-falling' | 'cold-meat', back: boolean): string =>
    stateWords({ code }, pit, back);
  expect(said('too-much-air', true)).toBe(
    'More air than the target needs. It should come back by itself.',
  );
  expect(said('too-much-air', false)).toBe('More air than the target needs.');
  expect(said('cold-meat', true)).toBe('Cold meat just went on. It comes back by itself.');
  expect(said('high-and-falling', true)).toBe('High, but already on its way down.');
});

it('advises each move in the parts and the fuel of its pit, with what comes of it in either unit', () => {
  const advice = (move: Advice['move']): Advice => ({
    move,
    logs: [],
    waitMin: 20,
    atMin: 100,
    everyMin: 5,
    withC: Array<number>(13).fill(120),
    leaveC: Array<number>(13).fill(104),
    inBandWith: 0.8,
    inBandLeave: 0.1,
  });
  for (const pit of pits) {
    const { hasFan } = presetOf(pit.cooker.preset);
    const splits = pit.fire.fuel === 'splits';
    const moves: Advice['move'][] = [
      { do: 'leave' },
      ...(hasFan ? [] : [{ do: 'set-vents', intake: 0.25, exhaust: 0.5, opens: true } as const]),
      ...(splits
        ? [
            { do: 'add-split', massKg: 0.6 } as const,
            { do: 'wait-with-fuel', minutes: 15 } as const,
          ]
        : [{ do: 'add-charcoal', pieces: 12, massKg: 0.3 } as const]),
    ];
    for (const move of moves) {
      for (const units of [C, F]) {
        const words = moveWords(advice(move), pit, units);
        expectOwnParts(words, pit);
        const effect = effectWords(advice(move), units);
        expect(effect).toContain(units === C ? '104 °C' : '219 °F');
        expect(effect).not.toMatch(units === C ? /\d °F\b/ : /\d °C\b/);
      }
    }
  }
});

it('tells every alarm in one short line', () => {
  for (const pit of pits) {
    for (const code of ALARM_CODES) {
      const alarm: Alarm = {
        id: code,
        code,
        inMin: 12,
        side: 'below',
        meat: 'a',
        jobId: 'wrap',
        byMin: 75,
        atC: 71,
      };
      const words = alarmWords(alarm, {
        pit,
        jobs: [{ id: 'wrap', facts: { kind: 'turn-grate' } } as never],
        units: METRIC,
        pieceName: () => 'Shoulder 1',
        cause: { code: 'suspected', fault: 'air-short', sure: 0.9, sinceMs: 0 },
      });
      expect(words.length).toBeLessThan(64);
      expectOwnParts(words, pit);
    }
  }
});

it('tells looks, changes and rests', () => {
  for (const [what, verdicts] of Object.entries(LOOKS)) {
    for (const verdict of verdicts) {
      const words = lookWords({ what, verdict } as Look);
      expect(words).toMatch(
        what === 'weather' ? /^(Rain|Wind|A gust)[a-z ]*$/ : /^(Feels: |Bark |Smoke )[a-z ]+$/,
      );
    }
  }
  const hotter: ChangeOption = {
    id: 'hotter',
    logs: [{ do: 'set-target', targetC: 190 }],
    readyMin: [400, 420, 440],
    yieldFraction: 0.6,
    bark: 1,
    fuelTimes: 1.6,
  };
  const planned = { ...hotter, id: 'as-planned', readyMin: [480, 500, 520], fuelTimes: 1 } as const;
  expect(changeName(hotter, C)).toBe('Finish hot: 190 °C');
  expect(changeName(hotter, F)).toBe('Finish hot: 374 °F');
  expect(changeWords(hotter, { ...planned, logs: [], readyMin: [480, 500, 520] })).toBe(
    '1 h 20 sooner than planned · 60 % of its weight left · bark set · burns about 1.6 times the fuel an hour',
  );
  const off = {
    meat: 'a',
    offMs: 0,
    where: 'cool-box',
    first: { where: 'open', minutes: 12 },
    restedMs: 3_600_000,
    bestUntilMs: 4 * 3_600_000,
    coldMs: 2 * 3_600_000,
    notSafe: null,
  } as const;
  const at = (min: number, more: Partial<AfterOff> = {}): string =>
    afterOffWords({ ...off, ...more }, min * 60_000, (ms) => `${ms / 3_600_000} h`, C);
  expect(at(2)).toMatch(/Let it stand open for 10 min more/);
  expect(at(30)).toMatch(
    /Resting .* for 30 min now; rested 1 h\. About 2 h its middle falls under 60 °C/,
  );
  expect(at(130)).toMatch(/not held any more/);
  // What was never hot is not rested, held or carved.
  for (const min of [2, 30, 130]) {
    const raw = at(min, { notSafe: { why: 'cool', coreC: 41, safeC: 62.8 } });
    expect(raw).toMatch(/^Not safe to eat: its middle read 41 °C at most\. Put it back on/);
    expect(raw).not.toMatch(/rest|hold|carve|eat it/i);
  }
  const unread = at(30, { notSafe: { why: 'not-read', safeC: 73.9 } });
  expect(unread).toMatch(/^No recent reading of its middle: check that it reads 74 °C/);
});

it('tells why a piece is early or late, with its figures', () => {
  const words = (byMin: number, because: OffPlan['because'], more: Partial<OffPlan> = {}): string =>
    offPlanWords(
      { byMin, pitOffK: 0, onLateMin: 0, thickerFraction: null, because, sure: 0.95, ...more },
      C,
    );
  expect(words(70, 'went-on-late', { onLateMin: 62 })).toBe(
    'About 1 h 10 later than planned: it went on 1 h later.',
  );
  expect(words(71, 'colder-pit', { pitOffK: -6 })).toBe(
    'About 1 h 10 later than planned: the pit has run 6 °C under its target on average.',
  );
  expect(words(-40, 'hotter-pit', { pitOffK: 5 })).toMatch(/40 min earlier .* 5 °C over/);
  expect(words(60, 'thicker-piece', { thickerFraction: 0.08, sure: 0.8 })).toBe(
    'About 1 h later than planned: probably because by its probe the piece is about 8 % thicker than was planned.',
  );
  expect(words(-60, 'thinner-piece', { thickerFraction: -0.05 })).toMatch(/5 % thinner/);
  expect(words(60, 'slower-piece')).toMatch(/takes its heat slower/);
  expect(words(-60, 'faster-piece', { sure: 0.7 })).toMatch(/probably .* faster/);
});

it('tells instruments and what they disagree about', () => {
  expect(heardWords(null, null, 0)).toBe('No reading yet');
  expect(heardWords(0, 0.82, 12_000)).toBe('Last reading 12 s ago, battery 82 %');
  const d: Disagreement = {
    byK: 9,
    between: ['a', 'b'],
    trusted: { name: 'b', because: 'only-one-checked' },
    boilsC: 95,
  };
  expect(disagreementWords(d, C)).toBe(
    'a reads 9 °C more than b. Trust b: it was checked and the other was not. Ice water reads 0 °C and boiling water here 95 °C: hold both into it to settle it.',
  );
  expect(disagreementWords(d, F)).toMatch(/16 °F more .* 32 °F .* 203 °F/);
});

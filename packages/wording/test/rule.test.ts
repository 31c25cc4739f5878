/** The rule for the hand as it is read: bounds on the reader's own thermometer, and notches that can be told apart. */
import {
  designFire,
  initialPolicy,
  PRESETS,
  presetOf,
  usualRule,
  VENT_NOTATIONS,
  type VentNotation,
} from '@ostrin/core/internals';
import type { PlannedRule, RequestPit } from '@ostrin/core';
import type { Units } from '@ostrin/core/quantity';
import { jobWords } from '../src';
import { notchLines, ruleWords } from '../src/plan/rule';

const C_KG: Units = { temperature: 'C', mass: 'kg' };
const F_LB: Units = { temperature: 'F', mass: 'lb' };

const pitWith = (preset: string, ventWay?: VentNotation): RequestPit => ({
  id: 'p',
  name: 'the pit',
  cooker: { preset, overrides: {} },
  fire: { fuel: presetOf(preset).traits.sideFirebox ? 'splits' : 'briquette' },
  pace: { pitC: 121, bandC: 8 },
  ...(ventWay ? { ventWay } : {}),
});

function ruleFor(pit: RequestPit, more: Partial<PlannedRule> = {}): PlannedRule {
  const setup = designFire(pit);
  return {
    ...usualRule(setup, initialPolicy(setup))!,
    pit: 'p',
    readsOverK: 0,
    topUp: null,
    looks: { fromMin: 40, toMin: 400, count: 18 },
    ...more,
  };
}

const ours = Object.keys(PRESETS).filter((id) => !presetOf(id).hasFan);

it.each(ours)('names the notches of %s so that no two of them are called the same', (id) => {
  for (const way of VENT_NOTATIONS) {
    for (const units of [C_KG, F_LB]) {
      const pit = pitWith(id, way);
      const rule = ruleFor(pit);
      const lines = notchLines(rule, pit, units);
      // What stays in a line, with each of what moves in it.
      const names = lines.flatMap((line) => {
        const [first, ...others] = line.split(' · ');
        return [first!, ...others.map((o) => `${first!.slice(0, first!.indexOf(','))} ${o}`)];
      });
      expect(new Set(names).size).toBe(names.length);
      expect(names).toHaveLength(
        rule.notches.by === 'vents' ? rule.notches.settings.length : rule.notches.splitsKg.length,
      );
      expect(lines.join(' ').match(/\(begin here\)/g)).toHaveLength(1);
    }
  }
});

it('says its bounds as the thermometer that is read shows them, of both paces, in the reader’s units', () => {
  const pit: RequestPit = {
    ...pitWith('kettle-57'),
    pace: { pitC: 107, bandC: 8, then: { pitC: 135, when: { coreC: 70 } } },
  };
  const bounds = { overK: 4, underK: 4, twoFromK: 10, readsOverK: 20 };
  const text = ruleWords(ruleFor(pit, bounds), pit, C_KG).join(' ');
  expect(text).toContain('Over 131 °C: close by one notch. Under 123 °C: open by one notch.');
  expect(text).toContain('Over 137 °C or under 117 °C: two notches at once.');
  expect(text).toContain('From the second pace on: over 159 °C and under 151 °C.');
  expect(ruleWords(ruleFor(pit, bounds), pit, F_LB).join(' ')).toContain('Over 268 °F: close');
});

it('promises what it was tried to do, and nothing where it was not tried', () => {
  const pit = pitWith('kettle-57');
  const tried = ruleWords(ruleFor(pit, { inBandFraction: 0.87 }), pit, C_KG).join(' ');
  expect(tried).toContain('about 87 minutes in 100');
  const untried = ruleWords(ruleFor(pit, { inBandFraction: null }), pit, C_KG).join(' ');
  expect(untried).not.toContain('minutes in 100');
});

it('says how long the pit may be left alone, where that is worth a night’s sleep', () => {
  const pit = pitWith('kettle-57');
  const words = (aloneMin: number | null): string =>
    ruleWords(ruleFor(pit, { aloneMin }), pit, C_KG).join(' ');
  expect(words(300)).toMatch(
    /left alone for about 5.h: in 9 of 10 cooks it is then still within 16.°C/,
  );
  for (const short of [null, 15]) expect(words(short)).not.toContain('left alone');
});

it('names at a look the vent that moves, each way, and says where there is no further notch', () => {
  const pit = pitWith('kettle-57');
  const look = { kind: 'look', targetC: 121, overK: 4, underK: 4, readsOverK: 0 } as const;
  const detail = (more: object): string => jobWords({ ...look, ...more }, pit, C_KG).detail;
  const tighter = { intake: 0.125, exhaust: 0.5 };
  const wider = { intake: 0.375, exhaust: 0.5 };
  const both = detail({ tighter, wider });
  expect(both).toMatch(/^Over 125 °C: bowl vent ⅛. Under 117 °C: bowl vent ⅜. Between them/);
  expect(both).not.toContain('lid vent');
  expect(detail({ tighter, wider: { intake: 0.375, exhaust: 1 } })).toContain('lid vent');
  expect(detail({ tighter: null, wider })).toContain('as tight as it goes');
  expect(detail({})).toContain('close by one');
});

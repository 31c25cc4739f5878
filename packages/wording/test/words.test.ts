import fc from 'fast-check';
import {
  CAUTION_IDS,
  PRESETS,
  presetOf,
  VENT_NOTATIONS,
  WOODS,
  type Cause,
  type Request,
  type Units,
} from '@ostrin/core/internals';
import {
  actionWords,
  causeWords,
  cautionWords,
  CAUTION_SOURCES,
  countWords,
  massWords,
  shortOpening,
  smallMassWords,
  spanOfTime,
  temperatureWords,
  ventedPit,
  ventName,
} from '../src';
import { planDocument } from '@ostrin/wording/documents';
import { problemWords } from '../src/plan/problems';
import { ventScale } from '@ostrin/testing/ventScale';
import { request } from '@ostrin/testing';

const F_LB: Units = { temperature: 'F', mass: 'lb' };
const C_KG: Units = { temperature: 'C', mass: 'kg' };
const NOW = Date.UTC(2027, 4, 14, 12);

/** Every sentence of a value, however deep. */
function sentences(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (Array.isArray(value)) return value.flatMap(sentences);
  return value && typeof value === 'object' ? Object.values(value).flatMap(sentences) : [];
}

describe('quantities', () => {
  it('are said as people say them', () => {
    expect(temperatureWords(121, C_KG)).toBe('121 °C');
    expect(temperatureWords(121, F_LB)).toBe('250 °F');
    expect(massWords(2.52, C_KG)).toBe('2.5 kg');
    expect(massWords(2.5, F_LB)).toBe('5.5 lb');
    expect(smallMassWords(60, F_LB)).toBe('2 oz');
    expect(countWords(1, 'person', 'people')).toBe('1 person');
    const spans = [0, 59, 60, 170, 125.6].map(spanOfTime);
    expect(spans).toEqual(['0 min', '59 min', '1 h', '2 h 50', '2 h 06']);
  });
});

describe('vents', () => {
  it('are told by quarters and what lies between', () => {
    const told = [0, 0.25, 0.5, 1].map((x) => ventName(x, { way: 'quarters' }, 60));
    expect(told).toEqual(['shut', '¼', '½', 'open']);
    expect(ventName(9 / 32, { way: 'quarters' }, 60)).toBe('just over ¼');
    expect(ventName(7 / 32, { way: 'quarters' }, 60)).toBe('just under ¼');
    expect(ventName(6 / 32, { way: 'quarters' }, 60)).toBe('between ⅛ and ¼');
  });

  it('are told by the marks of an owner’s own dial, whichever way it runs', () => {
    const on = (shut: number, open: number, step: number) => (share: number) =>
      ventName(share, { way: 'dial', dial: { shut, open, step } }, 60);
    expect([0, 0.02, 0.25, 0.46, 1].map(on(3, 9, 0.5))).toEqual([
      'shut',
      'a crack',
      'mark 4½',
      'mark 6',
      'mark 9',
    ]);
    expect([0.1, 0.5, 1].map(on(8, 0, 1))).toEqual(['mark 7', 'mark 4', 'mark 0']);
    expect(on(-1, 1, 0.25)(0.25)).toBe('mark −½');
  });

  it('are never told as shut when they are not, at length or in short', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(PRESETS)),
        fc.record({ intake: ventScale, exhaust: ventScale }),
        fc.double({ min: 0.005, max: 1, noNaN: true }),
        (preset, scales, fraction) => {
          const pit = { preset: presetOf(preset), scales, hasFan: false };
          for (const vent of ['intake', 'exhaust'] as const) {
            const short = shortOpening(pit, vent, fraction);
            expect(short).not.toMatch(/^(0|shut)$/);
            expect(short.length).toBeLessThan(11);
          }
        },
      ),
    );
  });
});

describe('a plan in somebody else’s units and notation', () => {
  const notations = fc.constantFrom(...VENT_NOTATIONS);
  const pits = fc.constantFrom('kettle-57', 'offset-heavy', 'offset-heavy-reverse', 'hopper-fan');
  const wish = (preset: string, ventWay: (typeof VENT_NOTATIONS)[number]): Request => {
    const pit = request().pits[0];
    const fuel = presetOf(preset).fireChoices[0]!.fuel;
    return request({
      units: F_LB,
      pits: [{ ...pit, ventWay, cooker: { preset, overrides: {} }, fire: { fuel } }],
    });
  };

  it('says nothing in C, kg, g or cm to a reader of F and lb, nor in quarters to one of mm', () => {
    fc.assert(
      fc.property(pits, notations, (preset, notation) => {
        const made = planDocument(wish(preset, notation), { nowMs: NOW, members: 1 });
        const { jobs, fires, vents, risks, planB, problems, cautions, shopping } = made;
        for (const sentence of sentences([made.preparation, jobs.map((j) => j.checklist)])) {
          expect(sentence).not.toMatch(/\d ?(?:C|kg|g|cm|mm|ml)\b/);
          expect(sentence).not.toMatch(/NaN|undefined|null/);
        }
        const told = [
          jobs.map((j) => [j.inWords, j.detail]),
          fires.map((f) => [f.inWords, f.feeding.map((x) => x.inWords)]),
          [vents, risks, planB, problems, cautions, shopping],
        ];
        for (const sentence of sentences(told)) {
          expect(sentence).not.toMatch(/\d ?(?:C|kg|g|cm)\b/);
          if (notation !== 'quarters') expect(sentence).not.toMatch(/[⅛¼⅜⅝¾⅞]|quarters/);
          expect(sentence).not.toMatch(/NaN|undefined|null/);
        }
      }),
      { numRuns: 12 },
    );
  });

  it('says each caution with its limits in the reader’s unit, and has a source for it', () => {
    for (const id of CAUTION_IDS) {
      expect(cautionWords(id, F_LB)).not.toMatch(/\d ?C\b/);
      expect(cautionWords(id, C_KG)).not.toMatch(/\d ?F\b/);
      for (const ahead of ['planned', { by: '15:00' }] as const) {
        const sentence = cautionWords(id, C_KG, ahead);
        expect(sentence).not.toMatch(/between .* has been|has been between|has fallen|hours now/);
        expect(sentence).not.toMatch(/\d ?F\b/);
      }
      expect(CAUTION_SOURCES[id]).toMatch(/practice|USDA|FDA/);
    }
  });

  it('never tells a reverse-flow pit of a thick end towards the firebox', () => {
    const on = (preset: string): string =>
      planDocument(wish(preset, 'quarters'), { nowMs: NOW, members: 1 }).jobs.find(
        (j) => j.id === 'meat-on',
      )!.detail;
    expect(on('offset-heavy')).toMatch(/towards the firebox/);
    expect(on('offset-heavy-reverse')).not.toMatch(/firebox/);
  });

  it('tells an offset on splits that runs high of its stack damper first', () => {
    const made = planDocument(wish('offset-heavy', 'quarters'), { nowMs: NOW, members: 1 });
    expect(made.vents[0]!.ifHigh).toMatch(/^Stack damper to ½/);
    expect(made.vents[0]!.ifLow).toMatch(/heavier/);
  });
});

describe('a log', () => {
  it('tells actions in the reader’s units and the pit’s own vents', () => {
    const pit = ventedPit(request().pits[0]);
    const telling = { units: F_LB, pit };
    expect(actionWords({ do: 'set-target', targetC: 121 }, telling)).toBe('Target 250 °F');
    const vents = { do: 'set-vents', intakeFraction: 0.25, exhaustFraction: 0.5 } as const;
    expect(actionWords(vents, telling)).toBe('Bowl vent ¼, lid vent ½');
    const split = { do: 'add-fuel', fuel: 'splits', pieces: 1, massKg: 1, lit: false } as const;
    expect(actionWords({ ...split, species: 'hickory' }, telling)).toBe(
      `1 split of ${WOODS.hickory.name}, 2.2 lb`,
    );
  });
});

describe('a diagnosis', () => {
  const codes = [
    'not-lit',
    'coming-up',
    'fuel-nearly-gone',
    'recovering-from-lid',
    'lid-was-open',
    'cold-meat',
    'vents-just-moved',
    'on-target',
    'inside-band',
    'low-in-band',
    'high-in-band',
    'high-and-falling',
    'low-and-rising',
    'fuel-or-wind',
    'too-much-air',
    'too-little-air',
  ] as const;
  const causes = codes.map((code): Cause => ({ code }));
  /** Words of the orders: a state says what is, and never what to do. */
  const ORDERS = /\b(open|close|shut|look|wait|leave|put|light it|time for|log)\b(?! after)/i;

  it('names only what the pit has, and orders nothing', () => {
    for (const id of Object.keys(PRESETS)) {
      const preset = presetOf(id);
      const pit = {
        ...request().pits[0],
        cooker: { preset: id, overrides: {} },
        fire: { fuel: preset.fireChoices[0]!.fuel },
      };
      for (const cause of causes) {
        const said = causeWords(cause, pit);
        if (!id.startsWith('kettle')) expect(said).not.toMatch(/bowl vent|lid vent|snake/i);
        expect(said).toMatch(/\.$/);
        expect(said.replace('the lid was open', '').replace('The lid was open', '')).not.toMatch(
          ORDERS,
        );
      }
    }
  });
});

it('names the day of an hour that is not on the day of the meal', () => {
  const facts = {
    kind: 'lighting-passed',
    lightMs: Date.UTC(2027, 4, 14, 20),
    earliestMs: Date.UTC(2027, 4, 15, 20),
  } as const;
  const told = problemWords({ field: 'serveAt', facts }, request(), C_KG);
  expect(told.message).toBe('The fire should have been lit at 22:00 on Friday.');
  expect(told.instead).toMatch(/^Serve at 22:00, /);
});

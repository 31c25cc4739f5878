/** Every job of every pit: in order, in the reader's units, and about parts that this pit has. */
import fc from 'fast-check';
import {
  CUTS,
  cutOf,
  holdsByFan,
  PRESETS,
  usualDone,
  usualRest,
  WRAPS,
  type Preset,
  type Request,
  type Units,
  type WrapId,
} from '@ostrin/core/internals';
import { ventNames, type WordedPlan } from '../src';
import { planDocument } from '@ostrin/wording/documents';
import { ventScale } from '@ostrin/testing/ventScale';
import { request } from '@ostrin/testing';

const NOW = Date.UTC(2027, 4, 12, 12);

interface Case {
  wish: Request;
  preset: Preset;
}

const cases: fc.Arbitrary<Case> = fc
  .record({
    preset: fc.constantFrom(...Object.values(PRESETS)),
    arrangementAt: fc.nat(),
    fireAt: fc.nat(),
    ventScales: fc.record({ intake: ventScale, exhaust: ventScale }),
    units: fc.record<Units>({
      temperature: fc.constantFrom('C', 'F'),
      mass: fc.constantFrom('kg', 'lb'),
    }),
    cut: fc.constantFrom(...Object.keys(CUTS)),
    wrap: fc.constantFrom(...(Object.keys(WRAPS) as WrapId[])),
    spray: fc.constantFrom(undefined, 'dry-spots' as const, 'twice' as const),
    sauce: fc.boolean(),
    bareLastMin: fc.constantFrom(undefined, 25),
    injected: fc.boolean(),
    fan: fc.boolean(),
    leftKg: fc.constantFrom(undefined, 0.8),
    pitC: fc.constantFrom(107, 121, 135, 160),
  })
  .map((c) => {
    const { fuel, arrangement } = c.preset.fireChoices[c.fireAt % c.preset.fireChoices.length]!;
    const wish = request({
      units: c.units,
      pits: [
        {
          id: 'pit',
          cooker: { preset: c.preset.id, overrides: {} },
          fire: {
            fuel,
            arrangement:
              fuel === 'splits'
                ? arrangement
                : c.preset.arrangements[c.arrangementAt % c.preset.arrangements.length],
            leftKg: c.leftKg,
          },
          fan: c.fan,
          ventScales: c.ventScales,
          pace: { pitC: c.pitC, bandC: 8 },
        },
      ],
      meats: [
        {
          id: 'meat',
          cut: c.cut,
          wrap:
            c.wrap === 'none'
              ? { with: 'none' }
              : { with: c.wrap, when: { coreC: 74 }, bareLastMin: c.bareLastMin },
          done: usualDone(cutOf(c.cut)),
          rest: usualRest(cutOf(c.cut)),
          spray: c.spray,
          sauce: c.sauce,
          injected: c.injected,
        },
      ],
    });
    return { wish, preset: c.preset };
  });

/** Everything that a plan says of its jobs. */
const saidOf = (plan: WordedPlan): string[] => [
  ...plan.jobs.flatMap((j) => [
    j.inWords,
    j.detail,
    ...(j.checklist ? [j.checklist.heading, ...j.checklist.items] : []),
  ]),
  ...plan.fires.flatMap((f) => f.inWords),
  ...plan.vents.flatMap((v) => [v.inWords, v.ifHigh ?? '', v.ifLow ?? '']),
  ...plan.risks.flatMap((r) => [r.sign, r.move]),
  ...(plan.preparation ?? []).flatMap((p) => [p.heading, ...p.lines]),
];

const allVentNames = new Set(
  Object.values(PRESETS).flatMap((p) => Object.values<string>(ventNames(p))),
);

/** Words for parts that this pit does not have. */
function foreignParts(preset: Preset, { pits: [pit] }: Request, arrangement: string): RegExp[] {
  const { sideFirebox, gravityFed, meatPlacement } = preset.traits;
  const own = Object.values<string>(ventNames(preset));
  return [
    ...(sideFirebox ? [] : [/firebox/i]),
    ...(gravityFed ? [] : [/hopper/i]),
    ...(meatPlacement === 'over-deflector' ? [] : [/deflector/i]),
    ...(arrangement === 'snake' ? [] : [/snake/i]),
    ...(holdsByFan(pit!) ? [] : [/\bfan\b/i]),
    ...(pit!.fire.fuel === 'splits' ? [] : [/\bsplits?\b/i]),
    ...[...allVentNames]
      .filter((name) => !own.some((o) => o.includes(name) || name.includes(o)))
      .map((name) => new RegExp(`\\b${name}\\b`, 'i')),
  ];
}

/** What a plan says, sentence by sentence, in the words of its own pit and the units of its reader. */
function speaksOfItsOwn(plan: WordedPlan, { wish, preset }: Case): void {
  const foreign = foreignParts(preset, wish, plan.fires[0]!.arrangement);
  const { temperature, mass } = wish.units!;
  const unwanted = [
    ...foreign,
    /NaN|undefined|null|Infinity|  /,
    temperature === 'F' ? /\d ?°?C\b/ : /\d ?°?F\b/,
    mass === 'lb' ? /\d ?(?:kg|g|cm|ml)\b/ : /\d ?(?:lb|oz|in)\b(?! )/,
  ];
  // One expectation a plan: thousands of them would take longer than the plans.
  expect(saidOf(plan).filter((sentence) => unwanted.some((w) => w.test(sentence)))).toEqual([]);
}

function inOrder({ jobs }: WordedPlan): void {
  for (let i = 1; i < jobs.length; i++) expect(jobs[i]!.at >= jobs[i - 1]!.at).toBe(true);
}

function fitsAPhone({ jobs }: WordedPlan): void {
  for (const { checklist } of jobs) {
    if (!checklist) continue;
    expect(checklist.items.length).toBeGreaterThan(0);
    expect(checklist.items.length).toBeLessThanOrEqual(14);
    for (const item of checklist.items) expect(item.length).toBeLessThan(200);
  }
}

it('names no part that a pit lacks and no unit that its reader does not use; in order of time, every list fitting a phone', () => {
  fc.assert(
    fc.property(cases, (drawn) => {
      const plan = planDocument(drawn.wish, { nowMs: NOW, members: 1 });
      speaksOfItsOwn(plan, drawn);
      inOrder(plan);
      fitsAPhone(plan);
    }),
    { numRuns: 120 },
  );
});

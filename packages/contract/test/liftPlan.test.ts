import { randomUUID } from 'node:crypto';
import { exportedCook, liftPlan, readCookDoc, readNewCook, type CookDoc } from '@ostrin/contract';
import { onePit, type Plan } from '@ostrin/core';
import { plan, planOnePit } from '@ostrin/core/engine';
import { wordPlan, type WordedPlan } from '@ostrin/wording';
import { request } from '@ostrin/testing';
import { fields } from './help';

const NOW = Date.UTC(2027, 4, 12, 12);
const SPLITS = request({
  pits: [
    {
      id: 'tom',
      cooker: { preset: 'offset-heavy', overrides: {} },
      fire: { fuel: 'splits', species: 'oak' },
      pace: { pitC: 121, bandC: 8, then: { pitC: 135, when: { barkFirm: true } } },
    },
  ],
  prices: [{ fuel: 'splits', bagKg: 10, each: 8 }],
  crew: ['Anka', 'Pell'],
});
const FAN = request({
  pits: [
    {
      id: 'mill',
      cooker: { preset: 'hopper-fan', overrides: {} },
      fire: { fuel: 'lump' },
      pace: { pitC: 121, bandC: 8 },
    },
  ],
});
const wishes = { snake: request(), splits: SPLITS, fan: FAN };

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const cookOf = (made: CookDoc['plan']): CookDoc => ({
  ostrin: 'cook/1',
  id: randomUUID(),
  name: 'Lunch',
  pitName: 'the Bosun',
  startMs: Date.UTC(2027, 4, 15, 7),
  plan: made,
  entries: [],
  readings: [],
});

/** A document from before plans were kept as figures: its sentences alone. */
function before(made: WordedPlan): object {
  const { cautionIds: _ids, ...rest } = plain(made);
  return {
    ...rest,
    fires: rest.fires.map(({ hourPieces: _h, ...f }) => f),
    vents: rest.vents.map(({ fanTargetC: _f, first: _1, moves: _m, ...v }) => v),
    jobs: rest.jobs.map(({ facts: _f, ...j }) => j),
    preparation: rest.preparation.map((p) => ({
      meat: p.meat,
      heading: p.heading,
      lines: p.lines,
    })),
    holds: rest.holds.map((h) => ({ meat: h.meat, heading: h.heading, lines: h.lines })),
    shopping: rest.shopping.map(({ item, amount, onShelf, buy, cost }) => ({
      item,
      amount,
      onShelf,
      buy,
      cost,
    })),
    risks: rest.risks.map(({ pit: _p, facts: _f, ...r }) => r),
    problems: rest.problems.map(({ facts: _f, ...p }) => p),
  };
}

/** What a plan says, without its figures. */
const said = (made: WordedPlan) => ({
  fires: made.fires.map((f) => [f.inWords, f.feeding.map((x) => x.inWords)]),
  vents: made.vents.map((v) => [v.inWords, v.ifHigh, v.ifLow]),
  jobs: made.jobs.map((j) => [j.inWords, j.detail, j.checklist]),
  cards: [...made.preparation, ...made.holds].map((c) => [c.meat, c.heading, c.lines]),
  shopping: made.shopping.map((s) => [s.item, s.amount, s.onShelf, s.buy, s.cost]),
  risks: made.risks.map((r) => [r.sign, r.move, r.why]),
  problems: made.problems.map((p) => [p.message, p.instead]),
  rest: [made.planB, made.cautions],
});

/** Every text of a document with where it stands. */
function* textsOf(node: unknown, path = ''): Generator<[path: string, text: string]> {
  if (typeof node === 'string') yield [path, node];
  else if (typeof node === 'object' && node !== null)
    for (const [key, child] of Object.entries(node)) yield* textsOf(child, `${path}.${key}`);
}

describe.each(Object.entries(wishes))('the plan of a cook on %s', (_name, wish) => {
  const made = planOnePit(wish, { nowMs: NOW, members: 4 });
  const worded = wordPlan(made);

  it('has no sentence in it', () => {
    const sentences = [...textsOf(plain(made))].filter(([, text]) => /\s/.test(text));
    expect(sentences).toEqual([]);
  });

  it('is exported with its sentences, and read back as it was', () => {
    const out = plain(exportedCook(cookOf(made)));
    expect(out.plan.jobs[0]!.inWords).toBe(worded.jobs[0]!.inWords);
    const back = readCookDoc(out);
    expect(back.ok ? back.value.plan : back.problems).toEqual(plain(made));
    expect(liftPlan(plain(made))).toEqual(plain(made));
  });

  it('of before keeps the sentences that it was written with', () => {
    const old = readCookDoc({ ...cookOf(made), plan: before(worded) });
    if (!old.ok) throw new Error(JSON.stringify(old.problems));
    expect(said(wordPlan(old.value.plan))).toEqual(said(worded));
    // Read again, it stays as it is.
    expect(liftPlan(plain(old.value.plan))).toEqual(plain(old.value.plan));
  });
});

it('is worded in the units of whoever reads it', () => {
  const made = planOnePit(request(), { nowMs: NOW, members: 1 });
  const hold = made.jobs.findIndex((j) => j.id === 'hold');
  expect(wordPlan(made).jobs[hold]!.detail).toContain('121 °C');
  expect(wordPlan(made, { temperature: 'F', mass: 'lb' }).jobs[hold]!.detail).toContain('250 °F');
});

it('is refused with the field that says what it cannot mean', () => {
  const broken = (change: (p: Plan) => void): string[] => {
    const made = plain(onePit(plan(request(), { nowMs: NOW, members: 1 }), 'bosun'));
    change(made);
    return fields(readNewCook({ name: 'Lunch', pitName: 'the Bosun', plan: made }));
  };
  const job = (p: Plan, kind: string) => p.jobs.findIndex((j) => j.facts.kind === kind);
  let i = -1;
  expect(
    broken((p) => {
      i = job(p, 'meat-on');
      p.jobs[i]!.facts = { kind: 'dance' } as never;
    }),
  ).toEqual([`plan.jobs[${i}].facts.kind`]);
  expect(
    broken((p) => {
      i = job(p, 'check');
      (p.jobs[i]!.facts as { cut: string }).cut = 'unicorn';
    }),
  ).toEqual([`plan.jobs[${i}].facts.cut`]);
  expect(broken((p) => void (p.cautionIds = ['beware'] as never))).toEqual(['plan.cautionIds']);
  // Each of its fields is as it should be, and they say nothing together.
  expect(
    broken((p) => {
      p.problems = [{ field: 'meats', facts: { kind: 'too-cool' } as never }];
    }),
  ).toEqual(['plan.problems[0]']);
});

/** What is said of a fire and a piece before it goes on: where it lies, which side, and what has to be at hand. */
import type { JobFacts, Request, RequestMeat } from '@ostrin/core/internals';
import { METRIC } from '@ostrin/core/quantity';
import { request } from '@ostrin/testing';
import { jobWords, plateWords } from '../src';
import { planDocument } from '../src/documents';

const NOW = Date.UTC(2027, 4, 12, 12);

const planned = (pit: Partial<Request['pits'][0]>, meat: Partial<RequestMeat> = {}) => {
  const [usualPit] = request().pits;
  const [usualMeat] = request().meats;
  const wish = request({ pits: [{ ...usualPit, ...pit }], meats: [{ ...usualMeat, ...meat }] });
  return planDocument(wish, { nowMs: NOW, members: 1 });
};
const jobOf = (made: ReturnType<typeof planned>, id: string) => made.jobs.find((j) => j.id === id)!;

it('lays a fire where its kind lies', () => {
  const laid = (fire: Request['pits'][0]['fire']): string => jobOf(planned({ fire }), 'lay').detail;
  expect(laid({ fuel: 'lump', arrangement: 'crescent' })).toMatch(/in a crescent along one side/);
  expect(laid({ fuel: 'lump', arrangement: 'side-basket' })).toMatch(/in the basket at one side/);
  expect(laid({ fuel: 'briquette', arrangement: 'horseshoe' })).toMatch(/between the fire bricks/);
});

it('has at hand what the meat needs: spray, sauce, an injector, and always a tray and knives', () => {
  const kit = (meat: Partial<RequestMeat>): string =>
    jobOf(planned({}, meat), 'lay').checklist!.items.join('; ');
  const needs = { spray: 'dry-spots', sauce: true, injected: true } as const;
  for (const item of [/spray bottle/, /sauce and a brush/, /injector/]) {
    expect(kit(needs)).toMatch(item);
    expect(kit({})).not.toMatch(item);
  }
  expect(kit({})).toMatch(/clean tray.*knife/);
});

it('wraps racks on their meat, in an open boat on their bones, and other pieces fat side up', () => {
  const pit = request().pits[0];
  const how = (cut: string, wrap: 'foil' | 'paper' | 'boat'): string => {
    const facts: JobFacts = {
      kind: 'wrap',
      cut,
      pieces: 1,
      with: wrap,
      when: { coreC: 74 },
      liquidKg: null,
    };
    return jobWords(facts, pit, METRIC).detail;
  };
  expect(how('spare-ribs', 'foil')).toMatch(/meat side down/);
  expect(how('spare-ribs', 'boat')).toMatch(/bone side down/);
  expect(how('beef-short-ribs', 'paper')).toMatch(/bone side down/);
  expect(how('brisket', 'paper')).toMatch(/fat side up/);
  expect(how('whole-chicken', 'foil')).not.toMatch(/side/);
});

it('keeps the thick ends of pieces that change places towards the fire', () => {
  const facts: JobFacts = { kind: 'swap-ends', hotterK: 20, slowest: null };
  const [pit] = request().pits;
  const at = (preset: string): string =>
    jobWords(facts, { ...pit, cooker: { preset, overrides: {} } }, METRIC).detail;
  expect(at('offset-heavy')).toMatch(/change places, their thick ends still towards the fire/);
  expect(at('offset-heavy')).not.toMatch(/turn each piece/);
});

it('says what a plate costs, and which cuts are not counted', () => {
  const plate = { meat: 6, fuel: 1.5, each: 7.5 };
  expect(plateWords(plate)).toBe('A plate costs 7.50: 6.00 for meat, 1.50 for fuel.');
  expect(plateWords({ ...plate, unpriced: ['chuck'] })).toMatch(/it has no price: chuck roast/);
});

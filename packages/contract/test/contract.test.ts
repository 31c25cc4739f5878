/** Scenarios and requests from outside: what is read, what is refused, and how it is said. */
import fc from 'fast-check';
import type { HeapFire, SnakeFire } from '@ostrin/core/catalogue';
import { problemLine, readCookDoc, readEntries, readRequest, readPit, readScenario } from '../src';
import { kettle, request } from '@ostrin/testing';
import { fields, LOGGED } from './help';

/** Every place in a document, as the problems name it, with how to put something else there. */
function places(
  node: unknown,
  path = '',
): { path: string; put: (doc: unknown, value: unknown) => unknown }[] {
  if (typeof node !== 'object' || node === null) return [];
  return Object.entries(node).flatMap(([key, child]) => {
    const here = Array.isArray(node) ? `${path}[${key}]` : path ? `${path}.${key}` : key;
    const into = (at: (inner: unknown) => unknown) => (doc: unknown) =>
      Array.isArray(doc)
        ? doc.map((d, i) => (String(i) === key ? at(d) : d))
        : { ...(doc as object), [key]: at((doc as Record<string, unknown>)[key]) };
    return [
      { path: here, put: (doc: unknown, value: unknown) => into(() => value)(doc) },
      ...places(child, here).map((p) => ({
        path: p.path,
        put: (doc: unknown, value: unknown) => into((inner) => p.put(inner, value))(doc),
      })),
    ];
  });
}

it('scenario/1 reads what the engine writes and fills in defaults', () => {
  const plain = JSON.parse(JSON.stringify(kettle())) as Record<string, unknown>;
  expect(readScenario(plain)).toEqual({ ok: true, value: plain });
  delete (plain.cooker as Record<string, unknown>).overrides;
  delete (plain.weather as Record<string, unknown>).rainMmPerH;
  const read = readScenario(plain);
  expect(read.ok && read.value.weather).toMatchObject({ rainMmPerH: 0 });
});

it('scenario/1 turns kilograms into pieces', () => {
  const s = kettle({
    actions: [{ atMin: 30, do: 'add-fuel', fuel: 'briquette', massKg: 0.26 } as never],
  });
  const fire = { ...s.fire!, litPieces: undefined, litMassKg: 0.26 };
  const read = readScenario({ ...s, fire });
  expect(read.ok && (read.value.fire as SnakeFire).litPieces).toBeCloseTo(10);
  expect(read.ok && read.value.actions[0]).toMatchObject({
    pieces: expect.closeTo(10) as number,
  });
});

it('scenario/1 names every field that is wrong, at once', () => {
  const bad = {
    ...kettle(),
    cooker: { preset: 'toaster' },
    control: { mode: 'hoped' },
    weather: { airC: 'warm', windMps: 1, relativeHumidityFraction: 2 },
    actions: [{ atMin: 0, do: 'dance' }, { atMin: -1, do: 'lid-open', seconds: 0 }, 7],
    meats: [{ id: 'a', cut: 'unicorn', massKg: 3, done: {} }],
    surprise: 1,
  };
  const read = readScenario(bad);
  expect(fields(read)).toEqual(
    expect.arrayContaining([
      'cooker.preset',
      'control.mode',
      'weather.airC',
      'weather.relativeHumidityFraction',
      'actions[0].do',
      'actions[1].atMin',
      'actions[1].seconds',
      'actions[2]',
      'meats[0].cut',
      'meats[0].done',
      'surprise',
    ]),
  );
  const lines = read.ok ? '' : read.problems.map(problemLine).join('\n');
  expect(lines).toMatch(/cooker\.preset: must be one of kettle-47/);
  expect(lines).toMatch(/meats\[0\]\.cut: must be one of/);
});

it('scenario/1 fills in what a fire leaves out, from its cooker', () => {
  const of = (preset: string, fire: object) => {
    const read = readScenario({ ...kettle(), cooker: { preset }, fire });
    expect(fields(read)).toEqual([]);
    return read.ok ? (read.value.fire as HeapFire) : null!;
  };
  const bowl = of('kamado-46', { arrangement: 'bowl', fuel: 'lump' });
  expect(bowl).toMatchObject({ massKg: 3.2, litPlace: 'top' });
  expect(bowl.litMassKg).toBeLessThan(0.5);
  // A coal bed is poured in lit unless it says otherwise.
  const bed = { arrangement: 'coal-bed', fuel: 'lump', massKg: 3 };
  expect(of('offset-heavy', bed).litMassKg).toBe(3);
  expect(of('offset-heavy', { ...bed, litMassKg: 0.4 }).litMassKg).toBe(0.4);
  const basket = { arrangement: 'side-basket', fuel: 'briquette', pieces: 70, litPieces: 12 };
  expect(of('kettle-66', basket).massKg).toBeCloseTo(70 * 0.026);
});

it('scenario/1 takes splits by any of their names and says what does not fit', () => {
  const fire = { arrangement: 'coal-bed', fuel: 'lump' };
  const put = (fuel: object) => ({
    ...kettle(),
    cooker: { preset: 'offset-heavy' },
    fire,
    actions: [{ atMin: 30, do: 'add-fuel', ...fuel }],
  });
  const species = (fuel: object): unknown => {
    const read = readScenario(put(fuel));
    return read.ok ? (read.value.actions[0] as { species?: string }).species : fields(read);
  };
  expect(species({ fuel: 'splits', pieces: 1, massKg: 1.2 })).toBe('oak');
  expect(species({ fuel: 'hickory-splits', pieces: 2 })).toBe('hickory');
  expect(species({ fuel: 'beech', massKg: 1.1 })).toBe('beech');
  expect(species({ fuel: 'plastic', massKg: 1 })).toContain('actions[0].fuel');
  expect(
    fields(
      readScenario({ ...put({ fuel: 'splits', pieces: 1 }), cooker: { preset: 'hopper-fan' } }),
    ),
  ).toEqual(['fire.arrangement']);
  expect(fields(readScenario({ ...kettle(), control: { mode: 'tended' } }))).toContain(
    'control.targetC',
  );
});

it('scenario/1 knows what is done by temperature and what needs one to rest in', () => {
  const of = (meat: object) =>
    fields(readScenario({ ...kettle(), meats: [{ id: 'a', cut: 'brisket', massKg: 3, ...meat }] }));
  expect(of({ done: { tender: true }, rest: { where: 'warmer', minutes: 60, atC: 68 } })).toEqual(
    [],
  );
  expect(of({ cut: 'rib-roast', done: { tender: true } })).toEqual(['meats[0].done']);
  expect(of({ cut: 'whole-turkey', done: { coreC: 74 } })).toEqual([]);
  expect(of({ rest: { where: 'oven', minutes: 60 } })).toEqual(['meats[0].rest.atC']);
  expect(of({ wrap: { with: 'boat', when: { stalled: true } } })).toEqual([]);
});

it('scenario/1 reads a pit and refuses a blank name, an unknown kind and a figure that cannot be', () => {
  const pit = { name: ' Long Tom ', preset: 'offset-heavy', overrides: { leakCm2: 18 } };
  expect(readPit(pit)).toEqual({
    ok: true,
    value: {
      name: 'Long Tom',
      preset: 'offset-heavy',
      overrides: { leakCm2: 18 },
      ventWay: 'quarters',
    },
  });
  expect(fields(readPit({ name: ' ', preset: 'grill', overrides: { leakCm2: -1 } }))).toEqual(
    expect.arrayContaining(['name', 'preset', 'overrides.leakCm2']),
  );
});

it('scenario/1 counts the letters of a name as people do, and says how many there may be', () => {
  const named = (name: string) => readPit({ name, preset: 'kettle-57', overrides: {} });
  // An accent set apart, and a family of four signs in one picture: one letter each.
  expect(named('e\u0301'.repeat(40)).ok).toBe(true);
  expect(named('\u{1F468}\u200D\u{1F469}\u200D\u{1F467}'.repeat(40)).ok).toBe(true);
  const long = named('a'.repeat(41));
  expect(long).toMatchObject({ ok: false });
  expect(JSON.stringify(long)).toMatch(/at most 40 letters/);
});

it('scenario/1 checks what spans fields', () => {
  const meats = [
    { id: 'a', cut: 'mutton-shoulder', massKg: 2.5, startC: 4, wrap: { with: 'foil' } },
  ];
  expect(
    fields(
      readScenario({
        ...kettle(),
        meats: [...meats, ...meats],
        actions: [
          { atMin: 1, do: 'meat-on', meat: 'b' },
          { atMin: 1, do: 'add-fuel', fuel: 'briquette' },
        ],
      }),
    ),
  ).toEqual(
    expect.arrayContaining([
      'meats[1].id',
      'meats[0].wrap.when',
      'actions[0].meat',
      'actions[1].pieces',
    ]),
  );
  expect(fields(readScenario({ ...kettle(), fire: undefined }))).toContain('fire');
  expect(
    fields(readScenario({ ...kettle(), fire: undefined, control: { mode: 'held' } })),
  ).toContain('control.schedule');
  expect(fields(readScenario({ ...kettle(), weather: [] }))).toContain('weather');
});

it('scenario/1 never throws, whatever it is given', () => {
  fc.assert(
    fc.property(fc.anything(), (value) => {
      expect(readScenario(value).ok).toBe(false);
      expect(readRequest(value).ok).toBe(false);
      expect(readCookDoc(value).ok).toBe(false);
      expect(readEntries(value, LOGGED).ok).toBe(false);
    }),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...Object.keys(kettle()), 'actions', 'meats', 'everyMin'),
      fc.oneof(fc.constant(null), fc.anything()),
      (key, value) => {
        expect(() => readScenario({ ...kettle(), [key]: value })).not.toThrow();
      },
    ),
  );
});

describe('request/1', () => {
  it('reads a wish and refuses a nonsense one', () => {
    const plain = JSON.parse(JSON.stringify(request())) as unknown;
    expect(readRequest(plain)).toEqual({ ok: true, value: plain });
    const bad = request({
      people: 0,
      serveAt: '2027-02-30T18:00',
      timeZone: 'Moon/Base',
      pits: [],
    });
    expect(fields(readRequest(bad))).toEqual(
      expect.arrayContaining(['people', 'serveAt', 'timeZone']),
    );
    expect(fields(readRequest({ ...request(), pits: [] }))).toContain('pits');
  });

  it('takes how often splits are fed, and not for charcoal', () => {
    const fed = (fuel: 'splits' | 'briquette', everyMin: number) =>
      readRequest(
        request({
          pits: [
            {
              ...request().pits[0],
              cooker: { preset: 'offset-heavy', overrides: {} },
              fire: { fuel, everyMin },
            },
          ],
        }),
      );
    expect(fed('splits', 45).ok).toBe(true);
    expect(fields(fed('splits', 5))).toEqual(['pits[0].fire.everyMin']);
    expect(fields(fed('briquette', 45))).toEqual(['pits[0].fire.everyMin']);
  });

  it('takes weather from hours on, each with its hour', () => {
    const air = { airC: 12, windMps: 2, relativeHumidityFraction: 0.6 };
    const list = (...at: (string | undefined)[]) =>
      readRequest({ ...request(), weather: at.map((t) => ({ ...air, at: t })) });
    expect(list('2027-05-14T20:00', '2027-05-15T08:00').ok).toBe(true);
    expect(fields(list('2027-05-14T20:00', undefined))).toEqual(['weather[1].at']);
    expect(fields(list('at dusk'))).toEqual(['weather[0].at']);
    expect(fields(list())).toEqual(['weather']);
  });

  it('takes a piece that comes late, but not after it is eaten', () => {
    const coming = (notBefore: string) =>
      readRequest(request({ meats: [{ ...request().meats[0], notBefore }] }));
    expect(coming('2027-05-15T09:00').ok).toBe(true);
    expect(fields(coming('2027-05-15T18:30'))).toEqual(['meats[0].notBefore']);
    expect(fields(coming('at nine'))).toEqual(['meats[0].notBefore']);
  });
});

describe('null', () => {
  it.each([
    ['a scenario', readScenario, kettle()],
    [
      'a request',
      readRequest,
      request({
        units: { temperature: 'C', mass: 'kg' },
        prices: [{ fuel: 'lump', bagKg: 10, each: 20 }],
      }),
    ],
  ] as const)('is refused wherever it stands in %s, and the field is named', (_, read, doc) => {
    const plain = JSON.parse(JSON.stringify(doc)) as object;
    expect(read(plain).ok).toBe(true);
    for (const { path, put } of places(plain)) {
      const told = fields(read(put(plain, null)));
      // A list tells of its entries.
      const list = path.replace(/\[\d+\]$/, '');
      expect([path, told.some((f) => f.startsWith(path) || f === list)]).toEqual([path, true]);
    }
  });
});

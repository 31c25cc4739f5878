import { METRIC } from '@ostrin/core/quantity';
import { CUTS, WRAP_SCHOOLS } from '@ostrin/core/catalogue';
import type { PiecePlacement } from '@ostrin/core';
import fc from 'fast-check';
import { firesOf } from '../src/store/fires';
import { titleOf } from '../src/store/names';
import {
  movedToComingWeek,
  variantSourcesOf,
  requestOf,
  draftOf,
  draftPitsOf,
} from '../src/store/request';
import {
  newMeat,
  PACES,
  SMOKE_WOODS,
  usePlanDraft,
  WINDS,
  type PlanDraft,
} from '../src/store/planDraft';
import { BOSUN, FIRST, TWO, YARD } from './help';

beforeEach(() => {
  usePlanDraft.setState({ ...FIRST });
});

describe('draft and request', () => {
  const meat = fc
    .record({
      cut: fc.constantFrom(...Object.keys(CUTS)),
      pieces: fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }),
      wrap: fc.constantFrom('none' as const, 'paper' as const, 'foil' as const),
      wrapWhen: fc.oneof(
        fc.constantFrom(...Object.values(WRAP_SCHOOLS)),
        fc.record({ coreC: fc.integer({ min: 40, max: 95 }) }),
        fc.record({ onForMin: fc.integer({ min: 30, max: 1200 }) }),
      ),
      massKg: fc.option(fc.constantFrom(1, 2.2), { nil: undefined }),
      spray: fc.constantFrom(undefined, 'twice' as const),
      sprayTimes: fc.constantFrom(undefined, { firstMin: 90, everyMin: 25 }),
      sauceLastMin: fc.constantFrom(undefined, 40),
      rest: fc.constantFrom(null, 'oven' as const, 'warmer' as const),
      prepare: fc.constantFrom(undefined, 'season' as const, 'brine' as const),
      frozen: fc.boolean(),
      injected: fc.boolean(),
      serveAt: fc.constantFrom(undefined, '2027-05-15T15:00'),
      notBefore: fc.constantFrom(undefined, '2027-05-15T09:00'),
      pitId: fc.constantFrom(null, 'bosun', 'jar'),
      lie: fc.option(fc.constant<PiecePlacement[]>([{ x: 0.05, y: 0, turned: true }]), {
        nil: undefined,
      }),
    })
    .map((m) => ({ ...newMeat(m.cut, null, []), ...m }));
  const fire = (preset: string) =>
    fc.record({
      fireId: fc.constantFrom(...firesOf(preset).map((f) => f.id)),
      species: fc.constantFrom(...SMOKE_WOODS),
      pitC: fc.constantFrom(...PACES),
    });

  it('say the same thing both ways', () => {
    fc.assert(
      fc.property(
        fc.array(meat, { minLength: 1, maxLength: 5 }),
        fire('kettle-57'),
        fire('kamado-46'),
        fc.record({
          windMps: fc.constantFrom(...WINDS.map((w) => w.value)),
          airC: fc.integer({ min: 1, max: 30 }),
          nightC: fc.option(fc.integer({ min: -15, max: 0 })),
        }),
        (wishes, bosun, jar, weather) => {
          const named: PlanDraft['meats'] = [];
          for (const w of wishes) named.push({ ...w, id: newMeat(w.cut, null, named).id });
          const draft = {
            ...FIRST,
            meats: named,
            fires: { bosun, jar },
            ...weather,
            crew: ['Pell', 'Anka'],
          };
          const request = requestOf(draft, YARD, METRIC);
          expect(draftOf(request, YARD)).toMatchObject(weather);
          expect(requestOf(draftOf(request, YARD), YARD, METRIC)).toEqual(request);
        },
      ),
    );
  });

  it('carry what the page has no words for', () => {
    const request = requestOf(FIRST, YARD, METRIC);
    const meats = request.meats.map((m) => ({ ...m, thicknessMm: 64, at: 'far' as const }));
    expect(requestOf(draftOf({ ...request, meats }, YARD), YARD, METRIC).meats).toEqual(meats);
  });

  it('put every meat on its pit, and what is no longer in the yard on the usual one', () => {
    expect(draftPitsOf(TWO, YARD).map((t) => [t.pit.id, t.meats.length])).toEqual([
      ['bosun', 1],
      ['jar', 1],
    ]);
    expect(draftPitsOf(TWO, [BOSUN])).toHaveLength(1);
    expect(draftPitsOf(TWO, [])).toEqual([]);
    const back = draftOf(requestOf(TWO, YARD, METRIC), [BOSUN]);
    expect(back.meats.map((m) => m.pitId)).toEqual(['bosun', null]);
    const ways = variantSourcesOf(FIRST, YARD);
    expect(ways.pits!.map((p) => p.id)).toEqual(['jar']);
    expect(ways.fires!.map((f) => f.id)).toEqual([
      'basket',
      'basket-lump',
      'crescent-lump',
      'horseshoe',
    ]);
    expect(titleOf({ request: requestOf(TWO, YARD, METRIC) })).toBe(
      'Mutton shoulder and chicken for 12',
    );
  });

  it('come up again on the same weekday and hour, over the change of clocks too', () => {
    const zone = 'Europe/Ljubljana';
    const old = { ...TWO, timeZone: zone, serveAt: '2027-10-24T18:30' };
    const next = movedToComingWeek(old, Date.UTC(2027, 9, 25));
    expect(next.serveAt).toBe('2027-10-31T18:30');
    expect(movedToComingWeek(old, Date.UTC(2027, 9, 1))).toBe(old);
    const years = movedToComingWeek(old, Date.UTC(2028, 1, 1));
    expect(new Date(`${years.serveAt}Z`).getUTCDay()).toBe(0);
    expect(years.serveAt > '2028-02-01').toBe(true);
  });
});

describe('changes of the draft', () => {
  const { changeMeat, addMeat, dropMeat, movePit, changeFire } = usePlanDraft.getState();
  const meats = () => usePlanDraft.getState().meats;

  it('name meats by their cut, each once, and let go of places by hand when something else lies there', () => {
    addMeat('mutton-shoulder', 'bosun');
    expect(meats().map((m) => m.id)).toEqual(['mutton-shoulder', 'mutton-shoulder-2']);
    changeMeat('mutton-shoulder', { lie: [{ x: 0, y: 0 }] });
    changeMeat('mutton-shoulder-2', { wrap: 'foil' });
    expect(meats()[0]!.lie).toBeDefined();
    changeMeat('mutton-shoulder-2', { massKg: 3 });
    expect(meats()[0]!.lie).toBeUndefined();
    dropMeat('mutton-shoulder');
    expect(meats().map((m) => m.id)).toEqual(['mutton-shoulder-2']);
  });

  it('move a pit with its heat but not with its fire, and leave a pit in use alone', () => {
    changeFire('bosun', { fireId: 'basket', pitC: 150 });
    movePit('bosun', 'jar', 'bosun');
    expect(usePlanDraft.getState().fires.jar).toMatchObject({ fireId: null, pitC: 150 });
    usePlanDraft.setState({
      ...TWO,
      fires: { jar: { fireId: 'bowl', species: 'oak', pitC: 121 } },
    });
    movePit('bosun', 'jar', 'bosun');
    expect(usePlanDraft.getState().fires.jar).toMatchObject({ fireId: 'bowl', pitC: 121 });
    expect(draftPitsOf(usePlanDraft.getState(), YARD)).toHaveLength(1);
  });
});

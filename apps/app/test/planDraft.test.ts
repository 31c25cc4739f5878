/** The draft on this device: kept while its meal is to come, begun anew when asked. */
import { firstDraft, newMeat, isStillAhead, usePlanDraft } from '../src/store/planDraft';

const NOW = Date.UTC(2027, 4, 14, 12);

beforeEach(() => usePlanDraft.setState(firstDraft(NOW, 'UTC')));

it('is taken up again while its meal is still to come, and not after', () => {
  const draft = firstDraft(NOW, 'UTC');
  expect(isStillAhead(draft, NOW)).toBe(true);
  expect(isStillAhead(draft, Date.UTC(2027, 4, 15, 18, 29))).toBe(true);
  expect(isStillAhead(draft, Date.UTC(2027, 4, 15, 18, 30))).toBe(false);
  expect(isStillAhead(undefined, NOW)).toBe(false);
  expect(isStillAhead({ ...draft, meats: [] }, NOW)).toBe(false);
  expect(isStillAhead({ ...draft, serveAt: 'some day' }, NOW)).toBe(false);
});

it('keeps what the sentence says, and nothing else', () => {
  usePlanDraft.getState().change({ people: 14, crew: ['Pell', 'Anka'] });
  usePlanDraft.getState().addMeat('sausages', null);
  const kept = JSON.parse(localStorage.getItem('ostrin-slip')!) as {
    state: object;
    version: number;
  };
  expect(kept.version).toBe(3);
  expect(kept.state).toMatchObject({ people: 14, crew: ['Pell', 'Anka'] });
  expect(Object.keys(kept.state).sort()).toEqual(
    [...Object.keys(firstDraft(NOW, 'UTC')), 'calendarKey'].sort(),
  );
  const state = usePlanDraft.getState();
  expect(state.meats.map((m) => m.cut)).toEqual(['mutton-shoulder', 'sausages']);
});

it('is read as it was kept before, when what was left open was null', async () => {
  const now = { ...firstDraft(Date.now(), 'UTC'), meats: [newMeat('goose', null, [])] };
  const open = { pieces: null, spray: null, prepare: null, serveAt: null, notBefore: null };
  const before = {
    ...now,
    meats: now.meats.map((m) => ({ ...m, ...open, lie: null, doneC: null })),
    fires: { bosun: { fireId: null, species: 'oak', pitC: 135, then: null, everyMin: null } },
  };
  localStorage.setItem('ostrin-slip', JSON.stringify({ state: before, version: 1 }));
  await usePlanDraft.persist.rehydrate();
  const { meats, fires } = usePlanDraft.getState();
  expect(meats).toEqual(now.meats.map((m) => ({ ...m, doneC: null })));
  expect(fires).toEqual({ bosun: { fireId: null, species: 'oak', pitC: 135 } });
});

it('is read as it was kept before, when times of wrapping had names', async () => {
  const now = { ...firstDraft(Date.now(), 'UTC'), meats: [newMeat('goose', null, [])] };
  const before = {
    ...now,
    meats: now.meats.map((m) => ({ ...m, wrapWhen: 'core-80', bare: true })),
  };
  localStorage.setItem('ostrin-slip', JSON.stringify({ state: before, version: 2 }));
  await usePlanDraft.persist.rehydrate();
  const [meat] = usePlanDraft.getState().meats;
  expect(meat).toMatchObject({ wrapWhen: { coreC: 80 }, bareLastMin: 25 });
  expect(meat).not.toHaveProperty('bare');
});

it('comes back as it was when the page is opened again', async () => {
  const ahead = firstDraft(Date.now(), 'UTC');
  const state = { ...ahead, people: 21, meats: [newMeat('goose', null, [])] };
  localStorage.setItem('ostrin-slip', JSON.stringify({ state, version: 1 }));
  await usePlanDraft.persist.rehydrate();
  expect(usePlanDraft.getState()).toMatchObject({ people: 21, meats: [{ cut: 'goose' }] });
  const past = { ...state, people: 3, serveAt: '2020-01-01T18:30' };
  localStorage.setItem('ostrin-slip', JSON.stringify({ state: past, version: 1 }));
  await usePlanDraft.persist.rehydrate();
  expect(usePlanDraft.getState().people).toBe(21);
});

it('is begun anew with a whole sentence', () => {
  usePlanDraft.getState().change({ people: 40 });
  usePlanDraft.getState().clear();
  expect(usePlanDraft.getState().people).toBe(firstDraft(NOW, 'UTC').people);
  expect(usePlanDraft.getState().meats).toHaveLength(1);
});

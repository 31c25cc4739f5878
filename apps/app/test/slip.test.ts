/** The slip on this device: kept while its meal is to come, begun anew when asked. */
import { firstSlip, newMeat, stillAhead, useSlip } from '../src/store/slip';

const NOW = Date.UTC(2027, 4, 14, 12);

beforeEach(() => useSlip.setState(firstSlip(NOW, 'UTC')));

it('is taken up again while its meal is still to come, and not after', () => {
  const slip = firstSlip(NOW, 'UTC');
  expect(stillAhead(slip, NOW)).toBe(true);
  expect(stillAhead(slip, Date.UTC(2027, 4, 15, 18, 29))).toBe(true);
  expect(stillAhead(slip, Date.UTC(2027, 4, 15, 18, 30))).toBe(false);
  expect(stillAhead(undefined, NOW)).toBe(false);
  expect(stillAhead({ ...slip, meats: [] }, NOW)).toBe(false);
  expect(stillAhead({ ...slip, serveAt: 'some day' }, NOW)).toBe(false);
});

it('keeps what the sentence says, and nothing else', () => {
  useSlip.getState().change({ people: 14, crew: ['Pell', 'Anka'] });
  useSlip.getState().addMeat('sausages', null);
  const kept = JSON.parse(localStorage.getItem('ostrin-slip')!) as {
    state: object;
    version: number;
  };
  expect(kept.version).toBe(1);
  expect(kept.state).toMatchObject({ people: 14, crew: ['Pell', 'Anka'] });
  expect(Object.keys(kept.state).sort()).toEqual(Object.keys(firstSlip(NOW, 'UTC')).sort());
  const state = useSlip.getState();
  expect(state.meats.map((m) => m.cut)).toEqual(['mutton-shoulder', 'sausages']);
});

it('comes back as it was when the page is opened again', async () => {
  const ahead = firstSlip(Date.now(), 'UTC');
  const state = { ...ahead, people: 21, meats: [newMeat('goose', null, [])] };
  localStorage.setItem('ostrin-slip', JSON.stringify({ state, version: 1 }));
  await useSlip.persist.rehydrate();
  expect(useSlip.getState()).toMatchObject({ people: 21, meats: [{ cut: 'goose' }] });
  const past = { ...state, people: 3, serveAt: '2020-01-01T18:30' };
  localStorage.setItem('ostrin-slip', JSON.stringify({ state: past, version: 1 }));
  await useSlip.persist.rehydrate();
  expect(useSlip.getState().people).toBe(21);
});

it('is begun anew with a whole sentence', () => {
  useSlip.getState().change({ people: 40 });
  useSlip.getState().clear();
  expect(useSlip.getState().people).toBe(firstSlip(NOW, 'UTC').people);
  expect(useSlip.getState().meats).toHaveLength(1);
});

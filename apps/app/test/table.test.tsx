/** One draft with several meats, courses and pits; saved plans; pieces laid by hand. */
import { onePit } from '@ostrin/core';
import { METRIC } from '@ostrin/core/quantity';
import { type WordedPlan } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import { Answer } from '../src/plan/PlanAnswer';
import { FourTimes } from '../src/plan/FourTimes';
import { SavedPlans } from '../src/plan/SavedPlans';
import { othersWords } from '../src/plan/meatWords';
import { PlanSentence } from '../src/plan/PlanSentence';
import { StartCook } from '../src/plan/StartCook';
import { requestOf } from '../src/store/request';
import { usePlanDraft } from '../src/store/planDraft';
import { answerCalls, FIRST, NOW, reply, TWO, YARD, type Call } from './help';
import '../src/plan/PlanSheet';
import '../src/plan/StartSheet';
import '../src/ui/FieldsForm';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ router: { navigate: (to: string) => mockNavigate(to) } }));
jest.mock('../src/api/core', () => ({ askVariants: () => () => undefined }));

let sent: Call[] = [];
let kept: unknown[] = [];
let refuse: string | null = null;

function show(page: React.ReactElement) {
  answerCalls((call) => {
    const { path, method, body } = call;
    if (method !== 'GET') sent.push(call);
    const cooks = (body as { cooks?: { pitName: string }[] } | undefined)?.cooks ?? [];
    if (method === 'POST' && cooks.some((c) => c.pitName === refuse))
      return reply(409, { title: `${refuse} is still cooking`, status: 409 });
    const lists: Record<string, unknown> = {
      '/api/plans': kept,
      '/api/pits': YARD,
      '/api/cooks': [],
    };
    return reply(200, lists[path] ?? { id: 'x' });
  });
  const client = new QueryClient({ defaultOptions: { queries: { gcTime: 0, retry: false } } });
  return render(<QueryClientProvider client={client}>{page}</QueryClientProvider>);
}
const press = async (name: string | RegExp): Promise<void> => {
  fireEvent.press(await screen.findByRole('button', { name }));
};

beforeEach(() => {
  sent = [];
  kept = [];
  refuse = null;
  mockNavigate.mockClear();
  usePlanDraft.setState({ ...FIRST });
});

it('tells two meats on two pits in one sentence, each with its own words', async () => {
  usePlanDraft.setState({ ...TWO });
  show(<PlanSentence yard={YARD} />);
  for (const name of [
    /^Meat 1: 1 mutton shoulder/,
    /^Meat 2: 1 chicken/,
    /^Wrap of the chicken: left unwrapped/,
    /^Done of the chicken: the middle reads 74 °C/,
    /^Before and after of the chicken: salted ahead, rested under loose foil/,
    /^Cooker 2: Clay Jar/,
    /^Pit of the Bosun: 121 °C/,
  ]) {
    expect(screen.getByRole('button', { name })).toBeTruthy();
  }
  await press(/^Meat 2/);
  fireEvent.press(await screen.findByRole('radio', { name: /^the Bosun/ }));
  expect(usePlanDraft.getState().meats[1]!.pitId).toBe('bosun');
  expect(screen.queryByRole('button', { name: /^Cooker 2/ })).toBeNull();
  await press('Remove it from the plan');
  expect(usePlanDraft.getState().meats).toHaveLength(1);
  await press(/^Before and after/);
  fireEvent.press(await screen.findByRole('radio', { name: /^Frozen now/ }));
  fireEvent.press(screen.getByRole('radio', { name: /^Held in a low oven/ }));
  const [left] = usePlanDraft.getState().meats;
  expect(othersWords(left!, FIRST.serveAt)).toBe('frozen now, held in a low oven');
  expect(othersWords({ ...left!, serveAt: '2027-05-15T15:00' }, FIRST.serveAt)).toMatch(
    /eaten at 15:00$/,
  );
});

describe('the answer for two pits', () => {
  let whole: WordedPlan;
  beforeAll(() => {
    whole = planDocument(requestOf(TWO, YARD, METRIC), { nowMs: NOW - 86_400_000, members: 1 });
  });

  it('shows one pit after the other, every meat with its times, and all jobs with their pit', async () => {
    show(
      <>
        <FourTimes plan={whole} settled progress={1} />
        <Answer plan={whole} settled others={{}} />
      </>,
    );
    expect(screen.getByTestId('four-times')).toHaveTextContent(/Mutton.*Chicken/);
    expect(screen.getByText(/^From .*: Bowl vent/)).toBeTruthy();
    fireEvent.press(screen.getByRole('radio', { name: 'Clay Jar' }));
    expect(await screen.findByText(/^From .*: Bottom slot \d+ mm/)).toBeTruthy();
    expect(screen.getByText('Clay Jar: Build the fire')).toBeTruthy();
    expect(screen.getByText('The Bosun: Lay the snake')).toBeTruthy();
  });

  it('begins one cook a pit, all or none, and says which one cannot begin', async () => {
    refuse = 'Clay Jar';
    show(<StartCook plan={whole} ready />);
    await press('Start 2 cooks');
    await press('Practise on a simulated fire');
    expect(await screen.findByText('Clay Jar is still cooking')).toBeTruthy();
    expect(mockNavigate).not.toHaveBeenCalled();
    refuse = null;
    await press('Start 2 cooks');
    await press('Practise on a simulated fire');
    await waitFor(() =>
      expect(mockNavigate).toHaveBeenCalledWith(expect.stringMatching(/^\/tend\?cook=/)),
    );
    const [first, again] = sent.filter((s) => s.method === 'POST').map((s) => s.body.cooks);
    expect(first.map((c: { pitName: string }) => c.pitName)).toEqual(['the Bosun', 'Clay Jar']);
    // Pressed again, it is the same two cooks.
    expect(again).toEqual(first);
    expect(again[1].plan).toEqual(JSON.parse(JSON.stringify(onePit(whole, 'jar'))));
    expect(again[1].name).toBe('Chicken for 12');
  });
});

describe('pieces on the grate', () => {
  const made = planDocument(requestOf({ ...FIRST, people: 4 }, YARD, METRIC), {
    nowMs: NOW,
    members: 1,
  });
  const turn = () => screen.getByRole('button', { name: /^mutton shoulder 1 of 1/ });

  it('are moved with the arrow keys, stay off the fire, and are laid out again', async () => {
    show(<Answer plan={made} settled others={{}} />);
    const [before] = made.grates[0]!.laid;
    const down = (key: string) => fireEvent(turn(), 'keyDown', { key, preventDefault: () => null });
    const lie = () => usePlanDraft.getState().meats[0]!.lie![0]!;
    down('ArrowRight');
    expect(lie().x).toBeCloseTo(before!.x + 0.01, 3);
    down('Enter');
    expect(lie().turned ?? false).toBe(before!.lengthM > before!.widthM);
    for (let i = 0; i < 30; i++) down('ArrowRight');
    expect(screen.getByText(/Not there: that is over the fire/)).toBeTruthy();
    expect(lie().x).toBeLessThan(0.2);
    await press('Lay them out for me');
    expect(usePlanDraft.getState().meats[0]!.lie).toBeUndefined();
  });
});

describe('saved plans', () => {
  const request = requestOf(FIRST, YARD, METRIC);
  const open = () =>
    show(<SavedPlans request={request} yard={YARD} onClose={() => mockNavigate('closed')} />);

  it('keep what is on the page under a name', async () => {
    open();
    expect(await screen.findByText(/Nothing is saved yet/)).toBeTruthy();
    await press('Save the plan on the page');
    fireEvent.changeText(await screen.findByTestId('plan-name'), '   ');
    await act(async () => {
      fireEvent.press(screen.getByTestId('plan-save'));
      await Promise.resolve();
    });
    expect(await screen.findByRole('alert')).toHaveTextContent(/Write something/);
    fireEvent.changeText(screen.getByTestId('plan-name'), 'Regatta lunch');
    fireEvent.press(screen.getByTestId('plan-save'));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.body).toEqual({ name: 'Regatta lunch', favourite: false, request });
  });

  it('open for the coming week, become favourites, double and go', async () => {
    const old = requestOf({ ...TWO, serveAt: '2020-05-16T13:00' }, YARD, METRIC);
    kept = [{ id: 'k', name: 'Harvest supper', favourite: false, request: old, changedAt: 1 }];
    open();
    fireEvent.press(await screen.findByRole('checkbox', { name: /favourite/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ path: '/api/plans/k', body: { favourite: true } });
    await press('Duplicate');
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]!.body.name).toBe('Harvest supper, again');
    expect(sent[1]!.path).not.toBe('/api/plans/k');
    await press('Delete');
    expect(sent).toHaveLength(2);
    await press('Delete');
    await waitFor(() => expect(sent[2]).toMatchObject({ path: '/api/plans/k', method: 'DELETE' }));
    await press('Open Harvest supper');
    const draft = usePlanDraft.getState();
    expect(draft.meats.map((m) => m.cut)).toEqual(['mutton-shoulder', 'whole-chicken']);
    expect(Date.parse(`${draft.serveAt}Z`)).toBeGreaterThan(Date.now() - 86_400_000);
    expect(mockNavigate).toHaveBeenCalledWith('closed');
  });
});

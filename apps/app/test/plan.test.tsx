import { presetOf } from '@ostrin/core/catalogue';
import type { Plan, Request } from '@ostrin/core';
import { capital } from '@ostrin/wording';
import { planDocument } from '@ostrin/wording/documents';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import type { PlanListener } from '../src/api/core';
import { PlanScreen } from '../src/plan/PlanScreen';
import { firstDraft, usePlanDraft } from '../src/store/planDraft';
import { answerCalls, BOSUN, reply, type Call } from './help';
// Fetched later in the browser; compiled now, not while a test waits for it.
import '../src/plan/PlanSheet';
import '../src/plan/StartSheet';

let mockAsked: { request: Request; to: PlanListener }[] = [];
jest.mock('../src/api/core', () => ({
  askPlan: (request: Request, _now: number, to: PlanListener) => {
    mockAsked.push({ request, to });
    return () => undefined;
  },
}));
// The parts of the answer taking turns has a test of its own.
jest.mock('../src/plan/useStaggered', () => ({
  useStaggered: <T,>(value: T, parts: number): T[] => Array.from({ length: parts }, () => value),
}));
jest.mock('expo-router', () => ({ router: { navigate: jest.fn() } }));

const NOW = Date.UTC(2027, 4, 14, 12);
const ANSWERS: Record<string, unknown> = {
  '/api/pits': [BOSUN],
  '/api/cooks': [],
  '/api/plans': [],
  '/api/next-time': [],
  '/api/shelf': { fuelOnHand: [], prices: [] },
};
let sent: Call[] = [];

function open() {
  answerCalls((call) => {
    sent.push(call);
    return reply(200, ANSWERS[call.path] ?? { id: 'x' });
  });
  const client = new QueryClient({ defaultOptions: { queries: { gcTime: 0 } } });
  return render(
    <QueryClientProvider client={client}>
      <PlanScreen />
    </QueryClientProvider>,
  );
}
const answer = (members: number, final: boolean): Plan => {
  const { request, to } = mockAsked.at(-1)!;
  const made = planDocument(request, { nowMs: NOW, members });
  act(() => to.onPlan(made, final));
  return made;
};

beforeEach(() => {
  mockAsked = [];
  sent = [];
  ANSWERS['/api/pits'] = [BOSUN];
  usePlanDraft.setState({ ...firstDraft(NOW, 'UTC') });
});

it('asks for a plan at once, shows the rough one, then the full one, and starts it', async () => {
  open();
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  act(() => mockAsked[0]!.to.onProgress(0.1));
  const rough = answer(1, false);
  expect(screen.getByTestId('four-times')).toHaveTextContent(/roughly/);
  expect(screen.getByTestId('start-cook').props.accessibilityState?.disabled ?? true).toBe(true);
  const made = answer(2, true);
  expect(rough.fires[0]!.arrangement).toBe(made.fires[0]!.arrangement);
  expect(screen.getByTestId('four-times')).toHaveTextContent(/ready, 8 in 10/);
  // Parts of the page take the new answer up in turn.
  await waitFor(() =>
    expect(screen.getByTestId('job-lay')).toHaveTextContent(
      new RegExp(`${made.fires[0]!.pieces} briquettes`),
    ),
  );
  expect(screen.getByTestId('job-hold')).toHaveTextContent(/Bowl vent/);
  fireEvent.press(screen.getByTestId('start-cook'));
  fireEvent.press(await screen.findByTestId('start-real'));
  await waitFor(() => expect(sent.some((s) => s.method === 'POST')).toBe(true));
});

it('asks anew when the draft changes, and refuses to start what cannot be', async () => {
  open();
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  answer(1, true);
  act(() => usePlanDraft.getState().change({ people: 60 }));
  await waitFor(() => expect(mockAsked).toHaveLength(2));
  expect(mockAsked[1]!.request.people).toBe(60);
  answer(1, true);
  // It is said under the sentence, with what would help, and again over the button that is refused.
  expect(screen.getAllByText(/fit beside the fire/)).toHaveLength(2);
  fireEvent.press(screen.getByTestId('start-cook'));
  expect(sent.some((s) => s.method === 'POST')).toBe(false);
});

it('says when the worker fails and when the server is away', async () => {
  const view = open();
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  act(() => mockAsked[0]!.to.onFail('the engine stumbled'));
  expect(screen.getByText('the engine stumbled')).toBeTruthy();
  view.unmount();
  open();
  global.fetch = jest.fn(() => Promise.reject(new TypeError('down')));
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: 0 } } });
  render(
    <QueryClientProvider client={client}>
      <PlanScreen />
    </QueryClientProvider>,
  );
  expect(await screen.findByText('No answer from the server')).toBeTruthy();
});

it('plans for a common kettle while the yard is empty, and puts the chosen pit into it', async () => {
  ANSWERS['/api/pits'] = [];
  open();
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  expect(mockAsked[0]!.request.pits[0]!.cooker.preset).toBe('kettle-57');
  answer(1, true);
  expect(screen.getByText(/Your yard is empty/)).toBeTruthy();
  expect(screen.getByTestId('job-lay')).toBeTruthy();
  fireEvent.press(screen.getByRole('button', { name: /^Cooker: a 57 cm kettle/ }));
  const kamado = await screen.findByRole('radio', { name: capital(presetOf('kamado-46').name) });
  fireEvent.press(kamado);
  await waitFor(() => expect(sent.some((s) => s.method === 'PUT')).toBe(true));
  const put = sent.find((s) => s.method === 'PUT')!;
  expect(put.path).toMatch(/^\/api\/pits\/kamado/);
  expect(put.body).toMatchObject({ overrides: {} });
});

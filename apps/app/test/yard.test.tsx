import { METRIC } from '@ostrin/core/quantity';
import { presetOf, PRESETS, VENT_NOTATIONS } from '@ostrin/core/catalogue';
import { ventCard, type SteadyCase } from '@ostrin/core/engine';
import { ventName } from '@ostrin/wording';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react-native';
import type { VentCardListener } from '../src/api/core';
import { PIT_SHAPES } from '../src/drawings/pitShapes';
import { idFor } from '../src/store/names';
import { figuresOf, figureWords, stepped } from '../src/yard/figures';
import { PitScreen } from '../src/yard/PitScreen';
import { shelfItemOf, withShelfItem } from '../src/yard/shelfItems';
import { settingWords } from '../src/yard/VentCard';
import { YardScreen } from '../src/yard/YardScreen';
import { answerCalls, BOSUN, reply } from './help';
// Parts that are fetched later are compiled now, not while a test waits for them.
import '../src/ui/FieldsForm';

let mockAsked: { of: SteadyCase; to: VentCardListener }[] = [];
jest.mock('../src/api/core', () => ({
  askVentCard: (of: SteadyCase, to: VentCardListener) => {
    mockAsked.push({ of, to });
    return () => undefined;
  },
}));
jest.mock('expo-router', () => ({
  router: { navigate: jest.fn() },
  Link: ({ children }: { children: React.ReactNode }) => children,
}));

let yard: unknown[] = [];
let sent: { path: string; body: unknown }[] = [];
const SHELF = {
  fuelOnHand: [{ fuel: 'briquette', massKg: 6.5 }],
  prices: [{ fuel: 'briquette', bagKg: 10, each: 14 }],
};
const LEAKY = { ...BOSUN, overrides: { leakCm2: 14 } } as const;

function open(page: React.ReactElement) {
  answerCalls(({ path, method, body }) => {
    if (method === 'PUT') sent.push({ path, body });
    return reply(200, body ?? (path === '/api/shelf' ? SHELF : yard));
  });
  const client = new QueryClient({ defaultOptions: { queries: { gcTime: 0, retry: false } } });
  return render(<QueryClientProvider client={client}>{page}</QueryClientProvider>);
}

beforeEach(() => {
  mockAsked = [];
  sent = [];
  yard = [LEAKY];
});

describe('figures', () => {
  it('has plain words for every figure that a preset lets a person change', () => {
    for (const p of Object.values(PRESETS)) {
      const keys = figuresOf(p.plausibleRanges, METRIC).map((f) => f.key);
      expect([p.id, keys.sort()]).toEqual([p.id, Object.keys(p.plausibleRanges).sort()]);
    }
  });

  it('steps inside the range and lands on round numbers', () => {
    const { plausibleRanges: plausible, parameters: pit } = presetOf('kettle-57');
    const leak = figuresOf(plausible, METRIC).find((f) => f.key === 'leakCm2')!;
    expect(stepped(leak, 10, 1, [3, 30])).toBe(11);
    expect(stepped(leak, 30, 1, [3, 30])).toBe(30);
    const steel = figuresOf(presetOf('offset-heavy').plausibleRanges, {
      temperature: 'F',
      mass: 'lb',
    }).find((f) => f.key === 'wallMm')!;
    expect(figureWords(steel, 6.35)).toBe('0.25 in');
    expect(stepped(steel, 6.35, 1, [3, 12])).toBeCloseTo((9 / 32) * 25.4);
    const metal = figuresOf(plausible, METRIC).find((f) => f.key === 'metalJPerK')!;
    expect(figureWords(metal, pit.metalJPerK)).toBe('10.6 kg of steel');
    expect(figureWords(metal, stepped(metal, pit.metalJPerK, 1, [3000, 8000]))).toBe(
      '11.0 kg of steel',
    );
    const tight = figuresOf(presetOf('kamado-46').plausibleRanges, METRIC).find(
      (f) => f.key === 'leakCm2',
    )!;
    expect(stepped(tight, 0.8, 1, [0.2, 6])).toBeCloseTo(1);
  });

  it('gives each name its own id', () => {
    expect(idFor('Long Tom', [])).toBe('long-tom');
    expect(idFor('Long Tom!', [{ id: 'long-tom' }, { id: 'long-tom-2' }])).toBe('long-tom-3');
    expect(idFor('  …  ', [])).toBe('pit');
  });
});

describe('vents in their owner’s words', () => {
  it('rounds to what a person can set, and never calls an open vent shut', () => {
    expect(ventName(0.25, { way: 'quarters' }, 60)).toBe('¼');
    expect(ventName(17 / 150, { way: 'mm' }, 150)).toBe('17 mm');
    expect(ventName(0.3, { way: 'fingers' }, 120)).toBe('2 fingers');
    expect(ventName(0.5, { way: 'clock' }, 60)).toBe('1:30');
    for (const way of VENT_NOTATIONS) {
      expect(ventName(0, { way }, 60)).toBe('shut');
      expect(ventName(0.01, { way }, 60)).not.toBe('shut');
    }
  });
});

describe('drawings', () => {
  it('draws every preset inside its own picture', () => {
    for (const p of Object.values(PRESETS)) {
      const s = PIT_SHAPES[p.family](p.parameters);
      for (const { x, y } of [s.intake, s.exhaust, s.coals]) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(s.widthM);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(s.heightM);
      }
      expect(s.skin.join(' ')).not.toMatch(/NaN|undefined/);
    }
  });
});

describe('the shelf', () => {
  it('says what is there, and is counted anew with what it costs', async () => {
    open(<YardScreen />);
    fireEvent.press(
      await screen.findByRole('button', { name: /^Briquettes: 6.5 kg, 10 kg for 14.00/ }),
    );
    fireEvent.changeText(await screen.findByLabelText('On the shelf, kg'), '4,5');
    await act(async () => {
      fireEvent.press(screen.getByTestId('shelf-save'));
      await Promise.resolve();
    });
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      path: '/api/shelf',
      body: { fuelOnHand: [{ fuel: 'briquette', massKg: 4.5 }], prices: SHELF.prices },
    });
    expect(await screen.findByRole('button', { name: /^Briquettes: 4.5 kg/ })).toBeTruthy();
  });

  it('wants a bag with its price, and no words for numbers', async () => {
    open(<YardScreen />);
    fireEvent.press(await screen.findByRole('button', { name: /^Splits: not counted, no price/ }));
    fireEvent.changeText(await screen.findByLabelText('On the shelf, kg'), 'a lot');
    fireEvent.changeText(screen.getByLabelText('A bundle costs, in your own money'), '9');
    await act(async () => {
      fireEvent.press(screen.getByTestId('shelf-save'));
      await Promise.resolve();
    });
    const said = (await screen.findAllByRole('alert')).map((a) => a.props.children);
    expect(said).toEqual([
      expect.stringMatching(/number such as 7.5/),
      expect.stringMatching(/what a bundle holds/),
    ]);
    expect(sent).toEqual([]);
  });

  it('is one shelf whatever order it is written in, and forgets what is emptied', () => {
    const doc = SHELF as Parameters<typeof withShelfItem>[0];
    const none = { massKg: null, bagKg: null, each: null };
    expect(withShelfItem(doc, 'briquette', none)).toEqual({ fuelOnHand: [], prices: [] });
    const both = withShelfItem(doc, 'lump', { massKg: 0, bagKg: 8, each: null });
    expect(shelfItemOf(both, 'lump')).toEqual({ massKg: 0, bagKg: null, each: null });
    expect(shelfItemOf(both, 'briquette')).toEqual({ massKg: 6.5, bagKg: 10, each: 14 });
  });
});

describe('the yard', () => {
  it('lists its pits, and says what to do when there is none', async () => {
    const view = open(<YardScreen />);
    await waitFor(() => expect(screen.getByText('the Bosun')).toBeTruthy());
    expect(screen.getByText('57 cm kettle · 1 figure of its own')).toBeTruthy();
    view.unmount();
    yard = [];
    open(<YardScreen />);
    await waitFor(() => expect(screen.getByText(/No pit yet/)).toBeTruthy());
    fireEvent.press(screen.getByRole('button', { name: 'Add a pit' }));
    expect(
      screen.getByRole('button', { name: 'Add it' }).props.accessibilityState?.disabled ?? true,
    ).toBe(true);
    fireEvent.changeText(screen.getByPlaceholderText('the Bosun'), 'Clay Jar');
    fireEvent.press(screen.getByRole('radio', { name: '46 cm ceramic kamado' }));
    fireEvent.press(screen.getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      path: '/api/pits/clay-jar',
      body: { name: 'Clay Jar', preset: 'kamado-46', ventWay: 'mm' },
    });
  });
});

describe('one pit', () => {
  it('changes a figure, puts all back, and asks for its card anew', async () => {
    open(<PitScreen id="bosun" />);
    await waitFor(() => expect(mockAsked).toHaveLength(1));
    expect(mockAsked[0]!.of.overrides).toEqual({ leakCm2: 14 });
    act(() => mockAsked[0]!.to.onProgress(0.4));
    expect(screen.getByText(/40 %/)).toBeTruthy();
    fireEvent.press(screen.getByRole('button', { name: 'Leaks: 14 cm²' }));
    fireEvent.press(screen.getByRole('button', { name: 'Leaks: more' }));
    await waitFor(() => expect(sent[0]?.body).toMatchObject({ overrides: { leakCm2: 15 } }));
    fireEvent.press(screen.getByRole('button', { name: 'Done' }));
    fireEvent.press(screen.getByRole('button', { name: 'All back to the usual' }));
    await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ overrides: {} }));
  });

  it('shows the card in the pit’s own units and says when it fails', async () => {
    open(<PitScreen id="bosun" />);
    await waitFor(() => expect(mockAsked).toHaveLength(1));
    const work = ventCard(mockAsked[0]!.of);
    let step = work.next();
    while (!step.done) step = work.next();
    const card = step.value;
    act(() => mockAsked[0]!.to.onCard(card));
    expect(screen.getByText(settingWords(card.rows[0]!, LEAKY, METRIC).join(', '))).toBeTruthy();
    expect(
      screen.getAllByText(`${Math.round(card.rows[0]!.settlesC[0]!)}°`).length,
    ).toBeGreaterThan(0);
    act(() => mockAsked[0]!.to.onFail('the engine stumbled'));
    expect(screen.getByText('the engine stumbled')).toBeTruthy();
    open(<PitScreen id="nobody" />);
    await waitFor(() => expect(screen.getByText(/no such pit/)).toBeTruthy());
  });
});

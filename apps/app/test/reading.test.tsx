/** A reading by hand that was mistyped: asked about when it is typed, and put right hours later. */
import { foldLog, litAtMs, type LogLine } from '@ostrin/core/log';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import fc from 'fast-check';
import { logDeeds, openLog } from '../src/store/logging';
import { LogLineSheet } from '../src/tend/LogLineSheet';
import { ReadSheet } from '../src/tend/ReadSheet';
import { isSurprising, lastReading, meantBy } from '../src/tend/surprise';
import { freshCook, kept, OnCook, PLAN, T0 } from './openCook';

const MIN = 60_000;
const log = () => foldLog(openLog());
const lid = (c: number) => ({ body: { kind: 'read', spot: 'dome', c } }) as const;
const noop = (): void => {};
const type = (figures: string): void => {
  for (const f of figures) fireEvent.press(screen.getByTestId(`key-${f}`));
};

beforeEach(freshCook);

it('says what was meant: the digits in another order or one too many, near the last reading', () => {
  expect([meantBy(311, 124), meantBy(1211, 124), meantBy(12, 121), meantBy(250, 121)]).toEqual([
    131,
    121,
    null,
    null,
  ]);
  fc.assert(
    fc.property(fc.integer({ min: 80, max: 300 }), fc.integer({ min: 0, max: 9999 }), (last, n) => {
      const meant = meantBy(n, last);
      if (meant === null) return;
      expect(meant).not.toBe(n);
      expect(Math.abs(meant - last)).toBeLessThanOrEqual(40);
    }),
  );
});

it('asks about a pit that leaps and a middle that falls, not about a fire that comes up', () => {
  const last = (c: number) => ({ c, at: T0 });
  const pit = { spot: 'grate' } as const;
  const meat = { spot: 'meat', meat: 'a' } as const;
  const in10 = T0 + 10 * MIN;
  expect(isSurprising(pit, 311, in10, last(124))).toBe(true);
  expect(isSurprising(pit, 150, in10, last(124))).toBe(false);
  expect(isSurprising(pit, 140, in10, last(25))).toBe(false);
  expect(isSurprising(pit, 311, T0 + 200 * MIN, last(124))).toBe(false);
  expect(isSurprising(pit, 311, in10, null)).toBe(false);
  expect(isSurprising(meat, 96, in10, last(66))).toBe(true);
  expect(isSurprising(meat, 40, in10, last(66))).toBe(true);
  expect(isSurprising(meat, 70, in10, last(66))).toBe(false);
});

it('asks at entry with what was probably meant, and takes either answer', () => {
  const read = jest.fn();
  const lines: LogLine[] = [{ id: 'r', at: T0 - 15 * MIN, corrected: false, body: lid(124).body }];
  const of = { ...foldLog([]), lines };
  render(<ReadSheet plan={PLAN} log={of} now={T0} onRead={read} onClose={noop} />);
  type('311');
  fireEvent.press(screen.getByTestId('read-save'));
  expect(read).not.toHaveBeenCalled();
  expect(screen.getByTestId('read-surprise')).toHaveTextContent(/311°\? The last reading was 124°/);
  fireEvent.press(screen.getByTestId('read-meant'));
  expect(read).toHaveBeenLastCalledWith({ kind: 'read', spot: 'dome', c: 131 }, T0);
  fireEvent.press(screen.getByRole('button', { name: '311° is right' }));
  expect(read).toHaveBeenLastCalledWith({ kind: 'read', spot: 'dome', c: 311 }, T0);
  // One degree more or less than what stands there, else than the last reading.
  fireEvent.press(screen.getByRole('button', { name: 'Type it again' }));
  fireEvent.press(screen.getByRole('button', { name: 'One degree more' }));
  expect(screen.getByTestId('read-typed')).toHaveTextContent('125°C');
});

it('is put right hours later at its own time, and taken back', async () => {
  await logDeeds([lid(124)], T0);
  await logDeeds([lid(311)], T0 + 15 * MIN);
  await logDeeds([lid(126)], T0 + 30 * MIN);
  const wrong = log().lines[1]!;
  const sheet = (line: LogLine) => (
    <OnCook>
      <LogLineSheet
        line={line}
        plan={PLAN}
        log={log()}
        now={T0 + 200 * MIN}
        onWrite={(deeds) => void logDeeds(deeds, T0 + 200 * MIN)}
        onClose={noop}
      />
    </OnCook>
  );
  const shown = render(sheet(wrong));
  type('⌫⌫⌫131');
  await act(async () => {
    fireEvent.press(screen.getByTestId('read-save'));
    await Promise.resolve();
  });
  await kept();
  const read = (): unknown[] =>
    log().lines.flatMap(({ at, body }) =>
      body.kind === 'read' ? [[(at - T0) / MIN, body.c]] : [],
    );
  expect(read()).toEqual([
    [0, 124],
    [15, 131],
    [30, 126],
  ]);
  expect(lastReading(log().lines, { spot: 'dome' }, T0 + 20 * MIN)).toEqual({
    c: 131,
    at: T0 + 15 * MIN,
  });
  expect(litAtMs(log())).toBeNull();
  shown.unmount();
  render(sheet(log().lines[1]!));
  await act(async () => {
    fireEvent.press(screen.getByRole('button', { name: 'Remove this reading' }));
    await Promise.resolve();
  });
  await kept();
  expect(read()).toHaveLength(2);
});

import { planOnePit } from '@ostrin/core/engine';
import { METRIC } from '@ostrin/core/quantity';
import { foldLog, type Entry } from '@ostrin/core/log';
import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { useSettings } from '../src/store/settings';
import { useOutbox } from '../src/outbox/outbox';
import { useLive } from '../src/store/live';
import { logDeeds, openLog } from '../src/store/logging';
import { LogPad } from '../src/tend/LogPad';
import { otherDeeds } from '../src/tend/MoreSheet';
import {
  doJob,
  fuelTap,
  isActionOfJob,
  logAction,
  nextMeat,
  retiming,
  ventsNow,
} from '../src/tend/actions';
import { freshCook, kept, OnCook, PLAN, press, T0, wish } from './openCook';
// Parts that are fetched later are compiled now, not while a test waits for them.
import '../src/tend/ReadSheet';
import '../src/ui/FieldsForm';

const log = () => foldLog(openLog());

beforeEach(freshCook);

describe('the log pad', () => {
  const Pad = () => {
    useLive();
    useOutbox();
    const [last, setLast] = useState<Entry[]>([]);
    return (
      <OnCook>
        <LogPad last={last} setLast={setLast} onEdit={() => undefined} />
      </OnCook>
    );
  };

  it('logs with one tap and takes it back with one more', async () => {
    render(<Pad />);
    press(/^Log lid/);
    await kept();
    expect(log().lines.map((l) => l.body)).toEqual([
      expect.objectContaining({ kind: 'act', action: { do: 'lid-open', seconds: 60 } }),
    ]);
    expect(screen.getByTestId('last-tap')).toBeTruthy();
    press('Undo');
    await kept();
    expect(log().lines).toEqual([]);
  });

  it('logs a reading by thumb in the units of the user, and refuses what nothing at a pit reads', async () => {
    useSettings.setState({ units: { temperature: 'F', mass: 'lb' } });
    render(<Pad />);
    press('Log what a thermometer reads');
    const key = async (k: string): Promise<void> =>
      fireEvent.press(await screen.findByTestId(`key-${k}`));
    for (const k of ['9', '9', '9', '9']) await key(k);
    expect(screen.getByText(/Nothing at a pit reads that/)).toBeTruthy();
    fireEvent.press(screen.getByTestId('read-save'));
    for (let i = 0; i < 4; i++) await key('⌫');
    for (const k of ['2', '5', '0']) await key(k);
    fireEvent.press(screen.getByRole('radio', { name: 'Dial in the lid' }));
    await act(async () => {
      fireEvent.press(screen.getByTestId('read-save'));
      await Promise.resolve();
    });
    await kept();
    const [line] = log().lines;
    if (line?.body.kind !== 'read') throw new Error('no reading');
    expect(line.body).toMatchObject({ spot: 'dome' });
    expect(line.body.c).toBeCloseTo(121.1, 1);
    act(() => {
      useSettings.setState({ units: METRIC });
    });
  });

  it('offers only what this pit has', () => {
    const kinds = otherDeeds(PLAN).map((d) => d.do);
    expect(kinds).toContain('rake');
    expect(kinds).not.toContain('door');
    expect(kinds).not.toContain('fan');
  });

  it('logs fuel, vents and notes', async () => {
    render(<Pad />);
    press(/^Log fuel/);
    press('Log vents');
    press('Lid vent ½');
    await kept();
    press('Log a note or something else');
    fireEvent.press(await screen.findByTestId('write-note'));
    await screen.findByRole('button', { name: 'Log this note' });
    press('Log this note');
    expect(await screen.findByRole('alert')).toBeTruthy();
    fireEvent.changeText(screen.getByTestId('note-text'), 'thin blue');
    await act(async () => {
      press('Log this note');
      await Promise.resolve();
    });
    await screen.findByTestId('last-tap');
    const said = log().lines.map((l) => (l.body.kind === 'act' ? l.body.action.do : l.body.kind));
    expect(said).toEqual(expect.arrayContaining(['add-fuel', 'set-vents', 'note']));
    expect(ventsNow(log())).toMatchObject({ exhaustFraction: 0.5 });
  });

  it('does the job with the move that the job asks for, and only then', async () => {
    const light = PLAN.jobs.find((j) => j.id === 'light')!;
    const meatOn = PLAN.jobs.find((j) => j.id === 'meat-on')!;
    expect(isActionOfJob(meatOn, { do: 'lid-open', seconds: 60 })).toBe(false);
    expect(isActionOfJob(light, light.logs[0]!)).toBe(true);
    await logAction(PLAN, log(), light.logs[0]!, T0);
    expect(log().jobsDone.has('light')).toBe(true);
    await logAction(PLAN, log(), nextMeat(PLAN, log())!, T0 + 1);
    expect(log().jobsDone.has('meat-on')).toBe(true);
    expect(nextMeat(PLAN, log())).toMatchObject({ do: 'wrap' });
    const logLine = log().lines.find((l) => l.jobId === 'meat-on')!;
    await logDeeds(retiming(log(), logLine, T0 - 60_000), T0 + 2);
    expect(
      log()
        .lines.filter((l) => l.jobId === 'meat-on')
        .every((l) => l.at === T0 - 60_000),
    ).toBe(true);
  });
});

describe('a tap on Fuel', () => {
  const offset = {
    ...wish,
    pits: [
      {
        ...wish.pits[0]!,
        cooker: { preset: 'offset-heavy', overrides: {} },
        fire: { fuel: 'splits' as const, species: 'hickory' as const },
      },
    ],
  };
  const made = planOnePit(offset, { nowMs: 0, members: 1 });
  const feeds = made.jobs.filter((j) => j.do === 'add-fuel');
  const at = (min: number): number => T0 + min * 60_000;
  const lit = async (): Promise<void> => {
    const light = made.jobs.find((j) => j.id === 'light')!;
    await logDeeds([{ body: { kind: 'act', action: light.logs[0]! }, jobId: 'light' }], T0);
  };
  const fed = (): number =>
    log().lines.filter((l) => l.body.kind === 'act' && l.body.action.do === 'add-fuel').length;
  const perFeed = feeds[0]!.logs.filter((l) => l.do === 'add-fuel').length;

  it('is the planned feed when that is due, and closes it, whatever its exact mass', async () => {
    await lit();
    const first = feeds[0]!;
    const tap = fuelTap(made, log(), at(first.atMin - 5));
    expect(tap).toMatchObject({ fuel: 'splits', species: 'hickory' });
    await logAction(made, log(), { ...tap, massKg: tap.massKg! * 1.1 }, at(first.atMin - 5));
    expect(log().jobsDone.has(first.id)).toBe(true);
    // Done on the same card, pressed a moment later, counts nothing twice.
    const before = fed();
    expect(await doJob(first, at(first.atMin))).toEqual([]);
    expect(fed()).toBe(before);
    expect(before).toBe(perFeed);
  });

  it('is one more feed long before the planned one, which stays to be done', async () => {
    await lit();
    const first = feeds[0]!;
    const early = at(first.atMin - 22);
    await logAction(made, log(), fuelTap(made, log(), early), early);
    expect(log().jobsDone.has(first.id)).toBe(false);
    expect(fed()).toBe(1);
  });
});

/** A plan and an open cook of its own for each test of the pages. */
import { planOnePit } from '@ostrin/core/engine';
import { METRIC } from '@ostrin/core/quantity';
import type { Advice, CookNow } from '@ostrin/core/tending';
import type { Entry } from '@ostrin/core/log';
import { cookNow, knownCook, ordersOf } from '@ostrin/core/tending';
import { act, fireEvent, screen } from '@testing-library/react-native';
import type { ReactNode } from 'react';
import { requestOf } from '../src/store/request';
import { firstDraft, usePlanDraft } from '../src/store/planDraft';
import { useLive } from '../src/store/live';
import { useSettings } from '../src/store/settings';
import { openLog } from '../src/store/logging';
import { CookContext } from '../src/tend/cookContext';
import { BOSUN } from './help';

const DRAFT_DAY = Date.UTC(2027, 4, 14);
export const wish = requestOf({ ...firstDraft(DRAFT_DAY, 'UTC') }, [BOSUN], METRIC);
export const PLAN = planOnePit(wish, { nowMs: 0, members: 1 });
export const T0 = Date.UTC(2027, 4, 15, 8);

/** Lets what was touched be kept. */
export const kept = () => act(async () => void (await new Promise((done) => setTimeout(done, 5))));
export const press = (name: string | RegExp) =>
  fireEvent.press(screen.getByRole('button', { name }));

let cooks = 0;

/** A server that does not answer, a new draft, and a cook of this test's own: nothing of others is in its log. */
export function freshCook(): void {
  global.fetch = jest.fn(() => new Promise<Response>(() => undefined));
  usePlanDraft.setState(firstDraft(DRAFT_DAY, 'UTC'));
  useSettings.setState({ units: METRIC });
  useLive.setState({
    cookId: `c${++cooks}`,
    entries: [],
    plan: PLAN,
    connection: 'live',
    fire: 'real',
  });
}

/** The open cook at `T0` with what a test wants otherwise. */
export const cookAtT0 = (part: Partial<CookNow> = {}): CookNow => ({
  ...cookNow(
    knownCook({ id: 'c', plan: PLAN, startMs: T0, entries: openLog(), readings: [] }),
    {},
    T0,
  ),
  ...part,
});

/** A part of the page of the open cook. */
export function OnCook(p: {
  part?: Partial<CookNow>;
  advice?: Advice | null;
  onLogged?: (entries: Entry[]) => void;
  children: ReactNode;
}) {
  const { part, advice = null, onLogged = () => undefined, children } = p;
  const cook = cookAtT0(part);
  return (
    <CookContext.Provider
      value={{ cook, orders: ordersOf(cook, { advice }), mayLog: true, onLogged }}
    >
      {children}
    </CookContext.Provider>
  );
}

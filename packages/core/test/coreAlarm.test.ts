/** A core temperature at which whoever tends wants to be called: of each piece, as it was said last. */
import {
  cookNow,
  foldLog,
  knownCook,
  MINUTE_MS,
  planOnePit,
  type Entry,
} from '@ostrin/core/internals';
import { entriesFrom, fireLit, request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 5);
const PLAN = planOnePit(request(), { nowMs: T0 - 86_400_000, members: 1 });
const [{ id: MEAT }] = PLAN.request.meats;

const entry = entriesFrom(T0);
const callAt = (atMin: number, c: number | null, meat = MEAT): Entry =>
  entry(atMin, { kind: 'call-at', meat, c });

it('is the last that was said of each piece, until it is taken back or set to none', () => {
  const later = callAt(2, 74);
  const said = [later, callAt(1, 60), callAt(0, 90, 'ribs')];
  expect(Object.fromEntries(foldLog(said).callAtC)).toEqual({ [MEAT]: 74, ribs: 90 });
  const undo = entry(3, { kind: 'undo', target: later.id });
  expect(foldLog([...said, undo]).callAtC.get(MEAT)).toBe(60);
  expect([...foldLog([...said, callAt(4, null)]).callAtC.keys()]).toEqual(['ribs']);
});

it('calls when the piece reads that, by hand or connected, and only while it lies in the pit', () => {
  const begun = [
    fireLit(T0),
    entry(40, { kind: 'act', action: { do: 'meat-on', meat: MEAT } }),
    callAt(60, 71),
  ];
  const read = (c: number): Entry => entry(290, { kind: 'read', spot: 'meat', c, meat: MEAT });
  const calls = (...more: Entry[]) =>
    cookNow(
      knownCook({ id: 'c', plan: PLAN, startMs: T0, entries: [...begun, ...more], readings: [] }),
      {},
      T0 + 300 * MINUTE_MS,
    )
      .alarms.filter((a) => a.code === 'called-at')
      .map((a) => [a.id, a.atC]);
  expect(calls()).toEqual([]);
  expect(calls(read(70.9))).toEqual([]);
  expect(calls(read(71))).toEqual([[`called-at/${MEAT}/71`, 71]]);
  expect(calls(read(71), callAt(295, null))).toEqual([]);
  const off = entry(292, { kind: 'act', action: { do: 'meat-off', meat: MEAT } });
  expect(calls(read(71), off)).toEqual([]);
});

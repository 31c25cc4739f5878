/** Finished cooks for tests: a kettle that was cooked on as its scenario says, with its log and its readings. */
import {
  MINUTE_MS,
  simulate,
  type CookToExplain,
  type Entry,
  type EntryBody,
  type PitPlan,
  type ReadingRow,
  type Scenario,
} from '@ostrin/core/internals';
import { kettle, request } from '@ostrin/testing';

export const ZERO = Date.UTC(2027, 4, 15, 5);
let n = 0;
export const entry = (atMin: number, body: EntryBody, jobId?: string): Entry => ({
  id: `e${n++}`,
  at: ZERO + atMin * MINUTE_MS,
  ...(jobId ? { jobId } : {}),
  ...body,
});
export const act = (atMin: number, action: object, jobId?: string): Entry =>
  entry(atMin, { kind: 'act', action } as EntryBody, jobId);

/** A kettle that was cooked on as its scenario says, and read each minute. */
export function cookOf(
  part: Partial<Scenario>,
  { massKg = 2, wrapAtMin = null as number | null, offMin = null as number | null } = {},
): { cook: CookToExplain; plan: PitPlan; offMin: number } {
  const base = kettle({ untilMin: 900, ...part });
  const meat = {
    id: 'm',
    cut: 'pork-shoulder',
    massKg,
    startC: 4,
    done: { tender: true } as const,
  };
  const wrap =
    wrapAtMin === null
      ? []
      : [{ atMin: wrapAtMin, do: 'wrap' as const, meat: 'm', with: 'foil' as const }];
  const scenario: Scenario = {
    ...base,
    meats: [meat],
    actions: [...base.actions, { atMin: 30, do: 'meat-on', meat: 'm' }, ...wrap],
    everyMin: 1,
  };
  const result = simulate(scenario);
  const done = result.meats[0]!.doneAtMin;
  const off = offMin ?? done ?? 880;
  const readings: ReadingRow[] = result.minutes
    .filter((min) => min <= off)
    .map((min) => ({
      at: ZERO + min * MINUTE_MS,
      pitC: result.pitC[result.minutes.indexOf(min)]!,
      coreC: result.meats[0]!.coreC[result.minutes.indexOf(min)]!,
    }));
  const entries = [
    ...base.actions.map((a, i) => act(a.atMin, withoutMinute(a), i === 0 ? 'light' : undefined)),
    act(30, { do: 'lid-open', seconds: 60 }, 'meat-on'),
    act(30, { do: 'meat-on', meat: 'm' }, 'meat-on'),
    ...wrap.map((a) => act(a.atMin, withoutMinute(a))),
    act(off, { do: 'meat-off', meat: 'm' }, 'off'),
    entry(off + 20, { kind: 'finish' }),
  ];
  // Of a plan only what is read of a cook that is over: a whole one takes seconds to work out for each of them.
  const { pits, meats, ...rest } = request();
  const plan = {
    request: {
      ...rest,
      pits: [{ ...pits[0], pace: { pitC: 121, bandC: 8 } }],
      meats: [{ ...meats[0], id: 'm', cut: 'pork-shoulder' }],
      timeZone: 'UTC',
    },
    scenarios: [{ ...scenario, everyMin: 1 }],
    lightAt: '2027-05-15T05:00',
    ready: [{ id: 'm', p50: '2027-05-15T13:00' }],
    fires: [{ arrangement: 'snake', fuel: 'briquette' }],
    jobs: [
      { id: 'light', at: '2027-05-15T05:00' },
      { id: 'meat-on', at: '2027-05-15T05:25' },
      { id: 'off', at: '2027-05-15T13:00' },
    ],
  } as unknown as PitPlan;
  return { cook: { plan, entries, readings }, plan, offMin: off };
}
const withoutMinute = ({ atMin: _atMin, ...action }: { atMin: number }): object => action;

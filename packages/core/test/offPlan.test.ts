/** Why a piece is early or late. */
import { foldLog, offPlan } from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 8);
const MIN = 60_000;
const FIRST = request().meats[0].id;

describe('off the plan', () => {
  const wish = request();
  const plan = { request: wish, jobs: [{ id: 'off', atMin: 540 }] };
  const { pitC } = wish.pits[0].pace;
  const log = foldLog([{ id: 'on', at: T0, kind: 'act', action: { do: 'meat-on', meat: FIRST } }]);
  const at = (offK: number, ready: number, thickness?: { times: number; sure: number }) =>
    offPlan(
      plan,
      log,
      Array.from({ length: 30 }, (_, i) => ({
        at: T0 + i * 10 * MIN,
        pitC: pitC + offK,
        coreC: null,
      })),
      {
        readyMin: [ready - 60, ready, ready + 60],
        learned: thickness ? { readings: 9, offK: 1, probeOffMm: 4, thickness } : null,
      },
    );

  it('is the pit where it ran to that side, else the piece, and nothing while it is near', () => {
    expect(at(-6, 620)).toMatchObject({ because: 'colder-pit', byMin: 80 });
    expect(at(6, 480)).toMatchObject({ because: 'hotter-pit', byMin: -60 });
    expect(at(0, 620)?.because).toBe('slower-piece');
    expect(at(6, 620)?.because).toBe('slower-piece');
    expect(at(0, 480)?.because).toBe('faster-piece');
    expect(at(0, 620, { times: 1.1, sure: 0.9 })?.because).toBe('thicker-piece');
    expect(at(0, 480, { times: 0.9, sure: 0.9 })?.because).toBe('thinner-piece');
    // Neither a thickness to the other side nor one that is hardly known explains it.
    expect(at(0, 620, { times: 0.9, sure: 0.9 })?.because).toBe('slower-piece');
    expect(at(0, 620, { times: 1.1, sure: 0.6 })?.because).toBe('slower-piece');
    // It is surer the further off the plan and the target.
    expect(at(-9, 700)!.sure).toBeGreaterThan(at(-3.5, 565)!.sure);
    expect(at(-6, 550)).toBeNull();
    expect(offPlan(plan, log, [], null)).toBeNull();
  });

  it('is when it went on, where that was so much later, whatever the pit did', () => {
    const light = { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 } as const;
    const lit = { id: 'lit', at: T0, kind: 'act', jobId: 'light', action: light } as const;
    const late = (onMin: number, readyMin: number) =>
      offPlan(
        { request: wish, jobs: [{ id: 'meat-on', atMin: 45 }, ...plan.jobs] },
        foldLog([
          lit,
          { id: 'on', at: T0 + onMin * MIN, kind: 'act', action: { do: 'meat-on', meat: FIRST } },
        ]),
        [],
        { readyMin: [readyMin - 60, readyMin, readyMin + 60], learned: null },
      );
    expect(late(105, 610)).toMatchObject({ because: 'went-on-late', onLateMin: 60, byMin: 70 });
    expect(late(65, 640)!.because).toBe('slower-piece');
    expect(late(105, 480)!.because).toBe('faster-piece');
  });
});

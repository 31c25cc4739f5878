import fc from 'fast-check';
import { plan, pullTemperatureC, simulate, usualDone, cutOf, CUTS } from '@ostrin/core/internals';
import { held, request } from '@ostrin/testing';

describe('a roast that is wanted at a temperature on the plate', () => {
  const rest = { where: 'tented', minutes: 20 } as const;

  it('ends there after its rest, whatever its size, its pit and its rest', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 58 }),
        fc.constantFrom(107, 121, 135, 150),
        fc.double({ min: 1.5, max: 4, noNaN: true }),
        fc.constantFrom('open', 'tented', 'counter'),
        (plateC, pitC, massKg, where) => {
          const meat = { cut: 'rib-roast', massKg, rest: { where, minutes: 30 } } as const;
          const spec = { id: 'a', startC: 4, ...meat };
          const pullC = pullTemperatureC(spec, plateC, pitC);
          expect(pullC).toBeLessThanOrEqual(plateC);
          const run = simulate(held(pitC, { ...meat, done: { coreC: pullC } })).meats[0]!;
          const peak = Math.max(...run.coreC.slice(run.doneAtMin!).map((c) => c ?? 0));
          expect(Math.abs(peak - plateC)).toBeLessThan(1.2);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('is what is usual for it, and the plan pulls it earlier', () => {
    const done = usualDone(cutOf('rib-roast'));
    if (!('plateC' in done)) throw new Error('no plate temperature');
    expect(done.plateC).toBeGreaterThanOrEqual(52);
    expect(done.plateC).toBeLessThanOrEqual(54);
    const meat = {
      ...request().meats[0],
      cut: 'rib-roast',
      massKg: 2.3,
      wrap: { with: 'none' } as const,
      rest,
      done,
    };
    const made = plan(request({ meats: [meat] }), { nowMs: 0, members: 1 });
    const planned = made.scenarios[0]!.meats[0]!.done;
    if (!planned || !('coreC' in planned)) throw new Error('not pulled by temperature');
    expect(planned.coreC).toBeLessThan(done.plateC);
    expect(planned.coreC).toBeGreaterThan(done.plateC - 12);
    expect(made.jobs.find((j) => j.id === 'check')!.facts).toMatchObject({
      kind: 'check',
      done: { coreC: planned.coreC },
      plateC: done.plateC,
    });
  });

  it('is no way to call poultry or a shoulder done', () => {
    for (const cut of Object.values(CUTS)) {
      if (cut.id !== 'rib-roast' && cut.safetyKind !== 'red')
        expect(usualDone(cut)).toHaveProperty('coreC');
    }
    expect(usualDone(cutOf('brisket'))).toEqual({ tender: true });
  });
});

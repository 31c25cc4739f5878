/** Every way in which a vent may be given: the notations, and dials of an owner's own marks. */
import fc from 'fast-check';
import { VENT_NOTATIONS, type VentScale } from '@ostrin/core/internals';

const dial: fc.Arbitrary<VentScale> = fc
  .record({
    shut: fc.integer({ min: -12, max: 12 }),
    steps: fc.integer({ min: 4, max: 24 }),
    step: fc.constantFrom(0.25, 0.5, 1),
    up: fc.boolean(),
  })
  .map(({ shut, steps, step, up }) => ({
    way: 'dial',
    dial: { shut, open: shut + (up ? 1 : -1) * steps * step, step },
  }));

export const ventScale: fc.Arbitrary<VentScale> = fc.oneof(
  fc.constantFrom(...VENT_NOTATIONS).map((way) => ({ way })),
  dial,
);

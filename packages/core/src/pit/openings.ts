/** The areas of a pit's openings, from its handles, ash, lid and doors. */
import type { PitState } from './pitState';

/** Area of an opening in series with what lets air through to the coals, m2. */
const throughBed = (areaM2: number, freeM2: number): number =>
  areaM2 > 0 ? 1 / Math.sqrt(1 / (areaM2 * areaM2) + 1 / (freeM2 * freeM2)) : 0;

/** Puts the handles' positions, the ash, lid and doors into the network's areas. */
export function updateOpenings(pit: PitState): void {
  const { layout, network: net } = pit;
  const free =
    layout.grateFreeAreaM2 > 0
      ? layout.grateFreeAreaM2 / (1 + (pit.bedAshKg / layout.ashHalvingKg) ** 2)
      : Infinity;
  for (let i = 0; i < layout.openings.length; i++) {
    const h = layout.openings[i]!;
    const o = net.openings[i]!;
    switch (h.kind) {
      case 'intake':
        o.areaM2 = throughBed(
          h.areaM2 * Math.max(pit.intakeFraction, layout.closedVentFraction),
          free,
        );
        break;
      case 'exhaust':
        o.areaM2 =
          pit.lidOpen && h.liftedWithLid
            ? 0
            : h.areaM2 *
              Math.max(
                Math.pow(pit.exhaustFraction, layout.exhaustExponent),
                layout.closedVentFraction,
              );
        break;
      case 'lid':
        o.areaM2 = pit.lidOpen ? h.areaM2 : 0;
        break;
      case 'door':
        o.areaM2 = h.areaM2 * pit.doorFraction;
        break;
      case 'fan':
        // Its flap falls shut when the fan rests, but never tight (common practice: a twelfth).
        o.areaM2 = pit.fanFitted
          ? throughBed(h.areaM2 * Math.max(Math.min(5 * pit.fanDuty, 1), 0.08), free)
          : 0;
        break;
      default:
        o.areaM2 = h.areaM2;
    }
    o.pushPa = h.kind === 'fan' ? pit.parameters.fanPa * pit.fanDuty * pit.fanDuty : 0;
  }
}

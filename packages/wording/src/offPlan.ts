/** Why a piece is earlier or later than planned, in one sentence with its figures. */
import type { Units } from '@ostrin/core';
import type { OffPlan } from '@ostrin/core/tending';
import { spanOfTime, spanWords } from './quantities';

/** The sentence. */
export function offPlanWords({ byMin, pitOffK, because }: OffPlan, units: Units): string {
  const by = `About ${spanOfTime(Math.abs(Math.round(byMin / 5) * 5))} ${byMin > 0 ? 'later' : 'earlier'} than planned`;
  const off = spanWords(Math.abs(pitOffK), units);
  switch (because) {
    case 'hotter-pit':
      return `${by}: the pit has run ${off} over its target on average.`;
    case 'colder-pit':
      return `${by}: the pit has run ${off} under its target on average.`;
    case 'slower-piece':
      return `${by}: the pit has held, so the piece is thicker, or takes its heat slower, than was planned.`;
    case 'faster-piece':
      return `${by}: the pit has held, so the piece is thinner, or takes its heat faster, than was planned.`;
  }
}

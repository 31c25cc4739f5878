/** Why a piece is earlier or later than planned, in one sentence with its figures. */
import type { Units } from '@ostrin/core/quantity';
import type { OffPlan } from '@ostrin/core/tending';
import { spanOfTime, spanWords } from './quantities';

/** Under so sure it is told as a guess. */
const SURE = 0.85;

/** The sentence. */
export function offPlanWords(off: OffPlan, units: Units): string {
  const { byMin, pitOffK, onLateMin, thickerFraction, because, sure } = off;
  const by = `About ${spanOfTime(Math.abs(Math.round(byMin / 5) * 5))} ${byMin > 0 ? 'later' : 'earlier'} than planned`;
  const perhaps = sure < SURE ? 'probably because ' : '';
  const pitOff = spanWords(Math.abs(pitOffK), units);
  const share = `${Math.round(100 * Math.abs(thickerFraction ?? 0))} %`;
  switch (because) {
    case 'went-on-late':
      return `${by}: it went on ${spanOfTime(Math.round(onLateMin / 5) * 5)} later.`;
    case 'hotter-pit':
      return `${by}: ${perhaps}the pit has run ${pitOff} over its target on average.`;
    case 'colder-pit':
      return `${by}: ${perhaps}the pit has run ${pitOff} under its target on average.`;
    case 'thicker-piece':
      return `${by}: ${perhaps}by its probe the piece is about ${share} thicker than was planned.`;
    case 'thinner-piece':
      return `${by}: ${perhaps}by its probe the piece is about ${share} thinner than was planned.`;
    case 'slower-piece':
      return `${by}: the pit has held, so ${perhaps ? 'probably ' : ''}the piece takes its heat slower than was planned.`;
    case 'faster-piece':
      return `${by}: the pit has held, so ${perhaps ? 'probably ' : ''}the piece takes its heat faster than was planned.`;
  }
}

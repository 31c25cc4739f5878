/** Why a job is planned, and why at that time, in words. */
import { pitOf, type PitPlan, type PlanJob } from '@ostrin/core';
import type { Forecast } from '@ostrin/core/tending';
import type { Units } from '@ostrin/core/quantity';
import type { VentScale } from '@ostrin/core/catalogue';
import { behindWords } from './meat';
import { spanOfTime } from './quantities';
import { ventedPit } from './vents';

/** The finest steps that a setting is given in. */
const STEP_WORDS: Readonly<Record<VentScale['way'], string>> = {
  quarters: 'in eighths',
  mm: 'to the millimetre',
  fingers: 'to half a finger',
  clock: 'to a quarter of an hour on the dial',
  dial: 'to a step of its dial',
};

/** The figures behind a job's time, and how sure they are. */
export function jobReason(
  job: PlanJob,
  plan: PitPlan,
  forecast: Forecast | null,
  units: Units,
): string {
  const cooks = `${plan.members} simulated cooks with other leaks, winds and pieces of meat`;
  if (job.spanMin) {
    const early = spanOfTime(Math.max(0, job.spanMin[0]));
    const behind = forecast?.coreDifferenceK;
    const now = behind === null || behind === undefined ? '' : ` ${behindWords(behind, units)}`;
    return `In 8 of 10 of ${cooks} this came between ${early} and ${spanOfTime(job.spanMin[1])} after lighting.${now}`;
  }
  if (job.id === 'hold') {
    const { intake } = ventedPit(pitOf(plan)).scales;
    return `Closing down before the target lets the pit settle into the band instead of running past it. The setting, in steps ${STEP_WORDS[intake.way]}, that the simulated pit settled nearest to the target with, in your weather.`;
  }
  if (job.id === 'meat-on') {
    return 'The smoke of the first chunk has thinned by now. Cold meat takes more smoke, so it goes on straight from the fridge.';
  }
  return `Its time comes from ${cooks}.`;
}

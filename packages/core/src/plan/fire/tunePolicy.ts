/**
 * Works out the policy that a fire is held by, on the simulated pit. Time in the band counts first, then clean
 * smoke, then the number of visits.
 */
import type { TunedPolicy } from './tunedPolicy';
import { simulate } from '../../cook/cook';
import type { Weather } from '../../air/weather';
import { otherSetups, type PitSetup } from './designFire';
import { initialPolicy } from './initialPolicy';
import { plannedScenario, type MeatSchedule } from './policyTrial';
import { bestCandidate, scoreSetup, TRIAL_MIN } from './trialPits';
import { tuneSplits } from './tuneSplits';
import { tuneVents } from './tuneVents';

/** Tunes every setup of a pit that is worth trying and returns the best. Yields the share done. */
export function* tunePolicy(
  usual: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, TunedPolicy> {
  const setups = [usual, ...otherSetups(usual)];
  const made: TunedPolicy[] = [];
  for (const [i, setup] of setups.entries()) {
    const work = tuneSetup(setup, weather, schedule);
    let step = work.next();
    for (; !step.done; step = work.next()) yield (i + step.value) / setups.length;
    made.push(step.value);
  }
  return bestCandidate(made, usual.pit.pace.bandC);
}

function* tuneSetup(
  setup: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, TunedPolicy> {
  if (setup.underFan) {
    const run = simulate(plannedScenario(setup, weather, schedule, TRIAL_MIN));
    yield 1;
    const score = scoreSetup(setup, run);
    return { setup, policy: initialPolicy(setup), settlesC: score.meanC, score };
  }
  return yield* setup.onSplits
    ? tuneSplits(setup, weather, schedule)
    : tuneVents(setup, weather, schedule);
}

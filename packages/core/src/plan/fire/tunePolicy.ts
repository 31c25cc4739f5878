/**
 * Works out the policy that a fire is held by, on the simulated pit. Time in the band counts first, then clean
 * smoke, then the number of visits.
 */
import { chooseRule } from './chooseRule';
import type { HeldSetup, TunedPolicy } from './tunedPolicy';
import type { Weather } from '../../air/weather';
import { within, type Steps } from '../../sampling/likelyPit';
import { otherSetups, type PitSetup } from './designFire';
import { initialPolicy } from './initialPolicy';
import { plannedScenario, simulatePolicy, type MeatSchedule } from './policyTrial';
import { bestCandidate, scoreSetup, TRIAL_MIN } from './trialPits';
import { tuneSplits } from './tuneSplits';
import { tuneVents } from './tuneVents';

/** Share of the work that goes into the policies; the rest goes into the rule. */
const TUNING = 0.7;

/** Tunes every setup of a pit that is worth trying and returns the best. Yields the share done. */
export function* tunePolicy(
  usual: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Steps<TunedPolicy> {
  const setups = [usual, ...otherSetups(usual)];
  const made: HeldSetup[] = [];
  for (const [i, setup] of setups.entries()) {
    const [from, span] = [(TUNING * i) / setups.length, TUNING / setups.length];
    made.push(yield* within(tuneSetup(setup, weather, schedule), from, span));
  }
  const best = bestCandidate(made, usual.pit.pace.bandC);
  const scenario = plannedScenario(best.setup, weather, schedule, TRIAL_MIN);
  const choosing = chooseRule(best.setup, best.policy, scenario);
  return { ...best, rule: yield* within(choosing, TUNING, 1 - TUNING) };
}

function* tuneSetup(
  setup: PitSetup,
  weather: Weather,
  schedule: MeatSchedule,
): Generator<number, HeldSetup> {
  if (setup.underFan) {
    // A fan moves the air; what is fed by hand is fed beside it.
    const policy = initialPolicy(setup);
    const run = simulatePolicy(setup, plannedScenario(setup, weather, schedule, TRIAL_MIN), policy);
    yield 1;
    const score = scoreSetup(setup, run);
    return { setup, policy, settlesC: score.meanC, score };
  }
  return yield* setup.onSplits
    ? tuneSplits(setup, weather, schedule)
    : tuneVents(setup, weather, schedule);
}

/** The estimate of one fire, kept between questions: it goes on from where it stood while its past is as it was. */
import type { Action } from '../scenario/actions';
import type { Scenario } from '../scenario/scenario';
import type { ProbeReading } from './measuredAir';
import type { WeatherReading } from './measuredWeather';
import {
  copyFireEstimator,
  createFireEstimator,
  follow,
  SLOT_MIN,
  type FireEstimator,
  type FireNews,
  type PitSighting,
} from './fireEstimate';

/** What a fire's estimate is made from. Minutes after lighting. */
interface FireRecord {
  /** The pit and its fire as their owner thinks of them. */
  scenario: Scenario;
  /** What was done so far. */
  done: readonly Action[];
  /** What was read so far. */
  readings: readonly ProbeReading[];
  /** What a weather station at the pit reported so far; none when left out. */
  weather?: readonly WeatherReading[];
  /** What the smoke looked like; nothing when left out. */
  smoke?: FireNews['smoke'];
  /** Now. */
  nowMin: number;
  /** Seed of its chance. */
  seed: number;
}

/** What the thermometers of a pit said, one by one. */
export const pitSightings = (readings: readonly ProbeReading[]): PitSighting[] =>
  readings.flatMap(({ atMin, pitC, domeC }): PitSighting[] => [
    ...(pitC === null ? [] : [{ atMin, c: pitC }]),
    ...(domeC === null || domeC === undefined ? [] : [{ atMin, c: domeC, spot: 'dome' as const }]),
  ]);

/** All that is told of the fire of a record. */
export const newsOf = ({ done, readings, weather, smoke }: FireRecord): FireNews => ({
  done,
  readings: pitSightings(readings),
  fan: readings.flatMap(({ atMin, fanDuty: duty }) => (duty == null ? [] : [{ atMin, duty }])),
  weather,
  smoke,
});

/** What decides an estimate that stands at `atMin`. */
const pastOf = ({ scenario, seed }: FireRecord, news: FireNews, atMin: number) => {
  const upTo = <T extends { atMin: number }>(list: readonly T[] = []): T[] =>
    list.filter((x) => x.atMin <= atMin);
  return JSON.stringify([
    scenario.cooker,
    scenario.fire,
    scenario.weather,
    // How a piece is to be wrapped is no part of its fire: only wraps that were done are.
    scenario.meats.map((m) => ({ ...m, wrap: undefined })),
    seed,
    upTo(news.done),
    upTo(news.readings),
    upTo(news.fan),
    upTo(news.weather),
  ]);
};

export class FollowedFire {
  private known: { estimator: FireEstimator; past: string } | null = null;

  /**
   * The estimate at `record.nowMin`, the same as if it were made anew; it is to be read before the next question. Null
   * for a scenario without a fire.
   */
  at(record: FireRecord): FireEstimator | null {
    const { scenario, nowMin, seed } = record;
    if (!scenario.fire) return null;
    const news = newsOf(record);
    const before = this.known;
    const goesOn =
      before !== null &&
      before.estimator.atMin <= nowMin &&
      before.past === pastOf(record, news, before.estimator.atMin);
    const estimator = goesOn ? before.estimator : createFireEstimator(scenario, { seed });
    const whole = SLOT_MIN * Math.floor(nowMin / SLOT_MIN);
    if (!goesOn || estimator.atMin < whole) {
      follow(estimator, whole, news);
      this.known = { estimator, past: pastOf(record, news, estimator.atMin) };
    }
    if (estimator.atMin === nowMin) return estimator;
    const now = copyFireEstimator(estimator);
    follow(now, nowMin, news);
    return now;
  }
}

/** A supper that is wished on a pit, as its owner knows it, and what its plan comes to. */
import { onlyPiece } from '@ostrin/core';
import {
  epochOf,
  HOUR_MS,
  MINUTE_MS,
  seeded,
  triedPit,
  type LearnedPit,
  type Plan,
  type Request,
  type Scenario,
} from '@ostrin/core/internals';
import { someDay, type TruePit } from './loggedTruth';

/** Likely cooks behind each plan. */
const MEMBERS = 8;
const SERVED = '2027-06-12T18:30';
const ZONE = 'Europe/Ljubljana';

/** The wish, and how its plan is asked for and read. */
export function wishFor(pit: TruePit, learned: LearnedPit | null) {
  const random = seeded(pit.seed + 91);
  const { preset } = pit;
  const known = learned && triedPit({ preset: preset.id, overrides: {} }, learned.fit.z);
  const overrides = known?.overrides ?? {};
  const request: Request = {
    ostrin: 'request/1',
    serveAt: SERVED,
    timeZone: ZONE,
    people: 8,
    appetiteG: 220,
    pits: [
      {
        id: 'pit',
        cooker: { preset: preset.id, overrides },
        fire: preset.family === 'offset' ? { fuel: 'splits' } : { fuel: preset.fire.fuel },
        ...(known ? { windTimes: known.windTimes } : {}),
        pace: { pitC: 121, bandC: 8 },
      },
    ],
    meats: [
      {
        id: 'a',
        cut: 'pork-shoulder',
        massKg: 2 + 1.5 * random.next(),
        pieces: 1,
        wrap: { with: 'paper', when: { coreC: 74 } },
        done: { coreC: 93 },
        rest: { where: 'cool-box', minutes: 60 },
      },
    ],
    weather: someDay(random),
    chanceOnTimeFraction: 0.9,
  };
  const servedMs = epochOf(SERVED, ZONE);
  const of = (plan: Plan) => {
    const litMs = epochOf(plan.lightAt, ZONE);
    const onMin = Math.round((epochOf(plan.meatOnAt[0]!, ZONE) - litMs) / MINUTE_MS);
    const planned = plan.scenarios[0]!;
    const scenario: Scenario = {
      ...planned,
      weather: request.weather,
      control: { mode: preset.hasFan ? 'fan' : 'vents', targetC: 121 },
      actions: [
        { atMin: onMin, do: 'lid-open', seconds: 60 },
        { atMin: onMin, do: 'meat-on', meat: onlyPiece(planned).id },
      ],
      untilMin: 1500,
      everyMin: 1,
    };
    return { scenario, onMin, targetC: 121, latestMin: (servedMs - litMs) / MINUTE_MS - 60 };
  };
  return {
    request,
    litAndOn: { asked: { nowMs: servedMs - 60 * HOUR_MS, members: MEMBERS }, of },
  };
}

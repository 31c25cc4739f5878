/** What is simulated of a cook under way: asked for in one place, answered by a worker. */
import type { FollowedFire } from '../estimate/followedFire';
import { forecast, type Forecast } from '../forecast/forecast';
import type { ForecastInput } from '../forecast/likelyCooks';

/** The forecast of each piece, by its id. */
export type Forecasts = Readonly<Record<string, Forecast>>;

/** Forecasts of the pieces that are asked about. `fire` keeps what was made of the fire from one question to the next. */
export const forecastsOf = (
  inputs: Readonly<Record<string, ForecastInput>>,
  fire?: FollowedFire,
): Forecasts =>
  Object.fromEntries(
    Object.entries(inputs).map(([piece, input]) => [piece, forecast(input, fire)]),
  );

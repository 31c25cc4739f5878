/** What is done before the fire: thawing, brining, salting, seasoning, and by when to have shopped. */
import { cutOf } from '../../meat/cuts';
import { usualThicknessMm } from '../../meat/cut';
import { epochOf, HOUR_MS, localOf, MINUTE_MS } from '../../quantity/time';
import { requestedMassKg } from '../request/amount';
import type { JobFacts, Shopping } from '../document/facts';
import type { JobDraft } from './job';
import type { RequestMeat } from '../request/types';

/** Thawing in the fridge, hours for each kg of a piece, and at least (USDA consumer advice: 24 h for 4-5 lb, from memory). */
const THAW = { hoursPerKg: 11, leastH: 12 };
/** Salting and brining ahead, hours: a thick piece overnight, a thin one a few hours (common practice). */
const SALT_H = { thick: 14, thin: 4, brine: 10 };
/** Seasoning just before, min: ribs and thin pieces never over an hour (common practice 15-60). */
const SEASON_MIN = { thick: 45, thin: 25 };
const THIN_MM = 60;

/** Hours a frozen piece needs in the fridge. */
export const thawHours = (massKg: number): number =>
  Math.max(THAW.leastH, Math.ceil(massKg * THAW.hoursPerKg));

/**
 * Jobs before the fire, minutes after lighting (negative), and the hours before meat on that they need.
 * `earlierBy` says how much sooner one that only waits is begun.
 */
export function prepareJobs(
  meat: RequestMeat,
  pieces: number,
  onMin: number,
  id: (job: string) => string,
  earlierBy: (atMin: number) => number = () => 0,
): { jobs: JobDraft[]; leadMin: number } {
  const thick = usualThicknessMm(cutOf(meat.cut), requestedMassKg(meat)) > THIN_MM;
  const jobs: JobDraft[] = [];
  let lead = 0;
  let begun = onMin;
  const add = (job: string, minutes: number, facts: JobFacts): void => {
    lead += minutes;
    begun -= minutes;
    // Seasoning keeps its hour; what only waits may begin before.
    if (job !== 'season') begun -= earlierBy(begun);
    jobs.push({ id: id(job), atMin: begun, do: 'prepare', facts, logs: [] });
  };
  const { cut } = meat;
  if (meat.prepare === 'season') {
    const minutes = thick ? SEASON_MIN.thick : SEASON_MIN.thin;
    add('season', minutes, { kind: 'season', cut, pieces, thick });
  } else if (meat.prepare === 'dry-brine' || meat.prepare === 'brine') {
    const brine = meat.prepare === 'brine';
    const hours = brine ? SALT_H.brine : thick ? SALT_H.thick : SALT_H.thin;
    add('salt', 60 * hours, { kind: 'salt', cut, pieces, brine, hours });
  }
  if (meat.frozen) {
    const hours = thawHours(requestedMassKg(meat));
    add('thaw', 60 * hours, { kind: 'thaw', cut, pieces, hours });
  }
  return { jobs, leadMin: lead };
}

/** Hours in which shops can be counted on, the hour of the day before that is asked for otherwise, and the way home, min (common practice). */
const SHOPS = { fromH: 9, toH: 18, eveH: 17, homeMin: 60 };

/** The last good moment to shop for what is needed at `needMs`: in shop hours, an hour before; never before `nowMs`. Epoch ms. */
export function shopMs(needMs: number, nowMs: number, zone: string): number {
  const home = needMs - SHOPS.homeMin * MINUTE_MS;
  const day = localOf(home, zone).slice(0, 10);
  const hour = Number(localOf(home, zone).slice(11, 13));
  const at = (date: string, h: number): number =>
    epochOf(`${date}T${String(h).padStart(2, '0')}:00`, zone);
  const eve = localOf(epochOf(`${day}T12:00`, zone) - 24 * HOUR_MS, zone).slice(0, 10);
  const open =
    hour >= SHOPS.toH
      ? at(day, SHOPS.eveH)
      : hour >= SHOPS.fromH
        ? at(day, hour)
        : at(eve, SHOPS.eveH);
  return Math.min(Math.max(open, nowMs), needMs);
}

/** Shopping as a job: what has to be fetched, by when. None when everything is there. */
export function shopJob(
  fetch: Shopping[],
  needMs: number,
  nowMs: number,
  zone: string,
  zeroMs: number,
): JobDraft[] {
  if (fetch.length === 0) return [];
  const ms = Math.floor(shopMs(needMs, nowMs, zone) / MINUTE_MS) * MINUTE_MS;
  return [
    {
      id: 'shop',
      atMin: Math.round((ms - zeroMs) / MINUTE_MS),
      do: 'shop',
      facts: { kind: 'shop', fetch },
      logs: [],
    },
  ];
}

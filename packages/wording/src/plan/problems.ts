/** Wishes that cannot be met, and what would make them possible, in words. */
import { cutOf } from '@ostrin/core/catalogue';
import { localOf, type Units } from '@ostrin/core/quantity';
import type { Problem, ProblemFacts, ProblemWords, Request } from '@ostrin/core';
import { lengthWords, sidesWords, spanOfTime, temperatureWords } from '../quantities';

/** A problem of a request in words. */
export const problemWords = ({ facts }: Problem, request: Request, units: Units): ProblemWords =>
  facts.kind === 'as-written'
    ? facts.words
    : (gratesAndPieces(facts, units) ?? fireAndClock(facts, request, units));

function gratesAndPieces(facts: ProblemFacts, units: Units): ProblemWords | null {
  switch (facts.kind) {
    case 'no-room': {
      const sides = sidesWords(100 * facts.lengthM, 100 * facts.widthM, units);
      return {
        message: `One ${cutOf(facts.cut).name} of that size is about ${sides}; ${
          facts.roomM === null
            ? 'beside the other pieces there is no room for it'
            : `${facts.pit} has ${lengthWords(100 * facts.roomM, units)} beside its fire`
        }.`,
        instead: 'Cut it in two, trim it shorter, take a smaller one, or plan it for another pit.',
      };
    }
    case 'too-many-pieces':
      return {
        message: `${facts.wanted} ${cutOf(facts.cut).plural} are needed, but only ${facts.fits} fit beside the fire on this grate.`,
        instead: `${facts.fits} of them feed about ${facts.feeds}. Ask fewer people, or plan a second pit.`,
      };
    case 'piece-touching':
      return {
        message: `A ${cutOf(facts.cut).name} is laid against another piece.`,
        instead: 'Move it where there is free grate on all sides.',
      };
    case 'piece-off-grate':
      return {
        message: `A ${cutOf(facts.cut).name} is laid over the fire or over the edge of the grate.`,
        instead: 'Move it where there is free grate on all sides.',
      };
    case 'still-frozen':
      return {
        message: `A frozen ${cutOf(facts.cut).name} needs ${facts.needH} hours in the fridge before it can go on; there are ${facts.haveH}.`,
        instead: `Buy it fresh, or serve ${facts.laterH} hours later. It does not go on frozen: its middle would stay cold for too long.`,
      };
    case 'salt-late':
      return {
        message: `Salting the ${cutOf(facts.cut).name} should have begun ${spanOfTime(facts.agoMin)} ago.`,
        instead: 'Season it just before it goes on instead.',
      };
    default:
      return null;
  }
}

function fireAndClock(facts: ProblemFacts, request: Request, units: Units): ProblemWords {
  const at = (c: number): string => temperatureWords(c, units);
  switch (facts.kind) {
    case 'too-cool':
      return {
        message: `Wide open, this fire gives only ${at(facts.settlesC)} in this weather.`,
        instead: `Plan for ${at(facts.settlesC)}, build it with another fire, or take another pit.`,
      };
    case 'too-hot':
      return {
        message: `As far closed as it goes, this fire still gives ${at(facts.settlesC)}.`,
        instead: `Plan for ${at(facts.settlesC)} or take another pit.`,
      };
    case 'never-done':
      return {
        message: `Some of these cooks are not done after ${spanOfTime(facts.longestMin)}.`,
        instead: `Hold the pit hotter than ${at(facts.targetC)}, wrap, or take smaller pieces.`,
      };
    case 'bowl-too-small':
      return {
        message: `A full bowl lasts about ${spanOfTime(facts.lastsMin)} at this heat; the slow cooks take ${spanOfTime(facts.slowCookMin)}.`,
        instead: 'Wrap earlier, take smaller pieces, or plan the last hours in a low oven.',
      };
    case 'serving-passed':
      return { message: 'The serving time has passed.', instead: 'Choose a later day or hour.' };
    case 'lighting-passed':
      return {
        message: `The fire should have been lit at ${hourWords(facts.lightMs, request)}.`,
        instead: `Serve at ${hourWords(facts.earliestMs, request)}, hold the pit hotter, or take smaller pieces.`,
      };
    case 'arrives-late':
      return {
        message: `Put on at ${localHourWords(facts.notBefore, request)}, the ${cutOf(facts.cut).name} is late in ${facts.inHundred} of 100 cooks.`,
        instead: `Serve it at ${hourWords(facts.serveMs, request)}, have it there ${spanOfTime(facts.soonerMin)} sooner, take smaller pieces, or cook hotter.`,
      };
    default:
      throw new RangeError(`no words for the problem ${facts.kind}`);
  }
}

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** An hour, with its weekday where it is not the day of the meal. */
const hourWords = (ms: number, request: Request): string =>
  localHourWords(localOf(ms, request.timeZone), request);

function localHourWords(local: string, { serveAt }: Request): string {
  const [day, hour] = [local.slice(0, 10), local.slice(11)];
  if (day === serveAt.slice(0, 10)) return hour;
  return `${hour} on ${WEEKDAYS[new Date(`${day}T12:00:00Z`).getUTCDay()]!}`;
}

/** What plans and cooks are called, and ids made from names. */
import { cutOf } from '@ostrin/core/catalogue';
import { numberOfMeat, type Plan, type Request } from '@ostrin/core';
import { capital } from '@ostrin/wording';

/** `Mutton shoulder and turkey for 18`. */
export function titleOf({ request }: { request: Request }): string {
  const names = [...new Set(request.meats.map((m) => cutOf(m.cut).name))];
  const listed =
    names.length > 2 ? `${names.slice(0, 2).join(', ')} and more` : names.join(' and ');
  return `${capital(listed)} for ${request.people}`;
}

/** What its files are called, without ending. */
export const fileOf = ({ serveAt, request: { meats } }: Plan): string =>
  [serveAt.slice(0, 10), ...new Set(meats.map((m) => m.cut))].join('-');

/** An id for a name: plain letters, not yet taken. */
export function idFor(name: string, taken: readonly { id: string }[]): string {
  const base =
    name
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 30) || 'pit';
  const used = new Set(taken.map((t) => t.id));
  if (!used.has(base)) return base;
  let n = 2;
  while (used.has(`${base}-${n}`)) n++;
  return `${base}-${n}`;
}

/** The name of a piece by its id. */
export const pieceNamed = (plan: Plan, id: string): string =>
  pieceName(
    plan,
    plan.request.meats.findIndex((m) => m.id === id),
  );

/** A piece's name; those of one cut are numbered. */
export function pieceName(plan: Plan, index: number): string {
  const { meats } = plan.request;
  const name = capital(cutOf(meats[index]!.cut).short);
  const number = numberOfMeat(meats, index);
  return number === undefined ? name : `${name} ${number}`;
}

/** What plans and cooks are called. */
import { cutOf, type Plan, type Request } from '@ostrin/core';
import { capital } from '@ostrin/wording';

/** `Mutton shoulder and turkey for 18`. */
export function titleOf({ request }: { request: Request }): string {
  const names = [...new Set(request.meats.map((m) => cutOf(m.cut).name))];
  const listed =
    names.length > 2 ? `${names.slice(0, 2).join(', ')} and more` : names.join(' and ');
  return `${capital(listed)} for ${request.people}`;
}

/** What its files are called, without ending. */
export const fileOf = (plan: Plan): string =>
  `${plan.serveAt.slice(0, 10)}-${plan.request.meats[0]!.cut}`;

/** Speaking to the server: plain fetch, problem details turned into words. */
import type { ProblemDetails } from '@ostrin/contract/types';

/** The server answered, and said no. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: ProblemDetails,
  ) {
    super(
      [
        problem.title,
        ...(problem.errors ?? []).slice(0, 4).map((e) => `${e.field} ${e.message}`.trim()),
      ].join('. '),
    );
  }
}

/** The server could not be reached. */
export class Unreachable extends Error {
  constructor() {
    super('The server does not answer. It must be running on this machine.');
  }
}

/** One call; JSON in, JSON out. Throws `Refused` or `Unreachable`. */
export async function call<T>(path: string, method = 'GET', body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: body === undefined ? undefined : { 'Content-Type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    });
  } catch {
    throw new Unreachable();
  }
  const text = await response.text();
  if (!response.ok) {
    let problem: ProblemDetails;
    try {
      problem = JSON.parse(text) as ProblemDetails;
    } catch {
      problem = { type: 'about:blank', title: 'The server failed', status: response.status };
    }
    throw new Refused(response.status, problem);
  }
  return JSON.parse(text) as T;
}

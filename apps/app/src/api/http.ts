/** Speaking to the server: plain fetch, problem details turned into words. */
import { API_LEVEL, LEVEL_HEADER, type ProblemDetails } from '@ostrin/contract/types';
import { create } from 'zustand';
import { useNewVersion } from '../connection/newVersion';

/** The server answered, and said no. */
export class HttpError extends Error {
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

/** Whether the server no longer knows this device. */
export const useSignedOut = create<{ out: boolean }>(() => ({ out: false }));

/** The server could not be reached. */
export class ServerUnreachable extends Error {
  constructor() {
    super('The server does not answer. Is it running on this machine?');
  }
}

/** One call; JSON in, JSON out, `more` are headers. Throws `HttpError` or `ServerUnreachable`. */
export const requestJson = <T>(
  path: string,
  method = 'GET',
  body?: unknown,
  more: Record<string, string> = {},
): Promise<T> =>
  call(path, {
    method,
    headers: {
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      ...more,
    },
    body: body === undefined ? undefined : JSON.stringify(body),
  });

/** Sends a file as it is; JSON out. Throws `HttpError` or `ServerUnreachable`. */
export const sendFile = <T>(path: string, file: Blob, type: string): Promise<T> =>
  call(path, { method: 'POST', headers: { 'Content-Type': type }, body: file });

async function call<T>(
  path: string,
  init: RequestInit & { headers: Record<string, string> },
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      ...init,
      headers: { [LEVEL_HEADER]: String(API_LEVEL), ...init.headers },
    });
  } catch {
    throw new ServerUnreachable();
  }
  useSignedOut.setState({ out: response.status === 401 });
  if (response.status === 426) useNewVersion.setState({ outdated: true });
  const text = await response.text();
  if (!response.ok) {
    let problem: ProblemDetails;
    try {
      problem = JSON.parse(text) as ProblemDetails;
    } catch {
      problem = { type: 'about:blank', title: 'The server failed', status: response.status };
    }
    throw new HttpError(response.status, problem);
  }
  return JSON.parse(text) as T;
}

/** Errors as RFC 9457 problem details. */
import { MOST_PROBLEMS, type FieldProblem, type ProblemDetails } from '@ostrin/contract';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';

/** An error that knows how it is to be told. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: FieldProblem[] = [],
    /** More of the problem details. */
    readonly more: Pick<ProblemDetails, 'current' | 'already' | 'confirmable' | 'retryAfterS'> = {},
  ) {
    super(title);
  }
}

/** 422 with every field that is wrong. */
export const invalid = (errors: FieldProblem[]): Problem =>
  new Problem(422, 'Some fields are not right', errors);

/** 404 for a thing by name. */
export const missing = (what: string): Problem => new Problem(404, `No such ${what}`);

function send(
  res: Response,
  status: number,
  title: string,
  errors: FieldProblem[] = [],
  more: Problem['more'] = {},
): void {
  const body: ProblemDetails = {
    type: 'about:blank',
    title,
    status,
    ...(errors.length > 0 ? { errors: errors.slice(0, MOST_PROBLEMS) } : {}),
    ...more,
  };
  if (more.retryAfterS !== undefined) res.set('Retry-After', String(more.retryAfterS));
  res.status(status).type('application/problem+json').send(JSON.stringify(body));
}

/** Nothing under /api by that name. */
export const noRoute: RequestHandler = (req, _res, next) => {
  next(new Problem(404, `Nothing at ${req.method} ${req.path.slice(0, 100)}`));
};

interface HttpError {
  status?: number;
  type?: string;
  /** What the system or the database calls it. */
  code?: string;
}

/** Codes of a disk that takes no more. */
const DISK_FULL = ['ENOSPC', 'EDQUOT', 'SQLITE_FULL'];

/** The last handler: whatever went wrong, told as problem details. */
export const tellProblem: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.headersSent) {
    next(error);
    return;
  }
  if (error instanceof Problem) {
    send(res, error.status, error.title, error.errors, error.more);
    return;
  }
  const http = error as HttpError;
  if (DISK_FULL.includes(http.code ?? '')) {
    req.log.error({ err: error }, 'the disk is full');
    send(res, 507, "The server's disk is full: nothing was stored, and nothing is lost");
  } else if (http.type === 'entity.too.large') send(res, 413, 'The body is too large');
  else if (http.type === 'encoding.unsupported' || http.type === 'charset.unsupported') {
    send(res, 415, 'That encoding is not read here');
  } else if (http.status && http.status >= 400 && http.status < 500) {
    send(res, http.status, 'The request could not be read');
  } else {
    req.log.error({ err: error }, 'fault of ours');
    send(res, 500, 'Something failed on our side; nothing was stored');
  }
};

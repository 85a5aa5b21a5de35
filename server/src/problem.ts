/** Every error leaves in one form: RFC 9457 problem details. */
import type { ErrorRequestHandler, Response } from 'express';
import { TooMuch, type Fault, type Problem } from '@tide-pebble/core';
import { Conflict, Unreadable } from './store/refusals';

export class BadRequest extends Error {
  constructor(
    message: string,
    readonly faults: readonly Fault[] = [],
  ) {
    super(message);
  }
}
export class NotFound extends Error {}
/** Whoever asks may not do this. */
export class NotAllowed extends Error {}
/** One at a time: what it needs is in use. */
export class Busy extends Error {}
/** The page that asks holds another folder's data. */
export class OtherFolder extends Error {
  constructor(readonly folder: string) {
    super('another data folder');
  }
}

export function sendProblem(
  response: Response,
  status: number,
  title: string,
  detail: string,
  more: Pick<Problem, 'faults' | 'conflicts' | 'folder'> = {},
): void {
  const body: Problem = { type: 'about:blank', title, status, detail, ...more };
  response.status(status).type('application/problem+json').send(JSON.stringify(body));
}

/** Express knows an error handler by its four parameters. */
export const errorHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  if (error instanceof BadRequest)
    return sendProblem(response, 400, 'Not understood', error.message, { faults: [...error.faults] });
  if (error instanceof NotAllowed) return sendProblem(response, 403, 'Refused', error.message);
  if (error instanceof NotFound) return sendProblem(response, 404, 'Not found', error.message);
  if (error instanceof Conflict)
    return sendProblem(
      response,
      409,
      'Changed elsewhere',
      'Something here was saved since you opened it. Nothing was overwritten: choose which to keep.',
      { conflicts: [...error.conflicts] },
    );
  if (error instanceof OtherFolder)
    return sendProblem(
      response,
      409,
      'Another folder',
      'This server now serves another data folder than the one this page was opened on. Nothing was saved here.',
      { folder: error.folder },
    );
  if (error instanceof Unreadable)
    return sendProblem(
      response,
      409,
      'Damaged',
      `This is stored here but cannot be read: ${error.message}. Its earlier saves are offered on the Shelf.`,
    );
  if (error instanceof Busy) return sendProblem(response, 429, 'Busy', error.message);
  if (isFull(error))
    return sendProblem(
      response,
      507,
      'Disk full',
      'The disk with the data folder is full: nothing was saved. Make room; what you typed is kept in this browser and sent again by itself.',
    );
  const kind = (error as { type?: string }).type;
  if (kind === 'entity.too.large')
    return sendProblem(
      response,
      413,
      'Too large',
      'That is larger than this accepts: 24 MB for a save, 4 MB for a picture, 64 MB for a backup.',
    );
  if (error instanceof TooMuch || kind === 'entity.verify.failed')
    return sendProblem(response, 400, 'Not understood', `This holds more than it can. ${(error as Error).message}`);
  if (kind === 'entity.parse.failed') return sendProblem(response, 400, 'Not understood', 'The request is not JSON.');
  if (typeof (error as { status?: number }).status === 'number' && (error as { status: number }).status < 500)
    return sendProblem(
      response,
      (error as { status: number }).status,
      'Not understood',
      'The request could not be read.',
    );
  console.error(`${request.method} ${request.path}:`, error);
  return sendProblem(
    response,
    500,
    'Something broke',
    'Tide Pebble could not do this. Nothing was saved. The reason is in the window it was started from.',
  );
};

const isFull = (error: unknown): boolean =>
  ['SQLITE_FULL', 'ENOSPC', 'SQLITE_IOERR_WRITE'].includes((error as { code?: string } | null)?.code ?? '');

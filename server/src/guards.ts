/** Only this machine's own page may talk to the server: Host and Origin are checked on every request. */
import type { RequestHandler } from 'express';
import { sendProblem } from './problem';

const NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostName = (host: string): string => host.replace(/:\d+$/, '');

export const onlyThisMachine: RequestHandler = (request, response, next) => {
  const host = request.headers.host ?? '';
  if (!NAMES.has(hostName(host)))
    return sendProblem(response, 403, 'Refused', 'Tide Pebble answers only to 127.0.0.1 or localhost.');
  const { origin } = request.headers;
  if (origin !== undefined && origin !== `http://${host}`)
    return sendProblem(response, 403, 'Refused', 'Another site may not use Tide Pebble.');
  return next();
};

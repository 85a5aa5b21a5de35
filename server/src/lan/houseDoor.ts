/** The door to the house's network: Host and Origin against the printed addresses, pairing by a code, then each request by its phone's right. Nothing is behind it for whoever is not paired. */
import { createHash, randomBytes } from 'node:crypto';
import { Router, urlencoded, type Request, type Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Device } from '@tide-pebble/core';
import * as z from 'zod';
import { sendProblem } from '../problem';
import type { Devices } from '../store/devices';
import { pairPage } from './pairPage';
import { plainCode, type Pairing } from './pairing';

const COOKIE = '__Host-tide-pebble';
const HALF_A_YEAR_MS = 182 * 24 * 60 * 60_000;
/** Requests a minute of one phone: opening the page takes about a hundred. */
const OF_A_PHONE = 900;
/** And of an address that is not paired. */
const OF_A_STRANGER = 60;
const SAVE_AT_MOST_BYTES = 4 * 1024 * 1024;
/** How often its last visit is written down: not at each request. */
const SEEN_EVERY_MS = 60_000;

const form = z.object({ code: z.string().max(40), name: z.string().max(60).optional() });

export function houseDoor(options: {
  readonly devices: Devices;
  readonly pairing: Pairing;
  /** As printed, with their port: known once the server listens. */
  readonly hosts: () => ReadonlySet<string>;
  readonly now: () => number;
}): Router {
  const { devices, pairing, hosts, now } = options;
  const router = Router();
  router.use((request, response, next) => {
    const host = request.headers.host ?? '';
    if (!hosts().has(host)) return sendProblem(response, 403, 'Refused', 'Tide Pebble is not at this address.');
    const { origin } = request.headers;
    if (origin !== undefined && origin !== `https://${host}`)
      return sendProblem(response, 403, 'Refused', 'Another site may not use Tide Pebble.');
    response.locals['device'] = deviceOf(request, devices);
    next();
  });
  router.use(
    rateLimit({
      windowMs: 60_000,
      limit: (_request, response) => (pairedAs(response) ? OF_A_PHONE : OF_A_STRANGER),
      keyGenerator: (request, response) => pairedAs(response)?.id ?? ipKeyGenerator(request.ip ?? ''),
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: (_request, response) =>
        sendProblem(response, 429, 'Busy', 'That is more than one phone asks for in a minute. Wait a little.'),
    }),
  );
  router.get('/pair', (request, response) => {
    const asked = request.query['code'];
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(pairPage({ code: typeof asked === 'string' ? asked : '', wrong: '' }));
  });
  router.post('/pair', urlencoded({ extended: false, limit: '1kb' }), (request, response) => {
    const read = form.safeParse(request.body);
    const again = (status: number, wrong: string): void =>
      void response
        .status(status)
        .set('Cache-Control', 'no-store')
        .type('html')
        .send(pairPage({ code: '', wrong }));
    if (!read.success) return again(400, 'Type the code, and a name of at most 60 letters.');
    const taken = pairing.take(plainCode(read.data.code), request.ip ?? '');
    if (!taken.ok) {
      if (taken.why === 'wait') {
        const seconds = Math.ceil(taken.waitMs / 1000);
        response.set('Retry-After', `${seconds}`);
        return again(
          429,
          `Too many wrong codes. Wait ${seconds > 90 ? `${Math.ceil(seconds / 60)} minutes` : `${seconds} s`}.`,
        );
      }
      return again(
        403,
        taken.why === 'none'
          ? 'There is no code now: it was used, or its ten minutes are over. Make a new one in Field, On a phone.'
          : 'That is not the code.',
      );
    }
    const token = randomBytes(32).toString('base64url');
    const name = (read.data.name ?? '').trim();
    devices.add({ name: name === '' ? 'Phone' : name, right: taken.right, tokenHash: hashOf(token) });
    response.cookie(COOKIE, token, {
      httpOnly: true,
      secure: true,
      sameSite: 'strict',
      path: '/',
      maxAge: HALF_A_YEAR_MS,
    });
    response.redirect(303, '/field');
  });
  router.use((request, response, next) => {
    const device = pairedAs(response);
    if (!device) {
      if (request.path.startsWith('/api/') || (request.method !== 'GET' && request.method !== 'HEAD'))
        return sendProblem(
          response,
          401,
          'Not paired',
          'This phone is not paired, or was let go. What was typed is kept in it: pair it again and it is sent.',
        );
      return response.redirect(303, '/pair');
    }
    if (now() - Date.parse(device.seenAt) > SEEN_EVERY_MS) devices.seen(device.id);
    if (!isOpen(request, device))
      return sendProblem(response, 403, 'Refused', 'A phone may not do this: do it where Tide Pebble runs.');
    if (Number(request.headers['content-length'] ?? 0) > SAVE_AT_MOST_BYTES)
      return sendProblem(response, 413, 'Too large', 'That is more than a phone may send at once: 4 MB.');
    next();
  });
  return router;
}

/** The phone that asks, where the door let it in. */
export const pairedAs = (response: Response): Device | null =>
  (response.locals as { readonly device?: Device | null }).device ?? null;

/** What is named here and nothing else: all may read what is kept, `field` may also save, and put the photos of what it saves. What it may save is looked at with the changes. */
function isOpen(request: Request, { right }: Device): boolean {
  const { method, path } = request;
  if (!path.startsWith('/api')) return method === 'GET' || method === 'HEAD';
  if (method === 'GET' || method === 'HEAD') return /^\/api\/(health|documents(\/.*)?|photos\/[^/]+)$/.test(path);
  if (right !== 'field') return false;
  return (
    (method === 'POST' && path === '/api/changes') || (method === 'PUT' && /^\/api\/photos\/[0-9a-f]{64}$/.test(path))
  );
}

function deviceOf(request: Request, devices: Devices): Device | null {
  const token = new RegExp(`(?:^|;\\s*)${COOKIE}=([A-Za-z0-9_-]{43})(?:;|$)`).exec(request.headers.cookie ?? '')?.[1];
  return token ? devices.byToken(hashOf(token)) : null;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

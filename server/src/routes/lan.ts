/** Phones, as the page on this machine manages them: how the server stands to the house, a new code, one let go. Never reached from a phone. */
import { json, Router } from 'express';
import { offerAsked, readWith, type LanLook } from '@tide-pebble/core';
import type { House } from '../lan/house';
import { BadRequest, NotFound } from '../problem';
import type { Devices } from '../store/devices';

export function lanRoutes(devices: Devices, house: () => House | null): Router {
  const router = Router();
  const look = (): LanLook => {
    const open = house();
    return {
      open: open !== null,
      addresses: [...(open?.addresses ?? [])],
      fingerprint: open?.fingerprint ?? '',
      offer: open?.pairing.offered() ?? null,
      devices: [...devices.list()],
    };
  };
  router.get('/lan', (_request, response) => {
    response.json(look());
  });
  router.post('/lan/offer', json({ limit: '1kb' }), (request, response) => {
    const read = readWith(offerAsked, request.body);
    if (!read.ok) throw new BadRequest('Say what the phone may do: field or read.', read.faults);
    const open = house();
    if (!open) throw new BadRequest('Tide Pebble is not open to the house: start it with --lan.');
    open.pairing.offer(read.value.right);
    response.json(look());
  });
  router.delete('/lan/devices/:id', (request, response) => {
    if (!devices.letGo(request.params.id)) throw new NotFound('There is no such phone any more.');
    response.json(look());
  });
  return router;
}

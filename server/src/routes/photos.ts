/** Photos kept with kit and in the log: put by the hash of their bytes, so that sending one twice keeps it once. */
import { raw, Router } from 'express';
import { photoOf } from '../photo';
import { BadRequest, NotFound } from '../problem';
import type { Store } from '../store/openStore';

export function photoRoutes(store: Store): Router {
  const router = Router();
  router.get('/photos/:id', (request, response) => {
    const photo = store.photo(request.params.id);
    if (!photo) throw new NotFound('There is no such photo here.');
    // Named by its content, so it never changes.
    response.set('Cache-Control', 'private, max-age=31536000, immutable').type(photo.type).send(photo.bytes);
  });
  router.put('/photos/:id', raw({ type: () => true, limit: '4mb' }), (request, response) => {
    const body: unknown = request.body;
    if (!Buffer.isBuffer(body) || body.length === 0) throw new BadRequest('There is no picture in this.');
    const photo = photoOf(body);
    if (photo.id !== request.params.id)
      throw new BadRequest('The picture was changed on its way: its hash is another.');
    store.putPhoto(photo);
    response.status(201).json({ id: photo.id, width: photo.width, height: photo.height });
  });
  return router;
}

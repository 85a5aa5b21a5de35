/** A body turned as a whole about the origin of rig axes: a load that does not stand square on its rig. */
import { IDENTITY, multiply, transform, type Mat3 } from '../0-base';
import type { FlatBody } from './flatBody';
import { turnedSpread } from './placeLoad';

export const turnedBody = (body: FlatBody, turn: Mat3): FlatBody =>
  turn === IDENTITY
    ? body
    : {
        ...body,
        at: transform(turn, body.at),
        rotation: multiply(turn, body.rotation),
        centre: transform(turn, body.centre),
        centreSpread: turnedSpread(turn, body.centreSpread),
      };

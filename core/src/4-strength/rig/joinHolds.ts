/** What a join bears before its faces part or it slips, N m; null where that is not known. */
import { threadCalled } from '../../2-frame';
import type { Join } from './joins';
import type { StrengthPiece } from './strengthPieces';

export interface Holds {
  readonly moment: number;
  readonly source: string;
}

/** A camera's screw, snug by hand (0.5 to 1 N m), N; on a ring of some 30 mm. */
const CAMERA_SCREW = { force: 600, outer: 0.015, inner: 0.0035 };
/** A screw done up by key or spanner stretches to some 250 MPa: under half of what class 8.8 bears. */
const DONE_UP = 250e6;
/** Under plastic, wood and rubber it creeps back to half. */
const SOFT = 0.5;
/** Its washer bears this far out, in diameters. */
const WASHER = 1.05;
/** A worm-drive clamp at 3 N m: band tension, N, and friction on bare metal; a third less on plastic. */
const BAND = { tension: 1000, friction: 0.2, onPlastic: 0.7 };

/** A ring pressed by F opens at F (ro² + ri²)/(4 ro): its far edge bears nothing any more. */
const opensAt = (force: number, outer: number, inner: number): number =>
  (force * (outer ** 2 + inner ** 2)) / (4 * outer);

export function joinHolds({ kind, connection, from, to }: Join): Holds | null {
  switch (kind) {
    case 'cameraScrew':
      return {
        moment: opensAt(CAMERA_SCREW.force, CAMERA_SCREW.outer, CAMERA_SCREW.inner),
        source: 'snug by hand, on a ring of 30 mm',
      };
    case 'bolted': {
      const thread = connection?.thread ? threadCalled(connection.thread) : null;
      if (!thread) return null;
      const { diameter, pitch } = thread;
      const area = (Math.PI / 4) * (diameter - 0.9382 * pitch) ** 2;
      const force = DONE_UP * area * (isSoft(from) || isSoft(to) ? SOFT : 1);
      return { moment: opensAt(force, WASHER * diameter, 0.53 * diameter), source: 'done up by key or spanner' };
    }
    case 'clamped': {
      const round = [from, to].find((p) => p.flats[0]!.shape.kind === 'tube')?.flats[0]!.shape;
      if (round?.kind !== 'tube') return null;
      const grip = 2 * Math.PI * BAND.tension * BAND.friction * round.outerRadius;
      return {
        moment: isSoft(from) || isSoft(to) ? grip * BAND.onPlastic : grip,
        source: 'clamp done up to 3 N·m, by friction round the tube',
      };
    }
    default:
      return null;
  }
}

const isSoft = ({ flats }: StrengthPiece): boolean => flats[0]!.look !== 'steel';

/** What a join bears before its faces part, its glue shears or it slips; what is not known is left out. */
import { threadCalled } from '../../2-frame';
import { slipTwist } from '../clampedRing';
import { sureStrength } from './materialFacts';
import type { Join } from './joins';
import type { StrengthPiece } from './strengthPieces';

export interface Holds {
  /** Pulled along its axis and sheared across it, N; twisted about it and tilted, N m. */
  readonly at: {
    readonly along?: number;
    readonly across?: number;
    readonly twist?: number;
    readonly tilt?: number;
  };
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
/** tan 30°: the cone of what a screw clamps (Shigley). */
const SPREAD = 0.577;
const thickness = ({ box: [low, high] }: StrengthPiece): number => Math.min(...low.map((x, i) => high[i]! - x));
/** Dry faces. */
const FRICTION = 0.15;
/** A worm-drive clamp at 3 N m: band tension, N, and friction on bare metal; a third less on plastic. */
const BAND = { tension: 1000, friction: 0.2, onPlastic: 0.7 };
/** What glue surely bears in shear, Pa: wood glue 6 to 10; epoxy on sanded metal 10 to 20, on plastic 2 to 6 (from memory). */
const GLUE = { wood: 6e6, steel: 10e6, plastic: 2e6, rubber: 1e6, gear: 2e6 };
/** Of a glue line only so much of its length counts, m. */
const OVERLAP = 0.025;
/** Solvent cement after a night: 3.4 MPa, 1.7 after two hours (ASTM D2564, from memory); solder quick 25 to 40 MPa, half surely. */
const CEMENT = 3.4e6;
const SOLDER = 12e6;
/** A set screw on steel 1 to 4 kN; thin tube a third of it, and out of plastic it creeps (Shigley, from memory). */
const SET_SCREW = { steel: 1000, thin: 1 / 3, plastic: 0.1 };
const THIN = 0.0015;
/** Plastic pushed dry into its socket: 1 to 20 N m, and it fades. */
const PUSHED = 1;
/** A pin of mild steel in shear, Pa. */
const PIN = 0.58 * 235e6;
/** At the root of a thread stress peaks to so many times. */
const NOTCH = 2.5;

/** A ring pressed by F opens at F (ro² + ri²)/(4 ro): its far edge bears nothing any more. */
const opensAt = (force: number, outer: number, inner: number): number =>
  (force * (outer ** 2 + inner ** 2)) / (4 * outer);

export function joinHolds(join: Join): Holds | null {
  const { kind, connection, from, to } = join;
  const isSoftEither = isSoft(from) || isSoft(to);
  switch (kind) {
    case 'cameraScrew': {
      const { force, outer, inner } = CAMERA_SCREW;
      return {
        at: { tilt: opensAt(force, outer, inner), twist: slipTwist(FRICTION, force, outer, inner) },
        source: 'snug by hand, on a ring of 30 mm',
      };
    }
    case 'bolted': {
      const thread = connection?.thread ? threadCalled(connection.thread) : null;
      if (!thread) return null;
      const { diameter, pitch } = thread;
      const area = (Math.PI / 4) * (diameter - 0.9382 * pitch) ** 2;
      const force = DONE_UP * area * (isSoftEither ? SOFT : 1);
      // Pressure spreads into the plates under it, at some 30°.
      const spread = WASHER * diameter + SPREAD * Math.min(thickness(from), thickness(to));
      const [outer, inner] = [Math.max(WASHER * diameter, Math.min(join.patch[1] / 2, spread)), 0.53 * diameter];
      return {
        at: {
          tilt: opensAt(force, outer, inner),
          twist: slipTwist(FRICTION, force, outer, inner),
          along: force,
          across: FRICTION * force,
        },
        source: 'done up by key or spanner',
      };
    }
    case 'clamped': {
      const round = [from, to].find((p) => p.flats[0]!.shape.kind === 'tube')?.flats[0]!.shape;
      if (round?.kind !== 'tube') return null;
      const slips = 2 * Math.PI * BAND.tension * BAND.friction * (isSoftEither ? BAND.onPlastic : 1);
      const twist = slips * round.outerRadius;
      return { at: { along: slips, twist, tilt: twist }, source: 'clamp done up to 3 N·m, by friction round the tube' };
    }
    case 'bonded': {
      const [long, wide] = join.patch;
      if (!(long > 0 && wide > 0)) return null;
      const weakest = Math.min(...[from, to].map((p) => GLUE[p.flats[0]!.look]));
      return {
        at: { across: weakest * Math.min(long, OVERLAP) * Math.min(wide, OVERLAP) },
        source: 'glue in shear, 25 mm of overlap at most; peeled it holds little: not known',
      };
    }
    case 'socketed':
      return socketHolds(join);
    default:
      return null;
  }
}

function socketHolds({ from, to, joint, patch, connection }: Join): Holds | null {
  const [pipe, other] = from.stretches.length > 0 ? [from, to] : [to, from];
  const section = pipe.stretches[0]?.section;
  if (!section || !pipe.material) return null;
  const radius = section.halfWidth;
  const wall = section.round ? section.area / (2 * Math.PI * radius) : 0;
  // Of what both boxes share one side is the pipe's own width.
  const deep = Math.abs(patch[0] - 2 * radius) < 0.002 ? patch[1] : patch[0];
  const skin = 2 * Math.PI * radius * deep;
  const round = (along: number): Holds['at'] => ({ along, twist: along * radius });
  switch (joint?.hold ?? 'glued') {
    case 'glued': {
      const isPlastic = pipe.flats[0]!.look === 'plastic' && other.flats[0]!.look === 'plastic';
      const shear = isPlastic ? CEMENT : Math.min(GLUE[pipe.flats[0]!.look], GLUE[other.flats[0]!.look]);
      return {
        at: round(shear * skin),
        source: isPlastic ? 'cemented a night ago' : 'glue in shear, well sanded',
      };
    }
    case 'soldered':
      return { at: round(SOLDER * skin), source: 'solder in shear, half of what it bears for a moment' };
    case 'threaded': {
      const root = threadDepth(radius);
      const left = wall - root;
      // The pipe is as thin there as its root, and cracks start in it.
      const bends = left > 0 ? (Math.PI * (radius - root) ** 2 * left * sureStrength(pipe.material.facts)) / NOTCH : 0;
      return bends > 0
        ? { at: { tilt: bends }, source: 'pipe at the root of its thread, done up with a wrench' }
        : null;
    }
    case 'pressed':
      return isSoft(pipe) ? { at: { twist: PUSHED }, source: 'pushed in dry: 1 to 20 N·m, and it fades' } : null;
    case 'setScrew': {
      const look = pipe.flats[0]!.look;
      const part = look !== 'steel' ? SET_SCREW.plastic : wall > 0 && wall < THIN ? SET_SCREW.thin : 1;
      return { at: round(SET_SCREW.steel * part), source: 'one set screw, cup point, wrenched tight' };
    }
    case 'pinned': {
      const pin = connection?.holes[0]?.diameter;
      if (!pin || wall === 0) return null;
      const shear = 2 * (Math.PI / 4) * pin ** 2 * PIN;
      const bears = 2 * pin * wall * sureStrength(pipe.material.facts);
      return {
        at: round(Math.min(shear, bears)),
        source: shear < bears ? 'the pin in shear' : 'the wall beside the pin',
      };
    }
  }
}

/** Of tapered pipe threads by the pipe's outside: 18, 14 or 11½ to the inch, 0.8 of a pitch deep. */
const threadDepth = (radius: number): number => (radius < 0.0095 ? 0.00113 : radius < 0.015 ? 0.00145 : 0.00177);

const isSoft = ({ flats }: StrengthPiece): boolean => flats[0]!.look !== 'steel';

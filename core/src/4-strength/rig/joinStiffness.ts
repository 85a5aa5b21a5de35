/** How a join gives about its own axes: one row a way of holding, each with its spread and where it comes from. */
import type { Six } from '../frame/frameModel';
import type { Section } from '../frame/section';
import type { JointHeard } from './knownJoints';
import type { Join } from './joins';
import type { StrengthPiece } from './strengthPieces';

export interface JoinStiffness {
  /** Along x y z and about them, N/m and N m/rad; x along pipe or screw. */
  readonly six: Six;
  /** Within this many times either way, two deviations. */
  readonly within: number;
  readonly source: string;
  /** What a flick said of it: already in the figures above. */
  readonly heard?: JointHeard;
  /** Part of critical that it takes out of what swings in it. */
  readonly damping: number;
}

/** A bare metal face under a tight screw hardly gives, N m/rad: pressure over 1.5 µm (Shigley; rough). */
const TIGHT_FACE = 1.5e4;
/** Plate under one screw with a hub of a quarter of its rim: k = E t³/alpha, between clamped and resting rim (plate theory). */
const PLATE_ALPHA = 0.55;
/** Thinner than this part of its width it is a plate. */
const PLATE = 0.3;

export function joinStiffness(join: Join): JoinStiffness {
  const line = along(join);
  const about = (k: number, turn = k): Pick<JoinStiffness, 'six'> => ({ six: [line, line, line, turn, k, k] });
  switch (join.kind) {
    case 'socketed':
      return socket(join, line);
    case 'bolted': {
      const k = inSeries(TIGHT_FACE, plateTilt(join.from), plateTilt(join.to));
      return {
        ...about(k, TIGHT_FACE / 3),
        within: 2.5,
        source: 'plate under one screw, plate theory; tight faces, Shigley',
        damping: 0.012,
      };
    }
    case 'clamped':
      return isRound(join.from) || isRound(join.to)
        ? { ...about(160), within: 4, source: 'clamp round a tube, 50 to 500 N m/rad, from memory', damping: 0.02 }
        : {
            ...about(1600),
            within: 5,
            source: 'rail and one-sided clamp, 500 to 5,000 N m/rad, from memory',
            damping: 0.02,
          };
    case 'bonded': {
      const k = lap(join);
      const shear = glueLine(join);
      return {
        six: [shear, shear, shear, k, k, k],
        within: 2,
        source: 'glue line of 0.15 mm in shear and pull over its area',
        damping: 0.005,
      };
    }
    case 'screwedIn':
      return {
        ...about(inSeries(3000, plateTilt(join.from), plateTilt(join.to))),
        within: 2,
        source: 'wood screw, slip by Eurocode 5',
        damping: 0.02,
      };
    case 'seated':
      return { ...about(1500), within: 4, source: 'ring or insert in its seat; rough', damping: 0.015 };
    case 'slidOn':
      return { ...about(150), within: 4, source: 'grip or sleeve, rubber; rough', damping: 0.1 };
    case 'laid':
      return { ...about(600), within: 3, source: 'tape or pad, 1 mm of rubber; rough', damping: 0.1 };
    case 'cameraScrew':
      return {
        ...about(900),
        within: 3,
        source: 'pad, plate and the camera’s own base in a row: 100 to 2,000, 500 to 5,000 N m/rad, from memory',
        damping: 0.06,
      };
    case 'welded':
      return { ...about(1e6), within: 2, source: 'weld as long as the section is round', damping: 0.002 };
    case 'hinged':
    case 'pivot':
      return { ...about(2000), within: 4, source: 'pair of bearings or two tight faces; rough', damping: 0.015 };
  }
}

/** Straight through: the softer piece over a length of its own thickness. */
function along({ from, to }: Join): number {
  const of = (p: StrengthPiece): number =>
    (p.material ? Math.max(p.material.stiffness, PAD_STIFFNESS) : 20e9) * thinnest(p);
  return Math.max(1e6, Math.min(of(from), of(to)));
}
const thinnest = ({ box }: StrengthPiece): number => Math.max(0.001, Math.min(...box[1].map((x, i) => x - box[0][i]!)));

const inSeries = (...all: readonly number[]): number => 1 / all.reduce((sum, k) => sum + 1 / k, 0);

/** Rubber of 60 Shore A that cannot slide under what lies on it, Pa. */
const PAD_STIFFNESS = 6e6;

/** A plate bends round its screw; a pad is squeezed on one side; a bar's bending is its own, and a block's none. */
function plateTilt({ flats, material, stretches, box }: StrengthPiece): number {
  const shape = flats[0]!.shape;
  if (flats[0]!.look === 'rubber') {
    const [t, w, l] = box[1].map((x, i) => x - box[0][i]!).sort((a, b) => a - b) as [number, number, number];
    return (PAD_STIFFNESS * l * w ** 3) / (12 * t);
  }
  if (!material || shape.kind !== 'box' || stretches.length > 0) return Infinity;
  const [t, w] = [...shape.size].sort((a, b) => a - b) as [number, number, number];
  return t < PLATE * w ? (material.stiffness * t ** 3) / PLATE_ALPHA : Infinity;
}

const isRound = ({ flats }: StrengthPiece): boolean => flats[0]!.shape.kind === 'tube';

/** Glue's shear modulus over its thickness, Pa/m. */
const GLUE = 1e9 / 0.00015;
/** Stiffer is as good as one piece, and harder to reckon with, N/m. */
const AS_ONE = 5e9;
/** And N m/rad. */
const TURNS_AS_ONE = 2e6;
const faceOf = ({ patch: [a, b] }: Join): readonly [number, number] => [Math.max(a, 0.005), Math.max(b, 0.005)];
/** Slid along its face. */
const glueLine = (join: Join): number => Math.min(AS_ONE, GLUE * faceOf(join)[0] * faceOf(join)[1]);
/** Turned, by the second moment of its face. */
function lap(join: Join): number {
  const [l, w] = faceOf(join);
  return Math.min(TURNS_AS_ONE, GLUE * ((l * w ** 3) / 12));
}

/** EI over so many diameters, the spread, where from, and damping. */
const SOCKETS = {
  glued: [0.55, 3, 'cemented socket, EI over 0.3 to 1 diameter: tee bodies are the soft end; from memory', 0.015],
  soldered: [0.32, 2, 'soldered cup, EI over 0.2 to 0.5 diameter; from memory', 0.002],
  threaded: [1, 3, 'pipe thread done up with a wrench, EI over 0.5 to 2 diameters; from memory', 0.01],
  pressed: [2, 4, 'press fit, EI over 1 to 4 diameters; from memory', 0.02],
  setScrew: [3.5, 4, 'held by a set screw on a line, EI over 2 to 6 diameters; from memory', 0.02],
  pinned: [2, 3, 'pinned in its socket; from memory', 0.02],
} as const;

function socket({ from, to, joint }: Join, line: number): JoinStiffness {
  const pipe = from.stretches.length > 0 ? from : to;
  const section: Section | undefined = pipe.stretches[0]?.section;
  const [diameters, within, source, damping] = SOCKETS[joint?.hold ?? 'glued'];
  if (!section || !pipe.material) return { six: [line, line, line, 2000, 2000, 2000], within: 3, source, damping };
  const reach = diameters * 2 * section.halfWidth;
  const bend = (pipe.material.stiffness * section.aboutY) / reach;
  const twist = (pipe.material.facts.shear * section.torsion) / reach;
  return { six: [line, line, line, twist, bend, bend], within, source, damping };
}

/** What passes through each join of a frame at rest, against what it holds. */
import { addScaled, cross, dot, length, subtract, type Vec3 } from '../../0-base';
import type { FrameAnswer } from '../frame/frameAnswer';
import { joinHolds, type Holds } from './joinHolds';
import type { Join } from './joins';
import type { RigFrame } from './rigFrame';

/** Of what it holds the one that is nearest to its end. */
export interface Nearest {
  /** Pulled out along its axis, sheared, turned about its axis, or tilted. */
  readonly way: keyof Holds['at'];
  readonly carries: number;
  readonly holds: number;
}
export interface Carried {
  readonly id: string;
  readonly name: string;
  readonly pieces: readonly [string, string];
  readonly at: Vec3;
  /** N and N m. */
  readonly force: number;
  readonly moment: number;
  /** Null: what it holds is not known. */
  readonly nearest: Nearest | null;
  readonly kind: Join['kind'];
  /** Of what it holds, or of how it gives. */
  readonly source: string;
  /** In which case, by id. */
  readonly in: string;
}

export function carriedBy({ model, links }: RigFrame, { at }: FrameAnswer, inCase: string): readonly Carried[] {
  const beside = screwsBeside(links);
  return model.links.flatMap((link, i): Carried[] => {
    const meaning = links[i]!;
    if (meaning.kind !== 'join') return [];
    const { join, stiffness } = meaning;
    const [from, to] = [link.from, link.to].map((node) => {
      const { displacement, rotation } = at(node);
      return {
        shift: addScaled(displacement, cross(rotation, subtract(link.at, model.nodes.get(node)!)), 1),
        rotation,
      };
    }) as unknown as [{ shift: Vec3; rotation: Vec3 }, { shift: Vec3; rotation: Vec3 }];
    const through = (k: 'shift' | 'rotation', first: number): Vec3 =>
      [0, 1, 2].map(
        (a) => link.stiffness[first + a]! * dot(link.axes[a]!, subtract(to[k], from[k])),
      ) as unknown as Vec3;
    const [force, moment] = [through('shift', 0), through('rotation', 3)];
    const holds = joinHolds(join);
    return [
      {
        id: link.id,
        name: join.name,
        pieces: [join.from.id, join.to.id],
        at: link.at,
        force: length(force),
        moment: length(moment),
        kind: join.kind,
        nearest: holds && nearestOf(borne(force, moment, beside(join), link.axes), holds),
        source: holds?.source ?? stiffness.source,
        in: inCase,
      },
    ];
  });
}

/** Of two or more screws through the same two pieces the one furthest off, from this one; null: it is alone. */
function screwsBeside(links: RigFrame['links']): (join: Join) => Vec3 | null {
  const pairOf = ({ from, to }: Join): string => [from.id, to.id].sort().join(' ');
  const screws = links.flatMap((l) => (l.kind === 'join' && l.join.kind === 'bolted' ? [l.join] : []));
  const byPair = new Map<string, Join[]>();
  for (const s of screws) byPair.set(pairOf(s), [...(byPair.get(pairOf(s)) ?? []), s]);
  return (join) =>
    (byPair.get(pairOf(join)) ?? [])
      .map((other) => subtract(other.at, join.at))
      .reduce<Vec3 | null>((far, d) => (length(d) > Math.max(APART, far ? length(far) : 0) ? d : far), null);
}
/** Nearer than this two are one, m. */
const APART = 0.004;

type Borne = Readonly<Record<Nearest['way'], number>>;

/** A pair at s bears a tilt across its line as ± M/s along, and a twist as shear: only the tilt about the line is left to each alone. */
function borne(force: Vec3, moment: Vec3, beside: Vec3 | null, axes: readonly Vec3[]): Borne {
  const across = Math.hypot(force[1], force[2]);
  const [along, twist, tilt] = [Math.abs(force[0]), Math.abs(moment[0]), Math.hypot(moment[1], moment[2])];
  const apart = beside && [dot(axes[1]!, beside), dot(axes[2]!, beside)];
  const s = apart ? Math.hypot(apart[0]!, apart[1]!) : 0;
  if (!apart || s < APART) return { along, across, twist, tilt };
  const about = Math.abs(moment[1] * apart[0]! + moment[2] * apart[1]!) / s;
  const over = Math.sqrt(Math.max(0, tilt ** 2 - about ** 2));
  return { along: along + over / s, across: across + twist / s, twist: 0, tilt: about };
}

function nearestOf(carries: Borne, { at }: Holds): Nearest | null {
  return (['along', 'across', 'twist', 'tilt'] as const).reduce<Nearest | null>((worst, way) => {
    const holds = at[way];
    if (holds === undefined) return worst;
    const one = { way, carries: carries[way], holds };
    return worst && shareOf(worst) >= shareOf(one) ? worst : one;
  }, null);
}
const shareOf = ({ carries, holds }: Nearest): number => carries / holds;

/** Of what it holds; what is not known comes last. */
export const strainedShare = ({ nearest }: Carried): number => (nearest ? shareOf(nearest) : 0);
/** Most strained first. */
export const byShare = (a: Carried, b: Carried): number => strainedShare(b) - strainedShare(a) || b.moment - a.moment;

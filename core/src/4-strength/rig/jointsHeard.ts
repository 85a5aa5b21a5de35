/**
 * What a flick says of the joints. How stiff they are is known within a few times only, so each is moved as little as its
 * spread asks, in logarithms, until the rig rings as it was heard (weighted least squares; a mode's part of energy in a
 * joint is twice what its frequency follows that joint by: Rayleigh).
 */
import type { AdjusterValues, Assembly } from '../../2-frame';
import { product } from '../solver/lanczos';
import { applied } from '../solver/small';
import { frameSystem, withLinks, type FrameSystem } from '../frame/frameSystem';
import { modesOf, type FrameMode } from '../frame/modesOf';
import type { JointHeard, JointsHeard } from './knownJoints';
import { pictureWay, type PictureWay } from './pictureWay';
import { rigFrame, type LinkMeaning, type RigFrame } from './rigFrame';

export interface HeardInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  /** What was heard before. */
  readonly joints: JointsHeard;
  /** Hz, with one standard uncertainty of the reading. */
  readonly frequency: number;
  readonly uncertainty: number;
  /** Which way the picture went; null: not seen, the lowest. */
  readonly way: PictureWay | null;
}
export interface JointMoved extends JointHeard {
  readonly id: string;
  readonly name: string;
  /** The piece to light up. */
  readonly piece: string;
  /** By how many of its deviations this reading moved it; under nought: softer. */
  readonly spreads: number;
}
export type HeardOutcome =
  | { readonly kind: 'notHeld' }
  /** Nothing rings that way. */
  | { readonly kind: 'nothingRings' }
  | {
      readonly kind: 'heard';
      /** As it was reckoned before, and as its joints let it ring now, Hz. */
      readonly expected: number;
      readonly explained: number;
      /** Moved most first. */
      readonly joints: readonly JointMoved[];
    };

const PIECES = 2;
const MODES = 6;
/** Beams, masses and what holds it are this sure of a frequency, standard. */
const MODEL = 0.03;
const ROUNDS_AT_MOST = 12;
const SETTLED = 1e-7;
/** No joint is moved by more of its deviations: then it is not the joints. */
const SPREADS_AT_MOST = 4;

export function jointsHeard({ frequency, uncertainty, way, ...input }: HeardInput): HeardOutcome {
  const pose = input.assembly.rig.poses[0] ?? null;
  const made = rigFrame({ ...input, pose, held: 'vice', pivots: 'still' });
  if (made.kind !== 'framed') return made;
  const { frame } = made;
  const system = frameSystem(frame.model, () => PIECES);
  const spreads = frame.links.map((l) => (l.kind === 'join' ? Math.log(l.stiffness.within) / 2 : 0));
  const sure = Math.hypot(uncertainty / frequency, MODEL);
  const first = modesOf(system, MODES)?.modes.find((m) => isHeard(m, frame, way));
  if (!first) return { kind: 'nothingRings' };

  let mode = first;
  let shares = linkShares(system, first);
  let moved = spreads.map(() => 0);
  for (let round = 0; round < ROUNDS_AT_MOST; round++) {
    const follows = shares.map((s) => s / 2);
    const known = follows.reduce((sum, g, i) => sum + (g * spreads[i]!) ** 2, 0);
    const off = Math.log(frequency / mode.frequency) + follows.reduce((sum, g, i) => sum + g * moved[i]!, 0);
    const next = follows.map((g, i) => {
      const most = SPREADS_AT_MOST * spreads[i]!;
      return Math.max(-most, Math.min(most, (spreads[i]! ** 2 * g * off) / (known + sure ** 2)));
    });
    const change = Math.max(...next.map((x, i) => Math.abs(x - moved[i]!)));
    moved = next;
    const changed = withLinks(system, (i) => Math.exp(moved[i]!));
    const like = nearest(modesOf(changed, MODES)?.modes ?? [], mode);
    if (!like) break;
    mode = like;
    shares = linkShares(changed, mode);
    if (change < SETTLED) break;
  }
  return {
    kind: 'heard',
    expected: first.frequency,
    explained: mode.frequency,
    joints: told(frame.links, moved, spreads, shares, sure),
  };
}

/** Those that the mode gives in are known better by it: together as well as the reading is, and each that takes part in the same measure. */
function told(
  links: RigFrame['links'],
  moved: readonly number[],
  spreads: readonly number[],
  shares: readonly number[],
  sure: number,
): readonly JointMoved[] {
  const pulls = shares.map((s, i) => (s / 2) * spreads[i]!);
  const most = Math.max(...pulls, Number.MIN_VALUE);
  const narrowed = sure / Math.hypot(sure, ...pulls);
  return links
    .flatMap((link, i): readonly JointMoved[] => {
      if (link.kind !== 'join' || pulls[i]! < TAKES_PART * most) return [];
      const part = (pulls[i]! / most) ** 2;
      const left = spreads[i]! * Math.sqrt(1 - part * (1 - narrowed ** 2));
      const before = beforeOf(link);
      return [
        {
          id: link.join.id,
          name: link.join.name,
          piece: link.join.to.id,
          factor: before * Math.exp(moved[i]!),
          within: Math.exp(2 * left),
          spreads: spreads[i]! === 0 ? 0 : moved[i]! / spreads[i]!,
        },
      ];
    })
    .sort((a, b) => Math.abs(b.spreads) - Math.abs(a.spreads));
}
/** Of what the joint that takes most part does: less is told nothing. */
const TAKES_PART = 0.05;
const beforeOf = (link: Extract<LinkMeaning, { kind: 'join' }>): number => link.stiffness.heard?.factor ?? 1;

/** The part of a mode's energy that is in each link. */
function linkShares({ elements }: FrameSystem, { shape }: FrameMode): readonly number[] {
  const shares: number[] = [];
  let total = 0;
  for (const { unknowns, stiffness, link } of elements) {
    if (!stiffness) continue;
    const v = unknowns.map((u) => shape[u]!);
    const energy = applied(stiffness, v, v.length, v.length).reduce((sum, f, i) => sum + f * v[i]!, 0);
    total += energy;
    if (link !== undefined) shares[link] = (shares[link] ?? 0) + energy;
  }
  return Array.from(shares, (s) => (s ?? 0) / Math.max(total, Number.MIN_VALUE));
}

function isHeard(mode: FrameMode, { camera }: RigFrame, way: PictureWay | null): boolean {
  if (way === null || camera === null) return true;
  const { rotation, displacement } = mode.at(camera);
  return pictureWay(rotation, displacement) === way;
}

/** The one that swings most like it. */
function nearest(modes: readonly FrameMode[], like: FrameMode): FrameMode | null {
  const alike = (m: FrameMode): number =>
    Math.abs(product(m.shape, like.shape)) / Math.sqrt(product(m.shape, m.shape) || 1);
  return modes.reduce<FrameMode | null>((best, m) => (best && alike(best) >= alike(m) ? best : m), null);
}

/** A flat bar laid on two pieces of a frame and bolted to each: level, with a spacer under the end that would stand off. */
import { addScaled, cross, scale, subtract, unit, type Phrase, say, type Vec3 } from '../../0-base';
import type { Body, Bolted, Member, Rig, Section, Stock } from '../../model';
import { crossings } from '../connections/crossing';
import { bearsOnRing } from '../connections/kinds/bolted';
import { threadCalled } from '../hardware/thread';
import { surroundings } from '../connections/surroundings';

export type Bar = { readonly kind: 'made'; readonly rig: Rig } | { readonly kind: 'refused'; readonly reason: Phrase };

const THREAD = 'M5';
/** Beyond a bolt: half as much again as it is thick, and room to round the end. */
export const BEYOND = 0.012;
/** Further out than any fitting, m. */
const FAR = 0.5;
/** Faces that differ by less are level: the bar lies on both as it is bolted, out of square by a hair; no spacer is so thin, m. */
const LEVEL = 0.0003;

export interface BarEnd {
  /** What its bolt goes through, and a point of the bolt's axis in it. */
  readonly piece: string;
  readonly at: Vec3;
}
export interface BarInput {
  readonly member: string;
  readonly stock: Stock;
  readonly section: Extract<Section, { kind: 'flat' }>;
  /** One that folds turns on a lock nut at its first end and comes off a wing nut at its second. */
  readonly folds: boolean;
  readonly name: string;
  /** The way from the pieces to the bar, square to it. */
  readonly out: Vec3;
  readonly ends: readonly [BarEnd, BarEnd];
  /** It lies at least so far out, over what stands between its ends, m. */
  readonly atLeast?: number;
}

export function barBetween(rig: Rig, body: Body, input: BarInput): Bar {
  const { member: id, stock, section, folds, name, out, ends } = input;
  const [first, second] = ends;
  const along = unit(subtract(second.at, first.at));
  const around = surroundings(rig, () => 0);
  const ring = bearsOnRing(threadCalled(THREAD)!);
  const faces = ends.map(({ piece, at }) => {
    const [met] = crossings({ point: addScaled(at, out, FAR), way: scale(out, -1) }, around.solids(piece), ring, {
      walls: 'both',
    });
    return met ? FAR - met[0] : null;
  });
  if (faces.some((f) => f === null))
    return { kind: 'refused', reason: say`The bolt would miss what it should go through.` };
  const highest = Math.max(faces[0]!, faces[1]!, input.atLeast ?? 0);
  const [atFirst, atSecond] = faces.map((f) => (highest - f! < LEVEL ? f! : highest)) as [number, number];
  const places = [
    addScaled(addScaled(first.at, out, atFirst + section.thickness / 2), along, -BEYOND),
    addScaled(addScaled(second.at, out, atSecond + section.thickness / 2), along, BEYOND),
  ];
  const bolt = ({ piece, at }: BarEnd, face: number, off: number, end: Bolted['end'], called: string): Bolted => ({
    kind: 'bolted',
    id: `${id}-bolt-${piece}`,
    name: called,
    on: piece,
    point: addScaled(at, out, face + section.thickness),
    way: scale(out, -1),
    thread: THREAD,
    stack: [
      { kind: 'piece', piece: id },
      ...(face - off > LEVEL ? [{ kind: 'spacer' as const, length: face - off }] : []),
      { kind: 'piece', piece },
    ],
    end,
  });
  const member: Member = {
    id,
    name,
    from: `${id}-end-1`,
    to: `${id}-end-2`,
    stock,
    path: { kind: 'straight', widthDirection: cross(along, out) },
    leftLong: 0,
    holes: [],
  };
  const bolts = folds
    ? [
        bolt(first, atFirst, faces[0]!, { kind: 'lock' }, 'bolt the bar folds on'),
        { ...bolt(second, atSecond, faces[1]!, { kind: 'wing' }, 'bolt that lets the bar fold'), packs: true },
      ]
    : [
        bolt(first, atFirst, faces[0]!, { kind: 'nut' }, `first bolt of the ${name.startsWith('bar') ? 'bar' : name}`),
        bolt(
          second,
          atSecond,
          faces[1]!,
          { kind: 'nut' },
          `second bolt of the ${name.startsWith('bar') ? 'bar' : name}`,
        ),
      ];
  const made: Body = {
    ...body,
    nodes: [...body.nodes, ...places.map((at, i) => ({ id: `${id}-end-${i + 1}`, at }))],
    members: [...body.members, member],
    connections: [...(body.connections ?? []), ...bolts],
  };
  return { kind: 'made', rig: { ...rig, bodies: rig.bodies.map((x) => (x === body ? made : x)) } };
}

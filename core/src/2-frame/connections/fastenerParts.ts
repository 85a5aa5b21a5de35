/** A fastener as parts of the rig: round solids of its own mass where it stands. A head is drawn as the round of its hexagon's area. */
import { alignZ, quaternionOf, type Vec3 } from '../../0-base';
import type { Bolted, Part } from '../../model';
import type { BoltPiece } from '../hardware/boltUp';
import { fastenerMass } from '../hardware/fastenerMass';
import { supplyOf } from '../hardware/supplyOf';

const STEEL = 7850;
/** Radius of the circle that a hexagon of this width across its flats is as large as. */
const roundOf = (acrossFlats: number): number => acrossFlats * Math.sqrt(Math.sqrt(3) / 2 / Math.PI);

interface Length {
  readonly outside: number;
  readonly inside: number;
  readonly from: number;
  readonly length: number;
  /** Part of the whole's mass. */
  readonly share: number;
}

/** `place` is a point of the axis so far from where the stack begins. The first part is the piece itself. */
export function fastenerParts(
  of: Bolted,
  piece: BoltPiece,
  place: (along: number) => Vec3,
  way: Vec3,
  { rides, goesWith }: { readonly rides?: string | undefined; readonly goesWith?: string | undefined },
): readonly Part[] {
  const id = `${of.id}/${piece.role}`;
  const turn = quaternionOf(alignZ(way));
  const weighed = of.weighed?.[piece.role];
  const mass = weighed ?? { value: piece.mass, spread: piece.spread, source: `mass of ${piece.item}` };
  return lengthsOf(piece).map((l, i) => ({
    id: i === 0 ? id : `${id}.${i}`,
    name: piece.item,
    shape: { kind: 'tube', outerRadius: l.outside, innerRadius: l.inside, length: l.length },
    at: place(l.from + l.length / 2),
    turn,
    material: 'steel',
    mass: {
      ...mass,
      value: mass.value * l.share,
      ...(mass.spread === undefined ? {} : { spread: mass.spread * l.share }),
    },
    by: of.id,
    ...(weighed ? {} : { reckoned: true }),
    ...(i === 0 ? { supply: supplyOf(piece) } : { of: id }),
    ...(rides ? { rides } : {}),
    ...(goesWith ? { goesWith } : {}),
  }));
}

function lengthsOf({ fastener: f, mass }: BoltPiece): readonly Length[] {
  switch (f.type) {
    case 'lowHeadScrew': {
      const head = fastenerMass({ ...f, length: SLIVER, threadLength: 0 }, STEEL).mass / mass;
      return [
        { outside: f.threadDiameter / 2, inside: 0, from: f.at, length: f.length, share: 1 - head },
        { outside: f.headDiameter / 2, inside: 0, from: f.at - f.headHeight, length: f.headHeight, share: head },
      ];
    }
    case 'hexHeadScrew': {
      const head = fastenerMass({ ...f, length: SLIVER, threadLength: 0 }, STEEL).mass / mass;
      return [
        { outside: f.threadDiameter / 2, inside: 0, from: f.at, length: f.length, share: 1 - head },
        { outside: roundOf(f.acrossFlats), inside: 0, from: f.at - f.headHeight, length: f.headHeight, share: head },
      ];
    }
    case 'hexNut':
      return [
        { outside: roundOf(f.acrossFlats), inside: f.threadDiameter / 2, from: f.at, length: f.height, share: 1 },
      ];
    case 'washer':
      return [{ outside: f.outerDiameter / 2, inside: f.innerDiameter / 2, from: f.at, length: f.thickness, share: 1 }];
    case 'threadedRod':
      return [{ outside: f.threadDiameter / 2, inside: 0, from: f.at, length: f.length, share: 1 }];
    case 'countersunkScrew': {
      // Drawn as a round head of its volume.
      const head = (f.headDiameter ** 2 + f.headDiameter * f.threadDiameter + f.threadDiameter ** 2) / 12;
      const whole =
        fastenerMass({ ...f, type: 'threadedRod', at: 0, length: f.length - f.headHeight }, STEEL).mass / mass;
      const shank = Math.min(0.99, whole);
      return [
        {
          outside: f.threadDiameter / 2,
          inside: 0,
          from: f.at + f.headHeight,
          length: f.length - f.headHeight,
          share: shank,
        },
        { outside: Math.sqrt(head), inside: 0, from: f.at, length: f.headHeight, share: 1 - shank },
      ];
    }
    case 'socketHeadScrew':
      throw new RangeError(`${f.type} is not drawn yet`);
  }
}
/** A screw of next to no length is its head. */
const SLIVER = 1e-9;

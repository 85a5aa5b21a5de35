/** A lid that a plate is pushed into: two edges meet its rim, and it leads the bit at each hole through the plate’s thickness. */
import { dot, say, subtract, transform, type Vec3 } from '../../0-base';
import { sawnParts } from '../../2-frame';
import type { Part } from '../../model';
import { pilotFor } from '../pilot';
import type { PatternInput } from '../patterns/pattern';
import { GUIDE_ROOM, upright, type Guide, type Jig, type JigMaker } from './jig';

/** One hole is as soon marked by hand. */
const LEAST = 2;
const LID = 0.008;
const RIM = 0.006;
/** The rim is a little lower than the plate is thick, and no higher than this, m. */
const RIM_HIGH = 0.005;
const UNDER = 0.0005;

export const lid: JigMaker = (input) => sawnParts(input.assembly.rig).flatMap((part) => lidFor(part, input) ?? []);

function lidFor(part: Part, { shapes, sheets, holeOf }: PatternInput): Jig | null {
  const flat = shapes.get(part.id)?.flats.find((f) => f.id === part.id) ?? shapes.get(part.id)?.flats[0];
  const marks = sheets.find((s) => s.piece === part.id)?.marks ?? [];
  if (!flat || flat.shape.kind !== 'box' || part.material === 'rubberFoam') return null;
  const { size } = flat.shape;
  const thin = ([0, 1, 2] as const).reduce((a, b) => (size[b] < size[a] ? b : a));
  const [i, j] = ([0, 1, 2] as const).filter((k) => k !== thin) as [0 | 1 | 2, 0 | 1 | 2];
  const axis = (k: 0 | 1 | 2): Vec3 => transform(flat.rotation, [Number(k === 0), Number(k === 1), Number(k === 2)]);
  // The plate lies on the lid: seen from above, its drilled face looks down. i, j and thin in turn are right-handed only where j follows i.
  const mirrored = (i + 1) % 3 === j ? 1 : -1;
  const [long, wide, thick] = [size[i], size[j], size[thin]];
  const guides = marks.flatMap((mark): readonly Guide[] => {
    const hole = holeOf(mark.connection, part.id);
    if (!hole || Math.abs(dot(hole.axis, axis(thin))) < 0.99) return [];
    const off = subtract(hole.at, flat.at);
    return [
      {
        hole: mark.id,
        at: [RIM + long / 2 + dot(off, axis(i)), RIM + wide / 2 - mirrored * dot(off, axis(j)), LID / 2],
        way: [0, 0, 1],
        diameter: pilotFor(mark.diameter) + GUIDE_ROOM,
        depth: LID,
      },
    ];
  });
  if (guides.length < LEAST) return null;
  const [across, deep] = [long + RIM, wide + RIM];
  const high = LID + Math.min(RIM_HIGH, Math.max(UNDER, thick - UNDER));
  return {
    id: `lid:${part.id}`,
    about: part.id,
    title: say`Drill jig for the ${part.name}`,
    says: [
      say`Push the plate into the corner of its rim and clamp both on a board, the lid on top: run the pilot through each guide. Laid the other way up it would drill the mirror image: the rim goes round the ${edgeName(axis(i), -1)} and the ${edgeName(axis(j), mirrored)} edge.`,
      say`Or saw it of hardwood as thick: stick the paper of its face on, and drill it under a stand.`,
    ],
    blocks: [
      upright([across / 2, deep / 2, LID / 2], [across, deep, LID]),
      upright([RIM / 2, deep / 2, high / 2], [RIM, deep, high]),
      upright([across / 2, RIM / 2, high / 2], [across, RIM, high]),
    ],
    cuts: [],
    guides,
    size: [across, deep, high],
  };
}

/** By the rig axis that the edge looks along. */
function edgeName(axis: Vec3, sign: number): string {
  const k = ([0, 1, 2] as const).reduce<0 | 1 | 2>((a, b) => (Math.abs(axis[b]) > Math.abs(axis[a]) ? b : a), 0);
  const way = Math.sign(axis[k]) * sign;
  return (
    [
      ['rear', 'front'],
      ['right', 'left'],
      ['lower', 'upper'],
    ] as const
  )[k][way > 0 ? 1 : 0];
}

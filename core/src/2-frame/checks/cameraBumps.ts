/** The load against the frame that carries it: what it would strike as it stands. */
import { figure, say } from '../../0-base';
import { solidGap } from '../clearances/clearance';
import type { Rig } from '../../model';
import type { FrameCheck } from '../frameCheck';
import { framePieces, gapUnder, pushAway } from '../clearances/near';

const LEAST = 0.004;
/** What carries the load may touch it: everything within this of the mount's face belongs to the mount. */
const MOUNT_REACH = 0.03;

/** What is screwed into the load goes into it. */
function intoCamera(rig: Rig): ReadonlySet<string> {
  const all = rig.bodies.flatMap((b) => b.connections ?? []);
  const ends = new Set(all.flatMap((c) => (c.kind === 'bolted' && c.end.kind === 'camera' ? [c.id] : [])));
  return new Set(rig.bodies.flatMap((b) => b.parts).flatMap((p) => (p.by && ends.has(p.by) ? [p.id] : [])));
}

export const cameraBumps: FrameCheck = {
  id: 'cameraBumps',
  look: (frame) => {
    const { assembly } = frame;
    if (!assembly.mount) return [];
    const holder = frame.rig.bodies.flatMap((b) => b.parts).find((p) => p.mount)?.id;
    const load = frame.pieces.filter((p) => p.isLoad);
    const mountAt = { shape: { kind: 'point' as const }, at: assembly.mount, rotation: assembly.mountTurn };
    const into = intoCamera(frame.rig);
    const hits = framePieces(frame).flatMap(({ flat }) => {
      if (flat.owner === holder || into.has(flat.owner) || gapUnder(flat, mountAt, MOUNT_REACH) !== null) return [];
      const gaps = load.flatMap((l) => {
        // What it stands on by itself it may touch.
        if (l.flat.carriedBy === flat.owner) return [];
        const gap = gapUnder(l.flat, flat, LEAST);
        return gap === null ? [] : [{ gap, load: l.flat.name }];
      });
      return gaps.length === 0 ? [] : [{ flat, ...gaps.reduce((a, b) => (b.gap < a.gap ? b : a)) }];
    });
    // Of a screw and its head, which are one piece, the nearer.
    const each = [
      ...hits
        .sort((a, b) => b.gap - a.gap)
        .reduce((m, h) => m.set(h.flat.owner, h), new Map<string, (typeof hits)[0]>())
        .values(),
    ];
    return each
      .reverse()
      .slice(0, 3)
      .map(({ flat, gap, load: name }) => ({
        code: 'cameraBumps',
        severity: gap <= 1e-5 ? ('mend' as const) : ('note' as const),
        about: flat.owner,
        figure: figure('length', gap),
        limit: figure('length', LEAST),
        title:
          gap <= 1e-5
            ? say`${name} and the ${flat.name} are in each other's place.`
            : say`Only ${figure('length', gap)} between ${name} and the ${flat.name}.`,
        why: say`Play, bending and a bump close ${figure('length', LEAST)} easily.`,
        toDo: say`Move the camera along its plate, raise it, or make the frame wider there.`,
        fixes:
          gap <= 1e-5
            ? []
            : pushAway(frame, flat.owner, (piece) => Math.min(...load.map((l) => solidGap(l.flat, piece))), LEAST),
      }));
  },
};

/** Looseness seen in the picture: a pin in its hole, a carriage on its rails, a thread not screwed home, a clamp or sleeve with room; as an angle and as a part of the frame at the lens in use. */
import { cross, DEGREE, figure, length, say, subtract, unit, type Finding } from '../../0-base';
import type { FrameCheck, FrameContext } from '../frameCheck';
import type { Body, Bolted } from '../../model';
import { bodiesBeyond } from '../assemble';
import { memberEnds, placesOf } from '../members/memberEnds';
import { CLEARANCE } from '../hardware/sizes';
import { threadCalled } from '../hardware/thread';
import { pinPlay } from '../clearances/pinPlay';

/** Half a per cent of the frame's width each way is seen as a tick; three times that spoils the take. */
const SEEN = 0.005;
const SPOILS = 3 * SEEN;
/** Width of the picture where no lens is known: a middling one. */
const USUAL_WIDTH = 40 * DEGREE;
/** Twist drills in the usual set go by tenths, m. */
const DRILL_STEP = 0.0001;

export const playInPicture: FrameCheck = {
  id: 'playInPicture',
  look: (frame) => [...pins(frame), ...slides(frame), ...threads(frame), ...joints(frame)],
};

/** Part of the frame's width that an angle shifts the picture by, at the longest lens: tan(q) / (2 tan(fov/2)). */
function partOfFrame({ cones }: FrameContext, angle: number): { readonly part: number; readonly across: number } {
  const across = cones.length > 0 ? Math.min(...cones.map((c) => c.long.across)) : USUAL_WIDTH;
  return { part: Math.tan(Math.min(angle, 1.5)) / (2 * Math.tan(across / 2)), across };
}

function pins(frame: FrameContext): readonly Finding[] {
  return frame.rig.bodies.flatMap((body) => {
    const screw = body.connections?.find((c) => c.kind === 'bolted' && c.end.kind === 'camera');
    if (screw?.kind !== 'bolted') return [];
    return (body.connections ?? []).flatMap((c) =>
      c.kind === 'seated' && c.intoLoad !== undefined ? pin(frame, body, screw, c.piece, c.intoLoad) : [],
    );
  });
}

/** Beside the screw, into a hole of the load. */
function pin(frame: FrameContext, { parts }: Body, screw: Bolted, id: string, pinHole: number): readonly Finding[] {
  const part = parts.find((p) => p.id === id);
  const thread = threadCalled(screw.thread);
  if (part?.shape.kind !== 'tube' || !thread) return [];
  const [wide, through] = [2 * part.shape.outerRadius, screw.hole ?? CLEARANCE.medium.of(thread) ?? thread.diameter];
  const fromScrew = length(cross(subtract(part.at, screw.point), unit(screw.way)));
  const playAt = (hole: number): number =>
    pinPlay({ pin: wide, pinHole: hole, pinToScrew: fromScrew, screw: thread.diameter, screwHole: through });
  const angle = playAt(pinHole);
  const { part: shift, across } = partOfFrame(frame, angle);
  if (shift <= SEEN) return [];
  const smaller = Math.max(wide, Math.floor((pinHole - DRILL_STEP / 2) / DRILL_STEP) * DRILL_STEP);
  const next = partOfFrame(frame, playAt(smaller)).part;
  const pinBlamed = pinHole - wide >= through - thread.diameter;
  return [
    {
      code: 'playInPicture',
      severity: shift > SPOILS ? 'mend' : 'note',
      about: id,
      figure: figure('percent', shift),
      limit: figure('percent', SEEN),
      title: say`The camera turns ${figure('angle', angle, 2)} each way on its pin: ${figure('percent', shift)} of the picture.`,
      why: say`The pin has ${figure('length', pinHole - wide, 2)} of room and the screw ${figure('length', through - thread.diameter, 2)}, ${figure('length', fromScrew, 1)} apart; the picture is ${figure('angle', across, 0)} wide. ${pinBlamed ? 'The pin’s hole' : 'The screw’s hole'} does most of it.`,
      toDo:
        smaller < pinHole - 1e-9
          ? say`Drill the pin’s hole ${figure('length', smaller, 1)}: that leaves ${figure('percent', next)}. Or set the pin further from the screw.`
          : say`Set the pin further from the screw, or close up the screw’s hole with a sleeve.`,
      fixes: [],
    },
  ];
}

const WAYS = { roll: 'rolls', pitch: 'nods', pan: 'turns' } as const;

function slides(frame: FrameContext): readonly Finding[] {
  return frame.rig.adjusters.flatMap((adjuster): readonly Finding[] => {
    if (!adjuster.play) return [];
    const { angle, way } = adjuster.play;
    // A roll lifts one side of the picture and drops the other: its edges move by about as much as a turn of that angle in a frame of 3 : 2.
    const { part: shift, across } = partOfFrame(frame, angle);
    if (shift <= SEEN) return [];
    return [
      {
        code: 'playInPicture',
        severity: shift > SPOILS ? 'mend' : 'note',
        about: adjuster.id,
        figure: figure('percent', shift),
        limit: figure('percent', SEEN),
        title: say`The camera ${WAYS[way]} ${figure('angle', angle, 2)} each way on “${adjuster.name}”.`,
        why: say`That is ${figure('percent', shift)} of a picture ${figure('angle', across, 0)} wide, at each step.`,
        toDo: say`Take up the play with a shim or a lock screw, or let what slides stand on a wider base.`,
        fixes: [],
      },
    ];
  });
}

/** Rigid between hand and camera: what hangs on a joint that turns freely does not feel the play above it. */
function rigidWithCamera({ rig }: FrameContext): readonly Body[] {
  const free = rig.pivots.find((p) => p.kind === 'universal');
  const beyond = free ? bodiesBeyond(rig, free) : null;
  return rig.bodies.filter((b) => !beyond || beyond.has(b.id));
}

/** A pipe thread is a cone of 1 in 16: backed off by s, it has s/16 of room across. */
const PIPE_TAPER = 1 / 16;

function threads(frame: FrameContext): readonly Finding[] {
  return rigidWithCamera(frame).flatMap((body) =>
    body.members
      .filter((m) => m.shortBy?.some((s) => s.value > 0))
      .flatMap((member) => {
        const ends = memberEnds(member, placesOf(body.nodes), body.joints);
        return ([ends.from, ends.to] as const).flatMap((end, i): readonly Finding[] => {
          if (end.joint?.hold !== 'threaded' || end.depth === null || !(end.shortBy > 0)) return [];
          const engaged = end.depth - end.shortBy;
          const room = end.shortBy * PIPE_TAPER;
          const angle = engaged > 0 ? Math.atan2(room, engaged) : Math.PI / 2;
          const { part: shift, across } = partOfFrame(frame, angle);
          if (shift <= SEEN) return [];
          return [
            {
              code: 'playInPicture',
              severity: shift > SPOILS ? 'mend' : 'note',
              about: member.id,
              place: `end ${i}`,
              figure: figure('percent', shift),
              limit: figure('percent', SEEN),
              title: say`The ${member.name} rocks ${figure('angle', angle, 2)} each way in its thread.`,
              why: say`It is ${figure('length', end.shortBy, 1)} short of tight: a tapered thread then has ${figure('length', room, 2)} of room over ${figure('length', Math.max(0, engaged), 1)}. That is ${figure('percent', shift)} of a picture ${figure('angle', across, 0)} wide.`,
              toDo: say`Screw it home, wind tape on the thread, or run a lock nut against the fitting.`,
              fixes: [
                { label: say`Screw it home`, changes: [{ kind: 'short', id: member.id, end: i as 0 | 1, value: 0 }] },
              ],
            },
          ];
        });
      }),
  );
}

function joints(frame: FrameContext): readonly Finding[] {
  return rigidWithCamera(frame)
    .flatMap((body) => body.joints)
    .flatMap((joint): readonly Finding[] => {
      if (!joint.loose || joint.loose.clearance === 0) return [];
      const { clearance, over } = joint.loose;
      const angle = Math.atan2(clearance, over);
      const { part: shift, across } = partOfFrame(frame, angle);
      if (shift <= SEEN) return [];
      const wanted = over * Math.tan(SEEN * 2 * Math.tan(across / 2));
      return [
        {
          code: 'playInPicture',
          severity: shift > SPOILS ? 'mend' : 'note',
          about: joint.id,
          figure: figure('percent', shift),
          limit: figure('percent', SEEN),
          title: say`The ${joint.name} rocks ${figure('angle', angle, 2)} each way: ${figure('percent', shift)} of the picture.`,
          why: say`${figure('length', clearance, 2)} of room over ${figure('length', over, 0)}, and the picture is ${figure('angle', across, 0)} wide.`,
          toDo: say`Take the room down to ${figure('length', wanted, 2)}: a shim or tape in it, a set screw against it, or a longer hold.`,
          fixes: [],
        },
      ];
    });
}

/** Where a rig rocks without bending: a pin in its hole, a carriage on its rails, a thread not screwed home, a clamp or sleeve with room. */
import { cross, figure, length, say, subtract, unit, type Finding } from '../../0-base';
import type { Body, Bolted, Rig } from '../../model';
import { bodiesBeyond } from '../assemble';
import { CLEARANCE } from '../hardware/sizes';
import { threadCalled } from '../hardware/thread';
import { memberEnds, placesOf } from '../members/memberEnds';
import { pinPlay } from './pinPlay';

export interface Play {
  /** The part, member, joint or adjuster to light up. */
  readonly about: string;
  readonly place?: string;
  readonly name: string;
  /** Each way, rad. */
  readonly angle: number;
  readonly words: (seen: PlaySeen) => Pick<Finding, 'title' | 'why' | 'toDo' | 'fixes'>;
}
export interface PlaySeen {
  /** How wide the picture is, rad, and what part of it this play moves it by. */
  readonly across: number;
  readonly part: number;
  readonly partOf: (angle: number) => number;
  /** The slope (tangent) that is just seen. */
  readonly seen: number;
}

/** Twist drills in the usual set go by tenths, m. */
const DRILL_STEP = 0.0001;

export const playsOf = (rig: Rig): readonly Play[] => [...pins(rig), ...slides(rig), ...threads(rig), ...joints(rig)];

function pins(rig: Rig): readonly Play[] {
  return rig.bodies.flatMap((body) => {
    const screw = body.connections?.find((c) => c.kind === 'bolted' && c.end.kind === 'camera');
    if (screw?.kind !== 'bolted') return [];
    return (body.connections ?? []).flatMap((c) =>
      c.kind === 'seated' && c.intoLoad !== undefined ? pin(body, screw, c.piece, c.intoLoad) : [],
    );
  });
}

/** Beside the screw, into a hole of the load. */
function pin({ parts }: Body, screw: Bolted, id: string, pinHole: number): readonly Play[] {
  const part = parts.find((p) => p.id === id);
  const thread = threadCalled(screw.thread);
  if (part?.shape.kind !== 'tube' || !thread) return [];
  const [wide, through] = [2 * part.shape.outerRadius, screw.hole ?? CLEARANCE.medium.of(thread) ?? thread.diameter];
  const fromScrew = length(cross(subtract(part.at, screw.point), unit(screw.way)));
  const playAt = (hole: number): number =>
    pinPlay({ pin: wide, pinHole: hole, pinToScrew: fromScrew, screw: thread.diameter, screwHole: through });
  const angle = playAt(pinHole);
  const smaller = Math.max(wide, Math.floor((pinHole - DRILL_STEP / 2) / DRILL_STEP) * DRILL_STEP);
  const pinBlamed = pinHole - wide >= through - thread.diameter;
  return [
    {
      about: id,
      name: part.name,
      angle,
      words: ({ part: shift, across, partOf }) => ({
        title: say`The camera turns ${figure('angle', angle, 2)} each way on its pin: ${figure('percent', shift)} of the picture.`,
        why: say`The pin has ${figure('length', pinHole - wide, 2)} of room and the screw ${figure('length', through - thread.diameter, 2)}, ${figure('length', fromScrew, 1)} apart; the picture is ${figure('angle', across, 0)} wide. ${pinBlamed ? 'The pin’s hole' : 'The screw’s hole'} does most of it.`,
        toDo:
          smaller < pinHole - 1e-9
            ? say`Drill the pin’s hole ${figure('length', smaller, 1)}: that leaves ${figure('percent', partOf(playAt(smaller)))}. Or set the pin further from the screw.`
            : say`Set the pin further from the screw, or close up the screw’s hole with a sleeve.`,
        fixes: [],
      }),
    },
  ];
}

const WAYS = { roll: 'rolls', pitch: 'nods', pan: 'turns' } as const;

/** A roll lifts one side of the picture and drops the other: its edges move by about as much as a turn of that angle in a frame of 3 : 2. */
function slides({ adjusters }: Rig): readonly Play[] {
  return adjusters.flatMap(({ id, name, play }): readonly Play[] =>
    play
      ? [
          {
            about: id,
            name,
            angle: play.angle,
            words: ({ part, across }) => ({
              title: say`The camera ${WAYS[play.way]} ${figure('angle', play.angle, 2)} each way on “${name}”.`,
              why: say`That is ${figure('percent', part)} of a picture ${figure('angle', across, 0)} wide, at each step.`,
              toDo: say`Take up the play with a shim or a lock screw, or let what slides stand on a wider base.`,
              fixes: [],
            }),
          },
        ]
      : [],
  );
}

/** Rigid between hand and camera: what hangs on a joint that turns freely does not feel the play above it. */
function rigidWithCamera(rig: Rig): readonly Body[] {
  const free = rig.pivots.find((p) => p.kind === 'universal');
  const beyond = free ? bodiesBeyond(rig, free) : null;
  return rig.bodies.filter((b) => !beyond || beyond.has(b.id));
}

/** A pipe thread is a cone of 1 in 16: backed off by s, it has s/16 of room across. */
const PIPE_TAPER = 1 / 16;

function threads(rig: Rig): readonly Play[] {
  return rigidWithCamera(rig).flatMap((body) =>
    body.members
      .filter((m) => m.shortBy?.some((s) => s.value > 0))
      .flatMap((member) => {
        const ends = memberEnds(member, placesOf(body.nodes), body.joints);
        return ([ends.from, ends.to] as const).flatMap((end, i): readonly Play[] => {
          if (end.joint?.hold !== 'threaded' || end.depth === null || !(end.shortBy > 0)) return [];
          const engaged = end.depth - end.shortBy;
          const room = end.shortBy * PIPE_TAPER;
          const angle = engaged > 0 ? Math.atan2(room, engaged) : Math.PI / 2;
          return [
            {
              about: member.id,
              place: `end ${i}`,
              name: member.name,
              angle,
              words: ({ part, across }) => ({
                title: say`The ${member.name} rocks ${figure('angle', angle, 2)} each way in its thread.`,
                why: say`It is ${figure('length', end.shortBy, 1)} short of tight: a tapered thread then has ${figure('length', room, 2)} of room over ${figure('length', Math.max(0, engaged), 1)}. That is ${figure('percent', part)} of a picture ${figure('angle', across, 0)} wide.`,
                toDo: say`Screw it home, wind tape on the thread, or run a lock nut against the fitting.`,
                fixes: [
                  { label: say`Screw it home`, changes: [{ kind: 'short', id: member.id, end: i as 0 | 1, value: 0 }] },
                ],
              }),
            },
          ];
        });
      }),
  );
}

function joints(rig: Rig): readonly Play[] {
  return rigidWithCamera(rig)
    .flatMap((body) => body.joints)
    .flatMap(({ id, name, loose }): readonly Play[] => {
      if (!loose || loose.clearance === 0) return [];
      const { clearance, over } = loose;
      const angle = Math.atan2(clearance, over);
      return [
        {
          about: id,
          name,
          angle,
          words: ({ part, across, seen }) => ({
            title: say`The ${name} rocks ${figure('angle', angle, 2)} each way: ${figure('percent', part)} of the picture.`,
            why: say`${figure('length', clearance, 2)} of room over ${figure('length', over, 0)}, and the picture is ${figure('angle', across, 0)} wide.`,
            toDo: say`Take the room down to ${figure('length', over * seen, 2)}: a shim or tape in it, a set screw against it, or a longer hold.`,
            fixes: [],
          }),
        },
      ];
    });
}

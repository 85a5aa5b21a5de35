/** Everything that is put together, in the order that was found: one step a joining. */
import { figure, say, type Phrase, type Vec3 } from '../../0-base';
import { printedParts, sawnParts, type Connection } from '../../2-frame';
import { holeSheets, type BarPlan } from '../../5-stock';
import type { Joint, Rig, StatedConnection } from '../../model';
import { finishesOf } from '../finishes';
import type { BuildOrder, Joining } from '../order/buildOrder';
import { byHole } from '../order/drilledTogether';
import { closedBy } from '../closedHollow';
import { AND, counted, different, joinedAs } from '../joinedAs';
import { joinCare } from '../joinCare';
import { joinMoves } from '../moves/joinMoves';
import { namesOf } from '../namesOf';
import type { Cures } from '../schedule/curing';
import { sticksBy, type Sticks } from '../sticksBy';
import { squareCheck } from '../squareCheck';
import { droppedInto, printStep } from './printing';
import { finishStepsOf } from './finishing';
import { shapeStep } from './shaping';
import { connectStep, cutStep, type BuildStep, type StepMaker } from '../step';

export const joining: StepMaker = {
  id: 'joining',
  place: 50,
  make: ({ rig, bars, order }) => {
    const nameOf = namesOf(rig);
    const stated = new Map(rig.bodies.flatMap((b) => b.connections ?? []).map((c) => [c.id, c]));
    const joints = new Map(rig.bodies.flatMap((b) => b.joints).map((j) => [j.id, j]));
    const closing = closedBy(rig, order);
    const cameras = new Set(
      [...stated.values()].flatMap((c) => (c.kind === 'bolted' && c.end.kind === 'camera' ? [c.id] : [])),
    );
    // What is drilled once glued waits for that.
    const together = new Map(
      [...byHole(order.drilledTogether)].map(([hole, t]): [string, string] => [
        `drill:${hole}`,
        `drill:${t.pieces[0]!}/hole/${t.connection}`,
      ]),
    );
    const prepared = preparedBy(rig, bars);
    const shaped = shapedFor(rig, order);
    const dry = new Map(rig.bodies.flatMap((b) => b.joints.map((j) => [j.id, `dryfit:${b.id}`] as const)));
    // What a print shuts in is told with the print.
    const printed = new Map(
      printedParts(rig).flatMap((p) => droppedInto(p.id, rig, order).map((c) => [c.id, printStep(p.id)] as const)),
    );
    const stepOf = (joining: string): string => printed.get(joining) ?? connectStep(joining);
    return order.joinings
      .filter((j) => !printed.has(j.id))
      .map((j): BuildStep => {
        const ways = j.connections.map((c) => joinedAs(c, stated.get(c.id), rig, nameOf));
        const pieces = [...new Set(j.connections.flatMap((c) => [...c.pieces, ...c.hardware]))];
        const hardware = [...new Set(j.connections.flatMap((c) => c.hardware))].filter((id) => !joints.has(id));
        const dries = Math.max(...ways.map((w) => w.dries));
        const cautions = [
          ...new Set(ways.flatMap((w) => w.caution ?? [])),
          ...(closing.has(j.id)
            ? [
                'It closes the pipes all round: drill a vent of 3 mm where it does not show first, or steam blows the solder out.',
              ]
            : []),
          ...(j.unreached
            ? ['No tool reaches its screw past what stands there: change what is in the way first.']
            : []),
        ];
        return {
          id: connectStep(j.id),
          about: j.connections[0]!.pieces[0] ?? j.id,
          final: j.connections.some((c) => !c.reversible),
          minutes: ways.reduce((sum, w) => sum + w.minutes, 0),
          needs: [
            ...j.after.map(stepOf),
            ...pieces.flatMap((p) => prepared.get(p) ?? []).filter((id) => !together.has(id)),
            ...pieces.flatMap((p) => shaped(p, j.id)),
            ...j.connections.flatMap((c) => (c.reversible ? [] : (dry.get(c.id) ?? dry.get(c.pieces[1] ?? '') ?? []))),
            ...j.connections
              .flatMap((c) => c.holes.map((h) => `drill:${h.piece}/hole/${c.id}`))
              .map((id) => together.get(id) ?? id),
          ],
          does: j.connections.map((c) => c.id),
          handles: pieces,
          title: different(ways.map((w) => w.title)).flatMap((t, i) => (i === 0 ? t : [', and ', ...decapitalised(t)])),
          tool: [...new Set(ways.flatMap((w) => w.tool.split(', ')))].join(', '),
          figures: [
            ...j.connections.flatMap((c) => {
              const of = stated.get(c.id);
              return of?.kind === 'bonded' && of.mitred
                ? [say`first the end sawn so that it lies flat on the other`]
                : [];
            }),
            ...(hardware.length > 0 ? [say`with ${AND.format(counted(hardware.map(nameOf)))}`] : []),
            ...waysIn(j),
            ...depths(j, joints),
            ...different(squareCheck(rig, j.connections, new Set(j.lot))),
            ...(dries > 0 ? [say`leave it ${figure('time', dries, 0)} before it is loaded; the label decides`] : []),
          ],
          moves: joinMoves(j.connections, stated, rig, nameOf),
          check: ways[0]!.check,
          ...joinCare(j.connections, stated, rig, {
            pieces: pieces.map(nameOf),
            tools: ways.map((w) => w.tool),
            dries,
          }),
          caution: cautions.length > 0 ? cautions.join(' ') : null,
          ...(j.shutsIn.length > 0 ? { shutsIn: shutIn(j, order.joinings, cameras, nameOf) } : {}),
          ...(dries > 0 ? { dries, ...curesBy(j.connections, stated, rig) } : {}),
          was: j.connections.map((c) => [connectStep(c.id), `join:${c.kind === 'socketed' ? c.pieces[1]! : c.id}`]),
          joins: j,
        };
      });
  },
};

const CURES: Readonly<Partial<Record<Sticks, Cures>>> = {
  cement: 'cement',
  pvcCement: 'cement',
  cpvcCement: 'cement',
  wood: 'wood',
  contact: 'contact',
  epoxy: 'epoxy',
};
/** Solder and welds only cool. */
function curesBy(
  connections: readonly Connection[],
  stated: ReadonlyMap<string, StatedConnection>,
  rig: Rig,
): Pick<BuildStep, 'cures'> {
  for (const c of connections) {
    const sticks = sticksBy(c, stated.get(c.id), rig);
    const cures = sticks && CURES[sticks];
    if (cures) return { cures };
  }
  return {};
}

/** From where each screw goes in. */
const waysIn = ({ comes, connections }: Joining): readonly Phrase[] =>
  different(
    comes.flatMap(({ pieces, legs }) => {
      const screw = pieces.find((p) => connections.some((c) => p === `${c.id}/screw`));
      const from = legs.length > 0 ? sideOf(legs.at(-1)!.way) : null;
      return from && screw ? [say`the screw goes in ${from}`] : [];
    }),
  );

/** Cosine: further off a side has no name. */
const NEARLY = 0.94;
/** What moves this way comes from there; rig axes: forwards, left, up. */
function sideOf(way: Vec3): string | null {
  const sides = ['from behind', 'from the right', 'from below'];
  const others = ['from the front', 'from the left', 'from above'];
  const i = way.findIndex((x) => Math.abs(x) > NEARLY);
  return i < 0 ? null : way[i as 0]! > 0 ? sides[i]! : others[i]!;
}

const decapitalised = ([first, ...rest]: Phrase): Phrase =>
  typeof first === 'string' ? [first.charAt(0).toLowerCase() + first.slice(1), ...rest] : [first!, ...rest];

/** How much of each pipe goes in, where all go in as far it is said once. */
function depths(j: Joining, joints: ReadonlyMap<string, Joint>): readonly Phrase[] {
  const deep = j.connections.flatMap((c) => {
    const hub = c.kind === 'socketed' ? joints.get(c.pieces[1] ?? '')?.hub : undefined;
    return hub ? [hub.sockets[0]!.depth] : [];
  });
  return [...new Set(deep)].map(
    (d) => say`${figure('length', d, 1)} of ${deep.length > 1 ? 'each' : 'the'} pipe goes in`,
  );
}

/** What cannot be got at any more. */
function shutIn(
  j: Joining,
  all: readonly Joining[],
  cameras: ReadonlySet<string>,
  nameOf: (piece: string) => string,
): Phrase {
  const shut = all.flatMap((o) => o.connections).filter((c) => j.shutsIn.includes(c.id));
  const names = [...new Set(shut.map((c) => (c.hardware.length > 0 ? c.name : nameOf(c.pieces[0]!))))];
  // A camera's screw waits for its camera.
  return cameras.has(shut[0]!.id) && shut.length === 1
    ? say`After this the ${names[0]!} cannot be turned any more: the camera goes on before, or this comes off for it.`
    : say`After this the ${AND.format(names)} cannot be got at any more: see that all is right first.`;
}

/** Shaped and finished before it is joined to what is not of it. */
function shapedFor(rig: Rig, order: BuildOrder): (piece: string, joining: string) => readonly string[] {
  const finishes = finishesOf(rig, order);
  const of = new Map(finishes.flatMap((f) => f.pieces.map((p) => [p, f] as const)));
  const steps = finishStepsOf(finishes);
  return (piece, joining) => {
    const finish = of.get(piece);
    if (!finish || finish.before.includes(joining)) return [];
    return [...finish.pieces.map(shapeStep), steps.get(piece)!];
  };
}

/** The last of what is done to each piece before it is joined to others; what waits for the hanging rig is not asked for. */
function preparedBy(rig: Rig, bars: readonly BarPlan[]): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  for (const { member, marks, bends } of bars)
    found.set(member, [
      cutStep(member),
      `deburr:${member}`,
      `flatten:${member}`,
      ...bends.map((_, i) => `bend:${member}:${i + 1}`),
      ...marks.flatMap((m) => (m.kind === 'hole' && !m.last ? [`drill:${m.id}`] : [])),
    ]);
  for (const { id } of printedParts(rig)) found.set(id, [printStep(id)]);
  for (const { id } of sawnParts(rig)) found.set(id, [cutStep(id)]);
  for (const { piece, marks } of holeSheets(rig))
    found.set(piece, [...(found.get(piece) ?? []), ...marks.map((m) => `drill:${m.id}`)]);
  return found;
}

/**
 * Joints and stations of a rig read as connections, as far as they say anything: a pipe in its fitting is whole, a bolt is not,
 * since a joint names neither its thread nor what it passes. What is missing here is missing in the rig, and the audit tells it.
 */
import type { Body, Fitting, Joint, Rig } from '../../model';
import { jointFacts } from '../fittings/jointFacts';
import { washerId } from './washerId';
import { plainly, type Connection, type ConnectionKind } from './connection';

/** Of joints without a body of their own. */
const KIND_OF: Readonly<Partial<Record<Fitting, ConnectionKind>>> = {
  boltThrough: 'bolted',
  flattened: 'bolted',
  screw: 'bolted',
  rodInSleeve: 'seated',
  heatSetInsert: 'seated',
  bush: 'seated',
  hingePin: 'hinged',
  hoseClamp: 'clamped',
  groundClamp: 'clamped',
  woodScrew: 'screwedIn',
  glue: 'bonded',
  epoxy: 'bonded',
  solder: 'bonded',
  weld: 'welded',
};

export function fromJoints(rig: Rig, counts: (station: string) => number): readonly Connection[] {
  return rig.bodies.flatMap((body) => [
    ...body.joints.flatMap((joint) => (joint.hub ? socketed(body, joint) : joined(joint))),
    ...body.stations.flatMap((station): Connection[] => {
      const count = counts(station.id);
      if (count === 0) return [];
      const pieces = Array.from({ length: count }, (_, i) => washerId(station.id, i + 1));
      return [
        plainly({ id: station.id, name: station.name, kind: 'bolted', pieces, reversible: true, comesApart: true }),
      ];
    }),
  ]);
}

/** One a pipe that goes in, and one for whatever else is fastened to the fitting. */
function socketed(body: Body, joint: Joint): readonly Connection[] {
  const { reversible } = joint;
  const comesApart = joint.packs ?? jointFacts(joint).packs;
  const pipes = new Set(body.members.filter((m) => m.from === joint.node || m.to === joint.node).map((m) => m.id));
  const [into, on] = [joint.joins.filter((id) => pipes.has(id)), joint.joins.filter((id) => !pipes.has(id))];
  const made = into.map((pipe) =>
    plainly({
      id: `${joint.id}/${pipe}`,
      name: joint.name,
      kind: 'socketed',
      pieces: [pipe, joint.id],
      reversible,
      comesApart,
    }),
  );
  const filler = body.parts.find((p) => p.by === joint.id);
  if (filler && made[0]) made[0] = { ...made[0], hardware: [filler.id] };
  if (on.length === 0) return made;
  return [
    ...made,
    plainly({
      id: `${joint.id}/fastened`,
      name: joint.name,
      kind: 'bolted',
      pieces: [joint.id, ...on],
      reversible: true,
      comesApart: true,
    }),
  ];
}

function joined(joint: Joint): readonly Connection[] {
  if (joint.joins.length === 0) return [];
  const made = plainly({
    id: joint.id,
    name: joint.name,
    kind: KIND_OF[joint.fitting] ?? 'bolted',
    pieces: [...joint.joins],
    reversible: joint.reversible,
    comesApart: joint.packs ?? jointFacts(joint).packs,
  });
  // A joint that is weighed stands for its own bolt or glue.
  return [joint.mass ? { ...made, hardware: [joint.id] } : made];
}

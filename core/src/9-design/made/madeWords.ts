/** What was measured as made beside what is drawn, in words. */
import { figure, say, type Phrase } from '../../0-base';
import { connectionsOf, finishedLength, fromEdges, holeId, meetingOf } from '../../2-frame';
import type { AsMade, Body, Member, Rig } from '../../model';

export function madeWords(entry: AsMade, drawn: Rig): Phrase {
  if (entry.kind === 'mass') {
    const piece = drawn.bodies.flatMap((b) => [...b.members, ...b.parts]).find((p) => p.id === entry.member);
    return piece
      ? say`${piece.name}: ${figure('mass', entry.mass)} on the scale`
      : say`a piece that is no longer in this rig`;
  }
  if (entry.kind === 'fromEdge') return edgeWords(entry, drawn);
  const body = drawn.bodies.find((b) => b.members.some((m) => m.id === entry.member));
  const member = body?.members.find((m) => m.id === entry.member);
  return body && member ? wordsOf(entry, member, body) : say`a piece that is no longer in this rig`;
}

function edgeWords({ member: piece, hole: id, edge, off }: Extract<AsMade, { kind: 'fromEdge' }>, drawn: Rig): Phrase {
  const parts = drawn.bodies.flatMap((b) => b.parts);
  const part = parts.find((p) => p.id === piece);
  const through = connectionsOf(drawn, () => 0).find((c) => holeId(piece, c.id) === id);
  const hole = through?.holes.find((h) => h.piece === piece);
  if (!part || !through || !hole) return say`a piece that is no longer in this rig`;
  const lengths = parts.filter((p) => (p.of ?? p.id) === piece);
  const was = fromEdges(part, lengths, hole.at, hole.axis).find((e) => e.edge === edge);
  return [
    ...say`${through.name} in the ${part.name}: ${figure('length', off, 1)} from its ${edge} edge`,
    ...(was ? say`, drawn ${figure('length', was.off, 1)}` : []),
  ];
}

function wordsOf(entry: Exclude<AsMade, { kind: 'mass' | 'fromEdge' }>, member: Member, body: Body): Phrase {
  switch (entry.kind) {
    case 'bend': {
      const angles =
        member.path.kind === 'bent'
          ? member.path.segments.flatMap((s) => ('angle' in s && s.angle !== 0 ? [Math.abs(s.angle)] : []))
          : [];
      const angle = angles[entry.bend];
      return [
        ...say`bend ${String(entry.bend + 1)} of the ${member.name}: ${figure('angle', entry.angle, 1)}`,
        ...(angle === undefined ? [] : say`, drawn ${figure('angle', angle, 1)}`),
      ];
    }
    case 'hole': {
      const hole = member.holes.find((h) => h.id === entry.hole);
      return [
        ...say`${hole?.name ?? 'a hole'} in the ${member.name}: at ${figure('length', entry.along, 1)}`,
        ...(hole ? say`, drawn ${figure('length', hole.along, 1)}` : []),
      ];
    }
    case 'across': {
      const hole = member.holes.find((h) => h.id === entry.hole);
      return [
        ...say`${hole?.name ?? 'a hole'} in the ${member.name}: ${figure('length', Math.abs(entry.across), 1)} off the middle of its width`,
        ...(hole ? say`, drawn ${figure('length', Math.abs(hole.across), 1)}` : []),
      ];
    }
    case 'turn': {
      const beside = body.members.find((m) => m.id === entry.beside);
      const drawn = meetingOf(body, entry.member, entry.joint, entry.beside)?.apart;
      return [
        ...say`${member.name}: set at ${figure('angle', entry.angle, 1)} to the ${beside?.name ?? 'one beside it'}`,
        ...(drawn === undefined ? [] : say`, drawn ${figure('angle', drawn, 1)}`),
      ];
    }
    case 'length':
      return say`${member.name}: ${figure('length', entry.length, 1)} long, drawn ${figure('length', finishedLength(member, body), 1)}`;
  }
}

/** What was measured as made beside what is drawn, in words. */
import { figure, say, type Phrase } from '../../0-base';
import { finishedLength } from '../../2-frame';
import type { AsMade, Body, Member, Rig } from '../../model';

export function madeWords(entry: AsMade, drawn: Rig): Phrase {
  const body = drawn.bodies.find((b) => b.members.some((m) => m.id === entry.member));
  const member = body?.members.find((m) => m.id === entry.member);
  return body && member ? wordsOf(entry, member, body) : say`a piece that is no longer in this rig`;
}

function wordsOf(entry: AsMade, member: Member, body: Body): Phrase {
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
    case 'length':
      return say`${member.name}: ${figure('length', entry.length, 1)} long, drawn ${figure('length', finishedLength(member, body), 1)}`;
  }
}

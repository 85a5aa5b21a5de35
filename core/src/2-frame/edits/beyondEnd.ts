/** The nodes that hang on one end of a member: what moves when that end does. */
import type { Body, Member } from '../../model';

/** `end` itself and all that is reached from it without the member; in a closed frame its other end too. */
export function beyondEnd(body: Pick<Body, 'members'>, without: Member, end: string): ReadonlySet<string> {
  const found = new Set([end]);
  for (let grown = true; grown;) {
    grown = false;
    for (const m of body.members) {
      if (m.id === without.id || found.has(m.from) === found.has(m.to)) continue;
      found.add(m.from).add(m.to);
      grown = true;
    }
  }
  return found;
}

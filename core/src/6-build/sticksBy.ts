/** What a connection sticks by, whether a joint or a glue line says so. */
import { jointFacts, type Connection } from '../2-frame';
import type { Glue, Rig, StatedConnection } from '../model';

export type Sticks = Glue | 'solder' | 'cement' | 'weld';

export function sticksBy(c: Connection, of: StatedConnection | undefined, { bodies }: Rig): Sticks | null {
  if (of?.kind === 'bonded') return of.glue ?? null;
  if (c.kind === 'welded') return 'weld';
  const joint = bodies
    .flatMap((b) => b.joints)
    .find((j) => j.id === c.id || (c.kind === 'socketed' && j.id === c.pieces[1]));
  if (!joint || joint.reversible) return null;
  if (joint.hold === 'glued') return 'cement';
  if (joint.hold === 'soldered' || joint.fitting === 'solder') return 'solder';
  if (joint.fitting === 'epoxy') return 'epoxy';
  if (joint.fitting === 'glue') return 'wood';
  return jointFacts(joint).dryingTime > 0 && joint.fitting === 'weld' ? 'weld' : null;
}

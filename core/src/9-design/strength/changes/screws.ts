/** The next thicker thread, for each screw that is near to what it holds. */
import { threadCalled, THREADS } from '../../../2-frame';
import { strainedShare } from '../../../4-strength';
import type { Stiffener } from '../stiffener';

/** Of what it holds: below it is left as it is. */
const NEAR = 0.3;

export const screws: Stiffener = {
  id: 'screws',
  tries: ({ assembly }, now) => {
    const stated = assembly.rig.bodies.flatMap((b) => b.connections ?? []);
    const near = new Set(now.carried.filter((c) => c.kind === 'bolted' && strainedShare(c) > NEAR).map((c) => c.name));
    return stated.flatMap((c) => {
      if (c.kind !== 'bolted' || c.end.kind === 'camera' || !near.has(c.name)) return [];
      const thread = threadCalled(c.thread);
      const next =
        thread &&
        THREADS.filter((t) => t.standard === thread.standard && t.diameter > thread.diameter + 1e-6).sort(
          (a, b) => a.diameter - b.diameter || b.pitch - a.pitch,
        )[0];
      return next
        ? [{ name: c.name, to: [next.name], changes: [{ kind: 'thread' as const, id: c.id, thread: next.name }] }]
        : [];
    });
  },
};

/** A design's rig with how it is built, for specs that ask whether each thing is done in a step. */
import { assemble, designRig } from '../2-frame';
import { planBuild, type BuildStep } from '../6-build';
import type { Design, Rig } from '../model';

export interface Built {
  readonly rig: Rig;
  readonly steps: readonly BuildStep[];
  readonly blocked: readonly (readonly string[])[];
}

export function buildPlan(design: Design): Built {
  const made = designRig(design);
  if (!made.ok) throw new Error(made.reason);
  const { ordered, blocked } = planBuild(assemble(made.rig, null), {});
  if (ordered.kind !== 'ordered') throw new Error('its steps go in a ring');
  return { rig: made.rig, steps: ordered.steps, blocked: blocked.map((b) => b.pieces) };
}

/** All of a rig's strength as plain data, with the model it was reckoned on: what the command line prints, for somebody else's program to check. */
import { bumpsToBuckle, strengthOf, type RigStrength } from '../../4-strength';
import type { RigFile } from '../../contract';
import { workOfFile } from '../workOfFile';

export type StrengthReport =
  | { readonly ok: true; readonly report: Readonly<Record<string, unknown>> }
  | { readonly ok: false; readonly reason: string };

/** Usual, in weights. */
export const USUAL_BUMP = 3;

export function strengthReport(file: RigFile, loadoutName: string | null, poseName: string | null): StrengthReport {
  const opened = workOfFile(file, loadoutName);
  if (!opened.ok) return opened;
  const { work, values, loadout } = opened;
  const { poses } = work.rig;
  const pose = poseName === null ? (poses[0] ?? null) : poses.find((p) => p.name === poseName || p.id === poseName);
  if (pose === undefined)
    return { ok: false, reason: `No pose “${poseName}”. It has: ${poses.map((p) => p.name).join(', ') || 'none'}.` };
  const outcome = strengthOf({ assembly: work.assembly, values, pose, bump: USUAL_BUMP });
  switch (outcome.kind) {
    case 'notHeld':
      return { ok: false, reason: 'Nothing says where this rig is held: give it a hand, a shoulder or the ground.' };
    case 'mechanism':
      return { ok: false, reason: `${outcome.name} moves without bending anything: nothing holds it that way.` };
    case 'solved':
      return {
        ok: true,
        report: {
          rig: file.rig.name,
          loadout: loadout?.name ?? null,
          pose: pose?.name ?? null,
          bump: USUAL_BUMP,
          ...told(outcome.strength),
        },
      };
  }
}

function told({ frame, modes, ...rest }: RigStrength): Record<string, unknown> {
  const { model } = frame;
  return {
    ...rest,
    buckles: bumpsToBuckle(frame, USUAL_BUMP),
    modes: modes.map(({ shape: _, ...mode }) => mode),
    leftOut: frame.loose.map((p) => p.name),
    model: {
      theory: model.theory,
      gravity: frame.gravity,
      camera: frame.camera,
      nodes: Object.fromEntries(model.nodes),
      members: model.members,
      links: model.links,
      supports: model.supports,
      masses: model.equipment,
    },
  };
}

/** From a stored design to its rig: the family's build with the maker's edits over it, or the freed rig as it stands. */
import { length, subtract } from '../0-base';
import type { AsMade, Design, Edit, Rig } from '../model';
import { applyEdits } from './edits/applyEdits';
import { asMadeNow } from './edits/oldEdits';
import type { ConnectionFault } from './connections/kind';
import { hardwareOf, type Load } from './connections/withHardware';
import { STATED_FAMILIES } from './families';
import { FAMILIES } from './wholeFamilies';
import { withMade, type Tied } from './made/withMade';
import { familyInput, type DimensionFault, type Family, type FamilyInput } from './family';

export type DesignedRig =
  | {
      readonly ok: true;
      readonly rig: Rig;
      readonly family: Family | null;
      readonly input: FamilyInput | null;
      readonly unapplied: readonly Edit[];
      readonly outOfRange: readonly DimensionFault[];
      /** Connections that do not hold as they are. */
      readonly loose: readonly ConnectionFault[];
      /** What was made otherwise than drawn, and cannot be followed, or finds nothing to act on. */
      readonly tied: readonly Tied[];
      readonly idle: readonly AsMade[];
    }
  | { readonly ok: false; readonly reason: string };

export const familyById = (id: string): Family | null => FAMILIES.find((f) => f.id === id) ?? null;

/** `load` says how deep a screw may go into what stands on the rig; `asMade`, what came out otherwise than drawn. */
export function designRig(design: Design, load: Load | null = null, asMade: readonly AsMade[] = []): DesignedRig {
  if (design.kind === 'free')
    return (
      noLength(design.rig) ?? {
        ok: true,
        ...made(design.rig, load, asMade),
        family: null,
        input: null,
        unapplied: [],
        outOfRange: [],
      }
    );
  const family = familyById(design.family);
  if (!family)
    return { ok: false, reason: `This rig is of a family “${design.family}” that this version does not know.` };
  const { input, faults } = familyInput(family, design.dimensions, design.choices, design.own);
  // The maker's edits come before what follows from connections.
  const stated = STATED_FAMILIES.find((f) => f.id === family.id)!;
  const built = stated.build(input);
  const { rig, unapplied: idle } = applyEdits(built, asMadeNow(design.edits, built));
  const short = noLength(rig);
  if (short) return short;
  // Told as they are stored.
  const unapplied = idle.map((e) => design.edits.find((d) => d.id === e.id) ?? e);
  const whole = made(rig, load, asMade);
  const bought = new Set(whole.rig.bodies.flatMap((b) => b.parts).map((p) => p.supply?.item));
  // A price may wait for what connections bring: what they do not bring has none.
  const unpriced = design.edits.filter(
    (e) => e.kind === 'price' && rig.prices?.[e.item] !== undefined && !bought.has(e.item),
  );
  return { ok: true, ...whole, family, input, unapplied: [...unapplied, ...unpriced], outOfRange: faults };
}

/** m */
const NO_LENGTH = 1e-6;
/** A bar both ends of which stand in one place points nowhere: nothing can be worked out of it. */
function noLength({ bodies }: Rig): { readonly ok: false; readonly reason: string } | null {
  for (const { nodes, members } of bodies)
    for (const { name, from, to, path } of members) {
      const [a, b] = [from, to].map((id) => nodes.find((n) => n.id === id)?.at);
      if (path.kind === 'straight' && a && b && length(subtract(b, a)) < NO_LENGTH)
        return { ok: false, reason: `${name} has no length: both its ends stand in one place. Move one of them.` };
    }
  return null;
}

function made(
  rig: Rig,
  load: Load | null,
  asMade: readonly AsMade[],
): Pick<Extract<DesignedRig, { ok: true }>, 'rig' | 'loose' | 'tied' | 'idle'> {
  const drawn = hardwareOf(rig, load);
  if (asMade.length === 0) return { rig: drawn.rig, loose: drawn.faults, tied: [], idle: [] };
  const { rig: real, tied, idle } = withMade(rig, drawn.rig, asMade);
  const { rig: whole, faults } = hardwareOf(real, load);
  return { rig: whole, loose: faults, tied, idle };
}

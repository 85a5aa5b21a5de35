/** From a stored design to its rig: the family's build with the maker's edits over it, or the freed rig as it stands. */
import type { Design, Edit, Rig } from '../model';
import { applyEdits } from './edits/applyEdits';
import { FAMILIES } from './families';
import { familyInput, type DimensionFault, type Family, type FamilyInput } from './family';

export type DesignedRig =
  | {
      readonly ok: true;
      readonly rig: Rig;
      readonly family: Family | null;
      readonly input: FamilyInput | null;
      readonly unapplied: readonly Edit[];
      readonly outOfRange: readonly DimensionFault[];
    }
  | { readonly ok: false; readonly reason: string };

export const familyById = (id: string): Family | null => FAMILIES.find((f) => f.id === id) ?? null;

export function designRig(design: Design): DesignedRig {
  if (design.kind === 'free')
    return { ok: true, rig: design.rig, family: null, input: null, unapplied: [], outOfRange: [] };
  const family = familyById(design.family);
  if (!family)
    return { ok: false, reason: `This rig is of a family “${design.family}” that this version does not know.` };
  const { input, faults } = familyInput(family, design.dimensions, design.choices);
  const { rig, unapplied } = applyEdits(family.build(input), design.edits);
  return { ok: true, rig, family, input, unapplied, outOfRange: faults };
}

/** A rig in each case that may come: where it is strained most, and what its joins carry. */
import { length, type Vec3 } from '../../0-base';
import type { Contact, Rig } from '../../model';
import { STRENGTH_CASES } from '../cases';
import { frameAtRest, type FrameAnswer } from '../frame/frameAnswer';
import type { FrameLoad } from '../frame/frameModel';
import type { FrameSystem } from '../frame/frameSystem';
import { factored, type Factors } from '../solver/skyline';
import type { CaseOn, StrengthCase } from '../strengthCase';
import { byShare, carriedBy, strainedShare, type Carried } from './carriedBy';
import type { RigFrame } from './rigFrame';
import { byReserve, strainer, type Strain } from './strains';

export interface CaseTold {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** Null: nothing of it bends, or no join's hold is known. */
  readonly weakest: Strain | null;
  readonly nearest: Carried | null;
}
export interface UnderCases {
  readonly cases: readonly CaseTold[];
  /** By piece, and by join, the worst of all cases; weakest first. */
  readonly strains: readonly Strain[];
  readonly carried: readonly Carried[];
}
/** A frame held in one way, with its equations. */
export interface HeldFrame {
  readonly frame: RigFrame;
  readonly system: FrameSystem;
  readonly factors: Factors;
}
export const heldFrame = (frame: RigFrame, system: FrameSystem): HeldFrame => ({
  frame,
  system,
  factors: factored(system.stiffness),
});

/** Null where it moves without bending. */
export function under(
  { system, factors }: HeldFrame,
  field: Vec3,
  pushes: readonly FrameLoad[] = [],
): FrameAnswer | null {
  const outcome = frameAtRest(system, field, factors, pushes);
  return outcome.kind === 'solved' ? outcome.answer : null;
}

/** `otherwise` makes the frame as other contacts hold it; null where they cannot. */
export function underCases(
  rig: Rig,
  asPosed: HeldFrame,
  holding: readonly Contact[],
  bump: number,
  otherwise: (contacts: readonly Contact[]) => HeldFrame | null,
): UnderCases {
  const told = STRENGTH_CASES.flatMap((one) => {
    const contacts = one.heldBy?.(rig.contacts) ?? holding;
    const held = one.heldBy ? (contacts.length === 0 ? null : otherwise(contacts)) : asPosed;
    return held ? inCase(one, held, { rig, holding: contacts, bump }) : [];
  });
  return {
    cases: told.map((t) => t.told),
    strains: worstOf(
      told.flatMap((t) => t.strains),
      (s) => s.piece,
      byReserve,
    ),
    carried: worstOf(
      told.flatMap((t) => t.carried),
      (c) => c.id,
      byShare,
    ),
  };
}

interface InCase {
  readonly told: CaseTold;
  readonly strains: readonly Strain[];
  readonly carried: readonly Carried[];
}

function inCase(
  one: StrengthCase,
  held: HeldFrame,
  { rig, holding, bump }: Pick<CaseOn, 'rig' | 'holding' | 'bump'>,
): readonly InCase[] {
  const { frame } = held;
  const rest = frame.camera ? under(held, frame.gravity)?.at(frame.camera).displacement : undefined;
  const on: CaseOn = { rig, frame, holding, contacts: rig.contacts, bump, sag: rest ? length(rest) : 0 };
  const loads = one.loads(on);
  if (loads.length === 0) return [];
  const strain = strainer(frame);
  const answers = loads.flatMap(({ field, pushes }) => under(held, field, pushes) ?? []);
  const strains = worstOf(
    answers.flatMap((a) => strain(a, one.id)),
    (s) => s.piece,
    byReserve,
  );
  const carried = worstOf(
    answers.flatMap((a) => carriedBy(frame, a, one.id)),
    (c) => c.id,
    byShare,
  );
  const nearest = carried[0] && strainedShare(carried[0]) > 0 ? carried[0] : null;
  return [
    {
      told: { id: one.id, name: one.name, says: one.says(on), weakest: strains[0] ?? null, nearest },
      strains,
      carried,
    },
  ];
}

/** Of each the worst, in order. */
function worstOf<T>(all: readonly T[], key: (one: T) => string, by: (a: T, b: T) => number): readonly T[] {
  const worst = new Map<string, T>();
  for (const one of all) {
    const known = worst.get(key(one));
    if (!known || by(one, known) < 0) worst.set(key(one), one);
  }
  return [...worst.values()].sort(by);
}

/** A line of versions in figures, each with what was changed from the one before and what each change alone did to that. */
import { sideBySide, type Differs, type Side, type SideBySideInput, type SideTold } from './sideBySide';

export interface VersionsInput {
  /** The first of the line first. */
  readonly sides: readonly Side[];
  readonly kit: SideBySideInput['kit'];
}
export type VersionTold =
  | { readonly kind: 'cannot'; readonly reason: string }
  | {
      readonly kind: 'told';
      readonly side: SideTold;
      /** From the one before; empty of the first. */
      readonly changed: readonly Differs[];
      /** Of one kind with the one before: what changed can be told one at a time. */
      readonly isOneKind: boolean;
    };

export function versionsTold(
  { sides, kit }: VersionsInput,
  tell: (part: number) => void = () => undefined,
): readonly VersionTold[] {
  return sides.map((side, i): VersionTold => {
    const told = sideBySide({ one: sides[i - 1] ?? side, other: side, kit }, (part) => tell((i + part) / sides.length));
    // One before that cannot be worked out takes nothing from this one.
    const alone = told.kind === 'cannot' ? sideBySide({ one: side, other: side, kit }) : told;
    return alone.kind === 'cannot'
      ? alone
      : { kind: 'told', side: alone.other, changed: alone.differs, isOneKind: alone.isOneKind };
  });
}

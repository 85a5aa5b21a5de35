/** How firm a rig would be after each of several changes, beside how it is: asked of what hangs a weight on a strip. */
import { figure, say, type Change, type Phrase } from '../../0-base';
import { changedDesign, type AdjusterValues } from '../../2-frame';
import type { JointsHeard } from '../../4-strength';
import type { KitItem, Loadout, RigDocument } from '../../model';
import { workpiece } from '../derive';
import { firmnessOf, type Firmness } from './firmness';

export interface FirmAfterInput {
  readonly rig: Pick<RigDocument, 'design' | 'hands' | 'made'>;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly values: AdjusterValues;
  readonly joints: JointsHeard;
  readonly each: readonly (readonly Change[])[];
}
export interface FirmAfter {
  readonly words: Phrase;
  /** It wobbles, or something of it gives way, that did not before. */
  readonly worse: boolean;
}

/** A part of less is no difference. */
const ALIKE = 0.02;

/** Null where it cannot be told. */
export function firmAfter(input: FirmAfterInput): readonly (FirmAfter | null)[] {
  const before = firmWith(input, []);
  return input.each.map((changes) => {
    const after = firmWith(input, changes);
    if (!before?.rings || !after?.rings) return null;
    const [was, now] = [before.rings.frequency, after.rings.frequency];
    const known = new Set(before.against.map(keyOf));
    const more = after.against.filter((w) => !known.has(keyOf(w)));
    const rings =
      Math.abs(now / was - 1) < ALIKE
        ? say`It rings as before, at ${figure('frequency', now)}.`
        : say`It then rings at ${figure('frequency', now)} instead of ${figure('frequency', was)}.`;
    return { words: [...rings, ...more.flatMap((w) => [' ', ...w.title])], worse: more.length > 0 };
  });
}

const keyOf = ({ about, severity }: Firmness['against'][number]): string => `${severity} ${about}`;

function firmWith({ rig, loadout, kit, values, joints }: FirmAfterInput, changes: readonly Change[]): Firmness | null {
  const set = Object.fromEntries(changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : [])));
  const made = workpiece({ ...rig, design: changedDesign(rig.design, changes, nextId()) }, loadout, kit);
  return made.ok ? firmnessOf({ assembly: made.work.assembly, values: { ...values, ...set }, joints }) : null;
}

const nextId = (): (() => string) => {
  let n = 0;
  return () => `try${++n}`;
};

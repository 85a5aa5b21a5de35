/** One rig, every loadout: the set-up of each, and what is moved from one to the next in the field. */
import type { Adjuster, KitItem, Loadout, RigDocument, SetUp } from './model';
import { valuesInOrder, type AdjusterValues } from './2-frame';
import { trim, type ConditionId, type TrimOutcome } from './3-balance';
import { workpiece } from './derive';

export interface SetUpRow {
  readonly loadout: string;
  readonly name: string;
  readonly outcome: TrimOutcome['kind'] | 'broken';
  /** Every adjuster's setting; null where none was found. */
  readonly values: AdjusterValues | null;
  readonly added: number;
  /** Adjusters to be moved from the first row's set-up. */
  readonly moves: number;
  readonly unmet: readonly ConditionId[];
  readonly failing: ConditionId | null;
}
export interface Move {
  readonly adjuster: Adjuster;
  readonly from: number;
  readonly to: number;
}
export interface SetUpsInput {
  readonly rig: Pick<RigDocument, 'id' | 'design' | 'hands' | 'wants' | 'loadout'>;
  readonly loadouts: readonly Loadout[];
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly setups: readonly SetUp[];
}

/** The rig's own loadout first, as lightly as it can; each other with as few things moved from that as will do. */
export function setUpsFor({ rig, loadouts, kit, setups }: SetUpsInput, tell: (part: number) => void = () => undefined): readonly SetUpRow[] {
  const ordered = [...loadouts].sort((a, b) => Number(b.id === rig.loadout) - Number(a.id === rig.loadout));
  let base: AdjusterValues | null = null;
  return ordered.map((loadout, i): SetUpRow => {
    tell(i / ordered.length);
    const made = workpiece(rig, loadout, kit);
    const none = { loadout: loadout.id, name: loadout.name, values: null, added: 0, moves: 0, unmet: [], failing: null };
    if (!made.ok) return { ...none, outcome: 'broken' };
    const { assembly } = made.piece;
    const held = setups.find((s) => s.rig === rig.id && s.loadout === loadout.id)?.values ?? {};
    const outcome = trim(assembly, base ?? held, rig.wants, { aim: base ? 'fewestMoves' : 'lightest' });
    if (outcome.kind !== 'solved' && outcome.kind !== 'axesSet') return { ...none, outcome: outcome.kind, failing: outcome.kind === 'impossible' ? outcome.failing : null };
    const values = Object.fromEntries(assembly.rig.adjusters.map((a, k) => [a.id, valuesInOrder(assembly.rig, outcome.values)[k]!]));
    base ??= values;
    return { ...none, outcome: outcome.kind, values, added: outcome.kind === 'solved' ? outcome.addedMass : 0, moves: movesBetween(assembly.rig.adjusters, base, values).length, unmet: outcome.kind === 'solved' ? outcome.unmet : [] };
  });
}

/** What a hand moves to get from one set-up to another. */
export function movesBetween(adjusters: readonly Adjuster[], from: AdjusterValues, to: AdjusterValues): readonly Move[] {
  return adjusters.flatMap((adjuster) => {
    const [a, b] = [from[adjuster.id] ?? adjuster.value, to[adjuster.id] ?? adjuster.value];
    return Math.abs(a - b) > adjuster.step / 2 ? [{ adjuster, from: a, to: b }] : [];
  });
}

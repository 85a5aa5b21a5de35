/** One rig, every loadout: the set-up of each, and what is moved from one to the next in the field. */
import type { Adjuster, BinItem, KitItem, Loadout, RigDocument, SetUp } from '../model';
import { valuesInOrder, type AdjusterValues, type Assembly } from '../2-frame';
import { setToZero } from '../3-balance';
import { countsIn, isCount, trim, withKept, type ConditionId, type TrimOutcome } from '../3-balance/bench';
import { workpiece } from './derive';

export interface SetUpRow {
  readonly loadout: string;
  readonly name: string;
  /** What may be otherwise while shooting, as "screen: out"; null for the loadout as it is put together. */
  readonly state: string | null;
  readonly outcome: TrimOutcome['kind'] | 'broken';
  /** Every adjuster's setting; null where none was found. */
  readonly values: AdjusterValues | null;
  readonly added: number;
  /** Adjusters to be moved from the first row's set-up; of a state, from its own loadout's. */
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
  readonly rig: Pick<RigDocument, 'id' | 'design' | 'made' | 'hands' | 'wants' | 'loadout'>;
  readonly loadouts: readonly Loadout[];
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly setups: readonly SetUp[];
  /** For wants of washers from the bin alone: each set-up may take them all. */
  readonly bin: readonly BinItem[];
}

/** The rig's own loadout first, as lightly as it can; each other with as few things moved from that as will do. */
export function setUpsFor(
  { rig, loadouts, kit, setups, bin }: SetUpsInput,
  tell: (part: number) => void = () => undefined,
): readonly SetUpRow[] {
  const ordered = [...loadouts].sort((a, b) => Number(b.id === rig.loadout) - Number(a.id === rig.loadout));
  let base: AdjusterValues | null = null;
  return ordered.flatMap((loadout, i): readonly SetUpRow[] => {
    tell(i / ordered.length);
    const own = rowOf(loadout, null, base);
    if (own.values) base ??= own.values;
    return [own, ...statesOf(loadout, kit).map(({ state, variant }) => rowOf(variant, state, own.values))];
  });

  /** With as few moves as will do; but where slides are set to zero every slide goes there, with the washers as they are if that will do. */
  function fromThere(assembly: Assembly, from: AdjusterValues): TrimOutcome {
    const few = (): TrimOutcome => trim(assembly, from, rig.wants, { aim: 'fewestMoves' });
    if (!setToZero(assembly.rig)) return few();
    const slides = (counts: AdjusterValues): TrimOutcome =>
      trim(withKept(assembly, counts, isCount), { ...from, ...countsIn(assembly, counts) }, rig.wants);
    const asItIs = slides(from);
    if (asItIs.kind === 'axesSet' || (asItIs.kind === 'solved' && asItIs.unmet.length === 0)) return asItIs;
    const other = few();
    if (other.kind !== 'solved') return asItIs;
    const there = slides(other.values);
    if (there.kind !== 'solved') return other;
    return asItIs.kind === 'solved' && asItIs.unmet.length <= there.unmet.length ? asItIs : there;
  }

  function rowOf(loadout: Loadout, state: string | null, from: AdjusterValues | null): SetUpRow {
    const made = workpiece(rig, loadout, kit, bin);
    const none = {
      loadout: loadout.id,
      name: loadout.name,
      state,
      values: null,
      added: 0,
      moves: 0,
      unmet: [],
      failing: null,
    };
    if (!made.ok) return { ...none, outcome: 'broken' };
    const { assembly } = made.work;
    const held = setups.find((s) => s.rig === rig.id && s.loadout === loadout.id)?.values ?? {};
    const outcome = from ? fromThere(assembly, from) : trim(assembly, held, rig.wants);
    if (outcome.kind !== 'solved' && outcome.kind !== 'axesSet')
      return { ...none, outcome: outcome.kind, failing: outcome.kind === 'impossible' ? outcome.failing : null };
    const values = Object.fromEntries(
      assembly.rig.adjusters.map((a, k) => [a.id, valuesInOrder(assembly.rig, outcome.values)[k]!]),
    );
    return {
      ...none,
      outcome: outcome.kind,
      values,
      added: outcome.kind === 'solved' ? outcome.addedMass : 0,
      moves: from ? movesBetween(assembly.rig.adjusters, from, values).length : 0,
      unmet: outcome.kind === 'solved' ? outcome.unmet : [],
    };
  }
}

/** Each state left open, in each of its other choices: what may change under the rig while shooting. */
function statesOf(
  loadout: Loadout,
  kit: ReadonlyMap<string, KitItem>,
): readonly { readonly state: string; readonly variant: Loadout }[] {
  return loadout.items.flatMap((entry) => {
    const item = kit.get(entry.item);
    return (item?.states ?? [])
      .filter((s) => entry.states?.[s.id] === undefined)
      .flatMap((s) =>
        s.choices
          .slice(1)
          .filter((c) => c.change)
          .map((choice) => ({
            state: `${item!.name}, ${s.name} ${choice.name}`,
            variant: {
              ...loadout,
              items: loadout.items.map((e) =>
                e.id === entry.id ? { ...e, states: { ...e.states, [s.id]: choice.id } } : e,
              ),
            },
          })),
      );
  });
}

/** What a hand moves to get from one set-up to another. */
export function movesBetween(
  adjusters: readonly Adjuster[],
  from: AdjusterValues,
  to: AdjusterValues,
): readonly Move[] {
  return adjusters.flatMap((adjuster) => {
    const [a, b] = [from[adjuster.id] ?? adjuster.value, to[adjuster.id] ?? adjuster.value];
    return Math.abs(a - b) > adjuster.step / 2 ? [{ adjuster, from: a, to: b }] : [];
  });
}

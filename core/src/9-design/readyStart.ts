/** A rig started so that nothing stands against it that one change after the other can cure: sized, trimmed and cleared, and told what is left. */
import { findingKey, type Judgement, type Phrase } from '../0-base';
import { changedDesign, USUAL_HANDS, type AdjusterValues, type Family } from '../2-frame';
import { trim } from '../3-balance/bench';
import type { Design, Hands, KitItem, Loadout, Wants } from '../model';
import { candidateOf, type Candidate, type ChooseInput } from './choose';
import { cure, type Cure } from './cure';
import { judged, workpiece, type Workpiece } from './derive';
import { startRig } from './startRig';

export interface Ready {
  readonly design: Extract<Design, { kind: 'family' }>;
  readonly values: AdjusterValues;
  /** What was changed so that it starts without a fault, in words. */
  readonly cured: readonly Phrase[];
  /** Faults that no single change cures: told before it is started, and not after. */
  readonly left: readonly Judgement[];
}
export interface ReadyInput {
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly wants: Wants;
  readonly hands?: Hands;
}
/** Changes one after the other; a rig that needs more is another rig. */
const CHANGES_AT_MOST = 8;

export function readyStart(family: Family, { loadout, kit, wants, hands = USUAL_HANDS }: ReadyInput): Ready {
  const start = startRig(family, loadout, kit, wants, hands);
  let now = { design: start.design, values: start.values };
  let faults = faultsOf(now);
  const cured: Phrase[] = [];
  const incurable = new Set<string>();
  while (cured.length < CHANGES_AT_MOST) {
    const fault = faults.find((f) => !incurable.has(findingKey(f)));
    if (!fault) break;
    const next = curesOf(fault).flatMap((c) => {
      const changed = applied(c);
      const after = changed && faultsOf(changed);
      return changed && after && weight(after) < weight(faults) ? [{ changed, after, label: c.label }] : [];
    })[0];
    if (!next) {
      incurable.add(findingKey(fault));
      continue;
    }
    cured.push(next.label);
    [now, faults] = [next.changed, next.after];
  }
  return { ...now, cured, left: faults };

  function work(of: typeof now): Workpiece | null {
    const made = workpiece({ design: of.design, hands }, loadout, kit);
    return made.ok ? made.work : null;
  }
  /** Gravest first. What is wrong with the load itself, no rig cures. */
  function faultsOf(of: typeof now): readonly Judgement[] {
    const made = work(of);
    if (!made) return [];
    return judged(made, of.values, wants)
      .findings.filter((f) => f.stage !== 'load' && (f.severity === 'stop' || f.severity === 'mend'))
      .sort((a, b) => Number(b.severity === 'stop') - Number(a.severity === 'stop'));
  }
  function curesOf(fault: Judgement): readonly Cure[] {
    return cure({ rig: { design: now.design, wants, hands }, loadout, kit, values: now.values, finding: fault });
  }
  function applied({ changes, trimAfter }: Cure): typeof now | null {
    let n = cured.length * CHANGES_AT_MOST;
    const design = changedDesign(now.design, changes, () => `start-${++n}`);
    if (design.kind !== 'family') return null;
    const moved = changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value] as const] : []));
    const values = { ...now.values, ...Object.fromEntries(moved) };
    const made = trimAfter ? work({ design, values }) : null;
    if (!made) return { design, values };
    const found = trim(made.assembly, values, wants);
    return { design, values: found.kind === 'solved' ? { ...values, ...found.values } : values };
  }
}

/** A stop counts for more than all that is only to be mended. */
const STOP = 100;
const weight = (faults: readonly Judgement[]): number =>
  faults.reduce((sum, f) => sum + (f.severity === 'stop' ? STOP : 1), 0);

/** One that was chosen, so cleared, and looked at again as it then is. */
export interface ReadyCandidate extends Candidate, Pick<Ready, 'cured' | 'left'> {}
export function readyCandidate(family: Family, input: ChooseInput): ReadyCandidate {
  const { design, values, cured, left } = readyStart(family, input);
  return { ...candidateOf(family, { design, values }, input), cured, left };
}

import { familyById } from './2-frame';
import { evaluate, trim, type Evaluation } from './3-balance';
import { workpiece } from './derive';
import { learnFrom, type LearnInput } from './learnFrom';
import type { KitItem, LogEntry } from './model';
import { startRig } from './startRig';
import { camera, kit, lens, loadout, wants } from './testing/rigs';

const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, wants);
const rig = { design: start.design, wants: { ...wants, massAtMost: 9, calmAtLeast: 0 } };
const made = workpiece(rig, loadout, kit);
if (!made.ok) throw new Error(made.reason);
const { assembly } = made.piece;
const first = trim(assembly, {}, rig.wants);
const values = first.kind === 'solved' ? first.values : {};

/** The rig as it really is: some figure of its kit is not what was typed. */
function truth(item: KitItem): (set: Readonly<Record<string, number>>) => Evaluation {
  const real = workpiece(rig, loadout, new Map([...kit, [item.id, item]]));
  if (!real.ok) throw new Error(real.reason);
  return (set) => evaluate(real.piece.assembly, set);
}
/** What a maker reads off it: lean to half a degree, the drop to a tenth of a second; or that it turned over. */
function read(at: (set: Readonly<Record<string, number>>) => Evaluation, set: Readonly<Record<string, number>>): Pick<LogEntry, 'values' | 'seen'> {
  const { hung } = at(set);
  const rest = hung!.hang.rest;
  if (!rest) return { values: set, seen: { dropTimes: [], turnsOver: true } };
  const half = Math.PI / 360;
  const { drop } = hung!.pitch;
  return { values: set, seen: { noseDown: Math.round(rest.noseDown / half) * half, leftSideDown: Math.round(rest.leftSideDown / half) * half, dropTimes: drop.kind === 'falls' ? [Math.round(drop.time * 10) / 10] : [] } };
}
const input = (entries: LearnInput['entries'], set = values): LearnInput => ({ rig, loadout, kit, values: set, entries });

/** Reads, learns and sets, so many times; how it then really hangs. */
function taught(item: KitItem, times: number): { readonly rest: Evaluation['hung']; readonly outcome: ReturnType<typeof learnFrom> } {
  const at = truth(item);
  const entries: LearnInput['entries'][number][] = [];
  let set: Readonly<Record<string, number>> = { ...values };
  let outcome: ReturnType<typeof learnFrom> = { kind: 'noReadings' };
  for (let n = 0; n < times; n++) {
    entries.push(read(at, set));
    outcome = learnFrom(input(entries, set));
    if (outcome.kind !== 'learned' || outcome.next.outcome.kind !== 'solved') break;
    set = { ...set, ...outcome.next.outcome.values };
  }
  return { rest: at(set).hung, outcome };
}

describe('learning from the bench', () => {
  it('brings a rig with a secretly wrong mass level in two readings', () => {
    for (const item of [{ ...lens, mass: { ...lens.mass!, value: 0.215 } }, { ...camera, mass: { ...camera.mass!, value: 0.47 } }, { ...lens, mass: { ...lens.mass!, value: 0.18 } }]) {
      const { rest, outcome } = taught(item, 2);
      expect(outcome.kind).toBe('learned');
      expect(rest!.hang.state).withContext(`${item.name} ${item.mass!.value}`).toBe('hangs');
      expect(Math.abs(rest!.hang.rest!.noseDown)).withContext(`${item.name} ${item.mass!.value}`).toBeLessThan(0.06);
      expect(Math.abs(rest!.hang.rest!.leftSideDown)).withContext(`${item.name} ${item.mass!.value}`).toBeLessThan(0.06);
    }
  });
  it('has nothing to teach when the rig does as the model says', () => {
    const { outcome } = taught(lens, 1);
    if (outcome.kind !== 'learned') return fail(outcome.kind);
    expect(outcome.suspect).toBeNull();
    for (const x of outcome.unexplained) expect(Math.abs(x)).toBeLessThan(0.001);
    for (const s of outcome.spread) expect(s).toBeGreaterThan(0);
  });
  it('a mass on the scale narrows the masses; one that cannot be is refused with the reading named', () => {
    const mass = evaluate(assembly, values).mass;
    const weighed = learnFrom(input([{ values, seen: { dropTimes: [], mass: mass + 0.05 } }]));
    if (weighed.kind !== 'learned') return fail(weighed.kind);
    expect(weighed.lessons.some((l) => l.mass !== null && l.mass.to > l.mass.from)).toBeTrue();
    expect(learnFrom(input([{ values, seen: { dropTimes: [], mass: 9 } }]))).toEqual({ kind: 'cannotBe', reading: 0, why: 'mass' });
    expect(learnFrom(input([{ values, seen: { dropTimes: [0.05] } }]))).toEqual({ kind: 'cannotBe', reading: 0, why: 'drop' });
  });
  it('asks for readings, and for a joint to hang on', () => {
    expect(learnFrom(input([])).kind).toBe('noReadings');
    expect(learnFrom(input([{ values, seen: { dropTimes: [] } }])).kind).toBe('noReadings');
    const held = startRig(familyById('hand-frame')!, loadout, kit, wants);
    expect(learnFrom({ ...input([{ values, seen: { noseDown: 0.1, dropTimes: [] } }]), rig: { design: held.design, wants } }).kind).toBe('notHung');
  });
  it('orders its moves coarse first: washers, then level, then the height', () => {
    const { outcome } = taught({ ...lens, mass: { ...lens.mass!, value: 0.26 } }, 1);
    if (outcome.kind !== 'learned') return fail(outcome.kind);
    const rank = outcome.next.moves.map((m) => (m.adjuster.kind === 'count' ? 0 : m.adjuster.id === 'pivot-height' ? 2 : 1));
    expect([...rank].sort()).toEqual(rank);
  });
});

import { familyById, designRig } from './2-frame';
import { trim, tradeCurve } from './3-balance';
import { movesBetween, setUpsFor } from './setUpsFor';
import { startRig } from './startRig';
import { bentBarAssembly, kit, loadout, wants } from './testing/rigs';
import { THREE_LOADS } from './testing/loads';

const { loadout: action, kit: actionKit } = THREE_LOADS[1]!;
const allKit = new Map([...kit, ...actionKit]);
const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, wants);
const rig = { id: 'r', design: start.design, wants, loadout: loadout.id };

describe('one rig, every loadout', () => {
  const rows = setUpsFor({ rig, loadouts: [action, loadout], kit: allKit, setups: [] });
  it('starts with its own loadout, and each row says what can be had', () => {
    expect(rows.map((r) => r.loadout)).toEqual([loadout.id, action.id]);
    expect(rows[0]!.outcome).toBe('solved');
    expect(rows[0]!.moves).toBe(0);
  });
  it('moves as few things as will do, and the list of moves leads there', () => {
    const made = designRig(start.design);
    if (!made.ok) return fail(made.reason);
    const [own, other] = rows;
    if (!own!.values || !other!.values) return expect(other!.failing).not.toBeNull();
    const moves = movesBetween(made.rig.adjusters, own!.values, other!.values);
    expect(moves.length).toBe(other!.moves);
    expect({ ...own!.values, ...Object.fromEntries(moves.map((m) => [m.adjuster.id, m.to])) }).toEqual(other!.values);
  });
});

describe('the trade curve', () => {
  const assembly = bentBarAssembly();
  const curve = tradeCurve(assembly, {}, wants);
  it('gives the least washers for each drop time: no wider want is met by fewer', () => {
    expect(curve.length).toBeGreaterThan(5);
    for (const p of curve.filter((one) => one.aim === 'lightest')) {
      const asked = trim(assembly, {}, { ...wants, massAtMost: 9, calmAtLeast: 0, dropTime: [p.dropPitch - 0.01, p.dropPitch + 0.01] });
      if (asked.kind === 'solved') expect(p.added).toBeLessThanOrEqual(asked.addedMass + 1e-9);
    }
  });
  it('keeps only what nothing else of its drop time beats', () => {
    for (const p of curve) for (const q of curve) if (p !== q && Math.abs(p.dropPitch - q.dropPitch) < 0.05) expect(q.added < p.added && q.inertiaRoll > p.inertiaRoll && q.inertiaPitch > p.inertiaPitch).toBeFalse();
  });
});

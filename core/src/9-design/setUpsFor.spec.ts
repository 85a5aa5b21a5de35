import { familyById, designRig, keptAs, washerName } from '../2-frame';
import { METRIC, render } from '../0-base';
import { trim, tradeCurve, trimExplained } from '../3-balance/bench';
import type { KitItem } from '../model';
import { movesBetween, setUpsFor } from './setUpsFor';
import { startRig } from './startRig';
import { bentBarAssembly, camera, kit, loadout, wants } from '../testing/rigs';
import { THREE_LOADS } from '../testing/loads';

const { loadout: action, kit: actionKit } = THREE_LOADS[1]!;
const allKit = new Map([...kit, ...actionKit]);
const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, wants);
const rig = { id: 'r', design: start.design, wants, loadout: loadout.id };

describe('one rig, every loadout', () => {
  const rows = setUpsFor({ rig, loadouts: [action, loadout], kit: allKit, setups: [], bin: [] });
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

describe('a state left open', () => {
  it('is a row of its own under its loadout, from whose set-up it is moved', () => {
    const screen: KitItem = {
      ...camera,
      states: [
        {
          id: 'screen',
          name: 'screen',
          choices: [
            { id: 'in', name: 'in' },
            { id: 'out', name: 'out', change: { kind: 'moves', by: [0, 0.004, 0] } },
          ],
        },
      ],
    };
    const rows = setUpsFor({
      rig,
      loadouts: [loadout],
      kit: new Map([...allKit, [screen.id, screen]]),
      setups: [],
      bin: [],
    });
    expect(rows.map((r) => r.state)).toEqual([null, 'Heron body, screen out']);
    expect(rows[1]!.values === null || rows[1]!.moves > 0).toBeTrue();
    const set = setUpsFor({
      rig,
      loadouts: [
        {
          ...loadout,
          items: loadout.items.map((e) => (e.item === screen.id ? { ...e, states: { screen: 'in' } } : e)),
        },
      ],
      kit: new Map([...allKit, [screen.id, screen]]),
      setups: [],
      bin: [],
    });
    expect(set.length).toBe(1);
  });
});

describe('washers from the bin alone', () => {
  const assembly = bentBarAssembly();
  const free = trim(assembly, {}, wants);
  const name = washerName(assembly.stacks[0]!.station);
  const used = (values: Readonly<Record<string, number>>): number =>
    assembly.rig.adjusters.filter((a) => a.kind === 'count').reduce((n, a) => n + (values[a.id] ?? a.value), 0);
  it('are enough when there are as many as the lightest takes, and never more than there are', () => {
    if (free.kind !== 'solved') return fail(free.kind);
    const needed = used(free.values);
    const just = trim({ ...assembly, atHand: new Map([[keptAs(name), needed]]) }, {}, wants);
    expect(just.kind === 'solved' && used(just.values)).toBe(needed);
  });
  it('are said to be short, with how many more, when the bin is empty', () => {
    const none = trimExplained({ ...assembly, atHand: new Map() }, {}, wants);
    if (none.kind !== 'impossible') return fail(none.kind);
    expect(none.failing).toBe('bin');
    expect(none.remedies.map((r) => render(r.label, METRIC)).join()).toContain(`more of ${name}`);
  });
});

describe('the trade curve', () => {
  const assembly = bentBarAssembly();
  const curve = tradeCurve(assembly, {}, wants);
  it('gives the least washers for each drop time: no wider want is met by fewer', () => {
    expect(curve.length).toBeGreaterThan(5);
    for (const p of curve.filter((one) => one.aim === 'lightest')) {
      const asked = trim(
        assembly,
        {},
        { ...wants, massAtMost: 9, calmAtLeast: 0, dropTime: [p.dropPitch - 0.01, p.dropPitch + 0.01] },
      );
      if (asked.kind === 'solved') expect(p.added).toBeLessThanOrEqual(asked.addedMass + 1e-9);
    }
  });
  it('keeps only what nothing else of its drop time beats', () => {
    for (const p of curve)
      for (const q of curve)
        if (p !== q && Math.abs(p.dropPitch - q.dropPitch) < 0.05)
          expect(q.added < p.added && q.inertiaRoll > p.inertiaRoll && q.inertiaPitch > p.inertiaPitch).toBeFalse();
  });
});

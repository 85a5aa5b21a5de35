import { FAMILIES, USUAL_HANDS, freed } from '..';
import { analyse } from '../../9-design/analyse';
import { parseRigFile, rigFileOf } from '../../contract';
import { judged, workpiece } from '../../9-design/derive';
import { placeLoad } from '../../1-load';
import { startRig } from '../../9-design/startRig';
import { THREE_LOADS } from '../../testing/loads';
import { wants } from '../../testing/rigs';
import type { RigDocument } from '../../model';

describe('each family, started for each of three loads', () => {
  it('finds all families and three loads', () => {
    expect(FAMILIES.length).toBeGreaterThanOrEqual(7);
    expect(THREE_LOADS.length).toBe(3);
  });

  for (const family of FAMILIES) {
    const takes = THREE_LOADS.filter(
      (l) =>
        placeLoad(l.loadout, l.kit).bodies.reduce((m, b) => m + b.mass, 0) <= (family.suits.loadAtMost ?? Infinity),
    );
    it(`${family.name} is made for one of them at least`, () => expect(takes.length).toBeGreaterThan(0));
    for (const { name, loadout, kit } of takes) {
      it(`${family.name}, ${name}`, () => {
        const start = startRig(family, loadout, kit, wants);
        const made = workpiece({ design: start.design }, loadout, kit);
        if (!made.ok) return fail(made.reason);
        const { evaluation, findings } = judged(made.work, start.values, wants);
        expect(findings.filter((f) => f.severity === 'stop').map((f) => f.code)).toEqual([]);
        expect(evaluation.loadMass).toBeCloseTo(
          placeLoad(loadout, kit).bodies.reduce((m, b) => m + b.mass, 0),
          9,
        );
        // It hangs under its joint, or its mass centre lies within a hand of where the hands hold it.
        if (evaluation.hung) expect(evaluation.hung.hang.state).toBe('hangs');
        else expect(Math.abs(evaluation.fromSupport![0])).toBeLessThan(0.13);
        expect(evaluation.mass).toBeLessThan(6);

        // Saved, opened, freed, and told on the command line, it is the same rig.
        const rig: RigDocument = {
          id: 'r',
          name: 'Test',
          notes: '',
          wants,
          loadout: loadout.id,
          done: {},
          kerf: 0.0015,
          design: start.design,
        };
        const setups = [{ id: 's', rig: 'r', loadout: loadout.id, values: { ...start.values } }];
        const file = rigFileOf(rig, { kit: [...kit.values()], loadouts: [loadout], setups });
        const back = parseRigFile(JSON.stringify(file));
        if (!back.ok) return fail(JSON.stringify(back.faults));
        expect(back.value).toEqual(file);
        const told = analyse(back.value, null);
        const plain = analyse({ ...back.value, rig: { ...rig, design: freed(start.design)! } }, null);
        if (!told.ok || !plain.ok) return fail('not analysed');
        expect(told.result['mass']).toBe(evaluation.mass);
        const known = (r: Readonly<Record<string, unknown>>) => ({ ...r, findings: [] });
        expect(known(plain.result)).toEqual(known(told.result));
      });
    }
  }

  it('fits other hands by other sizes', () => {
    const [{ loadout, kit }] = [THREE_LOADS[0]!];
    for (const family of FAMILIES) {
      const load = placeLoad(loadout, kit);
      const small = family.size(load, { ...USUAL_HANDS, breadth: 0.07 });
      const large = family.size(load, { ...USUAL_HANDS, breadth: 0.11 });
      expect(JSON.stringify(small.dimensions)).withContext(family.id).not.toBe(JSON.stringify(large.dimensions));
      expect(small.reasons.length).withContext(family.id).toBeGreaterThanOrEqual(3);
    }
  });
});

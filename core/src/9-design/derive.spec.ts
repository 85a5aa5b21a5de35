import { METRIC, render } from '../0-base';
import { judged, workpiece } from './derive';
import type { RigDocument } from '../model';
import { bentBar, kit, loadout, plainRig, wants } from '../testing/rigs';

const design = (
  dimensions: Record<string, { value: number }> = {},
  edits: Extract<RigDocument['design'], { kind: 'family' }>['edits'] = [],
): RigDocument['design'] => ({ kind: 'family', family: bentBar.id, dimensions, choices: {}, edits });
const findings = (d: RigDocument['design'], l = loadout): readonly string[] => {
  const made = workpiece({ design: d }, l, kit);
  return made.ok ? judged(made.work, {}, wants).findings.map((f) => `${f.stage} ${f.code}`) : [made.reason];
};

describe('from documents to figures', () => {
  it('judges a dimension out of its range and offers the nearest', () => {
    const made = workpiece({ design: design({ tail: { value: 4 } }) }, loadout, kit);
    if (!made.ok) return fail(made.reason);
    const finding = judged(made.work, {}, wants).findings.find((f) => f.code === 'dimensionOutOfRange')!;
    expect(render(finding.title, METRIC)).toBe('Tail must lie between 50 mm and 300 mm.');
    expect(finding.fixes[0]!.changes).toEqual([{ kind: 'dimension', id: 'tail', value: 0.3 }]);
    expect(finding.stage).toBe('frame');
  });
  it('shows an edit that finds nothing, and a load that cannot be placed', () => {
    expect(findings(design({}, [{ kind: 'remove', id: 'e', target: 'sail' }]))).toContain('frame editWithoutTarget');
    expect(findings(design(), { ...loadout, items: [{ ...loadout.items[0]!, item: 'gone' }] })).toContain(
      'load loadNotPlaced',
    );
  });
  it('puts an added part into every figure', () => {
    const pebble = {
      id: 'pebble',
      name: 'pebble',
      shape: { kind: 'box' as const, size: [0.02, 0.02, 0.02] as const },
      at: [0, 0, -0.2] as const,
      mass: { value: 0.1 },
    };
    const mass = (d: RigDocument['design']): number => {
      const made = workpiece({ design: d }, loadout, kit);
      return made.ok ? judged(made.work, {}, wants).evaluation.mass : NaN;
    };
    expect(mass(design({}, [{ kind: 'add', id: 'e', body: 'sled', part: pebble }])) - mass(design())).toBeCloseTo(
      0.1,
      12,
    );
    expect(findings(design({}, [{ kind: 'add', id: 'e', body: 'mast', part: pebble }]))).toContain(
      'frame editWithoutTarget',
    );
  });
  it('weighing a part replaces its reckoned mass, weighing a stack its washers', () => {
    const weighed = (target: string, value: number): number => {
      const made = workpiece(
        { design: design({}, [{ kind: 'weigh', id: 'e', target, mass: { value } }]) },
        loadout,
        kit,
      );
      return made.ok
        ? judged(made.work, { 'foot-count': 3 }, wants)
            .evaluation.pieces.filter((p) => p.flat.owner === target)
            .reduce((m, p) => m + p.flat.mass, 0)
        : NaN;
    };
    expect(weighed('bar', 0.5)).toBeCloseTo(0.5, 12);
    expect(weighed('joint-upper', 0.05)).toBeCloseTo(0.05, 12);
    expect(weighed('foot', 0.02)).toBeCloseTo(0.06, 12);
  });
  it('gives no NaN anywhere for a rig without load, pivot or parts', () => {
    const empty = { ...plainRig, pivots: [], bodies: [{ ...plainRig.bodies[0]! }] };
    for (const rig of [plainRig, { ...plainRig, pivots: [] }, empty]) {
      const made = workpiece({ design: { kind: 'free', rig } }, null, kit);
      if (!made.ok) return fail(made.reason);
      const found = judged(made.work, {}, wants);
      expect(JSON.stringify(found.evaluation)).not.toMatch(/NaN|Infinity/);
      expect(
        found.findings.every((f) => !/NaN|Infinity|undefined/.test(render(f.title, METRIC) + render(f.why, METRIC))),
      ).toBeTrue();
    }
  });
});

/** Any run of a maker's changes on any family: the rig stays sound, nothing is NaN, freed or kept as edits it is the same, and the file brings it back. */
import * as fc from 'fast-check';
import { METRIC, quaternionAbout, render, unit, type Vec3 } from '../0-base';
import { analyse } from './analyse';
import { parseRigFile, rigFileOf } from '../contract';
import { judged, workpiece } from './derive';
import { designRig, FAMILIES, familyById, freed, withEdit } from '../2-frame';
import { rig as rigSchema, type Design, type Edit, type Rig, type RigDocument } from '../model';
import { startRig } from './startRig';
import { holds } from '../testing/holds';
import { THREE_LOADS } from '../testing/loads';
import { wants } from '../testing/rigs';
import { BARS } from '../2-frame/parts/bars';

const small = fc.double({ min: -0.06, max: 0.06, noNaN: true });
const way: fc.Arbitrary<Vec3> = fc.tuple(small, small, small);
/** What is done, and to the how-manieth thing that it can be done to. */
const steps = fc.array(
  fc.record({
    what: fc.constantFrom('move', 'turn', 'remove', 'weigh', 'restock', 'short', 'moveNode', 'comfort', 'screw'),
    which: fc.nat(200),
    by: way,
    turn: fc.double({ min: -1.5, max: 1.5, noNaN: true }),
    size: fc.double({ min: 0, max: 1, noNaN: true }),
  }),
  { minLength: 1, maxLength: 6 },
);
type Step = typeof steps extends fc.Arbitrary<readonly (infer S)[]> ? S : never;

function editOf(rig: Rig, { what, which, by, turn, size }: Step, id: string): Edit | null {
  const { bodies } = rig;
  const pick = <T>(list: readonly T[]): T | undefined => list[which % Math.max(1, list.length)];
  const parts = bodies.flatMap((b) => b.parts);
  const members = bodies.flatMap((b) => b.members);
  const [part, member, node, contact] = [
    pick(parts),
    pick(members),
    pick(bodies.flatMap((b) => b.nodes)),
    pick(rig.contacts),
  ];
  switch (what) {
    case 'move':
      return part ? { kind: 'move', id, target: part.id, by } : null;
    case 'moveNode':
      return node ? { kind: 'move', id, target: node.id, by } : null;
    case 'turn':
      return part
        ? { kind: 'turn', id, target: part.id, turn: quaternionAbout(unit([by[0], by[1], by[2] + 1]), turn) }
        : null;
    // The rig is nothing without what carries the camera.
    case 'remove':
      return pick(parts.filter((p) => !p.mount))
        ? { kind: 'remove', id, target: pick(parts.filter((p) => !p.mount))!.id }
        : null;
    case 'weigh':
      return part ? { kind: 'weigh', id, target: part.id, mass: { value: 0.001 + size, spread: 0.001 } } : null;
    case 'restock':
      return member
        ? {
            kind: 'restock',
            id,
            target: member.id,
            stock: Object.values(BARS)[Math.floor(size * 0.999 * Object.keys(BARS).length)]!,
          }
        : null;
    case 'short':
      return member
        ? { kind: 'short', id, target: member.id, end: 0, by: { value: size * 0.004, spread: 0.0005 } }
        : null;
    case 'comfort':
      return contact ? { kind: 'comfort', id, target: contact.id, limit: 1 + 60 * size } : null;
    case 'screw':
      return part?.screw ? { kind: 'screw', id, target: part.id, length: 0.005 + 0.03 * size } : null;
  }
}

/** A started rig with the changes that could be made. */
const edited = fc
  .record({ family: fc.constantFrom(...FAMILIES.map((f) => f.id)), steps })
  .map(({ family, steps: list }) => {
    const { loadout, kit } = THREE_LOADS[1]!;
    const start = startRig(familyById(family)!, loadout, kit, wants);
    let design: Design = start.design;
    list.forEach((step, i) => {
      const made = designRig(design);
      const edit = made.ok ? editOf(made.rig, step, `e${i}`) : null;
      design = (edit && withEdit(design, edit)) ?? design;
    });
    return { family, design, values: start.values };
  });
const document = (design: Design): RigDocument => ({
  id: 'r',
  name: 'Test',
  notes: '',
  wants,
  loadout: THREE_LOADS[1]!.loadout.id,
  done: {},
  kerf: 0.0015,
  design,
});
const { loadout, kit } = THREE_LOADS[1]!;

/** Paths of what is neither a finite number nor something made of such. */
function faults(of: unknown, path = ''): readonly string[] {
  if (typeof of === 'number') return Number.isNaN(of) ? [path] : [];
  if (of === null || typeof of !== 'object' || of instanceof Map || of instanceof Set) return [];
  return Object.entries(of).flatMap(([k, v]) => faults(v, `${path}.${k}`));
}

/** As a file has it: a zero has no sign there. */
const unsigned = (of: unknown): unknown => JSON.parse(JSON.stringify(of));

describe('any run of changes', () => {
  it('leaves a sound rig with no NaN in any figure or finding', () => {
    holds(
      fc.property(edited, ({ design, values }) => {
        const made = workpiece({ design }, loadout, kit);
        if (!made.ok) throw new Error(made.reason);
        const sound = rigSchema.safeParse(made.work.rig);
        if (!sound.success) throw new Error(JSON.stringify(sound.error.issues.slice(0, 2)));
        const { evaluation, findings } = judged(made.work, values, wants);
        const wrong = [
          ...faults(evaluation, 'evaluation'),
          ...findings.flatMap((f) =>
            /NaN|undefined/.test(render(f.title, METRIC) + render(f.why, METRIC)) ? [f.code] : [],
          ),
        ];
        if (wrong.length > 0) throw new Error(wrong.slice(0, 5).join());
      }),
      { seed: 4730, numRuns: 150 },
    );
  });

  it('is the same rig freed from its family, and from its file', () => {
    holds(
      fc.property(edited, ({ design, values }) => {
        const setups = [{ id: 's', rig: 'r', loadout: loadout.id, values: { ...values } }];
        const file = rigFileOf(document(design), { kit: [...kit.values()], loadouts: [loadout], setups });
        const back = parseRigFile(JSON.stringify(file));
        if (!back.ok) throw new Error(JSON.stringify(back.faults.slice(0, 3)));
        expect(unsigned(back.value)).toEqual(unsigned(file));
        const told = analyse(back.value, null);
        const plain = analyse({ ...back.value, rig: document(freed(design)!) }, null);
        if (!told.ok || !plain.ok) throw new Error('not analysed');
        // What a family advises is gone with it.
        expect(unsigned({ ...plain.result, findings: [] })).toEqual(unsigned({ ...told.result, findings: [] }));
      }),
      { seed: 4731, numRuns: 60 },
    );
  });

  it('keeps pairs pairs: what has a twin stands as its mirror image', () => {
    holds(
      fc.property(edited, ({ design }) => {
        const made = designRig(design);
        if (!made.ok) throw new Error(made.reason);
        // A pipe across the middle that is short at one end shifts that side alone.
        if (design.kind === 'family' && design.edits.some((e) => e.kind === 'short')) return;
        for (const { parts, nodes } of made.rig.bodies) {
          const places = new Map([...parts, ...nodes].map((e) => [e.id, e.at]));
          for (const one of [...parts, ...nodes]) {
            const there = one.twin ? places.get(one.twin) : undefined;
            if (!there) continue;
            const off = Math.hypot(there[0] - one.at[0], there[1] + one.at[1], there[2] - one.at[2]);
            if (off > 1e-9) throw new Error(`${one.id} and ${one.twin} are ${off} m off their mirror`);
          }
        }
      }),
      { seed: 4732, numRuns: 150 },
    );
  });
});

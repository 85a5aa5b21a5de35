/** What comes in from files, forms and the wire: what cannot be is refused, by the place of the fault and in words. */
import { bentBar, camera, loadout, plainRig, usual, wants } from '../testing/rigs';
import {
  binItem,
  design,
  edit,
  hands,
  kitItem,
  loadout as loadoutSchema,
  logEntry,
  rig,
  rigDocument,
  setup,
  wants as wantsSchema,
} from '.';

interface Schema {
  safeParse(value: unknown): {
    readonly success: boolean;
    readonly error?: {
      readonly issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[];
    };
  };
}
/** Where the first fault is; null when it is taken. */
const faultAt = (schema: Schema, value: unknown): string | null => {
  const { success, error } = schema.safeParse(value);
  return success ? null : error!.issues[0]!.path.map(String).join('.');
};
const document = {
  id: 'r1',
  name: 'Plain',
  notes: '',
  design: { kind: 'free' as const, rig: plainRig },
  wants,
  loadout: 'ebb',
  done: {},
  kerf: 0.002,
};
const entry = {
  id: 'e1',
  rig: 'r1',
  loadout: null,
  when: '2026-02-03T10:00:00Z',
  values: {},
  expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
  seen: { dropTimes: [1.9] },
  notes: '',
};

describe('the model', () => {
  it('takes what the product makes itself', () => {
    expect(faultAt(rig, plainRig)).toBeNull();
    expect(faultAt(rig, bentBar.build(usual))).toBeNull();
    expect(faultAt(rigDocument, document)).toBeNull();
    expect(faultAt(kitItem, camera)).toBeNull();
    expect(faultAt(loadoutSchema, loadout)).toBeNull();
    expect(faultAt(logEntry, entry)).toBeNull();
    expect(faultAt(setup, { id: 's', rig: 'r1', loadout: 'ebb', values: { slide: 0.01 } })).toBeNull();
    expect(faultAt(binItem, { id: 'b', name: 'washers', count: 3, lengths: [0.4] })).toBeNull();
  });
  it('knows no figure that is none: not a number, without end, or as words', () => {
    for (const value of [NaN, Infinity, -Infinity, '0.1', null]) {
      expect(faultAt(wantsSchema, { ...wants, massAtMost: value }))
        .withContext(String(value))
        .toBe('massAtMost');
      expect(faultAt(setup, { id: 's', rig: 'r', loadout: 'l', values: { slide: value } }))
        .withContext(String(value))
        .toBe('values.slide');
      expect(faultAt(edit, { kind: 'move', id: 'e', target: 'bar', by: [0, value, 0] }))
        .withContext(String(value))
        .toBe('by.1');
    }
  });
  it('knows no mass, size or time of nothing or less where there must be one', () => {
    for (const value of [0, -1]) {
      expect(faultAt(kitItem, { ...camera, mass: { value } }))
        .withContext(String(value))
        .toContain('mass');
      expect(faultAt(edit, { kind: 'comfort', id: 'e', target: 'c', limit: value }))
        .withContext(String(value))
        .toBe('limit');
      expect(faultAt(logEntry, { ...entry, seen: { dropTimes: [1.9, value] } }))
        .withContext(String(value))
        .toBe('seen.dropTimes.1');
      expect(faultAt(hands, { breadth: value, armClose: 0.2, armOut: 0.5, wristStrength: 8, leftHanded: false }))
        .withContext(String(value))
        .toBe('breadth');
    }
  });
  it('wants a window of the drop to run from the shorter to the longer', () => {
    expect(faultAt(wantsSchema, { ...wants, dropTime: [2.4, 1.8] })).toBe('dropTime');
    expect(wantsSchema.safeParse({ ...wants, dropTime: [2.4, 1.8] }).error!.issues[0]!.message).toBe(
      'must run from the shorter to the longer',
    );
    expect(faultAt(wantsSchema, { ...wants, dropTime: [2, 2] })).toBeNull();
  });
  it('wants a tube to have a hole or none, never a wall thicker than itself', () => {
    const tube = (wall: number): unknown => ({
      kind: 'restock',
      id: 'e',
      target: 'm',
      stock: { name: 'tube', material: 'copper', section: { kind: 'tube', outerDiameter: 0.02, wall }, sold: [] },
    });
    expect(faultAt(edit, tube(0.01))).toBeNull();
    expect(faultAt(edit, tube(0.0101))).toBe('stock.section.wall');
    const square = (wall: number): unknown => ({
      kind: 'restock',
      id: 'e',
      target: 'm',
      stock: { name: 'box', material: 'steel', section: { kind: 'square', width: 0.03, height: 0.02, wall }, sold: [] },
    });
    expect(faultAt(edit, square(0.009))).toBeNull();
    expect(faultAt(edit, square(0.01))).toBe('stock.section.wall');
  });
  it('takes nothing it does not know: a misspelt field is a fault, not a loss', () => {
    expect(faultAt(rigDocument, { ...document, nots: 'x' })).toBe('');
    expect(faultAt(edit, { kind: 'weigh', id: 'e', target: 'bar', mass: { value: 1, spred: 0.1 } })).toBe('mass');
    expect(faultAt(edit, { kind: 'paint', id: 'e', target: 'bar' })).toBe('kind');
    expect(faultAt(design, { kind: 'family', family: 'x', dimensions: { tail: 0.1 }, choices: {}, edits: [] })).toBe(
      'dimensions.tail',
    );
  });
  it('holds lists and words within bounds', () => {
    expect(faultAt(logEntry, { ...entry, seen: { dropTimes: Array.from({ length: 21 }, () => 1) } })).toBe(
      'seen.dropTimes',
    );
    expect(faultAt(rigDocument, { ...document, name: 'x'.repeat(10_000) })).toBe('name');
    const [hand, rod] = plainRig.bodies;
    expect(
      faultAt(rig, {
        ...plainRig,
        bodies: [hand, { ...rod, nodes: Array.from({ length: 401 }, (_, i) => ({ id: `n${i}`, at: [0, 0, i] })) }],
      }),
    ).toBe('bodies.1.nodes');
    expect(faultAt(edit, { kind: 'addStation', id: 'e', body: 'rod', station: rod!.stations[0], countMost: 1e6 })).toBe(
      'countMost',
    );
  });
  it('keeps what was typed beside what it means', () => {
    const typed = design.parse({
      kind: 'family',
      family: 'gimballed-bent-bar',
      dimensions: { tail: { value: 0.0508, typed: '2 in' } },
      choices: {},
      edits: [],
    });
    expect(typed.kind === 'family' && typed.dimensions['tail']).toEqual({ value: 0.0508, typed: '2 in' });
  });
});

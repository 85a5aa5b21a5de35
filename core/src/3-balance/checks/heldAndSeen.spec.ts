import { BALANCE_CHECKS } from '.';
import { evaluate, judge } from '..';
import { METRIC, render, STANDARD_GRAVITY, type Finding } from '../../0-base';
import { placeLoad } from '../../1-load';
import { applyEdits, assemble, designRig, familyById, type AdjusterValues, type Assembly } from '../../2-frame';
import { BORROWED } from '../../2-frame/parts/borrowed';
import type { Rig } from '../../model';
import { startRig } from '../../9-design/startRig';
import { THREE_LOADS } from '../../testing/loads';
import { balanceContext, wants } from '../../testing/rigs';
import { orderOfGrips } from '../borne/held/checks/gripOrder';

function started(
  family: string,
  load: number,
  sizes: Record<string, number> = {},
  choices: Record<string, string> = {},
): { readonly rig: Rig; readonly assembly: Assembly; readonly values: AdjusterValues } {
  const { loadout, kit } = THREE_LOADS[load]!;
  const start = startRig(familyById(family)!, loadout, kit, wants);
  if (start.design.kind !== 'family') throw new Error('a family was asked for');
  const { design } = start;
  const made = designRig({
    ...design,
    dimensions: {
      ...design.dimensions,
      ...Object.fromEntries(Object.entries(sizes).map(([id, value]) => [id, { value }])),
    },
    choices: { ...design.choices, ...choices },
  });
  if (!made.ok) throw new Error(made.reason);
  return { rig: made.rig, assembly: assemble(made.rig, placeLoad(loadout, kit)), values: start.values };
}
const told = (assembly: Assembly, values: AdjusterValues, code: string): Finding | undefined =>
  BALANCE_CHECKS.flatMap((c) => c.look(balanceContext(assembly, values))).find((f) => f.code === code);

describe('the order of grips on a long take', () => {
  it('is worked out from what each pose tires, the take’s own pose first', () => {
    const { assembly, values } = started('shoulder-rig', 2);
    const { held } = evaluate(assembly, values);
    const order = orderOfGrips(held);
    expect(order[0]!.pose.id).toBe('eye-level');
    expect(new Set(order).size).toBe(order.length);
    const found = told(assembly, values, 'gripOrder');
    if (order.length >= 3) expect(render(found!.title, METRIC)).toContain(order[1]!.pose.name);
    else expect(found).toBeUndefined();
  });
  it('prefers a pose that rests what was last at work, and leaves out what cannot be held', () => {
    const pose = (id: string, tires: 'wrist' | 'shoulder' | 'pad', share: number, falls = false) => ({
      pose: { id, name: id, contacts: [] },
      hands: [],
      shoulder: null,
      bears: [],
      tires,
      holds: share >= 1 ? { kind: 'tooMuch' as const, share } : { kind: 'anHour' as const, share },
      falls: falls ? { noseDown: 1, leftSideDown: 0 } : null,
    });
    const order = orderOfGrips([
      pose('a', 'wrist', 0.1),
      pose('b', 'wrist', 0.05),
      pose('c', 'shoulder', 0.12),
      pose('d', 'pad', 0.01, true),
      pose('e', 'pad', 2),
    ]);
    expect(order.map((p) => p.pose.id)).toEqual(['a', 'c', 'b']);
  });
});

describe('padding on a pole’s stops', () => {
  it('is asked for where the pole falls on them, and the offered thickness is enough', () => {
    const heavy = (padding: number) => started('helmet-pole', 1, { padding, hingeAbove: 0 });
    const { assembly, values } = heavy(0);
    const thin = { ...values, 'tail-count': 0 };
    const found = told(assembly, thin, 'stopPadding')!;
    expect(found.severity).toBe('mend');
    const [change] = found.fixes[0]!.changes;
    if (change?.kind !== 'padding') return fail('padding was expected');
    // By the element, so that a rig of no family is mended too.
    const { rig, unapplied } = applyEdits(assembly.rig, [
      { kind: 'padding', id: 'p', target: change.id, thickness: change.thickness },
    ]);
    expect(unapplied).toEqual([]);
    const padded = { ...assembly, rig };
    expect(told(padded, thin, 'stopPadding')).toBeUndefined();
  });
});

describe('the eye at a finder on the rail', () => {
  it('is reckoned on the shoulder, in the hand and behind the tripod, in words with figures', () => {
    const { assembly, values } = started('sliding-top-handle', 2, {}, { finder: 'monitor' });
    const found = told(assembly, values, 'eyeAtFinder')!;
    expect(render(found.why, METRIC)).toMatch(/on the shoulder \d+ mm, held \(.*\) \d+ mm, behind the tripod \d+ mm/);
  });
  it('is not asked of a rig without one', () => {
    const { assembly, values } = started('sliding-top-handle', 2);
    expect(told(assembly, values, 'eyeAtFinder')).toBeUndefined();
  });
});

describe('a borrowed shoulder piece on a rig that hangs', () => {
  it('is judged as worn in its own pose, and the rig still as it hangs', () => {
    const { rig, values } = started('tube-frame', 1);
    const body = rig.pivots.find((p) => p.kind === 'universal')!.carries;
    const piece = BORROWED.find((p) => p.id === 'shoulder-piece')!.make(
      'shoulder-piece-1',
      body,
      [-0.05, 0, -0.1],
      rig,
    );
    const edits = piece.parts.map((part, i) => ({
      kind: 'add' as const,
      id: `e${i}`,
      body,
      part,
      ...(i === 0 ? { hold: { contact: piece.contact, pose: piece.pose } } : {}),
    }));
    const { rig: with_, unapplied } = applyEdits(rig, edits);
    expect(unapplied).toEqual([]);
    const { loadout, kit } = THREE_LOADS[1]!;
    const assembly = assemble(with_, placeLoad(loadout, kit));
    const { hung, held } = evaluate(assembly, values);
    expect(hung).not.toBeNull();
    expect(held.map((p) => p.pose.id)).toEqual(['carried', piece.pose.id]);
    const [carried, worn] = held as [(typeof held)[number], (typeof held)[number]];
    expect(worn.bears.length + (worn.falls ? 1 : 0)).toBeGreaterThan(0);
    // The hand on the grip bears all of it, at the joint.
    const { mass } = evaluate(assembly, values);
    expect(carried.hands[0]!.up).toBeCloseTo(mass * STANDARD_GRAVITY, 9);
    expect(carried.shoulder!).toBeGreaterThan(mass * STANDARD_GRAVITY * 0.35);
    expect(judge(balanceContext(assembly, values)).some((f) => f.stage === 'balance')).toBeTrue();
  });
});

describe('what a maker can bear at a contact', () => {
  it('is an edit of its own, and the finding goes by it', () => {
    const { rig, values } = started('shoulder-rig', 2);
    const { rig: weak, unapplied } = applyEdits(rig, [{ kind: 'comfort', id: 'c', target: 'on-shoulder', limit: 3 }]);
    expect(unapplied).toEqual([]);
    const { loadout, kit } = THREE_LOADS[2]!;
    const found = judge(balanceContext(assemble(weak, placeLoad(loadout, kit)), values)).find(
      (f) => f.code === 'overComfort' && f.about === 'on-shoulder',
    );
    expect(found).toBeDefined();
    expect(applyEdits(rig, [{ kind: 'comfort', id: 'c', target: 'nowhere', limit: 3 }]).unapplied.length).toBe(1);
  });
});

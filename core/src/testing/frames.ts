/** Frames to try the strength of: plain ones by hand, and any by chance. */
import * as fc from 'fast-check';
import { NO_INERTIA, ZERO, type Vec3 } from '../0-base';
import { barSection, tubeSection, type FrameMember, type FrameModel } from '../4-strength';

export const steel = { stiffness: 200e9, shear: 77e9, density: 7850 };
export const round = tubeSection(0.01, 0.008);
export const flat = barSection(0.03, 0.004);

export const member = (id: string, from: string, to: string, more: Partial<FrameMember> = {}): FrameMember => ({
  id,
  from,
  to,
  section: round,
  material: steel,
  ...more,
});
export const frame = (
  nodes: Readonly<Record<string, Vec3>>,
  members: readonly FrameMember[],
  more: Partial<FrameModel> = {},
): FrameModel => ({
  theory: 'eulerBernoulli',
  nodes: new Map(Object.entries(nodes)),
  members,
  links: [],
  supports: [],
  equipment: [],
  loads: [],
  ...more,
});
export const fixed = (node: string) => ({ node, fixed: [true, true, true, true, true, true] as const });
export const load = (node: string, force: Vec3, moment: Vec3 = ZERO) => ({ node, force, moment });
export const mass = (node: string, kg: number, offset: Vec3 = ZERO) => ({
  node,
  mass: kg,
  offset,
  inertia: NO_INERTIA,
});

const place = fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: -40, max: 40 }))) as unknown as fc.Arbitrary<Vec3>;
/** Up to seven nodes some centimetres apart, joined in a chain and across, of tubes and bars, with a camera; held at its first node. */
export const anyFrame: fc.Arbitrary<FrameModel> = fc
  .record({
    places: fc.uniqueArray(place, { minLength: 3, maxLength: 7, selector: (p) => p.join() }),
    across: fc.array(fc.tuple(fc.nat(6), fc.nat(6)), { maxLength: 4 }),
    flats: fc.infiniteStream(fc.boolean()),
    theory: fc.constantFrom('eulerBernoulli' as const, 'timoshenko' as const),
    kg: fc.integer({ min: 1, max: 30 }),
    push: place,
  })
  .map(({ places, across, flats, theory, kg, push }) => {
    const names = places.map((_, i) => `n${i}`);
    const nodes = Object.fromEntries(
      names.map((n, i) => [n, places[i]!.map((x) => x * 0.02 + i * 0.0007) as unknown as Vec3]),
    );
    const joined = [
      ...names.slice(1).map((to, i) => [names[i]!, to] as const),
      ...across.flatMap(([a, b]) => (a < b - 1 && b < names.length ? [[names[a]!, names[b]!] as const] : [])),
    ];
    const members = joined.map(([from, to], i) =>
      member(`m${i}`, from, to, { section: flats.next().value ? flat : round }),
    );
    const last = names.at(-1)!;
    return frame(nodes, members, {
      theory,
      supports: [fixed('n0')],
      equipment: [mass(last, kg / 10, [0.02, 0.01, 0.05])],
      loads: [load(last, push.map((x) => x / 10) as unknown as Vec3)],
    });
  });

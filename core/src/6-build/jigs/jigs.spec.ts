import load from 'manifold-3d';
import { addScaled, dot, length, subtract, type Vec3 } from '../../0-base';
import { assemble, FAMILIES, hole, solidKit, USUAL_HANDS, type SolidKit } from '../../2-frame';
import { barPlans, holeSheets } from '../../5-stock';
import { castJig, jigsOf, type Jig } from '.';
import { patternInput } from '../patterns/patternsOf';

const rigs = FAMILIES.flatMap((family) => {
  const sized = family.size(null, USUAL_HANDS);
  return [
    sized,
    ...family.choices.flatMap((c) => c.options.map((o) => ({ ...sized, choices: { ...sized.choices, [c.id]: o.id } }))),
  ].map((input) => ({ family: family.id, rig: family.build(input) }));
});
const MM = 1000;

describe('jigs to print', () => {
  let kit: SolidKit;
  beforeAll(async () => {
    kit = solidKit(await load());
  });
  const first = FAMILIES.map((f) => {
    const rig = f.build(f.size(null, USUAL_HANDS));
    return { family: f.id, rig, jigs: jigsOf(assemble(rig, null)) };
  });

  it('are each one closed solid that lies on its bed, with a way through at every guide', () => {
    let made = 0;
    for (const { family, jigs } of first)
      for (const jig of jigs) {
        made++;
        const { volume, vertices } = castJig(kit, jig);
        expect(volume).withContext(`${family} ${jig.id}`).toBeGreaterThan(0);
        let low = Infinity;
        for (let i = 2; i < vertices.length; i += 3) low = Math.min(low, vertices[i]!);
        expect(low).toBeCloseTo(0, 4);
        const solid = meshOf(jig);
        expect(solid.decompose().length).withContext(`${family} ${jig.id}`).toBe(1);
        for (const { at, way, diameter } of jig.guides) {
          const bit = hole(kit, addScaled(at, way, -0.5), way, diameter - 0.00015, 1);
          expect(solid.intersect(bit).volume()).withContext(`${family} ${jig.id}`).toBeLessThan(1e-3);
          // And it is led: a little wider it would not pass.
          const wide = hole(kit, addScaled(at, way, -0.5), way, diameter + 0.001, 1);
          expect(solid.intersect(wide).volume()).withContext(`${family} ${jig.id}`).toBeGreaterThan(1);
        }
        kit.tidy();
      }
    expect(made).toBeGreaterThan(15);
  });

  it('a sleeve takes its tube as far as its stop, and leads each bit to where the hole is marked, at its angle', () => {
    let looked = 0;
    for (const { family, rig } of rigs) {
      const assembly = assemble(rig, null);
      const members = new Map(rig.bodies.flatMap((b) => b.members).map((m) => [m.id, m]));
      const blanks = new Map(barPlans(rig).map((b) => [b.member, b.blank]));
      for (const jig of jigsOf(assembly).filter((j) => j.id.startsWith('sleeve:'))) {
        const member = members.get(jig.about)!;
        const [bore] = jig.cuts;
        if (!bore || 'shape' in bore) return fail('no bore');
        const stop = bore.at[2] - bore.depth;
        for (const g of jig.guides) {
          looked++;
          const h = member.holes.find((o) => o.id === g.hole)!;
          const from = jig.id.endsWith(':start') ? h.along : blanks.get(member.id)! - h.along;
          expect(g.at[2] - stop)
            .withContext(`${family} ${jig.id}`)
            .toBeCloseTo(from, 9);
          expect(g.at[2]).toBeLessThan(jig.size[2]);
        }
        const [one, ...others] = jig.guides;
        const drawn = (id: string): number => member.holes.find((o) => o.id === id)!.turn ?? 0;
        for (const g of others) expect(dot(one!.way, g.way)).toBeCloseTo(Math.cos(drawn(g.hole) - drawn(one!.hole)), 9);
      }
    }
    expect(looked).toBeGreaterThan(50);
  });

  it('a lid laid on its plate has each guide over its hole, as far from each other and from both edges as drawn', () => {
    let looked = 0;
    for (const { family, rig } of rigs) {
      const assembly = assemble(rig, null);
      const { holeOf, shapes } = patternInput(assembly);
      const marks = new Map(holeSheets(rig).flatMap((s) => s.marks.map((m) => [m.id, { m, piece: s.piece }] as const)));
      for (const jig of jigsOf(assembly).filter((j) => j.id.startsWith('lid:'))) {
        const flat = shapes.get(jig.about)!.flats[0]!;
        const real = (id: string): Vec3 => holeOf(marks.get(id)!.m.connection, marks.get(id)!.piece)!.at;
        const inPlate = (a: Vec3, b: Vec3): number => {
          const thin = thinAxis(flat);
          const d = subtract(b, a);
          return Math.sqrt(Math.max(0, length(d) ** 2 - dot(d, thin) ** 2));
        };
        jig.guides.forEach((g, i) =>
          jig.guides.slice(i + 1).forEach((o) => {
            looked++;
            expect(length(subtract(g.at, o.at)))
              .withContext(`${family} ${jig.id}`)
              .toBeCloseTo(inPlate(real(g.hole), real(o.hole)), 9);
          }),
        );
        // Not mirrored: looked at through the plate, three holes go round the same way as on its drilled face.
        const [a, b, c] = jig.guides;
        if (a && b && c) {
          const turn = (p: Vec3, q: Vec3, r: Vec3, up: Vec3): number => {
            const [x, y] = [subtract(q, p), subtract(r, p)];
            return dot([x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]], up);
          };
          const there = turn(real(a.hole), real(b.hole), real(c.hole), thinAxis(flat));
          // Lid up is the plate’s drilled face down.
          expect(Math.sign(turn(a.at, b.at, c.at, [0, 0, -1]))).toBe(Math.sign(there) || 0);
        }
      }
    }
    expect(looked).toBeGreaterThan(100);
  });

  it('a corner holds pipes of its size at its angle, and its fitting lies free', () => {
    let looked = 0;
    for (const { jigs } of first)
      for (const jig of jigs.filter((j) => j.id.startsWith('corner:'))) {
        looked++;
        const solid = meshOf(jig);
        const channels = jig.cuts.flatMap((c) => ('shape' in c || c.way[2] !== 0 ? [] : [c]));
        expect(channels.length).toBe(2);
        for (const c of channels) {
          const pipe = hole(kit, addScaled(c.at, c.way, -c.depth), c.way, c.diameter - 0.0004, 2 * c.depth);
          expect(solid.intersect(pipe).volume()).toBeLessThan(1e-3);
          // Half of it is held: pressed down a hair it meets the channel.
          const down = pipe.translate([0, 0, -0.4]);
          expect(solid.intersect(down).volume()).toBeGreaterThan(1);
        }
        const angle = Number(jig.id.split(/[:-]/)[1]) / 1e4;
        expect(dot(channels[0]!.way, channels[1]!.way)).toBeCloseTo(Math.cos(angle), 3);
        kit.tidy();
      }
    expect(looked).toBeGreaterThan(2);
  });

  /** As it is cast, as a mesh to look into. */
  function meshOf(jig: Jig) {
    const { vertices, triangles } = castJig(kit, jig);
    const solid = new kit.Manifold({ numProp: 3, vertProperties: vertices, triVerts: triangles } as never);
    expect(solid.volume() / MM ** 3).toBeGreaterThan(0);
    return solid;
  }
});

function thinAxis(flat: { readonly shape: unknown; readonly rotation: readonly (readonly number[])[] }): Vec3 {
  const { size } = flat.shape as { readonly size: Vec3 };
  const k = size.indexOf(Math.min(...size));
  return flat.rotation.map((row) => row[k]!) as unknown as Vec3;
}

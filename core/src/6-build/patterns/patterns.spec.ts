import fc from 'fast-check';
import { cross, dot, length, METRIC, render, scale, subtract, transform, unit, type Vec3 } from '../../0-base';
import { placeLoad } from '../../1-load';
import {
  assemble,
  bentStrip,
  connectionsOf,
  designRig,
  FAMILIES,
  pieceShapes,
  placesOf,
  printedParts,
  type Assembly,
  type Point2,
} from '../../2-frame';
import { barPlans, holeSheets } from '../../5-stock';
import { kit, loadout } from '../../testing/rigs';
import { layPages, onSheet, OVERLAP, type Fragment } from './pages';
import { PAPERS, roomOn, USUAL_PRINTER } from './paper';
import { boxOf, type Ink, type Pattern } from './pattern';
import { PAPER, patternsOf } from './patternsOf';

const load = placeLoad(loadout, kit);
function assemblyOf(family: string, choices: Readonly<Record<string, string>> = {}): Assembly {
  const made = designRig({ kind: 'family', family, dimensions: {}, choices, edits: [] });
  if (!made.ok) throw new Error(made.reason);
  return assemble(made.rig, load);
}
/** As a family comes, and with each choice made otherwise. */
const walk = FAMILIES.flatMap(({ id, choices }) => [
  { id, name: id, choices: {} },
  ...choices.flatMap((c) =>
    c.options
      .filter((o) => o.id !== c.usual)
      .map((o) => ({ id, name: `${id}, ${c.id} ${o.id}`, choices: { [c.id]: o.id } })),
  ),
]);
const paths = (p: Pattern, stroke: string): readonly Extract<Ink, { kind: 'path' }>[] =>
  p.ink.flatMap((i) => (i.kind === 'path' && i.stroke === stroke ? [i] : []));

describe('patterns', () => {
  it('show every hole that a hand drills, in every family and choice, on exactly one sheet', () => {
    for (const { id, name, choices } of walk) {
      const assembly = assemblyOf(id, choices);
      const { rig } = assembly;
      const printed = new Set(printedParts(rig).map((p) => p.id));
      const wanted = [
        ...barPlans(rig).flatMap((b) => b.marks.filter((m) => m.kind === 'hole').map((m) => m.id)),
        ...holeSheets(rig)
          .filter((s) => !printed.has(s.piece))
          .flatMap((s) => s.marks.map((m) => m.id)),
      ];
      const shown = patternsOf(assembly).flatMap((p) => [...new Set(p.holes.map((h) => h.id))]);
      expect([...shown].sort())
        .withContext(name)
        .toEqual([...wanted].sort());
    }
  });

  it('have no figure that is not one, and each its own id', () => {
    for (const { id, name, choices } of walk) {
      const patterns = patternsOf(assemblyOf(id, choices));
      expect(new Set(patterns.map((p) => p.id)).size)
        .withContext(name)
        .toBe(patterns.length);
      for (const p of patterns) {
        const { min, max } = boxOf(p.ink);
        for (const v of [...min, ...max]) expect(Number.isFinite(v)).withContext(`${name} ${p.id}`).toBeTrue();
        const words = [p.title, ...p.says, ...p.holes.map((h) => h.says)].map((w) => render(w, METRIC)).join(' ');
        expect(words)
          .withContext(name)
          .not.toMatch(/NaN|undefined|not known/);
      }
    }
  });
});

describe('a sheet wound round a tube', () => {
  it('brings each of its rounds to where the connection’s axis comes through the wall', () => {
    let seen = 0;
    for (const { id, choices } of walk) {
      const assembly = assemblyOf(id, choices);
      const shapes = pieceShapes(
        assembly,
        {},
        connectionsOf(assembly.rig, () => 0),
      );
      const holes = connectionsOf(assembly.rig, () => 0).flatMap((c) =>
        c.holes.map((h) => ({ ...h, id: `${h.piece}/hole/${c.id}` })),
      );
      for (const p of patternsOf(assembly).filter((q) => q.id.startsWith('wrap:'))) {
        const tube = shapes.find((s) => s.id === p.about)!.flats.find((f) => f.shape.kind === 'tube');
        if (tube?.shape.kind !== 'tube') continue;
        const run = transform(tube.rotation, [0, 0, 1]);
        const ofHoles = p.holes.flatMap((h) => holes.filter((x) => x.id === h.id).map((x) => ({ ...x, on: h.at })));
        const [first] = ofHoles;
        if (!first) continue;
        const wound = tube.shape.outerRadius + PAPER / 2;
        // Rounds of one hole lie half a turn apart, and two holes as far round and along as their axes are.
        for (const h of ofHoles) {
          const turned = (h.on[1] - first.on[1]) / wound;
          const apart = Math.atan2(
            dot(cross(unit(first.axis), unit(h.axis)), run),
            dot(unit(first.axis), unit(h.axis)),
          );
          // Up the page is against the turn as seen along the run, if the sheet's right lies along it.
          const along = dot(subtract(h.at, first.at), run);
          const sense = Math.abs(h.on[0] - first.on[0]) < 1e-9 ? 1 : Math.sign(along / (h.on[0] - first.on[0]));
          expect(Math.abs(along)).toBeCloseTo(Math.abs(h.on[0] - first.on[0]), 6);
          expect(Math.sin(turned + sense * apart))
            .withContext(`${id} ${p.id}`)
            .toBeCloseTo(0, 6);
          seen++;
        }
      }
    }
    expect(seen).toBeGreaterThan(50);
  });

  it('or folded round a square one has its holes in the middles of two opposite faces, and meets at a corner', () => {
    const assembly = assemblyOf('three-axis-frame', { tube: 'square-alu-20x1.5' });
    const wraps = patternsOf(assembly).filter((q) => q.id.startsWith('wrap:'));
    expect(wraps.length).toBe(5);
    for (const p of wraps) {
      const [outline] = paths(p, 'line');
      const { min, max } = boxOf([outline!]);
      expect(max[1] - min[1]).toBeCloseTo(4 * 0.02 + Math.PI * PAPER, 9);
      for (const h of p.holes) {
        // Over the middle of a face: an odd eighth of the way round.
        const part = ((h.at[1] - min[1]) / (max[1] - min[1])) * 8;
        expect(part).toBeCloseTo(Math.round(part), 6);
        expect(Math.round(part) % 2).toBe(1);
        const other = p.holes.find((o) => o.id === h.id && o !== h)!;
        expect(Math.abs(other.at[1] - h.at[1])).toBeCloseTo((max[1] - min[1]) / 2, 9);
      }
    }
  });

  it('is as wide as the tube is round, in the middle of the paper; its seam clear of holes', () => {
    for (const p of patternsOf(assemblyOf('tube-frame')).filter((q) => q.id.startsWith('wrap:'))) {
      const { min, max } = boxOf(paths(p, 'line').slice(0, 1));
      const member = assemblyOf('tube-frame')
        .rig.bodies.flatMap((b) => b.members)
        .find((m) => m.id === p.about)!;
      const { section } = member.stock;
      const radius = section.kind === 'tube' ? section.outerDiameter / 2 : 0;
      expect(max[1] - min[1]).toBeCloseTo(2 * Math.PI * (radius + PAPER / 2), 9);
      for (const h of p.holes) {
        expect(h.at[1] - min[1]).toBeGreaterThan(h.diameter / 2);
        expect(max[1] - h.at[1]).toBeGreaterThan(h.diameter / 2);
      }
    }
  });

  it('has a mitre’s curve in the mitre’s plane all round', () => {
    const assembly = assemblyOf('three-axis-frame');
    const shapes = pieceShapes(
      assembly,
      {},
      connectionsOf(assembly.rig, () => 0),
    );
    let seen = 0;
    for (const p of patternsOf(assembly).filter((q) => q.id.startsWith('wrap:'))) {
      const shape = shapes.find((s) => s.id === p.about)!;
      const tube = shape.flats.find((f) => f.shape.kind === 'tube')!;
      if (tube.shape.kind !== 'tube') continue;
      const { outerRadius, length: long } = tube.shape;
      const curves = paths(p, 'cut').filter((c) => !c.closed);
      expect(curves.length).toBe(shape.mitres.length);
      curves.forEach(({ points }, i) => {
        // A cosine: its swing is the radius by the tangent of the lean.
        const { normal } = shape.mitres[i]!;
        const run = transform(tube.rotation, [0, 0, 1]);
        const lean = Math.acos(Math.abs(dot(unit(normal), run)));
        const along = points.map((q) => q[0]);
        expect(Math.max(...along) - Math.min(...along)).toBeCloseTo(2 * outerRadius * Math.tan(lean), 4);
        expect(Math.min(...along)).toBeGreaterThan(-1e-9);
        expect(Math.max(...along)).toBeLessThan(long + 1e-9);
        seen++;
      });
    }
    expect(seen).toBeGreaterThan(3);
  });
});

describe('the face of a plate', () => {
  it('has its holes as far from each other and from its edges as the rig has them, and is not mirrored', () => {
    for (const { id } of FAMILIES) {
      const assembly = assemblyOf(id);
      const holes = connectionsOf(assembly.rig, () => 0).flatMap((c) =>
        c.holes.map((h) => ({ ...h, id: `${h.piece}/hole/${c.id}` })),
      );
      for (const p of patternsOf(assembly).filter((q) => q.id.startsWith('face:'))) {
        // A slot is told by its middle.
        const slotted = new Set(
          assembly.rig.bodies
            .flatMap((b) => b.parts)
            .flatMap((x) => (x.holes ?? []).flatMap((h) => (h.slot && h.by ? [`${x.of ?? x.id}/hole/${h.by}`] : []))),
        );
        const placed = p.holes.flatMap((h) =>
          holes.filter((x) => x.id === h.id && !slotted.has(h.id)).map((x) => ({ on: h.at, ...x })),
        );
        placed.forEach((a, i) =>
          placed.slice(i + 1).forEach((b, j) => {
            const off = subtract(b.at, a.at);
            const across = length(subtract(off, scale(unit(a.axis), dot(off, unit(a.axis)))));
            expect(Math.hypot(b.on[0] - a.on[0], b.on[1] - a.on[1]))
              .withContext(`${id} ${p.id}`)
              .toBeCloseTo(across, 6);
            const c = placed[i + j + 2];
            if (!c) return;
            const flat = (b.on[0] - a.on[0]) * (c.on[1] - a.on[1]) - (b.on[1] - a.on[1]) * (c.on[0] - a.on[0]);
            const solid = cross(subtract(b.at, a.at), subtract(c.at, a.at));
            if (Math.abs(flat) < 1e-6) return;
            // Seen from the side that the sheet says: what goes round to the left there does so here.
            const out = outOf(p);
            expect(Math.sign(flat))
              .withContext(`${id} ${p.id}`)
              .toBe(Math.sign(dot(solid, out)));
          }),
        );
      }
    }
  });
});
/** The way its face looks, by what it says. */
const WAYS: Readonly<Record<string, Vec3>> = {
  front: [1, 0, 0],
  rear: [-1, 0, 0],
  left: [0, 1, 0],
  right: [0, -1, 0],
  upper: [0, 0, 1],
  lower: [0, 0, -1],
};
const outOf = (p: Pattern): Vec3 => WAYS[/on the (\w+) face/.exec(render(p.says[0]!, METRIC))![1]!]!;

describe('the finished curve of a bar', () => {
  it('ends where the bent bar ends, and its lines lie as far apart as the bar is thick', () => {
    for (const family of ['balance-arm', 'gimballed-bent-bar']) {
      const assembly = assemblyOf(family);
      for (const p of patternsOf(assembly).filter((q) => q.id.startsWith('curve:'))) {
        const [body] = assembly.rig.bodies.filter((b) => b.members.some((m) => m.id === p.about));
        const member = body!.members.find((m) => m.id === p.about)!;
        const strip = bentStrip(member, placesOf(body!.nodes))!;
        const thick = member.stock.section.kind === 'flat' ? member.stock.section.thickness : 0;
        const [ring] = paths(p, 'line');
        const n = ring!.points.length;
        const apart = (a: Point2, b: Point2): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
        expect(apart(ring!.points[0]!, ring!.points[n - 1]!)).toBeCloseTo(thick, 9);
        expect(apart(ring!.points[n / 2 - 1]!, ring!.points[n / 2]!)).toBeCloseTo(thick, 9);
        const middle = (a: Point2, b: Point2): Point2 => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
        const [start, end] = [
          middle(ring!.points[0]!, ring!.points[n - 1]!),
          middle(ring!.points[n / 2 - 1]!, ring!.points[n / 2]!),
        ];
        expect(apart(start, end)).toBeCloseTo(length(subtract(strip.end.at, strip.turningPoints[0]!)), 9);
      }
    }
  });
});

describe('sheets', () => {
  const sides = (f: Fragment): readonly [Point2, Point2] => {
    const [a, b] = [onSheet(f, f.box.min), onSheet(f, f.box.max)];
    return [
      [Math.min(a[0], b[0]), Math.min(a[1], b[1])],
      [Math.max(a[0], b[0]), Math.max(a[1], b[1])],
    ];
  };

  it('hold every pattern whole, once, inside the margins, and nothing over anything else', () => {
    for (const { id } of FAMILIES)
      for (const paper of PAPERS) {
        const printer = { ...USUAL_PRINTER, paper: paper.id, margin: 0.012 };
        const pages = layPages(patternsOf(assemblyOf(id)), printer);
        if (pages.kind !== 'laid') throw new Error('no room');
        const room = roomOn(printer);
        if (room.kind !== 'room') throw new Error('no room');
        for (const { box, fragments, pattern } of pages.patterns) {
          const area = fragments.reduce(
            (sum, { own }) => sum + (own.max[0] - own.min[0]) * (own.max[1] - own.min[1]),
            0,
          );
          expect(area)
            .withContext(`${id} ${pattern.id}`)
            .toBeCloseTo((box.max[0] - box.min[0]) * (box.max[1] - box.min[1]), 9);
        }
        const all = pages.patterns.flatMap((p) => p.fragments);
        all.forEach((f, i) => {
          const [min, max] = sides(f);
          expect(min[0]).toBeGreaterThanOrEqual(room.at[0] - 1e-9);
          expect(min[1]).toBeGreaterThanOrEqual(room.at[1] - 1e-9);
          expect(max[0]).toBeLessThanOrEqual(paper.width - 0.012 + 1e-9);
          expect(max[1]).toBeLessThanOrEqual(paper.height - 0.012 + 1e-9);
          for (const other of all.slice(i + 1)) {
            if (other.sheet !== f.sheet) continue;
            const [low, high] = sides(other);
            const apart = low[0] >= max[0] || high[0] <= min[0] || low[1] >= max[1] || high[1] <= min[1];
            expect(apart).withContext(`${id} ${f.label} ${other.label}`).toBeTrue();
          }
        });
      }
  });

  it('join at seams that both of two neighbours print, and that no hole of a family as it comes lies on', () => {
    for (const { id } of FAMILIES) {
      const pages = layPages(patternsOf(assemblyOf(id)), USUAL_PRINTER);
      if (pages.kind !== 'laid') throw new Error('no room');
      for (const { pattern, seams, fragments } of pages.patterns) {
        for (const k of [0, 1] as const)
          for (const at of seams[k]) {
            for (const h of pattern.holes)
              expect(Math.abs(h.at[k] - at))
                .withContext(`${id} ${pattern.id}`)
                .toBeGreaterThan(h.diameter / 2);
            expect(
              fragments
                .filter((f) => f.own.max[k] === at)
                .every((f) => Math.abs(f.box.max[k] - at - OVERLAP / 2) < 1e-12),
            ).toBeTrue();
            expect(
              fragments
                .filter((f) => f.own.min[k] === at)
                .every((f) => Math.abs(at - f.box.min[k] - OVERLAP / 2) < 1e-12),
            ).toBeTrue();
          }
      }
    }
  });

  it('keep places true when they are turned', () => {
    const pages = layPages(patternsOf(assemblyOf('gimballed-bent-bar')), USUAL_PRINTER);
    if (pages.kind !== 'laid') throw new Error('no room');
    const fragments = pages.patterns.flatMap((p) => p.fragments);
    expect(fragments.some((f) => f.turned)).toBeTrue();
    const place = fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -1, max: 1, noNaN: true }));
    for (const f of fragments)
      fc.assert(
        fc.property(place, place, place, (a, b, c) => {
          const [p, q, r] = [a, b, c].map((x) => onSheet(f, x)) as [Point2, Point2, Point2];
          const area = (x: Point2, y: Point2, z: Point2): number =>
            (y[0] - x[0]) * (z[1] - x[1]) - (y[1] - x[1]) * (z[0] - x[0]);
          expect(Math.hypot(q[0] - p[0], q[1] - p[1])).toBeCloseTo(Math.hypot(b[0] - a[0], b[1] - a[1]), 12);
          expect(area(p, q, r)).toBeCloseTo(area(a, b, c), 12);
        }),
        { numRuns: 5 },
      );
  });

  it('leave out what is not wanted, and the others keep their numbers', () => {
    const patterns = patternsOf(assemblyOf('pipe-post'));
    const pages = layPages(patterns, USUAL_PRINTER, [patterns[0]!.id]);
    if (pages.kind !== 'laid') throw new Error('no room');
    expect(pages.patterns.map((p) => p.number)).toEqual(patterns.map((_, i) => i + 1));
    expect(pages.patterns[0]!.fragments).toEqual([]);
    expect(pages.patterns[1]!.fragments.length).toBe(1);
  });

  it('say why there is no room: margins too wide, or a bar that no printer makes', () => {
    const patterns = patternsOf(assemblyOf('pipe-post'));
    const words = (pages: ReturnType<typeof layPages>): string =>
      pages.kind === 'noRoom' ? render(pages.why, METRIC) : '';
    expect(words(layPages(patterns, { ...USUAL_PRINTER, margin: 0.05 }))).toMatch(
      /Margins of 50 mm leave no room on A4/,
    );
    expect(words(layPages(patterns, { ...USUAL_PRINTER, measured: [0.05, 0.1] }))).toMatch(
      /measures 50 mm.*measure it again/,
    );
    expect(words(layPages(patterns, { ...USUAL_PRINTER, measured: [NaN, 0.1] }))).not.toBe('');
  });

  it('have less room where the printer shrinks them, more where it stretches', () => {
    const room = (measured: readonly [number, number]): number => {
      const r = roomOn({ ...USUAL_PRINTER, measured });
      return r.kind === 'room' ? r.width : 0;
    };
    expect(room([0.097, 0.1])).toBeCloseTo(0.97 * 0.19 - 0.008, 9);
    expect(room([0.103, 0.1])).toBeGreaterThan(room([0.1, 0.1]));
  });
});

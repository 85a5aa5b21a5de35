import * as fc from 'fast-check';
import { METRIC, render } from '../0-base';
import { assemble, designRig, FAMILIES, familyById, FRAME_CHECKS } from '../2-frame';
import { familyInput } from '../2-frame/family';
import { holds } from '../testing/holds';
import type { Member } from '../model';
import { bentBar, frameContext, plainRig, usual } from '../testing/rigs';
import { barPlans, barsAtLeast, holeSheets, nest, stockPlan, type NestProblem } from '.';

const problem = fc.record({
  barLength: fc.constantFrom(1, 1.5, 2),
  kerf: fc.constantFrom(0, 0.002, 0.003),
  pieces: fc.array(
    fc.record({
      length: fc.integer({ min: 80, max: 990 }).map((mm) => mm / 1000),
      count: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 1, maxLength: 4 },
  ),
  leftovers: fc.array(
    fc.integer({ min: 100, max: 900 }).map((mm) => mm / 1000),
    { maxLength: 2 },
  ),
});

/** Every way to put each piece in some bar: the obvious, slow least. */
function slowLeast({ barLength, kerf, pieces, leftovers = [] }: NestProblem): number {
  const all = pieces.flatMap((p) => Array.from({ length: p.count }, () => p.length)).sort((a, b) => b - a);
  let best = all.length;
  const room = leftovers.map((l) => l + kerf);
  const place = (i: number, used: number): void => {
    if (used >= best) return;
    if (i === all.length) {
      best = used;
      return;
    }
    const need = all[i]! + kerf;
    const tried = new Set<number>();
    for (let b = 0; b < room.length; b++) {
      const key = Math.round(room[b]! * 1e9);
      if (room[b]! + 1e-9 < need || tried.has(key)) continue;
      tried.add(key);
      room[b]! -= need;
      place(i + 1, used);
      room[b]! += need;
    }
    room.push(barLength + kerf - need);
    place(i + 1, used + 1);
    room.pop();
  };
  place(0, 0);
  return best;
}

describe('nesting cuts', () => {
  it('is never beaten by trying every way', () => {
    holds(
      fc.property(problem, (p) => {
        const found = nest(p);
        return found.kind === 'solved' && found.newBars.length === slowLeast(p);
      }),
      { seed: 41, numRuns: 150 },
    );
  });

  it('cuts every piece once and overruns no bar', () => {
    holds(
      fc.property(problem, (p) => {
        const found = nest(p);
        if (found.kind === 'noSolution') return false;
        const bars = [...found.leftovers, ...found.newBars];
        const fits = bars.every(
          (b) => b.pieces.reduce((s, l) => s + l, 0) + (b.pieces.length - 1) * p.kerf <= b.length + 1e-9,
        );
        const cut = bars
          .flatMap((b) => b.pieces)
          .sort()
          .join();
        return (
          fits &&
          cut ===
            p.pieces
              .flatMap((x) => Array.from({ length: x.count }, () => x.length))
              .sort()
              .join() &&
          found.newBars.length >= found.lowerBound
        );
      }),
      { seed: 42, numRuns: 150 },
    );
  });

  it('takes a piece that just ends the bar, and names one that is too long', () => {
    expect(nest({ barLength: 1, kerf: 0.004, pieces: [{ length: 0.498, count: 2 }] })).toEqual(
      jasmine.objectContaining({ kind: 'solved' }),
    );
    expect(nest({ barLength: 1, kerf: 0.004, pieces: [{ length: 1.001, count: 1 }] })).toEqual({
      kind: 'noSolution',
      tooLong: [1.001],
    });
    expect(nest({ barLength: 1, kerf: 0.004, pieces: [{ length: 1.001, count: 1 }], leftovers: [1.2] })).toEqual(
      jasmine.objectContaining({ kind: 'solved', newBars: [] }),
    );
    expect(barsAtLeast({ barLength: 1, kerf: 0, pieces: [{ length: 0.5, count: 3 }] })).toBe(2);
  });

  it('of forty mixed pieces is proven or says its gap, in bounded work', () => {
    const found = nest({
      barLength: 2,
      kerf: 0.003,
      pieces: [
        { length: 0.617, count: 9 },
        { length: 0.433, count: 11 },
        { length: 0.311, count: 10 },
        { length: 0.187, count: 10 },
      ],
    });
    if (found.kind === 'noSolution') return fail('it can be cut');
    expect(found.newBars.length - found.lowerBound).toBeLessThanOrEqual(found.kind === 'solved' ? 0 : 1);
  });
});

describe('the bent bar’s blank', () => {
  const [plan] = barPlans(bentBar.build(usual));
  it('is platform, arc along the neutral line, tail, and what is left long', () => {
    const d = usual.dimensions;
    const expected =
      d['platformLength']! + d['bendAngle']! * (d['bendInsideRadius']! + 0.5 * 0.006) + d['tail']! + d['leftLong']!;
    expect(plan!.blank).toBeCloseTo(expected, 12);
    expect(plan!.blank - plan!.finished).toBeCloseTo(0.03, 12);
  });
  it('marks bends and holes in order along it, the foot last', () => {
    const along = plan!.marks.map((m) => m.along);
    expect(along).toEqual([...along].sort((a, b) => a - b));
    expect(plan!.marks.filter((m) => m.last).map((m) => m.id)).toEqual(['bar/hole/foot-bolt', 'bar/end']);
    expect(plan!.bends[0]!.former!.radius).toBeLessThan(usual.dimensions['bendInsideRadius']!);
  });
  it('of a straight member is its length', () => {
    expect(barPlans(plainRig)[0]!.blank).toBeCloseTo(0.5, 12);
  });
});

const soldShort = (m: Member): Member => ({ ...m, stock: { ...m.stock, sold: [{ length: 0.5, price: 4 }] } });

describe('what to buy', () => {
  const rig = bentBar.build(usual);
  const plan = (bin: Parameters<typeof stockPlan>[2]) =>
    stockPlan(rig, { 'foot-count': 10, 'rear-count': 3 }, bin, 0.0015);
  const line = (bin: Parameters<typeof stockPlan>[2], item: string) => plan(bin).lines.find((l) => l.item === item)!;

  it('rounds washers to packs, with two to spare, less what the bin has', () => {
    const washers = line([], 'M10 wide washer 30 mm');
    expect([washers.needed, washers.buy, washers.packOf]).toEqual([15, 1, 20]);
    expect(
      line([{ id: 'b', name: ' m10 WIDE washer 30 mm', count: 15, lengths: [] }], 'M10 wide washer 30 mm').buy,
    ).toBe(0);
  });
  it('cuts from an offcut first when it is long enough', () => {
    expect(line([], 'aluminium flat 30 × 6').buy).toBe(1);
    expect(
      line([{ id: 'b', name: 'aluminium flat 30 × 6', count: 0, lengths: [0.95] }], 'aluminium flat 30 × 6').buy,
    ).toBe(0);
  });
  it('says that a piece comes out of no length sold, and not that it is there', () => {
    const short = { ...rig, bodies: rig.bodies.map((b) => ({ ...b, members: b.members.map(soldShort) })) };
    const item = 'aluminium flat 30 × 6';
    const lineOf = (lengths: number[]) =>
      stockPlan(short, {}, [{ id: 'b', name: item, count: 0, lengths }], 0.002).lines.find((l) => l.item === item)!;
    expect(lineOf([]).buy).toBe(0);
    expect(lineOf([]).tooLong).toBeGreaterThan(0.5);
    expect(lineOf([1.5]).tooLong).toBeUndefined();
    expect(lineOf([1.5]).inBin).toBe(1);
    const about = FRAME_CHECKS.flatMap((c) => c.look(frameContext(assemble(short, null)))).map((f) => f.code);
    expect(about).toContain('longerThanSold');
  });
  it('adds up', () => {
    const found = plan([]);
    expect(found.cost).toBeCloseTo(
      found.lines.reduce((s, l) => s + l.cost, 0),
      12,
    );
    expect(designRig({ kind: 'free', rig }).ok && FAMILIES.length).toBeGreaterThan(0);
  });
});

describe('holes in plates, blocks and angles', () => {
  it('of every family and choice lie in their piece: each at least its own radius from the edges it is told by', () => {
    for (const family of FAMILIES)
      for (const choices of family.choices.flatMap((c) => c.options.map((o) => ({ [c.id]: o.id })))) {
        const made = designRig({ kind: 'family', family: family.id, dimensions: {}, choices, edits: [] });
        if (!made.ok) return fail(made.reason);
        for (const sheet of holeSheets(made.rig))
          for (const mark of sheet.marks)
            for (const said of mark.place)
              if (typeof said !== 'string')
                expect(said.value)
                  .withContext(`${family.id} ${sheet.name}: ${render(mark.place, METRIC)}`)
                  .toBeGreaterThan(mark.diameter / 2);
      }
  });
  it('are measured from the outermost edges of a piece, flange and all, and all of those are named', () => {
    const made = designRig({ kind: 'family', family: 'three-axis-frame', dimensions: {}, choices: {}, edits: [] });
    if (!made.ok) return fail(made.reason);
    const sheet = holeSheets(made.rig).find((s) => s.name === 'left angle')!;
    expect(sheet.from).toBe('its rear, its lower and its right edge');
    expect(sheet.marks.map((m) => render(m.place, METRIC)).at(-1)).toBe(
      '30 mm from its rear edge, 9 mm from its right edge',
    );
  });
});

describe('where a hole is told to be', () => {
  const plansOf = (id: string) => barPlans(familyById(id)!.build(usualInput(id)));
  const usualInput = (id: string) => familyInput(familyById(id)!, {}, {}).input;
  const told = (id: string, member: string): readonly string[] =>
    plansOf(id)
      .find((p) => p.member === member)!
      .marks.flatMap((m) => (m.place ? [render(m.place, METRIC)] : []));
  it('off the middle of a flat bar, by its edge', () => {
    const foot = told('plate-and-pillar', 'lower-bar').filter((t) => t.includes('edge'));
    expect(foot.length).toBe(4);
    expect(foot.filter((t) => /^\d+(\.\d)? mm from the middle, towards its front edge$/.test(t)).length).toBe(2);
  });
  it('and is drawn on that side of the middle, in every family', () => {
    let off = 0;
    for (const { id } of FAMILIES)
      for (const plan of plansOf(id)) {
        expect(plan.topEdge === null).toBe(plan.marks.every((m) => Math.abs(m.across) < 0.00005));
        for (const mark of plan.marks) {
          const edge = (mark.place && /towards its (\w+) edge/.exec(render(mark.place, METRIC))?.[1]) ?? null;
          if (Math.abs(mark.across) < 0.00005) {
            expect(edge).toBeNull();
            continue;
          }
          expect(edge === plan.topEdge)
            .withContext(`${id}: ${mark.name}`)
            .toBe(mark.across > 0);
          off += 1;
          expect(Math.abs(mark.across)).toBeLessThan(plan.width / 2);
        }
      }
    expect(off).toBeGreaterThan(4);
  });
  it('round a tube, from the first: a quarter turn for what goes through it crosswise', () => {
    const rig = familyById('tube-frame')!.build(usualInput('tube-frame'));
    const holes = rig.bodies.flatMap((b) => b.members).find((m) => m.id === 'top-left')!.holes;
    expect(holes.every((h) => h.turn !== undefined && h.turn >= 0 && h.turn < Math.PI)).toBeTrue();
    const crosswise = barPlans({
      ...rig,
      bodies: rig.bodies.map((b) => ({
        ...b,
        members: b.members.map((m) =>
          m.id === 'top-left'
            ? { ...m, holes: [m.holes[0]!, { ...m.holes[1]!, turn: (m.holes[1]!.turn! + Math.PI / 2) % Math.PI }] }
            : m,
        ),
      })),
    }).find((p) => p.member === 'top-left')!;
    const words = crosswise.marks.map((m) => render(m.place!, METRIC));
    expect(words[0]).toBe('on the scribed line, straight through');
    expect(words[1]).toContain('90° clockwise round');
  });
});

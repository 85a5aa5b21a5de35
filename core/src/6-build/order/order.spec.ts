import * as fc from 'fast-check';
import { METRIC, render, type Vec3 } from '../../0-base';
import { assemble, FAMILIES, USUAL_HANDS, withHardware } from '../../2-frame';
import type { Body, Bolted, Part, Rig, StatedConnection } from '../../model';
import { pipework, type Run } from '../../2-frame/fittings/pipework';
import { pipeOf } from '../../2-frame/parts/pipes';
import { holds } from '../../testing/holds';
import { partOf, rigOf } from '../../testing/partsRig';
import { blockedWords } from './blockedWords';
import { buildOrder, type BuildOrder } from './buildOrder';
import { buildSteps } from '../buildSteps';
import type { Bond } from './partsToPart';
import { lotsOf, partingBonds, strongLots } from './takeApart';

const box = (id: string, size: Vec3, at: Vec3): Part => partOf(id, { kind: 'box', size }, at);
const rigWith = (parts: readonly Part[], connections: readonly StatedConnection[], more: Partial<Body> = {}): Rig =>
  withHardware(rigOf(parts, { connections: [...connections], ...more }));
const glued = (id: string, piece: string, to: string): StatedConnection => ({
  kind: 'bonded',
  id,
  name: id,
  piece,
  to,
});
const screw = (
  id: string,
  on: string,
  point: Vec3,
  way: Vec3,
  pieces: readonly string[],
  more: Partial<Bolted> = {},
): Bolted => ({
  kind: 'bolted',
  id,
  name: id,
  on,
  point,
  way,
  thread: 'M6',
  stack: pieces.map((piece) => ({ kind: 'piece', piece })),
  end: { kind: 'nut' },
  ...more,
});
const orderOf = (rig: Rig): BuildOrder => buildOrder(assemble(rig, null), {});
const idsOf = ({ joinings }: BuildOrder): readonly string[] => joinings.flatMap((j) => j.connections.map((c) => c.id));

/** Six walls round a room, the lid glued on, and a block glued to the floor in it. */
const inABox = rigWith(
  [
    box('floor', [0.1, 0.1, 0.004], [0, 0, -0.05]),
    box('lid', [0.1, 0.1, 0.004], [0, 0, 0.05]),
    box('front', [0.004, 0.1, 0.096], [0.048, 0, 0]),
    box('back', [0.004, 0.1, 0.096], [-0.048, 0, 0]),
    box('left', [0.092, 0.004, 0.096], [0, 0.048, 0]),
    box('right', [0.092, 0.004, 0.096], [0, -0.048, 0]),
    box('block', [0.02, 0.02, 0.02], [0, 0, -0.038]),
  ],
  [
    glued('block-on', 'block', 'floor'),
    glued('lid-on', 'lid', 'front'),
    glued('front-on', 'front', 'floor'),
    glued('back-on', 'back', 'floor'),
    glued('left-on', 'left', 'floor'),
    glued('right-on', 'right', 'floor'),
  ],
);

describe('the order of building', () => {
  it('puts in what is shut in before it is shut in', () => {
    const order = orderOf(inABox);
    expect(order.blocked).toEqual([]);
    const ids = idsOf(order);
    // Whatever else is on: not all walls and the lid may be there when the block goes in.
    const walls = ['lid-on', 'front-on', 'back-on', 'left-on', 'right-on'];
    expect(walls.some((w) => ids.indexOf(w) > ids.indexOf('block-on')))
      .withContext(ids.join())
      .toBeTrue();
  });

  it('is told to be none where pieces go through each other, and what they are', () => {
    // Two closed square links of a chain, each of one piece of four bars.
    const link = (id: string, at: Vec3, upright: boolean): Part[] => {
      const bar = (n: number, size: Vec3, off: Vec3): Part =>
        partOf(
          n === 0 ? id : `${id}.${n}`,
          { kind: 'box', size },
          [at[0] + off[0], at[1] + off[1], at[2] + off[2]],
          n === 0 ? {} : { of: id },
        );
      const side = (x: number, y: number): Vec3 => (upright ? [x, 0, y] : [x, y, 0]);
      const size = (x: number, y: number): Vec3 => (upright ? [x, 0.006, y] : [x, y, 0.006]);
      return [
        bar(0, size(0.06, 0.006), side(0, 0.027)),
        bar(1, size(0.06, 0.006), side(0, -0.027)),
        bar(2, size(0.006, 0.048), side(0.027, 0)),
        bar(3, size(0.006, 0.048), side(-0.027, 0)),
      ];
    };
    const chain = rigWith(
      [...link('one', [0, 0, 0], false), ...link('two', [0.03, 0, 0], true)],
      [glued('held', 'one', 'two')],
    );
    const { blocked } = orderOf(chain);
    expect(blocked.map((b) => [...b.pieces].sort())).toEqual([['one', 'two']]);
    const words = blockedWords(blocked[0]!, chain);
    expect(render(words.title, METRIC)).toContain('No order puts together the one and two');
    expect(render(words.toDo, METRIC)).toContain('No single one frees it');
    expect(words.unions).toEqual([]);
  });

  it('puts a screw in before what closes over its head', () => {
    const shelf = rigWith(
      [
        box('shelf', [0.1, 0.1, 0.006], [0, 0, 0]),
        box('plate', [0.1, 0.1, 0.006], [0, 0, -0.006]),
        // Right over the head.
        box('cover', [0.1, 0.1, 0.006], [0, 0, 0.0108]),
        box('side', [0.006, 0.1, 0.0168], [0.053, 0, 0.0054]),
      ],
      [
        glued('cover-on', 'cover', 'side'),
        glued('side-on', 'side', 'shelf'),
        screw('bolt', 'shelf', [0, 0, 0.003], [0, 0, -1], ['shelf', 'plate']),
      ],
    );
    const order = orderOf(shelf);
    const ids = idsOf(order);
    expect(order.blocked).toEqual([]);
    const closed = Math.max(ids.indexOf('cover-on'), ids.indexOf('side-on'));
    expect(ids.indexOf('bolt')).withContext(ids.join()).toBeLessThan(closed);
    expect(order.joinings.flatMap((j) => j.shutsIn)).toEqual(['bolt']);
  });

  it('says where no tool reaches a screw in any order', () => {
    const well = (deep: number): Rig =>
      rigWith(
        [
          box('floor', [0.06, 0.06, 0.006], [0, 0, 0]),
          partOf(
            'wall',
            { kind: 'tube', outerRadius: 0.02, innerRadius: 0.006, length: deep },
            [0, 0, 0.003 + deep / 2],
            { of: 'floor' },
          ),
          box('plate', [0.06, 0.06, 0.006], [0, 0, -0.006]),
        ],
        [screw('bolt', 'floor', [0, 0, 0.003], [0, 0, -1], ['floor', 'plate'])],
      );
    expect(orderOf(well(0.003)).joinings.some((j) => j.unreached)).toBeFalse();
    expect(
      orderOf(well(0.03))
        .joinings.filter((j) => j.unreached)
        .map((j) => j.id),
    ).toEqual(['bolt']);
  });

  it('closes a glued ring with both pipes at once, slides grips on before, and needs a union where threads turn', () => {
    const ring = (pipe: string, isUnited: boolean): Rig => {
      const { system, size } = pipeOf(pipe);
      const run = (id: string, from: string, to: string, direction: Vec3, cut: number): Run => ({
        id,
        name: id,
        from,
        to,
        direction,
        cut,
      });
      const short = size.takeOff.coupling;
      const pipes = pipework({
        pipe: { system, size },
        start: { node: 'a', at: [0, 0, 0] },
        runs: [
          run('low', 'a', 'b', [1, 0, 0], 0.2),
          run('front', 'b', 'c', [0, 0, 1], 0.2),
          ...(isUnited
            ? [run('high', 'c', 'm', [-1, 0, 0], 0.1 - short), run('high-2', 'm', 'd', [-1, 0, 0], 0.1 - short)]
            : [run('high', 'c', 'd', [-1, 0, 0], 0.2)]),
          run('rear', 'd', 'a', [0, 0, -1], 0.2),
        ],
        ...(isUnited ? { unions: ['m'] } : {}),
      });
      expect(pipes.gap).toBeLessThan(1e-9);
      const { section } = size.stock;
      const radius = section.kind === 'tube' ? section.outerDiameter / 2 : 0;
      const grip = partOf('grip', { kind: 'tube', outerRadius: radius + 0.006, innerRadius: radius, length: 0.08 }, [
        pipes.at('a')[0],
        0,
        (pipes.at('a')[2] + pipes.at('d')[2]) / 2,
      ]);
      return rigWith([grip], [{ kind: 'slidOn', id: 'grip-on', name: 'grip on', piece: 'grip', over: 'rear' }], {
        nodes: [...pipes.nodes],
        members: [...pipes.members],
        joints: [...pipes.joints],
      });
    };
    const glue = orderOf(ring('pvc/1/2', false));
    expect(glue.blocked).toEqual([]);
    const closing = glue.joinings.filter((j) => j.connections.length > 1);
    expect(closing.map((j) => j.connections.map((c) => c.kind))).toEqual([['socketed', 'socketed']]);
    const ids = idsOf(glue);
    const ends = glue.joinings
      .flatMap((j) => j.connections)
      .filter((c) => c.kind === 'socketed' && c.pieces[0] === 'rear');
    expect(Math.max(...ends.map((c) => ids.indexOf(c.id)))).toBeGreaterThan(ids.indexOf('grip-on'));

    const threaded = ring('steel/1/2', false);
    const [stuck] = orderOf(threaded).blocked;
    expect(stuck?.freedBy.length).toBeGreaterThan(0);
    const words = blockedWords(stuck!, threaded);
    expect(render(words.why, METRIC)).toContain('turns all the way round');
    expect(render(words.toDo, METRIC)).toContain('with a union between');
    expect(orderOf(ring('steel/1/2', true)).blocked).toEqual([]);
  });

  it('says what to measure before a ring is closed for good', () => {
    const rig = FAMILIES.find((f) => f.id === 'hand-frame')!;
    const made = rig.build(rig.size(null, USUAL_HANDS));
    const order = orderOf(made);
    const ordered = buildSteps(made, {}, order);
    const steps = ordered.kind === 'ordered' ? ordered.steps : [];
    const close = steps.find((s) => (s.does?.length ?? 0) > 1 && s.final)!;
    const words = close.figures.map((f) => render(f, METRIC));
    // Both ways across are the same in a square ring.
    const [, one, other] = /corner to corner: ([\d.]+ mm) one way, ([\d.]+ mm) the other/.exec(words.join('\n'))!;
    expect(one).toBe(other!);
    expect(words.some((w) => w.includes('stay parallel'))).toBeTrue();
  });

  for (const family of FAMILIES)
    it(`of a ${family.name} makes each connection once, from what was made before, and is the same backwards`, () => {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const order = orderOf(rig);
      expect(order.blocked).toEqual([]);
      const ids = idsOf(order);
      expect(new Set(ids).size).toBe(ids.length);
      const made = new Map<string, ReadonlySet<string>>();
      for (const j of order.joinings) {
        expect(j.unreached).withContext(j.id).toBeFalse();
        for (const id of j.after) expect(made.has(id)).withContext(`${j.id} after ${id}`).toBeTrue();
        // What it joins was each by itself or made before, and nothing comes twice.
        const came = j.comes.flatMap((c) => c.pieces);
        expect(new Set(came).size).withContext(j.id).toBe(came.length);
        for (const id of j.after) for (const p of made.get(id)!) expect(j.lot).withContext(j.id).toContain(p);
        for (const { legs } of j.comes) expect(legs[0]!.by).toBe(Infinity);
        made.set(j.id, new Set(j.lot));
      }
    });
});

describe('sets that block one another', () => {
  it('knows which connections a lot falls apart without, as taking each away shows', () => {
    const graph = fc.integer({ min: 2, max: 9 }).chain((n) =>
      fc.tuple(
        fc.constant(n),
        fc.array(fc.uniqueArray(fc.integer({ min: 0, max: n - 1 }), { minLength: 2, maxLength: 4 }), {
          maxLength: 14,
        }),
      ),
    );
    holds(
      fc.property(graph, ([n, all]) => {
        const pieces = Array.from({ length: n }, (_, i) => i);
        const bonds = all.map((binds) => ({ binds }) as unknown as Bond);
        const found = partingBonds(pieces, bonds);
        const lots = lotsOf(pieces, bonds).length;
        const without = (bond: Bond): number =>
          lotsOf(
            pieces,
            bonds.filter((b) => b !== bond),
          ).length;
        expect(bonds.map((b) => found.has(b))).toEqual(bonds.map((b) => without(b) > lots));
      }),
      { seed: 27 },
    );
  });

  it('are those of which each reaches each, for any graph', () => {
    const graph = fc
      .integer({ min: 1, max: 9 })
      .chain((n) => fc.array(fc.array(fc.nat(n - 1), { maxLength: 4 }), { minLength: n, maxLength: n }));
    holds(
      fc.property(graph, (next) => {
        const n = next.length;
        const reach = next.map((_, i) => {
          const seen = new Set([i]);
          for (const at of seen) for (const to of next[at]!) seen.add(to);
          return seen;
        });
        const sets = strongLots(next);
        const setOf = new Map(sets.flatMap((s, i) => s.map((v) => [v, i] as const)));
        return (
          sets.flat().length === n &&
          [...Array(n).keys()].every((a) =>
            [...Array(n).keys()].every(
              (b) => (reach[a]!.has(b) && reach[b]!.has(a)) === (setOf.get(a) === setOf.get(b)),
            ),
          )
        );
      }),
      { seed: 12, numRuns: 300 },
    );
  });
});

import { assemble, familyById, outline, placedPieces, type Point2 } from '..';
import { familyInput } from '../family';

const grip = familyById('swivel-grip')!;
const built = (dimensions: Record<string, number> = {}) =>
  grip.build(
    familyInput(grip, Object.fromEntries(Object.entries(dimensions).map(([id, value]) => [id, { value }])), {}).input,
  );
const board = (rig: ReturnType<typeof built>) =>
  placedPieces(assemble(rig, null), {}).find((p) => p.flat.owner === 'board-left')!.flat;
const area = (points: readonly Point2[]): number =>
  Math.abs(
    points.reduce(
      (sum, [x, y], i) => sum + x * points[(i + 1) % points.length]![1] - points[(i + 1) % points.length]![0] * y,
      0,
    ),
  ) / 2;

describe('a member sawn to an outline', () => {
  it('weighs what its face leaves of the strip', () => {
    const flat = board(built());
    const { shape } = flat;
    if (shape.kind !== 'box') return fail('a board is a box');
    const face = area(outline(flat, 'side'));
    expect(flat.mass).toBeCloseTo(720 * face * shape.size[2], 6);
    expect(face).toBeLessThan(shape.size[0] * shape.size[1]);
  });
  it('is drawn with its hollows from the side, and as a plain edge from the front', () => {
    const flat = board(built({ hollows: 0.008 }));
    const points = outline(flat, 'side');
    const front = points.filter(([x]) => x > 0).map(([x]) => x);
    expect(Math.max(...front) - Math.min(...front.filter((x) => x > 0.01))).toBeGreaterThan(0.006);
    expect(outline(flat, 'front').length).toBe(4);
  });
  it('is as deep in its hollows as asked, four of them, and has none for gloves', () => {
    const dips = (hollows: number): number => {
      const xs = board(built({ hollows }))
        .outline!.slice(0, 49)
        .map(([, y]) => y);
      return xs.filter((y, i) => i > 1 && i < xs.length - 1 && y < xs[i - 1]! - 1e-9 && y <= xs[i + 1]! + 1e-12).length;
    };
    expect(dips(0.006)).toBe(4);
    expect(dips(0)).toBe(0);
  });
});

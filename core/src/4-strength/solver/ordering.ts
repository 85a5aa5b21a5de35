/** An order of nodes that keeps neighbours close: the reverse of Cuthill and McKee's, from a node at the graph's edge. */

/** `neighbours[i]` lists who shares an element with i. Returns nodes in their new order; parts that do not hang together follow each other. */
export function narrowOrder(neighbours: readonly (readonly number[])[]): readonly number[] {
  const seen = new Uint8Array(neighbours.length);
  const order: number[] = [];
  const degree = (i: number): number => neighbours[i]!.length;
  const byDegree = neighbours.map((_, i) => i).sort((a, b) => degree(a) - degree(b));
  for (const first of byDegree) {
    if (seen[first]) continue;
    const levels = spread(neighbours, edgeFrom(neighbours, first));
    for (const level of levels) for (const node of level) seen[node] = 1;
    order.push(...levels.flat());
  }
  return order.reverse();
}

/** A node as far away as can be: from the farthest, of the fewest neighbours, as long as that goes further (Gibbs, Poole, Stockmeyer). */
function edgeFrom(neighbours: readonly (readonly number[])[], start: number): number {
  let node = start;
  let reach = spread(neighbours, node).length;
  for (;;) {
    const last = spread(neighbours, node).at(-1)!;
    const next = last.reduce((a, b) => (neighbours[b]!.length < neighbours[a]!.length ? b : a));
    const further = spread(neighbours, next).length;
    if (further <= reach) return node;
    [node, reach] = [next, further];
  }
}

/** Level by level, each in the order of who came first and has the fewest neighbours. */
function spread(neighbours: readonly (readonly number[])[], start: number): readonly (readonly number[])[] {
  const seen = new Set([start]);
  const levels: number[][] = [[start]];
  for (let level = levels[0]!; level.length > 0;) {
    const next: number[] = [];
    for (const node of level)
      for (const other of [...neighbours[node]!].sort((a, b) => neighbours[a]!.length - neighbours[b]!.length))
        if (!seen.has(other)) {
          seen.add(other);
          next.push(other);
        }
    if (next.length > 0) levels.push(next);
    level = next;
  }
  return levels;
}

/** A short bar across a corner, bolted to both members that meet there; on both sides of a rig at once where they are twins. */
import { figure, say, type Change } from '../../../0-base';
import { cornerBar, stockById, withoutHardware } from '../../../2-frame';
import type { Body, Rig } from '../../../model';
import { standsClear } from '../standsClear';
import type { Stiffener, StiffChange } from '../stiffener';

const STOCK = 'aluminium-25x5';
/** From the corner along both, m: a hand's breadth, or as near as its fitting lets it. */
const REACHES = [0.1, 0.08, 0.065, 0.05] as const;
const AT_MOST = 8;

type Corner = Extract<Change, { kind: 'corner' }>;

export const corners: Stiffener = {
  id: 'corners',
  tries: ({ rig }) => {
    const bare = withoutHardware(rig);
    const done = new Set<string>();
    return bare.bodies
      .flatMap((body) => meetings(body).map((of) => ({ body, of })))
      .flatMap(({ body, of }): StiffChange[] => {
        const twin = twinOf(body, of);
        const key = (m: Meeting): string => [m.node, ...[m.first, m.second].sort()].join(' ');
        if (done.has(key(of))) return [];
        done.add(key(of));
        if (twin) done.add(key(twin));
        const other = twin && key(twin) !== key(of) ? twin : null;
        const found = first(REACHES, (reach) => barsFor(bare, rig, body, other ? [of, other] : [of], reach));
        return found
          ? [
              {
                name: other ? 'Bars across a corner and its twin' : 'Bar across a corner',
                to: say`of the ${nameOf(body, of.first)} and the ${nameOf(body, of.second)}, ${figure('length', found[0]!.reach)} from it along both`,
                changes: found,
              },
            ]
          : [];
      })
      .slice(0, AT_MOST);
  },
};

interface Meeting {
  readonly node: string;
  readonly first: string;
  readonly second: string;
}
/** Straight members that end at one node, two by two. */
const meetings = ({ nodes, members }: Body): readonly Meeting[] =>
  nodes.flatMap(({ id: node }) => {
    const here = members.filter((m) => m.path.kind === 'straight' && (m.from === node || m.to === node));
    return here.flatMap((first, i) =>
      here.slice(i + 1).map((second) => ({ node, first: first.id, second: second.id })),
    );
  });

/** What mirrors it, where all three are twins or in the middle. */
function twinOf({ nodes, members }: Body, { node, first, second }: Meeting): Meeting | null {
  const at = nodes.find((n) => n.id === node)?.twin ?? node;
  const [a, b] = [first, second].map((id) => members.find((m) => m.id === id)?.twin ?? id) as [string, string];
  return members.some((m) => m.id === a && (m.from === at || m.to === at)) ? { node: at, first: a, second: b } : null;
}

/** One after the other on the same rig, so that they are clear of each other too; null where they are not. */
function barsFor(bare: Rig, rig: Rig, body: Body, all: readonly Meeting[], reach: number): readonly Corner[] | null {
  const stock = stockById(STOCK)!;
  const changes: Corner[] = [];
  let before = bare;
  for (const of of all) {
    const made = first(['back', 'front'] as const, (side) => {
      const member = `corner-${of.node}-${of.first}-${of.second}`;
      const tried = cornerBar(before, { ...of, body: body.id, member, reach, side, stock });
      return tried.kind === 'made' && standsClear(rig, tried.rig) ? { rig: tried.rig, member, side } : null;
    });
    if (!made) return null;
    before = made.rig;
    changes.push({ kind: 'corner', id: made.member, body: body.id, ...of, reach, side: made.side, stock: STOCK });
  }
  return changes;
}

/** What the first of them comes to that comes to anything. */
function first<T, R>(all: readonly T[], of: (one: T) => R | null): R | null {
  for (const one of all) {
    const found = of(one);
    if (found !== null) return found;
  }
  return null;
}
const nameOf = ({ members }: Body, id: string): string => members.find((m) => m.id === id)!.name;

/** A flat bar bolted between two corners that no member joins: the longest spans first, as they give most. */
import { figure, length, say, subtract } from '../../../0-base';
import { braceBetween, cornersFor, stockById, withoutHardware } from '../../../2-frame';
import type { Change } from '../../../0-base';
import { standsClear } from '../standsClear';
import type { Stiffener } from '../stiffener';

const AT_MOST = 10;
const STOCK = 'aluminium-25x5';

export const braces: Stiffener = {
  id: 'braces',
  tries: ({ assembly }) => {
    const { rig } = assembly;
    const stock = stockById(STOCK);
    if (!stock) return [];
    const bare = withoutHardware(rig);
    return rig.bodies
      .flatMap((body) => {
        const at = new Map(body.nodes.map((n) => [n.id, n.at]));
        const corners = cornersFor(body);
        const joined = new Set(body.members.flatMap((m) => [`${m.from} ${m.to}`, `${m.to} ${m.from}`]));
        return corners.flatMap((from, i) =>
          corners
            .slice(i + 1)
            .filter((to) => !joined.has(`${from} ${to}`))
            .map((to) => ({ body: body.id, from, to, long: length(subtract(at.get(to)!, at.get(from)!)) })),
        );
      })
      .sort((a, b) => b.long - a.long)
      .flatMap(({ body, from, to, long }, i) => {
        const id = `brace-${i + 1}`;
        const tried = braceBetween(bare, { body, member: id, from, to, stock, folds: false });
        const change: Change = { kind: 'brace', id, body, from, to, stock: STOCK };
        return tried.kind === 'made' && standsClear(rig, tried.rig)
          ? [{ name: 'Bar between corners', to: say`${stock.name}, ${figure('length', long)} long`, changes: [change] }]
          : [];
      })
      .slice(0, AT_MOST);
  },
};

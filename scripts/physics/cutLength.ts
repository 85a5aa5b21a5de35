import { addScaled, cutLength as cut, inserted, length, subtract, type EndFitting, type Vec3 } from '@tide-pebble/core';
import type { CaseKind, Given } from '../physicsCase';

export const cutLength: CaseKind = {
  kind: 'cutLength',
  compute: (given) => (given['path'] ? alongPath(given) : member(given['member'])),
};

function member(m: Given): Given {
  const found = cut(m['from'], m['to'], m['centreToCentre']);
  const insertedEnds = [inserted(m['from']), inserted(m['to'])];
  const least = m['insertedLengthLeast'];
  return {
    cutLength: found.length,
    possible: found.possible,
    centreToCentreAsAssembled: found.asAssembled,
    inserted: insertedEnds,
    ...(least === undefined ? {} : { enoughInserted: insertedEnds.every((i) => i === null || i >= least - 1e-12) }),
  };
}

/** Members end to end; a member given by its cut length has the centre-to-centre that follows from it. */
function alongPath(given: Given): Given {
  let [home, assembled]: [Vec3, Vec3] = [
    [0, 0, 0],
    [0, 0, 0],
  ];
  const cutLengths: number[] = [];
  for (const m of given['path'] as readonly {
    from: EndFitting;
    to: EndFitting;
    direction: Vec3;
    centreToCentre?: number;
    cutLength?: number;
  }[]) {
    const takenOff = -cut(m.from, m.to, 0).length;
    const centreToCentre = m.centreToCentre ?? m.cutLength! + takenOff;
    const found = cut(m.from, m.to, centreToCentre);
    cutLengths.push(found.length);
    home = addScaled(home, m.direction, centreToCentre);
    assembled = addScaled(assembled, m.direction, found.asAssembled);
  }
  // Every member of a path is cut.
  if ((given['stockFor'] ?? 'all') !== 'all') throw new Error(`stock for “${given['stockFor']}” is not known`);
  const closing = subtract(assembled, given['closedLoop'] ? [0, 0, 0] : home);
  return {
    cutLengths,
    endPositionFullyHome: home,
    endPositionAsAssembled: assembled,
    closingError: closing,
    closingErrorSize: length(closing),
    totalPipe: cutLengths.reduce((a, b) => a + b, 0),
    possible: cutLengths.every((l) => l > 0),
  };
}

import { FROM_LEVEL, heightForDrop, sliderForDrop, sumsOf } from '@tide-pebble/core';
import { bodiesOf, type CaseKind, type Given } from '../physicsCase';

export const dropTimeWanted: CaseKind = {
  kind: 'dropTimeWanted',
  compute: (given) => (given['slider'] ? withSlider(given) : lumped(given)),
};

function lumped(given: Given): Given {
  const found = heightForDrop(
    given['mass'],
    given['inertiaAboutMassCentre'],
    given['releaseAngle'] ?? FROM_LEVEL,
    given['wantedDropTime'],
  );
  return {
    leastDropTime: found.leastTime,
    possible: found.possible,
    bottomHeavinessOfLeast: found.heightOfLeast,
    bottomHeaviness: found.height,
    otherBottomHeaviness: found.otherHeight,
  };
}

function withSlider(given: Given): Given {
  const { bodies, direction, range } = given['slider'];
  const all = bodiesOf(given['bodies']);
  const moving = new Set<number>(bodies);
  const found = sliderForDrop(
    {
      fixed: sumsOf(all.filter((_, i) => !moving.has(i))),
      moving: sumsOf(all.filter((_, i) => moving.has(i))),
      direction,
      range,
      pivot: given['pivot'] ?? [0, 0, 0],
      axis: given['axis'] ?? 'pitch',
      releaseAngle: given['releaseAngle'] ?? FROM_LEVEL,
    },
    given['wantedDropTime'],
  );
  return {
    leastDropTime: found.leastTime,
    possible: found.positions.length > 0,
    sliderPositionsForWanted: found.positions,
    sliderPositionOfLeast: found.positionOfLeast,
  };
}

/** Taken apart, does it go in the bag? */
import { figure, say } from '../../0-base';
import { breakDown, fitsBag } from '../../2-frame';
import type { BalanceCheck } from '../balanceCheck';

export const fitsTheBag: BalanceCheck = {
  id: 'fitsTheBag',
  stage: 'frame',
  look: ({ assembly, values, wants }) => {
    if (!wants.bag) return [];
    const { pieces } = breakDown(assembly.rig, values);
    const { fits, tooLong } = fitsBag(pieces, wants.bag);
    if (fits) return [];
    const [worst] = [...tooLong].sort((a, b) => b.by - a.by);
    return [
      {
        code: 'fitsTheBag',
        severity: 'mend' as const,
        about: worst?.piece.ids[0] ?? 'load',
        figure: worst ? figure('length', worst.piece.box[0]) : null,
        limit: figure('length', Math.max(...wants.bag)),
        title: worst
          ? say`The piece with the ${worst.piece.name} does not go in the bag: ${figure('length', worst.piece.box[0])} by ${figure('length', worst.piece.box[1])} by ${figure('length', worst.piece.box[2])}.`
          : say`Its ${figure('count', pieces.length)} pieces fill more than the bag.`,
        why: say`Taken apart at the joints that open it comes in ${figure('count', pieces.length)} pieces; glued and soldered joints stay together.`,
        toDo: worst
          ? say`Make a joint of that piece one that opens, or shorten it by ${figure('length', worst.by)}.`
          : say`Take the camera in a bag of its own.`,
        fixes: [],
      },
    ];
  },
};

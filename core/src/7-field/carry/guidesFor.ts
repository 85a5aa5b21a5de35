/** Which habits matter for a rig, in the order they are learned. */
import type { BalanceContext } from '../../3-balance';
import type { Guide, Told } from './guide';
import { nearTheBody } from './guides/nearTheBody';
import { secondHand } from './guides/secondHand';
import { softKnees } from './guides/softKnees';
import { startAndStop } from './guides/startAndStop';
import { withTheHips } from './guides/withTheHips';

const GUIDES: readonly Guide[] = [nearTheBody, softKnees, withTheHips, startAndStop, secondHand];

export type GuideTold = Told & Pick<Guide, 'id' | 'title'>;

export const guidesFor = (context: BalanceContext): readonly GuideTold[] =>
  GUIDES.flatMap(({ id, title, look }) => {
    const told = look(context);
    return told ? [{ id, title, ...told }] : [];
  });

/** What a contact of a worn rig bears, and which way it pushes. */
import { figure, say, type Phrase, type Vec3 } from '../../../0-base';
import type { Bearing } from './bearing';

/** Less than this is nothing, N. */
const NOTHING = 0.05;

export const pushWords = ({ contact, size, force, share }: Bearing): Phrase =>
  size < NOTHING
    ? say`${contact.name}: bears nothing.`
    : say`${contact.name}: ${wayOfPush(force)} ${figure('force', size, 1)}, ${figure('percent', share, 0)} of what is comfortable.`;

function wayOfPush([x, y, z]: Vec3): string {
  const [ahead, aside, up] = [Math.abs(x), Math.abs(y), Math.abs(z)];
  if (up >= ahead && up >= aside) return z > 0 ? 'bears up' : 'draws down';
  if (ahead >= aside) return x > 0 ? 'pushes forward' : 'holds back';
  return y > 0 ? 'pushes to the left' : 'pushes to the right';
}

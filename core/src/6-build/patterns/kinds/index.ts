/** The kinds of pattern, in the order they are told in. One file each. */
import type { PatternMaker } from '../pattern';
import { cope } from './cope';
import { curve } from './curve';
import { face } from './face';
import { fittingHole } from './fittingHole';
import { flatEnd } from './flatEnd';
import { former } from './former';
import { squareUp } from './squareUp';
import { squareWrap } from './squareWrap';
import { stickers } from './stickers';
import { strip } from './strip';
import { wrap } from './wrap';

export const PATTERN_KINDS: readonly PatternMaker[] = [
  strip,
  former,
  curve,
  wrap,
  squareWrap,
  cope,
  flatEnd,
  face,
  fittingHole,
  squareUp,
  stickers,
];

/** What is known of the load, in words: where things lie, what all loadouts ask of a slide, what to measure next. */
import { figure, say, type Figure, type Phrase, type Vec3 } from '../0-base';
import type { KitItem } from '../model';
import type { AxisCover, Coverage, NextMeasure } from './coverage';
import { axesKnown, itemFigures } from './estimate';
import { comparedOf, resultsOf } from './measured';
import type { Axis } from './method';

/** From the foot along x forward, y left, z up: what stands before “the foot” on either side. */
const SIDES = [
  { more: 'ahead of', less: 'behind' },
  { more: 'to the left of', less: 'to the right of' },
  { more: 'above', less: 'below' },
] as const;
const WAYS = [
  { more: 'forward', less: 'back' },
  { more: 'to the left', less: 'to the right' },
  { more: 'up', less: 'down' },
] as const;
/** How an axis is said after a verb: “balance it …”. */
const ALONG = ['fore and aft', 'sideways', 'for its height'] as const;

const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** Lengths under a centimetre in tenths of a millimetre. */
const length = (value: number): Figure => figure('length', value, Math.abs(value) < 0.01 ? 1 : 0);

/** `at` along an axis, m, as a place: “38 mm ahead of the foot”. */
export const fromFootWords = (axis: Axis, at: number): Phrase =>
  say`${length(Math.abs(at))} ${at >= 0 ? SIDES[axis].more : SIDES[axis].less} the foot`;

/** A shift by its greatest part: “12 mm forward”. */
export function shiftWords(moves: Vec3): Phrase {
  const axis = ([0, 1, 2] as const).reduce<Axis>(
    (best, a) => (Math.abs(moves[a]) > Math.abs(moves[best]) ? a : best),
    0,
  );
  return say`${length(Math.abs(moves[axis]))} ${moves[axis] >= 0 ? WAYS[axis].more : WAYS[axis].less}`;
}

/** Which loadout lies at one end of what must be covered, where, and what carries it there. */
export function extremeWords(
  { loadout, at, because }: AxisCover['least'],
  axis: Axis,
  loadouts: Coverage['loadouts'],
  kit: ReadonlyMap<string, KitItem>,
): Phrase {
  const item = because === null ? undefined : kit.get(because.item);
  return [
    `${loadouts.find((l) => l.id === loadout)?.name ?? ''}, `,
    ...fromFootWords(axis, at),
    item ? `: its ${item.name} carries it there` : '',
  ];
}

/** A drawn loadout for whoever does not see it. */
export const drawnLoadWords = (name: string, centre: Vec3, scale: number): Phrase => [
  `${name}, square-on at 1 to ${scale}. Its mass centre lies `,
  ...fromFootWords(0, centre[0]),
  ', ',
  ...fromFootWords(1, centre[1]),
  ', ',
  ...fromFootWords(2, centre[2]),
  '.',
];

/** What all loadouts ask of a slide, in one line; null for fewer than two. */
export function coverWords({ axes, loadouts }: Coverage): Phrase | null {
  if (!axes || loadouts.length < 2) return null;
  const travel = (axis: 0 | 1): Phrase => [
    length(axes[axis].travel),
    ' ± ',
    length(2 * axes[axis].travelSpread),
    ` ${ALONG[axis]}`,
  ];
  return [`To cover all ${loadouts.length} loadouts a slide must travel `, ...travel(0), ', ', ...travel(1), '.'];
}

/** The measurement that would tell most, and along which axis it helps. */
export const nextMeasureWords = (
  next: NextMeasure,
  name: string,
): { readonly what: string; readonly along: string } => ({
  what: next.what === 'mass' ? `Weigh ${name}` : `Balance ${name} ${ALONG[next.axis ?? 0]}`,
  along: (['fore and aft', 'sideways', 'in height'] as const)[next.helps],
});

/** What of an item itself is least known, and what would tell it. */
export function whatIsOpen(item: KitItem, results = resultsOf(item)): string {
  if (!itemFigures(item).weighed) return 'Put it on the scale: its mass is only guessed from its size.';
  // Before what is not known: two ways far apart leave a figure no better known than a guess.
  const told = comparedOf(item, results).filter((c) => c.what === 'mass' || c.what === 'centre');
  if (told.some((c) => c.agreement.agrees === false))
    return 'Two ways disagree. Measure that again, one of them is off.';
  const axes = axesKnown(item).flatMap((known, axis) => (known ? [] : [ALONG[axis as Axis]]));
  if (axes.length > 0) return `Balance it on an edge ${AND.format(axes)}: the middle of its box stands in for that.`;
  const single = told.find((c) => c.what === 'centre' && c.methods.length === 1);
  return single
    ? `All is measured. A second way ${ALONG[single.axis!]} would show whether the first can be trusted.`
    : 'All is measured, each axis in more than one way.';
}

/** All loadouts at once: where each one's mass centre lies and how well that is known, what they span, and what to measure next. */
import { add, addScaled, scale, subtract, type Mat3, type Vec3 } from '../0-base';
import type { KitItem, Loadout } from '../model';
import { itemFigures, momentOfChange, spreadOfChange, type ItemFigures } from './estimate';
import type { Axis } from './method';
import { placeItems, turned, turnedSpread, type LoadFault, type PlacedItem } from './placeLoad';

export interface StateShift {
  readonly mounted: string;
  readonly item: string;
  readonly state: string;
  readonly choice: string;
  /** How far the loadout's mass centre goes when this is chosen instead of the first, m. */
  readonly moves: Vec3;
}
export interface CoveredLoadout {
  readonly id: string;
  readonly name: string;
  readonly mass: number;
  readonly massSpread: number;
  /** From the mount's foot, m, with states left open in their first choice; and one standard uncertainty. */
  readonly centre: Vec3;
  readonly spread: Vec3;
  /** Least and most along each axis over every mix of the states left open; what the states' own spreads add there. */
  readonly from: Vec3;
  readonly to: Vec3;
  readonly fromSpread: Vec3;
  readonly toSpread: Vec3;
  readonly shifts: readonly StateShift[];
  readonly faults: readonly LoadFault[];
}
export interface Extreme {
  readonly loadout: string;
  readonly at: number;
  /** What carries it there, and how far that is from the middle of the span on its own account. */
  readonly because: { readonly item: string; readonly mass: number; readonly pulls: number } | null;
}
export interface AxisCover {
  readonly least: Extreme;
  readonly most: Extreme;
  /** What a slide along this axis must travel to bring each mass centre to one place, m, and its standard uncertainty. */
  readonly travel: number;
  readonly travelSpread: number;
  readonly middle: number;
}
export interface NextMeasure {
  readonly item: string;
  readonly what: 'mass' | 'centre';
  readonly axis: Axis | null;
  /** The item's own standard uncertainty now, and what careful measuring gives. */
  readonly now: number;
  readonly then: number;
  /** Largest standard uncertainty of any loadout along the axis it helps most, before and after. */
  readonly helps: Axis;
  readonly before: number;
  readonly after: number;
}
export interface Coverage {
  readonly loadouts: readonly CoveredLoadout[];
  /** Along x, y, z; null when no loadout has any mass. */
  readonly axes: readonly [AxisCover, AxisCover, AxisCover] | null;
  readonly next: NextMeasure | null;
}

/** What careful measuring with a kitchen scale and a ruler gives, one standard uncertainty: kg, m. */
const CAREFUL_MASS = 0.0006;
const CAREFUL_CENTRE = 0.0005;

/** Loadouts in the order given; one with nothing on it is left out. Figures from one item vary together in all of them. */
export function coverageOf(loadouts: readonly Loadout[], kit: ReadonlyMap<string, KitItem>): Coverage {
  const places = new Map([...kit.keys()].map((id, i) => [id, i]));
  const weighed = loadouts.flatMap((l) => weighedLoadout(l, kit, places) ?? []);
  const axes =
    weighed.length === 0
      ? null
      : ([0, 1, 2].map((a) => axisCover(weighed, a as Axis)) as unknown as [AxisCover, AxisCover, AxisCover]);
  return { loadouts: weighed.map((w) => w.covered), axes, next: nextMeasure(weighed) };
}

interface Piece {
  readonly item: KitItem;
  readonly figures: ItemFigures;
  readonly mass: number;
  readonly centre: Vec3;
}
/** How far a loadout's mass centre goes for one standard uncertainty of one figure of one item. */
interface Source {
  readonly item: KitItem;
  readonly axis: Axis | null;
  readonly spread: number;
  moves: Vec3;
}
interface Weighed {
  readonly covered: CoveredLoadout;
  readonly pieces: readonly Piece[];
  /** By the item's place in the kit and the figure's in the item: numbers, for there are thousands of them. */
  readonly sources: ReadonlyMap<number, Source>;
}

function weighedLoadout(
  loadout: Loadout,
  kit: ReadonlyMap<string, KitItem>,
  places: ReadonlyMap<string, number>,
): Weighed | null {
  const { items, faults } = placeItems(loadout, kit);
  if (items.length === 0) return null;
  const pieces = items.map((p): Piece => {
    const figures = itemFigures(p.item, p.entry.states);
    return { item: p.item, figures, mass: figures.mass, centre: add(p.at, turned(p.turn, figures.centre)) };
  });
  const mass = pieces.reduce((m, p) => m + p.mass, 0);
  const first = pieces.reduce<Vec3>((s, p) => addScaled(s, p.centre, p.mass), [0, 0, 0]);
  const centre = scale(first, 1 / mass);
  const sources = sourcesOf(items, pieces, mass, centre, places);
  const variance: [number, number, number] = [0, 0, 0];
  let massVariance = 0;
  for (const { moves } of sources.values()) {
    variance[0] += moves[0] * moves[0];
    variance[1] += moves[1] * moves[1];
    variance[2] += moves[2] * moves[2];
  }
  for (const spread of massSpreads(pieces).values()) massVariance += spread ** 2;
  const open = items.flatMap((p) => openStates(p, centre));
  return {
    pieces,
    sources,
    covered: {
      id: loadout.id,
      name: loadout.name,
      mass,
      massSpread: Math.sqrt(massVariance),
      centre,
      spread: variance.map(Math.sqrt) as unknown as Vec3,
      ...envelope(open, mass, first, centre),
      shifts: open.flatMap((state) =>
        state.options
          .filter((o) => o.change)
          .map((o) => ({
            mounted: state.mounted,
            item: state.item,
            state: state.name,
            choice: o.name,
            moves: subtract(scale(add(first, o.first), 1 / (mass + o.mass)), centre),
          })),
      ),
      faults,
    },
  };
}

/** Two of one item were weighed as one: their spreads add before the squares do. */
function massSpreads(pieces: readonly Piece[]): ReadonlyMap<string, number> {
  const spreads = new Map<string, number>();
  for (const { item, figures } of pieces) spreads.set(item.id, (spreads.get(item.id) ?? 0) + figures.massSpread);
  return spreads;
}

/** A mass and three places. */
const FIGURES_OF_ITEM = 4;

/** ∂c/∂m = (c_i - c)/M; ∂c/∂c_i = (m_i/M) R. */
function sourcesOf(
  items: readonly PlacedItem[],
  pieces: readonly Piece[],
  mass: number,
  centre: Vec3,
  places: ReadonlyMap<string, number>,
): ReadonlyMap<number, Source> {
  const sources = new Map<number, Source>();
  const put = (key: number, item: KitItem, axis: Axis | null, spread: number, moves: Vec3): void => {
    const before = sources.get(key);
    if (before) before.moves = add(before.moves, moves);
    else if (spread > 0) sources.set(key, { item, axis, spread, moves });
  };
  for (const [i, { item, figures, mass: own, centre: at }] of pieces.entries()) {
    const key = places.get(item.id)! * FIGURES_OF_ITEM;
    put(key + 3, item, null, figures.massSpread, scale(subtract(at, centre), figures.massSpread / mass));
    const turn: Mat3 = items[i]!.turn;
    for (const axis of [0, 1, 2] as const) {
      const k = (own / mass) * figures.centreSpread[axis];
      if (k !== 0)
        put(key + axis, item, axis, figures.centreSpread[axis], [
          turn[0][axis] * k,
          turn[1][axis] * k,
          turn[2][axis] * k,
        ]);
    }
  }
  return sources;
}

interface Option {
  readonly name: string;
  readonly mass: number;
  readonly first: Vec3;
  /** One standard uncertainty of what it adds to the first moment about the loadout's centre, kg m. */
  readonly spread: Vec3;
  readonly change: boolean;
}
interface OpenState {
  readonly mounted: string;
  readonly item: string;
  readonly name: string;
  readonly options: readonly Option[];
}

/** States left open, each option as what it adds to the loadout's mass and first moment about the mount. */
function openStates({ entry, item, at, turn }: PlacedItem, centre: Vec3): readonly OpenState[] {
  if (!item.states) return [];
  const usual = itemFigures(item);
  return item.states
    .filter((s) => entry.states?.[s.id] === undefined)
    .map((state) => ({
      mounted: entry.id,
      item: item.name,
      name: state.name,
      options: state.choices.map(({ name, change }): Option => {
        if (!change) return { name, mass: 0, first: [0, 0, 0], spread: [0, 0, 0], change: false };
        const { mass, first } = momentOfChange(usual, change);
        const spread = spreadOfChange(change);
        const placed = scale(turnedSpread(turn, spread.place), change.kind === 'moves' ? usual.mass : Math.abs(mass));
        const arm =
          change.kind === 'adds'
            ? scale(subtract(add(at, turned(turn, change.at)), centre), spread.mass)
            : ([0, 0, 0] as Vec3);
        return {
          name,
          mass,
          first: add(turned(turn, first), scale(at, mass)),
          spread: placed.map((s, i) => Math.hypot(s, arm[i]!)) as unknown as Vec3,
          change: true,
        };
      }),
    }));
}

const STEPS_AT_MOST = 20; // each step is exact for its choice of options; three or four settle it

/**
 * Least and most of (S + Σs)/(M + Σm) over one option of each state: a ratio, so each state's best option depends on the
 * ratio itself; solved by Dinkelbach's iteration, which is exact over a finite choice.
 */
function envelope(
  open: readonly OpenState[],
  mass: number,
  first: Vec3,
  centre: Vec3,
): Pick<CoveredLoadout, 'from' | 'to' | 'fromSpread' | 'toSpread'> {
  const none: Vec3 = [0, 0, 0];
  if (open.length === 0) return { from: centre, to: centre, fromSpread: none, toSpread: none };
  const end = (a: Axis, way: 1 | -1): { readonly at: number; readonly spread: number } => {
    let ratio = centre[a];
    let spread = 0;
    for (let step = 0; step < STEPS_AT_MOST; step++) {
      let m = mass;
      let s = first[a];
      let variance = 0;
      for (const { options } of open) {
        let best = options[0]!;
        let most = -Infinity;
        for (const o of options) {
          const worth = way * (o.first[a] - ratio * o.mass);
          if (worth > most) {
            best = o;
            most = worth;
          }
        }
        m += best.mass;
        s += best.first[a];
        variance += best.spread[a] * best.spread[a];
      }
      spread = Math.sqrt(variance) / m;
      const next = s / m;
      if (!(way * (next - ratio) > 1e-12)) break;
      ratio = next;
    }
    return { at: ratio, spread };
  };
  const [low, high] = [[end(0, -1), end(1, -1), end(2, -1)] as const, [end(0, 1), end(1, 1), end(2, 1)] as const];
  const pick = (ends: typeof low, key: 'at' | 'spread'): Vec3 => [ends[0][key], ends[1][key], ends[2][key]];
  return {
    from: pick(low, 'at'),
    to: pick(high, 'at'),
    fromSpread: pick(low, 'spread'),
    toSpread: pick(high, 'spread'),
  };
}

function axisCover(weighed: readonly Weighed[], axis: Axis): AxisCover {
  const least = weighed.reduce((a, b) => (b.covered.from[axis] < a.covered.from[axis] ? b : a));
  const most = weighed.reduce((a, b) => (b.covered.to[axis] > a.covered.to[axis] ? b : a));
  const [from, to] = [least.covered.from[axis], most.covered.to[axis]];
  const middle = (from + to) / 2;
  return {
    least: { loadout: least.covered.id, at: from, because: because(least, axis, middle, -1) },
    most: { loadout: most.covered.id, at: to, because: because(most, axis, middle, 1) },
    travel: to - from,
    travelSpread: Math.hypot(
      spreadBetween(least, most, axis),
      least.covered.fromSpread[axis],
      most.covered.toSpread[axis],
    ),
    middle,
  };
}

/** The item whose own lever about the middle of the span carries the loadout furthest that way. */
function because({ pieces, covered }: Weighed, axis: Axis, middle: number, way: 1 | -1): Extreme['because'] {
  let best: Extreme['because'] = null;
  for (const { item, mass, centre } of pieces) {
    const pulls = (mass / covered.mass) * (centre[axis] - middle);
    if (way * pulls > 0 && (!best || way * pulls > way * best.pulls)) best = { item: item.id, mass, pulls };
  }
  return best;
}

/** What both share falls out of the difference. */
function spreadBetween(a: Weighed, b: Weighed, axis: Axis): number {
  if (a === b) return 0;
  let variance = 0;
  for (const [key, source] of a.sources) variance += ((b.sources.get(key)?.moves[axis] ?? 0) - source.moves[axis]) ** 2;
  for (const [key, source] of b.sources) if (!a.sources.has(key)) variance += source.moves[axis] ** 2;
  return Math.sqrt(variance);
}

function nextMeasure(weighed: readonly Weighed[]): NextMeasure | null {
  const gains = new Map<number, { source: Source; then: number; byAxis: [number, number, number] }>();
  for (const { sources } of weighed) {
    for (const [key, source] of sources) {
      const then = source.axis === null ? CAREFUL_MASS : CAREFUL_CENTRE;
      if (source.spread <= then) continue;
      const part = 1 - (then / source.spread) ** 2;
      let gain = gains.get(key);
      if (!gain) gains.set(key, (gain = { source, then, byAxis: [0, 0, 0] }));
      const { moves } = source;
      gain.byAxis[0] += part * moves[0] * moves[0];
      gain.byAxis[1] += part * moves[1] * moves[1];
      gain.byAxis[2] += part * moves[2] * moves[2];
    }
  }
  let best: { key: number; gain: number } | null = null;
  for (const [key, { byAxis }] of gains) {
    const gain = byAxis[0] + byAxis[1] + byAxis[2];
    if (!best || gain > best.gain) best = { key, gain };
  }
  if (!best) return null;
  const { source, then, byAxis } = gains.get(best.key)!;
  const helps = byAxis.indexOf(Math.max(...byAxis)) as Axis;
  const part = 1 - (then / source.spread) ** 2;
  const after = weighed.map((w) =>
    Math.sqrt(Math.max(0, w.covered.spread[helps] ** 2 - part * (w.sources.get(best.key)?.moves[helps] ?? 0) ** 2)),
  );
  return {
    item: source.item.id,
    what: source.axis === null ? 'mass' : 'centre',
    axis: source.axis,
    now: source.spread,
    then,
    helps,
    before: Math.max(...weighed.map((w) => w.covered.spread[helps])),
    after: Math.max(...after),
  };
}

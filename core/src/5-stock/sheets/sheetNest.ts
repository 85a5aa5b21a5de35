/** Rectangles dealt to as few sheets as can be, with kerf between them, a margin round the sheet and the grain kept; proven least, or the gap is said. */
import { sheetFit, type Fit, type Fitted, type FitSpot, type Looks } from './sheetFit';

export interface SheetProblem {
  /** m */
  readonly sheet: { readonly width: number; readonly height: number };
  /** Between neighbours, not at the edge, m. */
  readonly kerf: number;
  /** Not used all round, m. */
  readonly margin: number;
  readonly pieces: readonly {
    readonly width: number;
    readonly height: number;
    readonly count: number;
    /** False: the grain runs along the width. */
    readonly turn: boolean;
  }[];
}
export interface SheetSpot {
  readonly sheet: number;
  /** Its place on the list of pieces. */
  readonly piece: number;
  /** Lower left corner from the sheet's, m. */
  readonly x: number;
  readonly y: number;
  readonly turned: boolean;
}
export type SheetNest =
  | {
      readonly kind: 'nested';
      readonly sheets: number;
      /** No arrangement does with fewer than this; as many as `sheets`: proven least. */
      readonly atLeast: number;
      readonly layout: readonly SheetSpot[];
      /** Share of the sheets’ area that becomes pieces. */
      readonly usedShare: number;
    }
  | { readonly kind: 'noSolution'; readonly tooLarge: readonly number[] };

/** Sizes are counted in whole nanometres, so that pieces that just fill a sheet do. */
const UNIT = 1e-9;
/** Arrangements looked at: about half a second. */
const LOOKS = 200_000;
/** Of one question on the way: more is better spent on another deal. */
const LOOKS_AT_ONE = 20_000;

const inUnits = (metres: number): number => Math.round(metres / UNIT);

/** ceil(Σ (w + k)(h + k) / ((W − 2m + k)(H − 2m + k))), at least 1: no arrangement does with fewer sheets. */
export function sheetsByArea(problem: SheetProblem): number {
  const { width, height, pieces } = asUnits(problem);
  const area = pieces.reduce((sum, p) => sum + p.width * p.height, 0);
  return Math.max(1, Math.ceil(area / (width * height)));
}

/**
 * Sheets from the least by area upwards: the pieces, largest first, are dealt to them in every way that is not the same one
 * again, and whether each sheet then holds its pieces is looked up exactly (`sheetFit`). Fewer are ruled out only when every
 * deal was. Some ten pieces a sheet and thirty in all in half a second; beyond that `atLeast` may stay below `sheets`.
 */
export function sheetNest(problem: SheetProblem, most = LOOKS): SheetNest {
  const { width, height, margin, pieces } = asUnits(problem);
  const tooLarge = problem.pieces.flatMap((_, i) => {
    const one = pieces.find((p) => p.piece === i);
    const fits = (w: number, h: number): boolean => w <= width && h <= height;
    return !one || fits(one.width, one.height) || (one.turn && fits(one.height, one.width)) ? [] : [i];
  });
  if (tooLarge.length > 0) return { kind: 'noSolution', tooLarge };
  const looks: Looks = { left: most };
  const known = new Map<string, Fit>();
  const fit = (group: readonly Piece[]): Fit => {
    const key = group.map((p) => p.piece).join();
    const before = known.get(key);
    if (before) return before;
    const share: Looks = { left: Math.min(LOOKS_AT_ONE, looks.left) };
    const given = share.left;
    const found = sheetFit(group, width, height, share);
    looks.left -= given - Math.max(0, share.left);
    known.set(key, found);
    return found;
  };
  const placed = (groups: readonly (readonly Piece[])[], atLeast: number): SheetNest => ({
    kind: 'nested',
    sheets: groups.length,
    atLeast,
    layout: groups.flatMap((group, sheet) => spotsOf(group, fit(group), sheet, margin)),
    usedShare: usedShare(problem, groups.length),
  });
  const greedy = firstFit(pieces, fit);
  let atLeast = sheetsByArea(problem);
  for (let sheets = atLeast; sheets < greedy.length; sheets++) {
    const dealt = dealtTo(sheets, pieces, fit, looks);
    if (dealt.groups) return placed(dealt.groups, atLeast);
    if (dealt.isRuledOut && atLeast === sheets) atLeast = sheets + 1;
  }
  return placed(greedy, atLeast);

  function spotsOf(group: readonly Piece[], found: Fit, sheet: number, edge: number): readonly SheetSpot[] {
    const spots: readonly FitSpot[] = found.kind === 'fits' ? found.spots : [];
    return spots.map((s, i) => ({
      sheet,
      piece: group[i]!.piece,
      x: (s.x + edge) * UNIT,
      y: (s.y + edge) * UNIT,
      turned: s.turned,
    }));
  }
}

interface Piece extends Fitted {
  readonly piece: number;
}

/** With the kerf on every piece and once more on the sheet; the largest first, those alike together. */
function asUnits({ sheet, kerf, margin, pieces }: SheetProblem): {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  readonly pieces: readonly Piece[];
} {
  const k = inUnits(kerf);
  const m = inUnits(margin);
  return {
    width: inUnits(sheet.width) - 2 * m + k,
    height: inUnits(sheet.height) - 2 * m + k,
    margin: m,
    pieces: pieces
      .flatMap(({ width, height, count, turn }, piece) =>
        Array.from({ length: count }, () => ({ piece, width: inUnits(width) + k, height: inUnits(height) + k, turn })),
      )
      .sort((a, b) => b.width * b.height - a.width * a.height || a.piece - b.piece),
  };
}

const usedShare = ({ sheet, pieces }: SheetProblem, sheets: number): number =>
  pieces.reduce((sum, p) => sum + p.count * p.width * p.height, 0) / (sheets * sheet.width * sheet.height);

type FitOf = (group: readonly Piece[]) => Fit;

/** Each to the first sheet that surely holds it as well. */
function firstFit(pieces: readonly Piece[], fit: FitOf): readonly (readonly Piece[])[] {
  const groups: Piece[][] = [];
  for (const piece of pieces) {
    const holds = groups.find((g) => fit([...g, piece]).kind === 'fits');
    if (holds) holds.push(piece);
    else {
      groups.push([piece]);
      fit([piece]);
    }
  }
  return groups;
}

function dealtTo(
  sheets: number,
  pieces: readonly Piece[],
  fit: FitOf,
  looks: Looks,
): { readonly groups: readonly (readonly Piece[])[] | null; readonly isRuledOut: boolean } {
  const groups: Piece[][] = [];
  let isRuledOut = true;
  const deal = (i: number, from: number): boolean => {
    if (i === pieces.length) return true;
    if (looks.left <= 0) {
      isRuledOut = false;
      return false;
    }
    const piece = pieces[i]!;
    // Empty sheets are alike: only the first of them is tried. One like the last goes no further back than that.
    const start = pieces[i - 1]?.piece === piece.piece ? from : 0;
    for (let s = start; s < Math.min(sheets, groups.length + 1); s++) {
      const group = groups[s] ?? (groups[s] = []);
      group.push(piece);
      const found = fit(group);
      if (found.kind === 'not known') isRuledOut = false;
      if (found.kind === 'fits' && deal(i + 1, s)) return true;
      group.pop();
      if (group.length === 0) groups.length = s;
    }
    return false;
  };
  return deal(0, 0) ? { groups, isRuledOut: false } : { groups: null, isRuledOut };
}

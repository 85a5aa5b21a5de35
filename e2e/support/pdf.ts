/** A PDF read by a program that did not write it: what is drawn on a page, in millimetres from its lower left corner, and its words. */
import { readFile } from 'node:fs/promises';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

export interface Drawn {
  readonly width: number;
  readonly height: number;
  /** Straight lines and closed shapes by what they reach over. */
  readonly shapes: readonly {
    readonly x: number;
    readonly y: number;
    readonly wide: number;
    readonly high: number;
    readonly round: boolean;
  }[];
  readonly words: string;
}
const MM = 25.4 / 72;
/** As the reader numbers a curve within a path. */
const CURVE = 2;
/** Numbers that follow each step of a path: move, line, curve, quadratic, close. */
const TAKES = [2, 2, 6, 4, 0];

export async function readPdf(path: string): Promise<readonly Drawn[]> {
  const doc = await getDocument({ data: new Uint8Array(await readFile(path)), verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: doc.numPages }, async (_, i): Promise<Drawn> => {
      const page = await doc.getPage(i + 1);
      const { width, height } = page.getViewport({ scale: 1 });
      const { fnArray, argsArray } = await page.getOperatorList();
      // What is drawn is moved and scaled by what was said before it.
      let now: Matrix = [1, 0, 0, 1, 0, 0];
      const before: Matrix[] = [];
      const shapes = fnArray.flatMap((fn, n) => {
        if (fn === OPS.save) before.push(now);
        if (fn === OPS.restore) now = before.pop() ?? now;
        if (fn === OPS.transform) now = within(now, argsArray[n] as Matrix);
        if (fn !== OPS.constructPath) return [];
        const [, [data], extent] = argsArray[n] as [number, [Float32Array | null], Float32Array | null];
        if (!data || !extent) return [];
        const [x0, y0, x1, y1] = extent as unknown as [number, number, number, number];
        const corners = [at(now, x0, y0), at(now, x1, y1)] as const;
        const [left, right] = [corners[0][0], corners[1][0]].sort((a, b) => a - b) as [number, number];
        const [low, high] = [corners[0][1], corners[1][1]].sort((a, b) => a - b) as [number, number];
        return [
          {
            x: ((left + right) / 2) * MM,
            y: ((low + high) / 2) * MM,
            wide: (right - left) * MM,
            high: (high - low) * MM,
            round: isRound(data),
          },
        ];
      });
      const text = await page.getTextContent();
      return {
        width: width * MM,
        height: height * MM,
        shapes,
        words: text.items.map((item) => ('str' in item ? item.str : '')).join(' '),
      };
    }),
  );
}

type Matrix = readonly [number, number, number, number, number, number];
const at = ([a, b, c, d, e, f]: Matrix, x: number, y: number): readonly [number, number] => [
  a * x + c * y + e,
  b * x + d * y + f,
];
const within = ([a, b, c, d, e, f]: Matrix, [p, q, r, s, t, u]: Matrix): Matrix => [
  a * p + c * q,
  b * p + d * q,
  a * r + c * s,
  b * r + d * s,
  a * t + c * u + e,
  b * t + d * u + f,
];

function isRound(data: Float32Array): boolean {
  for (let i = 0; i < data.length; i += 1 + TAKES[data[i]!]!) if (data[i] === CURVE) return true;
  return false;
}

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
      const shapes = fnArray.flatMap((fn, n) => {
        if (fn !== OPS.constructPath) return [];
        const [, [data], extent] = argsArray[n] as [number, [Float32Array | null], Float32Array | null];
        if (!data || !extent) return [];
        const [left, low, right, high] = extent as unknown as [number, number, number, number];
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

function isRound(data: Float32Array): boolean {
  for (let i = 0; i < data.length; i += 1 + TAKES[data[i]!]!) if (data[i] === CURVE) return true;
  return false;
}

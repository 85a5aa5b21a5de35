/// <reference lib="webworker" />
/** Draws patterns and lays them on paper; writes them as a PDF, with a typeface fetched once. */
import type { Assembly, UnitChoice } from '@tide-pebble/core';
import { layPages, patternsOf, type Cope, type Pages, type Printer } from '@tide-pebble/core/patterns';
import { patternsPdf } from '../export/patterns/patterns-pdf';

export interface PaperMessage {
  readonly id: number;
  readonly assembly: Assembly;
  readonly printer: Printer;
  /** Ids of patterns that are left out. */
  readonly without: readonly string[];
  /** Of the maker's own. */
  readonly cope: Cope | null;
  /** Asked for as a file. */
  readonly file?: { readonly name: string; readonly units: UnitChoice };
}
export type PaperAnswer = { readonly id: number } & (
  { readonly pages: Pages } | { readonly file: ArrayBuffer } | { readonly fault: string }
);

addEventListener('message', ({ data }: MessageEvent<PaperMessage>) => {
  void answer(data).then(
    (of) => postMessage({ id: data.id, ...of }),
    (error: unknown) => postMessage({ id: data.id, fault: error instanceof Error ? error.message : String(error) }),
  );
});

async function answer({
  assembly,
  printer,
  without,
  cope,
  file,
}: PaperMessage): Promise<{ readonly pages: Pages } | { readonly file: ArrayBuffer }> {
  const pages = layPages(patternsOf(assembly, cope), printer, without);
  if (!file || pages.kind !== 'laid') return { pages };
  const [{ jsPDF }, face] = await Promise.all([import('jspdf'), (typeface ??= fetched())]);
  const doc = new jsPDF({ unit: 'mm', compress: true });
  doc.addFileToVFS('patterns.ttf', face);
  doc.addFont('patterns.ttf', FACE, 'normal');
  return {
    file: patternsPdf(doc, {
      face: FACE,
      ...file,
      ...pages,
      patterns: pages.patterns.filter((p) => p.fragments.length > 0),
      printer,
    }),
  };
}

/** As the writer takes it; where it does not come, it is fetched again the next time. */
let typeface: Promise<string> | null = null;
async function fetched(): Promise<string> {
  try {
    const came = await fetch('/paper/SourceSans3_400Regular.ttf');
    if (!came.ok) throw new Error(`the typeface for the sheets did not come (${came.status})`);
    const bytes = new Uint8Array(await came.arrayBuffer());
    let text = '';
    for (let i = 0; i < bytes.length; i += CHUNK) text += String.fromCharCode(...bytes.subarray(i, i + CHUNK));
    return btoa(text);
  } catch (error) {
    typeface = null;
    throw error;
  }
}
const FACE = 'Patterns';
/** As many characters as one call takes at once. */
const CHUNK = 0x8000;

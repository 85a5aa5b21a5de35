/// <reference lib="webworker" />
/** Draws patterns and lays them on paper; writes them, and drawings of the rig, as PDF, with a typeface fetched once. */
import type { Assembly, UnitChoice } from '@tide-pebble/core';
import { layPages, patternsOf, type Cope, type Pages, type Printer } from '@tide-pebble/core/patterns';
import type { jsPDF } from 'jspdf';
import type { CardSheet } from '../export/card-sheet';
import { cardsPdf, lying } from '../export/cards-pdf';
import { drawingPdf, pageFor } from '../export/drawing-pdf';
import { logPdf, type LogPaper } from '../export/log-pdf';
import type { PaperSheet } from '../export/svg';
import { patternsPdf } from '../export/patterns/patterns-pdf';

export interface PatternsAsked {
  readonly assembly: Assembly;
  readonly printer: Printer;
  /** Ids of patterns that are left out. */
  readonly without: readonly string[];
  /** Of the maker's own. */
  readonly cope: Cope | null;
  /** Asked for as a file. */
  readonly file?: { readonly name: string; readonly units: UnitChoice };
}
export interface DrawingAsked {
  readonly drawing: PaperSheet;
  readonly printer: Printer;
}
export interface CardsAsked {
  readonly cards: readonly CardSheet[];
}
export interface LogAsked {
  readonly log: LogPaper;
}
export type PaperAsked = PatternsAsked | DrawingAsked | CardsAsked | LogAsked;
export type PaperMessage = { readonly id: number } & PaperAsked;
export type PaperAnswer = { readonly id: number } & (
  { readonly pages: Pages } | { readonly file: ArrayBuffer } | { readonly fault: string }
);

addEventListener('message', ({ data }: MessageEvent<PaperMessage>) => {
  void answer(data).then(
    (of) => postMessage({ id: data.id, ...of }),
    (error: unknown) => postMessage({ id: data.id, fault: error instanceof Error ? error.message : String(error) }),
  );
});

async function answer(asked: PaperAsked): Promise<{ readonly pages: Pages } | { readonly file: ArrayBuffer }> {
  if ('drawing' in asked) {
    const [width, height] = pageFor(asked.drawing, asked.printer);
    const doc = await newDocument([width, height], width > height ? 'landscape' : 'portrait');
    return { file: drawingPdf(doc, asked.drawing) };
  }
  if ('cards' in asked) {
    const { width, height } = asked.cards[0]!;
    return { file: cardsPdf(await newDocument([width, height], lying(width, height)), asked.cards) };
  }
  if ('log' in asked) return { file: logPdf(await newDocument('a4', 'portrait'), asked.log) };
  const { assembly, printer, without, cope, file } = asked;
  const pages = layPages(patternsOf(assembly, cope), printer, without);
  if (!file || pages.kind !== 'laid') return { pages };
  return {
    file: patternsPdf(await newDocument('a4', 'portrait'), {
      face: FACE,
      ...file,
      ...pages,
      patterns: pages.patterns.filter((p) => p.fragments.length > 0),
      printer,
    }),
  };
}

async function newDocument(format: 'a4' | [number, number], orientation: 'portrait' | 'landscape'): Promise<jsPDF> {
  const [{ jsPDF: Document }, face] = await Promise.all([import('jspdf'), (typeface ??= fetched())]);
  const doc = new Document({ unit: 'mm', compress: true, format, orientation });
  doc.addFileToVFS('patterns.ttf', face);
  doc.addFont('patterns.ttf', FACE, 'normal');
  doc.setFont(FACE);
  return doc;
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

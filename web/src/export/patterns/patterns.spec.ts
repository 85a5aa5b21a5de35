import { METRIC, type UnitChoice } from '@tide-pebble/core';
import { boxOf, layPages, patternsOf, USUAL_PRINTER, type Pattern } from '@tide-pebble/core/patterns';
import { jsPDF } from 'jspdf';
import { benchAt } from '../../testing/bench';
import { patternDxf } from './pattern-dxf';
import { patternSvg } from './pattern-svg';
import { patternsPdf } from './patterns-pdf';

const patterns = (family: string): readonly Pattern[] => patternsOf(benchAt({}, family).work.assembly);
const INCHES: UnitChoice = { system: 'inch', fraction: 32 };

describe('a pattern as a file', () => {
  it('is an SVG as large as the piece, its circles as large as their drills', () => {
    for (const p of patterns('tube-frame')) {
      const page = new DOMParser().parseFromString(patternSvg(p, METRIC), 'image/svg+xml');
      expect(page.querySelector('parsererror')).toBeNull();
      const { min, max } = boxOf(p.ink);
      expect(parseFloat(page.documentElement.getAttribute('width')!)).toBeCloseTo((max[0] - min[0]) * 1000 + 6, 1);
      const circles = p.ink.filter((i) => i.kind === 'circle');
      expect([...page.querySelectorAll('circle')].map((c) => Number(c.getAttribute('r')))).toEqual(
        circles.map((c) => Math.round(c.radius * 1e6) / 1000),
      );
    }
  });

  it('is a DXF with each kind of line on its layer', () => {
    const [blank] = patterns('gimballed-bent-bar');
    const dxf = patternDxf(blank!, METRIC);
    for (const layer of ['cut', 'cut-last', 'bend', 'centre', 'guide'])
      expect(dxf).toMatch(new RegExp(`^${layer}$`, 'm'));
    expect(dxf.match(/^CIRCLE$/gm)!.length).toBe(blank!.holes.length);
  });

  it('is a page of a PDF: a cover, then as many sheets as were laid', () => {
    for (const units of [METRIC, INCHES]) {
      const pages = layPages(patterns('balance-arm'), USUAL_PRINTER);
      if (pages.kind !== 'laid') throw new Error('no room');
      const doc = new jsPDF({ unit: 'mm' });
      const made = new TextDecoder('latin1').decode(
        patternsPdf(doc, { name: 'Dulse', ...pages, printer: USUAL_PRINTER, units, face: 'helvetica' }),
      );
      expect(made.startsWith('%PDF-')).toBeTrue();
      expect(doc.getNumberOfPages()).toBeGreaterThan(pages.sheets);
      expect(made).not.toContain('NaN');
    }
  });
});

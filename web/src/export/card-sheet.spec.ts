import { jsPDF } from 'jspdf';
import { cardSheet, cardSvg } from './card-sheet';
import { cardsPdf } from './cards-pdf';
import type { PackCard } from './pack-card';
import { wrapped } from './wrapped';

const card: PackCard = {
  loadout: 'Ebb & <b>flood</b>, a loadout whose name goes on for so long that no phone shows it in one line',
  parts: [
    { name: 'Foot washers', big: '7', beside: 'washers', small: [] },
    { name: 'Stage, fore and aft', big: '14.3 mm', beside: 'back', small: ['17 7/8 turns from the middle mark'] },
  ],
  conditions: 'Strap off.',
  expect: [{ figure: '2.1 s', rest: 'from level to upright' }],
  tight: ['neck screw'],
  doubt: '',
  mass: '1,731 g',
  entry: {
    rig: 'r',
    loadout: null,
    values: {},
    expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
  },
};

describe('a card as a sheet', () => {
  it('keeps each word within it, none over another, and says all that the card says', () => {
    const { width, height, marks } = cardSheet('Limpet', card, ['Tether it over people.']);
    const pen = new OffscreenCanvas(1, 1).getContext('2d')!;
    const boxes = marks.flatMap((m) => {
      if (m.kind !== 'word') return [];
      pen.font = `${m.isBold ? 700 : 400} ${10 * m.size}px sans-serif`;
      return [
        { text: m.text, x: m.x, y: m.y, right: m.x + pen.measureText(m.text).width / 10, top: m.y - 0.75 * m.size },
      ];
    });
    for (const b of boxes) {
      expect(b.right)
        .withContext(b.text)
        .toBeLessThanOrEqual(width - 2);
      expect(b.y).withContext(b.text).toBeLessThanOrEqual(height);
    }
    for (const [i, a] of boxes.entries())
      for (const b of boxes.slice(i + 1))
        expect(a.right <= b.x || b.right <= a.x || a.y <= b.top || b.y <= a.top)
          .withContext(`${a.text} | ${b.text}`)
          .toBeTrue();
    const all = boxes.map((b) => b.text).join(' ');
    for (const words of [
      'Limpet',
      '14.3 mm',
      'back',
      '17 7/8 turns',
      'Strap off.',
      '2.1 s',
      'neck screw',
      '1,731 g',
      'Tether it',
    ])
      expect(all).toContain(words);
  });
  it('is a picture in which no name is markup, and a page a card', () => {
    const sheet = cardSheet('Limpet', card, ['Tether it over people.']);
    const svg = new DOMParser().parseFromString(cardSvg(sheet), 'image/svg+xml');
    expect(svg.querySelector('parsererror, b')).toBeNull();
    const doc = new jsPDF({ unit: 'mm', format: [sheet.width, sheet.height] });
    const file = cardsPdf(doc, [sheet, sheet]);
    expect(doc.getNumberOfPages()).toBe(2);
    expect(doc.internal.pageSize.getWidth()).toBeCloseTo(100, 1);
    expect(file.byteLength).toBeGreaterThan(1000);
  });
});

describe('words in lines', () => {
  it('are all there, no line longer than it may be, and a word that is too long is broken', () => {
    for (const [text, letters] of [
      ['a bb ccc dddd', 4],
      ['x'.repeat(77), 20],
      ['', 5],
      ['one two', 0],
    ] as const) {
      const lines = wrapped(text, letters);
      expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      for (const line of lines) expect(line.length).toBeLessThanOrEqual(Math.max(1, letters));
    }
  });
});

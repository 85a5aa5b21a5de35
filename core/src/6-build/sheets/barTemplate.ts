/** The cut drawing of a bar's flat blank as plain data: outline, bend lines and holes, with ordinates from one end. */
import type { BarMark, BarPlan } from '../../5-stock';

export interface SheetMark extends BarMark {
  /** Where its figure stands, m along the bar: moved aside so that no two figures collide. */
  readonly labelAt: number;
  readonly row: 'above' | 'below';
}
export interface BarTemplate {
  readonly length: number;
  readonly width: number;
  readonly finished: number;
  readonly marks: readonly SheetMark[];
}

/** `labelRoom` is the least distance between two figures on one row, m on the drawing's own scale. */
export function barTemplate(bar: BarPlan, labelRoom: number): BarTemplate {
  const place = (marks: readonly BarMark[], row: 'above' | 'below'): SheetMark[] => {
    const placed: SheetMark[] = [];
    for (const mark of marks) {
      const before = placed.at(-1)?.labelAt ?? -Infinity;
      placed.push({ ...mark, row, labelAt: Math.max(mark.along, before + labelRoom) });
    }
    // Anything pushed past the end is drawn back from there, the last first.
    let limit = bar.blank;
    for (let i = placed.length - 1; i >= 0 && placed[i]!.labelAt > limit; i--) {
      placed[i] = { ...placed[i]!, labelAt: limit };
      limit -= labelRoom;
    }
    return placed;
  };
  const holes = bar.marks.filter((m) => m.kind === 'hole');
  return {
    length: bar.blank,
    width: bar.width,
    finished: bar.finished,
    marks: [
      ...place(holes, 'above'),
      ...place(
        bar.marks.filter((m) => m.kind !== 'hole'),
        'below',
      ),
    ],
  };
}

/** A pattern as it will lie on paper, small: its lines, its holes, where it is parted. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { render, type Point2, type UnitChoice } from '@tide-pebble/core';
import type { Ink, Laid } from '@tide-pebble/core/patterns';
import { TYPE_SIZE } from '../../../export/patterns/strokes';

const MM = 1000;

@Component({
  selector: 'tp-pattern-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pattern-picture.html',
  styleUrl: './pattern-picture.css',
})
export class PatternPicture {
  readonly laid = input.required<Laid>();
  readonly units = input.required<UnitChoice>();

  protected readonly title = computed(() => render(this.laid().pattern.title, this.units()));
  protected readonly drawn = computed(() => {
    const { box, pattern, fragments } = this.laid();
    const [width, height] = [(box.max[0] - box.min[0]) * MM, (box.max[1] - box.min[1]) * MM];
    const place = ([x, y]: Point2): Point2 => [(x - box.min[0]) * MM, (box.max[1] - y) * MM];
    // Of what is long, words and letters of parts must still be read.
    const letter = Math.max(5, width / 50);
    // In their corners, or over a pattern that is too low for that.
    const over = fragments.length > 1 && height < 6 * letter ? 1.4 * letter : 0;
    const corner = ([x, y]: Point2): Point2 => [x + letter, over > 0 ? -over / 2 : y + 0.7 * letter];
    return {
      view: `0 ${-over} ${width} ${height + over}`,
      // Never larger than life.
      width,
      lines: pattern.ink.flatMap((i) => lineOf(i, place)),
      words: pattern.ink.flatMap((i) =>
        i.kind === 'words'
          ? [{ at: place(i.at), text: render(i.says, this.units()), size: i.height * MM * TYPE_SIZE }]
          : [],
      ),
      parts:
        fragments.length > 1
          ? fragments.map((f) => ({
              label: f.label,
              path: ringOf(
                [f.own.min, [f.own.max[0], f.own.min[1]], f.own.max, [f.own.min[0], f.own.max[1]]].map((p) =>
                  place(p as Point2),
                ),
              ),
              at: corner(place([f.own.min[0], f.own.max[1]])),
            }))
          : [],
      letter,
    };
  });
}

const ringOf = (points: readonly Point2[]): string => `M${points.map((p) => p.join(' ')).join('L')}Z`;

function lineOf(ink: Ink, place: (p: Point2) => Point2): readonly { readonly d: string; readonly stroke: string }[] {
  if (ink.kind === 'words') return [];
  if (ink.kind === 'path')
    return [
      { d: `M${ink.points.map((p) => place(p).join(' ')).join('L')}${ink.closed ? 'Z' : ''}`, stroke: ink.stroke },
    ];
  const [x, y] = place(ink.at);
  const r = ink.radius * MM;
  return [{ d: `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`, stroke: ink.stroke }];
}

/** The drawing that is the screen: the rig square-on, hanging as it hangs, with what the stage wants shown over it. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { bodiesBeyond, DEGREE, figure, FROM_LEVEL, showFigure, type DrawnDimension, type Point2, type Quantity, type View } from '@tide-pebble/core';
import type { Bench } from '../services/workspace';
import { Pointer } from '../services/pointer';
import { Units } from '../services/units';
import { litBy } from './lit';
import { PoolGlass } from './pool-glass';
import { QuantityField } from './quantity-field';
import { PLAIN, sheetOf, WITH_DIMENSIONS, WITH_GLASS, type DrawnView } from './rig-drawing';
import { hostSize } from './host-size';

interface DimensionMark {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly value: number;
  readonly range: readonly [number, number];
  readonly from: Point2;
  readonly to: Point2;
  /** The dimension line is set off to the side of what it measures. */
  readonly line: readonly [Point2, Point2];
  readonly labelAt: Point2;
}

@Component({
  selector: 'tp-rig-views',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField, PoolGlass],
  templateUrl: './rig-views.html',
  styleUrl: './rig-views.css',
})
export class RigViews {
  protected readonly pointer = inject(Pointer);
  private readonly units = inject(Units).now;
  private readonly size = hostSize({ width: 880, height: 620 });

  readonly bench = input.required<Bench>();
  readonly views = input<readonly View[]>(['side', 'front']);
  /** Plumb line, mass centre, pool and lean. */
  readonly balance = input(false);
  /** Extra turn of what hangs, rad, nose down: for playing the drop. */
  readonly swing = input<number | null>(null);
  readonly dimensions = input<readonly DrawnDimension[]>([]);
  readonly dimensionChanged = output<{ id: string; quantity: Quantity }>();

  private readonly hung = computed(() => this.bench().judged.evaluation.hung);
  /** While a drop plays, room is kept for the whole of it. */
  private readonly swinging = computed(() => {
    const hung = this.hung();
    if (!hung) return null;
    const rest = hung.hang.rest;
    const lean = { side: this.playing() ? FROM_LEVEL : (rest?.noseDown ?? 0), front: rest?.leftSideDown ?? 0, top: 0 };
    return { bodies: bodiesBeyond(this.bench().piece.rig, hung.pivot), pivot: hung.pivotAt, lean };
  });
  private readonly playing = computed(() => this.swing() !== null);
  protected readonly box = this.size;
  private readonly margins = computed(() => (this.size().width < 560 ? PLAIN : this.balance() ? WITH_GLASS : this.dimensions().length > 0 ? WITH_DIMENSIONS : PLAIN));
  /** The magnifier stands between the views; on a narrow sheet its own style places it. */
  protected readonly glassLeft = computed(() => {
    const [side, front] = this.sheet().views;
    return side && front ? side.right + 6 : null;
  });
  protected readonly leader = computed(() => {
    const left = this.glassLeft();
    const at = this.pivots()[0]?.centre;
    return left === null || !at || this.swing() !== null ? null : { from: at, to: [left + 32, this.size().height - 150] as const };
  });
  protected readonly sheet = computed(() => sheetOf(this.bench().judged.evaluation.pieces, this.shownViews(), this.size(), this.swinging(), this.margins()));
  protected readonly shownViews = computed<readonly View[]>(() => (this.size().width < 560 || this.playing() ? this.views().slice(0, 1) : this.views()));
  protected readonly lean = computed(() => {
    const rest = this.hung()?.hang.rest;
    return { side: this.swing() ?? rest?.noseDown ?? 0, front: this.swing() === null ? (rest?.leftSideDown ?? 0) : 0, top: 0 };
  });
  protected readonly label = computed(() => {
    const { rig, judged } = this.bench();
    const rest = judged.evaluation.hung?.hang.rest;
    return `${rig.name}, drawn square-on at 1 to ${this.sheet().scale}. ${rest ? `It hangs ${this.says(rest.noseDown, ['nose down', 'nose up'])}.` : 'It does not rest upright.'}`;
  });
  protected readonly pivots = computed(() => {
    const hung = this.hung();
    return hung ? this.sheet().views.map((v) => ({ view: v.view, at: v.place(hung.pivotAt), centre: v.place(hung.massCentre), bottom: v.bottom })) : [];
  });
  protected readonly lit = computed(() => litBy(this.pointer.at(), this.bench()));
  protected readonly pivotId = computed(() => this.hung()?.pivot.id ?? '');
  protected readonly marks = computed(() => this.dimensions().flatMap((d) => this.markOf(d)));
  /** What the rig's lean says beside each view. */
  protected readonly leanWords = computed(() => {
    const rest = this.hung()?.hang.rest;
    if (!rest || this.swing() !== null) return [];
    const { levelWithin } = this.bench().rig.wants;
    return this.pivots().map((p) => {
      const angle = p.view === 'side' ? rest.noseDown : rest.leftSideDown;
      const words = p.view === 'side' ? (['nose down', 'nose up'] as const) : (['left down', 'right down'] as const);
      return { view: p.view, at: p.at, out: Math.abs(angle) > levelWithin, text: this.says(angle, words) };
    });
  });

  protected turn(view: View): string | null {
    const pivot = this.pivots().find((p) => p.view === view);
    return pivot ? `rotate(${(this.lean()[view] / DEGREE).toFixed(3)} ${pivot.at[0]} ${pivot.at[1]})` : null;
  }

  private says(angle: number, [positive, negative]: readonly [string, string]): string {
    const size = Math.abs(angle);
    if (size < 0.05 * DEGREE) return 'level';
    return `${showFigure(figure('angle', size), this.units())} ${angle > 0 ? positive : negative}`;
  }

  private markOf(drawn: DrawnDimension): readonly DimensionMark[] {
    const view: DrawnView | undefined = this.sheet().views.find((v) => v.view === drawn.view);
    const { family, input: given } = this.bench().piece;
    const spec = family?.dimensions.find((d) => d.id === drawn.dimension);
    if (!view || !spec || !given) return [];
    const [from, to] = [view.place(drawn.from), view.place(drawn.to)];
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const size = Math.hypot(dx, dy) || 1;
    const off: Point2 = [(-dy / size) * drawn.offset, (dx / size) * drawn.offset];
    const line: readonly [Point2, Point2] = [[from[0] + off[0], from[1] + off[1]], [to[0] + off[0], to[1] + off[1]]];
    return [{ id: spec.id, name: spec.name, about: spec.about, value: given.dimensions[spec.id]!, range: spec.range, from, to, line, labelAt: [(line[0][0] + line[1][0]) / 2, (line[0][1] + line[1][1]) / 2] }];
  }
}

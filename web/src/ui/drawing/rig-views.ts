/** The drawing that is the screen: the rig square-on, hanging as it hangs, with what the stage wants shown over it. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import {
  bodiesBeyond,
  DEGREE,
  figure,
  FROM_LEVEL,
  project,
  showFigure,
  type DrawnDimension,
  type Point2,
  type Quantity,
  type Stance,
  type Vec3,
  type View,
  leanWords,
  render,
} from '@tide-pebble/core';
import type { Bench } from '../../services/workspace';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { litBy } from './lit';
import { PoolGlass } from './pool-glass';
import { QuantityField } from '../figures/quantity-field';
import { drawnPerson, roomOf } from './person';
import { moveOnPaper, PLAIN, sheetOf, WITH_DIMENSIONS, WITH_GLASS, type DrawnView } from './rig-drawing';
import { hostSize } from '../host-size';

/** Longer than a slow frame. */
const REFUSED_AFTER_MS = 150;
const LEVEL = { side: 0, front: 0, top: 0 };

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
  host: {
    '[attr.tabindex]': 'selectable() ? 0 : null',
    '[attr.role]': 'selectable() ? "group" : null',
    '[attr.aria-label]': 'selectable() ? "Drawing; arrow keys move what is picked" : null',
    '(keydown)': 'nudge($event)',
    '(pointerdown)': 'selectable() && picked.emit(null)',
    '(pointermove)': 'pull($event)',
    '(pointerup)': 'letGo()',
    '(pointercancel)': 'letGo()',
  },
})
export class RigViews {
  protected readonly pointer = inject(Pointer);
  private readonly units = inject(Units).now;
  private readonly size = hostSize({ width: 880, height: 620 });

  readonly bench = input.required<Bench>();
  readonly views = input<readonly View[]>(['side', 'front']);
  /** Plumb line, mass centre, pool and lean. */
  readonly balance = input(false);
  /** Who holds it, drawn beside it; one for each hand that holds. */
  readonly people = input<readonly Stance[]>([]);
  /** Extra turn of what hangs, rad, nose down: for playing the drop. */
  readonly swing = input<number | null>(null);
  /** The same seen from the front, rad, left side down; both views are then shown while it swings. */
  readonly swingFront = input<number | null>(null);
  readonly dimensions = input<readonly DrawnDimension[]>([]);
  readonly dimensionChanged = output<{ id: string; quantity: Quantity }>();
  /** What is picked on the drawing, and where it is dragged or nudged to; only where the stage asks for it. */
  readonly selectable = input(false);
  readonly selected = input<string | null>(null);
  /** The least move a drag or an arrow key makes along each rig axis, m. */
  readonly snap = input<Vec3>([0.001, 0.001, 0.001]);
  readonly picked = output<string | null>();
  readonly dragged = output<{ id: string; by: Vec3 }>();
  private readonly drag = signal<{ view: View; from: Point2; by: Point2; dropped: boolean } | null>(null);

  private readonly hung = computed(() => this.bench().judged.evaluation.hung);
  /** While a drop plays, room is kept for the whole of it. */
  private readonly swinging = computed(() => {
    const hung = this.hung();
    if (!hung) return null;
    const rest = hung.hang.rest;
    // Where it is built it is drawn square, however it would hang.
    const lean = this.selectable()
      ? LEVEL
      : { side: this.playing() ? FROM_LEVEL : (rest?.noseDown ?? 0), front: rest?.leftSideDown ?? 0, top: 0 };
    return { bodies: bodiesBeyond(this.bench().work.rig, hung.pivot), pivot: hung.pivotAt, lean };
  });
  private readonly playing = computed(() => this.swing() !== null);
  protected readonly box = this.size;
  private readonly margins = computed(() =>
    this.size().width < 560
      ? PLAIN
      : this.balance()
        ? WITH_GLASS
        : this.dimensions().length > 0
          ? WITH_DIMENSIONS
          : PLAIN,
  );
  /** The magnifier stands between the views; on a narrow sheet its own style places it. */
  protected readonly glassLeft = computed(() => {
    const [side, front] = this.sheet().views;
    return side && front ? side.right + 6 : null;
  });
  protected readonly leader = computed(() => {
    const left = this.glassLeft();
    const at = this.pivots()[0]?.centre;
    return left === null || !at || this.swing() !== null
      ? null
      : { from: at, to: [left + 32, this.size().height - 150] as const };
  });
  protected readonly sheet = computed(() =>
    sheetOf(
      this.bench().judged.evaluation.pieces,
      this.shownViews(),
      this.size(),
      this.swinging(),
      this.margins(),
      this.people().flatMap(roomOf),
    ),
  );
  protected readonly shownViews = computed<readonly View[]>(() =>
    this.size().width < (this.swingFront() === null ? 560 : 380) || (this.playing() && this.swingFront() === null)
      ? this.views().slice(0, 1)
      : this.views(),
  );
  protected readonly lean = computed(() => {
    const rest = this.hung()?.hang.rest;
    if (this.selectable()) return LEVEL;
    return {
      side: this.swing() ?? rest?.noseDown ?? 0,
      front: this.swing() === null ? (rest?.leftSideDown ?? 0) : (this.swingFront() ?? 0),
      top: 0,
    };
  });
  protected readonly label = computed(() => {
    const { rig, judged } = this.bench();
    const rest = judged.evaluation.hung?.hang.rest;
    // Of a rig that hangs on no joint nothing is said of how it rests.
    const hangs = rest
      ? ` It hangs ${render(leanWords(rest.noseDown, ['nose down', 'nose up']), this.units())}.`
      : judged.evaluation.hung
        ? ' It does not rest upright.'
        : '';
    return `${rig.name}, drawn square-on at 1 to ${this.sheet().scale}.${hangs}`;
  });
  protected readonly pivots = computed(() => {
    const hung = this.hung();
    return hung
      ? this.sheet().views.map((v) => ({
          view: v.view,
          at: v.place(hung.pivotAt),
          centre: v.place(hung.massCentre),
          bottom: v.bottom,
        }))
      : [];
  });
  /** Where the mass centre lies, and the hands hold, for a rig that hangs on nothing or is only looked at. */
  protected readonly centres = computed(() => {
    if (this.balance() && this.hung()) return [];
    const { massCentre } = this.bench().judged.evaluation;
    return massCentre ? this.sheet().views.map((v) => ({ view: v.view, at: v.place(massCentre) })) : [];
  });
  protected readonly hands = computed(() => {
    const { evaluation } = this.bench().judged;
    const [first] = evaluation.held;
    const held = first && first.bears.length > 0 ? first.bears : (first?.hands ?? []);
    return this.balance() || this.selectable()
      ? this.sheet().views.flatMap((v) =>
          held.map((h) => ({
            key: `${v.view} ${h.contact.id}`,
            id: h.contact.id,
            name: h.contact.name,
            at: v.place(h.at),
          })),
        )
      : [];
  });
  /** Arms, trunk and head of whoever holds it, view by view. */
  protected readonly figures = computed(() =>
    this.sheet().views.flatMap((v) =>
      this.people().map((s, i) => ({
        key: `${v.view} ${i}`,
        ...drawnPerson(s, v, this.sheet().pixelsPerMetre),
      })),
    ),
  );
  /** A round length to measure the paper by. */
  protected readonly bar = computed(() => {
    const { pixelsPerMetre } = this.sheet();
    const inch = this.units().system === 'inch';
    const length =
      (inch ? [1, 2, 4, 6, 12, 24].map((n) => n * 0.0254) : [0.01, 0.02, 0.05, 0.1, 0.2, 0.5]).find(
        (l) => l * pixelsPerMetre >= 60,
      ) ?? 1;
    return {
      width: length * pixelsPerMetre,
      text: showFigure(figure('length', length, 0), this.units()),
      y: this.size().height - 14,
    };
  });
  protected readonly lit = computed(() => litBy(this.pointer.at(), this.bench()));
  protected readonly pivotId = computed(() => this.hung()?.pivot.id ?? '');
  protected readonly marks = computed(() =>
    apart(
      this.dimensions().flatMap((d) => this.markOf(d)),
      this.size(),
    ),
  );
  /** What the rig's lean says beside each view. */
  protected readonly leanWords = computed(() => {
    const rest = this.hung()?.hang.rest;
    if (!rest || this.swing() !== null) return [];
    const { levelWithin } = this.bench().rig.wants;
    return this.pivots()
      .filter((p) => p.view !== 'top')
      .map((p) => {
        const angle = p.view === 'side' ? rest.noseDown : rest.leftSideDown;
        const words = p.view === 'side' ? (['nose down', 'nose up'] as const) : (['left down', 'right down'] as const);
        return {
          view: p.view,
          at: p.at,
          out: Math.abs(angle) > levelWithin,
          text: render(leanWords(angle, words), this.units()),
        };
      });
  });

  constructor() {
    // What was dropped stays where it was dropped till it is drawn there.
    effect(() => {
      this.bench();
      if (untracked(this.drag)?.dropped) this.drag.set(null);
    });
  }

  protected turn(view: View): string | null {
    const pivot = this.pivots().find((p) => p.view === view);
    return pivot ? `rotate(${(this.lean()[view] / DEGREE).toFixed(3)} ${pivot.at[0]} ${pivot.at[1]})` : null;
  }

  protected ghost(owner: string, view: View): string | null {
    const drag = this.drag();
    return drag && owner === this.selected() && drag.view === view ? `translate(${drag.by[0]} ${drag.by[1]})` : null;
  }

  protected press(event: PointerEvent, owner: string, view: View): void {
    if (!this.selectable() || event.button !== 0) return;
    event.stopPropagation();
    if (owner !== this.selected()) return this.picked.emit(owner);
    (event.target as Element).setPointerCapture(event.pointerId);
    this.drag.set({ view, from: [event.clientX, event.clientY], by: [0, 0], dropped: false });
  }

  protected pull(event: PointerEvent): void {
    const drag = this.drag();
    if (!drag || drag.dropped) return;
    const { pixelsPerMetre } = this.sheet();
    const [across, up] = project(this.snap(), drag.view);
    const snapped = (px: number, step: number): number =>
      Math.round(px / (step * pixelsPerMetre)) * step * pixelsPerMetre;
    this.drag.set({
      ...drag,
      by: [snapped(event.clientX - drag.from[0], across), snapped(event.clientY - drag.from[1], up)],
    });
  }

  protected letGo(): void {
    const drag = this.drag();
    const id = this.selected();
    if (!drag || drag.dropped) return;
    if (!id || Math.hypot(...drag.by) <= 0.01) return this.drag.set(null);
    this.drag.set({ ...drag, dropped: true });
    // A move that is refused draws nothing new.
    setTimeout(() => this.drag.update((now) => (now?.dropped ? null : now)), REFUSED_AFTER_MS);
    this.dragged.emit({ id, by: moveOnPaper(drag.view, drag.by[0], drag.by[1], this.sheet().pixelsPerMetre) });
  }

  /** Arrow keys move what is picked by one step, in the first view; with Shift in the second. Escape lets go of it. */
  protected nudge(event: KeyboardEvent): void {
    const id = this.selected();
    if (!this.selectable() || !id || /^(INPUT|TEXTAREA|SELECT)$/.test((event.target as Element).tagName)) return;
    if (event.key === 'Escape') return this.picked.emit(null);
    const [right, down] = (
      { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as Record<
        string,
        [number, number]
      >
    )[event.key] ?? [0, 0];
    if (right === 0 && down === 0) return;
    event.preventDefault();
    const views = this.shownViews();
    const view = views[event.shiftKey ? views.length - 1 : 0]!;
    const [across, up] = project(this.snap(), view);
    this.dragged.emit({ id, by: moveOnPaper(view, right * across, down * up, 1) });
  }

  private markOf(drawn: DrawnDimension): readonly DimensionMark[] {
    const view: DrawnView | undefined = this.sheet().views.find((v) => v.view === drawn.view);
    const { family, input: given } = this.bench().work;
    const spec = family?.dimensions.find((d) => d.id === drawn.dimension);
    if (!view || !spec || !given) return [];
    const [from, to] = [view.place(drawn.from), view.place(drawn.to)];
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const size = Math.hypot(dx, dy);
    // A dimension of zero has nothing to be drawn between; it stands in the list.
    if (size < 1) return [];
    const off: Point2 = [(-dy / size) * drawn.offset, (dx / size) * drawn.offset];
    const line: readonly [Point2, Point2] = [
      [from[0] + off[0], from[1] + off[1]],
      [to[0] + off[0], to[1] + off[1]],
    ];
    return [
      {
        id: spec.id,
        name: spec.name,
        about: spec.about,
        value: given.dimensions[spec.id]!,
        range: spec.range,
        from,
        to,
        line,
        labelAt: [(line[0][0] + line[1][0]) / 2, (line[0][1] + line[1][1]) / 2],
      },
    ];
  }
}

const LABEL = { width: 78, height: 26 };

/** Figures that would lie on one another are slid along their own dimension line, then out from it, till they do not. */
function apart(marks: readonly DimensionMark[], paper: { width: number; height: number }): readonly DimensionMark[] {
  const placed: Point2[] = [];
  return marks.map((mark) => {
    const [[x0, y0], [x1, y1]] = mark.line;
    const size = Math.hypot(x1 - x0, y1 - y0) || 1;
    const out: Point2 = [-(y1 - y0) / size, (x1 - x0) / size];
    const free = (p: Point2): boolean =>
      placed.every((q) => Math.abs(p[0] - q[0]) >= LABEL.width || Math.abs(p[1] - q[1]) >= LABEL.height);
    // A figure stays on the paper, and off the views' titles.
    const kept = ([x, y]: Point2): Point2 => [
      Math.max(44, Math.min(paper.width - 44, x)),
      Math.max(64, Math.min(paper.height - 20, y)),
    ];
    const tries = [0, 30, -30, 60, -60]
      .flatMap((away) =>
        [0.5, 0.3, 0.7, 0.15, 0.85].map((t): Point2 => [
          x0 + t * (x1 - x0) + away * out[0],
          y0 + t * (y1 - y0) + away * out[1],
        ]),
      )
      .map(kept);
    const labelAt = tries.find(free) ?? kept(mark.labelAt);
    placed.push(labelAt);
    return { ...mark, labelAt };
  });
}

/** The loadout shown, square-on from three sides, with the mass centre of every loadout over it; what is mounted can be dragged or nudged. */
import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import {
  add,
  IDENTITY,
  outline,
  project,
  render,
  scale,
  transform,
  transpose,
  type FlatBody,
  type Mat3,
  type PlacedItem,
  type Point2,
  type Vec3,
  type View,
} from '@tide-pebble/core';
import { coverWords, drawnLoadWords } from '@tide-pebble/core/measuring';
import { together } from '../../services/keeping/history';
import { LoadBench } from '../../services/load-bench';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { sheetOf, type DrawnView, type Margins } from '../../ui/drawing/rig-drawing';
import { hostSize } from '../../ui/host-size';

const VIEWS: readonly View[] = ['side', 'front', 'top'];
const NARROW = 620;
const MARGINS: Margins = { left: 28, top: 58, right: 28, bottom: 40, between: 48 };
/** A drag goes by whole millimetres, a nudge with the arrow keys too. */
const STEP = 0.001;
const CONE_LENGTH = 0.05;

interface Drag {
  readonly entry: string;
  readonly view: DrawnView;
  readonly pixelsPerMetre: number;
  readonly start: Point2;
  readonly offset: Vec3;
  readonly parentTurn: Mat3;
  /** One drag is one step to undo, however long it takes. */
  readonly step: string;
}

@Component({
  selector: 'tp-load-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './load-drawing.html',
  styleUrl: './load-drawing.css',
})
export class LoadDrawing {
  protected readonly load = inject(LoadBench);
  protected readonly pointer = inject(Pointer);
  private readonly units = inject(Units).now;
  private readonly size = hostSize({ width: 820, height: 280 });
  private readonly drag = signal<Drag | null>(null);
  readonly picked = model<string | null>(null);

  protected readonly box = this.size;
  private readonly views = computed(() => (this.size().width < NARROW ? VIEWS.slice(0, 2) : VIEWS));
  /** While something is dragged the sheet keeps its scale, else the drawing would run away under the finger. */
  private readonly fitted = computed(() =>
    sheetOf(
      this.load.bodies().map((flat) => ({ body: 'load', flat, isLoad: true, movedBy: [] })),
      this.views(),
      this.size(),
      null,
      MARGINS,
    ),
  );
  private readonly held = signal<ReturnType<typeof sheetOf> | null>(null);
  protected readonly sheet = computed(() => this.held() ?? this.fitted());

  protected readonly drawn = computed(() => {
    const bodies = this.load.bodies();
    return this.sheet().views.map((view) => ({
      ...view,
      gear: [...bodies]
        .sort((a, b) => depth(a, view.view) - depth(b, view.view))
        .map((flat) => ({ id: flat.owner, name: flat.name, path: pathOf(outline(flat, view.view).map(view.onPaper)) })),
      cones: this.load
        .cones()
        .flatMap((c) =>
          c.kind === 'cone' && view.view !== 'front'
            ? [
                view.view === 'side'
                  ? conePath(view, c.cone, c.cone.up, c.cone.wide.up)
                  : conePath(view, c.cone, c.cone.left, c.cone.wide.across),
              ]
            : [],
        ),
      foot: view.place([0, 0, 0]),
      centres: this.load.coverage().loadouts.map((l) => ({
        id: l.id,
        name: l.name,
        at: view.place(l.centre),
        radii: project(l.spread, view.view).map((s) => Math.max(0, 2 * s * this.sheet().pixelsPerMetre)) as [
          number,
          number,
        ],
        shown: l.id === this.load.loadout()?.id,
      })),
    }));
  });

  protected readonly label = computed(() => {
    const loadout = this.load.loadout();
    const covered = this.load.coverage().loadouts.find((l) => l.id === loadout?.id);
    if (!loadout || !covered) return 'Nothing is mounted yet.';
    return render(drawnLoadWords(loadout.name, covered.centre, this.sheet().scale), this.units());
  });

  /** In one line what the panel says at length. */
  protected readonly caption = computed(() => {
    const words = coverWords(this.load.coverage());
    return words && render(words, this.units());
  });

  protected grab(event: PointerEvent, entry: string, view: DrawnView): void {
    this.picked.set(entry);
    const placed = this.load.placed().items.find((p) => p.entry.id === entry);
    if (!placed || event.button !== 0) return;
    event.preventDefault();
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.held.set(this.sheet());
    this.drag.set({
      entry,
      view,
      pixelsPerMetre: this.sheet().pixelsPerMetre,
      start: [event.clientX, event.clientY],
      offset: placed.entry.offset,
      parentTurn: this.turnUnder(placed),
      step: together(),
    });
  }

  protected pull(event: PointerEvent): void {
    const drag = this.drag();
    if (!drag) return;
    const across = rounded((event.clientX - drag.start[0]) / drag.pixelsPerMetre);
    const up = rounded((drag.start[1] - event.clientY) / drag.pixelsPerMetre);
    if (across === 0 && up === 0) return;
    this.move(drag.entry, drag.view.view, drag.offset, [across, up], drag.parentTurn, drag.step);
  }

  protected letGo(): void {
    this.drag.set(null);
    this.held.set(null);
  }

  protected nudge(event: KeyboardEvent, entry: string, view: View): void {
    const way = (
      { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Readonly<
        Record<string, Point2>
      >
    )[event.key];
    if (event.key === 'Enter' || event.key === ' ') this.picked.set(entry);
    else if (!way) return;
    event.preventDefault();
    const placed = this.load.placed().items.find((p) => p.entry.id === entry);
    if (!way || !placed) return;
    const step = event.shiftKey ? 10 * STEP : STEP;
    this.move(entry, view, placed.entry.offset, [way[0] * step, way[1] * step], this.turnUnder(placed));
  }

  /** How what it stands on is turned: a place of the rig's own, another item, or the mount. */
  private turnUnder({ entry }: PlacedItem): Mat3 {
    const own = entry.onRig === undefined ? undefined : this.load.onRig()?.get(entry.onRig);
    return own?.turn ?? this.load.placed().items.find((p) => p.entry.id === entry.on?.mounted)?.turn ?? IDENTITY;
  }

  /** What is seen is in the rig's axes; an offset is in those of what the item stands on. */
  private move(entry: string, view: View, from: Vec3, [across, up]: Point2, parentTurn: Mat3, step?: string): void {
    const seen: Vec3 = view === 'side' ? [across, 0, up] : view === 'front' ? [0, across, up] : [across, up, 0];
    const offset = add(from, transform(transpose(parentTurn), seen)).map(
      (x) => Math.round(x * 1e5) / 1e5,
    ) as unknown as Vec3;
    const loadout = this.load.loadout();
    if (loadout)
      this.load.changeEntry(
        loadout.id,
        entry,
        ({ typed: _typed, ...m }) => ({ ...m, offset: [offset[0], offset[1], offset[2]] }),
        step,
      );
  }
}

const rounded = (metres: number): number => Math.round(metres / STEP) * STEP;
const depth = (flat: FlatBody, view: View): number =>
  view === 'side' ? -flat.centre[1] : view === 'front' ? flat.centre[0] : flat.centre[2];
const pathOf = (points: readonly Point2[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

/** From the rim of the front face, widening by half the angle each side. */
function conePath(
  view: DrawnView,
  cone: { readonly front: Vec3; readonly forward: Vec3; readonly frontRadius: number },
  across: Vec3,
  angle: number,
): string {
  const spread = Math.min(1.2, angle / 2);
  const side = (way: 1 | -1): readonly [Point2, Point2] => {
    const rim = add(cone.front, scale(across, way * cone.frontRadius));
    const end = add(add(rim, scale(cone.forward, CONE_LENGTH)), scale(across, way * CONE_LENGTH * Math.tan(spread)));
    return [view.place(rim), view.place(end)];
  };
  const [a, b] = [side(1), side(-1)];
  return `M${a[1].join(' ')}L${a[0].join(' ')}M${b[0].join(' ')}L${b[1].join(' ')}`;
}

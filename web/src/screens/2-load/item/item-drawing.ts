/** One item square-on from three sides: its box, foot, points, free spaces and mass centre, with what each way of measuring found. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  flatBody,
  itemFigures,
  outline,
  placeLoad,
  project,
  type Clearance,
  type KitItem,
  type Point2,
  type Vec3,
  type View,
} from '@tide-pebble/core';
import { VIEW_AXES, type MethodFound } from '@tide-pebble/core/measuring';
import { Pointer } from '../../../services/pointer';
import { sheetOf, type Margins } from '../../../ui/drawing/rig-drawing';
import { hostSize } from '../../../ui/host-size';

const VIEWS: readonly View[] = ['side', 'front', 'top'];
const NARROW = 560;
const MARGINS: Margins = { left: 24, top: 52, right: 24, bottom: 16, between: 44 };

@Component({
  selector: 'tp-item-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './item-drawing.html',
  styleUrl: './item-drawing.css',
})
export class ItemDrawing {
  protected readonly pointer = inject(Pointer);
  private readonly size = hostSize({ width: 820, height: 240 });
  readonly item = input.required<KitItem>();
  readonly found = input<readonly MethodFound[]>([]);
  protected readonly box = this.size;

  private readonly body = computed(
    () =>
      placeLoad(
        {
          id: 'alone',
          name: 'alone',
          conditions: '',
          items: [{ id: 'it', item: this.item().id, on: null, offset: [0, 0, 0] }],
        },
        new Map([[this.item().id, this.item()]]),
      ).bodies[0]!,
  );
  /** Free spaces as bodies, so that the sheet leaves room for them. */
  private readonly room = computed(() =>
    (this.item().clearances ?? []).map((c) =>
      flatBody({ id: c.id, name: c.kind, owner: c.id, shape: { kind: 'box', size: c.size }, at: c.at, density: 1 }),
    ),
  );
  private readonly sheet = computed(() =>
    sheetOf(
      [this.body(), ...this.room()].map((flat) => ({ body: 'kit', flat, isLoad: true, movedBy: [] })),
      this.size().width < NARROW ? VIEWS.slice(0, 2) : VIEWS,
      this.size(),
      null,
      MARGINS,
    ),
  );
  protected readonly views = computed(() => {
    const item = this.item();
    const figures = itemFigures(item);
    const { pixelsPerMetre } = this.sheet();
    return this.sheet().views.map((view) => ({
      ...view,
      path: pathOf(outline(this.body(), view.view).map(view.onPaper)),
      foot: view.place([0, 0, 0]),
      points: item.mountPoints.map((p) => ({ id: p.id, name: p.name, at: view.place(p.at) })),
      clearances: (item.clearances ?? []).map((c) => ({
        id: c.id,
        kind: c.kind,
        ...rectangle(c, view.view, view.onPaper, pixelsPerMetre),
      })),
      centre: view.place(figures.centre),
      known: figures.balanced,
      radii: project(figures.centreSpread, view.view).map((s) => 2 * s * pixelsPerMetre) as [number, number],
      lines: this.found().flatMap((f) => lineOf(f, view.view, view.place, figures.centre, item)),
    }));
  });
  protected readonly label = computed(() => `${this.item().name}, square-on at 1 to ${this.sheet().scale}`);
}

const pathOf = (points: readonly Point2[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

function rectangle(
  c: Clearance,
  view: View,
  onPaper: (p: Point2) => Point2,
  scale: number,
): { x: number; y: number; width: number; height: number } {
  const [u, v] = project(c.at, view);
  const [w, h] = project(c.size, view);
  const [x, y] = onPaper([u - w / 2, v + h / 2]);
  return { x, y, width: w * scale, height: h * scale };
}

/** A result along one axis is a line across the view, square to that axis. */
function lineOf(
  f: MethodFound,
  view: View,
  place: (p: Vec3) => Point2,
  centre: Vec3,
  item: KitItem,
): readonly { from: Point2; to: Point2 }[] {
  const axes = VIEW_AXES[view];
  const along = axes.indexOf(f.axis as 0);
  if (along < 0) return [];
  const other = axes[1 - along]!;
  const end = (way: 1 | -1): Vec3 =>
    centre.map((_c, i) =>
      i === f.axis ? f.value : i === other ? item.boxCentre[i]! + (way * item.size[i]!) / 2 : 0,
    ) as unknown as Vec3;
  return [{ from: place(end(-1)), to: place(end(1)) }];
}

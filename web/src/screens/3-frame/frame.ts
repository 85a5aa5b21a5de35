/** Frame: sizes on the drawing and in the list, what it is made of, every part picked, moved, weighed, added and taken away. */
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { asSet, cautionsOf, snapOf, type Change, type Quantity, type Vec3, type View } from '@tide-pebble/core';
import { injectBench } from '../../services/bench-signal';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { Cautions } from '../../ui/findings/cautions';
import { Findings } from '../../ui/findings/findings';
import { nextFrame } from '../../ui/timing/next-frame';
import { NoBench } from '../../ui/no-bench';
import { Notices } from '../../services/notices';
import { FigurePipe } from '../../ui/figures/figures.pipe';
import { QuantityField } from '../../ui/figures/quantity-field';
import { Rig3d } from '../../ui/drawing/rig-3d';
import { RigViews } from '../../ui/drawing/rig-views';
import { StageLayout } from '../../ui/stage-layout';
import { AddPanel } from './add-panel';
import { AimDials } from './aim-dials';
import { ChoiceRow } from './choice-row';
import { ElementList } from './element-list';
import { FilesPanel } from './files-panel';
import { InsidePanel } from './inside-panel';
import { PackPanel } from './pack-panel';
import { WaterPanel } from './water-panel';
import { elementOf } from './elements';

type Look = 'square' | 'above' | 'solid';
const VIEWS: Readonly<Record<Exclude<Look, 'solid'>, readonly View[]>> = { square: ['side', 'front'], above: ['top'] };
const STEP = { mm: 0.001, inch: 0.0254 / 16 };

@Component({
  selector: 'tp-frame',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    RouterLink,
    StageLayout,
    RigViews,
    Rig3d,
    Findings,
    Cautions,
    QuantityField,
    FigurePipe,
    NoBench,
    ElementList,
    AimDials,
    ChoiceRow,
    AddPanel,
    FilesPanel,
    InsidePanel,
    PackPanel,
    WaterPanel,
  ],
  templateUrl: './frame.html',
  styleUrl: './frame.css',
})
export class Frame {
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  protected readonly units = inject(Units).now;
  protected readonly pointer = inject(Pointer);
  private readonly bench = injectBench();
  /** What is drawn and told in the column, a frame after the tide line. */
  protected readonly shown = nextFrame(this.bench, (b) => b?.rig.id);
  protected readonly look = signal<Look>('square');
  protected readonly looks = [
    { id: 'square', name: 'Side and front' },
    { id: 'above', name: 'From above' },
    { id: 'solid', name: 'In 3D' },
  ] as const;
  /** From the address: what is to be picked when it opens. */
  readonly show = input<string>();
  private readonly pickedId = linkedSignal<string | null>(() => this.show() ?? null);

  protected readonly views = computed(() => {
    const look = this.look();
    return look === 'solid' ? [] : VIEWS[look];
  });
  /** What is picked, while it is still there: an undo may have taken it away. */
  protected readonly picked = computed(() => {
    const id = this.pickedId();
    const bench = this.shown();
    return id && bench && elementOf(bench.work.rig, id) ? id : null;
  });
  protected readonly snap = computed((): Vec3 => {
    const fine = STEP[this.units().system];
    const id = this.picked();
    const bench = this.shown();
    return id && bench ? snapOf(bench.work.rig, id, fine) : [fine, fine, fine];
  });
  protected readonly findings = computed(() => this.shown()?.judged.findings.filter((f) => f.stage === 'frame') ?? []);
  protected readonly cautions = computed(() => {
    const bench = this.shown();
    return bench ? cautionsOf(bench.work.rig) : [];
  });
  /** More than the usual word about tethers: told before the sizes. */
  protected readonly grave = computed(() => this.cautions().length > 3);
  protected readonly isFree = computed(() => this.shown()?.rig.design.kind === 'free');
  protected readonly fields = computed(() => {
    const bench = this.shown();
    const { family, input } = bench?.work ?? {};
    if (!bench || !family || !input) return [];
    return family.dimensions.map((spec) => {
      const value = input.dimensions[spec.id]!;
      return { ...spec, value, asSet: asSet(spec, value, bench.work.rig, bench.values) };
    });
  });
  /** Angles of what carries the camera, where the rig has any: as they are now, as keys come faster than frames and each turns on from the last. */
  protected readonly tilts = computed(() => {
    const { work } = this.bench() ?? {};
    const mount = work?.rig.bodies.flatMap((b) => b.parts).find((p) => p.mount)?.id;
    const { family, input } = work ?? {};
    if (!family || !input) return [];
    return family.dimensions
      .filter((spec) => spec.kind === 'angle' && spec.about === mount)
      .map((spec) => ({ ...spec, value: input.dimensions[spec.id]! }));
  });
  protected readonly choices = computed(() => {
    const { family, input } = this.shown()?.work ?? {};
    return family && input ? family.choices.map((spec) => ({ ...spec, value: input.choices[spec.id]! })) : [];
  });
  /** Sizes of the maker's own that the rig has with it. */
  protected readonly brought = computed(() => {
    const design = this.shown()?.rig.design;
    return design?.kind === 'family' ? (design.own ?? []) : [];
  });
  protected readonly drawn = computed(() => {
    const { family, input } = this.shown()?.work ?? {};
    return family && input && this.look() === 'square' ? family.drawn(input) : [];
  });

  protected pick(id: string | null): void {
    // The load is arranged in Load, not here.
    const bench = this.bench();
    this.pickedId.set(id !== null && bench && elementOf(bench.work.rig, id) ? id : null);
  }

  protected dimension(id: string, quantity: Quantity): void {
    this.workspace.setDimension(id, quantity);
  }

  /** What was set beside a size becomes the size: nothing moves. */
  protected takeOver(name: string, changes: readonly Change[]): void {
    this.workspace.apply(`${name} as it is set`, changes);
  }

  protected move({ id, by }: { id: string; by: Vec3 }): void {
    if (!this.workspace.edit(`moving ${id}`, { kind: 'move', id: crypto.randomUUID(), target: id, by }, `move ${id}`))
      this.notices.say('That cannot be moved by itself: move what it is fastened to.');
  }

  protected free(): void {
    this.workspace.free();
    this.notices.sayWithUndo('The rig is free of its family: every part is yours to change.');
  }
}

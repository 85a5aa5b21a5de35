/** Frame: the dimensions, editable in the list and on the drawing; what it is made of, and its parts weighed. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type Edit, type Quantity } from '@tide-pebble/core';
import { injectBench } from '../../services/bench-signal';
import { Pointer } from '../../services/pointer';
import { Workspace } from '../../services/workspace';
import { Findings } from '../../ui/findings';
import { NoBench } from '../../ui/no-bench';
import { QuantityField } from '../../ui/quantity-field';
import { Rig3d } from '../../ui/rig-3d';
import { RigViews } from '../../ui/rig-views';
import { StageLayout } from '../../ui/stage-layout';

@Component({
  selector: 'tp-frame',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, StageLayout, RigViews, Rig3d, Findings, QuantityField, NoBench],
  templateUrl: './frame.html',
  styleUrl: './frame.css',
})
export class Frame {
  private readonly workspace = inject(Workspace);
  protected readonly pointer = inject(Pointer);
  protected readonly bench = injectBench();
  protected readonly solid = signal(false);

  protected readonly findings = computed(() => this.bench()?.judged.findings.filter((f) => f.stage === 'frame') ?? []);
  protected readonly fields = computed(() => {
    const { family, input } = this.bench()?.piece ?? {};
    return family && input ? family.dimensions.map((spec) => ({ ...spec, value: input.dimensions[spec.id]! })) : [];
  });
  protected readonly choices = computed(() => {
    const { family, input } = this.bench()?.piece ?? {};
    return family && input ? family.choices.map((spec) => ({ ...spec, value: input.choices[spec.id]! })) : [];
  });
  protected readonly drawn = computed(() => {
    const { family, input } = this.bench()?.piece ?? {};
    return family && input ? family.drawn(input) : [];
  });
  /** Parts and members with the mass each has, and whether it was weighed. A stack is weighed by one washer. */
  protected readonly parts = computed(() => {
    const bench = this.bench();
    if (!bench) return [];
    const masses = new Map<string, { mass: number; measured: boolean }>();
    for (const { flat, isLoad } of bench.judged.evaluation.pieces) {
      if (isLoad) continue;
      masses.set(flat.owner, { mass: (masses.get(flat.owner)?.mass ?? 0) + flat.mass, measured: this.weighed().has(flat.owner) });
    }
    return bench.piece.rig.bodies.flatMap((b) => [...b.members, ...b.parts]).map((e) => ({ id: e.id, name: e.name, mass: masses.get(e.id)?.mass ?? null, measured: this.weighed().has(e.id) }));
  });
  private readonly weighed = computed(() => {
    const design = this.bench()?.rig.design;
    return new Set(design?.kind === 'family' ? design.edits.filter((e) => e.kind === 'weigh').map((e) => e.target) : []);
  });

  protected dimension(id: string, quantity: Quantity): void {
    this.workspace.setDimension(id, quantity);
  }

  protected choose(id: string, value: string): void {
    this.workspace.editRig(`choice of ${id}`, (rig) => (rig.design.kind === 'family' ? { ...rig, design: { ...rig.design, choices: { ...rig.design.choices, [id]: value } } } : rig));
  }

  protected weigh(target: string, mass: Quantity | null): void {
    this.workspace.editRig(mass ? 'weighing a part' : 'forgetting a weight', (rig) => {
      if (rig.design.kind !== 'family') return rig;
      const others: Edit[] = rig.design.edits.filter((e) => e.kind !== 'weigh' || e.target !== target);
      const edits = mass ? [...others, { kind: 'weigh' as const, id: `weigh-${target}`, target, mass: { ...mass, spread: SCALE_SPREAD, source: `mass of ${target}` } }] : others;
      return { ...rig, design: { ...rig.design, edits } };
    });
  }
}

/** A kitchen scale with a step of 1 g: half a step either way, as a standard uncertainty, with its own drift. */
const SCALE_SPREAD = 0.0006;

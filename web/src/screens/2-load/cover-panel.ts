/** What all loadouts ask of a slide: how far, round which middle, which is the extreme and why; and what to measure next. */
import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { decimalsApart } from '@tide-pebble/core';
import {
  coverOnRig,
  extremeWords,
  fromFootWords,
  nextMeasureWords,
  shiftWords,
  type Axis,
  type AxisCover,
  type CoveredLoadout,
} from '@tide-pebble/core/measuring';
import { injectBench } from '../../services/bench-signal';
import { LoadBench } from '../../services/load-bench';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';

const AXES = [
  { axis: 0, name: 'Fore and aft' },
  { axis: 1, name: 'Sideways' },
  { axis: 2, name: 'Height' },
] as const;
const WIDTH = 340;
const PAD = 14;

@Component({
  selector: 'tp-cover-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, FigurePipe, SayPipe],
  templateUrl: './cover-panel.html',
  styleUrl: './cover-panel.css',
})
export class CoverPanel {
  protected readonly load = inject(LoadBench);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  private readonly bench = injectBench();
  readonly opened = output<string>();
  protected readonly width = WIDTH;

  protected readonly spans = computed(() => {
    const { axes, loadouts } = this.load.coverage();
    return axes === null
      ? []
      : AXES.map((a) => ({
          ...a,
          cover: axes[a.axis],
          decimals: axes[a.axis].travelSpread < 0.001 ? 1 : 0,
          ...this.strip(axes[a.axis], loadouts, a.axis),
          least: extremeWords(axes[a.axis].least, a.axis, loadouts, this.load.kit()),
          most: extremeWords(axes[a.axis].most, a.axis, loadouts, this.load.kit()),
          middle: fromFootWords(a.axis, axes[a.axis].middle),
        }));
  });

  protected readonly shifts = computed(() => {
    const shown = this.load.coverage().loadouts.find((l) => l.id === this.load.loadout()?.id);
    return (shown?.shifts ?? []).map((s) => ({ ...s, words: shiftWords(s.moves) }));
  });

  protected readonly next = computed(() => {
    const { next } = this.load.coverage();
    const item = next && this.load.kit().get(next.item);
    if (!next || !item) return null;
    return {
      item: next.item,
      ...nextMeasureWords(next, item.name),
      now: 2 * next.before,
      then: 2 * next.after,
      decimals: decimalsApart('length', 2 * next.before, 2 * next.after) ?? 0,
    };
  });

  /** Each slide of the rig on the bench against what the loadouts ask of it. */
  protected readonly slides = computed(() => {
    const bench = this.bench();
    if (!bench || this.load.loadouts().length === 0) return [];
    const { work, values, rig } = bench;
    return coverOnRig(work.assembly, values, this.load.loadouts(), this.load.kit(), rig.wants.levelWithin).map(
      ({ adjuster, cover }) => ({
        id: adjuster.id,
        name: adjuster.name,
        from: adjuster.range[0],
        to: adjuster.range[1],
        cover,
        over: cover.places
          .filter((p) => !p.withinRange)
          .map((p) => this.load.loadouts().find((l) => l.id === p.id)?.name ?? p.id),
      }),
    );
  });
  protected readonly rigName = computed(() => this.bench()?.rig.name ?? '');

  /** A number line over the span, a little wider than the spreads. */
  private strip(cover: AxisCover, loadouts: readonly CoveredLoadout[], axis: Axis) {
    const low = Math.min(...loadouts.map((l) => l.from[axis] - 2 * l.spread[axis]));
    const high = Math.max(...loadouts.map((l) => l.to[axis] + 2 * l.spread[axis]));
    const x = (v: number): number => PAD + ((v - low) / Math.max(high - low, 1e-6)) * (WIDTH - 2 * PAD);
    const shownId = this.load.loadout()?.id;
    return {
      from: x(cover.least.at),
      to: x(cover.most.at),
      marks: loadouts.map((l) => ({
        id: l.id,
        name: l.name,
        at: x(l.centre[axis]),
        low: x(l.centre[axis] - 2 * l.spread[axis]),
        high: x(l.centre[axis] + 2 * l.spread[axis]),
        from: x(l.from[axis]),
        to: x(l.to[axis]),
        shown: l.id === shownId,
      })),
    };
  }
}

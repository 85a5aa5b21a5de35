/** Taken into water: does it float with its load on, which way up, what fills and drains, what would float it. */
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { inWater, waterWords, type Water } from '@tide-pebble/core/bench';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import type { Bench } from '../../services/workspace';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { settled } from '../../ui/timing/settled';

@Component({
  selector: 'tp-water-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SayPipe],
  template: `
    <details (toggle)="isOpen.set($any($event.target).open)">
      <summary><h2>Into the water</h2></summary>
      @if (found(); as f) {
        <label
          >Which water
          <select (change)="water.set($any($event.target).value)">
            <option value="sea" [selected]="water() === 'sea'">sea</option>
            <option value="fresh" [selected]="water() === 'fresh'">fresh</option>
          </select>
        </label>
        @if (f.verdict) {
          <p>
            <strong>{{ f.verdict | say: units() }}</strong>
          </p>
        }
        <ul class="plain-list">
          @for (m of f.more; track $index) {
            <li
              [class.lit]="m.about !== null && pointer.at() === m.about"
              (mouseenter)="pointer.point(m.about)"
              (mouseleave)="pointer.point(null)"
            >
              {{ m.text | say: units() }}
            </li>
          }
        </ul>
      }
    </details>
  `,
  styles: `
    details {
      margin: var(--space-4) 0 0;
    }
    summary {
      cursor: pointer;
    }
    summary h2 {
      display: inline;
    }
    label {
      display: block;
      margin: var(--space-2) 0;
    }
    li {
      padding: 3px 6px;
      border-bottom: var(--line) solid var(--sand-line);
    }
    li.lit {
      background: var(--tint-pale);
    }
  `,
})
export class WaterPanel {
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  protected readonly water = signal<Water>('sea');
  /** Reckoned only while it is looked at. */
  protected readonly isOpen = signal(false);
  private readonly still = settled(this.bench);
  protected readonly found = computed(() => {
    const bench = this.isOpen() ? this.still() : null;
    if (!bench?.judged.evaluation.massCentre) return null;
    const { pieces, massCentre, mass } = bench.judged.evaluation;
    const { rig } = bench.work;
    return waterWords(inWater(rig, pieces, { at: massCentre, mass }, this.water()), this.water(), rig);
  });
}

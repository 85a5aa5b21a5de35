/** The magnifier where the truth is smaller than the drawing: the mass centre, its spread, and the pool it should lie in. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { figure, poolOf, showFigure } from '@tide-pebble/core';
import type { Bench } from '../../services/workspace';
import { Units } from '../../services/units';

const RADIUS = 76;
const PIVOT_DOWN = 26; // px from the top of the glass to the pivot
const REACH = 92; // px that the deepest part of the pool may lie under the pivot

@Component({
  selector: 'tp-pool-glass',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown(); as s) {
      <p class="words"><strong>mass centre</strong><br />{{ s.words }}</p>
      <svg viewBox="-78 -78 156 156" role="img" [attr.aria-label]="s.label">
        <clipPath id="glass"><circle r="76" /></clipPath>
        <circle r="76" class="glass" />
        <g clip-path="url(#glass)">
          <line x1="0" x2="0" y1="-76" y2="76" class="hair" />
          @if (s.pool) {
            <path [attr.d]="s.pool" class="pool" />
          }
          <ellipse
            [attr.cx]="s.at[0]"
            [attr.cy]="s.at[1]"
            [attr.rx]="s.spread[0]"
            [attr.ry]="s.spread[1]"
            class="spread"
          />
          <g [attr.transform]="'translate(' + s.at[0] + ' ' + s.at[1] + ')'">
            <path
              class="pebble"
              [class.out]="!s.inside"
              d="M-9 1c-1-5 4-8 9-7 6 0 10 3 9 7 0 4-5 5-10 5-4 0-8-1-8-5z"
            />
          </g>
          <circle cx="0" [attr.cy]="pivotY" r="4.5" class="pivot" />
        </g>
      </svg>
      <p class="note">{{ s.scale }}</p>
    }
  `,
  styleUrl: './pool-glass.css',
})
export class PoolGlass {
  private readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  protected readonly pivotY = PIVOT_DOWN - RADIUS;

  protected readonly shown = computed(() => {
    const { judged, rig } = this.bench();
    const { hung } = judged.evaluation;
    if (!hung) return null;
    const pool = poolOf(hung, rig.wants);
    const [x, , z] = hung.hang.fromPivot;
    const depth = Math.max(pool?.under[1] ?? 0, -z, 0.0005);
    const perMetre = REACH / depth;
    // Sideways the pool is a hundredth of its depth: drawn wider, and said so.
    const widen = pool ? Math.max(1, Math.round(34 / (pool.slope * pool.under[1] * perMetre))) : 1;
    const place = (dx: number, dz: number): [number, number] => [dx * perMetre * widen, this.pivotY - dz * perMetre];
    const inside = pool !== null && -z >= pool.under[0] && -z <= pool.under[1] && Math.abs(x) <= pool.slope * -z;
    const corner = (side: number, under: number): string =>
      place(side * pool!.slope * under, -under)
        .map((n) => n.toFixed(1))
        .join(' ');
    const say = (value: number, decimals: number): string =>
      showFigure(figure('length', Math.abs(value), decimals), this.units());
    // Less than it is shown to is no place ahead or behind.
    const aside = Math.abs(x) < 5e-6 ? '' : `, ${say(x, 2)} ${x >= 0 ? 'ahead' : 'behind'}`;
    const words = `${say(z, 1)} ${z < 0 ? 'under' : 'above'}${aside}`;
    const times = perMetre / (96 / 0.0254);
    const drawn = times >= 1 ? `${Math.round(times)} times` : `1/${Math.round(1 / times)} of`;
    return {
      pool: pool
        ? `M${corner(-1, pool.under[0])}L${corner(1, pool.under[0])}L${corner(1, pool.under[1])}L${corner(-1, pool.under[1])}Z`
        : null,
      at: inGlass(place(x, z)),
      spread: [
        Math.min(200, Math.max(3, 2 * hung.spread.massCentre[0] * perMetre * widen)),
        Math.min(200, Math.max(3, 2 * hung.spread.massCentre[2] * perMetre)),
      ] as const,
      inside,
      words,
      label: `The mass centre lies ${words} the pivot, ${inside ? 'in' : 'out of'} its pool.`,
      scale: pool
        ? `the pool, ${drawn} full size${widen > 1 ? `, and ${widen} times that sideways` : ''}`
        : 'no height gives the drop time you want',
    };
  });
}

/** Kept inside the glass; at its rim the pebble only says which way. */
function inGlass([x, y]: [number, number]): [number, number] {
  const size = Math.hypot(x, y);
  const most = RADIUS - 13;
  return size <= most ? [x, y] : [(x * most) / size, (y * most) / size];
}

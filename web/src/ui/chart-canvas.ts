/** What every chart shares: a canvas drawn anew when what it shows changes, in the tokens' colours, and let go with its owner. */
import { afterRenderEffect, DestroyRef, Directive, type ElementRef, inject, viewChild } from '@angular/core';
import {
  Chart,
  type ChartConfiguration,
  type ChartType,
  type DefaultDataPoint,
  type ScaleOptionsByType,
} from 'chart.js';
import { Theme } from '../services/theme';
import { colourOf } from './colour';

Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;

export type Token = (name: string) => string;

/** The template has one `<canvas #canvas>`; `config` reads the inputs it shows. */
@Directive()
export abstract class ChartCanvas<T extends ChartType, D = DefaultDataPoint<T>> {
  private readonly theme = inject(Theme);
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  protected chart: Chart<T, D> | null = null;

  constructor() {
    afterRenderEffect(() => {
      this.theme.now();
      const config = this.config(colourOf);
      this.chart?.destroy();
      this.chart = new Chart<T, D>(this.canvas().nativeElement, config);
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  protected abstract config(token: Token): ChartConfiguration<T, D>;
}

/** An axis with its unit in words, a quiet grid, slate figures. */
export const axis = (token: Token, text: string, grid = true): Partial<ScaleOptionsByType<'linear'>> => ({
  title: { display: true, text, color: token('--slate') } as ScaleOptionsByType<'linear'>['title'],
  ticks: { color: token('--slate') } as ScaleOptionsByType<'linear'>['ticks'],
  grid: { display: grid, color: token('--sand-line') } as ScaleOptionsByType<'linear'>['grid'],
});

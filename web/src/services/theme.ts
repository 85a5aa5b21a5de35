/** By day, at dusk, with strong contrast, or as the system says; kept in the browser. */
import { Injectable, signal } from '@angular/core';

const KEY = 'tide-pebble.theme';
export const THEMES = [
  { id: 'system', name: 'as the system' },
  { id: 'light', name: 'light' },
  { id: 'dusk', name: 'dusk' },
  { id: 'contrast', name: 'strong contrast' },
] as const;
export type ThemeId = (typeof THEMES)[number]['id'];

@Injectable({ providedIn: 'root' })
export class Theme {
  private readonly choice = signal<ThemeId>(THEMES.find((t) => t.id === localStorage.getItem(KEY))?.id ?? 'system');
  readonly now = this.choice.asReadonly();
  private readonly wantsContrast = matchMedia('(prefers-contrast: more)');

  constructor() {
    this.show();
    this.wantsContrast.addEventListener('change', () => this.show());
  }

  set(theme: ThemeId): void {
    this.choice.set(theme);
    localStorage.setItem(KEY, theme);
    this.show();
  }

  private show(): void {
    const { dataset } = document.documentElement;
    const theme = this.choice();
    const isStrong = theme === 'contrast' || (theme === 'system' && this.wantsContrast.matches);
    if (isStrong) dataset['theme'] = 'contrast';
    else delete dataset['theme'];
    if (theme === 'light' || theme === 'dusk') dataset['light'] = theme === 'light' ? 'light' : 'dark';
    else delete dataset['light'];
  }
}

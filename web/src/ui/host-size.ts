/** The size of a component's own element, followed as it changes: a drawing is laid out to it. */
import { afterNextRender, DestroyRef, ElementRef, inject, signal, type Signal } from '@angular/core';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Within a constructor or field. `until` holds before it is first measured. */
export function hostSize(until: Size): Signal<Size> {
  const host = inject<ElementRef<HTMLElement>>(ElementRef);
  const destroyed = inject(DestroyRef);
  const size = signal(until);
  afterNextRender(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      if (width > 0 && height > 0) size.set({ width, height });
    });
    observer.observe(host.nativeElement);
    destroyed.onDestroy(() => observer.disconnect());
  });
  return size.asReadonly();
}

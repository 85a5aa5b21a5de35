/** Opens a dialog; the dialog library and the dialog's own code are fetched only then. */
import { inject, Injectable, Injector, type Type } from '@angular/core';
import { firstValueFrom } from 'rxjs';

@Injectable({ providedIn: 'root' })
export class Dialogs {
  private readonly injector = inject(Injector);

  /** Resolves with what the dialog was closed with. `must` keeps it open until it is answered. */
  async open<R>(
    load: () => Promise<Type<unknown>>,
    options: { data?: unknown; must?: boolean; width: string; top?: string },
  ): Promise<R | undefined> {
    const [{ MatDialog }, component] = await Promise.all([import('@angular/material/dialog'), load()]);
    const dialog = this.injector.get(MatDialog).open(component, {
      data: options.data,
      disableClose: options.must ?? false,
      closeOnNavigation: !options.must,
      width: options.width,
      maxWidth: '94vw',
      ...(options.top === undefined ? {} : { position: { top: options.top } }),
    });
    return firstValueFrom(dialog.afterClosed()) as Promise<R | undefined>;
  }
}

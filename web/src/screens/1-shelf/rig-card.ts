/** One rig on the shelf: a small drawing, what state it is in, and what can be done with it. */
import { NgComponentOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  runInInjectionContext,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiContentCopy, mdiDeleteOutline, mdiFileExportOutline, mdiHistory } from '@mdi/js';
import type { RigDocument } from '@tide-pebble/core';
import { map, switchMap } from 'rxjs';
import { inView$ } from '../../services/in-view';
import { later$ } from '../../services/later';
import { Icon } from '../../ui/icon';

@Component({
  selector: 'tp-rig-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgComponentOutlet, MatButton, Icon],
  templateUrl: './rig-card.html',
  styleUrl: './rig-card.css',
})
export class RigCard {
  protected readonly icons = {
    copy: mdiContentCopy,
    remove: mdiDeleteOutline,
    export: mdiFileExportOutline,
    earlier: mdiHistory,
    mdiHistory,
  };

  readonly rig = input.required<RigDocument>();
  readonly current = input(false);
  readonly opened = output<void>();
  readonly copied = output<void>();
  readonly renamed = output<string>();
  readonly removed = output<void>();
  readonly exported = output<void>();
  readonly earlier = output<void>();

  private readonly injector = inject(Injector);
  /** How it stands: worked out by what comes after the shelf is there, once it is in view. */
  protected readonly standing = toSignal(
    inView$(inject<ElementRef<Element>>(ElementRef).nativeElement).pipe(
      switchMap(() => later$(() => import('./rig-standing'))),
      map((m) => runInInjectionContext(this.injector, () => m.standingOf(() => this.rig()))),
    ),
    { initialValue: null },
  );
}

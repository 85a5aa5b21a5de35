/** One solid out as a file for a printer: STL or 3MF. */
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';

export type SolidFile = 'stl' | '3mf';

@Component({
  selector: 'tp-solid-files',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    @for (kind of kinds; track kind) {
      <button
        matButton
        type="button"
        [disabled]="busy()"
        [attr.aria-label]="'Save ' + name() + ' as ' + kind.toUpperCase()"
        (click)="saved.emit(kind)"
      >
        {{ kind.toUpperCase() }}
      </button>
    }
  `,
})
export class SolidFiles {
  protected readonly kinds: readonly SolidFile[] = ['stl', '3mf'];
  readonly name = input.required<string>();
  readonly busy = input(false);
  readonly saved = output<SolidFile>();
}

/** One field for everything that has a name: rigs, loadouts, parts, stages, what can be done, words. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatAutocomplete, MatAutocompleteTrigger, MatOptgroup, MatOption } from '@angular/material/autocomplete';
import { MatDialogContent, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { Commands, type Command } from './commands';
import { isFound } from './found';

const SHOWN_OF_EACH = 6;

@Component({
  selector: 'tp-palette',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatAutocomplete, MatAutocompleteTrigger, MatOption, MatOptgroup, MatDialogTitle, MatDialogContent],
  template: `
    <h2 mat-dialog-title class="visually-hidden">Find anything</h2>
    <mat-dialog-content>
      <input
        type="text"
        aria-label="Find a rig, a part, a stage, a word"
        placeholder="A rig, a part, a stage, a word…"
        [matAutocomplete]="found"
        [value]="wanted()"
        (input)="wanted.set($any($event.target).value)"
        (keydown.enter)="entered()"
      />
      <mat-autocomplete
        #found="matAutocomplete"
        autoActiveFirstOption
        [displayWith]="nameOf"
        (optionSelected)="run($event.option.value)"
      >
        @for (group of groups(); track group.name) {
          <mat-optgroup [label]="group.name">
            @for (c of group.commands; track c.id) {
              <mat-option [value]="c"
                >{{ c.name }}
                @if (c.says) {
                  <span class="says">{{ c.says }}</span>
                }
              </mat-option>
            }
          </mat-optgroup>
        } @empty {
          <mat-option disabled>Nothing is called that.</mat-option>
        }
      </mat-autocomplete>
    </mat-dialog-content>
  `,
  styles: `
    mat-dialog-content {
      padding: var(--space-4);
    }
    input {
      width: 100%;
      font-size: 1.125rem;
      min-height: 44px;
    }
    .says {
      color: var(--quiet);
      font-size: var(--size-note);
      margin-left: var(--space-2);
    }
  `,
})
export class Palette {
  private readonly dialog = inject(MatDialogRef);
  private readonly all = toSignal(inject(Commands).all$, { initialValue: [] as readonly Command[] });
  protected readonly wanted = signal('');
  private done = false;
  protected readonly groups = computed(() => {
    const wanted = this.wanted();
    const found = this.all().filter((c) => isFound(wanted, [c.name, c.says ?? '', ...(c.also ?? [])]));
    // What begins as typed comes first.
    const begins = (c: Command): number => Number(!c.name.toLowerCase().startsWith(wanted.trim().toLowerCase()));
    return [...new Set(found.map((c) => c.group))].map((name) => ({
      name,
      commands: found
        .filter((c) => c.group === name)
        .sort((a, b) => begins(a) - begins(b))
        .slice(0, SHOWN_OF_EACH),
    }));
  });
  protected readonly nameOf = (c: Command | string | null): string => (typeof c === 'string' ? c : (c?.name ?? ''));

  protected run(command: Command): void {
    if (this.done) return;
    this.done = true;
    this.dialog.close();
    command.run();
  }

  /** Typed and entered before the list was drawn: the first that is found, unless the list takes the key for what is picked in it. */
  protected entered(): void {
    const first = this.groups()[0]?.commands[0];
    queueMicrotask(() => {
      if (first) this.run(first);
    });
  }
}

/** Something was saved elsewhere since it was opened here: both versions are there, the maker chooses. */
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog';
import { nameOf, type Problem } from '@tide-pebble/core';
import { KIND_WORDS } from '../ui/figures/kind-words';

@Component({
  selector: 'tp-conflict-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose],
  template: `
    <h2 mat-dialog-title>Changed in two places</h2>
    <mat-dialog-content>
      <p>Another window saved these after you opened them here. Nothing was overwritten.</p>
      <ul>
        @for (c of named; track c.key) {
          <li>
            <strong>{{ c.name }}</strong> ({{ c.kind }}): {{ c.theirs }}
          </li>
        }
      </ul>
      <p class="note">Undo brings back yours if you take the other version.</p>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton="outlined" mat-dialog-close="theirs">Take the other version</button>
      <button matButton="filled" mat-dialog-close="mine">Keep mine</button>
    </mat-dialog-actions>
  `,
})
export class ConflictDialog {
  private readonly conflicts = inject<NonNullable<Problem['conflicts']>>(MAT_DIALOG_DATA);
  protected readonly named = this.conflicts.map(({ mine, theirs }) => ({
    key: `${mine.kind}/${mine.id}`,
    kind: KIND_WORDS[mine.kind],
    name: nameOf(mine.body) ?? nameOf(theirs?.body) ?? 'set-up',
    theirs: theirs?.body
      ? `saved elsewhere at ${new Date(theirs.savedAt).toLocaleTimeString('en-GB')}`
      : 'deleted elsewhere',
  }));
}

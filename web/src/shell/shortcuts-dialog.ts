/** The keys, and the words this program uses. */
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';

const KEYS = [
  ['Alt 1 … Alt 9', 'go to a stage, Shelf to Log'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Y, Ctrl Shift Z', 'do again'],
  ['U', 'millimetres or inches'],
  ['T', 'trim it (Balance)'],
  ['P', 'play the drop (Balance)'],
  ['Space', 'start and stop the watch (Log)'],
  ['Enter', 'take what you typed'],
  ['Escape', 'give back what was there; close'],
  ['Arrow keys', 'move a slider one step'],
  ['?', 'this list'],
] as const;

@Component({
  selector: 'tp-shortcuts-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose],
  template: `
    <h2 mat-dialog-title>Keys</h2>
    <mat-dialog-content>
      <table>
        <caption class="visually-hidden">
          Keyboard shortcuts
        </caption>
        <tbody>
          @for (row of keys; track row[0]) {
            <tr>
              <th scope="row">{{ row[0] }}</th>
              <td>{{ row[1] }}</td>
            </tr>
          }
        </tbody>
      </table>
      <p class="note">Figures read as you write them: 4 3/4, 4-3/4", 120 mm, 1 lb 6 oz, 620 g, 12.5°.</p>
    </mat-dialog-content>
    <mat-dialog-actions align="end"><button matButton="filled" mat-dialog-close>Close</button></mat-dialog-actions>
  `,
})
export class ShortcutsDialog {
  protected readonly keys = KEYS;
}

/** Help for the view one is in: what it answers, what to do, keys; and every word of the trade, to be searched. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { Router, RouterLink } from '@angular/router';
import { Kept } from '../../services/kept';
import { Theme, THEMES } from '../../services/theme';
import { GLOSSARY } from '../../ui/words/glossary';
import { TermCard } from '../../ui/words/term-card';
import { ExampleNow } from '../example/example-now';
import { isFound } from './found';
import { KEYS_EVERYWHERE, viewAt, VIEWS } from './views';

const BY_WORD = [...GLOSSARY].sort((a, b) => a.word.localeCompare(b.word, 'en'));

@Component({
  selector: 'tp-help-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose, RouterLink, TermCard],
  templateUrl: './help-dialog.html',
  styleUrl: './help-dialog.css',
})
export class HelpDialog {
  protected readonly theme = inject(Theme);
  protected readonly themes = THEMES;
  protected readonly example = inject(ExampleNow);
  /** The example is played on the rig on the bench. */
  protected readonly rig = toSignal(inject(Kept).rig$, { initialValue: null });
  protected readonly view = viewAt(inject(Router).url);
  protected readonly keys = [...(this.view.keys ?? []), ...KEYS_EVERYWHERE];
  protected readonly wanted = signal('');
  protected readonly terms = computed(() =>
    BY_WORD.filter((t) => isFound(this.wanted(), [t.word, ...(t.forms ?? []), t.says])),
  );
  protected readonly views = computed(() =>
    VIEWS.filter((v) => isFound(this.wanted(), [v.title, v.answers, ...v.toDo])),
  );
  protected readonly foundKeys = computed(() =>
    [...VIEWS.flatMap((v) => v.keys ?? []), ...KEYS_EVERYWHERE].filter((row) => isFound(this.wanted(), row)),
  );
}

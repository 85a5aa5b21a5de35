/** The earlier saves of one thing as a line of times: look at what each would change, and go back to it, with undo. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { differences, type DocumentKind, type PastSave, type RigDocument } from '@tide-pebble/core';
import { firstValueFrom } from 'rxjs';
import { Api } from '../services/keeping/api';
import { Documents } from '../services/keeping/documents';
import { Workspace } from '../services/workspace';
import { Notices } from '../services/notices';
import { judgedInTurn, RigPicture } from './drawing/rig-picture';

export interface WhoseSaves {
  readonly kind: DocumentKind;
  readonly id: string;
  readonly name: string;
}
/** Lines of what differs; more are counted. */
const SHOWN = 10;

@Component({
  selector: 'tp-earlier-saves',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose, RigPicture],
  template: `
    <h2 mat-dialog-title>Earlier saves of {{ of.name }}</h2>
    <mat-dialog-content>
      @if (fault()) {
        <p class="wrong" role="alert">{{ fault() }}</p>
      }
      <div class="both">
        <ol class="plain-list line">
          @for (p of past() ?? []; track p.revision) {
            <li>
              <button matButton type="button" [attr.aria-pressed]="looked()?.revision === p.revision" (click)="look(p)">
                {{ p.savedAt | date: 'd MMM, HH:mm:ss' }}
              </button>
            </li>
          } @empty {
            <li class="note">{{ past() ? 'There is no earlier save of this yet.' : 'Asking for them…' }}</li>
          }
        </ol>
        @if (looked(); as l) {
          <div>
            <tp-rig-picture [judged]="judged()" />
            <p>
              <strong>As saved {{ l.savedAt | date: 'd MMMM, HH:mm:ss' }}</strong>
            </p>
            @if (changes().length === 0) {
              <p class="note">Just as it is now.</p>
            } @else {
              <p class="note">Going back would change:</p>
              <ul class="plain-list">
                @for (c of changes().slice(0, shown); track c) {
                  <li>{{ c }}</li>
                }
              </ul>
              @if (changes().length > shown) {
                <p class="note">and {{ changes().length - shown }} more.</p>
              }
            }
          </div>
        } @else {
          <p class="note">The last fifty saves are kept. Choose a time to see what it was like.</p>
        }
      </div>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton mat-dialog-close>Close</button>
      <button matButton="filled" type="button" [disabled]="!looked() || changes().length === 0" (click)="goBack()">
        Go back to this one
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    .both {
      display: grid;
      grid-template-columns: 170px minmax(0, 1fr);
      gap: var(--space-4);
      align-items: start;
      min-height: 240px;
    }
    .line {
      max-height: 50vh;
      overflow: auto;
      border-right: var(--line) solid var(--sand-line);
    }
    button[aria-pressed='true'] {
      background: var(--tint);
    }
    @media (max-width: 37.5em) {
      .both {
        grid-template-columns: 1fr;
      }
      .line {
        max-height: 26vh;
      }
    }
  `,
})
export class EarlierSaves {
  private readonly api = inject(Api);
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  private readonly dialog = inject<MatDialogRef<EarlierSaves>>(MatDialogRef);
  protected readonly of = inject<WhoseSaves>(MAT_DIALOG_DATA);
  protected readonly shown = SHOWN;
  protected readonly past = signal<readonly PastSave[] | null>(null);
  protected readonly looked = signal<(PastSave & { readonly body: unknown }) | null>(null);
  protected readonly fault = signal('');
  protected readonly judged = judgedInTurn(inject(Workspace), () =>
    this.of.kind === 'rig' ? ((this.looked()?.body ?? null) as RigDocument | null) : null,
  );
  protected readonly changes = computed(() => {
    const looked = this.looked();
    return looked ? lines(this.documents.get(this.of.kind, this.of.id), looked.body) : [];
  });

  constructor() {
    firstValueFrom(this.api.past(this.of.kind, this.of.id)).then(
      (list) => this.past.set(list),
      (error: Error) => this.fault.set(error.message),
    );
  }

  protected async look(save: PastSave): Promise<void> {
    this.fault.set('');
    try {
      this.looked.set({
        ...save,
        body: (await firstValueFrom(this.api.onePast(this.of.kind, this.of.id, save.revision))).body ?? null,
      });
    } catch (error) {
      this.looked.set(null);
      this.fault.set(error instanceof Error ? error.message : 'This save cannot be read.');
    }
  }

  protected async goBack(): Promise<void> {
    const looked = this.looked();
    if (!looked) return;
    try {
      await this.documents.goBack(
        this.of.kind,
        this.of.id,
        looked.revision,
        `going back to an earlier ${this.of.name}`,
      );
      this.dialog.close();
      this.notices.sayWithUndo(`${this.of.name} is as it was saved then.`);
    } catch (error) {
      this.fault.set(error instanceof Error ? error.message : 'It could not be put back.');
    }
  }
}

/** Each thing that differs once, in the words its maker typed where there are some; bare figures have no unit here and are left out. */
function lines(now: unknown, then: unknown): readonly string[] {
  if (now === null || then === null)
    return now === then ? [] : [then === null ? 'it was deleted then' : 'it is deleted now'];
  const places = new Map<string, string>();
  for (const { path, before, after } of differences(now, then)) {
    const typed = path.at(-1) === 'typed';
    const value = path.at(-1) === 'value' || typed || path.at(-1) === 'spread';
    const place = (value ? path.slice(0, -1) : path).map((p) => p.replace(/([A-Z])/g, ' $1').toLowerCase()).join(', ');
    const words = typeof before === 'string' && typeof after === 'string' ? `: ${said(before)} → ${said(after)}` : '';
    if (!places.get(place)) places.set(place, words);
  }
  return [...places].map(([place, words]) => `${place}${words}`);
}

const said = (value: unknown): string => (typeof value === 'string' && value !== '' ? value : 'nothing');

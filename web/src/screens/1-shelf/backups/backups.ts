/** Backups: those the server keeps by itself and those taken out as a file; each looked at before anything is done with it. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import type { BackupLook, DocumentKind, KeptBackup, RestoreWay } from '@tide-pebble/core';
import { firstValueFrom } from 'rxjs';
import { Api, type BackupFrom } from '../../../services/keeping/api';
import { Documents } from '../../../services/keeping/documents';
import { Notices } from '../../../services/notices';
import { chosenFile } from '../chosen-file';

const WORDS: Readonly<Record<DocumentKind, readonly [string, string]>> = {
  rig: ['rig', 'rigs'],
  kit: ['kit item', 'kit items'],
  loadout: ['loadout', 'loadouts'],
  setup: ['set-up', 'set-ups'],
  log: ['log entry', 'log entries'],
  bin: ['thing in the bin', 'things in the bin'],
  size: ['size of your own', 'sizes of your own'],
  walk: ['walk', 'walks'],
};
/** Names in a row; more are counted. */
const NAMED = 12;

@Component({
  selector: 'tp-backups',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose],
  templateUrl: './backups.html',
  styleUrl: './backups.css',
})
export class Backups {
  private readonly api = inject(Api);
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  private readonly dialog = inject<MatDialogRef<Backups>>(MatDialogRef);

  protected readonly kept = signal<readonly KeptBackup[] | null>(null);
  protected readonly fault = signal('');
  protected readonly working = signal('');
  /** The one that is looked at. */
  private readonly opened = signal<{
    readonly from: BackupFrom;
    readonly name: string;
    readonly look: BackupLook;
  } | null>(null);
  protected readonly look = computed(() => {
    const opened = this.opened();
    if (!opened) return null;
    const { holds, goes, savedAt, photos } = opened.look;
    const rows = (['new', 'changed', 'same'] as const).map((here) => ({
      here,
      words: counted(holds.filter((h) => h.here === here)),
    }));
    return {
      name: opened.name,
      savedAt,
      photos,
      brings: rows.find((r) => r.here === 'new')!.words,
      changes: rows.find((r) => r.here === 'changed')!.words,
      same: rows.find((r) => r.here === 'same')!.words,
      goes: counted(goes),
    };
  });

  constructor() {
    firstValueFrom(this.api.backups()).then(
      (list) => this.kept.set(list),
      (error: Error) => this.fault.set(`The backups kept here could not be listed. ${error.message}`),
    );
  }

  protected megabytes(bytes: number): string {
    return bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
  }

  protected openKept(backup: KeptBackup): Promise<void> {
    return this.open(backup.name, `Backup of ${new Date(backup.savedAt).toLocaleString('en-GB')}`);
  }

  protected async openFile(event: Event): Promise<void> {
    const file = chosenFile(event);
    if (file) await this.open(file, file.name);
  }

  protected async put(way: RestoreWay): Promise<void> {
    const opened = this.opened();
    if (!opened) return;
    await this.work(
      way === 'instead' ? 'Putting it in place…' : 'Putting it beside…',
      `${opened.name} was not brought back; nothing has changed.`,
      async () => {
        await this.documents.restore(opened.from, way);
        this.dialog.close();
        this.notices.sayWithUndo(
          way === 'instead'
            ? 'The backup is in place. What was here is kept as a backup of its own.'
            : 'The backup is beside what you had.',
        );
      },
    );
  }

  protected back(): void {
    this.opened.set(null);
    this.fault.set('');
  }

  private open(from: BackupFrom, name: string): Promise<void> {
    return this.work('Looking into it…', `${name} cannot be read; nothing has changed.`, async () =>
      this.opened.set({ from, name, look: await firstValueFrom(this.api.look(from)) }),
    );
  }

  private async work(words: string, failed: string, work: () => Promise<void>): Promise<void> {
    this.working.set(words);
    this.fault.set('');
    try {
      await work();
    } catch (error) {
      this.fault.set(`${failed} ${error instanceof Error ? error.message : ''}`);
    } finally {
      this.working.set('');
    }
  }
}

/** By kind, each with the names it holds: "3 rigs: Limpet, Whelk, Cockle". Nothing: no rows. */
function counted(list: readonly { readonly kind: DocumentKind; readonly name: string }[]): readonly string[] {
  return (Object.keys(WORDS) as DocumentKind[]).flatMap((kind) => {
    const names = list.filter((d) => d.kind === kind).map((d) => d.name);
    if (names.length === 0) return [];
    const of = kind === 'setup' || kind === 'log' || kind === 'walk' ? [...new Set(names)] : names;
    const shown = of.slice(0, NAMED).join(', ');
    return [
      `${names.length} ${WORDS[kind][names.length === 1 ? 0 : 1]}: ${shown}${of.length > NAMED ? ` and ${of.length - NAMED} more` : ''}`,
    ];
  });
}

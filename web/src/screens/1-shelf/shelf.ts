/** Shelf: rigs and what state each is in; start one from a family, copy, rename, delete; files and backups. */
import { DatePipe, NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { DocumentKind, PastSave, RigDocument } from '@tide-pebble/core';
import { filter, map, switchMap, take } from 'rxjs';
import { Documents } from '../../services/keeping/documents';
import { FreeNames } from '../../services/free-names';
import { Kept } from '../../services/kept';
import { later$ } from '../../services/later';
import { saveFile } from '../../services/save-file';
import { Dialogs } from '../../ui/dialogs';
import type { WhoseSaves } from '../../ui/earlier-saves';
import { Notices } from '../../services/notices';
import { KIND_WORDS } from '../../ui/figures/kind-words';
import { chosenFile } from './chosen-file';
import { RigCard } from './rig-card';

/** A rig with its kit is some hundred kilobytes; with a printed part in it some megabytes. */
const RIG_FILE_AT_MOST = 16 * 1024 * 1024;

@Component({
  selector: 'tp-shelf',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, NgComponentOutlet, MatButton, RigCard, RouterLink],
  templateUrl: './shelf.html',
  styleUrl: './shelf.css',
})
export class Shelf {
  private readonly documents = inject(Documents);
  private readonly kept = inject(Kept);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly names = inject(FreeNames);
  private readonly dialogs = inject(Dialogs);
  /** Stored and not readable, each with the newest of its saves that is. */
  protected readonly damaged = toSignal(
    this.documents.damaged$.pipe(map((list) => list.map((d) => ({ ...d, newest: d.past[0] ?? null })))),
    { initialValue: [] },
  );
  /** Typed on this address for another data folder. */
  protected readonly ofOthers = signal(0);

  protected readonly kinds = KIND_WORDS;
  protected readonly current = toSignal(this.kept.rig$, { initialValue: null });
  private readonly all = toSignal(this.kept.rigs$, { initialValue: [] });
  /** By name, what is on the bench first; nothing moves under the hand when a name or the bench changes, only when a rig comes or goes. */
  private readonly order = computed(
    () =>
      [...this.all()]
        .sort((a, b) => Number(b.id === this.current()?.id) - Number(a.id === this.current()?.id))
        .map((r) => r.id),
    { equal: (a, b) => a.length === b.length && a.every((id) => b.includes(id)) },
  );
  protected readonly rigs = computed(() => {
    const byId = new Map(this.all().map((r) => [r.id, r]));
    return this.order().flatMap((id) => byId.get(id) ?? []);
  });
  protected readonly fault = signal('');
  /** Asked for on an empty shelf alone. */
  protected readonly first = toSignal(
    this.documents.state$.pipe(
      filter(({ kind }) => kind !== 'loading' && this.documents.all('rig').length === 0),
      take(1),
      switchMap(() => later$(() => import('./first/first').then((m) => m.First))),
    ),
    { initialValue: null },
  );

  constructor() {
    void this.documents.ofOtherFolders().then((list) => this.ofOthers.set(list.length));
  }

  protected open(rig: RigDocument): void {
    this.kept.choose(rig.id);
    void this.router.navigateByUrl('/frame');
  }

  protected duplicate(rig: RigDocument): void {
    const id = crypto.randomUUID();
    // A copy begins a line of its own, and nothing of it is made.
    const { version: _, taken: _t, setting: _s, ...copied } = rig;
    const setups = this.documents
      .all('setup')
      .filter((s) => s.rig === rig.id)
      .map((s) => ({ ...s, id: crypto.randomUUID(), rig: id }));
    this.documents.commit(`copy of ${rig.name}`, [
      { kind: 'rig', id, body: { ...copied, id, name: this.names.free(`${rig.name} copy`), done: {} } },
      ...setups.map((s) => ({ kind: 'setup' as const, id: s.id, body: s })),
    ]);
  }

  protected rename(rig: RigDocument, name: string): void {
    const text = name.trim();
    if (text && text !== rig.name)
      this.documents.commit(`renaming ${rig.name}`, [
        { kind: 'rig', id: rig.id, body: { ...rig, name: text.slice(0, 120) } },
      ]);
  }

  protected remove(rig: RigDocument): void {
    const mine = (['setup', 'log', 'walk'] as const).flatMap((kind) =>
      this.documents
        .all(kind)
        .filter((d) => d.rig === rig.id)
        .map((d) => ({ kind, id: d.id, body: null })),
    );
    this.documents.commit(`deleting ${rig.name}`, [{ kind: 'rig', id: rig.id, body: null }, ...mine]);
    // What is built in stays built in: only a rig taken apart gives it back.
    const builtIn = rig.taken ? ' What is built into it is not in your bin: undo, and take it apart there first.' : '';
    this.notices.sayWithUndo(`${rig.name} is deleted, with its set-ups, log and walks.${builtIn}`);
  }

  protected async export(rig: RigDocument): Promise<void> {
    const { rigFileOf } = await import('@tide-pebble/core');
    const file = rigFileOf(rig, {
      kit: this.documents.all('kit'),
      loadouts: this.documents.all('loadout'),
      setups: this.documents.all('setup'),
    });
    saveFile(`${rig.name}.rig.json`, JSON.stringify(file, null, 1), 'application/json');
  }

  protected async import(event: Event): Promise<void> {
    const file = chosenFile(event);
    if (!file) return;
    if (file.size > RIG_FILE_AT_MOST)
      return this.fault.set(
        `${file.name} was not taken in: it is larger than ${RIG_FILE_AT_MOST / 1024 / 1024} MB, which no rig file is.`,
      );
    const { adoptRigFile, faultLine, parseRigFile, weighJson } = await import('@tide-pebble/core');
    const bytes = new Uint8Array(await file.arrayBuffer());
    try {
      weighJson(bytes);
    } catch (error) {
      return this.fault.set(`${file.name} was not taken in. ${error instanceof Error ? error.message : ''}`);
    }
    const read = parseRigFile(new TextDecoder().decode(bytes));
    if (!read.ok)
      return this.fault.set(`${file.name} was not taken in. ${read.faults.slice(0, 3).map(faultLine).join('; ')}.`);
    this.fault.set('');
    const documents = adoptRigFile(
      read.value,
      (kind, id) => this.documents.get(kind, id),
      () => crypto.randomUUID(),
    );
    this.documents.commit(`importing ${file.name}`, documents);
    const rig = documents.find((d) => d.kind === 'rig');
    if (rig) this.kept.choose(rig.id);
    this.notices.sayWithUndo(`${read.value.rig.name} is on the shelf.`);
  }

  protected async backups(): Promise<void> {
    await this.dialogs.open(() => import('./backups/backups').then((m) => m.Backups), { width: '640px' });
  }

  protected async earlier(rig: RigDocument): Promise<void> {
    const data: WhoseSaves = { kind: 'rig', id: rig.id, name: rig.name };
    await this.dialogs.open(() => import('../../ui/earlier-saves').then((m) => m.EarlierSaves), {
      data,
      width: '720px',
    });
  }

  protected async putBack(d: {
    readonly kind: DocumentKind;
    readonly id: string;
    readonly newest: PastSave | null;
  }): Promise<void> {
    if (!d.newest) return;
    try {
      await this.documents.goBack(d.kind, d.id, d.newest.revision, 'putting back the last good save');
      this.fault.set('');
    } catch (error) {
      this.fault.set(`It could not be put back. ${error instanceof Error ? error.message : ''}`);
    }
  }

  protected async takeOfOthers(how: 'bring in' | 'let go'): Promise<void> {
    await this.documents.takeOfOtherFolders(how);
    this.ofOthers.set(0);
    this.notices.say(how === 'bring in' ? 'It is here now; undo takes it out again.' : 'It is gone.');
  }
}

/** Steps ticked off, with what they take out of the bin and what comes back, as one thing to undo. */
import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { figure, showFigure, type RigDocument, type Taken } from '@tide-pebble/core';
import {
  givenBack,
  takenApart,
  takenBy,
  type Apart,
  type Ledger as Entries,
  type Ticked,
} from '@tide-pebble/core/making';
import { Documents } from './keeping/documents';
import { Notices } from './notices';
import { Units } from './units';
import { Workspace, type Bench } from './workspace';

const newId = (): string => crypto.randomUUID();

@Injectable({ providedIn: 'root' })
export class Ledger {
  private readonly documents = inject(Documents);
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  private readonly plan = toSignal(this.workspace.stockNow$, { initialValue: { plan: null, isLate: true } });

  /** `change`: what else of the rig the tick changes. */
  ticked({ rig: { id }, work }: Bench, step: Ticked, change: (rig: RigDocument) => RigDocument): void {
    const rig = this.documents.get('rig', id);
    if (!rig) return;
    const { plan, isLate } = this.plan();
    const before = rig.taken ?? [];
    const sawn = { rig: work.rig, kerf: rig.kerf, plan: isLate ? null : plan };
    const entries = takenBy(step, before, this.documents.all('bin'), sawn, newId);
    this.commit('ticking a step', change(rig), entries);
    const offcut = entries.taken.slice(before.length).find((t) => t.cut && entries.bin.length > 0)?.cut;
    if (offcut && offcut.left > 0)
      this.notices.say(`What is left, ${showFigure(figure('length', offcut.left), this.units())}, lies in your bin.`);
  }

  unticked(label: string, id: string, steps: readonly string[], change: (rig: RigDocument) => RigDocument): void {
    const rig = this.documents.get('rig', id);
    if (rig)
      this.commit(label, change(rig), givenBack(new Set(steps), rig.taken ?? [], this.documents.all('bin'), newId));
  }

  /** What would come back, and what would not. */
  apart({ rig, work }: Bench): Apart {
    return takenApart(work.rig, rig.taken ?? [], this.documents.all('bin'), newId);
  }
  takeApart(bench: Bench): void {
    const { setting: _, ...rig } = this.documents.get('rig', bench.rig.id) ?? bench.rig;
    this.commit(`taking ${rig.name} apart`, { ...rig, done: {} }, { taken: [], bin: this.apart(bench).bin });
    this.notices.sayWithUndo('Its parts lie in your bin, and its steps wait to be done.');
  }

  private commit(label: string, rig: RigDocument, { taken, bin }: Entries): void {
    this.documents.commit(label, [
      { kind: 'rig', id: rig.id, body: withTaken(rig, taken) },
      ...bin.map((body) => ({ kind: 'bin' as const, id: body.id, body })),
    ]);
  }
}

/** Left out where nothing was. */
const withTaken = ({ taken: _, ...rig }: RigDocument, taken: readonly Taken[]): RigDocument => ({
  ...rig,
  ...(taken.length > 0 ? { taken: [...taken] } : {}),
});

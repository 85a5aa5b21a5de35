/** The loadout shown: which, what stands on what, each thing's place, turn and states; copies and swaps. */
import { ChangeDetectionStrategy, Component, computed, inject, model, output } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiChevronDown, mdiChevronUp, mdiContentCopy, mdiDeleteOutline, mdiHistory, mdiPlus } from '@mdi/js';
import { figure, itemFigures, say, type Loadout, type Mounted, type Phrase } from '@tide-pebble/core';
import { LoadBench } from '../../services/load-bench';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { Dialogs } from '../../ui/dialogs';
import type { WhoseSaves } from '../../ui/earlier-saves';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { Notices } from '../../services/notices';
import { Pick } from '../../ui/pick';
import { EntryEditor } from './entry-editor';

@Component({
  selector: 'tp-loadout-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, Icon, FigurePipe, SayPipe, EntryEditor, Pick],
  templateUrl: './loadout-panel.html',
  styleUrl: './loadout-panel.css',
})
export class LoadoutPanel {
  protected readonly load = inject(LoadBench);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  private readonly notices = inject(Notices);
  private readonly dialogs = inject(Dialogs);
  protected readonly rig = toSignal(inject(Workspace).rig$, { initialValue: null });
  readonly picked = model<string | null>(null);
  /** The item whose sheet is wanted. */
  readonly opened = output<string>();
  protected readonly icons = {
    add: mdiPlus,
    remove: mdiDeleteOutline,
    copy: mdiContentCopy,
    earlier: mdiHistory,
    open: mdiChevronDown,
    close: mdiChevronUp,
  };

  /** The tree in the order it is built, each row as deep as it stands. */
  protected readonly rows = computed(() => {
    const loadout = this.load.loadout();
    const kit = this.load.kit();
    if (!loadout) return [];
    const depths = new Map<string, number>();
    const depthOf = (m: Mounted, seen: number): number => {
      const below = m.on && seen < 60 ? loadout.items.find((o) => o.id === m.on!.mounted) : undefined;
      return below ? depthOf(below, seen + 1) + 1 : 0;
    };
    for (const m of loadout.items) depths.set(m.id, depthOf(m, 0));
    return loadout.items.map((m) => ({
      m,
      item: kit.get(m.item),
      depth: Math.min(4, depths.get(m.id)!),
      under: this.nameUnder(loadout, m),
      states: this.stateWords(m),
    }));
  });
  protected readonly total = computed(
    () => this.load.coverage().loadouts.find((l) => l.id === this.load.loadout()?.id) ?? null,
  );
  /** What each lens takes in, or what to look up before that can be said. */
  protected readonly cones = computed<readonly Phrase[]>(() =>
    this.load.cones().map((c) => {
      if (c.kind === 'notKnown') return say`What it sees is not known. ${c.measure}`;
      const { wide, long } = c.cone;
      const lens = this.load.placed().items.find((p) => p.entry.id === c.cone.lens)?.item.name ?? 'The lens';
      const angle = (value: number) => figure('angle', value, 0);
      return wide.focalLength === long.focalLength
        ? say`${lens} sees ${angle(wide.across)} across and ${angle(wide.up)} up.`
        : say`${lens} sees ${angle(wide.across)} to ${angle(long.across)} across, ${angle(wide.up)} to ${angle(long.up)} up.`;
    }),
  );
  protected readonly spare = computed(() =>
    this.load.kitList().filter((k) => !this.load.loadout()?.items.some((m) => m.item === k.id)),
  );

  protected rename(loadout: Loadout, name: string): void {
    const text = name.trim();
    if (text) this.load.changeLoadout(loadout.id, (l) => ({ ...l, name: text.slice(0, 120) }));
  }

  protected conditions(loadout: Loadout, conditions: string): void {
    this.load.changeLoadout(loadout.id, (l) => ({ ...l, conditions: conditions.slice(0, 400) }));
  }

  protected remove(loadout: Loadout): void {
    this.load.removeLoadout(loadout);
    this.notices.sayWithUndo(`${loadout.name} is deleted.`);
  }

  protected async earlier({ id, name }: Loadout): Promise<void> {
    const data: WhoseSaves = { kind: 'loadout', id, name };
    await this.dialogs.open(() => import('../../ui/earlier-saves').then((m) => m.EarlierSaves), {
      data,
      width: '720px',
    });
  }

  protected mount(loadout: Loadout, item: string): void {
    this.load.remount(loadout.id, { kind: 'mount', item });
  }

  protected takeOff(loadout: Loadout, mounted: string): void {
    this.load.remount(loadout.id, { kind: 'takeOff', mounted });
  }

  protected massOf(m: Mounted): number | null {
    const item = this.load.kit().get(m.item);
    return item ? itemFigures(item, m.states).mass : null;
  }

  private nameUnder(loadout: Loadout, m: Mounted): string {
    if (m.onRig !== undefined) {
      const place = this.load.rigPlaces().find((p) => p.id === m.onRig);
      return place ? `on the rig’s ${place.name}` : 'on a place that this rig has not';
    }
    if (!m.on) return 'on the rig';
    const below = loadout.items.find((other) => other.id === m.on!.mounted);
    const item = below && this.load.kit().get(below.item);
    return item
      ? `on ${item.name}, ${item.mountPoints.find((p) => p.id === m.on!.point)?.name ?? 'a point that is gone'}`
      : 'on something that is gone';
  }

  private stateWords(m: Mounted): string {
    return (this.load.kit().get(m.item)?.states ?? [])
      .flatMap((s) => s.choices.filter((c) => c.id === m.states?.[s.id]).map((c) => `${s.name} ${c.name}`))
      .join(', ');
  }
}

/** All families as pictures, each with a load and in the hand: for whoever knows what they want, or would rather look than read. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { FAMILIES, USUAL_HANDS, type Family, type KitItem, type Loadout } from '@tide-pebble/core';
import type { Start } from '@tide-pebble/core/bench';
import { debounceTime, from, map, mergeMap, scan, startWith, switchMap } from 'rxjs';
import { Jobs } from '../../../services/jobs';
import { USUAL_WANTS } from '../../../services/new-rig';
import { Workspace } from '../../../services/workspace';
import { StartPicture } from '../../../ui/drawing/start-picture';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { firstLoad } from '../first/first-load';
import { StartRig } from '../start/start-rig';

/** Two beside each other: as many as most machines have to spare. */
const AT_ONCE = 2;
/** What is mostly put on such a rig, where nothing is mounted yet. A family for light loads alone, kg, is drawn with one. */
const LIGHT = 0.7;
const usual = { cameraMass: null, lensMass: null };
const USUAL_LIGHT = firstLoad({ ...usual, camera: 'action', lens: null })!;
const USUAL_LOAD = firstLoad({ ...usual, camera: 'small-body', lens: 'zoom' })!;

interface Drawn {
  readonly start: Start;
  readonly loadout: Loadout;
  readonly kit: ReadonlyMap<string, KitItem>;
}

@Component({
  selector: 'tp-all-families',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, QuantityField, StartPicture],
  templateUrl: './all.html',
  styleUrl: './all.css',
})
export class AllFamilies {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly rigs = inject(StartRig);

  protected readonly families = FAMILIES;
  protected readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map<string, KitItem>() });
  protected readonly name = signal('');
  private readonly loadoutId = signal<string | null>(null);
  protected readonly hand = signal(USUAL_HANDS.breadth);
  private readonly hands = computed(() => ({ ...USUAL_HANDS, breadth: this.hand() }));
  protected readonly loadout = computed(
    () => this.loadouts().find((l) => l.id === this.loadoutId()) ?? this.loadouts()[0] ?? null,
  );
  /** Each as soon as it is sized. */
  protected readonly drawn = toSignal(
    toObservable(computed(() => FAMILIES.map((family) => ({ family, on: this.loadOf(family) })))).pipe(
      debounceTime(100),
      switchMap((all) =>
        from(all).pipe(
          mergeMap(({ family, on }) => this.sized(family, on), AT_ONCE),
          scan((done, [id, drawn]) => new Map(done).set(id, drawn), new Map<string, Drawn>()),
          startWith(new Map<string, Drawn>()),
        ),
      ),
    ),
    { initialValue: new Map<string, Drawn>() },
  );

  protected pick(loadout: string): void {
    this.loadoutId.set(loadout);
  }

  protected async start(family: Family): Promise<void> {
    const isStarted = await this.rigs.start(family, {
      name: this.name(),
      loadout: this.loadout(),
      kit: this.kit(),
      hands: this.hands(),
      wants: USUAL_WANTS,
    });
    if (isStarted) this.name.set('');
  }

  private loadOf(family: Family): Omit<Drawn, 'start'> {
    const loadout = this.loadout();
    if (loadout) return { loadout, kit: this.kit() };
    const { loadout: guess, items } = (family.suits.loadAtMost ?? Infinity) <= LIGHT ? USUAL_LIGHT : USUAL_LOAD;
    return { loadout: guess, kit: new Map(items.map((i) => [i.id, i])) };
  }

  private sized(family: Family, on: Omit<Drawn, 'start'>) {
    return this.jobs
      .run('start', { family: family.id, input: { ...on, wants: USUAL_WANTS, hands: this.hands() } })
      .pipe(map((start) => [family.id, { ...on, start: start! }] as const));
  }
}

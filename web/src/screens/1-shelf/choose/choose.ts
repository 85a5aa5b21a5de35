/** Choose: from what you want to shoot to which family, each sized to your load; up to four side by side. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import {
  CARRIES,
  familyById,
  figure,
  holdTimeWords,
  MOVES,
  render,
  showFigure,
  USUAL_HANDS,
  wantsFor,
  type Quantity,
} from '@tide-pebble/core';
import type { Candidate, Wishes } from '@tide-pebble/core/making';
import { catchError, combineLatest, debounceTime, map, of, startWith, switchMap } from 'rxjs';
import { Jobs } from '../../../services/jobs';
import { USUAL_WANTS } from '../../../services/new-rig';
import { OwnAnswers } from '../../../services/own-answers';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { StartPicture } from '../../../ui/drawing/start-picture';
import { StageLayout } from '../../../ui/stage-layout';
import { AtMost } from '../at-most';
import { StartRig } from '../start/start-rig';
import { ALWAYS, COMMON_TOOLS } from '../tools';

const AT_MOST = 4;
@Component({
  selector: 'tp-choose',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AtMost,
    MatButton,
    MatCheckbox,
    MatProgressBar,
    RouterLink,
    StageLayout,
    QuantityField,
    SayPipe,
    StartPicture,
  ],
  templateUrl: './choose.html',
  styleUrl: './choose.css',
})
export class Choose {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly rigs = inject(StartRig);
  protected readonly units = inject(Units).now;

  protected readonly carries = CARRIES;
  protected readonly moves = MOVES;
  protected readonly tools = COMMON_TOOLS;
  protected readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  protected readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });
  protected readonly loadoutId = signal<string | null>(null);
  protected readonly loadout = computed(
    () => this.loadouts().find((l) => l.id === this.loadoutId()) ?? this.loadouts()[0] ?? null,
  );
  private readonly answers = inject(OwnAnswers);
  protected readonly wishes = computed(() => this.answers.now().wishes);
  protected readonly hands = signal(USUAL_HANDS);
  protected readonly owned = computed(() => {
    const { tools } = this.answers.now();
    return tools && new Set(tools);
  });
  protected readonly compared = signal<readonly string[]>([]);

  /** What these shots ask of the balance: the rig is started with it. */
  private readonly wants = computed(() => wantsFor(this.wishes(), USUAL_WANTS));
  private readonly asked = computed(() => ({
    wishes: { ...this.wishes(), tools: this.owned() === null ? null : [...this.owned()!, ...ALWAYS] },
    loadout: this.loadout(),
    kit: this.kit(),
    wants: this.wants(),
    hands: this.hands(),
  }));
  private readonly outcome = toSignal(
    combineLatest([toObservable(this.asked)]).pipe(
      debounceTime(150),
      switchMap(([input]) =>
        this.jobs.run('choose', input).pipe(
          map((list) => ({ kind: 'ranked' as const, list })),
          catchError((error: Error) => of({ kind: 'failed' as const, reason: error.message })),
          startWith({ kind: 'working' as const }),
        ),
      ),
    ),
    { initialValue: { kind: 'working' as const } },
  );
  /** The last ranking stays while the next is worked out. */
  private last: readonly Candidate[] = [];
  protected readonly working = computed(() => this.outcome().kind === 'working');
  protected readonly failed = computed(() => {
    const outcome = this.outcome();
    return outcome.kind === 'failed' ? outcome.reason : '';
  });
  protected readonly ranked = computed(() => {
    const outcome = this.outcome();
    if (outcome.kind === 'ranked') this.last = outcome.list;
    return this.last.map((c) => this.shown(c));
  });
  protected readonly side = computed(() => this.ranked().filter((c) => this.compared().includes(c.family.id)));

  protected toggle<K extends 'carries' | 'moves'>(list: K, value: Wishes[K][number], on: boolean): void {
    this.answers.toggle(list, value, on);
  }

  protected set(change: Partial<Wishes>): void {
    this.answers.wish(change);
  }

  protected own(tool: string, on: boolean): void {
    this.answers.own(tool, on, COMMON_TOOLS);
  }

  protected measure(key: 'breadth' | 'armClose' | 'armOut' | 'wristStrength', { value }: Quantity): void {
    this.hands.update((h) => ({ ...h, [key]: value }));
  }

  protected leftHanded(leftHanded: boolean): void {
    this.hands.update((h) => ({ ...h, leftHanded }));
  }

  protected compare(id: string, on: boolean): void {
    this.compared.update((list) => (on ? [...list, id].slice(-AT_MOST) : list.filter((c) => c !== id)));
  }

  protected start(id: string): void {
    const family = familyById(id);
    if (!family) return;
    void this.rigs.start(family, {
      name: '',
      loadout: this.loadout(),
      kit: this.kit(),
      hands: this.hands(),
      wants: this.wants(),
    });
  }

  private shown(candidate: Candidate) {
    const family = familyById(candidate.family)!;
    const say = (kind: Parameters<typeof figure>[0], value: number, decimals?: number): string =>
      showFigure(figure(kind, value, decimals), this.units());
    const { seen } = candidate;
    return {
      family,
      candidate,
      rows: [
        { name: 'Mass with the load', text: say('mass', candidate.mass) },
        {
          name: 'In a walk, against the bare camera: nose, horizon',
          text: seen
            ? [
                [seen.rig.pitch, seen.bare.pitch],
                [seen.rig.roll, seen.bare.roll],
              ]
                .map(([own, bare]) => `${say('angle', own!)} for ${say('angle', bare!)}`)
                .join(', ')
            : 'not from a hand',
        },
        {
          name: 'As it starts',
          text: candidate.readouts
            .map((g) => `${g.name} ${render([...g.figure, ' ', ...g.rest], this.units())}`.trim())
            .join('; '),
        },
        {
          name: 'Can be held',
          text: candidate.holds === null ? 'by no hand' : render(holdTimeWords(candidate.holds), this.units()),
        },
        {
          name: 'Packs to',
          text: `${candidate.pieces} ${candidate.pieces === 1 ? 'piece' : 'pieces'}, longest ${say('length', candidate.longestPiece)}`,
        },
        { name: 'Cost to buy', text: say('money', candidate.cost) },
        {
          name: 'At the bench',
          text: `${candidate.hours.toFixed(1)} h${candidate.dries > 0 ? `, and ${say('time', candidate.dries, 0)} to set` : ''}`,
        },
        { name: 'Tools', text: candidate.tools.filter((t) => !ALWAYS.includes(t)).join(', ') || 'hand tools' },
      ],
    };
  }
}

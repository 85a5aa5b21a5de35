/** The pan test: turn it at a rate, see how it leans in the picture, where it ends to be steady, and what to move so that it does not. */
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { bodiesBeyond, DEGREE, figure, panPlans, panReading, showFigure, toStep, wayOf, type Change, type PanMove, type PanPlan, type PanReading, type Part, type Station } from '@tide-pebble/core';
import { finalize, type Subscription } from 'rxjs';
import { injectBench } from '../../../services/bench-signal';
import { Jobs } from '../../../services/jobs';
import { Pointer } from '../../../services/pointer';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { NoBench } from '../../../ui/no-bench';
import { RigViews } from '../../../ui/rig-views';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';
import { LensView } from '../lens-view';
import { trimWords } from '../trim-words';

/** A slow, a usual and a whip pan, degrees a second. */
const RATES = [10, 45, 120] as const;
const MOST_RATE = 180;
/** Where no lens is known, rad. */
const USUAL_WIDTH = 40 * DEGREE;

@Component({
  selector: 'tp-pan',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, StageLayout, RigViews, NoBench, BenchTabs, LensView],
  templateUrl: './pan.html',
  styleUrl: './pan.css',
})
export class Pan {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly units = inject(Units).now;
  protected readonly pointer = inject(Pointer);
  protected readonly bench = injectBench();
  protected readonly most = MOST_RATE;
  protected readonly degrees = signal(45);
  protected readonly part = signal<number | null>(null);
  private readonly rigId = computed(() => this.bench()?.rig.id);
  protected readonly said = linkedSignal<unknown, string>({ source: this.rigId, computation: () => '' });
  private job: Subscription | undefined;

  protected readonly hung = computed(() => this.bench()?.judged.evaluation.hung ?? null);
  protected readonly across = computed(() => {
    const cones = this.bench()?.piece.cones ?? [];
    return cones.length > 0 ? Math.min(...cones.map((c) => c.long.across)) : USUAL_WIDTH;
  });
  protected readonly lensNote = computed(() => (this.bench()?.piece.cones.length ? `lens at its longest, ${this.say('angle', this.across(), 0)} wide` : `no lens known: a picture ${this.say('angle', this.across(), 0)} wide`));
  protected readonly now = computed((): PanReading | null => {
    const hung = this.hung();
    return hung ? panReading(hung, this.degrees() * DEGREE, this.across()) : null;
  });
  protected readonly table = computed(() => {
    const hung = this.hung();
    return hung ? RATES.map((rate) => ({ rate, text: this.words(panReading(hung, rate * DEGREE, this.across())) })) : [];
  });
  /** Rest and pan together, for the drawing and the lens: nose down and left side down, rad. */
  protected readonly leaning = computed(() => {
    const [hung, now] = [this.hung(), this.now()];
    const rest = hung?.hang.rest;
    if (!rest || !now?.lean) return null;
    return { noseDown: rest.noseDown - now.lean.noseUp, leftSideDown: rest.leftSideDown - now.lean.leftUp };
  });
  protected readonly limit = computed(() => {
    const now = this.now();
    if (!now) return '';
    const { balanced, unstableAbove } = now.limit;
    if (unstableAbove === null) return 'It keeps upright at every rate: its inertia in pan is the largest.';
    const at = `${this.say('angle', unstableAbove, 0)} a second`;
    return balanced ? `Upright is a rest up to ${at}; beyond it drifts out, over seconds.` : `Evenly laid out it would be steady up to ${at}. Near that the lean grows fast.`;
  });
  /** What moves by itself, and by what: a mirrored pair together, washers with the bolt they are on, a member only with its corners. */
  private readonly movable = computed(() => {
    const bodies = this.bench()?.piece.rig.bodies ?? [];
    const bolts = new Map(bodies.flatMap((b) => b.stations.flatMap((s) => b.parts.filter((p) => !p.mount && isBoltOf(p, s)).map((p) => [p.id, s.id] as const))));
    const movesAs = new Map(bodies.flatMap((b) => [
      ...b.parts.filter((p) => !p.mount).map((p) => [p.id, { id: bolts.get(p.id) ?? (p.twin && p.twin < p.id ? p.twin : p.id), pair: p.twin !== undefined }] as const),
      ...b.stations.map((s) => [s.id, { id: s.id, pair: false }] as const),
    ]));
    return { movesAs, with: (id: string): readonly string[] => [id, ...[...bolts].flatMap(([bolt, station]) => (station === id ? [bolt] : []))] };
  });
  protected readonly plans = computed(() => {
    const bench = this.bench();
    const hung = this.hung();
    if (!bench || !hung) return [];
    const { rig } = bench.piece;
    const { movesAs } = this.movable();
    return panPlans({ rig, values: bench.values, hung, pieces: bench.judged.evaluation.pieces, carries: bodiesBeyond(rig, hung.pivot), movesAs: (owner) => movesAs.get(owner) ?? null }).map((plan) => ({
      plan,
      text: plan.moves.map((m) => `${this.nameOf(m)}: ${this.say('length', Math.abs(m.by), 0)} ${wayOf({ axis: m.along }, m.by)}`).join('. '),
      why: `${plan.takesAway === 1 ? 'Takes away all that makes it lean' : `As far as slides go and things should be moved: takes away ${this.say('percent', plan.takesAway, 0)} of what makes it lean`}. It stays level${plan.keepsHeight ? '' : '; its drop changes'}.`,
    }));
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.job?.unsubscribe());
  }

  protected rate(value: string): void {
    this.degrees.set(Math.min(MOST_RATE, Math.max(0, Number(value))));
  }

  protected take({ moves }: PanPlan): void {
    const now = this.bench()?.values ?? {};
    const adjusters = this.bench()?.piece.rig.adjusters ?? [];
    this.workspace.apply('what makes a pan level', moves.flatMap((m): readonly Change[] => {
      const by = [m.along[0] * m.by, m.along[1] * m.by, m.along[2] * m.by] as const;
      if (m.kind === 'thing') return this.movable().with(m.id).map((id) => ({ kind: 'move', id, by }));
      const adjuster = adjusters.find((a) => a.id === m.id)!;
      return [{ kind: 'adjuster', id: m.id, value: toStep(adjuster, (now[m.id] ?? adjuster.value) + m.by) }];
    }));
  }

  /** The set-up that leans least, of all that are level and fall as wanted. */
  protected solve(): void {
    const bench = this.bench();
    if (!bench || this.part() !== null) return;
    this.part.set(0);
    this.job = this.jobs.run('trim', { assembly: bench.piece.assembly, values: bench.values, wants: bench.rig.wants, aim: 'steadiestPan' }, ({ done, of }) => this.part.set(done / of)).pipe(finalize(() => this.part.set(null))).subscribe({
      next: (outcome) => {
        this.said.set(trimWords(outcome, bench.piece.rig.adjusters, this.units(), 'steadiestPan'));
        if (outcome.kind === 'solved') this.workspace.setAdjusters('the set-up most level in a pan', outcome.values);
      },
      error: (fault: Error) => this.said.set(fault.message),
    });
  }

  protected stop(): void {
    this.job?.unsubscribe();
  }

  protected words(reading: PanReading | null): string {
    if (!reading) return 'it does not hang';
    if (!reading.lean) return 'drifts out';
    const { noseUp, leftUp } = reading.lean;
    const part = (angle: number, words: readonly [string, string]): string => (Math.abs(angle) < 0.05 * DEGREE ? '' : `${this.say('angle', Math.abs(angle))} ${words[angle > 0 ? 0 : 1]}`);
    const said = [part(noseUp, ['nose up', 'nose down']), part(leftUp, ['left side up', 'left side down'])].filter(Boolean).join(', ');
    return said ? `${said}: ${this.say('percent', reading.ofFrame!, 1)} of the picture` : 'stays level';
  }

  protected overshoot(reading: PanReading): string {
    return reading.overshoot === null ? '' : `A pan shorter than its swing starts from nought and may overshoot to ${this.say('angle', reading.overshoot)}.`;
  }

  /** Washers are known by their bolt's name in the adjusters, where they have one. */
  private nameOf({ id, name }: PanMove): string {
    return this.bench()?.piece.rig.adjusters.find((a) => a.kind === 'count' && a.moves.some((m) => m.id === id))?.name ?? `${name[0]!.toUpperCase()}${name.slice(1)}`;
  }

  private say(kind: Parameters<typeof figure>[0], value: number, decimals?: number): string {
    return showFigure(figure(kind, value, decimals), this.units());
  }
}

/** A bolt through the face its washers sit on: as thick, and within its own length of there. */
const isBoltOf = (part: Part, { seat, boltDiameter, room }: Station): boolean =>
  part.shape.kind === 'tube' && part.shape.innerRadius === 0 && Math.abs(2 * part.shape.outerRadius - boltDiameter) < 5e-4 && Math.hypot(part.at[0] - seat[0], part.at[1] - seat[1], part.at[2] - seat[2]) < room + 0.03;

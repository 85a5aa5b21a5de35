/** The tide line: six figures, each over its own gauge. Touch one: its target to change, why it is so, and what to do. */
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { mdiClose } from '@mdi/js';
import {
  spreadWords,
  figure,
  holdFor,
  showFigure,
  wristAtMost,
  type Judgement,
  type Quantity,
  type Wants,
} from '@tide-pebble/core';
import { Units } from '../services/units';
import { Workspace, type BenchState } from '../services/workspace';
import { Findings } from '../ui/findings/findings';
import { SayPipe } from '../ui/figures/figures.pipe';
import { Icon } from '../ui/icon';
import { QuantityField, type FieldKind } from '../ui/figures/quantity-field';
import { TideGauge } from '../ui/figures/tide-gauge';
import { gaugesOf, type GaugeId } from './gauges';

interface WantField {
  readonly label: string;
  readonly kind: FieldKind;
  readonly value: number;
  readonly range: readonly [number, number];
  readonly set: (wants: Wants, value: number) => Wants;
}

const ABOUT: Readonly<Record<GaugeId, { title: string; codes: readonly string[] }>> = {
  nose: {
    title: 'Nose, fore and aft',
    codes: ['notLevelForeAft', 'levelNotKnown', 'topHeavy', 'neutral', 'wristNose'],
  },
  sides: {
    title: 'Sides, left and right',
    codes: ['notLevelSideways', 'topHeavy', 'neutral', 'bendOutOfPlane', 'wristSides'],
  },
  drop: {
    title: 'Drop time, let go lying level',
    codes: ['dropTooLong', 'dropTooShort', 'stopsShort', 'topHeavy', 'holdTime'],
  },
  mass: { title: 'Mass of rig and load', codes: ['tooHeavy', 'notWeighed', 'notCounted'] },
  calm: { title: 'Calm: how it resists a twist, against the bare camera', codes: ['notCalm', 'nothingMounted'] },
  cost: { title: 'Cost of what is still to buy', codes: [] },
};
/** What the same gauges tell of a rig that is held rigidly. */
const HELD: Partial<typeof ABOUT> = {
  nose: { title: 'What tips in the wrist, nose down or up', codes: ['wristNose'] },
  sides: { title: 'What tips in the wrist, to the sides', codes: ['wristSides'] },
  drop: { title: 'How long it can be held; rough', codes: ['holdTime'] },
};
/** And of one that is worn. */
const WORN: Partial<typeof ABOUT> = {
  nose: { title: 'What the hands bear; an estimate', codes: ['cannotBeHeld', 'overComfort'] },
  sides: { title: 'What shoulder and chest bear; an estimate', codes: ['cannotBeHeld', 'overComfort'] },
  drop: { title: 'How long it can be held; rough', codes: ['holdTime'] },
};
const TURNING: Partial<typeof ABOUT> = {
  nose: {
    title: 'The innermost axis, or where the pole rests',
    codes: ['axisOffBalance', 'poleDroops', 'poleNeutral'],
  },
  sides: { title: 'The next axis, or the pole spun', codes: ['axisOffBalance', 'poleDroops', 'fliesOff'] },
  drop: {
    title: 'The outermost axis, or what the neck feels',
    codes: ['axisOffBalance', 'neckMoment', 'letsGoTooLate', 'mountMustLetGo'],
  },
};
const WAS_SHOWN_MS = 4000;

@Component({
  selector: 'tp-tide-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TideGauge, Findings, QuantityField, Icon, SayPipe],
  templateUrl: './tide-line.html',
  styleUrl: './tide-line.css',
  host: {
    role: 'region',
    'aria-label': 'Tide line: readouts against their targets',
    '(keydown.escape)': 'open.set(null)',
  },
})
export class TideLine {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  private readonly state = toSignal(this.workspace.bench$, { initialValue: { kind: 'none' } as BenchState });
  private readonly stock = toSignal(this.workspace.stock$, { initialValue: null });
  protected readonly close = mdiClose;
  protected readonly shownUnits = this.units;
  protected readonly open = signal<GaugeId | null>(null);
  private readonly was = signal<Readonly<Partial<Record<GaugeId, string>>>>({});

  private readonly bench = computed(() => {
    const state = this.state();
    return state.kind === 'ready' ? state.bench : null;
  });
  private readonly plain = computed(() => {
    const bench = this.bench();
    return bench ? gaugesOf(bench, this.stock(), this.units()) : [];
  });
  protected readonly gauges = computed(() =>
    this.plain().map((g) => ({
      id: g.id,
      gauge: { ...g.gauge, was: this.was()[g.id] ? `was ${this.was()[g.id]}` : '' },
    })),
  );
  protected readonly panel = computed(() => {
    const id = this.open();
    const bench = this.bench();
    if (!id || !bench) return null;
    const { pole, axes, hung } = bench.judged.evaluation;
    const held = hung ? undefined : bench.judged.evaluation.held[0];
    const { title, codes } =
      (pole || axes.length > 0 ? TURNING[id] : undefined) ??
      (held ? (held.bears.length > 0 || held.falls ? WORN : HELD)[id] : undefined) ??
      ABOUT[id];
    const findings: readonly Judgement[] = bench.judged.findings.filter((f) => codes.includes(f.code));
    const length = id === 'drop' ? (bench.judged.evaluation.hung?.pitch.pendulumLength ?? null) : null;
    const vivid =
      length === null
        ? ''
        : `It swings like a plain pendulum ${showFigure(figure('length', length, 0), this.units())} long.`;
    const spread = bench.judged.onBench
      .filter((s) => (id === 'nose' ? s.axis === 'foreAft' : id === 'sides' && s.axis === 'sideways'))
      .map(spreadWords);
    return { title, findings, vivid, spread, fields: fieldsOf(id, bench.rig.wants, held !== undefined) };
  });

  constructor() {
    let before: { rig: string; figures: Readonly<Partial<Record<GaugeId, string>>> } | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    effect(() => {
      const figures = Object.fromEntries(this.plain().map((g) => [g.id, g.gauge.figure]));
      const rig = untracked(() => this.bench()?.rig.id ?? '');
      const last = before;
      before = { rig, figures };
      if (!last || last.rig !== rig) return;
      const changed = Object.fromEntries(
        Object.entries(last.figures).filter(([id, text]) => text !== figures[id] && text !== '–'),
      );
      if (Object.keys(changed).length === 0) return;
      // A drag keeps the figure it started from.
      this.was.update((shown) => ({ ...changed, ...shown }));
      clearTimeout(timer);
      timer = setTimeout(() => this.was.set({}), WAS_SHOWN_MS);
    });
  }

  protected toggle(id: GaugeId): void {
    this.open.update((now) => (now === id ? null : id));
  }

  protected want(field: WantField, quantity: Quantity): void {
    this.workspace.editRig(`what you want: ${field.label.toLowerCase()}`, (rig) => ({
      ...rig,
      wants: field.set(rig.wants, quantity.value),
    }));
  }
}

function fieldsOf(id: GaugeId, wants: Wants, held: boolean): readonly WantField[] {
  if (held && (id === 'nose' || id === 'sides'))
    return [
      {
        label: 'Wrist at most',
        kind: 'torque',
        value: wristAtMost(wants),
        range: [0.05, 40],
        set: (w, value) => ({ ...w, wristAtMost: value }),
      },
    ];
  if (held && id === 'drop')
    return [
      {
        label: 'Held for at least',
        kind: 'time',
        value: holdFor(wants),
        range: [5, 7200],
        set: (w, value) => ({ ...w, holdFor: value }),
      },
    ];
  switch (id) {
    case 'nose':
    case 'sides':
      return [
        {
          label: 'Level within',
          kind: 'angle',
          value: wants.levelWithin,
          range: [0.0017, 0.5],
          set: (w, value) => ({ ...w, levelWithin: value }),
        },
      ];
    case 'drop':
      return [
        {
          label: 'Drop at least',
          kind: 'time',
          value: wants.dropTime[0],
          range: [0.3, 20],
          set: (w, value) => ({ ...w, dropTime: [value, Math.max(value, w.dropTime[1])] }),
        },
        {
          label: 'Drop at most',
          kind: 'time',
          value: wants.dropTime[1],
          range: [0.3, 20],
          set: (w, value) => ({ ...w, dropTime: [Math.min(value, w.dropTime[0]), value] }),
        },
      ];
    case 'mass':
      return [
        {
          label: 'Mass at most',
          kind: 'mass',
          value: wants.massAtMost,
          range: [0.05, 40],
          set: (w, value) => ({ ...w, massAtMost: value }),
        },
      ];
    case 'calm':
      return [
        {
          label: 'Times the bare camera, at least',
          kind: 'count',
          value: wants.calmAtLeast,
          range: [0, 1000],
          set: (w, value) => ({ ...w, calmAtLeast: value }),
        },
      ];
    case 'cost':
      return [
        {
          label: 'Shop price',
          kind: 'money',
          value: wants.shopPrice,
          range: [0, 100000],
          set: (w, value) => ({ ...w, shopPrice: value }),
        },
      ];
  }
}

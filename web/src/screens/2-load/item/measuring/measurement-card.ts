/** One measurement: how it is done, its readings with their repeats, the sum, and what came of it. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { mdiDeleteOutline, mdiScale } from '@mdi/js';
import { type KitItem, type Measurement, type Quantity, type Reading } from '@tide-pebble/core';
import {
  AXIS_WORDS,
  withMeasurement,
  withoutMeasurement,
  type MethodReading,
  type Result,
} from '@tide-pebble/core/measuring';
import { ScaleLink } from '../../../../services/scale-link';
import { Photos } from '../../../../services/photos';
import { Units } from '../../../../services/units';
import { FigurePipe, SayPipe } from '../../../../ui/figures/figures.pipe';
import { Icon } from '../../../../ui/icon';
import { QuantityField } from '../../../../ui/figures/quantity-field';
import type { ItemChange } from '../changes';
import { MethodPicture } from './method-picture';
import { PhotoMarks } from './photo-marks';

const ORDINALS = ['', 'again', 'third time', 'fourth time', 'fifth time'];
const STEPS = {
  scale: [0.001, 0.0001, 0.005, 0.01, 0.028349523125 / 10],
  ruler: [0.001, 0.0005, 0.0001, 0.0254 / 32, 0.0254 / 64],
};

@Component({
  selector: 'tp-measurement-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, QuantityField, Icon, SayPipe, FigurePipe, MethodPicture, PhotoMarks],
  templateUrl: './measurement-card.html',
  styleUrl: './measurement-card.css',
})
export class MeasurementCard {
  protected readonly link = inject(ScaleLink);
  protected readonly photos = inject(Photos);
  protected readonly units = inject(Units).now;
  readonly item = input.required<KitItem>();
  readonly result = input.required<Result>();
  readonly edited = output<ItemChange>();
  protected readonly icons = { remove: mdiDeleteOutline, scale: mdiScale };
  protected readonly steps = STEPS;
  /** The reading a scale is being waited for; and why the last one was not taken. */
  protected readonly waiting = signal<string | null>(null);
  protected readonly notTaken = signal<{ reading: string; reason: string } | null>(null);
  protected readonly marking = signal(false);
  /** Marks on squared paper may be counted in squares of this size, m; null: in plain lengths. */
  protected readonly square = signal<number | null>(null);

  protected readonly axis = computed(() => AXIS_WORDS[this.result().measurement.axis ?? 0]);
  protected readonly usesScale = computed(() => this.result().method?.readings.some((r) => r.kind === 'mass') ?? false);
  protected readonly usesRuler = computed(
    () => this.result().method?.readings.some((r) => r.kind === 'length') ?? false,
  );
  protected readonly title = computed(() => {
    const { method, measurement } = this.result();
    const where =
      method?.needs === 'axis'
        ? `, ${this.axis().name}`
        : method?.needs === 'view'
          ? `, from the ${measurement.view === 'top' ? 'top' : (measurement.view ?? 'side')}`
          : '';
    return `${method?.name ?? 'A way this version does not know'}${where}`;
  });
  protected readonly states = computed(() =>
    (this.item().states ?? []).flatMap((s) =>
      s.choices.slice(1).map((c) => ({ value: `${s.id} ${c.id}`, label: `${s.name} ${c.name}` })),
    ),
  );
  protected readonly state = computed(() => {
    const { state } = this.result().measurement;
    return state ? `${state.state} ${state.choice}` : '';
  });

  protected readonly rows = computed(() => {
    const { method, measurement, averages, outcome } = this.result();
    return (method?.readings ?? []).map((reading) => {
      const list = measurement.readings[reading.id] ?? [];
      const apart = new Set(averages[reading.id]?.apart ?? []);
      const name = reading.name(this.axis());
      return {
        reading,
        name,
        fields: [...list, null].map((r, i) => ({
          reading: r,
          index: i,
          apart: apart.has(i),
          label: `${this.title()}: ${name}${i > 0 ? `, ${ORDINALS[i] ?? `${i + 1}th time`}` : ''}`,
        })),
        range: rangeOf(reading),
        reason: outcome.kind === 'impossible' && outcome.reading === reading.id ? outcome.reason : null,
        mean: list.filter((r) => !r.leftOut).length > 1 ? (averages[reading.id]?.value ?? null) : null,
        // Two alone cannot say which of them is wrong; only that one is.
        differ:
          averages[reading.id]?.count === 2 &&
          averages[reading.id]!.range >
            FAR_APART * (reading.kind === 'mass' ? measurement.scaleStep : measurement.rulerStep)
            ? averages[reading.id]!.range
            : null,
      };
    });
  });
  protected readonly found = computed(() => {
    const { outcome } = this.result();
    if (outcome.kind !== 'found') return null;
    const { size, boxCentre } = this.item();
    return {
      ...outcome,
      found: outcome.found.map((f) => ({
        ...f,
        name:
          f.what === 'centre'
            ? `Mass centre, ${AXIS_WORDS[f.axis!].name}`
            : f.what === 'mass'
              ? 'Mass'
              : f.what === 'size'
                ? `Size, ${AXIS_WORDS[f.axis!].name}`
                : 'Socket depth',
        kind: f.what === 'mass' ? ('mass' as const) : ('length' as const),
        shown: f.what === 'centre' ? f.value - boxCentre[f.axis!] + size[f.axis!] / 2 : f.value,
        from: f.what === 'centre' ? `from ${AXIS_WORDS[f.axis!].face}` : '',
      })),
    };
  });

  protected read(reading: MethodReading, index: number, { value, typed }: Quantity, from?: Reading['from']): void {
    this.put(reading.id, (list) => {
      const one: Reading = {
        value,
        ...(typed === undefined ? {} : { typed }),
        ...(from === undefined ? {} : { from }),
      };
      return index < list.length ? list.map((r, i) => (i === index ? one : r)) : [...list, one];
    });
  }

  protected unread(reading: MethodReading, index: number): void {
    this.put(reading.id, (list) => list.filter((_, i) => i !== index));
  }

  protected leaveOut(reading: MethodReading, index: number): void {
    this.put(reading.id, (list) =>
      list.map(({ leftOut, ...r }, i) =>
        i !== index ? { ...r, ...(leftOut ? { leftOut } : {}) } : leftOut ? r : { ...r, leftOut: true as const },
      ),
    );
  }

  /** Waits for a figure that stands still. When it is not to be had, what was there stays. */
  protected async fromScale(reading: MethodReading, index: number): Promise<void> {
    this.waiting.set(reading.id);
    this.notTaken.set(null);
    try {
      const mass = await this.link.settledReading();
      if (mass < 0) throw new Error('It reads less than nothing. Tare it empty and put the item on again.');
      if (mass < this.link.step() / 2 && reading.least === undefined)
        throw new Error('It reads nothing. Put the item on, and take it again.');
      this.read(reading, index, { value: mass }, 'scale');
    } catch (error) {
      this.notTaken.set({ reading: reading.id, reason: error instanceof Error ? error.message : 'No figure came.' });
    } finally {
      this.waiting.set(null);
    }
  }

  protected marked(places: Readonly<Record<string, number>>): void {
    this.change((m) => ({
      ...m,
      readings: {
        ...m.readings,
        ...Object.fromEntries(Object.entries(places).map(([id, value]) => [id, [{ value, from: 'photo' as const }]])),
      },
    }));
    this.marking.set(false);
  }

  protected along(axis: string): void {
    this.change((m) => ({ ...m, axis: Number(axis) as 0 | 1 | 2 }));
  }

  protected seenFrom(view: string): void {
    this.change((m) => ({ ...m, view: view as 'side' }));
  }

  protected inState(value: string): void {
    const [state, choice] = value.split(' ');
    this.change(({ state: _before, ...m }) => ({ ...m, ...(state && choice ? { state: { state, choice } } : {}) }));
  }

  protected scaleStep(value: string): void {
    this.change((m) => ({ ...m, scaleStep: Number(value) }));
  }

  protected rulerStep(value: string): void {
    this.change((m) => ({ ...m, rulerStep: Number(value) }));
  }

  protected useOrNot(): void {
    this.change(({ leftOut, ...m }) => (leftOut ? m : { ...m, leftOut: true as const }));
  }

  protected remove(): void {
    const { id } = this.result().measurement;
    this.edited.emit((item) => withoutMeasurement(item, id));
  }

  protected counted(reading: MethodReading, index: number, { value, typed }: Quantity): void {
    this.read(reading, index, {
      value: value * (this.square() ?? 1),
      ...(typed === undefined ? {} : { typed: `${typed} squares`.slice(0, 60) }),
    });
  }

  private put(reading: string, change: (list: readonly Reading[]) => readonly Reading[]): void {
    this.change((m) => ({ ...m, readings: { ...m.readings, [reading]: [...change(m.readings[reading] ?? [])] } }));
  }

  /** On the item and the measurement as they are by then. */
  private change(change: (m: Measurement) => Measurement): void {
    const { id } = this.result().measurement;
    this.edited.emit((item) => {
      const now = item.measurements?.find((m) => m.id === id);
      return now ? withMeasurement(item, change(now)) : item;
    });
  }
}

/** Steps beyond which two readings of one thing do not belong together. */
const FAR_APART = 4;
/** Less than this no kitchen scale or ruler shows, kg or m. */
const LEAST = 0.00005;

function rangeOf(reading: MethodReading): readonly [number, number] {
  const most = reading.kind === 'mass' ? 100 : 5;
  if (reading.least === 'any') return [-most, most];
  return [reading.least === 'zero' ? 0 : LEAST, most];
}

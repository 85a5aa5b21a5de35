/** All that was measured of an item, and the ways to measure it further, each with its drawing. */
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
} from '@angular/core';
import { type KitItem, type Measurement } from '@tide-pebble/core';
import { METHODS, withMeasurement, type Method, type Result } from '@tide-pebble/core/measuring';
import { ScaleLink } from '../../../../services/scale-link';
import type { ItemChange } from '../changes';
import { MeasurementCard } from './measurement-card';
import { MethodPicture } from './method-picture';

const FINDS: readonly { readonly id: Method['finds']; readonly title: string }[] = [
  { id: 'mass', title: 'What it weighs' },
  { id: 'centre', title: 'Where its mass centre is' },
  { id: 'size', title: 'How big it is' },
  { id: 'depth', title: 'How deep its socket is' },
];
/** A steel rule's division, m. */
const RULER_STEP = 0.001;

@Component({
  selector: 'tp-measuring',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MeasurementCard, MethodPicture],
  templateUrl: './measuring.html',
  styleUrl: './measuring.css',
})
export class Measuring {
  private readonly scale = inject(ScaleLink);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  readonly item = input.required<KitItem>();
  readonly results = input.required<readonly Result[]>();
  readonly edited = output<ItemChange>();
  protected readonly adding = signal(false);
  /** Ways are offered by what they find; all are open while nothing was measured. */
  protected readonly choosing = computed(() => this.adding() || this.results().length === 0);
  protected readonly groups = FINDS.map((f) => ({
    ...f,
    methods: METHODS.filter((m) => m.finds === f.id).sort((a, b) => a.reach - b.reach),
  }));
  protected readonly plain = computed(
    () => this.item().class === 'camera' || this.item().class === 'plate' || this.item().class === 'cage',
  );
  protected readonly shown = computed(() => this.groups.filter((g) => g.id !== 'depth' || this.plain()));

  /** Along the first axis that was not measured this way yet. */
  protected add(method: Method): void {
    const done = this.results().filter((r) => r.measurement.method === method.id && !r.measurement.state);
    const axis = ([0, 1, 2] as const).find((a) => !done.some((r) => r.measurement.axis === a)) ?? 0;
    const view = (['side', 'front', 'top'] as const).find((v) => !done.some((r) => r.measurement.view === v)) ?? 'side';
    const measurement: Measurement = {
      id: crypto.randomUUID(),
      method: method.id,
      ...(method.needs === 'axis' ? { axis } : method.needs === 'view' ? { view } : {}),
      readings: {},
      scaleStep: this.scale.step(),
      rulerStep: RULER_STEP,
    };
    this.edited.emit((item) => withMeasurement(item, measurement));
    this.adding.set(false);
    // On to its first reading: the card is drawn by then.
    afterNextRender(
      () => {
        const card = this.host.nativeElement.querySelector<HTMLElement>(`#measurement-${measurement.id}`);
        card?.scrollIntoView({ block: 'nearest' });
        card?.querySelector<HTMLInputElement>('.readings input')?.focus();
      },
      { injector: this.injector },
    );
  }
}

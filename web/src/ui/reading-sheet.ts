/** What can be read of this rig, each with its field: the one sheet behind Learn and Log. */
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { seenOf, withSeen, type LogEntry, type ReadingKind } from '@tide-pebble/core';
import { QuantityField } from './figures/quantity-field';

type Seen = LogEntry['seen'];
/** Times of one thing: their mean counts for more than any. */
const PRESSES = 3;
const AGAIN = ['', ', again', ', once more'];

interface Field {
  readonly id: string;
  readonly reading: ReadingKind;
  readonly label: string;
  readonly help: string;
  readonly value: number | null;
  /** Which of several times; null for what is read once. */
  readonly press: number | null;
}

@Component({
  selector: 'tp-reading-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatCheckbox, QuantityField],
  template: `
    @for (r of fields(); track r.id) {
      @if (r.reading.quantity === 'flag') {
        <mat-checkbox [checked]="r.value !== null" (change)="set(r.reading, $event.checked ? 1 : null)">{{
          r.reading.name
        }}</mat-checkbox>
      } @else {
        <tp-quantity-field
          [label]="r.label"
          [kind]="r.reading.quantity"
          [help]="r.help"
          [value]="r.value"
          [range]="r.reading.range"
          [optional]="true"
          (changed)="r.press === null ? set(r.reading, $event.value) : press(r.press, $event.value)"
          (cleared)="r.press === null ? set(r.reading, null) : press(r.press, null)"
        />
      }
    }
  `,
})
export class ReadingSheet {
  readonly readings = input.required<readonly ReadingKind[]>();
  readonly seen = input.required<Seen>();
  readonly noted = output<Seen>();

  protected readonly fields = computed(() =>
    this.readings().flatMap((reading): readonly Field[] => {
      const id = `${reading.kind} ${reading.about ?? ''}`;
      if (reading.kind !== 'dropTimes')
        return [
          { id, reading, label: reading.name, help: reading.help, value: seenOf(this.seen(), reading), press: null },
        ];
      const { dropTimes } = this.seen();
      // One more field than there are times.
      return Array.from({ length: Math.min(PRESSES, dropTimes.length + 1) }, (_, i) => ({
        id: `${id}${i}`,
        reading,
        label: `${reading.name}${AGAIN[i]!}`,
        help: i === 0 ? reading.help : 'The mean of a few is surer than one.',
        value: dropTimes[i] ?? null,
        press: i,
      }));
    }),
  );

  protected set(reading: ReadingKind, value: number | null): void {
    this.noted.emit(withSeen(this.seen(), reading, value));
  }

  protected press(i: number, time: number | null): void {
    const dropTimes = [...this.seen().dropTimes];
    dropTimes.splice(i, 1, ...(time === null ? [] : [time]));
    this.noted.emit({ ...this.seen(), dropTimes });
  }
}

/** Picks one thing out of a list to do something with it: nothing happens until one is chosen, by a press, a touch or Enter. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  output,
  signal,
  viewChild,
  type ElementRef,
} from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';

export interface Pickable {
  readonly id: string;
  readonly name: string;
}

/** More are found by typing: a list longer than this is not read. */
const SHOWN = 50;
/** Up to so many nobody types: a phone's keyboard would only cover them. */
const READ_AT_A_GLANCE = 12;

@Component({
  selector: 'tp-pick',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatAutocomplete, MatAutocompleteTrigger, MatOption],
  template: `
    <input
      #box
      type="text"
      autocomplete="off"
      spellcheck="false"
      [attr.aria-label]="label()"
      [attr.inputmode]="options().length > glance ? null : 'none'"
      [placeholder]="hint()"
      [matAutocomplete]="list"
      (input)="words.set(box.value)"
    />
    <mat-autocomplete
      #list="matAutocomplete"
      [displayWith]="nothing"
      [autoActiveFirstOption]="words() !== ''"
      (optionSelected)="take($event.option.value)"
      (closed)="clear()"
    >
      @for (o of found().shown; track o.id) {
        <mat-option [value]="o.id">{{ o.name }}</mat-option>
      } @empty {
        <mat-option disabled>Nothing here is called that</mat-option>
      }
      @if (found().more > 0) {
        <mat-option disabled>and {{ found().more }} more: type a part of the name</mat-option>
      }
    </mat-autocomplete>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    input {
      width: 100%;
      min-width: 0;
    }
  `,
})
export class Pick {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Pickable[]>();
  /** A quiet word in the empty field. */
  readonly hint = input('');
  readonly picked = output<string>();

  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  protected readonly glance = READ_AT_A_GLANCE;
  protected readonly words = signal('');
  protected readonly found = computed(() => {
    const words = this.words().trim().toLowerCase().split(/\s+/).filter(Boolean);
    const all = this.options().filter((o) => words.every((w) => o.name.toLowerCase().includes(w)));
    return { shown: all.slice(0, SHOWN), more: Math.max(0, all.length - SHOWN) };
  });
  /** What was picked has gone where it belongs: the field stands empty for the next. */
  protected readonly nothing = (): string => '';

  protected take(id: string): void {
    this.clear();
    this.picked.emit(id);
  }

  protected clear(): void {
    this.words.set('');
    this.box().nativeElement.value = '';
  }
}

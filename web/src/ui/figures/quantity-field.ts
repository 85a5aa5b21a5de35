/** One editable figure: shown in the maker's units, typed any way that reads; wrong text stays, with the reason beside it. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
  type ElementRef,
} from '@angular/core';
import type { Parsed, Quantity, UnitChoice } from '@tide-pebble/core';
import {
  figure,
  parseAngle,
  parseLength,
  parseMass,
  parseTime,
  parseForce,
  parseTorque,
  showAngle,
  showFigure,
  showLength,
  showMass,
  showTime,
} from '@tide-pebble/core/words';
import { Units } from '../../services/units';

export type FieldKind = 'length' | 'mass' | 'angle' | 'time' | 'count' | 'number' | 'money' | 'torque' | 'force';

/** Longer than a slow frame: a figure not taken by then was refused. */
const REFUSED_AFTER_MS = 150;
/** A text changed key by key, as opposed to put there whole. */
const KEY_BY_KEY = /^(insertText|insertCompositionText|delete|history)/;

let made = 0;

@Component({
  selector: 'tp-quantity-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './quantity-field.html',
  styleUrl: './quantity-field.css',
})
export class QuantityField {
  private readonly units = inject(Units);

  readonly label = input.required<string>();
  readonly kind = input.required<FieldKind>();
  /** SI; null is an empty field. */
  readonly value = input.required<number | null>();
  /** A quieter line under the label. */
  readonly help = input('');
  /** Least and most that are taken, SI. */
  readonly range = input<readonly [number, number] | null>(null);
  readonly hideLabel = input(false);
  readonly optional = input(false);
  /** A quiet word in an empty field. */
  readonly hint = input('');
  /** The figure alone, without a note on its rounding: for drawings. */
  readonly plain = input(false);
  /** Decimals shown; the typed figure is kept whole. */
  readonly decimals = input<number | undefined>(undefined);
  readonly changed = output<Quantity>();
  readonly cleared = output<void>();

  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  protected readonly id = `field-${++made}`;
  protected readonly text = signal('');
  protected readonly fault = signal('');
  /** From the first key until it is taken or given up: only then is there anything to take. */
  private readonly typing = signal(false);
  /** The units its figures were typed in, whatever is chosen before the field is left. */
  private typedIn: UnitChoice | null = null;
  /** The old text was put away whole: what reads the same as before was then meant, to the last digit. */
  private anew = false;
  protected readonly shown = computed(() => show(this.kind(), this.value(), this.units.now(), this.decimals()));
  /** Said when the shown fraction is not the figure itself. */
  protected readonly rounded = computed(() => {
    const value = this.value();
    const { system, fraction } = this.units.now();
    if (this.kind() !== 'length' || system === 'mm' || value === null) return '';
    const { roundedBy } = showLength(value, 'inch', fraction);
    return roundedBy === 0 ? '' : `to 1/${fraction}; really ${showLength(value, 'mm', fraction, 2).text}`;
  });

  constructor() {
    effect(() => {
      const shown = this.shown();
      // A figure that changes elsewhere does not take away what is being typed here.
      if (untracked(this.typing)) return;
      this.text.set(shown);
      this.fault.set('');
    });
  }

  protected typed(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    if (!this.typing()) {
      this.typing.set(true);
      this.typedIn = this.units.now();
      this.anew = false;
    }
    this.anew ||= text.length <= 1 || !KEY_BY_KEY.test((event as InputEvent).inputType ?? '');
    this.text.set(text);
    if (this.fault()) this.fault.set(this.read(text).fault);
  }

  /**
   * Takes what was typed, once: Enter, the change that a browser reports after it, and leaving the field all come here.
   * A text that nobody typed is a rounded picture of the figure and never goes back into it.
   */
  protected commit(sure: boolean): void {
    if (!this.typing()) return;
    const text = this.text();
    const untouched = text === this.shown() && !this.anew && !sure;
    if (untouched || (text.trim() === '' && this.shown() === '')) return this.revert();
    if (text.trim() === '' && this.optional()) {
      this.settle();
      this.cleared.emit();
      return;
    }
    const { parsed, fault } = this.read(text);
    this.fault.set(fault);
    if (!parsed?.ok || fault) return;
    this.settle();
    // As it will be shown once taken; where it is not, what stood there comes back.
    this.put(show(this.kind(), parsed.value, this.units.now(), this.decimals()));
    this.changed.emit({ value: parsed.value, typed: parsed.typed });
    setTimeout(() => {
      if (!this.typing() && !this.fault()) this.text.set(this.shown());
    }, REFUSED_AFTER_MS);
  }

  /** Escape gives back what was there. */
  protected revert(): void {
    this.settle();
    this.put(this.shown());
  }

  /** Into the field itself too: what was typed since the last paint is not known to the template yet. */
  private put(text: string): void {
    this.text.set(text);
    this.box().nativeElement.value = text;
  }

  private settle(): void {
    this.typing.set(false);
    this.typedIn = null;
    this.fault.set('');
  }

  private read(text: string): { parsed: Parsed | null; fault: string } {
    const parsed = parse(this.kind(), text, this.typedIn ?? this.units.now());
    if (!parsed.ok) return { parsed, fault: parsed.reason };
    const range = this.range();
    if (range && (parsed.value < range[0] - 1e-9 || parsed.value > range[1] + 1e-9)) {
      return {
        parsed,
        fault: `Between ${show(this.kind(), range[0], this.units.now())} and ${show(this.kind(), range[1], this.units.now())}, please.`,
      };
    }
    return { parsed, fault: '' };
  }
}

function show(kind: FieldKind, value: number | null, units: UnitChoice, decimals?: number): string {
  if (value === null || !Number.isFinite(value)) return '';
  switch (kind) {
    case 'length':
      return showLength(value, units.system, units.fraction, decimals ?? (Math.abs(value) < 0.1 ? 2 : 1)).text;
    case 'mass':
      return showMass(value, units.system, decimals ?? (value < 0.1 ? 1 : 0));
    case 'angle':
      return showAngle(value, decimals ?? 1);
    case 'time':
      return showTime(value, decimals ?? 2);
    case 'count':
      return `${Math.round(value)}`;
    case 'torque':
      return showFigure(figure('torque', value, decimals), units);
    case 'force':
      return showFigure(figure('force', value, decimals ?? 1), units);
    case 'number':
      return `${Number(value.toFixed(decimals ?? 3))}`;
    case 'money':
      return showFigure(figure('money', value), units);
  }
}

function parse(kind: FieldKind, text: string, units: UnitChoice): Parsed {
  switch (kind) {
    case 'length':
      return parseLength(text, units.system);
    case 'mass':
      return parseMass(text, units.system);
    case 'angle':
      return parseAngle(text);
    case 'time':
      return parseTime(text);
    case 'torque':
      return parseTorque(text, units.system);
    case 'force':
      return parseForce(text, units.system);
    case 'count': {
      const value = Number(text.trim());
      return Number.isInteger(value) && text.trim() !== ''
        ? { ok: true, value, typed: text }
        : { ok: false, reason: 'A whole number, please.' };
    }
    case 'number':
      return parseNumber(text, text, 'A number such as 1.5, please.');
    case 'money':
      // What prices are in may stand before or behind.
      return parseNumber(text.replace(units.currency || ' ', ''), text, 'An amount such as 31.40, please.');
  }
}

function parseNumber(figures: string, typed: string, reason: string): Parsed {
  const value = Number(figures.trim().replace(',', '.'));
  return Number.isFinite(value) && figures.trim() !== '' ? { ok: true, value, typed } : { ok: false, reason };
}

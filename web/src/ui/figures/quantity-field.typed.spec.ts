/** What is typed is stored as typed, once, however the field is left; what was not touched is never written back. */
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import {
  evenDraws,
  parseAngle,
  parseForce,
  parseLength,
  parseMass,
  parseTime,
  parseTorque,
  type LengthSystem,
  type Parsed,
  type Quantity,
} from '@tide-pebble/core';
import { Units } from '../../services/units';
import { QuantityField, type FieldKind } from './quantity-field';

/** As every screen uses it: what it takes comes back as its figure. */
@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField],
  template: `<tp-quantity-field label="Figure" [kind]="kind()" [value]="value()" (changed)="take($event)" />`,
})
class Owner {
  readonly kind = signal<FieldKind>('length');
  readonly value = signal<number | null>(null);
  readonly taken: Quantity[] = [];
  take(quantity: Quantity): void {
    this.taken.push(quantity);
    this.value.set(quantity.value);
  }
}

const plain = (text: string): Parsed => ({ ok: true, value: Number(text), typed: text });
const READ: Readonly<Record<FieldKind, (text: string, system: LengthSystem) => Parsed>> = {
  length: parseLength,
  mass: parseMass,
  angle: parseAngle,
  time: parseTime,
  torque: parseTorque,
  force: parseForce,
  count: plain,
  number: plain,
  money: plain,
};
const WRITTEN: Readonly<Record<FieldKind, readonly string[]>> = {
  length: ['mm', 'cm', 'in', '"', ''],
  mass: ['g', 'kg', 'oz', 'lb', ''],
  angle: ['°', 'deg', ''],
  time: ['s', 'min', ''],
  torque: ['n·m', 'lb in', ''],
  force: ['n', 'lbf', ''],
  count: [''],
  number: [''],
  money: [''],
};
const key = (box: HTMLInputElement, name: string): unknown =>
  box.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }));
const changed = (box: HTMLInputElement): unknown => box.dispatchEvent(new Event('change'));
const blurred = (box: HTMLInputElement): unknown => box.dispatchEvent(new Event('blur'));
/** What a browser reports, in its order. It tells of a change after Enter, and once more when a field that was set since is left. */
const LEFT_BY: Readonly<Record<string, (box: HTMLInputElement, settle: () => Promise<void>) => Promise<unknown>>> = {
  Enter: async (box, settle) => [
    key(box, 'Enter'),
    await settle(),
    changed(box),
    await settle(),
    changed(box),
    blurred(box),
  ],
  'Enter twice': async (box, settle) => [
    key(box, 'Enter'),
    changed(box),
    await settle(),
    key(box, 'Enter'),
    changed(box),
    blurred(box),
  ],
  Tab: async (box, settle) => [key(box, 'Tab'), changed(box), await settle(), blurred(box)],
  'a click elsewhere': async (box, settle) => [changed(box), blurred(box), await settle()],
  'blur alone': async (box, settle) => [blurred(box), await settle()],
  'wheel, then blur': async (box, settle) => [
    box.dispatchEvent(new WheelEvent('wheel', { deltaY: 100 })),
    await settle(),
    changed(box),
    blurred(box),
  ],
  'arrows, then Enter': async (box, settle) => [
    key(box, 'ArrowUp'),
    key(box, 'ArrowDown'),
    key(box, 'Enter'),
    changed(box),
    await settle(),
    blurred(box),
  ],
  'another unit, then blur': async (box, settle) => [flip(), await settle(), changed(box), blurred(box)],
};
const flip = (): void => TestBed.inject(Units).setSystem(TestBed.inject(Units).now().system === 'mm' ? 'inch' : 'mm');

describe('what is typed into a quantity field', () => {
  let fixture: ComponentFixture<Owner>;
  const owner = (): Owner => fixture.componentInstance;
  const settle = async (): Promise<void> => void (await fixture.whenStable());
  const box = (): HTMLInputElement => (fixture.nativeElement as HTMLElement).querySelector('input')!;
  const put = (text: string, inputType = ''): void => {
    box().value = text;
    box().dispatchEvent(new InputEvent('input', { inputType }));
  };
  const start = async (kind: FieldKind, value: number | null, system: LengthSystem): Promise<void> => {
    TestBed.inject(Units).setSystem(system);
    owner().kind.set(kind);
    owner().value.set(value);
    owner().taken.length = 0;
    await settle();
  };
  beforeEach(() => (fixture = TestBed.createComponent(Owner)));
  afterEach(() => TestBed.inject(Units).setSystem('mm'));

  for (const [way, leave] of Object.entries(LEFT_BY)) {
    it(`is stored to the last digit, once, left by ${way}: all kinds, both unit systems`, async () => {
      const draw = evenDraws(16);
      for (const kind of Object.keys(READ) as FieldKind[])
        for (const system of ['mm', 'inch'] as const)
          for (const unit of WRITTEN[kind]) {
            const figure = kind === 'count' ? `${Math.floor(draw() * 900) + 1}` : (draw() * 300 + 0.01).toFixed(3);
            const text = `${figure} ${unit}`.trim();
            await start(kind, 0.0123, system);
            put(text);
            await leave(box(), settle);
            await settle();
            const meant = READ[kind](text, system);
            expect(owner().taken)
              .withContext(`${text} in ${system}`)
              .toEqual([{ value: meant.ok ? meant.value : NaN, typed: text }]);
          }
    });
    it(`writes nothing back that was not touched, left by ${way}`, async () => {
      const draw = evenDraws(17);
      for (const kind of Object.keys(READ) as FieldKind[])
        for (const system of ['mm', 'inch'] as const) {
          await start(kind, draw() * 0.4 + 0.1, system);
          await leave(box(), settle);
          await start(kind, null, system);
          await leave(box(), settle);
          expect(owner().taken).withContext(`${kind} in ${system}`).toEqual([]);
        }
    });
  }

  it('of 200 mm in inches stays 200 mm: Enter does not take its own fraction back', async () => {
    await start('length', 0.19, 'inch');
    put('200 mm');
    await LEFT_BY['Enter']!(box(), settle);
    await settle();
    expect(owner().taken).toEqual([{ value: 0.2, typed: '200 mm' }]);
    expect(box().value).toBe('7 7/8 in');
  });
  it('is given up by Escape', async () => {
    await start('length', 0.12, 'mm');
    put('95 mm');
    key(box(), 'Escape');
    changed(box());
    blurred(box());
    await settle();
    expect(owner().taken).toEqual([]);
    expect(box().value).toBe('120 mm');
  });
  it('of the same fraction, typed anew or confirmed, is meant; a key taken back is not', async () => {
    await start('length', 0.2, 'inch');
    put('7 7/8 in5', 'insertText');
    put('7 7/8 in', 'deleteContentBackward');
    changed(box());
    blurred(box());
    await settle();
    expect(owner().taken).toEqual([]);
    put('7 7/8 in', 'insertFromPaste');
    changed(box());
    expect(owner().taken.map((q) => q.value)).toEqual([7.875 * 0.0254]);
  });
  it('is in the units it was begun in, and left empty adds nothing', async () => {
    await start('length', null, 'mm');
    put('12', 'insertText');
    flip();
    await LEFT_BY['Enter']!(box(), settle);
    expect(owner().taken.map((q) => q.value)).toEqual([0.012]);
    await start('length', null, 'mm');
    put('1', 'insertText');
    put('', 'deleteContentBackward');
    await LEFT_BY['Tab']!(box(), settle);
    await settle();
    expect(owner().taken).toEqual([]);
    expect(box().getAttribute('aria-invalid')).toBeNull();
  });
});

/** An item's editor alone, for component specs. */
import { provideHttpClient } from '@angular/common/http';
import { provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { KitItem } from '@tide-pebble/core';
import { remeasured, resultsOf } from '@tide-pebble/core/measuring';
import type { ItemChange } from '../screens/2-load/item/changes';
import { type } from './type';

/** An editor on an item, that takes its changes as the sheet does. */
export class Edited<T> {
  item: KitItem;
  private constructor(
    readonly fixture: ComponentFixture<T>,
    item: KitItem,
  ) {
    this.item = item;
  }

  static async of<T extends { readonly edited: { subscribe(take: (change: ItemChange) => void): unknown } }>(
    component: new () => T,
    item: KitItem,
  ): Promise<Edited<T>> {
    TestBed.configureTestingModule({ providers: [provideHttpClient(), provideHttpClientTesting()] });
    const edited = new Edited(TestBed.createComponent(component), item);
    edited.fixture.componentInstance.edited.subscribe((change) => {
      edited.item = remeasured(change(edited.item));
      edited.show();
    });
    edited.show();
    await edited.fixture.whenStable();
    return edited;
  }

  get page(): HTMLElement {
    return this.fixture.nativeElement as HTMLElement;
  }

  show(): void {
    this.fixture.componentRef.setInput('item', this.item);
    if ('results' in (this.fixture.componentInstance as object))
      this.fixture.componentRef.setInput('results', resultsOf(this.item));
  }

  async press(label: string | RegExp): Promise<void> {
    const names = (b: Element): string => (b.getAttribute('aria-label') ?? b.textContent ?? '').trim();
    const button = [...this.page.querySelectorAll('button')].find((b) =>
      typeof label === 'string' ? names(b) === label : label.test(names(b)),
    );
    if (!button)
      throw new Error(`no button ${label} among ${[...this.page.querySelectorAll('button')].map(names).join(' | ')}`);
    button.click();
    await this.fixture.whenStable();
  }

  async choose(label: string, value: string): Promise<void> {
    const select = this.page.querySelector<HTMLSelectElement>(`select[aria-label="${label}"]`)!;
    select.value = value;
    select.dispatchEvent(new Event('change'));
    await this.fixture.whenStable();
  }

  type(label: string, text: string): Promise<void> {
    return type(this.page, label, text, () => this.fixture.whenStable());
  }
}

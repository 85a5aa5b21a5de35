import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { METRIC, render, type Judgement } from '@tide-pebble/core';
import { benchAt } from '../../testing/bench';
import { LeftOut } from './left-out';

const [some] = benchAt({ 'foot-count': 16 }).judged.findings;
const finding = (more: Partial<Judgement>): Judgement => ({ ...some!, ...more });

async function over(findings: readonly Judgement[]): Promise<HTMLElement> {
  TestBed.configureTestingModule({ imports: [LeftOut], providers: [provideRouter([])] });
  const fixture = TestBed.createComponent(LeftOut);
  fixture.componentRef.setInput('findings', findings);
  await fixture.whenStable();
  return fixture.nativeElement as HTMLElement;
}

describe('what a list lacks', () => {
  it('stands over it by name, with the way to where it is mended', async () => {
    const page = await over([
      finding({}),
      finding({ about: 'bolt', title: ['The bolt does not hold.'], leavesOut: true }),
    ]);
    expect(page.querySelector('[aria-label="Not whole"]')).not.toBeNull();
    expect([...page.querySelectorAll('li')].map((l) => l.textContent!.trim())).toEqual(['The bolt does not hold.']);
    expect(page.querySelector('a')!.getAttribute('href')).toBe('/frame');
  });
  it('is nothing where findings are of other things', async () => {
    expect(render(some!.title, METRIC).length).toBeGreaterThan(0);
    expect((await over([finding({})])).textContent!.trim()).toBe('');
  });
});

/** A panel of the frame on its own: the bench as its input, edits written down. */
import type { Type } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Notices } from '../services/notices';
import { Workspace } from '../services/workspace';
import { benchAt } from './bench';
import { pause } from './pause';
import { PlayedWorkspace } from './sheets';

export async function panel<T>(component: Type<T>, family?: string, inputs: Readonly<Record<string, unknown>> = {}) {
  const said: string[] = [];
  const tell = (words: string): number => said.push(words);
  const workspace = new PlayedWorkspace(benchAt({}, family));
  TestBed.resetTestingModule().configureTestingModule({
    imports: [component],
    providers: [
      { provide: Workspace, useValue: workspace },
      { provide: Notices, useValue: { say: tell, sayWithUndo: tell } },
    ],
  });
  const fixture = TestBed.createComponent(component);
  const show = async (): Promise<void> => {
    fixture.componentRef.setInput('bench', workspace.now);
    await fixture.whenStable();
  };
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await show();
  // Lists wait till edits pause.
  await pause(fixture);
  const page = fixture.nativeElement as HTMLElement;
  const press = async (words: string): Promise<void> => {
    [...page.querySelectorAll('button')].find((b) => b.textContent.trim() === words)!.click();
    await fixture.whenStable();
  };
  return { page, fixture, workspace, said, show, press };
}

/** Picks out of a plain select by its label and the words of an option. */
export const choose = (page: HTMLElement, label: string, words: RegExp): void => {
  const select =
    page.querySelector<HTMLSelectElement>(`select[aria-label="${label}"]`) ??
    [...page.querySelectorAll('label')].find((l) => l.textContent.trim().startsWith(label))!.querySelector('select')!;
  select.value = [...select.options].find((o) => words.test(o.textContent))!.value;
  select.dispatchEvent(new Event('change'));
};

import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { throwError } from 'rxjs';
import { Documents } from '../../services/keeping/documents';
import { Jobs } from '../../services/jobs';
import { LoadBench } from '../../services/load-bench';
import { Notices } from '../../services/notices';
import { camera } from '../../testing/bench';
import { PlayedJobs } from '../../testing/sheets';
import { until } from '../../testing/until';
import { BringIn, type Into } from './bring-in';

interface Committed {
  readonly label: string;
  readonly edits: readonly { readonly kind: string; readonly body: { readonly name: string } }[];
}

describe('bringing in', () => {
  const shown = async (into: Into | null = null) => {
    const committed: Committed[] = [];
    const closed: string[] = [];
    const said: string[] = [];
    const jobs = new PlayedJobs();
    TestBed.configureTestingModule({
      providers: [
        { provide: MatDialogRef, useValue: { close: () => closed.push('closed'), id: 'd' } },
        { provide: MAT_DIALOG_DATA, useValue: into },
        { provide: Jobs, useValue: jobs },
        { provide: LoadBench, useValue: { kitList: signal([camera]), loadouts: signal([]) } },
        {
          provide: Documents,
          useValue: {
            all: () => [],
            commit: (label: string, edits: Committed['edits']) => committed.push({ label, edits }),
          },
        },
        { provide: Notices, useValue: { sayWithUndo: (t: string) => said.push(t) } },
      ],
    });
    const fixture = TestBed.createComponent(BringIn);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const buttons = (): readonly HTMLButtonElement[] => [...page.querySelectorAll('button')];
    const press = async (words: RegExp): Promise<void> => {
      buttons()
        .find((b) => words.test(b.textContent!.trim()))!
        .click();
      await fixture.whenStable();
    };
    const paste = async (text: string): Promise<void> => {
      page.querySelector('textarea')!.value = text;
      await press(/^Read this/);
    };
    const choose = async (label: string, words: string): Promise<void> => {
      const select =
        page.querySelector<HTMLSelectElement>(`select[aria-label="${label}"]`) ??
        [...page.querySelectorAll('label')]
          .find((l) => l.textContent!.trim().startsWith(label))!
          .querySelector('select')!;
      select.value = [...select.options].find((o) => o.text.trim() === words)!.value;
      select.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    const counts = (): string => page.querySelector('.counts')!.textContent!.replace(/\s+/g, ' ').trim();
    return { fixture, page, press, paste, choose, counts, committed, closed, said, jobs };
  };
  const CELLS = 'name\tkind\tmass_g\nReed\tlens\t310\nSand\tboat\t-74\nHeron body\tcamera\t520';

  it('shows what each row would do, and takes in what can be, as one step', async () => {
    const s = await shown();
    await s.paste(CELLS);
    expect(s.counts()).toMatch(/^1 new, 1 changed, 0 here already, 1 not taken\./);
    expect(s.committed).toEqual([]);
    await s.press(/^Take in 2/);
    await until(() => s.closed.length > 0, 'the dialog to close');
    expect(s.committed.map((c) => c.label)).toEqual(['bringing in what you pasted']);
    expect(s.committed[0]!.edits.map((e) => e.body.name).sort()).toEqual(['Heron body', 'Reed']);
    expect(s.said).toEqual(['2 brought in.']);
  });
  it('into the bin: a row a thing, columns of its own, and a file of another kind is not it', async () => {
    const s = await shown('bin');
    await s.paste('item\tcount\tlengths_mm\tplace\nbrass rod\t\t400; 350\tshelf\nM6 washer\tlots\t\t');
    expect(s.counts()).toMatch(/^1 new, 0 changed, 0 here already, 1 not taken\./);
    expect(s.page.textContent).toContain('2 lengths, shelf');
    await s.press(/^Take in 1/);
    await until(() => s.closed.length > 0, 'the dialog to close');
    expect(s.committed[0]!.edits[0]).toEqual(
      jasmine.objectContaining({ kind: 'bin', body: jasmine.objectContaining({ lengths: [0.4, 0.35] }) }) as never,
    );
    await s.press(/^Another file/);
    await s.paste('{"kit": []}');
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('The bin comes in as CSV');
  });
  it('columns the maker matches are read so; one column is filled once', async () => {
    const s = await shown();
    await s.paste('thing\tweight\tname\nReed\t310\tx');
    await s.choose('Column thing is', 'name');
    const of = (heading: string): string => {
      const select = s.page.querySelector<HTMLSelectElement>(`select[aria-label="Column ${heading} is"]`)!;
      return select.selectedOptions[0]!.text;
    };
    expect(of('thing')).toBe('name');
    expect(of('name')).toBe('left out');
    await s.press(/^Take in 1/);
    await until(() => s.closed.length > 0, 'the dialog to close');
    expect(s.committed[0]!.edits[0]!.body.name).toBe('Reed');
  });
  it('without a column of names it says which is wanted, and takes nothing', async () => {
    const s = await shown();
    await s.paste('mass_g\tkind\n310\tlens');
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('Say which column holds the names.');
    expect([...s.page.querySelectorAll('button')].some((b) => /^Take in/.test(b.textContent!.trim()))).toBeFalse();
  });
  it('a bare figure is in what is chosen', async () => {
    const s = await shown();
    await s.paste('name\tkind\tmass\nReed\tlens\t3');
    await s.choose('A bare mass is in', 'kg');
    await s.press(/^Take in 1/);
    await until(() => s.closed.length > 0, 'the dialog to close');
    expect(s.committed[0]!.edits[0]!.body).toEqual(
      jasmine.objectContaining({ mass: jasmine.objectContaining({ value: 3 }) }) as never,
    );
  });
  it('cancelled while it is read, nothing is left of it, and the next starts afresh', async () => {
    const s = await shown();
    s.jobs.held = [];
    await s.paste(CELLS);
    expect(s.page.querySelector('progress')).not.toBeNull();
    await s.press(/^Cancel/);
    s.jobs.letGo();
    await s.fixture.whenStable();
    expect(s.page.querySelector('textarea')).not.toBeNull();
    expect(s.page.querySelector('.counts')).toBeNull();
    await s.paste('   ');
    expect(s.jobs.asked).toHaveSize(1);
  });
  it('a reader that stops is told', async () => {
    const s = await shown();
    spyOn(s.jobs, 'run').and.returnValue(throwError(() => new Error('the worker is gone')));
    await s.paste(CELLS);
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('It could not be read: the worker is gone.');
    expect(s.page.querySelector('progress')).toBeNull();
  });
});

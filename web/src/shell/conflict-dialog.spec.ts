import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA } from '@angular/material/dialog';
import type { Problem } from '@tide-pebble/core';
import { camera } from '../testing/bench';
import { ConflictDialog } from './conflict-dialog';

describe('a conflict of two windows', () => {
  it('names each thing, and whether it was saved or deleted elsewhere', async () => {
    const conflicts: NonNullable<Problem['conflicts']> = [
      {
        mine: { kind: 'kit', id: 'cam', revision: 1, body: { ...camera, name: 'Heron, mine' } },
        theirs: { kind: 'kit', id: 'cam', revision: 2, body: camera, savedAt: '2026-06-14T10:00:00Z' },
      },
      { mine: { kind: 'rig', id: 'r1', revision: 1, body: { name: 'Limpet' } }, theirs: null },
      {
        mine: { kind: 'setup', id: 's1', revision: 1, body: null },
        theirs: { kind: 'setup', id: 's1', revision: 3, body: {}, savedAt: '2026-06-14T10:00:00Z' },
      },
    ];
    TestBed.configureTestingModule({ providers: [{ provide: MAT_DIALOG_DATA, useValue: conflicts }] });
    const fixture = TestBed.createComponent(ConflictDialog);
    await fixture.whenStable();
    const lines = [...(fixture.nativeElement as HTMLElement).querySelectorAll('li')].map((li) => li.textContent.trim());
    expect(lines[0]).toMatch(/^Heron, mine \(kit item\): saved elsewhere at \d\d:\d\d:\d\d$/);
    expect(lines[1]).toBe('Limpet (rig): deleted elsewhere');
    expect(lines[2]).toMatch(/^set-up \(set-up\): saved elsewhere/);
    expect((fixture.nativeElement as HTMLElement).textContent).toContain('Nothing was overwritten.');
  });
});

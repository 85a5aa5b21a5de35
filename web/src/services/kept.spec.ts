import { TestBed } from '@angular/core/testing';
import type { RigDocument } from '@tide-pebble/core';
import { BehaviorSubject, firstValueFrom } from 'rxjs';
import { Kept } from './kept';
import { Documents } from './keeping/documents';
import { HeldFolder } from './keeping/folder';

describe('which loadout a rig carries', () => {
  const rig = { id: 'r', name: 'Limpet', loadout: 'one' } as RigDocument;
  const start = () => {
    const committed: string[] = [];
    TestBed.configureTestingModule({
      providers: [
        {
          provide: Documents,
          useValue: {
            list$: (kind: string) => new BehaviorSubject(kind === 'rig' ? [rig] : []),
            get: () => rig,
            all: () => [rig],
            commit: (label: string) => committed.push(label),
          },
        },
      ],
    });
    return { kept: TestBed.inject(Kept), folder: TestBed.inject(HeldFolder), committed };
  };
  afterEach(() => TestBed.inject(HeldFolder).setRight(undefined));

  it('is kept with the rig on the machine itself', () => {
    const { kept, committed } = start();
    kept.chooseLoadout('two');
    expect(committed).toEqual(['choice of loadout']);
  });
  it('is only what is in the hand on a phone: nothing is changed for anyone else', async () => {
    const { kept, folder, committed } = start();
    folder.setRight('field');
    kept.chooseLoadout('two');
    expect(committed).toEqual([]);
    const now = (await firstValueFrom(kept.rig$))!;
    expect(now.loadout).toBe('two');
    expect(kept.rigNow()).toBe(now);
    kept.chooseLoadout('one');
    expect(await firstValueFrom(kept.rig$)).toBe(rig);
  });
});

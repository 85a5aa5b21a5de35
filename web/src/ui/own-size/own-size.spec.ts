import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { sizeLike, type OwnSize } from '@tide-pebble/core';
import { benchAt, loadout } from '../../testing/bench';
import { store } from '../../testing/store';
import { OwnSizeDialog } from './own-size-dialog';
import { fieldsOf } from './size-fields';

const flat = sizeLike('aluminium-30x6', 'own-1')!;

async function dialog(size: OwnSize, isNew = true) {
  const closed: (OwnSize | undefined)[] = [];
  TestBed.resetTestingModule().configureTestingModule({
    imports: [OwnSizeDialog],
    providers: [
      { provide: MAT_DIALOG_DATA, useValue: { size, isNew } },
      { provide: MatDialogRef, useValue: { close: (of?: OwnSize) => closed.push(of) } },
    ],
  });
  const fixture = TestBed.createComponent(OwnSizeDialog);
  await fixture.whenStable();
  const page = fixture.nativeElement as HTMLElement;
  const type = async (label: string, text: string): Promise<void> => {
    const field = [...page.querySelectorAll('tp-quantity-field')].find(
      (f) => f.querySelector('label')!.textContent === label,
    )!;
    const box = field.querySelector('input')!;
    box.value = text;
    box.dispatchEvent(new Event('input'));
    box.dispatchEvent(new Event('change'));
    await fixture.whenStable();
  };
  const keep = (): HTMLButtonElement =>
    [...page.querySelectorAll('button')].find((b) => b.textContent.trim().startsWith('Keep'))!;
  return { page, type, keep, closed };
}

describe('a size of one’s own', () => {
  it('is typed over one that is sold, and named by what it measures', async () => {
    const { type, keep, closed } = await dialog(flat);
    await type('Wide', '32 mm');
    await type('Thick', '8 mm');
    keep().click();
    expect(closed[0]).toEqual(
      jasmine.objectContaining({
        stock: jasmine.objectContaining({ section: { kind: 'flat', width: 0.032, thickness: 0.008 } }),
      }) as unknown as OwnSize,
    );
    expect(closed[0]!.kind === 'stock' && closed[0]!.stock.name).toMatch(/^aluminium flat 32.* × 8.*, own$/);
  });
  it('says beside the figure what cannot be, and is not kept so', async () => {
    const { page, type, keep, closed } = await dialog(sizeLike('m8-24', 'own-2')!);
    await type('Hole', '30 mm');
    expect(page.querySelector('p[role=alert]')?.textContent).toContain('must be less than the outside');
    expect(keep().disabled).toBeTrue();
    keep().click();
    expect(closed).toEqual([]);
  });
  it('for a bolt is told by its diameter: each once, the one that was chosen shown', async () => {
    const { page } = await dialog(sizeLike('m10-30', 'own-4')!);
    const bolts = page.querySelector<HTMLSelectElement>('select[aria-label="For a bolt of"]')!;
    const names = [...bolts.options].map((o) => o.textContent.trim());
    expect(bolts.value).toBe('M10');
    expect(names).toContain('1/2-13');
    expect(names).not.toContain('M10×1.25');
  });
  it('has every figure of its kind, each of which can be typed', () => {
    for (const option of [
      'aluminium-30x6',
      'tube-alu-20x1.5',
      'square-alu-20x1.5',
      'round-8',
      'pvc/1/2',
      'm8-24',
      'disc-1kg',
    ])
      for (const [i, f] of fieldsOf(sizeLike(option, 'own-3')!).entries()) {
        const changed = fieldsOf(f.with(f.kind === 'count' ? 3 : 0.01))[i]!;
        expect(changed.value)
          .withContext(`${option} ${f.label}`)
          .toBeCloseTo(f.kind === 'count' ? 3 : 0.01, 12);
      }
  });
});

describe('sizes in the data folder', () => {
  const rig = benchAt({}).rig;
  it('are chosen, followed when they are measured anew, and kept by a rig when they are deleted; undo brings all back', async () => {
    const { documents, workspace } = await store({ rig: [rig], loadout: [loadout] });
    workspace.keepSize(flat, 'bar');
    const design = () => {
      const now = documents.get('rig', rig.id)!.design;
      return now.kind === 'family' ? now : null;
    };
    expect(design()!.choices['bar']).toBe('own-1');
    expect(design()!.own).toEqual([flat]);
    const thicker = { ...flat, stock: { ...(flat as { stock: object }).stock, name: 'thicker' } } as OwnSize;
    workspace.keepSize(thicker);
    expect(design()!.own).toEqual([thicker]);
    workspace.dropSize(thicker);
    expect(documents.get('size', 'own-1')).toBeNull();
    expect(design()!.own).toEqual([thicker]);
    workspace.setChoice('bar', 'aluminium-30x6');
    expect(design()!.own).toBeUndefined();
    for (let i = 0; i < 4; i++) documents.undo();
    expect(design()!.own).toBeUndefined();
    expect(documents.get('size', 'own-1')).toBeNull();
  });
});

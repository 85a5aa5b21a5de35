import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { Units } from '../services/units';
import { benchAt, camera, loadout } from '../testing/bench';
import { screen } from '../testing/store';
import { until } from '../testing/until';
import { Dialogs } from '../ui/dialogs';
import { Root } from './root';

const limpet = benchAt({}).rig;
const held = { rig: [limpet], kit: [camera], loadout: [loadout] };
const key = (name: string, more: KeyboardEventInit = {}, on: EventTarget = document.body): KeyboardEvent => {
  const event = new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more });
  on.dispatchEvent(event);
  return event;
};

describe('the keys of the bench', () => {
  it('undo and redo, and say what', async () => {
    const { documents, said } = await screen(Root, held);
    documents.commit('renaming Limpet', [{ kind: 'rig', id: 'r1', body: { ...limpet, name: 'Plover' } }]);
    const name = (): string => documents.get('rig', 'r1')!.name;
    expect(key('z', { ctrlKey: true }).defaultPrevented).toBeTrue();
    expect(name()).toBe('Limpet');
    key('Z', { ctrlKey: true, shiftKey: true });
    expect(name()).toBe('Plover');
    key('z', { metaKey: true });
    key('y', { ctrlKey: true });
    expect(name()).toBe('Plover');
    key('y', { ctrlKey: true });
    expect(said).toEqual([
      'Undone: renaming Limpet',
      'Done again: renaming Limpet',
      'Undone: renaming Limpet',
      'Done again: renaming Limpet',
      'Nothing to do again.',
    ]);
  });
  it('leave a field its own undo, its letters and its question mark', async () => {
    const { page, documents, said } = await screen(Root, held);
    const field = document.createElement('input');
    page.append(field);
    documents.commit('renaming Limpet', [{ kind: 'rig', id: 'r1', body: { ...limpet, name: 'Plover' } }]);
    expect(key('z', { ctrlKey: true }, field).defaultPrevented).toBeFalse();
    const help = spyOn(TestBed.inject(Dialogs), 'open').and.resolveTo(undefined);
    key('u', {}, field);
    key('?', {}, field);
    expect([
      documents.get('rig', 'r1')!.name,
      said.length,
      help.calls.count(),
      TestBed.inject(Units).now().system,
    ]).toEqual(['Plover', 0, 0, 'mm']);
    // A slider has no letters of its own.
    field.type = 'range';
    key('z', { ctrlKey: true }, field);
    expect(documents.get('rig', 'r1')!.name).toBe('Limpet');
  });
  it('go to a stage, change the units, and show all keys', async () => {
    const { went } = await screen(Root, held);
    const help = spyOn(TestBed.inject(Dialogs), 'open').and.resolveTo(undefined);
    key('4', { altKey: true });
    key('0', { altKey: true });
    key('4');
    expect(went).toEqual(['/balance']);
    key('u');
    expect(TestBed.inject(Units).now().system).toBe('inch');
    key('u');
    expect(TestBed.inject(Units).now().system).toBe('mm');
    key('?', { shiftKey: true });
    expect(help).toHaveBeenCalledTimes(1);
  });
  it('has a tide line only with a rig on the bench, and a way past the head', async () => {
    const empty = await screen(Root, {});
    expect(empty.page.querySelector('tp-tide-line')).toBeNull();
    const { page } = await screen(Root, held);
    TestBed.inject(Router).initialNavigation();
    expect(await until(() => page.querySelector('tp-tide-line'), 'the tide line')).not.toBeNull();
    document.body.append(page);
    page.querySelector<HTMLAnchorElement>('a.skip')!.click();
    expect(document.activeElement?.id).toBe('stage');
  });
});

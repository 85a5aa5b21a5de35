import type { KitItem, Loadout } from '@tide-pebble/core';
import { answer } from '../../workers/jobs';
import { newItem, standingOn, withClass } from './new-item';

describe('new kit', () => {
  it('has the foot and points of its class', () => {
    const camera = newItem('a', 'camera', 'Heron');
    expect(camera.mountPoints.map((p) => p.id)).toEqual(['flange', 'shoe']);
    const lens = withClass(camera, 'lens');
    expect([lens.form, lens.boxCentre[0]]).toEqual(['cylinder', camera.size[0] / 2]);
    expect(camera.mass).toBeUndefined();
  });
  it('goes where it belongs: lenses on the flange, microphones on the shoe, the first on the rig', () => {
    const [camera, lens, mic] = [newItem('c', 'camera', 'c'), newItem('l', 'lens', 'l'), newItem('m', 'microphone', 'm')];
    const kit = new Map<string, KitItem>([camera, lens, mic].map((i) => [i.id, i]));
    const loadout: Loadout = { id: 'x', name: 'x', conditions: '', items: [{ id: 'on-c', item: 'c', on: null, offset: [0, 0, 0] }] };
    expect(standingOn(camera, { ...loadout, items: [] }, kit)).toBeNull();
    expect(standingOn(lens, loadout, kit)).toEqual({ mounted: 'on-c', point: 'flange' });
    expect(standingOn(mic, loadout, kit)).toEqual({ mounted: 'on-c', point: 'shoe' });
  });
});

describe('a worker’s answer', () => {
  it('is a result, or a fault told in words', () => {
    const broken = answer({ id: 4, name: 'stock', input: { rig: null as never, values: {}, bin: [], kerf: 0 } });
    expect(broken.id).toBe(4);
    expect('fault' in broken && broken.fault.length).toBeGreaterThan(5);
  });
});

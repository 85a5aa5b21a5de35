/** Three loads that every family must take: a phone, a small action camera, a full camera with a long lens. */
import { newItem } from '../1-load';
import type { KitItem, Loadout } from '../model';

const phone: KitItem = {
  ...newItem('phone', 'phone', 'Slate phone'),
  mass: { value: 0.195, spread: 0.001, source: 'mass of Slate phone' },
  sensor: { width: 0.0064, height: 0.0048 },
  focalLength: { shortest: 0.0048, longest: 0.0048 },
};
const action: KitItem = {
  ...newItem('action', 'action camera', 'Barnacle action camera'),
  mass: { value: 0.124, spread: 0.001, source: 'mass of Barnacle action camera' },
  sensor: { width: 0.0062, height: 0.0046 },
  focalLength: { shortest: 0.003, longest: 0.003 },
};
const body: KitItem = {
  ...newItem('body', 'camera', 'Gannet body'),
  mass: { value: 0.86, spread: 0.001, source: 'mass of Gannet body' },
  size: [0.09, 0.138, 0.1],
  boxCentre: [0.005, 0, 0.05],
  sensor: { width: 0.036, height: 0.024 },
  socketDepth: { value: 0.0055, spread: 0.0003 },
  mountPoints: [{ id: 'flange', name: 'lens flange', kind: 'lens mount', at: [0.05, 0, 0.05] }],
  clearances: [{ id: 'battery', kind: 'battery door', at: [0, -0.045, -0.008], size: [0.04, 0.03, 0.016] }],
};
const long: KitItem = {
  ...newItem('long', 'lens', 'Long lens'),
  mass: { value: 0.98, spread: 0.001, source: 'mass of Long lens' },
  size: [0.19, 0.088, 0.088],
  boxCentre: [0.095, 0, 0],
  focalLength: { shortest: 0.07, longest: 0.2 },
};

export const THREE_LOADS: readonly {
  readonly name: string;
  readonly loadout: Loadout;
  readonly kit: ReadonlyMap<string, KitItem>;
}[] = [
  {
    name: 'a phone',
    loadout: {
      id: 'l-phone',
      name: 'Phone',
      conditions: '',
      items: [{ id: 'm1', item: 'phone', on: null, offset: [0, 0, 0] }],
    },
    kit: new Map([['phone', phone]]),
  },
  {
    name: 'a small action camera',
    loadout: {
      id: 'l-action',
      name: 'Action',
      conditions: '',
      items: [{ id: 'm1', item: 'action', on: null, offset: [0, 0, 0] }],
    },
    kit: new Map([['action', action]]),
  },
  {
    name: 'a full camera with a long lens',
    loadout: {
      id: 'l-long',
      name: 'Long',
      conditions: '',
      items: [
        { id: 'm1', item: 'body', on: null, offset: [0, 0, 0] },
        { id: 'm2', item: 'long', on: { mounted: 'm1', point: 'flange' }, offset: [0, 0, 0] },
      ],
    },
    kit: new Map([
      ['body', body],
      ['long', long],
    ]),
  },
];

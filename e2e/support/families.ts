/** The families as the browser tests try them, and what of the demo they carry. */
interface Tried {
  readonly name: string;
  readonly size: string;
  readonly to: string;
  readonly loadouts?: readonly string[];
}
/** Each family's first size on the drawing's list, and another figure for it. */
export const FAMILIES: readonly Tried[] = [
  { name: 'Balance arm with a cross-slide stage', size: 'Arm, straight run', to: '260 mm' },
  { name: 'Bent bar on a universal joint', size: 'Platform length', to: '230 mm' },
  { name: 'Boom held at its balance', size: 'Tube length', to: '1500 mm' },
  { name: 'Closed hand frame', size: 'Half width', to: '140 mm' },
  { name: 'Open tube frame on a universal joint', size: 'Front leg', to: '280 mm' },
  { name: 'Pipe post with a side handle', size: 'Upper post', to: '240 mm' },
  { name: 'Plate and pillar', size: 'Post to post', to: '300 mm' },
  { name: 'Sliding top handle', size: 'Room under the grip', to: '50 mm' },
  { name: 'Multi-grip shoulder rig', size: 'Grip pipes', to: '180 mm' },
  { name: 'Three-axis passive frame', size: 'Pan arm above the axes', to: '200 mm' },
  // Made for light loads.
  {
    name: 'Swivelling wooden grip',
    size: 'Grip length',
    to: '160 mm',
    loadouts: ['Slack: phone', 'Neap: crab cam alone'],
  },
  { name: 'Self-filming grip', size: 'Grip length', to: '200 mm', loadouts: ['Slack: phone', 'Neap: crab cam alone'] },
  {
    name: 'Printed phone frame',
    size: 'Handle length',
    to: '130 mm',
    loadouts: ['Slack: phone', 'Neap: crab cam alone'],
  },
  {
    name: 'Spinning helmet pole',
    size: 'Pole length',
    to: '1100 mm',
    loadouts: ['Neap: crab cam alone', 'Slack: phone'],
  },
];
export const LOADOUTS = ['Slack: phone', 'Neap: crab cam alone', 'Flood: body, 70'];

/** `npm run soak -- families` goes through all; the tests through one of each way of being borne, as other goals walk all of them too. */
export const oneOfEachWay = <T>(all: readonly T[], some: readonly T[]): readonly T[] =>
  process.env['EVERY_LOAD'] ? all : some;
/** Of all, every third: three goals that take one each walk them all between them. */
export const everyThird = <T>(all: readonly T[], from: 0 | 1 | 2): readonly T[] =>
  process.env['EVERY_LOAD'] ? all : all.filter((_, i) => i % 3 === from);

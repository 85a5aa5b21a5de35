/** What goes into the middle of a pipe frame's bottom, with how the frame is then borne: a piece to the shoulder, a long handle, a foot. */
import type { Vec3 } from '../../0-base';
import type { Contact, Part, Pose } from '../../model';
import type { FamilyInput } from '../family';
import type { Held } from '../familyTools';
import type { Pipework, Run } from '../fittings/pipework';
import { capRadius, inPipe } from './capBolt';
import { endCap, gripOnPipe, shoulderPad } from './hardware';
import { pipeOf } from './pipes';
import { plate } from './plate';

export const EXTENSIONS = {
  none: 'none',
  shoulder: 'shoulder piece',
  longHandle: 'long handle',
  monopod: 'monopod foot',
} as const;
const RUNS: Readonly<Record<string, { readonly name: string; readonly direction: Vec3 }>> = {
  shoulder: { name: 'shoulder tube', direction: [-1, 0, 0] },
  longHandle: { name: 'long handle', direction: [0, 0, -1] },
  monopod: { name: 'monopod leg', direction: [0, 0, -1] },
};
const PAD_BOARD = 0.006; // of plywood, behind the pad
const TURNED_OVER = [0, 1, 0, 0] as const; // about the lens's own axis
/** Ways the ground holds a foot, beside up: by friction, so much less than it bears that the hands do the rest. */
const STANDING: readonly Vec3[] = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
];

export function extensionRuns(choice: string, cut: number): readonly Run[] {
  const run = RUNS[choice];
  return run ? [{ id: 'extension', ...run, from: 'bottom', to: 'extension-end', cut }] : [];
}

export interface Extension extends Held {
  readonly contacts: readonly Contact[];
  readonly poses: readonly Pose[];
}
const NONE: Extension = { parts: [], connections: [], contacts: [], poses: [] };

export function extensionOn(input: FamilyInput, pipes: Pipework, grip: number): Extension {
  switch (input.choices['extension']) {
    case 'shoulder':
      return shoulderPiece(input, pipes.at('extension-end'));
    case 'longHandle':
      return longHandle(input, pipes, grip);
    case 'monopod':
      return monopod(input, pipes.at('extension-end'));
    default:
      return NONE;
  }
}

/** A board bolted on the end of the tube's cap, and the pad glued to it: a stock, which only pushes forward. */
function shoulderPiece({ choices, own }: FamilyInput, end: Vec3): Extension {
  const board: Vec3 = [PAD_BOARD, 0.08, 0.06];
  const back = end[0] - PAD_BOARD;
  const pad = shoulderPad({ id: 'shoulder-pad', at: [0, 0, 0] });
  const { size } = pad.shape as Extract<Part['shape'], { kind: 'box' }>;
  return {
    parts: [
      plate({
        id: 'pad-board',
        name: 'pad board',
        middle: [end[0] - PAD_BOARD / 2, end[1], end[2]],
        size: board,
        material: 'birchPly',
        supply: { item: 'plywood 6 mm, 80 × 60', packOf: 1, packPrice: 1.5, sawn: 'sheet' },
      }),
      // Its flat side on the board.
      {
        ...pad,
        shape: { kind: 'box', size: [size[2], size[1], size[0] / 2] },
        at: [back - size[2] / 2, end[1], end[2]],
      },
    ],
    connections: [
      {
        kind: 'bolted',
        id: 'pad-board-on',
        name: 'pad board on its tube',
        on: 'joint-extension-end',
        point: [back, end[1], end[2]],
        way: [1, 0, 0],
        thread: inPipe(choices['pipe']!, own, ['M6', 'M5']),
        head: 'sunk',
        stack: [
          { kind: 'piece', piece: 'pad-board' },
          { kind: 'piece', piece: 'joint-extension-end' },
        ],
        end: { kind: 'nut' },
      },
      {
        kind: 'bonded',
        id: 'pad-on',
        name: 'pad on its board',
        piece: 'shoulder-pad',
        to: 'pad-board',
        glue: 'contact',
        area: board[1] * board[2],
      },
    ],
    contacts: [
      {
        id: 'on-shoulder',
        name: 'shoulder',
        kind: 'shoulder',
        body: 'frame',
        at: [back - size[2], end[1], end[2]],
        direction: [1, 0, 0],
      },
    ],
    poses: [
      {
        id: 'at-the-shoulder',
        name: 'Pad at the shoulder, both hands',
        contacts: ['on-shoulder', 'left-hand', 'right-hand'],
        arm: 0.3,
      },
    ],
  };
}

/** Foam round its end: held up from below, or turned over and let down. */
function longHandle({ choices, own }: FamilyInput, pipes: Pipework, length: number): Extension {
  const { section } = pipeOf(choices['pipe']!, own).size.stock;
  const inside = section.kind === 'tube' ? section.outerDiameter : 0;
  const grip = gripOnPipe({ id: 'grip-long', at: pipes.at('extension-end'), length, inside }, pipes.bare('extension'));
  return {
    parts: [{ ...grip, name: 'grip of the long handle' }],
    connections: [
      { kind: 'slidOn', id: 'grip-long-on', name: 'grip on the long handle', piece: 'grip-long', over: 'extension' },
    ],
    contacts: [
      {
        id: 'hand-below',
        name: 'hand on the long handle',
        kind: 'hand',
        body: 'frame',
        at: grip.at,
        direction: [0, 0, 1],
      },
    ],
    poses: [
      { id: 'held-high', name: 'Long handle below, held high', contacts: ['hand-below'], arm: 0.3 },
      {
        id: 'turned-over',
        name: 'Turned over, low along the ground',
        contacts: ['hand-below'],
        arm: 0.12,
        turn: [...TURNED_OVER],
      },
    ],
  };
}

/** A rubber tip over the cap; it bears what the hands only steady. */
function monopod({ choices, own }: FamilyInput, end: Vec3): Extension {
  const tip = endCap({
    id: 'foot-tip',
    at: end,
    axis: [0, 0, -1],
    across: 2 * capRadius(choices['pipe']!, own),
  });
  const low = tip.shape.kind === 'tube' ? tip.at[2] - tip.shape.length / 2 : end[2];
  return {
    parts: [{ ...tip, name: 'rubber foot tip' }],
    connections: [
      { kind: 'slidOn', id: 'foot-tip-on', name: 'tip on the foot', piece: 'foot-tip', over: 'joint-extension-end' },
    ],
    contacts: [
      {
        id: 'on-ground',
        name: 'foot',
        kind: 'ground',
        body: 'frame',
        at: [end[0], end[1], low],
        direction: [0, 0, 1],
        also: [...STANDING],
      },
    ],
    poses: [
      {
        id: 'on-foot',
        name: 'Standing on its foot, both hands',
        contacts: ['on-ground', 'left-hand', 'right-hand'],
        arm: 0.3,
      },
    ],
  };
}

/**
 * A handle over a pipe's neck that comes off by its pins. Of the same pipe it is held between two straps and leans on its bolt; a
 * leftover tube slides over the neck or into it, whichever it fits, and is pinned through both.
 */
import { addScaled, figure, say, type Finding, type Vec3 } from '../../0-base';
import type { Joint, Member, Node, Part, StatedConnection, Stock } from '../../model';
import type { FamilyInput } from '../family';
import type { Held } from '../familyTools';
import { hubOf } from '../fittings/fittingFor';
import { dryHold } from '../fittings/pipework';
import { barOf, ROUND_TUBES } from './bars';
import { endCap, foamGrip } from './hardware';
import { pipeOf } from './pipes';
import { plate } from './plate';

/** Of pipe that stands free above the fitting, for straps or pins, m. */
export const NECK = 0.05;
const STRAP = { width: 0.02, thickness: 0.003, beyond: 0.012 };
const BOLTS = [0.038, 0.012] as const; // down from the neck's end
const BEHIND_PIN = 0.016; // of handle, or its hole tears out
const OVERLAP = 0.048; // of a tube and the neck
/** Room all round between tube and neck: more and it rocks, whatever pins it. */
const LOOSE = 0.0015;
const UP: Vec3 = [0, 0, 1];

export interface PinnedHandle extends Held {
  readonly member: Member;
  readonly nodes: readonly Node[];
  readonly joints: readonly Joint[];
  /** Middle of the hand on it. */
  readonly hand: Vec3;
}

type Way = 'strapped' | 'over' | 'into';
interface Fit {
  readonly stock: Stock;
  readonly outside: number;
  readonly way: Way;
  /** All round, m; under nought it goes neither over nor into the neck. */
  readonly room: number;
}

const bored = ({ section }: Stock): readonly [number, number] =>
  section.kind === 'tube' ? [section.outerDiameter, section.outerDiameter - 2 * section.wall] : [0, 0];

function fitOf({ choices, own }: FamilyInput): Fit {
  const neck = pipeOf(choices['pipe']!, own).size.stock;
  const choice = choices['handlePipe'] ?? 'same';
  const [outer, bore] = bored(neck);
  if (choice === 'same') return { stock: neck, outside: outer, way: 'strapped', room: 0 };
  const stock = barOf(choice, own);
  const [outside, inside] = bored(stock);
  const [over, into] = [(inside - outer) / 2, (bore - outside) / 2];
  return over >= 0 || (into < 0 && over > into)
    ? { stock, outside, way: 'over', room: over }
    : { stock, outside, way: 'into', room: into };
}

/** Where the handle's upper pin is, which way it goes on from there, and how far from the pin the hand's middle lies. */
export function handleReach(
  input: FamilyInput,
  neck: Vec3,
): { readonly pin: Vec3; readonly lean: Vec3; readonly reach: number } {
  const { dimensions: d, choices, own } = input;
  const { way, outside } = fitOf(input);
  const { size } = pipeOf(choices['pipe']!, own);
  const grip = d['gripLength']! / 2;
  if (way !== 'strapped')
    return { pin: addScaled(neck, UP, -BOLTS[1]), lean: UP, reach: d['handle']! - grip - FROM_END };
  const angle = d['handleAngle']!;
  // Its own end swings clear of the neck's.
  const above = BEHIND_PIN * Math.cos(angle) + (outside / 2) * Math.sin(Math.abs(angle)) + 0.002;
  return {
    pin: addScaled(neck, UP, above),
    lean: [Math.sin(angle), 0, Math.cos(angle)],
    reach: d['handle']! - grip - size.depth - size.takeOff.cap,
  };
}
const FROM_END = 0.018; // of foam from the end of a tube, for its cap

export function pinnedHandle(input: FamilyInput, neck: Vec3): PinnedHandle {
  const { dimensions: d, choices, own } = input;
  const { stock, outside, way } = fitOf(input);
  const { pin, lean, reach } = handleReach(input, neck);
  const hand = addScaled(pin, lean, reach);
  const end = addScaled(pin, lean, d['handle']!);
  const start = way === 'strapped' ? addScaled(pin, lean, -BEHIND_PIN) : addScaled(neck, UP, -OVERLAP);
  const { system, size } = pipeOf(choices['pipe']!, own);
  const held = way === 'strapped' ? straps(neck, pin, outside) : pins(neck, way, outside, bored(size.stock)[0]);
  const cap: Joint = {
    id: 'joint-handle-end',
    name: 'cap',
    node: 'handle-end',
    fitting: 'cap',
    hold: dryHold(system),
    joins: ['handle'],
    reversible: true,
    packs: false,
    hub: hubOf('cap', system, size, [[-lean[0], 0, -lean[2]]]),
  };
  return {
    // Its own length runs from the pin.
    member: {
      id: 'handle',
      name: 'handle',
      from: 'handle-start',
      to: 'handle-end',
      stock,
      leftLong: 0,
      path: { kind: 'straight', widthDirection: [0, 1, 0] },
      holes: [],
    },
    nodes: [
      { id: 'handle-start', at: start },
      { id: 'handle-end', at: end },
    ],
    joints: way === 'strapped' ? [cap] : [],
    hand,
    parts: [
      ...held.parts,
      foamGrip({ id: 'grip', at: hand, axis: lean, length: d['gripLength']!, inside: outside }),
      ...(way === 'strapped' ? [] : [endCap({ id: 'handle-cap', at: end, axis: UP, across: outside })]),
    ],
    connections: [
      ...held.connections,
      { kind: 'slidOn', id: 'grip-on', name: 'grip on the handle', piece: 'grip', over: 'handle' },
      ...(way === 'strapped'
        ? []
        : [
            {
              kind: 'slidOn' as const,
              id: 'handle-cap-on',
              name: 'cap on the handle',
              piece: 'handle-cap',
              over: 'handle',
            },
          ]),
    ],
  };
}

/** Two straps of flat bar on either side of neck and handle, two bolts through the neck and the one the handle turns on. */
function straps(neck: Vec3, pin: Vec3, outside: number): Held {
  const [low, high] = [neck[2] - BOLTS[0] - STRAP.beyond, pin[2] + STRAP.beyond];
  const strap = (side: 'left' | 'right', s: 1 | -1): Part =>
    plate({
      id: `strap-${side}`,
      name: `${side} strap`,
      middle: [neck[0], s * (outside / 2 + STRAP.thickness / 2), (low + high) / 2],
      size: [STRAP.width, STRAP.thickness, high - low],
      material: 'steel',
      twin: `strap-${side === 'left' ? 'right' : 'left'}`,
      supply: {
        item: `steel flat 20 × 3, ${Math.round((high - low) * 1000)} mm`,
        packOf: 1,
        packPrice: 1.2,
        sawn: 'length',
      },
    });
  const through = (id: string, name: string, z: number, piece: string, end: 'nut' | 'lock'): StatedConnection => ({
    kind: 'bolted',
    id,
    name,
    on: piece,
    point: [neck[0], outside / 2 + STRAP.thickness, z],
    way: [0, -1, 0],
    thread: 'M5',
    stack: ['strap-left', piece, 'strap-right'].map((p) => ({ kind: 'piece' as const, piece: p })),
    end: { kind: end },
    ...(piece === 'handle' ? { packs: true } : {}),
  });
  return {
    parts: [strap('left', 1), strap('right', -1)],
    connections: [
      through('strap-low', 'lower bolt of the straps', neck[2] - BOLTS[0], 'neck', 'nut'),
      through('strap-high', 'upper bolt of the straps', neck[2] - BOLTS[1], 'neck', 'nut'),
      through('handle-pin', 'bolt the handle leans on', pin[2], 'handle', 'lock'),
    ],
  };
}

/** Two bolts through tube and neck together, with wing nuts: the handle comes off for the bag. */
function pins(neck: Vec3, way: 'over' | 'into', handle: number, pipe: number): Held {
  const [outer, inner] = way === 'over' ? ['handle', 'neck'] : ['neck', 'handle'];
  const outside = way === 'over' ? handle : pipe;
  return {
    parts: [],
    connections: (['upper', 'lower'] as const).map((which): StatedConnection => ({
      kind: 'bolted',
      id: `handle-pin-${which}`,
      name: `${which} bolt through handle and neck`,
      on: outer!,
      point: [neck[0], outside / 2, neck[2] - BOLTS[which === 'upper' ? 1 : 0]],
      way: [0, -1, 0],
      thread: 'M5',
      stack: [{ kind: 'piece', piece: outer! }],
      inside: [inner!],
      end: { kind: 'wing' },
      packs: true,
    })),
  };
}

/** Does the leftover go over the neck or into it, with hardly any room; and does it lean, which only a strapped one can. */
export function handleFits(input: FamilyInput): readonly Finding[] {
  const { way, room, stock } = fitOf(input);
  if (way === 'strapped') return [];
  const pipe = pipeOf(input.choices['pipe']!, input.own).size.stock;
  const same = {
    label: say`Take the same pipe`,
    changes: [{ kind: 'choice' as const, id: 'handlePipe', value: 'same' }],
  };
  const [across, bore] = [bored(pipe), bored(stock)];
  if (room < 0)
    return [
      {
        code: 'leftoverDoesNotFit',
        severity: 'stop',
        about: 'handle',
        figure: figure('length', bore[0], 1),
        limit: figure('length', across[1], 1),
        title: say`A handle of ${stock.name} goes neither over the neck nor into it.`,
        why: say`The neck is ${figure('length', across[0], 1)} outside and ${figure('length', across[1], 1)} inside; the tube ${figure('length', bore[0], 1)} and ${figure('length', bore[1], 1)}.`,
        toDo: say`Take a tube that slides on, or the same pipe between straps.`,
        fixes: [...fitting(input), same],
      },
    ];
  const findings: Finding[] = [];
  if (room > LOOSE)
    findings.push({
      code: 'leftoverLoose',
      severity: 'mend',
      about: 'handle',
      figure: figure('length', room, 1),
      limit: figure('length', LOOSE, 1),
      title: say`The handle has ${figure('length', room, 1)} of room all round.`,
      why: say`It rocks on its pins, and every step with it.`,
      toDo: say`Wind tape round the inner pipe at both pins till it just goes in, or take a closer tube.`,
      fixes: [...fitting(input), same],
    });
  if (Math.abs(input.dimensions['handleAngle']!) > 1e-9)
    findings.push({
      code: 'slidHandleIsStraight',
      severity: 'note',
      about: 'handle',
      figure: figure('angle', input.dimensions['handleAngle']!, 0),
      limit: figure('angle', 0, 0),
      title: say`A handle that slides on the neck stands straight up.`,
      why: say`Only one between straps can lean.`,
      toDo: say`Set its lean to nothing, or take the same pipe.`,
      fixes: [{ label: say`Straight up`, changes: [{ kind: 'dimension', id: 'handleAngle', value: 0 }] }, same],
    });
  return findings;
}

/** The tube sold that goes on or in with the least room. */
function fitting(input: FamilyInput): Finding['fixes'] {
  const [best] = Object.entries(ROUND_TUBES)
    .map(([id, stock]) => ({
      id,
      name: stock.name,
      ...fitOf({ ...input, choices: { ...input.choices, handlePipe: id } }),
    }))
    .filter(({ room }) => room >= 0 && room <= LOOSE)
    .sort((a, b) => a.room - b.room);
  return best
    ? [{ label: say`Handle of ${best.name}`, changes: [{ kind: 'choice', id: 'handlePipe', value: best.id }] }]
    : [];
}

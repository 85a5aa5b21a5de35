/** The L of a self-filming grip, its upright and its shelf: two strips joined at a mitre, one strip bent, or two pipes in an elbow. */
import { addScaled, DEGREE, materialOf, type Vec3 } from '../../0-base';
import type { Joint, Member, Node, Part, StatedConnection, Stock } from '../../model';
import type { FamilyInput } from '../family';
import { pipework, type Bare, type Pipework } from '../fittings/pipework';
import { followBends, neutralFractionFor, stripStart } from '../members/bend';
import { barOf } from './bars';
import { CLIP_FACE, pipeClip } from './pipeClip';
import { pipeOf } from './pipes';
import { plate } from './plate';

const WOOD_SCREW = { diameter: 0.004, into: 0.022 };
const BEND_INSIDE = 0.012; // of a metal strip's corner
const THIN = 0.008; // a strip under this is bent, not joined
const PIPE = 'pvc/1/2';
const PLATE_THICKNESS = 0.006;
const FROM_FITTING = { screw: 0.0095, pin: 0.006 }; // of their middles in the pipe: a washer lies round the one

export interface LShape {
  readonly nodes: readonly Node[];
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  /** The face the camera stands on, over the hole, and how much the screw passes under it. */
  readonly top: number;
  /** What the camera's screw passes below its pad, and how thick that is. */
  readonly under: string;
  readonly thickness: number;
  readonly parts: readonly Part[];
  readonly connections: readonly StatedConnection[];
  /** Of the grip, the way it lies fore and aft. */
  readonly deep: number;
  /** Of a grip of pipe, what stands free of its fittings. */
  readonly bare?: Bare;
  /** Of a shelf of pipe that the screw goes through: what stands free of it, how long it is drawn, and where the screw goes, from the corner. */
  readonly level?: { readonly free: Bare; readonly shelf: number; readonly screw: number };
  readonly down: Vec3;
  readonly corner: Vec3;
  readonly outside: number;
}

export const isOfPipe = ({ choices }: FamilyInput): boolean => choices['make'] === 'pipe' || goesThrough({ choices });
/** Screw and pin go up through both walls of the pipe; else the camera is on a plate clipped to it. */
export const goesThrough = ({ choices }: Pick<FamilyInput, 'choices'>): boolean => choices['make'] === 'pipeThrough';

export function lShape(input: FamilyInput): LShape {
  return isOfPipe(input) ? pipes(input) : strips(input, barOf(input.choices['make']!, input.own));
}

function strips({ dimensions: d }: FamilyInput, stock: Stock): LShape {
  const { section } = stock;
  if (section.kind !== 'flat') throw new TypeError('the L is made of flat strips');
  const lean = d['angle']! - 90 * DEGREE;
  const down: Vec3 = [-Math.sin(lean), 0, -Math.cos(lean)];
  const corner = addScaled([0, 0, 0], down, -d['handBelow']!);
  const end = addScaled(corner, down, d['grip']!);
  const top = corner[2] + section.thickness;
  const shelfMiddle = corner[2] + section.thickness / 2;
  const [rear, front]: [Vec3, Vec3] = [
    [corner[0] - section.thickness / 2, 0, shelfMiddle],
    [corner[0] - section.thickness / 2 + d['shelf']!, 0, shelfMiddle],
  ];
  const common = { top, thickness: section.thickness, down, corner, outside: section.width, deep: section.thickness };
  if (section.thickness < THIN)
    return { ...common, ...bentStrip(stock, front, corner, down, d['grip']!), under: 'grip' };
  const straight = (id: string, name: string, from: string, to: string): Member => ({
    id,
    name,
    from,
    to,
    stock,
    leftLong: 0,
    holes: [],
    path: { kind: 'straight', widthDirection: [0, 1, 0] },
  });
  const long = Math.ceil((section.thickness + WOOD_SCREW.into) / 0.005) * 0.005;
  return {
    ...common,
    under: 'shelf',
    nodes: [
      { id: 'corner', at: corner },
      { id: 'grip-end', at: end },
      { id: 'shelf-rear', at: rear },
      { id: 'shelf-front', at: front },
    ],
    members: [straight('grip', 'grip', 'corner', 'grip-end'), straight('shelf', 'shelf', 'shelf-rear', 'shelf-front')],
    joints: [],
    parts: [],
    connections: [
      {
        kind: 'bonded',
        id: 'corner-joint',
        name: 'corner',
        piece: 'shelf',
        to: 'grip',
        mitred: true,
        glue: materialOf(stock.material)?.look === 'wood' ? 'wood' : 'epoxy',
        area: section.width * section.thickness,
      },
      ...([-1, 1] as const).map((s): StatedConnection => ({
        kind: 'screwedIn',
        id: `corner-screw-${s < 0 ? 'right' : 'left'}`,
        name: `${s < 0 ? 'right' : 'left'} screw of the corner`,
        point: addScaled([corner[0], (s * section.width) / 4, corner[2] + section.thickness], down, -0.01),
        way: down,
        diameter: WOOD_SCREW.diameter,
        length: long,
        through: 'shelf',
        into: 'grip',
      })),
    ],
  };
}

/** One strip, from the shelf's front back and down round the corner. */
function bentStrip(
  stock: Stock,
  front: Vec3,
  corner: Vec3,
  down: Vec3,
  grip: number,
): Pick<LShape, 'nodes' | 'members' | 'joints' | 'parts' | 'connections'> {
  const { section } = stock;
  if (section.kind !== 'flat') throw new TypeError('the L is bent from flat bar');
  const turn = Math.acos(-down[0]);
  // Where the middles of shelf and grip would meet.
  const meet: Vec3 = [corner[0] + (section.thickness / 2) * (down[0] / -down[2]) * -1, 0, front[2]];
  const short = (BEND_INSIDE + section.thickness / 2) * Math.tan(turn / 2);
  const neutralFraction = neutralFractionFor(BEND_INSIDE, section.thickness);
  const segments = [
    { straight: Math.max(0.005, front[0] - meet[0] - short) },
    { angle: turn, insideRadius: BEND_INSIDE, neutralFraction },
    { straight: Math.max(0.005, grip - short) },
  ];
  const strip = followBends(section, segments, stripStart(front, [-1, 0, 0], [0, 0, -1]));
  return {
    nodes: [
      { id: 'shelf-front', at: front },
      { id: 'grip-end', at: strip.end.at },
    ],
    members: [
      {
        id: 'grip',
        name: 'bent grip',
        from: 'shelf-front',
        to: 'grip-end',
        stock,
        leftLong: 0,
        holes: [],
        path: { kind: 'bent', along: [-1, 0, 0], across: [0, 0, -1], segments },
      },
    ],
    joints: [],
    parts: [],
    connections: [],
  };
}

/** Two lengths of pipe in an elbow; the camera on a plate bolted to the level one. The elbow is square, whatever angle is asked. */
function pipes(input: FamilyInput): LShape {
  const { dimensions: d } = input;
  const pipe = pipeOf(PIPE, []);
  const outside = pipe.size.stock.section.kind === 'tube' ? pipe.size.stock.section.outerDiameter : 0.021;
  const corner: Vec3 = [0, 0, d['handBelow']!];
  const laidFor = (shelf: number): Pipework =>
    pipework({
      pipe,
      start: { node: 'corner', at: corner },
      runs: [
        { id: 'grip', name: 'grip', from: 'corner', to: 'grip-end', direction: [0, 0, -1], cut: d['grip']! },
        { id: 'shelf', name: 'shelf', from: 'corner', to: 'shelf-front', direction: [1, 0, 0], cut: shelf },
      ],
    });
  const bare = laidFor(d['shelf']!).bare('shelf');
  // Where screw and pin find no room between the fittings a longer shelf is drawn, and it is told.
  const lack = FROM_FITTING.screw + d['pinFromScrew']! + FROM_FITTING.pin - (bare.to[0] - bare.from[0]);
  const shelf = d['shelf']! + (goesThrough(input) ? Math.max(0, Math.ceil(lack * 1000 - 1e-6) / 1000) : 0);
  const laid = laidFor(shelf);
  const common = {
    nodes: [...laid.nodes],
    members: [...laid.members],
    joints: [...laid.joints],
    down: [0, 0, -1] as Vec3,
    bare: laid.bare('grip'),
    corner,
    outside,
    deep: outside,
  };
  if (goesThrough(input))
    return {
      ...common,
      top: corner[2] + outside / 2,
      under: 'shelf',
      thickness: outside,
      parts: [],
      connections: [],
      level: { free: laid.bare('shelf'), shelf, screw: betweenFittings(d, laid.bare('shelf'), corner) },
    };
  const reach = (node: string): number => {
    const socket = laid.joints.find((j) => j.node === node)!.hub!.sockets[0]!;
    return socket.takeOff + socket.depth + 0.001;
  };
  const [rear, front] = [corner[0] + reach('corner'), laid.at('shelf-front')[0] - reach('shelf-front')];
  const width = Math.max(0.012, Math.min(0.04, front - rear));
  const clip = pipeClip({
    id: 'plate-clip',
    name: 'clip under the camera plate',
    at: [(rear + front) / 2, 0, corner[2]],
    along: [1, 0, 0],
    face: [0, 0, 1],
    outside,
    width,
    pipe: 'shelf',
    holds: ['camera-plate'],
    thickness: PLATE_THICKNESS,
  });
  const under = corner[2] + outside / 2 + CLIP_FACE;
  const camera = corner[0] + d['cameraForward']!;
  const [back, ahead] = [
    Math.min(camera, camera + d['pinFromScrew']!, clip.part.at[0] - width / 2) - 0.015,
    Math.max(camera, camera + d['pinFromScrew']!, clip.part.at[0] + width / 2) + 0.015,
  ];
  return {
    ...common,
    top: under + PLATE_THICKNESS,
    under: 'camera-plate',
    thickness: PLATE_THICKNESS,
    parts: [
      clip.part,
      plate({
        id: 'camera-plate',
        name: 'camera plate',
        middle: [(back + ahead) / 2, 0, under + PLATE_THICKNESS / 2],
        size: [ahead - back, 0.045, PLATE_THICKNESS],
        material: 'aluminium',
        supply: {
          item: `aluminium plate ${Math.round((ahead - back) * 1000)} × 45 × 6`,
          packOf: 1,
          packPrice: 2.6,
          sawn: 'sheet',
        },
      }),
    ],
    connections: clip.connections,
  };
}

/** As near to where it is asked as screw and pin keep clear of the fittings, from the corner. */
const betweenFittings = (d: FamilyInput['dimensions'], { from, to }: Bare, corner: Vec3): number =>
  Math.max(
    from[0] - corner[0] + FROM_FITTING.screw,
    Math.min(d['cameraForward']!, to[0] - corner[0] - FROM_FITTING.pin - d['pinFromScrew']!),
  );

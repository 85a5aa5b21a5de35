/**
 * Pipe post with a side handle, rigid: three pipes and a tee, camera on the top cap, a disc weight under the bottom cap.
 * The tee's centre is the origin. Turned over, the camera hangs low in a C-shaped bracket and the disc is above.
 */
import { addScaled, DEGREE, figure, say, type Finding, type Phrase, type Vec3 } from '../../0-base';
import type { PlacedLoad } from '../../1-load';
import type { Hands, Member, Part, Rig, StatedConnection, Station, Washer } from '../../model';
import { followBends, neutralFractionFor, stripStart } from '../members/bend';
import type { Family, FamilyInput, Sizing } from '../family';
import {
  choiceSpec,
  lengthSpec,
  loadBox,
  named,
  namesOf,
  toFiveMillimetres,
  usualInput,
  weighed,
  within,
  given,
} from '../familyTools';
import { intoCamera } from '../parts/camera';
import { besideCap, headInPipe, inPipe } from '../parts/capBolt';
import { CENTRINGS, discOf, DISC_PLATES, sideError } from '../parts/discs';
import { FLAT_BARS } from '../parts/flatBars';
import { gripOnPipe } from '../parts/hardware';
import { pipeOf, pipeOptions } from '../parts/pipes';
import { plate } from '../parts/plate';
import { washerOf } from '../parts/washers';
import { ANY_DISC, pipeLike } from '../parts/ownSizes';
import { pipework, type Pipework } from '../fittings/pipework';

const TRIM_ROOM = 0.02; // of the weight bolt, below the discs
/** By the thread of the weight bolt, thickest first: the washers that trim on it. */
const TRIM_WASHERS: Readonly<Record<string, string>> = { M10: 'm10-30', M8: 'm8-40', M6: 'm6-30', M5: 'm5-15' };
const FOOT = { radius: 0.035, thickness: 0.006 };
const PLATE_REACH = 0.028; // of the camera's hole from the plate's middle
const PAD = 0.0015;
const BRACKET_THICK = 0.005;
const PLATE: Vec3 = [0.075, 0.06, 0.006];
const THREAD_SPREAD = 0.0009; // half a turn: how far a taper thread goes differs with the hand that turns it
const BRACKET = { bar: 'aluminium-25x5', insideRadius: 0.02 };

const WAYS: Readonly<Record<string, Vec3>> = { right: [0, -1, 0], left: [0, 1, 0], rear: [-1, 0, 0] };

function layOut({ dimensions: d, choices, own }: FamilyInput): {
  readonly pipes: Pipework;
  readonly way: Vec3;
  readonly up: 1 | -1;
  readonly handleMiddle: Vec3;
} {
  const pipe = pipeOf(choices['pipe']!, own);
  const up = choices['carry'] === 'low' ? -1 : 1;
  const way = WAYS[choices['handleSide']!]!;
  const pipes = pipework({
    pipe,
    start: { node: 'tee', at: [0, 0, 0] },
    short: { value: d['pushedShort']!, spread: pipe.system.threadPitch === null ? 0.0005 : THREAD_SPREAD },
    runs: [
      {
        id: 'upper-post',
        name: up > 0 ? 'upper post' : 'camera post',
        from: 'tee',
        to: 'camera-end',
        direction: [0, 0, up],
        cut: d['upperPost']!,
      },
      {
        id: 'lower-post',
        name: up > 0 ? 'lower post' : 'weight post',
        from: 'tee',
        to: 'weight-end',
        direction: [0, 0, -up],
        cut: d['lowerPost']!,
      },
      { id: 'handle', name: 'handle pipe', from: 'tee', to: 'handle-end', direction: way, cut: d['handle']! },
    ],
  });
  const end = pipes.at('handle-end');
  return {
    pipes,
    way,
    up,
    handleMiddle: addScaled(end, way, -(d['gripLength']! / 2 + pipe.size.depth + pipe.size.takeOff.cap)),
  };
}

function build(input: FamilyInput): Rig {
  const { dimensions: d, choices, own } = input;
  const { pipes, up, handleMiddle } = layOut(input);
  const { size } = pipeOf(choices['pipe']!, own);
  const outside = size.stock.section.kind === 'tube' ? size.stock.section.outerDiameter : 0;
  const disc = discOf(choices['disc']!, own);
  const discs = Number(choices['discs']!);
  const low = pipes.at('weight-end');
  const out: Vec3 = [0, 0, -up];
  const thread = inPipe(choices['pipe']!, own, Object.keys(TRIM_WASHERS));
  const { washer, boltDiameter } = washerOf(TRIM_WASHERS[thread]!, []);
  const underDiscs = addScaled(low, out, discs * disc.thickness);
  const hasFoot = choices['foot'] === 'dish' && up > 0;
  const stations: Station[] = [
    {
      id: 'discs',
      name: 'Disc weight',
      seat: low,
      axis: out,
      boltDiameter,
      room: 0.06,
      washer: disc,
      sideError: sideError(2 * disc.innerRadius, boltDiameter, choices['centring']!),
      count: discs,
    },
    {
      id: 'trim',
      name: 'Trim washers',
      seat: underDiscs,
      axis: out,
      boltDiameter,
      room: TRIM_ROOM,
      washer,
      count: hasFoot ? 0 : 1,
    },
  ];
  const grip = gripOnPipe(
    { id: 'grip', at: handleMiddle, length: d['gripLength']!, inside: outside },
    pipes.bare('handle'),
  );
  const camera = cameraParts(input, pipes.at('camera-end'), up);
  const fillers = fillersIn(disc, discs, boltDiameter, choices['centring']!, low, out);
  const parts: Part[] = [
    ...camera.parts,
    grip,
    ...fillers,
    ...(hasFoot
      ? [
          {
            id: 'foot',
            name: 'dished foot washer',
            shape: {
              kind: 'tube' as const,
              outerRadius: FOOT.radius,
              innerRadius: boltDiameter / 2 + 0.0005,
              length: FOOT.thickness,
            },
            at: addScaled(underDiscs, out, FOOT.thickness / 2),
            material: 'steel',
            mass: { value: 0.055, spread: 0.006, source: 'mass of dished washer' },
            supply: { item: 'dished washer 70 mm', packOf: 1, packPrice: 2.2 },
            rides: 'trim',
          },
        ]
      : []),
  ];
  const bracket = up > 0 ? null : cBracket(input, pipes.at('camera-end'));
  return {
    bodies: [
      {
        id: 'post',
        name: 'post',
        nodes: [...pipes.nodes, ...(bracket?.nodes ?? [])],
        members: [...pipes.members, ...(bracket ? [bracket.member] : [])],
        joints: [...pipes.joints],
        parts,
        stations,
        connections: [
          ...camera.connections,
          { kind: 'slidOn', id: 'grip-on', name: 'grip on its pipe', piece: 'grip', over: 'handle' },
          ...fillers.map((f) => ({
            kind: 'seated' as const,
            id: `${f.id}-in`,
            name: 'filler in its disc',
            piece: f.id,
            in: f.id.replace('filler', 'discs'),
          })),
          {
            kind: 'bolted',
            id: 'weights',
            name: 'weight bolt',
            on: 'joint-weight-end',
            point: low,
            way: out,
            thread,
            stack: [
              { kind: 'piece', piece: 'joint-weight-end' },
              { kind: 'row', station: 'discs' },
              { kind: 'row', station: 'trim' },
              ...(hasFoot ? [{ kind: 'piece' as const, piece: 'foot' }] : []),
            ],
            end: { kind: 'nut' },
            packs: true,
          },
        ],
      },
    ],
    pivots: [],
    contacts: [
      { id: 'hand-on-handle', name: 'hand', kind: 'hand', body: 'post', at: handleMiddle, direction: [0, 0, 1] },
    ],
    poses: [
      { id: 'arm-close', name: 'Arm close', contacts: ['hand-on-handle'], arm: d['armClose']! },
      { id: 'arm-out', name: 'Arm out', contacts: ['hand-on-handle'], arm: d['armOut']! },
    ],
    adjusters: [
      {
        id: 'trim-count',
        name: 'Trim washers',
        kind: 'count',
        // Without a foot one of them keeps the disc on: its bore is wider than any nut.
        range: [hasFoot ? 0 : 1, Math.floor(TRIM_ROOM / washer.thickness + 1e-9)],
        step: 1,
        value: hasFoot ? 0 : 1,
        moves: [{ kind: 'station', id: 'trim' }],
      },
    ],
  };
}

/** In each disc's bore one ring of what keeps it in the middle. */
function fillersIn(
  disc: Washer,
  count: number,
  boltDiameter: number,
  centring: string,
  low: Vec3,
  out: Vec3,
): readonly Part[] {
  const way = CENTRINGS[centring]!;
  if (way.mass === 0) return [];
  return Array.from({ length: count }, (_, i) => ({
    id: `filler/${i + 1}`,
    name: way.item,
    shape: {
      kind: 'tube' as const,
      outerRadius: way.outside(2 * disc.innerRadius) / 2,
      innerRadius: (boltDiameter + way.slack) / 2,
      length: disc.thickness,
    },
    at: addScaled(low, out, (i + 0.5) * disc.thickness),
    material: 'steel',
    mass: { value: way.mass, spread: 0.2 * way.mass, source: 'mass of centring' },
    supply: { item: way.item, packOf: 1, packPrice: 1.2 },
  }));
}

/** What the camera stands on, and the screw that comes up into it. */
function cameraParts(
  { dimensions: d, choices, own }: FamilyInput,
  end: Vec3,
  up: 1 | -1,
): { readonly parts: readonly Part[]; readonly connections: readonly StatedConnection[] } {
  // In the bracket it hangs right under the post: both holes are on one line.
  const forward = up > 0 ? d['cameraForward']! : 0;
  const cap = { kind: 'piece' as const, piece: 'joint-camera-end' };
  const capThread = inPipe(choices['pipe']!, own, ['M6', 'M5']);
  if (up > 0) {
    const middle: Vec3 = [forward, 0, end[2] + PLATE[2] / 2];
    return {
      parts: [
        plate({
          id: 'camera-plate',
          name: 'camera plate',
          middle,
          size: PLATE,
          material: 'aluminium',
          mount: true,
          supply: { item: 'aluminium plate 75 × 60 × 6', packOf: 1, packPrice: 4, sawn: 'sheet' },
        }),
      ],
      // Over the post one screw holds plate and camera; beside it each has its own.
      connections: [
        intoCamera({
          on: forward === 0 ? 'joint-camera-end' : 'camera-plate',
          point: [forward, 0, end[2]],

          stack: [...(forward === 0 ? [cap] : []), { kind: 'piece', piece: 'camera-plate' }],
        }),
        ...(forward === 0
          ? []
          : [
              {
                kind: 'bolted' as const,
                id: 'plate-on-cap',
                name: 'plate on the cap',
                on: 'joint-camera-end',
                point: addScaled(end, [0, 0, 1], PLATE[2]),
                way: [0, 0, -1] as Vec3,
                thread: capThread,
                head: 'sunk' as const,
                stack: [{ kind: 'piece' as const, piece: 'camera-plate' }, cap],
                end: { kind: 'nut' as const },
              },
            ]),
      ],
    };
  }
  const low = end[2] - d['bracketInside']! - BRACKET_THICK;
  const seat = addScaled([forward, 0, low], [0, 0, 1], PAD);
  return {
    parts: [
      {
        id: 'camera-plate',
        name: 'rubber pad under the camera',
        shape: { kind: 'box', size: [0.05, 0.025, PAD] },
        at: addScaled(seat, [0, 0, -1], PAD / 2),
        material: 'rubberFoam',
        mount: seat,
        supply: { item: 'rubber sheet, a hand wide', packOf: 4, packPrice: 3, sawn: 'sheet' },
      },
    ],
    connections: [
      intoCamera({
        on: 'bracket',
        point: [forward, 0, low - BRACKET_THICK],

        stack: [
          { kind: 'piece', piece: 'bracket' },
          { kind: 'piece', piece: 'camera-plate' },
        ],
      }),
      {
        kind: 'bolted',
        id: 'bracket-on-cap',
        name: 'bracket on the cap',
        on: 'joint-camera-end',
        point: [0, 0, end[2]],
        way: [0, 0, -1],
        thread: capThread,
        stack: [
          { kind: 'piece', piece: 'joint-camera-end' },
          { kind: 'piece', piece: 'bracket' },
        ],
        end: { kind: 'nut' },
        packs: true,
      },
    ],
  };
}

/** From over the post's cap to the left, down and back under: one hole right over the other. */
function cBracket(
  { dimensions: d }: FamilyInput,
  end: Vec3,
): { readonly member: Member; readonly nodes: readonly { id: string; at: Vec3 }[] } {
  const stock = FLAT_BARS[BRACKET.bar]!;
  if (stock.section.kind !== 'flat') throw new TypeError('the bracket is bent from flat bar');
  const { thickness } = stock.section;
  const { insideRadius } = BRACKET;
  const neutralFraction = neutralFractionFor(insideRadius, thickness);
  const square = { angle: 90 * DEGREE, insideRadius, neutralFraction };
  const limb = d['bracketReach']! - insideRadius;
  const beyond = 0.02; // bar past each hole
  const start: Vec3 = [0, -beyond, end[2] - thickness / 2];
  const segments = [
    { straight: limb + beyond },
    square,
    { straight: d['bracketInside']! - 2 * insideRadius },
    square,
    { straight: limb + beyond },
  ];
  const strip = followBends(stock.section, segments, stripStart(start, [0, 1, 0], [0, 0, -1]));
  return {
    nodes: [
      { id: 'bracket-start', at: start },
      { id: 'bracket-end', at: strip.end.at },
    ],
    member: {
      id: 'bracket',
      name: 'C-bracket',
      from: 'bracket-start',
      to: 'bracket-end',
      stock,
      leftLong: 0,
      path: { kind: 'bent', along: [0, 1, 0], across: [0, 0, -1], segments },
      holes: [],
    },
  };
}

const dimensions = [
  lengthSpec(
    'upperPost',
    'Upper post',
    'upper-post',
    0.2,
    0.06,
    0.5,
    'Sawn length from the tee to the cap under the camera.',
  ),
  lengthSpec(
    'lowerPost',
    'Lower post',
    'lower-post',
    0.3,
    0.06,
    0.7,
    'Sawn length from the tee to the cap over the weight.',
  ),
  lengthSpec('handle', 'Handle pipe', 'handle', 0.165, 0.08, 0.3, 'Sawn length from the tee to the handle’s cap.'),
  lengthSpec('gripLength', 'Grip length', 'grip', 0.118, 0.07, 0.25, 'Foam on the outer end of the handle.'),
  lengthSpec(
    'cameraForward',
    'Camera ahead of the post',
    'camera-plate',
    0,
    -0.04,
    0.04,
    'Camera hole from the post’s middle, on top of it; behind is negative.',
  ),
  given(
    'measured',
    lengthSpec(
      'pushedShort',
      'Short of home, each thread',
      'upper-post',
      0,
      0,
      0.012,
      'How far each pipe stops short of full make-up: one turn less is 1.8 mm on steel pipe.',
    ),
  ),
  lengthSpec(
    'bracketInside',
    'Bracket, inside height',
    'bracket',
    0.14,
    0.06,
    0.3,
    'Room in the C for the camera, when it hangs low.',
  ),
  lengthSpec(
    'bracketReach',
    'Bracket, reach to the side',
    'bracket',
    0.09,
    0.045,
    0.16,
    'From the post’s axis to the inside of the C’s spine.',
  ),
  given(
    'measured',
    lengthSpec(
      'armClose',
      'Arm close',
      'hand-on-handle',
      0.25,
      0.1,
      0.5,
      'Level distance from your shoulder to the hand, arm close.',
    ),
  ),
  given('measured', lengthSpec('armOut', 'Arm out', 'hand-on-handle', 0.5, 0.2, 0.8, 'The same with the arm out.')),
];

/** Pipes it can be made of. */
const SYSTEMS = ['steel', 'pvc', 'plasticMetric'];
const choices = [
  choiceSpec('pipe', 'Pipe', 'All three pieces and the tee.', 'steel/1/2', pipeOptions(SYSTEMS), pipeLike(SYSTEMS)),
  choiceSpec(
    'carry',
    'Camera',
    'On top, or turned over and hung low.',
    'top',
    named({ top: 'on top of the post', low: 'hung low in a C-bracket' }),
  ),
  choiceSpec(
    'handleSide',
    'Handle',
    'Which way the handle points.',
    'right',
    named({ right: 'to the right', left: 'to the left', rear: 'to the rear' }),
  ),
  choiceSpec('disc', 'Disc', 'The weight under the bottom cap.', 'disc-0.5kg', namesOf(DISC_PLATES), ANY_DISC),
  choiceSpec('discs', 'How many', 'Discs on the bolt.', '1', named({ '1': 'one', '2': 'two', '3': 'three' })),
  choiceSpec(
    'centring',
    'Disc kept in the middle by',
    'The bore is far wider than the bolt.',
    'washers',
    namesOf(CENTRINGS),
  ),
  choiceSpec('foot', 'Foot', 'Under the disc.', 'dish', named({ dish: 'dished washer', none: 'none' })),
];

function size(load: PlacedLoad | null, hands: Hands): Sizing {
  const usual = usualInput(dimensions, choices);
  const box = loadBox(load);
  const pipe = box.mass > 2.5 ? 'steel/3/4' : box.mass > 0.35 ? 'steel/1/2' : 'steel/3/8';
  // A disc of about the camera's own mass: as much again below as above gives a long lever for little weight.
  const disc = Object.entries(DISC_PLATES).reduce((a, b) =>
    Math.abs(b[1].mass!.value - box.mass * 0.9) < Math.abs(a[1].mass!.value - box.mass * 0.9) ? b : a,
  )[0];
  const picked = { ...usual.choices, pipe, disc, handleSide: hands.leftHanded ? 'left' : 'right' };
  const gripLength = within(hands.breadth + 0.03, 0.07, 0.25);
  const at = (lowerPost: number, cameraForward: number): FamilyInput => ({
    choices: picked,
    dimensions: {
      ...usual.dimensions,
      upperPost: toFiveMillimetres(within(0.12 + box.high[2], 0.14, 0.3)),
      lowerPost,
      gripLength,
      handle: toFiveMillimetres(gripLength + 2 * pipeOf(pipe, []).size.depth + 0.0225),
      cameraForward,
      armClose: hands.armClose,
      armOut: hands.armOut,
      bracketInside: toFiveMillimetres(within(box.high[2] + 0.03, 0.06, 0.3)),
      bracketReach: toFiveMillimetres(within(Math.max(box.high[1], 0.03) + 0.012, 0.045, 0.16)),
    },
  });
  const trial = weighed(build(at(0.3, 0)), load);
  const wanted = box.mass > 0 ? (-trial.centre[0] * trial.mass) / box.mass : 0;
  const beside = besideCap(pipe, []);
  // Over the post its screw's head must go up the pipe.
  const head = headInPipe(pipe, []);
  const canBeOver = head.corners <= head.bore;
  const cameraForward =
    canBeOver && (Math.abs(wanted) < beside / 2 || beside > PLATE_REACH)
      ? 0
      : (Math.sign(wanted) || -1) * Math.min(beside, PLATE_REACH);
  // The lower post grows until the mass centre lies a little under the handle: then the hand need not hold it up.
  let lower = 0.1;
  while (lower < 0.6 && weighed(build(at(lower, cameraForward)), load).centre[2] > -0.03)
    lower = toFiveMillimetres(lower + 0.005);
  const sized = at(lower, cameraForward);
  const reasons: Phrase[] = [
    say`The disc weighs about what your ${figure('mass', box.mass)} load does; far apart, the two make the post slow to turn.`,
    say`The lower post of ${figure('length', lower)} brings the mass centre just under the handle, so that it rights itself.`,
    cameraForward === 0
      ? say`The camera stands right over the post: one screw holds it and its plate.`
      : say`The camera's hole is ${figure('length', Math.abs(cameraForward))} ${cameraForward < 0 ? 'behind' : 'ahead of'} the post's middle, to bring its weight near the post.`,
  ];
  return { ...sized, reasons, startValues: {} };
}

function advise({ choices: c, dimensions: d, own }: FamilyInput, rig: Rig): readonly Finding[] {
  const disc = discOf(c['disc']!, own);
  const thread = inPipe(c['pipe']!, own, Object.keys(TRIM_WASHERS));
  const { boltDiameter } = washerOf(TRIM_WASHERS[thread]!, []);
  const error = sideError(2 * disc.innerRadius, boltDiameter, c['centring']!);
  const { mass } = weighed(rig, null);
  const findings: Finding[] = [];
  if (error > 0.001) {
    const shift = (error * disc.mass!.value * Number(c['discs']!)) / mass;
    findings.push({
      code: 'discOffCentre',
      severity: error > 0.003 ? 'mend' : 'note',
      about: 'discs',
      figure: figure('length', error, 1),
      limit: figure('length', 0.001, 1),
      title: say`The disc may lie ${figure('length', error, 1)} off its bolt.`,
      why: say`Its bore is ${figure('length', 2 * disc.innerRadius, 1)} and the bolt ${figure('length', boltDiameter, 1)}: the post's mass centre then wanders up to ${figure('length', shift, 1)} to a side, a new one each time it is put on.`,
      toDo: say`Fill the bore: a turned or printed bush leaves ${figure('length', sideError(2 * disc.innerRadius, boltDiameter, 'bush'), 2)}.`,
      fixes:
        c['centring'] === 'bush'
          ? []
          : [{ label: say`Centre it with a bush`, changes: [{ kind: 'choice', id: 'centring', value: 'bush' }] }],
    });
  }
  const forward = d['cameraForward']!;
  const beside = besideCap(c['pipe']!, own);
  const head = headInPipe(c['pipe']!, own);
  if (c['carry'] !== 'low' && forward === 0 && head.corners > head.bore)
    findings.push({
      code: 'headInPipe',
      severity: 'stop',
      about: 'joint-camera-end',
      figure: figure('length', head.corners, 1),
      limit: figure('length', head.bore, 1),
      title: say`The camera’s screw does not go up this pipe.`,
      why: say`Its head is ${figure('length', head.corners, 1)} over its corners, the pipe ${figure('length', head.bore, 1)} wide inside.`,
      toDo: say`Hold the camera beside the post, or take a wider pipe.`,
      fixes: [
        {
          label: say`Camera ${figure('length', beside)} behind the post’s middle`,
          changes: [{ kind: 'dimension', id: 'cameraForward', value: -beside }],
        },
      ],
    });
  if (c['carry'] !== 'low' && forward !== 0 && Math.abs(forward) < beside) {
    const to = Math.abs(forward) < beside / 2 ? 0 : Math.sign(forward) * beside;
    findings.push({
      code: 'headMeetsCap',
      severity: 'mend',
      about: 'camera-plate',
      figure: figure('length', Math.abs(forward)),
      limit: figure('length', beside),
      title: say`The camera screw's head meets the cap under its plate.`,
      why: say`${figure('length', Math.abs(forward))} from the post's middle it is neither over the cap, where one screw holds plate and camera, nor beside it.`,
      toDo: say`Put the camera's hole over the post, or ${figure('length', beside)} from its middle.`,
      fixes: [
        {
          label: to === 0 ? say`Over the post` : say`${figure('length', beside)} from it`,
          changes: [{ kind: 'dimension', id: 'cameraForward', value: to }],
        },
      ],
    });
  }
  const held = 2 * pipeOf(c['pipe']!, own).size.depth + 0.015; // threaded into tee and cap, and knuckles' room
  if (d['gripLength']! + held > d['handle']!) {
    const handle = toFiveMillimetres(d['gripLength']! + held + 0.0024);
    findings.push({
      code: 'gripTooLong',
      severity: 'mend',
      about: 'grip',
      figure: figure('length', d['gripLength']!),
      limit: figure('length', d['handle']! - held),
      title: say`The grip leaves no room between the hand and the post.`,
      why: say`Tee, cap and knuckles need ${figure('length', held)} of the pipe.`,
      toDo: say`Make the handle pipe ${figure('length', handle)} long.`,
      fixes: [
        {
          label: say`Handle of ${figure('length', handle)}`,
          changes: [{ kind: 'dimension', id: 'handle', value: handle }],
        },
      ],
    });
  }
  return findings;
}

export const pipePost: Family = {
  id: 'pipe-post',
  name: 'Pipe post with a side handle',
  summary:
    'Three pipes and a tee: camera on top, a disc far below, a handle to the side. No bearing, no bend, an hour’s work.',
  goodFor: ['walking shots', 'eye level and waist', 'turned over, close to the ground'],
  givesUp: 'The wrist carries its lean, and it is heavy for what it steadies.',
  suits: {
    carries: ['eye level', 'waist', 'low'],
    moves: ['walking', 'standing still'],
    hands: 1,
    wet: true,
    hangs: false,
  },
  goesWrong: [
    'The side handle pulls the wrist over: hold the post with the other hand too.',
    'The disc sits off its bolt and it leans differently each day.',
    'Threads loosen by a turn and the camera swings round.',
  ],
  dimensions,
  choices,
  size,
  build,
  advise,
  drawn: (input) => {
    const { pipes, way } = layOut(input);
    const up = input.choices['carry'] === 'low' ? -1 : 1;
    const [tee, top, low, end] = ['tee', 'camera-end', 'weight-end', 'handle-end'].map((n) => pipes.at(n)) as [
      Vec3,
      Vec3,
      Vec3,
      Vec3,
    ];
    return [
      { dimension: 'upperPost', from: tee, to: top, view: 'side', offset: up > 0 ? -56 : 56 },
      { dimension: 'lowerPost', from: low, to: tee, view: 'side', offset: up > 0 ? -56 : 56 },
      ...(way[0] === 0
        ? [{ dimension: 'handle', from: tee, to: end, view: 'front' as const, offset: 40 }]
        : [{ dimension: 'handle', from: tee, to: end, view: 'side' as const, offset: 40 }]),
    ];
  },
};

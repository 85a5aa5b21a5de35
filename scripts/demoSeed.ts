/** Writes the demo scenario's documents: a tiny crew filming tide pools and a harbour. Run when the scenario changes. */
import { writeFileSync } from 'node:fs';
import {
  familyById,
  placeLoad,
  workpiece,
  judged,
  USUAL_HANDS,
  type KitItem,
  type Loadout,
  type RigDocument,
  type SetUp,
  type LogEntry,
  type BinItem,
  normalDraws,
  type Walk,
} from '@tide-pebble/core';
import { evenTurning, walkOfGyro, type WalkFigures } from '@tide-pebble/core/steady';
import { startRig } from '@tide-pebble/core/bench';
import { trim } from '@tide-pebble/core/bench';
import { weighedAs, withMeasurement } from '@tide-pebble/core/measuring';

const plain = (item: Omit<KitItem, 'mountPoints'> & Partial<Pick<KitItem, 'mountPoints'>>): KitItem => ({
  mountPoints: [],
  ...item,
});
/** Weighed once on a kitchen scale, then each axis balanced on a dowel: tips in mm from rear, right side and underside. */
function measuredKit(item: KitItem, grams: number, tips: readonly (readonly [number, number] | null)[]): KitItem {
  const weighed = weighedAs(item, { value: grams / 1000, typed: `${grams} g` }, `${item.id}-weighed`, 0.001);
  return tips.reduce<KitItem>(
    (now, pair, axis) =>
      pair
        ? withMeasurement(now, {
            id: `${item.id}-edge-${axis}`,
            method: 'onAnEdge',
            axis: axis as 0 | 1 | 2,
            readings: {
              tipsOneWay: [{ value: pair[0] / 1000, typed: `${pair[0]} mm` }],
              tipsOtherWay: [{ value: pair[1] / 1000, typed: `${pair[1]} mm` }],
            },
            scaleStep: 0.001,
            rulerStep: 0.001,
          })
        : now,
    weighed,
  );
}
const heron = withMeasurement(
  measuredKit(
    plain({
      id: 'kit-heron',
      name: 'Heron body',
      class: 'camera',
      form: 'box',
      size: [0.062, 0.118, 0.072],
      boxCentre: [0.004, 0.003, 0.036],
      foot: 'thread',
      mountPoints: [
        { id: 'flange', name: 'lens flange', kind: 'lens mount', at: [0.035, 0.004, 0.038] },
        { id: 'shoe', name: 'shoe', kind: 'shoe', at: [0, 0.004, 0.073] },
      ],
      states: [
        {
          id: 'screen',
          name: 'screen',
          choices: [
            { id: 'out', name: 'out' },
            { id: 'in', name: 'in', change: { kind: 'moves', by: [0, -0.004, 0], spread: [0.0005, 0.0005, 0.0005] } },
          ],
        },
        {
          id: 'strap',
          name: 'strap',
          choices: [
            { id: 'off', name: 'off' },
            {
              id: 'on',
              name: 'on',
              change: {
                kind: 'adds',
                mass: { value: 0.038, spread: 0.0006 },
                at: [-0.01, 0, -0.03],
                spread: [0.01, 0.02, 0.01],
              },
            },
          ],
        },
      ],
      clearances: [
        { id: 'battery-door', kind: 'battery door', at: [0.014, -0.046, -0.015], size: [0.04, 0.024, 0.03] },
        { id: 'screen-swing', kind: 'screen swing', at: [-0.02, 0.095, 0.036], size: [0.02, 0.066, 0.05] },
        { id: 'socket', kind: 'tripod socket', at: [0, 0, 0.003], size: [0.0066, 0.0066, 0.0055] },
      ],
      sensor: { width: 0.0235, height: 0.0156 },
      socketDepth: { value: 0.0055, typed: '5.5 mm' },
      notes: 'Battery and card in, screen folded out.',
    }),
    486,
    [
      [32.5, 33.5],
      [57.5, 58.5],
      [33.5, 34.5],
    ],
  ),
  {
    id: 'kit-heron-scales',
    method: 'onTwoScales',
    axis: 0,
    scaleStep: 0.001,
    rulerStep: 0.001,
    readings: {
      near: [{ value: 0.223, typed: '223 g' }],
      far: [{ value: 0.263, typed: '263 g' }],
      distance: [{ value: 0.05, typed: '50 mm' }],
      fromFace: [{ value: 0.006, typed: '6 mm' }],
    },
  },
);
const zoom = measuredKit(
  plain({
    id: 'kit-zoom',
    name: 'Zoom 18 to 45',
    class: 'lens',
    form: 'cylinder',
    size: [0.082, 0.068, 0.068],
    boxCentre: [0.041, 0, 0],
    foot: 'lens mount',
    focalLength: { shortest: 0.018, longest: 0.045 },
    states: [
      {
        id: 'zoom',
        name: 'zoom',
        choices: [
          { id: 'at-wide', name: 'at wide', focalLength: 0.018 },
          {
            id: 'at-long',
            name: 'at long',
            focalLength: 0.045,
            change: { kind: 'moves', by: [0.009, 0, 0], spread: [0.0007, 0, 0] },
          },
        ],
      },
    ],
  }),
  338,
  [[38, 39.5], null, null],
);
const kit: KitItem[] = [
  heron,
  measuredKit(
    plain({
      id: 'kit-24',
      name: 'Wide lens 24',
      class: 'lens',
      form: 'cylinder',
      size: [0.058, 0.062, 0.062],
      boxCentre: [0.029, 0, 0],
      foot: 'lens mount',
      focalLength: { shortest: 0.024, longest: 0.024 },
      mountPoints: [{ id: 'front', name: 'front thread', kind: 'thread', at: [0.058, 0, 0] }],
    }),
    214,
    [
      [26.5, 27.5],
      [30.5, 31.5],
      [30.5, 31.5],
    ],
  ),
  plain({
    id: 'kit-70',
    name: 'Long lens 70',
    class: 'lens',
    form: 'cylinder',
    size: [0.104, 0.07, 0.07],
    boxCentre: [0.052, 0, 0],
    foot: 'lens mount',
    focalLength: { shortest: 0.07, longest: 0.07 },
  }),
  zoom,
  measuredKit(
    plain({
      id: 'kit-mic',
      name: 'Small mic',
      class: 'microphone',
      form: 'cylinder',
      size: [0.085, 0.022, 0.022],
      boxCentre: [0.012, 0, 0.018],
      foot: 'shoe',
    }),
    62,
    [
      [39, 40],
      [10.5, 11.5],
      [7.5, 8.5],
    ],
  ),
  plain({
    id: 'kit-muff',
    name: 'Wind muff',
    class: 'other',
    form: 'cylinder',
    size: [0.095, 0.05, 0.05],
    boxCentre: [0.012, 0, 0.018],
    foot: 'clip',
  }),
  measuredKit(
    plain({
      id: 'kit-dusk',
      name: 'Dusk light',
      class: 'light',
      form: 'box',
      size: [0.03, 0.08, 0.06],
      boxCentre: [0, 0, 0.03],
      foot: 'shoe',
    }),
    118,
    [[14, 16], null, null],
  ),
  plain({
    id: 'kit-monitor',
    name: 'Small monitor',
    class: 'monitor',
    form: 'box',
    size: [0.025, 0.13, 0.08],
    boxCentre: [0, 0, 0.04],
    foot: 'thread',
    goesWith: ['kit-cell'],
    mountPoints: [{ id: 'back', name: 'battery bay', kind: 'bay', at: [-0.013, 0, 0.04] }],
  }),
  measuredKit(
    plain({
      id: 'kit-cell',
      name: 'Monitor battery',
      class: 'battery',
      form: 'box',
      size: [0.02, 0.04, 0.07],
      boxCentre: [-0.01, 0, 0],
      foot: 'bay',
    }),
    96,
    [null, null, null],
  ),
  measuredKit(
    plain({
      id: 'kit-grey',
      name: 'Grey filter',
      class: 'filter',
      form: 'cylinder',
      size: [0.006, 0.064, 0.064],
      boxCentre: [0.003, 0, 0],
      foot: 'thread',
    }),
    21,
    [null, null, null],
  ),
  measuredKit(
    plain({
      id: 'kit-crab',
      name: 'Crab cam',
      class: 'action camera',
      form: 'box',
      size: [0.033, 0.071, 0.051],
      boxCentre: [0, 0, 0.0255],
      foot: 'clip',
      sensor: { width: 0.0063, height: 0.0047 },
      focalLength: { shortest: 0.0028, longest: 0.0028 },
    }),
    152,
    [
      [17, 18],
      [35, 36],
      [25, 26],
    ],
  ),
  measuredKit(
    plain({
      id: 'kit-slate',
      name: 'Slate phone',
      class: 'phone',
      form: 'box',
      size: [0.009, 0.152, 0.073],
      boxCentre: [0, 0, 0.0365],
      foot: 'clip',
      sensor: { width: 0.0071, height: 0.0053 },
      focalLength: { shortest: 0.0054, longest: 0.0054 },
    }),
    203,
    [
      [4, 5],
      [74, 76],
      [36, 37],
    ],
  ),
];
const asShot = { screen: 'out', strap: 'off' };
const loadouts: Loadout[] = [
  {
    id: 'loadout-ebb',
    name: 'Ebb: body, 24, small mic',
    conditions: 'Strap off, screen out, battery and card in.',
    items: [
      { id: 'ebb-body', item: 'kit-heron', on: null, offset: [0, 0, 0], states: asShot },
      { id: 'ebb-lens', item: 'kit-24', on: { mounted: 'ebb-body', point: 'flange' }, offset: [0, 0, 0] },
      { id: 'ebb-mic', item: 'kit-mic', on: { mounted: 'ebb-body', point: 'shoe' }, offset: [0, 0, 0] },
    ],
  },
  {
    id: 'loadout-flood',
    name: 'Flood: body, 70',
    conditions: 'Strap off, screen out, lens cap off.',
    items: [
      { id: 'flood-body', item: 'kit-heron', on: null, offset: [0, 0, 0], states: asShot },
      { id: 'flood-lens', item: 'kit-70', on: { mounted: 'flood-body', point: 'flange' }, offset: [0, 0, 0] },
    ],
  },
  {
    id: 'loadout-spring',
    name: 'Spring: body, zoom, light',
    conditions: 'Strap off; screen in or out as the sun has it.',
    items: [
      { id: 'spring-body', item: 'kit-heron', on: null, offset: [0, 0, 0], states: { strap: 'off' } },
      { id: 'spring-lens', item: 'kit-zoom', on: { mounted: 'spring-body', point: 'flange' }, offset: [0, 0, 0] },
      { id: 'spring-light', item: 'kit-dusk', on: { mounted: 'spring-body', point: 'shoe' }, offset: [0, 0, 0] },
    ],
  },
  {
    id: 'loadout-neap',
    name: 'Neap: crab cam alone',
    conditions: 'In its clip, strap off.',
    items: [{ id: 'neap-cam', item: 'kit-crab', on: null, offset: [0, 0, 0] }],
  },
  {
    id: 'loadout-slack',
    name: 'Slack: phone',
    conditions: 'Case off, in the clip.',
    items: [{ id: 'slack-phone', item: 'kit-slate', on: null, offset: [0, 0, 0] }],
  },
];
const items = new Map(kit.map((k) => [k.id, k]));
const family = familyById('gimballed-bent-bar')!;
const wants: RigDocument['wants'] = {
  levelWithin: Math.PI / 180,
  dropTime: [1.8, 2.4],
  massAtMost: 2.2,
  calmAtLeast: 8,
  shopPrice: 210,
};

function rigFor(id: string, name: string, loadout: Loadout, notes: string): RigDocument {
  const sized = family.size(placeLoad(loadout, items), USUAL_HANDS);
  return {
    id,
    name,
    notes,
    wants,
    loadout: loadout.id,
    done: {},
    kerf: 0.0015,
    fastenersCounted: true as const,
    design: {
      kind: 'family',
      family: family.id,
      dimensions: Object.fromEntries(Object.entries(sized.dimensions).map(([k, value]) => [k, { value }])),
      choices: { ...sized.choices },
      edits: [],
    },
  };
}
const limpet = {
  ...rigFor('rig-limpet', 'Limpet', loadouts[0]!, 'For the pools below the slip: low, slow, one hand free.'),
  done: {} as Record<string, true>,
};
const whelk = rigFor(
  'rig-whelk',
  'Whelk',
  loadouts[1]!,
  'Second bar, for the long lens on the harbour wall. Not balanced yet.',
);
const trimmed = solve(limpet, loadouts[0]!);
const flood = trimOf(limpet, loadouts[1]!);
const setups: SetUp[] = [
  ...(flood ? [{ id: 'setup-limpet-flood', rig: limpet.id, loadout: loadouts[1]!.id, values: flood }] : []),
  { id: 'setup-limpet-ebb', rig: limpet.id, loadout: loadouts[0]!.id, values: trimmed },
  {
    id: 'setup-whelk-flood',
    rig: whelk.id,
    loadout: loadouts[1]!.id,
    values: { 'rear-count': 6, 'front-count': 0, 'foot-count': 11, 'stage-fore-aft': 0.001 },
  },
];
function trimOf(rig: RigDocument, loadout: Loadout): Record<string, number> | null {
  const made = workpiece(rig, loadout, items);
  if (!made.ok) throw new Error(made.reason);
  const found = trim(made.work.assembly, {}, rig.wants);
  console.log(loadout.name, JSON.stringify(found));
  return found.kind === 'solved' ? { ...found.values } : null;
}
function solve(rig: RigDocument, loadout: Loadout): Record<string, number> {
  const found = trimOf(rig, loadout);
  if (!found) throw new Error('the demo rig cannot be trimmed');
  return found;
}
const made = workpiece(limpet, loadouts[0]!, items);
if (!made.ok) throw new Error(made.reason);
const { evaluation, findings } = judged(made.work, trimmed, wants);
const hung = evaluation.hung!;
const expected = {
  noseDown: hung.hang.rest!.noseDown,
  leftSideDown: hung.hang.rest!.leftSideDown,
  dropPitch: hung.pitch.drop.kind === 'falls' ? hung.pitch.drop.time : null,
  dropSpread: hung.spread.dropPitch,
};
const log: LogEntry[] = [
  {
    id: 'log-1',
    rig: limpet.id,
    loadout: loadouts[0]!.id,
    when: '2026-06-14T17:20:00Z',
    values: trimmed,
    expected,
    seen: { noseDown: 0.035, dropTimes: [1.7, 1.8, 1.6] },
    notes: 'First hang on the slip. A little quick; tail still carries a burr and a blob of paint.',
  },
  {
    id: 'log-2',
    rig: limpet.id,
    loadout: loadouts[0]!.id,
    when: '2026-06-15T08:05:00Z',
    values: trimmed,
    expected,
    seen: { noseDown: 0.005, leftSideDown: 0.01, dropTimes: [2.0, 2.1, 2.0] },
    notes: 'Tail dressed, fine screw two sixteenths back. Walked the wall twice: horizon stays put.',
  },
];
/** One more of each other family, started as a maker would, for the loadout it suits. */
const OTHERS = [
  {
    id: 'rig-y-winkle',
    name: 'Winkle',
    family: 'pipe-post',
    loadout: 'loadout-ebb',
    notes: 'Three pipes from the boat shed. The spare for when Limpet is out.',
  },
  {
    id: 'rig-y-cockle',
    name: 'Cockle',
    family: 'tube-frame',
    loadout: 'loadout-spring',
    notes: 'Soldered frame for the zoom and the light.',
  },
  {
    id: 'rig-y-dulse',
    name: 'Dulse',
    family: 'balance-arm',
    loadout: 'loadout-ebb',
    notes: 'Straight arm with slides, for trying things out.',
  },
  {
    id: 'rig-y-razor',
    name: 'Razor',
    family: 'boom',
    loadout: 'loadout-neap',
    notes: 'Crab cam out over the gullies.',
  },
  {
    id: 'rig-y-mussel',
    name: 'Mussel',
    family: 'hand-frame',
    loadout: 'loadout-slack',
    notes: 'One length of pipe, an evening, the phone.',
  },
  {
    id: 'rig-y-barnacle',
    name: 'Barnacle',
    family: 'plate-and-pillar',
    loadout: 'loadout-ebb',
    notes: 'Both hands, on the rocks.',
  },
  {
    id: 'rig-z-periwinkle',
    name: 'Periwinkle',
    family: 'sliding-top-handle',
    loadout: 'loadout-flood',
    notes: 'Rail on the body for the low shots; slides for the long lens.',
  },
  {
    id: 'rig-z-sandhopper',
    name: 'Sandhopper',
    family: 'self-filming-grip',
    loadout: 'loadout-neap',
    notes: 'Talking to the crab cam on the slip.',
  },
  {
    id: 'rig-z-driftwood',
    name: 'Driftwood',
    family: 'swivel-grip',
    loadout: 'loadout-ebb',
    notes: 'Two boards from the old hatch.',
  },
  {
    id: 'rig-z-cormorant',
    name: 'Cormorant',
    family: 'shoulder-rig',
    loadout: 'loadout-flood',
    notes: 'Long takes of the boats coming in.',
  },
  {
    id: 'rig-z-whirligig',
    name: 'Whirligig',
    family: 'helmet-pole',
    loadout: 'loadout-neap',
    notes: 'On the empty flats only, one watching.',
  },
  {
    id: 'rig-z-anemone',
    name: 'Anemone',
    family: 'three-axis-frame',
    loadout: 'loadout-ebb',
    notes: 'Through the wheelhouse door and down the ladder.',
  },
  {
    id: 'rig-z-sandeel',
    name: 'Sandeel',
    family: 'printed-phone-frame',
    loadout: 'loadout-slack',
    notes: 'Printed overnight; phone, light and small mic.',
  },
] as const;
/** Slots without a fine screw level less finely; a handle at the side always tips a little. */
const LOOSER: Readonly<Record<string, Partial<RigDocument['wants']>>> = {
  'rig-y-cockle': { levelWithin: 0.026, dropTime: [1.6, 2.4] },
  'rig-y-winkle': { wristAtMost: 3 },
};
const others = OTHERS.map(({ id, name, family: familyId, loadout: loadoutId, notes }) => {
  const loadout = loadouts.find((l) => l.id === loadoutId)!;
  const own = { ...wants, ...LOOSER[id] };
  const { design, values } = startRig(familyById(familyId)!, loadout, items, own);
  setups.push({ id: `setup-${id.slice(6)}`, rig: id, loadout: loadoutId, values: { ...values } });
  return {
    id,
    name,
    notes,
    wants: own,
    loadout: loadoutId,
    done: {},
    kerf: 0.0015,
    fastenersCounted: true,
    design,
  } satisfies RigDocument;
});
/** Three walks along the harbour wall with Limpet and three with the bare camera, as a phone’s gyroscope told them. */
const walks = ['limpet', 'bare'].flatMap((carried, way) =>
  [1, 2, 3].map((nth): Walk => {
    const draws = normalDraws(100 * way + nth);
    const [rate, seconds] = [100, 28];
    const peaks = way === 0 ? { tilt: 0.0036, pan: 0.0025, roll: 0.0062 } : { tilt: 0.021, pan: 0.016, roll: 0.013 };
    const pace = 1.82 + 0.03 * draws();
    const strength = Math.exp(0.12 * draws());
    const turning = (peak: number, first: number): Float64Array => {
      const phases = [draws(), draws(), draws()];
      return Float64Array.from({ length: rate * seconds }, (_, i) =>
        [first, 2 * first, 4.3 * first].reduce((sum, frequency, k) => {
          const w = 2 * Math.PI * frequency;
          return sum + ((strength * peak * w) / (1 + k) ** 2) * Math.cos((w * i) / rate + phases[k]!);
        }, 0.001 * draws()),
      );
    };
    const found = evenTurning({
      times: Float64Array.from({ length: rate * seconds }, (_, i) => i / rate),
      tilt: turning(peaks.tilt, pace),
      pan: turning(peaks.pan, pace / 2),
      roll: turning(peaks.roll, pace / 2),
    });
    const walk = found.ok ? walkOfGyro(found.even) : found;
    if (!walk.ok) throw new Error('no walk');
    const round = (x: number): number => Number(x.toPrecision(5));
    const rounded = (axis: WalkFigures['tilt']): WalkFigures['tilt'] => ({
      rms: round(axis.rms),
      peak: round(axis.peak),
      strongest: axis.strongest === null ? null : round(axis.strongest),
      bands: axis.bands.map(round),
    });
    return {
      id: `walk-${carried}-${nth}`,
      rig: carried === 'bare' ? null : 'rig-limpet',
      loadout: 'loadout-ebb',
      when: `2026-06-15T08:${15 + 20 * way + 5 * nth}:00Z`,
      path: 'harbour wall, 30 m, brisk',
      by: 'gyro',
      seconds: round(walk.figures.seconds),
      rate: round(walk.figures.rate),
      tilt: rounded(walk.figures.tilt),
      pan: rounded(walk.figures.pan),
      roll: rounded(walk.figures.roll),
      horizon: round(walk.figures.horizon),
      foretold: way === 0 ? { tilt: 0.0039, pan: 0.0024, roll: 0.0117 } : { tilt: 0.0234, pan: 0.02, roll: 0.0173 },
      view: { across: 0.4896, up: 0.3264 },
      notes: nth === 2 && way === 0 ? 'A gull landed before the lens; walked on.' : '',
    };
  }),
);
const bin: BinItem[] = [
  { id: 'bin-washers', name: 'M10 wide washer 30 mm', count: 12, lengths: [] },
  { id: 'bin-bar', name: 'aluminium flat 30 × 6', count: 0, lengths: [0.42] },
  { id: 'bin-screw', name: '1/4-20 camera screw', count: 3, lengths: [] },
];
for (const id of ['cut:bar', 'deburr:bar', 'mark:bar', 'bend:bar:1']) limpet.done[id] = true;
const of = (kind: string, list: readonly { id: string }[]) => list.map((body) => ({ kind, id: body.id, body }));
const documents = [
  ...of('kit', kit),
  ...of('loadout', loadouts),
  ...of('rig', [limpet, whelk, ...others]),
  ...of('setup', setups),
  ...of('log', log),
  ...of('bin', bin),
  ...of('walk', walks),
];
writeFileSync(
  new URL('../demo/tide-pools.json', import.meta.url),
  `${JSON.stringify({ format: 'tide-pebble-backup', version: 1, savedAt: '2026-06-15T09:00:00Z', documents }, null, 1)}\n`,
);
writeFileSync(
  new URL('../demo/limpet.rig.json', import.meta.url),
  `${JSON.stringify({ format: 'tide-pebble-rig', version: 1, rig: limpet, kit: kit.filter((k) => ['kit-heron', 'kit-24', 'kit-mic'].includes(k.id)), loadouts: [loadouts[0]], setups: setups.filter((s) => s.id === 'setup-limpet-ebb') }, null, 1)}\n`,
);
console.log(
  JSON.stringify(
    {
      trimmed,
      mass: evaluation.mass,
      added: evaluation.addedMass,
      expected,
      calm: hung.calm,
      spread: hung.spread,
      findings: findings.map((f) => f.code),
      dims: limpet.design.kind === 'family' && limpet.design.dimensions,
    },
    null,
    1,
  ),
);

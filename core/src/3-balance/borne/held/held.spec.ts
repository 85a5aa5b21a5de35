import * as fc from 'fast-check';
import {
  endurance,
  evaluate,
  firstToTire,
  handLoad,
  heldTurn,
  holdWords,
  supportOf,
  tipOver,
  twoHands,
  type Tires,
} from '../..';
import {
  inverse,
  METRIC,
  multiply,
  quaternionOfTurns,
  render,
  rotationOf,
  STANDARD_GRAVITY,
  type Mat3,
  type Vec3,
} from '../../../0-base';
import { flatBody, massCentre, sumsOf } from '../../../1-load';
import { assemble, familyById } from '../../../2-frame';
import { familyInput } from '../../../2-frame/family';
import { placeLoad } from '../../../1-load';
import { holdPlaces } from '../../../9-design/startRig';
import { THREE_LOADS } from '../../../testing/loads';
import { judge } from '../../judge';
import { balanceContext, figuresOf, wants } from '../../../testing/rigs';

const usual = (id: string) => {
  const family = familyById(id)!;
  return family.build(familyInput(family, {}, {}).input);
};

describe('a rig held in one hand', () => {
  it('a kilogram a tenth of a metre ahead tips the nose down by its weight times that', () => {
    const load = handLoad({ mass: 1, centre: [0.1, 0, 0.3], hand: [0, 0, 0] });
    expect(load.noseDown).toBeCloseTo(0.1 * STANDARD_GRAVITY, 12);
    expect(load.leftSideDown).toBeCloseTo(0, 12);
    expect(handLoad({ mass: 1, centre: [0, 0.1, 0], hand: [0, 0, 0] }).leftSideDown).toBeCloseTo(
      0.1 * STANDARD_GRAVITY,
      12,
    );
  });
  it('feels more the faster the hand starts, backwards on its mass centre', () => {
    expect(handLoad({ mass: 2, centre: [0, 0, 0.2], hand: [0, 0, 0], acceleration: [3, 0, 0] }).noseDown).toBeCloseTo(
      -2 * 3 * 0.2,
      12,
    );
  });
  it('raised nose up it tips less, by the cosine', () => {
    const attitude = rotationOf(quaternionOfTurns({ toTheLeft: 0, noseDown: -Math.PI / 3, leftSideDown: 0 }));
    expect(handLoad({ mass: 1, centre: [0.2, 0, 0], hand: [0, 0, 0], attitude }).noseDown).toBeCloseTo(
      0.1 * STANDARD_GRAVITY,
      12,
    );
  });
});

describe('two hands', () => {
  it('share by the lever, and hold up the weight between them whatever the turn', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        (x, lean) => {
          const attitude = rotationOf(quaternionOfTurns({ toTheLeft: 0, noseDown: lean, leftSideDown: 0 }));
          const shares = twoHands({
            mass: 3,
            centre: [x, 0, 0],
            hands: [
              [-0.2, 0, 0],
              [0.3, 0, 0],
            ],
            attitude,
          })!;
          expect(shares[0] + shares[1]).toBeCloseTo(3 * STANDARD_GRAVITY, 9);
          expect(shares[1]).toBeCloseTo((3 * STANDARD_GRAVITY * (x + 0.2)) / 0.5, 9);
        },
      ),
      { numRuns: 50, seed: 3 },
    );
  });
  it('one above the other cannot be told apart', () =>
    expect(
      twoHands({
        mass: 1,
        centre: [0, 0, 0],
        hands: [
          [0, 0, 0],
          [0, 0, 0.3],
        ],
      }),
    ).toBeNull());
});

describe('a boom held loosely', () => {
  it('turns by the hand’s acceleration over its equivalent pendulum', () => {
    const sums = sumsOf([
      flatBody({
        id: 'a',
        name: 'a',
        owner: 'a',
        shape: { kind: 'box', size: [0.02, 0.02, 0.02] },
        at: [0, 0, -0.5],
        mass: { value: 1 },
      }),
    ]);
    const about = 1 * 0.25 + (1 * (0.02 ** 2 + 0.02 ** 2)) / 12;
    expect(heldTurn({ sums, hand: [0, 0, 0], acceleration: [2, 0, 0] })[1]).toBeCloseTo((2 * 0.5) / about, 9);
    expect(massCentre(sums)[2]).toBe(-0.5);
  });
  it('needs an inertia that can be inverted', () => {
    const m: Mat3 = [
      [2, 1, 0],
      [1, 3, 0.5],
      [0, 0.5, 4],
    ];
    multiply(m, inverse(m))
      .flat()
      .forEach((x, i) => expect(x).toBeCloseTo(i % 4 === 0 ? 1 : 0, 12));
    expect(() =>
      inverse([
        [1, 2, 3],
        [2, 4, 6],
        [0, 0, 1],
      ]),
    ).toThrowError(/singular/);
  });
});

describe('endurance', () => {
  const minutes = (tires: Tires, share: number): number => {
    const holds = endurance(tires, share);
    return holds.kind === 'minutes' ? holds.usual : holds.kind === 'anHour' ? 60 : 0;
  };
  it('follows the measured curves, a range each time, and says where it goes beyond them', () => {
    // By hand: 14.9 s at all of it; at 0.3, 14.9 / 0.3^1.83 = 135 s; the grip's 33.6 / 0.3^1.61 = 233 s.
    expect(60 * minutes('shoulder', 0.3)).toBeCloseTo(134.9, 0);
    expect(60 * minutes('wrist', 0.3)).toBeCloseTo(233.4, 0);
    const half = endurance('shoulder', 0.5);
    expect(half.kind === 'minutes' && half.most / half.least).toBeCloseTo(4, 12);
    expect(half.kind === 'minutes' && half.measured).toBeTrue();
    const light = endurance('shoulder', 0.1);
    expect(light.kind === 'minutes' && light.measured).toBeFalse();
    for (const share of [1, 1.5, NaN]) expect(endurance('wrist', share).kind).toBe('tooMuch');
    expect(endurance('wrist', 0).kind).toBe('anHour');
  });
  it('has no cliff: a little more load takes a little time, from none to all of it', () => {
    for (const tires of ['wrist', 'shoulder', 'pad'] as const) {
      for (let share = 0.001; share < 0.998; share += 0.001) {
        const [before, after] = [minutes(tires, share), minutes(tires, share + 0.001)];
        expect(after).toBeLessThanOrEqual(before);
        expect(before - after).toBeLessThan(Math.max(0.02, 0.05 * before));
      }
    }
  });
  it('names what gives out first, which is not always what works hardest', () => {
    const loads = [
      { tires: 'wrist' as const, share: 0.25 },
      { tires: 'shoulder' as const, share: 0.22 },
    ];
    expect(firstToTire(loads).tires).toBe('shoulder');
    expect(firstToTire([...loads, { tires: 'pad', share: 1.2 }]).tires).toBe('pad');
    expect(firstToTire([{ tires: 'wrist', share: 0 }]).holds.kind).toBe('anHour');
  });
  it('is told in one way: not at all, minutes in one unit, an hour and more', () => {
    const told = (share: number): string =>
      render(holdWords({ tires: 'shoulder', holds: endurance('shoulder', share) }), METRIC);
    expect(told(1.1)).toBe('More than the shoulder can hold.');
    expect(told(0.3)).toBe('The shoulder gives out first, after roughly 1.1 min to 4 min.');
    expect(told(0.1)).toContain('further than was measured');
    expect(told(0.01)).toMatch(/^An hour and more: 1 %/);
  });
});

describe('set down on its feet', () => {
  const square: readonly Vec3[] = [
    [0.1, 0.1, 0],
    [-0.1, 0.1, 0],
    [-0.1, -0.1, 0],
    [0.1, -0.1, 0],
  ];
  it('tips over the nearest edge', () => {
    const outcome = tipOver([0.05, 0, 0.5], square);
    if (outcome.kind !== 'stands') return fail('it stands');
    expect(outcome.tip.leastTilt).toBeCloseTo(Math.atan(0.05 / 0.5), 12);
    expect(outcome.tip.towards[0]).toBeCloseTo(1, 12);
    expect(outcome.tip.leastPush(2, 1)).toBeCloseTo(2 * STANDARD_GRAVITY * 0.05, 12);
  });
  it('falls by itself with its mass centre outside, and two feet are no base', () => {
    const out = tipOver([0.2, 0, 0.5], square);
    expect(out.kind === 'stands' && out.tip.standsAlone).toBeFalse();
    expect(tipOver([0, 0, 1], square.slice(0, 2)).kind).toBe('noBase');
    expect(
      tipOver(
        [0, 0, 1],
        [
          [0, 0, 0],
          [0.1, 0, 0],
          [0.2, 0, 0],
        ],
      ).kind,
    ).toBe('noBase');
  });
});

describe('what bears a rig', () => {
  it('is the joint it hangs on, or the hands of its first pose', () => {
    expect(supportOf(usual('tube-frame'))!.kind).toBe('pivot');
    expect(supportOf(usual('boom'))!.kind).toBe('hands');
  });
  it('a boom held off its mark tips the wrist; the finding moves the mark, and it is gone', () => {
    const assembly = assemble(usual('boom'), null);
    const off = balanceContext(assembly, { 'hold-mark': -0.2 }, { ...wants, wristAtMost: 0.3 });
    const finding = judge(off).find((f) => f.code === 'wristNose')!;
    expect(render(finding.why, METRIC)).toContain('ahead of the hand');
    const values = { 'hold-mark': -0.2, ...figuresOf(finding.fixes[0]!.changes) };
    expect(judge(balanceContext(assembly, values, { ...wants, wristAtMost: 0.3 })).map((f) => f.code)).not.toContain(
      'wristNose',
    );
    expect(Math.abs(evaluate(assembly, values).fromSupport![0])).toBeLessThan(0.001);
  });
  it('tells where each loadout lies over the hand, and that it then does', () => {
    const rig = usual('boom');
    const [phone, action] = THREE_LOADS;
    const kit = new Map([...phone!.kit, ...action!.kit]);
    const found = holdPlaces(rig, [phone!.loadout, action!.loadout], kit)!;
    const places = found.at({});
    expect(found.adjuster.id).toBe('hold-mark');
    for (const place of places) {
      const load = placeLoad([phone!, action!].find((l) => l.loadout.id === place.loadout)!.loadout, kit);
      if (place.reaches)
        expect(evaluate(assemble(rig, load), { 'hold-mark': place.value }).fromSupport![0]).toBeCloseTo(0, 6);
    }
    expect(places[0]!.value).toBeGreaterThan(places[1]!.value);
    const platform = holdPlaces(usual('tube-frame'), [phone!.loadout], kit)!;
    expect(platform.adjuster.id).toBe('deck-fore-aft');
    expect(holdPlaces(usual('pipe-post'), [], kit)).toBeNull();
  });
  it('weight out on the arm tells how long, and that people differ', () => {
    const rig = usual('pipe-post');
    const heavy = {
      ...rig,
      bodies: rig.bodies.map((b) => ({
        ...b,
        stations: b.stations.map((s) => ({ ...s, count: s.id === 'discs' ? 3 : 0 })),
      })),
    };
    const finding = judge(balanceContext(assemble(heavy, null))).find((f) => f.code === 'holdTime')!;
    expect(render(finding.why, METRIC)).toContain('people differ twofold');
  });
});

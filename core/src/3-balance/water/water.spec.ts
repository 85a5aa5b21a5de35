import * as fc from 'fast-check';
import { METRIC, render, type Vec3 } from '../../0-base';
import { assemble, placedPieces } from '../../2-frame';
import { pipework } from '../../2-frame/fittings/pipework';
import { pipeOf } from '../../2-frame/parts/pipes';
import type { Hold, Part, Rig } from '../../model';
import { holds } from '../../testing/holds';
import { partOf, rigOf } from '../../testing/partsRig';
import { inWater, WATERS, type InWater, type Water } from './inWater';
import { waterWords } from './waterWords';

const block = (id: string, size: Vec3, at: Vec3, mass: number): Part =>
  partOf(id, { kind: 'box', size }, at, { mass: { value: mass } });
const found = (rig: Rig, water: Water = 'fresh'): InWater => {
  const pieces = placedPieces(assemble(rig, null), {});
  const mass = pieces.reduce((sum, p) => sum + p.flat.mass, 0);
  const at = [0, 1, 2].map((k) => pieces.reduce((sum, p) => sum + p.flat.mass * p.flat.centre[k]!, 0) / mass);
  return inWater(rig, pieces, { at: at as unknown as Vec3, mass }, water);
};
const litre: Vec3 = [0.1, 0.1, 0.1];

describe('a rig in water', () => {
  it('floats by what it pushes aside less what it weighs, higher in salt water', () => {
    const { lift, stands, displaced } = found(rigOf([block('cork', litre, [0, 0, 0], 0.6)]));
    expect(displaced).toBeCloseTo(0.001, 12);
    expect(lift).toBeCloseTo(0.399, 9);
    expect(stands).toBeCloseTo(1 - 0.6 / 0.999, 9);
    expect(found(rigOf([block('cork', litre, [0, 0, 0], 0.6)]), 'sea').lift).toBeCloseTo(WATERS.sea / 1000 - 0.6, 9);
  });

  it('sinks when heavier, and as much foam as is told then floats it with a tenth to spare', () => {
    holds(
      fc.property(
        fc.double({ min: 1.2, max: 9, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        (mass, side) => {
          const { lift, foam, stands } = found(rigOf([block('iron', [side, 0.1, 0.1], [0, 0, 0], mass)]));
          if (lift > 0) return stands !== null;
          const pushed = WATERS.fresh * (side * 0.01 + foam);
          return stands === null && Math.abs(pushed - 1.1 * (mass + 35 * foam)) < 1e-9;
        },
      ),
      { seed: 71, numRuns: 200 },
    );
  });

  it('turns until its lift is over its weight: a heavy nose goes down, a weight below keeps it upright', () => {
    const cork = block('cork', litre, [0, 0, 0], 0.1);
    const lead = (at: Vec3): Part => block('lead', [0.01, 0.01, 0.01], at, 0.5);
    const nose = found(rigOf([cork, lead([0.2, 0, 0])])).turns!;
    expect(nose.noseDown).toBeGreaterThan(1.4);
    expect(Math.abs(nose.leftSideDown)).toBeLessThan(1e-9);
    const left = found(rigOf([cork, lead([0, 0.2, -0.2])])).turns!;
    expect(left.leftSideDown).toBeCloseTo(Math.PI / 4, 1);
    expect(found(rigOf([cork, lead([0, 0, -0.2])])).turns!.by).toBeCloseTo(0, 6);
    const over = found(rigOf([cork, lead([0, 0, 0.2])]));
    expect(over.turns!.by).toBeCloseTo(Math.PI, 6);
    expect(
      waterWords(over, 'fresh', rigOf([])).more.some((m) => render(m.text, METRIC).includes('turns over')),
    ).toBeTrue();
    expect(found(rigOf([cork])).turns).toBeNull();
  });

  const pipes = (hold: Hold, isBare: boolean): Rig => {
    const { system, size } = pipeOf('pvc/1/2');
    const made = pipework({
      pipe: { system: { ...system, hold }, size },
      start: { node: 'a', at: [0, 0, 0] },
      runs: [{ id: 'post', name: 'post', from: 'a', to: 'b', direction: [0, 0, -1], cut: 0.3 }],
      ...(isBare ? { bare: ['a'] } : {}),
    });
    return rigOf([], { nodes: [...made.nodes], members: [...made.members], joints: [...made.joints] });
  };
  it('keeps the air of what is glued shut, fills what is open, and says where water stays', () => {
    const [shut, open, pressed] = [
      found(pipes('glued', false)),
      found(pipes('glued', true)),
      found(pipes('pressed', false)),
    ];
    expect(shut.hollows.map((h) => [h.isClosed, h.keepsAt])).toEqual([[true, null]]);
    expect(shut.lift).toBeGreaterThan(open.lift + 0.8 * WATERS.fresh * shut.hollows[0]!.room);
    expect(open.hollows.map((h) => [h.isClosed, h.keepsAt])).toEqual([[false, 'post']]);
    expect(pressed.hollows.map((h) => h.isClosed)).toEqual([false]);
    const words = waterWords(open, 'fresh', pipes('glued', true)).more.map((m) => render(m.text, METRIC));
    expect(words.some((w) => w.startsWith('The post keeps water'))).toBeTrue();
  });

  it('says neither where it cannot know', () => {
    const even = waterWords(found(rigOf([block('even', litre, [0, 0, 0], 0.999)])), 'fresh', rigOf([]));
    expect(render(even.verdict!, METRIC)).toContain('not known');
    const flat = { ...found(rigOf([block('cork', litre, [0, 0, 0], 0.6)])), withoutSize: ['bag of sand'] };
    const told = waterWords(flat, 'sea', rigOf([]));
    expect(told.verdict).toBeNull();
    expect(render(told.more[0]!.text, METRIC)).toContain('bag of sand has no size');
  });
});

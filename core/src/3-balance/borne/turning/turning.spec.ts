import { balancedAxes, axesIn, evaluate, judge, quickBalance } from '../..';
import { METRIC, render } from '../../../0-base';
import { placeLoad } from '../../../1-load';
import {
  assemble,
  changedDesign,
  designRig,
  familyById,
  FRAME_CHECKS,
  placedPieces,
  USUAL_HANDS,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
} from '../../../2-frame';
import { startRig } from '../../../9-design/startRig';
import { THREE_LOADS } from '../../../testing/loads';
import { balanceContext, frameContext, wants } from '../../../testing/rigs';

function started(
  family: string,
  load = 1,
): {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly design: ReturnType<typeof startRig>['design'];
} {
  const { loadout, kit } = THREE_LOADS[load]!;
  const start = startRig(familyById(family)!, loadout, kit, wants);
  const made = designRig(start.design);
  if (!made.ok) throw new Error(made.reason);
  return { assembly: assemble(made.rig, placeLoad(loadout, kit)), values: start.values, design: start.design };
}
const changed = (design: ReturnType<typeof startRig>['design'], id: string, value: number): Assembly => {
  const { loadout, kit } = THREE_LOADS[1]!;
  const made = designRig(changedDesign(design, [{ kind: 'dimension', id, value }], () => 'e'));
  if (!made.ok) throw new Error(made.reason);
  return assemble(made.rig, placeLoad(loadout, kit));
};
const codes = (assembly: Assembly, values: AdjusterValues): readonly string[] =>
  judge(balanceContext(assembly, values)).map((f) => f.code);

describe('three axes, one inside the other', () => {
  it('start balanced: what is left is hidden by friction on each, and nothing strikes', () => {
    for (const load of [0, 1, 2]) {
      const { assembly, values } = started('three-axis-frame', load);
      const { axes } = evaluate(assembly, values);
      expect(axes.map((a) => a.pivot.id)).toEqual(['tilt', 'roll', 'pan']);
      for (const axis of axes)
        expect(axis.residual).withContext(`${load} ${axis.pivot.id}`).toBeLessThanOrEqual(axis.friction);
      expect(FRAME_CHECKS.flatMap((c) => c.look(frameContext(assembly, values))).map((f) => f.code)).not.toContain(
        'sweptClear',
      );
    }
  });

  it('moved out, each axis that is off is told with its torque, and one change sets all slides from the inside out', () => {
    const { assembly, values } = started('three-axis-frame');
    const off = { ...values, 'camera-fore-aft': 0.02, 'pan-fore-aft': -0.03 };
    const told = judge(balanceContext(assembly, off)).filter((f) => f.code === 'axisOffBalance');
    expect(told.map((f) => f.about)).toContain('tilt');
    const fixes = told.flatMap((f) => f.fixes);
    expect(fixes.length).toBe(1);
    const set = Object.fromEntries(fixes[0]!.changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : [])));
    expect(codes(assembly, { ...off, ...set })).not.toContain('axisOffBalance');
  });

  it('slides short of travel go as far as they reach, and the rest is told', () => {
    const { assembly, design } = started('three-axis-frame');
    const forward = changed(design, 'cameraForward', 0.09);
    const read = (v: AdjusterValues) => axesIn(forward, valuesInOrder(forward.rig, v), placedPieces(forward, v));
    const set = balancedAxes(forward, {}, read);
    for (const a of assembly.rig.adjusters) {
      const value = set[a.id] ?? a.value;
      expect(value).toBeGreaterThanOrEqual(a.range[0] - 1e-12);
      expect(value).toBeLessThanOrEqual(a.range[1] + 1e-12);
    }
    const told = judge(balanceContext(forward, set)).find((f) => f.code === 'axisOffBalance' && f.about === 'tilt')!;
    expect(render(told.toDo, METRIC)).toContain('slides alone leave');
  });

  it('an arm too near is struck, and told by how much', () => {
    const { design, values } = started('three-axis-frame');
    const low = changed(design, 'high', 0.07);
    const told = FRAME_CHECKS.flatMap((c) => c.look(frameContext(low, values))).filter((f) => f.code === 'sweptClear');
    expect(told.length).toBeGreaterThan(0);
    expect(render(told[0]!.title, METRIC)).toContain('roll axis');
  });
});

describe('a pole on a helmet', () => {
  it('starts level, rests by itself, and pulls on nothing', () => {
    const { assembly, values } = started('helmet-pole');
    const { pole, held } = evaluate(assembly, values);
    expect(held).toEqual([]);
    expect(Math.abs(pole!.rest.droop!)).toBeLessThan(0.03);
    expect(pole!.rest.onStop).toBeNull();
    expect(pole!.spun.map((s) => Math.round((s.rate / Math.PI) * 10) / 10)).toEqual([1, 2, 3]);
    expect(codes(assembly, values)).not.toContain('poleDroops');
  });

  it('out of balance it droops; the finding slides the camera, and it is gone', () => {
    const { assembly, values } = started('helmet-pole');
    const off = { ...values, 'camera-along': -0.09 };
    const told = judge(balanceContext(assembly, off)).find((f) => f.code === 'poleDroops')!;
    expect(told.figure!.value).toBeGreaterThan(0.3);
    const set = Object.fromEntries(
      told.fixes[0]!.changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : [])),
    );
    expect(codes(assembly, { ...off, ...set })).not.toContain('poleDroops');
    expect(quickBalance(assembly)!.at({ ...off, ...set }).fromPivot[0]).toBeCloseTo(0, 3);
  });

  it('with the hinge under its mass centre it lies on a stop, and the raise is told', () => {
    const { design, values } = started('helmet-pole');
    const sunk = changed(design, 'hingeAbove', 0);
    const { pole } = evaluate(sunk, { ...values, 'tail-count': 0 }, USUAL_HANDS);
    expect(pole!.rest.onStop === 'down' || Math.abs(pole!.rest.droop!) > 0.3).toBeTrue();
    expect(codes(sunk, { ...values, 'tail-count': 0 })).toContain('poleDroops');
  });

  it('a mount that holds too hard, or a spin that pulls it off, stops the work', () => {
    const { assembly, values } = started('helmet-pole');
    const held = (force: number | undefined): Assembly => ({
      ...assembly,
      rig: {
        ...assembly.rig,
        pivots: assembly.rig.pivots.map((p) =>
          p.kind !== 'swivel'
            ? p
            : force === undefined
              ? (({ breaksAwayAt: _gone, ...rest }) => rest)(p)
              : { ...p, breaksAwayAt: force },
        ),
      },
    });
    expect(codes(held(90), values)).toContain('letsGoTooLate');
    expect(codes(held(undefined), values)).toContain('mountMustLetGo');
    expect(codes(held(3), { ...values, 'camera-along': -0.12, 'tail-count': 0 })).toContain('fliesOff');
  });
});

describe('a clamp that holds by friction', () => {
  it('holds the load it was sized for, and slips laid over when it is only lightly tightened', () => {
    const { assembly, values, design } = started('swivel-grip', 2 - 1);
    expect(codes(assembly, values)).not.toContain('clampSlips');
    const { loadout, kit } = THREE_LOADS[2]!;
    const made = designRig({
      ...design,
      dimensions: { ...design.dimensions, plateAbove: { value: 0.08 }, tilt: { value: 1.2 }, face: { value: 0.016 } },
      choices: { ...design.choices, tight: 'light', facing: 'bare' },
    });
    if (!made.ok) return fail(made.reason);
    const weak = assemble(made.rig, placeLoad(loadout, kit));
    const told = judge(balanceContext(weak, {})).find((f) => f.code === 'clampSlips')!;
    expect(told.severity).toBe('stop');
    const unknown: Assembly = {
      ...weak,
      rig: { ...weak.rig, pivots: weak.rig.pivots.map(({ frictionTorque: _f, ...p }) => p) },
    };
    expect(codes(unknown, {})).toContain('clampNotKnown');
  });
});

import { METRIC, render } from '../0-base';
import { barPlans, stockPlan } from '../5-stock';
import type { Rig } from '../model';
import { bentBar, plainRig, usual } from '../testing/rigs';
import { barTemplate, buildSteps, orderSteps, type BuildStep } from '.';
import { STEP_MAKERS } from './steps';

const stepsOf = (rig: Rig): readonly BuildStep[] => {
  const ordered = buildSteps(rig, stockPlan(rig, {}, [], 0.002));
  return ordered.kind === 'ordered' ? ordered.steps : [];
};

describe('build steps', () => {
  const steps = stepsOf(bentBar.build(usual));
  const at = (id: string): number => {
    const index = steps.findIndex((s) => s.id === id);
    expect(index).withContext(id).toBeGreaterThanOrEqual(0);
    return index;
  };

  it('start nothing before its needs, for any rig', () => {
    expect(STEP_MAKERS.length).toBeGreaterThanOrEqual(7);
    for (const rig of [bentBar.build(usual), bentBar.build({ ...usual, dimensions: { ...usual.dimensions, leftLong: 0 } }), plainRig]) {
      const done = new Set<string>();
      const all = stepsOf(rig);
      const known = new Set(all.map((s) => s.id));
      for (const step of all) {
        expect(step.needs.filter((n) => known.has(n) && !done.has(n))).withContext(step.id).toEqual([]);
        done.add(step.id);
      }
      expect(known.size).toBe(all.length);
    }
  });

  it('bend before drilling, small bit first, the foot’s hole on the hanging rig, the tail last of the bar', () => {
    expect(at('bend:bar:1')).toBeLessThan(at('pilot:hole-rear'));
    expect(at('pilot:hole-rear')).toBeLessThan(at('drill:hole-rear'));
    expect(at('hang:joint')).toBeLessThan(at('plumb:hole-foot'));
    expect(at('drill:hole-foot')).toBeLessThan(at('tail:bar'));
    expect(at('tail:bar')).toBeLessThan(at('balance'));
  });

  it('carry figures, checks and cautions of this very rig', () => {
    const words = (id: string): string => {
      const step = steps[at(id)]!;
      return [step.title, ...step.figures, step.check].map((p) => render(p, METRIC)).join(' ') + (step.caution ?? '');
    };
    expect(words('cut:bar')).toContain(render([{ kind: 'length', value: barPlans(bentBar.build(usual))[0]!.blank, decimals: 1 }], METRIC));
    expect(words('bend:bar:1')).toContain('former');
    expect(words('drill:hole-rear')).toContain('10.5 mm');
    expect(words('pilot:hole-rear')).toContain('Glasses on');
    expect(steps.every((s) => s.check.length > 0 && s.tool.length > 0)).toBeTrue();
    const longer = bentBar.build({ ...usual, dimensions: { ...usual.dimensions, tail: 0.2 } });
    expect(render(stepsOf(longer)[0]!.figures[0]!, METRIC)).not.toBe(render(steps[0]!.figures[0]!, METRIC));
  });

  it('that wait for each other are told, not looped over', () => {
    const [a] = steps;
    const loop = orderSteps([{ ...a!, id: 'a', needs: ['b'] }, { ...a!, id: 'b', needs: ['a'] }]);
    expect(loop).toEqual({ kind: 'loop', ids: ['a', 'b'] });
  });
});

describe('the bar’s sheet', () => {
  it('keeps figures of one row apart and on the sheet', () => {
    const [bar] = barPlans(bentBar.build(usual));
    const room = 0.06;
    const sheet = barTemplate(bar!, room);
    for (const row of ['above', 'below'] as const) {
      const labels = sheet.marks.filter((m) => m.row === row).map((m) => m.labelAt).sort((a, b) => a - b);
      labels.slice(1).forEach((l, i) => expect(l - labels[i]!).toBeGreaterThanOrEqual(room - 1e-9));
      expect(Math.max(...labels)).toBeLessThanOrEqual(sheet.length + 1e-9);
    }
  });
});

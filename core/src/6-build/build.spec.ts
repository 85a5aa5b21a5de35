import * as fc from 'fast-check';
import { METRIC, render } from '../0-base';
import { assemble, changedDesign, FAMILIES, USUAL_HANDS, withHardware, withoutHardware } from '../2-frame';
import { barPlans } from '../5-stock';
import type { Joint, Member, Rig } from '../model';
import { holds } from '../testing/holds';
import { bentBar, plainRig, usual } from '../testing/rigs';
import { barTemplate, buildOrder, buildSteps, orderSteps, type BuildStep } from '.';
import { STEP_MAKERS } from './steps';

const stepsOf = (rig: Rig): readonly BuildStep[] => {
  const ordered = buildSteps(rig, {}, buildOrder(assemble(rig, null), {}));
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
    for (const rig of [
      bentBar.build(usual),
      bentBar.build({ ...usual, dimensions: { ...usual.dimensions, leftLong: 0 } }),
      plainRig,
    ]) {
      const done = new Set<string>();
      const all = stepsOf(rig);
      const known = new Set(all.map((s) => s.id));
      for (const step of all) {
        expect(step.needs.filter((n) => known.has(n) && !done.has(n)))
          .withContext(step.id)
          .toEqual([]);
        done.add(step.id);
      }
      expect(known.size).toBe(all.length);
    }
  });

  it('put on the washers that are set, and none where none are', () => {
    const rig = bentBar.build(usual);
    const handled = (count: number): boolean => {
      const ordered = buildSteps(
        rig,
        { 'rear-count': count },
        buildOrder(assemble(rig, null), { 'rear-count': count }),
      );
      const steps = ordered.kind === 'ordered' ? ordered.steps : [];
      return steps.some(
        (s) => render(s.title, METRIC).includes('M10 wide washer 30 mm') && s.does?.includes('rear-bolt'),
      );
    };
    expect([handled(0), handled(3)]).toEqual([false, true]);
  });

  it('bend before drilling, small bit first, the foot’s hole on the hanging rig, the tail last of the bar', () => {
    expect(at('bend:bar:1')).toBeLessThan(at('pilot:bar/hole/rear-bolt'));
    expect(at('pilot:bar/hole/rear-bolt')).toBeLessThan(at('drill:bar/hole/rear-bolt'));
    expect(at('connect:joint-turns')).toBeLessThan(at('plumb:bar/hole/foot-bolt'));
    expect(at('drill:bar/hole/foot-bolt')).toBeLessThan(at('tail:bar'));
    expect(at('tail:bar')).toBeLessThan(at('balance'));
  });

  it('of what does not hang send nobody to a hanging rig, on the cut drawing either', () => {
    for (const family of FAMILIES) {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const hangs = rig.pivots.some((p) => p.kind === 'universal');
      const words = [
        ...stepsOf(rig).map((step) =>
          [step.title, ...step.figures, step.check]
            .map((w) => render(w, METRIC))
            .join(' ')
            .concat(step.caution ?? ''),
        ),
        ...barPlans(rig).flatMap((bar) => bar.marks.map((m) => m.when)),
      ].join('\n');
      if (!hangs)
        expect(words)
          .withContext(family.id)
          .not.toMatch(/hang(?:s|ing)? |below the pivot|shin height|tail of/i);
    }
  });

  it('carry figures, checks and cautions of this very rig', () => {
    const words = (id: string): string => {
      const step = steps[at(id)]!;
      return [step.title, ...step.figures, step.check].map((p) => render(p, METRIC)).join(' ') + (step.caution ?? '');
    };
    expect(words('cut:bar')).toContain(
      render([{ kind: 'length', value: barPlans(bentBar.build(usual))[0]!.blank, decimals: 1 }], METRIC),
    );
    expect(words('bend:bar:1')).toContain('former');
    expect(words('drill:bar/hole/rear-bolt')).toContain('11 mm');
    expect(words('pilot:bar/hole/rear-bolt')).toContain('Glasses on');
    expect(steps.every((s) => s.check.length > 0 && s.tool.length > 0)).toBeTrue();
    const longer = bentBar.build({ ...usual, dimensions: { ...usual.dimensions, tail: 0.2 } });
    expect(render(stepsOf(longer)[0]!.figures[0]!, METRIC)).not.toBe(render(steps[0]!.figures[0]!, METRIC));
  });

  it('that wait for each other are told, not looped over', () => {
    const [a] = steps;
    const loop = orderSteps([
      { ...a!, id: 'a', needs: ['b'] },
      { ...a!, id: 'b', needs: ['a'] },
    ]);
    expect(loop).toEqual({ kind: 'loop', ids: ['a', 'b'] });
  });
});

describe('the bar’s sheet', () => {
  it('keeps figures of one row apart and on the sheet', () => {
    const [bar] = barPlans(bentBar.build(usual));
    const room = 0.06;
    const sheet = barTemplate(bar!, room);
    for (const row of ['above', 'below'] as const) {
      const labels = sheet.marks
        .filter((m) => m.row === row)
        .map((m) => m.labelAt)
        .sort((a, b) => a - b);
      labels.slice(1).forEach((l, i) => expect(l - labels[i]!).toBeGreaterThanOrEqual(room - 1e-9));
      expect(Math.max(...labels)).toBeLessThanOrEqual(sheet.length + 1e-9);
    }
  });
  it('keeps them apart for any marks, however close, while the bar has room for them', () => {
    const mark = fc.record({ along: fc.integer({ min: 0, max: 1000 }), isHole: fc.boolean() });
    holds(
      fc.property(fc.array(mark, { maxLength: 12 }), fc.integer({ min: 10, max: 80 }), (list, mm) => {
        const marks = [...list]
          .sort((a, b) => a.along - b.along)
          .map(({ along, isHole }, i) => ({
            id: `m${i}`,
            name: `m${i}`,
            kind: isHole ? ('hole' as const) : ('bendStart' as const),
            along: along / 1000,
            diameter: isHole ? 0.006 : null,
            last: false,
          }));
        const [bar] = barPlans(bentBar.build(usual));
        const sheet = barTemplate(
          { ...bar!, blank: 1, marks: marks as unknown as NonNullable<typeof bar>['marks'] },
          mm / 1000,
        );
        return (['above', 'below'] as const).every((row) => {
          const labels = sheet.marks.filter((m) => m.row === row).map((m) => m.labelAt);
          // Nothing lost, in order, apart, and on the sheet where there is room for all.
          const apart = labels.slice(1).every((l, i) => l - labels[i]! >= mm / 1000 - 1e-9);
          return (
            labels.length === marks.filter((m) => (m.kind === 'hole') === (row === 'above')).length &&
            apart &&
            ((labels.length - 1) * mm > 1000 || labels.every((l) => l <= 1 + 1e-9))
          );
        });
      }),
      { seed: 5, numRuns: 300 },
    );
  });
});

describe('steps of joints', () => {
  const member = (id: string, from: string, to: string, more: Partial<Member> = {}): Member => ({
    id,
    name: id,
    from,
    to,
    stock: bentBar.build(usual).bodies[1]!.members[0]!.stock,
    path: { kind: 'straight', widthDirection: [0, 0, 1] },
    leftLong: 0,
    holes: [],
    ...more,
  });
  const rigWith = (
    joint: Partial<Joint>,
    members: readonly Member[] = [member('left', 'a', 'b'), member('right', 'b', 'c')],
  ): Rig => ({
    bodies: [
      {
        id: 'body',
        name: 'frame',
        nodes: [
          { id: 'a', at: [0, 0, 0] },
          { id: 'b', at: [0.2, 0, 0] },
          { id: 'c', at: [0.2, 0.2, 0] },
        ],
        members: [...members],
        joints: [
          {
            id: 'j',
            name: 'elbow',
            node: 'b',
            fitting: 'boltThrough',
            joins: ['left', 'right'],
            reversible: true,
            ...joint,
          },
        ],
        parts: [],
        stations: [],
      },
    ],
    pivots: [],
    contacts: [],
    poses: [],
    adjusters: [],
  });
  const step = (rig: Rig, id: string): BuildStep | undefined => stepsOf(rig).find((s) => s.id === id);

  it('that can be undone are fastened and tried; nothing waits for them to set', () => {
    const made = step(rigWith({}), 'connect:j')!;
    expect([made.final, made.dries]).toEqual([false, undefined]);
    expect(render(made.title, METRIC)).toBe('Fasten the right to the left');
    expect(render(made.check, METRIC)).toContain('does not turn or rock');
    expect(step(rigWith({}), 'dryfit:body')).toBeUndefined();
  });
  it('that set are put together dry first, marked, and left their time; a time of their own counts before the usual', () => {
    const rig = rigWith({ hold: 'glued', reversible: false });
    const made = step(rig, 'connect:j')!;
    expect([made.final, made.dries]).toEqual([true, 7200]);
    expect(made.needs).toContain('dryfit:body');
    expect(render(made.title, METRIC)).toBe('Cement the elbow on the left and right');
    expect(render(made.check, METRIC)).toContain('cannot be turned once it has set');
    expect(made.caution).toContain('gloves');
    const order = stepsOf(rig).map((s) => s.id);
    expect(order.indexOf('dryfit:body')).toBeLessThan(order.indexOf('connect:j'));
    expect(step(rigWith({ hold: 'glued', reversible: false, dryingTime: 600 }), 'connect:j')!.dries).toBe(600);
  });
  it('drill a pair clamped together in one pass, and one alone by its own measure', () => {
    const hole = { id: 'h', name: 'bolt', along: 0.05, across: 0, diameter: 0.0065, afterBending: false };
    const pair = rigWith({}, [
      member('left', 'a', 'b', { twin: 'right', holes: [hole] }),
      member('right', 'b', 'c', { twin: 'left' }),
    ]);
    expect(render(step(pair, 'pilot:h')!.check, METRIC)).toContain('Clamped to the right');
    const alone = rigWith({}, [member('left', 'a', 'b', { holes: [hole] }), member('right', 'b', 'c')]);
    expect(
      step(alone, 'pilot:h')!
        .figures.slice(1)
        .map((f) => render(f, METRIC)),
    ).toEqual(['in the middle of the width', 'pilot 2 mm']);
    expect(render(step(alone, 'pilot:h')!.check, METRIC)).toContain('measured from both edges');
    expect(render(step(alone, 'drill:h')!.figures[0]!, METRIC)).toContain('6.5 mm');
  });
});

describe('the build of a rig with a weight carried away', () => {
  it('cuts the strip, drills its two holes, puts the weight on and bolts it on', () => {
    const rig = withoutHardware(bentBar.build(usual));
    const foot = rig.bodies[1]!.stations.find((s) => s.id === 'foot')!;
    const weight = {
      id: foot.id,
      name: foot.name,
      seat: foot.seat,
      axis: foot.axis,
      boltDiameter: foot.boltDiameter,
      washerRadius: foot.washer.outerRadius,
    };
    let n = 0;
    const carried = changedDesign(
      { kind: 'free', rig },
      [
        {
          kind: 'carry',
          id: foot.id,
          body: 'sled',
          onto: 'bar',
          by: [-0.12, 0, 0],
          again: false,
          stated: true,
          weight,
        },
      ],
      () => `n${++n}`,
    );
    if (carried.kind !== 'free') return fail(carried.kind);
    const order = stepsOf(withHardware(carried.rig)).map((s) => s.id);
    const places = [
      'cut:outrigger-foot',
      'deburr:outrigger-foot',
      'drill:outrigger-foot/hole/foot-bolt',
      'drill:outrigger-foot/hole/outrigger-foot-bolt',
      'connect:outrigger-foot-bolt',
      'connect:foot-bolt',
    ].map((id) => order.indexOf(id));
    expect(places.every((p) => p >= 0))
      .withContext(order.join(' '))
      .toBeTrue();
    expect([...places].sort((a, b) => a - b)).toEqual(places);
  });
});

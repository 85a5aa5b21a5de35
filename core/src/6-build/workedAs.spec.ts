import { MATERIALS, METRIC, render } from '../0-base';
import { assemble, FAMILIES, USUAL_HANDS } from '../2-frame';
import type { Rig } from '../model';
import { buildSteps, inStatedOrder, type BuildStep } from '.';
import { workedAs } from './workedAs';

const all = FAMILIES.flatMap((family) => {
  const sized = family.size(null, USUAL_HANDS);
  const rigs = [
    sized,
    ...family.choices.flatMap((c) => c.options.map((o) => ({ ...sized, choices: { ...sized.choices, [c.id]: o.id } }))),
  ].map((input) => family.build(input));
  return rigs.map((rig) => ({ family: family.id, rig }));
});
const stepsOf = (rig: Rig): readonly BuildStep[] => {
  const ordered = buildSteps(rig, {}, inStatedOrder(assemble(rig, null), {}));
  return ordered.kind === 'ordered' ? ordered.steps : [];
};
/** Words that belong to one material alone, and where they may stand. */
const METALS = ['steel', 'malleableIron', 'aluminium', 'brass', 'copper', 'lead'];
const ONLY: readonly (readonly [RegExp, readonly string[]])[] = [
  [/^hacksaw, vise/, [...METALS, 'carbonEpoxy']],
  [/mitre saw|breaks? out/, ['birchPly', 'oak', 'pine']],
  [/cutting oil|centre punch|nothing catches/, METALS],
  [/spirit/, ['aluminium']],
  [/mask and gloves|never blow/, ['carbonEpoxy']],
  [/pushes the glue away|what melts|heat smears/, ['pvc', 'cpvc', 'polyethylene', 'pla', 'petg']],
  [/coping saw, rasp|[Ss]and.*grain|wood oil|splinter/, ['birchPly', 'oak', 'pine', 'carbonEpoxy']],
  [/wheel on the line/, ['copper']],
  [/no fibre lifts/, ['carbonEpoxy']],
];

describe('the words of a step that cuts or drills', () => {
  it('are those of its piece’s material, in every family with every choice', () => {
    let read = 0;
    const wrong = new Set<string>();
    for (const { family, rig } of all) {
      const materials = new Map<string, string | undefined>(
        rig.bodies.flatMap((b) => [
          ...b.members.map((m) => [m.id, m.stock.material] as const),
          ...b.parts.map((p) => [p.id, p.material] as const),
          ...b.joints.map((j) => [j.id, j.hub?.material] as const),
        ]),
      );
      for (const step of stepsOf(rig)) {
        if (!/^(cut|deburr|pilot|drill|tail|shape|finish)/.test(step.id)) continue;
        const material = materials.get(step.about);
        if (!material || !(material in MATERIALS)) continue;
        read++;
        const words = [
          step.tool,
          ...[...step.figures, ...(step.moves ?? []), step.check].map((w) => render(w, METRIC)),
          step.caution ?? '',
        ];
        for (const [word, ofThese] of ONLY)
          if (words.some((w) => word.test(w)) && !ofThese.includes(material))
            wrong.add(`${family}: ${material}: ${words.join(' | ')}`);
        expect(step.tool.split(', ').every((t) => t.length > 2 && t === t.trim()))
          .withContext(step.tool)
          .toBeTrue();
      }
    }
    expect(read).toBeGreaterThan(1000);
    expect([...wrong]).toEqual([]);
  });

  it('warn of what each material does', () => {
    const [plain] = all;
    const member = plain!.rig.bodies.flatMap((b) => b.members)[0]!;
    const of = (material: string): string => {
      const rig: Rig = {
        ...plain!.rig,
        bodies: plain!.rig.bodies.map((b) => ({
          ...b,
          members: b.members.map((m) => (m.id === member.id ? { ...m, stock: { ...m.stock, material } } : m)),
        })),
      };
      return Object.values(workedAs(rig, member.id)).join(' ');
    };
    expect(of('carbonEpoxy')).toContain('dust harms');
    expect(of('oak')).toContain('mask');
    expect(of('pvc')).toContain('melts');
    expect(of('steel')).toContain('oil');
    expect(of('copper')).toContain('pipe cutter');
    expect(workedAs(plain!.rig, 'nothing of this name').saw).toContain('hacksaw');
  });
});

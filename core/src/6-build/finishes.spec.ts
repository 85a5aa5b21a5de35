import { assemble, FAMILIES, sawnParts, USUAL_HANDS } from '../2-frame';
import type { Rig } from '../model';
import { buildOrder, buildSteps, inStatedOrder, shapeId, type BuildStep } from '.';
import { isWooden } from './finishes';

const rigs = FAMILIES.flatMap((family) => {
  const sized = family.size(null, USUAL_HANDS);
  return [
    sized,
    ...family.choices.flatMap((c) => c.options.map((o) => ({ ...sized, choices: { ...sized.choices, [c.id]: o.id } }))),
  ].map((input) => ({ family: family.id, rig: family.build(input) }));
});
const stepsOf = (rig: Rig): readonly BuildStep[] => {
  const ordered = buildSteps(rig, {}, inStatedOrder(assemble(rig, null), {}));
  return ordered.kind === 'ordered' ? ordered.steps : [];
};

describe('what is sawn out, shaped and finished, in every family with every choice', () => {
  const all = rigs.map(({ family, rig }) => ({ family, rig, steps: stepsOf(rig) }));

  it('wood is finished once, after its holes and before anything but wood is put to it', () => {
    let looked = 0;
    for (const { family, rig, steps } of all) {
      const at = new Map(steps.map((s, i) => [s.id, i]));
      const pieces = rig.bodies.flatMap((b) => [
        ...b.members.filter((m) => m.stock.section.kind !== 'rod').map((m) => m.id),
        ...b.parts.filter((p) => !p.by && !p.of && !p.uses).map((p) => p.id),
      ]);
      for (const piece of pieces.filter((p) => isWooden(p, rig))) {
        looked++;
        const finishes = steps.filter((s) => s.id.startsWith('finish') && s.handles?.includes(piece));
        expect(finishes.length).withContext(`${family} ${piece}`).toBe(1);
        const finish = at.get(finishes[0]!.id)!;
        const others = steps.filter(
          (s) =>
            s.joins &&
            s.handles!.includes(piece) &&
            s.handles!.some((h) => !isWooden(h, rig)) &&
            !s.joins.connections.some((c) => c.kind === 'bonded'),
        );
        for (const s of others) expect(at.get(s.id)!).withContext(`${family} ${piece} ${s.id}`).toBeGreaterThan(finish);
        const bored = steps.filter((s) => s.id.startsWith('drill:') && s.handles?.includes(piece));
        for (const s of bored) expect(at.get(s.id)!).withContext(`${family} ${piece} ${s.id}`).toBeLessThan(finish);
      }
    }
    expect(looked).toBeGreaterThan(50);
  });

  it('what has an outline is shaped to it once, its holes bored before and its ends not cut again', () => {
    let looked = 0;
    for (const { family, rig, steps } of all)
      for (const m of rig.bodies.flatMap((b) => b.members).filter((o) => o.outline)) {
        looked++;
        const shapes = steps.filter((s) => s.makes?.includes(shapeId(m.id)));
        expect(shapes.length).withContext(`${family} ${m.id}`).toBe(1);
        const shape = steps.indexOf(shapes[0]!);
        expect(steps.some((s) => s.id === `tail:${m.id}` || s.id === `deburr:${m.id}`)).toBeFalse();
        for (const [i, s] of steps.entries())
          if (/^(drill|pilot|cut|mark):/.test(s.id) && s.handles?.includes(m.id))
            expect(i).withContext(`${family} ${s.id}`).toBeLessThan(shape);
      }
    expect(looked).toBeGreaterThan(10);
  });

  it('a part that is sawn out has one step for it, before its holes and before it is joined', () => {
    let looked = 0;
    for (const { family, rig, steps } of all)
      for (const { id } of sawnParts(rig)) {
        looked++;
        const cut = steps.findIndex((s) => s.id === `cut:${id}`);
        expect(cut).withContext(`${family} ${id}`).toBeGreaterThanOrEqual(0);
        expect(steps[cut]!.moves!.length).toBeGreaterThan(0);
        const first = steps.findIndex((s, i) => i !== cut && s.handles?.includes(id));
        expect(first).withContext(`${family} ${id}`).toBeGreaterThan(cut);
      }
    expect(looked).toBeGreaterThan(500);
  });

  const found = FAMILIES.map((family) => {
    const rig = family.build(family.size(null, USUAL_HANDS));
    const assembly = assemble(rig, null);
    const ordered = buildSteps(rig, {}, buildOrder(assembly, {}));
    return { family: family.id, rig, steps: ordered.kind === 'ordered' ? ordered.steps : [] };
  });
  it('no piece is taken in hand for anything before it is sawn or printed, whatever order is chosen', () => {
    for (const { family, rig, steps } of [...all, ...found]) {
      const byId = new Map(steps.map((s) => [s.id, s]));
      const before = new Map<string, ReadonlySet<string>>();
      for (const s of steps)
        before.set(s.id, new Set(s.needs.flatMap((n) => (byId.has(n) ? [n, ...(before.get(n) ?? [])] : []))));
      const made = new Map(
        steps.flatMap((s) => (/^(cut|print):/.test(s.id) ? (s.handles ?? []).map((p) => [p, s.id] as const) : [])),
      );
      for (const s of steps)
        for (const piece of s.handles ?? []) {
          const from = made.get(piece);
          if (
            from === undefined ||
            from === s.id ||
            !rig.bodies.some(
              (b) => b.members.some((m) => m.id === piece) || b.parts.some((p) => p.id === piece && p.supply?.sawn),
            )
          )
            continue;
          expect(before.get(s.id)!.has(from)).withContext(`${family} ${s.id} before ${from}`).toBeTrue();
        }
    }
  });

  it('what is glued, soldered, cemented, slid on or bolted says each move of the hand', () => {
    for (const { family, steps } of all)
      for (const s of steps) {
        if (!s.joins) continue;
        const kinds = s.joins.connections.map((c) => c.kind);
        if (s.dries !== undefined || kinds.some((k) => k === 'slidOn' || k === 'clamped'))
          expect(s.moves!.length).withContext(`${family} ${s.id}`).toBeGreaterThan(1);
      }
  });
});

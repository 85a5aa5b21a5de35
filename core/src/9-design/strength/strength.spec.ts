import { render, METRIC } from '../../0-base';
import { FAMILIES } from '../../2-frame';
import { changedDesign, designRig } from '../../2-frame';
import { braces } from './changes/braces';
import { kit, loadout, rigOf } from '../../testing/rigs';
import type { RigDocument } from '../../model';
import { workpiece } from '../derive';
import { stiffenings, stiffestWithin, type Stiffening } from './stiffen';
import { SURE, strengthSheet } from './strengthSheet';

const workOf = (rig: RigDocument) => {
  const made = workpiece(rig, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return made.work;
};
const sheetOf = (rig: RigDocument) => {
  const { assembly } = workOf(rig);
  const outcome = strengthSheet({ assembly, values: {}, pose: assembly.rig.poses[0] ?? null, bump: 3 });
  if (outcome.kind !== 'told') throw new Error(render(outcome.word.title, METRIC));
  return outcome.sheet;
};

describe('the sheet of strength', () => {
  for (const { id } of FAMILIES)
    it(`${id}: tells sag, how it rings, the weakest place and lines to draw, all finite`, () => {
      const sheet = sheetOf(rigOf(id));
      expect(sheet.lowest!.frequency).toBeGreaterThan(0.5);
      expect(sheet.sag!.down).toBeGreaterThan(0);
      expect(sheet.weakest).not.toBeNull();
      expect(sheet.proven).toBeTrue();
      expect(sheet.lines.length).toBeGreaterThan(2);
      for (const { from, to } of sheet.lines)
        expect(sheet.nodes[from]!.concat(sheet.nodes[to]!).every(Number.isFinite)).toBeTrue();
      for (const mode of sheet.modes) {
        expect(mode.shape.length).toBe(sheet.nodes.length);
        expect(mode.shape.flat().every(Number.isFinite)).toBeTrue();
      }
      for (const w of sheet.words)
        for (const phrase of [w.title, w.why, w.toDo])
          expect(render(phrase, METRIC)).not.toMatch(/NaN|undefined|not known/);
      expect(sheet.strains.slice(3).every((s) => s.reserve < SURE)).toBeTrue();
    });

  it('a slack joint of a slim boom is said to wobble, with where it gives', () => {
    const rig = rigOf('boom');
    const long = {
      ...rig,
      design: changedDesign(rig.design, [{ kind: 'dimension', id: 'length', value: 2 }], () => 'x'),
    };
    const word = sheetOf(long).words.find((w) => render(w.title, METRIC).startsWith('It wobbles'))!;
    expect(word.severity).toBe('mend');
    expect(render(word.why, METRIC)).toContain('boom tube');
  });

  it('a heavier bump strains as much more', () => {
    const { assembly } = workOf(rigOf('boom'));
    const at = (bump: number) => {
      const outcome = strengthSheet({ assembly, values: {}, pose: null, bump });
      return outcome.kind === 'told' ? outcome.sheet.weakest!.stress : NaN;
    };
    expect(at(6) / at(3)).toBeCloseTo(2, 9);
  });
});

describe('what each stiffening buys', () => {
  const ask = (id: string) => ({ rig: rigOf(id), loadout, kit, bin: [], values: {}, pose: null, bump: 3 });
  /** As its changes make it: slides where it was balanced again. */
  const made = (id: string, { changes }: Stiffening) => {
    const rig = rigOf(id);
    const { assembly } = workOf({ ...rig, design: changedDesign(rig.design, changes, () => 'x') });
    const values = Object.fromEntries(changes.flatMap((c) => (c.kind === 'adjuster' ? [[c.id, c.value]] : [])));
    const outcome = strengthSheet({ assembly, values, pose: assembly.rig.poses[0] ?? null, bump: 3, modes: 3 });
    if (outcome.kind !== 'told') throw new Error('it cannot be told');
    return outcome.sheet;
  };
  for (const id of ['boom', 'hand-frame', 'tube-frame'])
    it(`${id}: each told change, once made, rings as told and is stiffer or bears more`, () => {
      const found = stiffenings(ask(id))!;
      expect(found.tried).toBeGreaterThan(3);
      expect(found.better.length).toBeGreaterThan(0);
      for (const one of [found.better[0]!, found.better.at(-1)!]) {
        const sheet = made(id, one);
        expect(sheet.lowest!.frequency / one.frequency).toBeCloseTo(1, 6);
        const { now } = found;
        expect(one.frequency > now.frequency || one.reserve > now.reserve || one.joined < now.joined).toBeTrue();
      }
    });

  it('tries bars between the corners of an open frame, thicker walls, and glue where it is pushed in', () => {
    const told = (id: string) => stiffenings(ask(id))!.better.flatMap((s) => s.changes.map((c) => c.kind));
    expect(told('hand-frame')).toContain('brace');
    expect(told('shoulder-rig')).toContain('hold');
  });

  it('offers no bar between corners whose bolts do not hold as it is drawn', () => {
    for (const { id } of FAMILIES) {
      const { design } = rigOf(id);
      for (const { changes } of braces.tries(workOf(rigOf(id)), null as never)) {
        const made = designRig(changedDesign(design, changes, () => 'try'));
        const own = made.ok ? made.loose.filter((l) => changes.some((c) => l.connection.startsWith(c.id))) : null;
        expect(own)
          .withContext(`${id} ${JSON.stringify(changes)}`)
          .toEqual([]);
      }
    }
  });

  it('of two together none within the limits is stiffer than the best told, and each keeps within them', () => {
    const { better, now } = stiffenings(ask('boom'))!;
    const few = better.slice(0, 4);
    const most = { mass: 0.2, cost: 20 };
    const found = stiffestWithin(ask('boom'), { better: few }, most)!;
    expect(found.areAllThrees).toBeTrue();
    // With all the grams and money there are, nothing told is worse than one alone.
    const sound = better.filter((s) => s.brings.length === 0).slice(0, 9);
    const rich = stiffestWithin(ask('boom'), { better: sound }, { mass: 5, cost: 1000 })!;
    expect(rich.threes).toBeGreaterThan(0);
    expect(rich.best[0]!.frequency).toBeGreaterThanOrEqual(Math.max(...sound.map((s) => s.frequency)));
    expect(rich.best[0]!.frequency).toBeGreaterThanOrEqual(found.best[0]!.frequency);
    expect(found.best.length).toBeGreaterThan(0);
    for (const one of found.best) {
      expect(one.mass - now.mass).toBeLessThanOrEqual(most.mass + 1e-9);
      expect(one.cost - now.cost).toBeLessThanOrEqual(most.cost + 1e-9);
      expect(one.brings).toEqual([]);
      expect(one.frequency).toBeLessThanOrEqual(found.best[0]!.frequency);
    }
    expect(made('boom', found.best[0]!).lowest!.frequency / found.best[0]!.frequency).toBeCloseTo(1, 6);
  });
});

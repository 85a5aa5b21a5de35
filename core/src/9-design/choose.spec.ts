import { METRIC, render } from '../0-base';
import { chooseFamilies, type Candidate, type Wishes } from './choose';
import { workpiece } from './derive';
import { firmnessOf } from './strength/firmness';
import { FAMILIES, USUAL_HANDS } from '../2-frame';
import { THREE_LOADS } from '../testing/loads';
import { wants } from '../testing/rigs';

const NONE: Wishes = {
  carries: [],
  moves: [],
  hands: null,
  wet: false,
  hours: null,
  money: null,
  mass: null,
  tools: null,
};
const [phone] = THREE_LOADS;
const assembled = ({ start }: Candidate) => {
  const made = workpiece(start, phone!.loadout, phone!.kit);
  if (!made.ok) throw new Error(made.reason);
  return made.work.assembly;
};
const ranked = (wishes: Partial<Wishes>) =>
  chooseFamilies({
    wishes: { ...NONE, ...wishes },
    loadout: phone!.loadout,
    kit: phone!.kit,
    wants,
    hands: USUAL_HANDS,
  });

describe('choosing', () => {
  it('sizes and figures out every family', () => {
    const list = ranked({});
    expect(list.length).toBe(FAMILIES.length);
    for (const c of list) {
      expect(c.mass).withContext(c.family).toBeGreaterThan(0.3);
      expect(c.cost).withContext(c.family).toBeGreaterThan(5);
      expect(c.hours).withContext(c.family).toBeGreaterThan(0.3);
      expect(c.longestPiece).withContext(c.family).toBeGreaterThan(0.1);
      expect(c.tools.length).withContext(c.family).toBeGreaterThan(0);
      expect(c.reasons.length).withContext(c.family).toBeGreaterThan(0);
      expect(c.readouts.length).withContext(c.family).toBe(3);
    }
  });
  it('puts the boom first for a long reach overhead, and the two-handed first for both hands', () => {
    expect(ranked({ moves: ['long reach'], carries: ['overhead'] })[0]!.family).toBe('boom');
    const first = ranked({ hands: 2, moves: ['tight spaces'] })[0]!;
    expect(FAMILIES.find((f) => f.id === first.family)!.suits.hands).toBe(2);
  });
  it('says with figures what is over the maker’s limits, and which tools to borrow', () => {
    const post = ranked({ mass: 0.5, money: 1, tools: ['drill'] }).find((c) => c.family === 'pipe-post')!;
    const against = post.reasons
      .filter((r) => !r.good)
      .map((r) => render(r.text, METRIC))
      .join(' ');
    expect(against).toMatch(/over your 500 g/);
    expect(against).toMatch(/more than your 1\.00/);
    expect(against).toContain('borrow');
  });
  it('says of each how it rings, and calls none good that strength has something grave against', () => {
    for (const c of ranked({})) {
      const told = c.reasons.map((r) => render(r.text, METRIC)).find((t) => t.startsWith('Rings at'))!;
      expect(told)
        .withContext(c.family)
        .toMatch(/^Rings at [\d.]+ Hz: /);
      const { against } = firmnessOf({ assembly: assembled(c), values: c.start.values });
      if (against.length > 0) expect(c.verdict.kind).withContext(c.family).not.toBe('holds');
    }
  });
});

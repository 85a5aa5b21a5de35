import { METRIC, render } from '../0-base';
import { setupCard } from '../7-field';
import type { LogEntry } from '../model';
import { assemble } from '../2-frame';
import { balanceContext, bentBarAssembly, plainRig } from '../testing/rigs';
import { compare } from '.';

const assembly = bentBarAssembly();
const values = { 'foot-count': 10, 'stage-fore-aft': -0.01 };
const context = balanceContext(assembly, values);
const { evaluation } = context;
const entry = (seen: LogEntry['seen'], dropPitch: number | null = 2, dropSpread = 0.05): LogEntry => ({
  id: 'e',
  rig: 'r',
  loadout: 'l',
  when: '2026-06-14T17:20:00Z',
  values,
  expected: { noseDown: 0, leftSideDown: 0, dropPitch, dropSpread },
  seen,
  notes: '',
});
const says = (e: LogEntry): string =>
  compare(e, context)
    .says.map((s) => render(s, METRIC))
    .join(' ');

describe('found against expected', () => {
  it('agrees when the difference is within what the reading tells', () => {
    const { hung } = evaluation;
    if (hung?.pitch.drop.kind !== 'falls') return fail('it hangs');
    expect(says(entry({ dropTimes: [hung.pitch.drop.time] }))).toContain('agrees');
  });
  it('tells how much lower the mass centre lies', () => {
    expect(says(entry({ dropTimes: [1.0, 1.05, 0.95] }))).toContain('lower than the figures say');
  });
  it('of a reading that knows more than the forecast says what it proves: no agreement within a spread of half a minute', () => {
    const hung = {
      ...evaluation.hung!,
      spread: { ...evaluation.hung!.spread, massCentre: [0.01, 0.01, 0.01] as const },
    };
    const text = compare(entry({ dropTimes: [1.0, 1.02, 0.98] }, 2, 31.8), {
      ...context,
      evaluation: { ...evaluation, hung },
    })
      .says.map((s) => render(s, METRIC))
      .join(' ');
    expect(text).not.toContain('agrees');
    expect(text).toMatch(/lies [\d.]+ mm ± [\d.]+ mm under the pivot, [\d.]+ mm lower than the figures say/);
    expect(text).toContain('better known now');
    // What a drop tells is where the mass centre is: the drop of that place is the one that was seen.
    const real = evaluation.hung!;
    if (real.pitch.drop.kind !== 'falls') return fail('it hangs');
    expect(compare(entry({ dropTimes: [real.pitch.drop.time] }), context).heightImplied!).toBeCloseTo(
      real.hang.bottomHeaviness,
      8,
    );
    expect(compare(entry({ dropTimes: [1] }), context).heightImplied!).toBeGreaterThan(
      compare(entry({ dropTimes: [2] }), context).heightImplied!,
    );
  });
  it('shows an outlier and counts it', () => {
    const found = compare(entry({ dropTimes: [2, 2.02, 3.1] }), context);
    expect(found.dropSeen!.outliers).toEqual([3.1]);
    expect(found.dropSeen!.mean).toBeCloseTo(2.3733, 3);
  });
  it('reads a lean as a place of the mass centre', () => {
    expect(says(entry({ dropTimes: [], noseDown: 0.2 }))).toMatch(
      /11\.5° nose down: the mass centre lies .* mm further ahead/,
    );
    expect(says(entry({ dropTimes: [], leftSideDown: -0.2 }))).toContain('right side down');
    expect(says(entry({ dropTimes: [], noseDown: 0.001 }))).toContain('as expected');
  });
  it('says so when there is nothing to compare, or nothing to compare with', () => {
    expect(says(entry({ dropTimes: [] }))).toContain('Nothing to compare');
    expect(says(entry({ dropTimes: [1.5] }, null))).toContain('though the figures said it would not right itself');
    const free = balanceContext(assemble({ ...plainRig, pivots: [] }, null));
    expect(render(compare(entry({ dropTimes: [1] }), free).says[0]!, METRIC)).toContain('none is of this rig');
  });
});

describe('the card', () => {
  it('has every bolt and every slide, and what to expect', () => {
    const card = setupCard(balanceContext(assembly, values), 'Strap off.');
    expect(card.counts.map((c) => c.count)).toEqual([0, 0, 10]);
    expect(card.marks.map((m) => [m.id, m.way])).toEqual([
      ['stage-fore-aft', 'back'],
      ['stage-sideways', ''],
      ['pivot-height', ''],
    ]);
    expect(card.mass).toBe(evaluation.mass);
  });
});

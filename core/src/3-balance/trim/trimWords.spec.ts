import { METRIC, render } from '../../0-base';
import type { Adjuster } from '../../model';
import type { TrimOutcome } from './trim';
import { AIMS, trimWords, WANT_WORDS } from './trimWords';

const adjusters: readonly Adjuster[] = [
  {
    id: 'stage',
    name: 'Stage, fore and aft',
    kind: 'slide',
    axis: [1, 0, 0],
    range: [-0.02, 0.02],
    step: 0.0005,
    value: 0,
    moves: [{ kind: 'part', id: 'top' }],
  },
];
const tie = { values: {}, added: 0.07, slack: 0.5, moves: 2 };
const solved: Extract<TrimOutcome, { kind: 'solved' }> = {
  kind: 'solved',
  values: {},
  addedMass: 0.07,
  ties: [tie],
  cost: 0.07,
  next: null,
  gap: null,
  combinations: 4913,
  looked: 12,
  unmet: [],
};
const impossible: Extract<TrimOutcome, { kind: 'impossible' }> = {
  kind: 'impossible',
  nearest: {},
  failing: null,
  beyond: null,
  combinations: 10,
  proven: true,
};
const said = (outcome: TrimOutcome, aim = AIMS[0]!.id): string => render(trimWords(outcome, adjusters, aim), METRIC);

describe('what a trim found, in words', () => {
  it('tells what was put on, that it is proven, and by which aim', () => {
    expect(said(solved)).toBe('Balanced with 70 g of washers: proven the lightest of 4,913 ways to put them on.');
    expect(said({ ...solved, addedMass: 0 })).toContain('Balanced without a washer');
    expect(said({ ...solved, addedMass: 0, combinations: 1 })).toBe('Balanced without a washer.');
    expect(AIMS.map((a) => said(solved, a.id)).every((t, i, all) => all.indexOf(t) === i)).toBeTrue();
  });
  it('says when it is not proven, when others are as good, and what was let go', () => {
    expect(said({ ...solved, gap: { atMost: 0.01, looked: 60_000, of: 90_000 } })).toContain(
      'Not proven best: 60,000 of 90,000 ways',
    );
    // All were looked at, but not every place of their slides.
    const gap = { atMost: 0.0021, looked: 90, of: 90 };
    expect(said({ ...solved, gap })).toContain('a way up to 2 g lighter is not ruled out');
    expect(said({ ...solved, cost: -0.1, gap }, 'calmest')).toContain('no way is more than 3 % calmer');
    expect(said({ ...solved, cost: 3, gap: { ...gap, atMost: 1 } }, 'fewestMoves')).toContain(
      '1 move fewer is not ruled out',
    );
    expect(said({ ...solved, gap }, 'steadiestPan')).toContain('the most level in a pan of 4,913 ways');
    expect(said({ ...solved, ties: [tie, tie, tie] })).toContain('3 ways are as good');
    expect(said({ ...solved, unmet: ['mass', 'bag'] })).toContain(
      'Let go for it: mass at most, that it goes in the bag.',
    );
  });
  it('names the slide that runs out and by how much, else the want that cannot be met', () => {
    expect(said({ ...impossible, failing: 'levelForeAft', beyond: { mover: 'stage', by: 0.0043 } })).toContain(
      'the stage, fore and aft would have to go 4.3 mm further than it can',
    );
    expect(said({ ...impossible, failing: 'dropPitch' })).toContain(
      '“drop time” cannot be met. Every way was looked at or ruled out.',
    );
    expect(said({ ...impossible, proven: false })).toContain('Not every way was looked at');
    expect(said({ ...impossible, failing: 'bin' })).toContain('with the washers in your bin; with more it could');
    expect(said({ ...impossible, failing: 'bag' })).toContain('does not go in its bag');
  });
  it('says that nothing was changed whenever nothing was', () => {
    for (const failing of [null, 'bin', 'bag', 'mass'] as const)
      expect(said({ ...impossible, failing })).toContain('Nothing was changed.');
  });
  it('tells of axes set from the inside out, and which still pulls', () => {
    const left = (residual: number) => [
      { name: 'tilt axis', residual: 0.0001, friction: 0.002 },
      { name: 'pan axis', residual, friction: 0.002 },
    ];
    expect(said({ kind: 'axesSet', values: {}, left: left(0.001) })).toContain('hidden by its friction');
    expect(said({ kind: 'axesSet', values: {}, left: left(0.01) })).toContain('The pan axis still pulls round');
  });
  it('sends a rig without anything to bear or set to Frame', () => {
    expect(said({ kind: 'nothingBears' })).toContain('Frame');
    expect(said({ kind: 'nothingToSet' })).toContain('Frame');
  });
  it('has a word for every want', () => {
    expect(Object.values(WANT_WORDS).every((w) => w.length > 3)).toBeTrue();
  });
});

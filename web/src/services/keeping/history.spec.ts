import { NO_HISTORY, recorded, redone, together, undone, type Step } from './history';

const step = (label: string, at: number, merge: string | null = null): Step => ({
  label,
  at,
  merge,
  before: [{ kind: 'kit', id: 'a', body: `before ${label}` }],
  after: [{ kind: 'kit', id: 'a', body: `after ${label}` }],
});

describe('history', () => {
  it('goes back and forth over the same steps', () => {
    const two = recorded(recorded(NO_HISTORY, step('one', 0)), step('two', 5000));
    const back = undone(two)!;
    expect(back.step.label).toBe('two');
    expect(redone(back.history)!.history).toEqual(two);
    expect(undone(NO_HISTORY)).toBeNull();
    expect(redone(two)).toBeNull();
  });
  it('takes quick edits of one field as one step, from the first figure to the last', () => {
    const dragged = recorded(recorded(NO_HISTORY, step('a', 0, 'field')), step('b', 300, 'field'));
    expect(dragged.past.length).toBe(1);
    expect([dragged.past[0]!.before[0]!.body, dragged.past[0]!.after[0]!.body]).toEqual(['before a', 'after b']);
    expect(recorded(dragged, step('c', 5000, 'field')).past.length).toBe(2);
    expect(recorded(dragged, step('c', 400, 'other')).past.length).toBe(2);
  });
  it('takes a remedy and the trim that follows as one step, over all they touch, however long the trim took', () => {
    const word = together();
    const trim: Step = {
      label: 'trim',
      at: 60_000,
      merge: word,
      before: [{ kind: 'setup', id: 's', body: 'old' }],
      after: [{ kind: 'setup', id: 's', body: 'new' }],
    };
    const both = recorded(recorded(NO_HISTORY, step('remedy', 0, word)), trim);
    expect(both.past.length).toBe(1);
    expect(undone(both)!.step.before.map((e) => e.body)).toEqual(['before remedy', 'old']);
    expect(undone(both)!.step.after.map((e) => e.body)).toEqual(['new', 'after remedy']);
    expect(recorded(both, { ...trim, merge: together() }).past.length).toBe(2);
  });
  it('forgets what could be done again after a new step', () => {
    const back = undone(recorded(NO_HISTORY, step('one', 0)))!;
    expect(recorded(back.history, step('other', 9000)).future).toEqual([]);
  });
});

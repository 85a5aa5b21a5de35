import { NO_HISTORY, recorded, redone, undone, type Step } from './history';

const step = (label: string, at: number, merge: string | null = null): Step => ({ label, at, merge, before: [{ kind: 'kit', id: 'a', body: `before ${label}` }], after: [{ kind: 'kit', id: 'a', body: `after ${label}` }] });

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
  it('forgets what could be done again after a new step', () => {
    const back = undone(recorded(NO_HISTORY, step('one', 0)))!;
    expect(recorded(back.history, step('other', 9000)).future).toEqual([]);
  });
});

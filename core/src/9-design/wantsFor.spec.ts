import { wants } from '../testing/rigs';
import { wantsFor } from './wantsFor';

const none = { moves: [], wet: false, mass: null } as const;

describe('what to want for the shots wished for', () => {
  it('is the usual where nothing is asked', () => expect(wantsFor(none, wants)).toEqual(wants));
  it('is quick to run with, slower in the wind, slowest standing still, where the pan counts too', () => {
    const of = (more: Partial<Parameters<typeof wantsFor>[0]>): number =>
      wantsFor({ ...none, ...more }, wants).dropTime[1];
    expect(of({ moves: ['running'] })).toBeLessThan(of({ wet: true }));
    expect(of({ wet: true })).toBeLessThan(of({}));
    expect(of({})).toBeLessThan(of({ moves: ['standing still'] }));
    expect(of({ moves: ['running', 'standing still'] })).toBe(of({ moves: ['running'] }));
    expect(wantsFor({ ...none, moves: ['standing still'] }, wants).panLeanAtMost).toBeGreaterThan(0);
  });
  it('keeps to the mass that can be held', () => expect(wantsFor({ ...none, mass: 1.2 }, wants).massAtMost).toBe(1.2));
});

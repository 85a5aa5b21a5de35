import { METRIC, render } from '../../0-base';
import { logEntry, type LogEntry, type Ringing } from '../../model';
import { NOTHING_SEEN, ringRead, sawNothing, seenWords } from '../../3-balance';
import { NOTHING_HEARD } from '../../4-strength';
import { started } from '../../testing/started';
import { firmnessOf } from './firmness';
import { flickTold } from './heardWords';
import { jointsKnown, sameJoints } from './jointsKnown';

const { work: _, ...pole } = started('helmet-pole');
const ear = (frequency: number, more: Partial<Ringing> = {}): Ringing => ({ read: { by: 'ear', frequency }, ...more });
const told = (rings: Ringing) => flickTold({ ...pole, joints: NOTHING_HEARD, rings });
const says = (rings: Ringing): string =>
  told(rings)
    .says.map((s) => render(s.words, METRIC))
    .join('\n');
const entry = (when: string, rings: Ringing, rig = 'r'): LogEntry => ({
  id: when,
  rig,
  loadout: null,
  when: `2026-03-0${when}T10:00:00Z`,
  values: {},
  expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null, rings: 7 },
  seen: { ...NOTHING_SEEN, rings },
  notes: '',
});

describe('a flick in words', () => {
  const as = firmnessOf(pole).rings!.frequency;

  it('is read by ear, or counted on film to half a frame at either end', () => {
    expect(ringRead(ear(8)).frequency).toBe(8);
    const film = ringRead({ read: { by: 'film', frameRate: 240, swings: 10, frames: 300 } });
    expect(film.frequency).toBe(8);
    expect(film.uncertainty).toBeCloseTo((8 * Math.SQRT1_2) / 300, 9);
  });
  it('agrees, or names the joint that explains it; what no joint explains teaches nothing', () => {
    expect(says(ear(as))).toMatch(/^Heard [\d.]+ Hz, reckoned [\d.]+ Hz: they agree/);
    expect(says(ear(0.85 * as))).toMatch(
      /What explains it best:\n.+: 0\.\d\d times as stiff as its kind is, known within 1\.\d times either/,
    );
    expect(told(ear(0.85 * as)).says[1]!.about).not.toBeNull();
    expect(told(ear(10 * as)).joints).toEqual([]);
    expect(says(ear(10 * as))).toContain('Nothing is learned from it.');
  });
  it('tells what bends from what has play and from what slips, by how it dies away', () => {
    expect(says(ear(as, { dies: 'even' }))).toContain('nothing has play');
    expect(says(ear(as, { dies: 'slower' }))).toContain('a pin hole too large');
    expect(says(ear(as, { dies: 'quicker' }))).toContain('slips');
  });
  it('is kept in the log, and from then on the rig rings as it was heard', () => {
    const rings: Ringing = { ...ear(0.85 * as), joints: [...told(ear(0.85 * as)).joints] };
    const kept = logEntry.parse(JSON.parse(JSON.stringify(entry('2', rings))));
    const joints = jointsKnown([kept, entry('1', { ...ear(3), joints: [{ ...rings.joints![0]!, factor: 9 }] })], 'r');
    // The last flick counts, whichever comes first in the list.
    expect(joints.get(rings.joints![0]!.join)!.factor).toBe(rings.joints![0]!.factor);
    expect(firmnessOf({ ...pole, joints }).rings!.frequency / (0.85 * as)).toBeCloseTo(1, 1);
    expect(jointsKnown([kept], 'another').size).toBe(0);
    expect(sameJoints(joints, jointsKnown([kept], 'r'))).toBeTrue();
    expect(sameJoints(joints, NOTHING_HEARD)).toBeFalse();
    expect(sawNothing(kept.seen)).toBeFalse();
    expect(render(seenWords(kept.seen, []), METRIC)).toMatch(/^flicked rings at [\d.]+ Hz$/);
  });
});

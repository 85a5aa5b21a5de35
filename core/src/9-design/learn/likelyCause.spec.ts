import { METRIC, render } from '../../0-base';
import { familyById } from '../../2-frame';
import { evaluate } from '../../3-balance';
import { trim } from '../../3-balance/bench';
import { camera, kit, lens, loadout, wants } from '../../testing/rigs';
import { workpiece } from '../derive';
import { startRig } from '../startRig';
import { likelyCauses, type LikelyCauseInput } from './likelyCause';

type Read = LikelyCauseInput['entries'][number];

describe('what a reading most likely comes from', () => {
  const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, wants);
  const rig = { design: start.design, wants: { ...wants, massAtMost: 9, calmAtLeast: 0 } };
  const made = workpiece(rig, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  const first = trim(made.work.assembly, {}, rig.wants);
  const values = first.kind === 'solved' ? first.values : {};
  /** As it hangs where the lens weighs so many times what was typed. */
  const hung = (times: number): Read => {
    const real = workpiece(
      rig,
      loadout,
      new Map([...kit, [lens.id, { ...lens, mass: { value: lens.mass!.value * times } }]]),
    );
    if (!real.ok) throw new Error(real.reason);
    const { hang, pitch } = evaluate(real.work.assembly, values).hung!;
    return {
      values,
      seen: {
        dropTimes: pitch.drop.kind === 'falls' ? [pitch.drop.time] : [],
        ...(hang.rest
          ? { noseDown: hang.rest.noseDown, leftSideDown: hang.rest.leftSideDown }
          : { turnsOver: true as const }),
      },
    };
  };
  const told = (...entries: Read[]): readonly string[] =>
    likelyCauses({ rig, loadout, kit, entries }).map((c) => render(c, METRIC));

  it('is nothing where it hangs as reckoned', () => {
    expect(told(hung(1))).toEqual(['']);
  });
  it('names what is off, one reading apart from the other', () => {
    const [off, none] = told(hung(1.3), hung(1));
    expect(off).toMatch(new RegExp(`${lens.name}|${camera.name}`));
    expect(none).toBe('');
  });
  it('says of what cannot be that it cannot', () => {
    const [drop] = told({ values, seen: { dropTimes: [0.02] } });
    expect(drop).toBe(
      'It cannot be: nothing of this size falls so fast. Was it held level and let go without a push? Take it out of the log, or read again.',
    );
  });
  it('is silent where nothing was read that tells of it', () => {
    expect(told({ values, seen: { dropTimes: [] } })).toEqual(['']);
  });
});

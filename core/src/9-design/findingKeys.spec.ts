import * as fc from 'fast-check';
import { findingKey } from '../0-base';
import { FAMILIES } from '../2-frame';
import { holds, seedOf } from '../testing/holds';
import { kit, loadout, wants } from '../testing/rigs';
import { judged, workpiece } from './derive';
import { startRig } from './startRig';

const rigs = FAMILIES.flatMap((family) => {
  const { design, values } = startRig(family, loadout, kit, wants);
  const own = workpiece({ design }, loadout, kit);
  if (!own.ok) throw new Error(own.reason);
  const freed = workpiece({ design: { kind: 'free', rig: own.work.rig } }, loadout, kit);
  if (!freed.ok) throw new Error(freed.reason);
  return [own.work, freed.work].map((work) => ({ family: family.id, work, values }));
});

describe('the key of a finding', () => {
  it('is its own: no two findings of a rig are alike, however it is set, with whatever is wanted', () => {
    rigs.forEach(({ family, work, values }, n) =>
      holds(
        fc.property(
          fc.double({ min: -1, max: 1, noNaN: true }),
          fc.double({ min: 0.05, max: 3, noNaN: true }),
          fc.double({ min: 0.3, max: 6, noNaN: true }),
          (part, wristAtMost, massAtMost) => {
            const set = Object.fromEntries(
              work.rig.adjusters.map((a) => {
                const value = (values[a.id] ?? a.value) + part * (a.range[1] - a.range[0]);
                return [
                  a.id,
                  Math.min(a.range[1], Math.max(a.range[0], a.kind === 'count' ? Math.round(value) : value)),
                ];
              }),
            );
            const { findings } = judged(work, set, { ...wants, wristAtMost, massAtMost, holdFor: 1200 });
            const keys = findings.map(findingKey);
            expect(keys.filter((key, i) => keys.indexOf(key) !== i))
              .withContext(family)
              .toEqual([]);
          },
        ),
        { seed: seedOf(`${family} ${n % 2}`), numRuns: 5 },
      ),
    );
  });
});

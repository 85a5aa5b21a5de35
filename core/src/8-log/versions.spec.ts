import * as fc from 'fast-check';
import { rigDocument, type LogEntry, type RigDocument } from '../model';
import { rigOf } from '../testing/rigs';
import { nextVersion, openWishes, versionNumber, versionsOf } from './versions';

const first: RigDocument = { ...rigOf('pipe-post'), name: 'Limpet' };
const at = '2026-06-14T10:00:00.000Z';
const begin = (
  from: RigDocument,
  rigs: readonly RigDocument[],
  id: string,
  entries: readonly string[] = [],
): RigDocument => nextVersion(from, rigs, { id, at, wish: 'less wobble', entries });
const entry = (id: string, rig: string, toTry?: string): LogEntry => ({
  id,
  rig,
  loadout: null,
  when: `2026-06-1${id}T10:00:00Z`,
  values: {},
  expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
  seen: { dropTimes: [] },
  notes: '',
  ...(toTry === undefined ? {} : { toTry }),
});

describe('versions of a rig', () => {
  it('are drawn as the one they came from and not built: nothing ticked, timed or made otherwise comes along', () => {
    const built: RigDocument = {
      ...first,
      done: { 'cut bar': true },
      took: { 'cut bar': { minutes: 12, reckoned: 10 } },
      setting: { glue: at },
    };
    const next = begin(built, [built], 'b');
    expect(rigDocument.safeParse(next).success).toBeTrue();
    expect(next.design).toBe(built.design);
    expect([next.done, next.took, next.setting, next.made]).toEqual([{}, undefined, undefined, undefined]);
    expect(next.version).toEqual({
      line: first.id,
      number: 2,
      from: first.id,
      begun: at,
      wish: 'less wobble',
      entries: [],
    });
    expect(next.name).toBe(`${first.name}, version 2`);
  });

  it('stand in one line in their order, whichever of them is asked and whichever the next came from', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(), { maxLength: 12 }), (picks) => {
        const rigs: RigDocument[] = [first, { ...first, id: 'other', name: 'Whelk' }];
        for (const [i, pick] of picks.entries()) {
          const line = versionsOf(first, rigs);
          rigs.push(begin(line[pick % line.length]!, rigs, `v${i}`));
        }
        for (const rig of rigs.filter((r) => r.id !== 'other')) {
          const line = versionsOf(rig, rigs);
          expect(line.map(versionNumber)).toEqual(line.map((_, i) => i + 1));
          expect(line.map((r) => r.name)).toEqual(
            line.map((_, i) => (i === 0 ? first.name : `${first.name}, version ${i + 1}`)),
          );
        }
        expect(versionsOf(rigs[1]!, rigs).map((r) => r.id)).toEqual(['other']);
      }),
      { seed: 31 },
    );
  });

  it('take up the wishes of the log once: those of any of the line that none has taken', () => {
    const second = begin(first, [first], 'b', ['1']);
    const line = [first, second];
    const log = [
      entry('1', first.id, 'thicker bar'),
      entry('2', first.id, 'longer neck'),
      entry('3', 'b', ' '),
      entry('4', 'b', 'a pin'),
      entry('5', 'c', 'no'),
    ];
    expect(openWishes(line, log).map((e) => e.id)).toEqual(['4', '2']);
    expect(openWishes([first], log).map((e) => e.id)).toEqual(['2', '1']);
  });

  it('have names that are no longer than a name may be', () => {
    const long = { ...first, name: 'n'.repeat(120) };
    expect(rigDocument.safeParse(begin(long, [long], 'b')).success).toBeTrue();
  });
});

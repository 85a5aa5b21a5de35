import { METRIC, render, type Judgement } from '../0-base';
import { FAMILIES } from '../2-frame';
import { THREE_LOADS } from '../testing/loads';
import { logEntry } from '../model';
import { stockPlan } from '../5-stock';
import { judged, workpiece } from './derive';
import { nextThing, WORK, type NextThing, type WorkSoFar } from './nextThing';
import { startRig } from './startRig';
import { wants } from '../testing/rigs';
import type { RigDocument } from '../model';

const NOTHING: WorkSoFar = {
  kit: new Map(),
  bench: null,
  firm: null,
  toBuy: null,
  step: null,
  isBuilt: false,
  log: [],
};
const words = (t: NextThing | null): string => (t ? `${render(t.title, METRIC)} ${render(t.why, METRIC)}` : '');

/** A family started for a load, as the page would have it. */
function started(
  family: (typeof FAMILIES)[number],
  { loadout, kit }: (typeof THREE_LOADS)[number],
  isSet = true,
): WorkSoFar {
  const { design, values } = startRig(family, loadout, kit, wants);
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  const set = isSet ? values : {};
  const { findings, verdict } = judged(made.work, set, wants);
  const lines = stockPlan(made.work.rig, set, [], 0.002).lines.filter((l) => l.buy > 0);
  const rig = { id: 'r1', name: 'Limpet', design, done: {}, wants } as unknown as RigDocument;
  return {
    ...NOTHING,
    kit,
    bench: { rig, loadout, values: set, findings, verdict, isUnset: !isSet && made.work.rig.adjusters.length > 0 },
    toBuy: { lines: lines.length, cost: 12 },
  };
}
const tried = logEntry.parse({
  id: 'e1',
  rig: 'r1',
  loadout: null,
  when: '2026-06-14T10:00:00Z',
  values: {},
  expected: { noseDown: null, leftSideDown: null, dropPitch: null, dropSpread: null },
  seen: { dropTimes: [2] },
  notes: '',
});

describe('the one next thing', () => {
  it('is not to set level what the last reading, set so, found level: the real rig is right', () => {
    const hung = FAMILIES.find((f) => f.id === 'gimballed-bent-bar')!;
    const made = started(hung, THREE_LOADS[0]!);
    const lean: Judgement = {
      ...made.bench!.findings[0]!,
      code: 'notLevelForeAft',
      severity: 'mend',
      stage: 'balance',
      title: ['It hangs 5.0° nose up.'],
      toDo: ['Set it back under the pivot.'],
    };
    const work: WorkSoFar = { ...made, bench: { ...made.bench!, findings: [lean] } };
    const read = (noseDown: number, values = work.bench!.values): WorkSoFar => ({
      ...work,
      log: [{ ...tried, loadout: work.bench!.loadout!.id, values, seen: { dropTimes: [], noseDown } }],
    });
    expect(words(nextThing(work, 'field'))).toContain('Set it back');
    expect(words(nextThing(read(wants.levelWithin * 0.9), 'field'))).not.toContain('Set it back');
    expect(words(nextThing(read(wants.levelWithin * 1.1), 'field'))).toContain('Set it back');
    // A photo or a timing kept after it is no reading: it takes nothing back.
    const level = read(wants.levelWithin * 0.9);
    const later = { ...level.log[0]!, id: 'later', when: '2099-01-01T00:00:00Z', seen: { dropTimes: [] } };
    expect(words(nextThing({ ...level, log: [...level.log, later] }, 'field'))).not.toContain('Set it back');
    const [id] = Object.keys(work.bench!.values);
    expect(words(nextThing(read(0, { ...work.bench!.values, [id!]: 99 }), 'field'))).toContain('Set it back');
  });
  it('of an empty folder is to answer four questions, wherever one stands', () => {
    for (const stage of WORK) {
      const next = nextThing(NOTHING, stage)!;
      expect([next.stage, next.sheet]).toEqual(stage === 'load' ? ['shelf', 'first'] : ['shelf', 'first']);
    }
  });

  it('of any rig is told in each stage, in words without a hole; what stands in its way before all that comes after', () => {
    for (const family of FAMILIES)
      for (const load of THREE_LOADS) {
        const work = started(family, load);
        const grave = work.bench!.findings.filter((f) => f.severity === 'stop' || f.severity === 'mend');
        for (const stage of WORK) {
          const next = nextThing(work, stage);
          expect(words(next))
            .withContext(`${family.id} ${stage}`)
            .not.toMatch(/undefined|NaN|not known|\[object/);
          expect(words(next).length).toBeGreaterThan(10);
          const first = Math.min(...grave.map((f) => WORK.indexOf(f.stage)));
          if (first < WORK.indexOf(stage)) expect(WORK.indexOf(next!.stage)).toBeLessThan(WORK.indexOf(stage));
        }
      }
  });

  it('follows the work: mount, trim, buy, build, hang, take out', () => {
    const load = THREE_LOADS[0]!;
    const clear = FAMILIES.map((family) => started(family, load)).find(
      ({ bench }) => !bench!.findings.some((f) => f.severity === 'stop' || f.severity === 'mend'),
    )!;
    const at = (more: Partial<WorkSoFar>, stage: (typeof WORK)[number] = 'shelf'): string => {
      const { stage: where, sheet } = nextThing({ ...clear, ...more }, stage)!;
      return sheet === null ? where : `${where}/…`;
    };
    expect(at({ bench: { ...clear.bench!, loadout: null } })).toBe('load');
    expect(at({ bench: { ...clear.bench!, isUnset: true, verdict: { ...clear.bench!.verdict, kind: 'holds' } } })).toBe(
      'balance',
    );
    const held = { ...clear.bench!, verdict: { ...clear.bench!.verdict, kind: 'holds' as const } };
    expect(at({ bench: held })).toBe('stock');
    const step = { title: ['Saw the post'], left: 3 };
    expect(at({ bench: held, toBuy: { lines: 0, cost: 0 }, step })).toBe('build');
    expect(at({ bench: held, step }, 'build')).toBe('build');
    expect(at({ bench: held, toBuy: { lines: 2, cost: 3 }, isBuilt: true })).toBe('log');
    expect(at({ bench: held, isBuilt: true, log: [tried] })).toBe('field');
  });

  it('asks for measuring only while it is in doubt whether the rig holds, and says what that buys', () => {
    const load = THREE_LOADS[0]!;
    const guessed = new Map([...load.kit].map(([id, { mass: _never, ...item }]) => [id, item]));
    const work = started(
      FAMILIES.find((f) => f.id === 'gimballed-bent-bar')!,
      { ...load, kit: guessed },
    );
    const next = nextThing({ ...work, bench: { ...work.bench!, findings: [] } }, 'load')!;
    expect(next.sheet).toBe('phone');
    expect(words(next)).toMatch(
      /^(Weigh|Balance) Slate phone.* (A minute|\d minutes); then the mass centre is known to [\d.]+ mm .* instead of [\d.]+ mm\.$/,
    );
    const sure = { ...work.bench!, findings: [], verdict: { ...work.bench!.verdict, kind: 'holds' as const } };
    expect(nextThing({ ...work, bench: sure }, 'load')!.stage).not.toBe('load');
  });
});

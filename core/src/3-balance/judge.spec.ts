import { METRIC, render } from '../0-base';
import type { Change, Judgement } from '../0-base';
import { assemble, USUAL_HANDS, type Assembly } from '../2-frame';
import { evaluate, judge } from '.';
import { trim } from './bench';
import { BALANCE_CHECKS } from './checks';
import { balanceContext, figuresOf, camera, loadout, bentBar, bentBarAssembly, plainRig, wants } from '../testing/rigs';
import { placeLoad } from '../1-load';
import { turnsOf } from './adjusters/fixByAdjuster';

const judgeAt = (assembly: Assembly, values: Record<string, number>, want = wants): readonly Judgement[] =>
  judge(balanceContext(assembly, values, want));
const solved = (): Record<string, number> => {
  const found = trim(bentBarAssembly(), {}, wants);
  return found.kind === 'solved' ? { ...found.values } : (fail('the bar cannot be trimmed') as never);
};
const applied = (values: Record<string, number>, changes: readonly Change[]): Record<string, number> => ({
  ...values,
  ...figuresOf(changes),
});

describe('judging', () => {
  it('found its checks, and has nothing to mend on a trimmed rig', () => {
    expect(BALANCE_CHECKS.length).toBeGreaterThanOrEqual(7);
    expect(judgeAt(bentBarAssembly(), solved()).filter((f) => f.severity === 'stop' || f.severity === 'mend')).toEqual(
      [],
    );
  });

  it('sees a nose down, says by how much and why, and its fix levels it', () => {
    const values = { ...solved(), 'stage-fore-aft': solved()['stage-fore-aft']! + 0.001 };
    const finding = judgeAt(bentBarAssembly(), values).find((f) => f.code === 'notLevelForeAft')!;
    expect(render(finding.title, METRIC)).toMatch(/^It hangs \d+\.\d° nose down\.$/);
    expect(render(finding.why, METRIC)).toContain('ahead of the pivot');
    const after = judgeAt(bentBarAssembly(), applied(values, finding.fixes[0]!.changes));
    expect(after.map((f) => f.code)).not.toContain('notLevelForeAft');
  });

  it('sees a side down and mends that', () => {
    const values = { ...solved(), 'stage-sideways': solved()['stage-sideways']! + 0.002 };
    const finding = judgeAt(bentBarAssembly(), values).find((f) => f.code === 'notLevelSideways')!;
    expect(render(finding.title, METRIC)).toContain('left side down');
    expect(judgeAt(bentBarAssembly(), applied(values, finding.fixes[0]!.changes)).map((f) => f.code)).not.toContain(
      'notLevelSideways',
    );
  });

  it('stops a top-heavy rig and prints no angle for it; its fix brings it under', () => {
    const values = { ...solved(), 'pivot-height': -0.005 };
    const findings = judgeAt(bentBarAssembly(), values);
    expect(findings[0]!.code).toBe('topHeavy');
    expect(findings.some((f) => f.code.startsWith('notLevel'))).toBeFalse();
    const after = evaluate(bentBarAssembly(), applied(values, findings[0]!.fixes[0]!.changes));
    expect(after.hung!.hang.state).toBe('hangs');
  });

  it('sees a drop too quick and too slow, and mends both with the pivot', () => {
    for (const [id, by, code] of [
      ['pivot-height', 0.0012, 'dropTooShort'],
      ['pivot-height', -0.0007, 'dropTooLong'],
    ] as const) {
      // Trimmed with one more on the foot the pivot has way to go both up and down.
      const middle = { ...solved(), 'foot-count': solved()['foot-count']! + 1, 'pivot-height': 0.00425 };
      const values = { ...middle, [id]: middle[id]! + by };
      const finding = judgeAt(bentBarAssembly(), values).find((f) => f.code === code);
      expect(finding).withContext(code).toBeDefined();
      expect(judgeAt(bentBarAssembly(), applied(values, finding!.fixes[0]!.changes)).map((f) => f.code)).not.toContain(
        code,
      );
    }
  });

  it('leaves the level alone while something is only guessed, and says when nothing is mounted', () => {
    const { mass: _mass, ...unweighed } = camera;
    const load = placeLoad({ ...loadout, items: [loadout.items[0]!] }, new Map([[camera.id, unweighed]]));
    const assembly = assemble(bentBar.build(bentBar.size(load, USUAL_HANDS)), load);
    expect(judgeAt(assembly, {}).map((f) => f.code)).not.toContain('levelNotKnown');
    const bare = judgeAt(assemble(plainRig, null), {});
    expect(bare.map((f) => f.code)).toContain('nothingMounted');
    // Before what would be mended of a rig that does not carry what it is for.
    expect(
      bare.slice(bare.findIndex((f) => f.code === 'nothingMounted') + 1).some((f) => f.severity === 'stop'),
    ).toBeFalse();
    expect(
      bare
        .slice(
          0,
          bare.findIndex((f) => f.code === 'nothingMounted'),
        )
        .some((f) => f.severity === 'mend'),
    ).toBeFalse();
  });

  it('sees mass, calm, a full bolt and a stuck bearing against their limits', () => {
    expect(judgeAt(bentBarAssembly(), solved(), { ...wants, massAtMost: 1 }).map((f) => f.code)).toContain('tooHeavy');
    expect(judgeAt(bentBarAssembly(), solved(), { ...wants, calmAtLeast: 500 }).map((f) => f.code)).toContain(
      'notCalm',
    );
    const [hand, rod] = plainRig.bodies;
    const full = {
      ...plainRig,
      bodies: [hand!, { ...rod!, stations: rod!.stations.map((s) => ({ ...s, count: 11 })) }],
    };
    expect(judgeAt(assemble(full, null), {}).map((f) => f.code)).toContain('stackTooHigh');
    const stiff = { ...plainRig, pivots: plainRig.pivots.map((p) => ({ ...p, frictionTorque: { value: 5 } })) };
    expect(judgeAt(assemble(stiff, null), {}).map((f) => f.code)).toContain('stopsShort');
  });

  it('reads turns as a hand does', () => {
    expect([turnsOf(0.125), turnsOf(1), turnsOf(1.1875), turnsOf(0)]).toEqual([
      '1/8 turn',
      '1 turn',
      '1 3/16 turns',
      '0 turn',
    ]);
  });
});

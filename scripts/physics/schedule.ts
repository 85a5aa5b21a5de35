import { criticalPath, endOf, schedule as planned } from '@tide-pebble/core/making';
import type { CaseKind } from '../physicsCase';

export const schedule: CaseKind = {
  kind: 'schedule',
  compute: (given, expect) => {
    const tasks = given['tasks'].map((t: Record<string, unknown>) => ({
      id: t['id'],
      handsOn: t['handsOn'] ?? 0,
      wait: t['wait'] ?? 0,
      after: t['after'] ?? [],
      machine: t['machine'],
    }));
    const found = planned(tasks, given['windows'], Infinity);
    const told = expect['exampleStarts'];
    const example = told && new Map(told.map((e: Record<string, unknown>) => [e['id'], e['start']]));
    const read = example ? endOf(tasks, given['windows'], example) : null;
    return {
      possible: found.kind === 'planned',
      leastFinish: found.kind === 'planned' && found.proven ? found.finish : null,
      criticalPathWithoutHandsOrWindows: found.kind === 'ring' ? null : criticalPath(tasks),
      // One of several that are as good: it must be a plan, and end when ours does.
      ...(read && found.kind === 'planned'
        ? { exampleStarts: 'end' in read && Math.abs(read.end - found.finish) < 1e-3 ? told : read }
        : {}),
    };
  },
};

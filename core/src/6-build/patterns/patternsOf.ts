/** Every full-size pattern of a rig. */
import { connectionsOf, pieceShapes, printedParts, type Assembly } from '../../2-frame';
import { barPlans, holeSheets } from '../../5-stock';
import { PATTERN_KINDS } from './kinds';
import type { Pattern, PatternInput } from './pattern';

/** Thickness of usual printer paper, 80 g/m², m. */
export const PAPER = 0.0001;

export function patternsOf(
  assembly: Assembly,
  cope: PatternInput['cope'] = null,
  paper: number = PAPER,
): readonly Pattern[] {
  const input = { ...patternInput(assembly, paper), cope };
  return PATTERN_KINDS.flatMap((make) => make(input));
}

/** What is known of each piece and hole, the adjusters at nought. */
export function patternInput(assembly: Assembly, paper: number = PAPER): PatternInput {
  const { rig } = assembly;
  const drawn = Object.fromEntries(rig.adjusters.map((a) => [a.id, 0]));
  const connections = connectionsOf(rig, () => 0);
  const byId = new Map(connections.map((c) => [c.id, c]));
  const shapes = pieceShapes(assembly, drawn, connections);
  return {
    assembly,
    bars: barPlans(rig),
    sheets: holeSheets(rig),
    shapes: new Map(shapes.map((s) => [s.id, s])),
    holeOf: (connection: string, piece: string) => byId.get(connection)?.holes.find((h) => h.piece === piece),
    printed: new Set(printedParts(rig).map((p) => p.id)),
    fittings: new Set(rig.bodies.flatMap((b) => b.joints.map((j) => j.id))),
    paper,
    cope: null,
  };
}

/** Which sold screw suits a stack at every thickness its layers may have: exact need, next sold length, how far it engages and what sticks out. */

export interface StackLayer {
  readonly name?: string;
  /** Of one, m, with its worst case each way. */
  readonly thickness: number;
  readonly plusMinus?: number;
  readonly count?: number;
}
export type StackEnd =
  | {
      readonly type: 'nut';
      readonly height: number;
      /** Turns that must show beyond it, and the most that may stand out, m. */
      readonly pitchesBeyond: number;
      readonly mostBeyond?: number;
    }
  | {
      /** A tapped hole, an insert, a camera's socket. */
      readonly type: 'blind';
      readonly threadDepth: number;
      readonly engagementDiameters: number;
      readonly clearOfBottom: number;
    };
export interface SoldScrew {
  readonly length: number;
  /** Left out: threaded all along. */
  readonly threadLength?: number;
}
export interface StackInput {
  readonly threadDiameter: number;
  readonly pitch: number;
  readonly layers: readonly StackLayer[];
  readonly end: StackEnd;
  readonly soldLengths: readonly SoldScrew[];
}
export type StackFault = 'short' | 'long' | 'bottoms' | 'shankMeetsNut' | 'shankMeetsThread';
export interface JudgedScrew {
  readonly length: number;
  /** In the order of the alphabet. */
  readonly faults: readonly StackFault[];
}
export interface StackUp {
  readonly stackThickness: number;
  readonly stackLeast: number;
  readonly stackMost: number;
  /** At nominal thickness, m. */
  readonly neededLength: number;
  readonly judged: readonly JudgedScrew[];
  readonly suitableLengths: readonly number[];
  /** The shortest that suits; null when none does. */
  readonly chosenLength: number | null;
  /** Of the chosen one at nominal thickness: beyond the nut; or how far it holds, over all thicknesses, and what is left under it. */
  readonly sticksOut: number | null;
  readonly engagement: number | null;
  readonly engagementRange: readonly [number, number] | null;
  readonly clearOfBottom: number | null;
}

/** A screw exactly as long as allowed is allowed, m. */
const SLACK = 1e-9;

/** All in m. Worst case: every layer at its thinnest, or every layer at its thickest. */
export function stackUp({ threadDiameter, pitch, layers, end, soldLengths }: StackInput): StackUp {
  if (!(threadDiameter > 0 && pitch > 0)) throw new RangeError('a screw has a thread');
  const sum = (of: (l: StackLayer) => number): number => layers.reduce((s, l) => s + of(l) * (l.count ?? 1), 0);
  const stackThickness = sum((l) => l.thickness);
  const doubt = sum((l) => l.plusMinus ?? 0);
  const [stackLeast, stackMost] = [stackThickness - doubt, stackThickness + doubt];
  const holds = end.type === 'nut' ? end.height + end.pitchesBeyond * pitch : end.engagementDiameters * threadDiameter;
  const most =
    end.type === 'nut'
      ? end.mostBeyond === undefined
        ? Infinity
        : end.height + end.mostBeyond
      : end.threadDepth - end.clearOfBottom;
  const judged = soldLengths.map(({ length, threadLength = length }): JudgedScrew => {
    const plain = Math.max(0, length - threadLength);
    const faults: StackFault[] = [];
    if (length - stackMost < holds - SLACK) faults.push('short');
    if (length - stackLeast > most + SLACK) faults.push(end.type === 'nut' ? 'long' : 'bottoms');
    if (plain > stackLeast + SLACK) faults.push(end.type === 'nut' ? 'shankMeetsNut' : 'shankMeetsThread');
    return { length, faults: faults.sort() };
  });
  const suitableLengths = judged
    .filter((j) => j.faults.length === 0)
    .map((j) => j.length)
    .sort((a, b) => a - b);
  const chosenLength = suitableLengths[0] ?? null;
  const beyond = chosenLength === null ? null : chosenLength - stackThickness;
  const isNut = end.type === 'nut';
  return {
    stackThickness,
    stackLeast,
    stackMost,
    neededLength: stackThickness + holds,
    judged,
    suitableLengths,
    chosenLength,
    sticksOut: isNut && beyond !== null ? beyond - end.height : null,
    engagement: isNut ? null : beyond,
    engagementRange: isNut || chosenLength === null ? null : [chosenLength - stackMost, chosenLength - stackLeast],
    clearOfBottom: !isNut && beyond !== null ? end.threadDepth - beyond : null,
  };
}

/** A gyro’s rows as they come, with holes, rows out of order and a clock that starts anew, laid on even times. */
import { figure, say, type Phrase } from '../../0-base';

/** Rows as read: times in s, and rates about the axes of picture or rig, rad/s. All lists are as long. */
export interface TurningRows {
  readonly times: Float64Array;
  readonly pan: Float64Array;
  readonly tilt: Float64Array;
  readonly roll: Float64Array;
}
export interface EvenTurning {
  /** Samples a second, Hz. */
  readonly rate: number;
  readonly pan: Float64Array;
  readonly tilt: Float64Array;
  readonly roll: Float64Array;
  /** Samples that no row gave; each bridged by a straight line between its neighbours. */
  readonly rowsMissing: number;
  /** s */
  readonly longestGap: number;
  /** Rows that were told twice or after later ones: put in their place, or dropped where one was there. */
  readonly outOfOrder: number;
  /** So often the clock began anew; what follows is joined on at the usual step. */
  readonly restarts: number;
}

/** Fewer rows tell nothing of a walk. */
export const ROWS_AT_LEAST = 32;
/** Back by less than this is a row that came late; by more, a clock that began anew, s. */
const LATE = 1;
const STEPS_LOOKED_AT = 20_000;
/** A step longer than this many usual ones has rows missing. */
const GAP = 1.5;

/** The usual step is the median one. Figures that are none are refused, since a hole is told by the missing row. */
export function evenTurning(
  rows: TurningRows,
): { readonly ok: true; readonly even: EvenTurning } | { readonly ok: false; readonly reason: Phrase } {
  const count = rows.times.length;
  if (count < ROWS_AT_LEAST)
    return { ok: false, reason: say`That is ${figure('count', count)} rows. Walk for ten seconds at least.` };
  for (let i = 0; i < count; i++)
    if (!Number.isFinite(rows.times[i]! + rows.pan[i]! + rows.tilt[i]! + rows.roll[i]!))
      return { ok: false, reason: say`Row ${figure('count', i + 1)} has a figure that is none.` };
  const step = usualStep(rows.times);
  if (step === null) return { ok: false, reason: say`No time passes between its rows.` };

  const { times, order, outOfOrder, restarts } = inOrder(rows.times, step);
  const first = times[0]!;
  const span = times.at(-1)! - first;
  const length = Math.round(span / step) + 1;
  let [rowsMissing, longestGap] = [0, 0];
  for (let i = 1; i < times.length; i++) {
    const gap = times[i]! - times[i - 1]!;
    if (gap <= GAP * step) continue;
    rowsMissing += Math.round(gap / step) - 1;
    longestGap = Math.max(longestGap, gap);
  }
  // So that the last row is the last sample: over the whole log a median step is off by many samples.
  const even = span / (length - 1);
  const on = (rates: Float64Array): Float64Array => bridged(times, order, rates, first, even, length);
  return {
    ok: true,
    even: {
      rate: 1 / even,
      pan: on(rows.pan),
      tilt: on(rows.tilt),
      roll: on(rows.roll),
      rowsMissing,
      longestGap,
      outOfOrder,
      restarts,
    },
  };
}

/** Median of the steps that go on; of a long log of some of them, spread over it. */
function usualStep(times: Float64Array): number | null {
  const every = Math.max(1, Math.floor(times.length / STEPS_LOOKED_AT));
  const steps: number[] = [];
  for (let i = 1; i < times.length; i += every) if (times[i]! > times[i - 1]!) steps.push(times[i]! - times[i - 1]!);
  steps.sort((a, b) => a - b);
  return steps[Math.floor(steps.length / 2)] ?? null;
}

/** Times that only grow, each with the row it is of. */
function inOrder(
  given: Float64Array,
  step: number,
): { times: Float64Array; order: Uint32Array; outOfOrder: number; restarts: number } {
  const joined = new Float64Array(given.length);
  let [offset, latest, restarts, outOfOrder] = [0, given[0]!, 0, 0];
  for (let i = 0; i < given.length; i++) {
    let time = given[i]! + offset;
    if (time < latest - LATE) {
      restarts++;
      offset += latest + step - time;
      time = latest + step;
    }
    if (i > 0 && time <= latest) outOfOrder++;
    latest = Math.max(latest, time);
    joined[i] = time;
  }
  const order = Uint32Array.from(given, (_, i) => i);
  if (outOfOrder === 0) return { times: joined, order, outOfOrder, restarts };
  order.sort((a, b) => joined[a]! - joined[b]! || a - b);
  const kept = order.filter((row, i) => i === 0 || joined[row]! > joined[order[i - 1]!]!);
  return { times: Float64Array.from(kept, (row) => joined[row]!), order: kept, outOfOrder, restarts };
}

/** Values at growing times, laid on even ones by straight lines; as many as the usual step makes of the span. */
export function laidEven(
  times: Float64Array,
  values: Float64Array,
): { readonly rate: number; readonly values: Float64Array } {
  const step = usualStep(times)!;
  const span = times.at(-1)! - times[0]!;
  const length = Math.round(span / step) + 1;
  const even = span / (length - 1);
  const order = Uint32Array.from(times, (_, i) => i);
  return { rate: 1 / even, values: bridged(times, order, values, times[0]!, even, length) };
}

function bridged(
  times: Float64Array,
  order: Uint32Array,
  rates: Float64Array,
  first: number,
  step: number,
  length: number,
): Float64Array {
  const even = new Float64Array(length);
  let at = 0;
  for (let i = 0; i < length; i++) {
    const time = first + i * step;
    while (at < times.length - 2 && times[at + 1]! <= time) at++;
    const [t0, t1] = [times[at]!, times[at + 1]!];
    const [r0, r1] = [rates[order[at]!]!, rates[order[at + 1]!]!];
    even[i] = r0 + ((r1 - r0) * (time - t0)) / (t1 - t0);
  }
  return even;
}

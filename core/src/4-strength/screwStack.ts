/** How long a screw must be for all it passes and the socket it ends in; layers as thick as they are said to be. */
import { stackUp, type StackLayer } from '../2-frame';

export interface Socket {
  readonly threadDiameter: number;
  readonly pitch?: number;
  /** Measured, not assumed; null when it goes right through. */
  readonly depth: number | null;
  /** Least engagement in diameters: about 1 in steel, 1.5 in aluminium, 2 to 2.5 in plastic, 0.7 at least in a camera's socket. */
  readonly engagementDiameters: number;
}
export interface ScrewFit {
  readonly engagement: number;
  /** Longer than the socket is deep: it pushes instead of clamping. */
  readonly bottoms: boolean;
  readonly enough: boolean;
  readonly turns: number | null;
}

export const stackHeight = (layers: readonly StackLayer[]): number =>
  layers.reduce((sum, l) => sum + l.thickness * (l.count ?? 1), 0);
export const requiredEngagement = (socket: Socket): number => socket.engagementDiameters * socket.threadDiameter;

const SLACK = 1e-9; // a screw exactly as long as allowed is allowed, m

/** `length` is measured under the head. */
export function screwFit(length: number, layers: readonly StackLayer[], socket: Socket): ScrewFit {
  const engagement = length - stackHeight(layers);
  return {
    engagement,
    bottoms: socket.depth !== null && engagement > socket.depth + SLACK,
    enough: engagement >= requiredEngagement(socket) - SLACK,
    turns: socket.pitch ? engagement / socket.pitch : null,
  };
}

/** Stock lengths that reach the need and do not bottom, shortest first. */
export function suitableLengths(
  stock: readonly number[],
  layers: readonly StackLayer[],
  socket: Socket,
): readonly number[] {
  const { threadDiameter, pitch = threadDiameter, depth, engagementDiameters } = socket;
  return stackUp({
    threadDiameter,
    pitch,
    layers,
    end: { type: 'blind', threadDepth: depth ?? Infinity, engagementDiameters, clearOfBottom: 0 },
    soldLengths: stock.map((length) => ({ length })),
  }).suitableLengths;
}

/** The stock length and number of spare washers under the head that suit with the fewest washers; null when none does. */
export function withFewestWashers(
  stock: readonly number[],
  layers: readonly StackLayer[],
  socket: Socket,
  washer: number,
  most = 20,
): { length: number; washers: number } | null {
  for (let washers = 0; washers <= most; washers++) {
    const [length] = suitableLengths(stock, [...layers, { thickness: washer, count: washers }], socket);
    if (length !== undefined) return { length, washers };
  }
  return null;
}

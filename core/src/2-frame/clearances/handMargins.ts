/** How far each hand stays out of each lens's picture, as a distance and as an angle. */
import { add, dot, subtract, type Vec3 } from '../../0-base';
import type { LensCone } from '../../1-load';
import type { Contact } from '../../model';
import { contactAt, valuesInOrder } from '../assemble';
import type { FrameContext } from '../frameCheck';
import { loadPlace } from './near';

/** A fist is about this far across from its middle, m. */
export const FIST = 0.045;

export interface HandMargin {
  readonly contact: Contact;
  readonly lens: string;
  /** From the fist to the picture's nearest edge, m, and as it is seen from the lens's front, rad; negative inside. Null behind the lens. */
  readonly clear: { readonly distance: number; readonly angle: number } | null;
}

/** At the lens's widest. */
export function handMargins(frame: Pick<FrameContext, 'assembly' | 'values' | 'rig' | 'cones'>): readonly HandMargin[] {
  const place = loadPlace(frame);
  if (!place) return [];
  const inOrder = valuesInOrder(frame.rig, frame.values);
  const hands = frame.rig.contacts.filter((c) => c.kind === 'hand');
  return frame.cones.flatMap((cone) =>
    hands.map((contact) => ({
      contact,
      lens: cone.lens,
      clear: clearOf(cone, place, contactAt(frame.rig, contact, inOrder)),
    })),
  );
}

function clearOf(cone: LensCone, place: (p: Vec3) => Vec3, at: Vec3): HandMargin['clear'] {
  const front = place(cone.front);
  const along = (v: Vec3): Vec3 => subtract(place(add(cone.front, v)), front);
  const d = subtract(at, front);
  const ahead = dot(d, along(cone.forward));
  if (ahead + FIST <= 0) return null;
  // The nearer of the picture's sides, and its top or bottom: outside either is outside.
  const sides = [
    { off: Math.abs(dot(d, along(cone.left))), half: cone.wide.across / 2 },
    { off: Math.abs(dot(d, along(cone.up))), half: cone.wide.up / 2 },
  ].map(({ off, half }) => {
    const edge = cone.frontRadius + Math.max(0, ahead) * Math.tan(half);
    const distance = off - edge - FIST;
    return { distance, angle: Math.atan2(off - cone.frontRadius - FIST, Math.max(1e-6, ahead)) - half };
  });
  return sides.reduce((a, b) => (b.distance > a.distance ? b : a));
}

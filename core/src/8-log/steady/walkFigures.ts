/** One walk as it is kept: its shake about each axis and the horizon’s wander; the rows themselves are not kept. */
import { say, type Phrase } from '../../0-base';
import type { Walk } from '../../model';
import { laidEven, type EvenTurning } from './evenTurning';
import { lessItsLine, pathsTurned, type PictureShifts } from './pictureTurned';
import { shakeIn } from './shake';
import { angleOf, rmsOf } from './turned';

export type WalkFigures = Pick<Walk, 'seconds' | 'rate' | 'pan' | 'tilt' | 'roll' | 'horizon'>;
type Outcome = { readonly ok: true; readonly figures: WalkFigures } | { readonly ok: false; readonly reason: Phrase };

const TOO_SHORT = say`That is less than five seconds: a start and a stop, no walk.`;

/** Of a gyro’s log. It tells no steady lean, so the horizon’s wander is that of its slow way about the straight line nearest to it. */
export function walkOfGyro(even: EvenTurning): Outcome {
  const { rate } = even;
  return figuresOf(angleOf(even.pan, rate), angleOf(even.tilt, rate), angleOf(even.roll, rate), rate);
}

/** Of a clip: `stamps` of its frames, s, one more than shifts; `focal` is its focal length in pixels. */
export function walkOfClip(shifts: PictureShifts, focal: number, stamps: Float64Array): Outcome {
  if (stamps.length < 2) return { ok: false, reason: TOO_SHORT };
  const { panLeft, tiltUp, leftSideUp } = pathsTurned(shifts, focal);
  const [pan, tilt, roll] = [panLeft, tiltUp, leftSideUp].map((path) => laidEven(stamps, path));
  return figuresOf(pan!.values, tilt!.values, roll!.values, pan!.rate);
}

function figuresOf(pan: Float64Array, tilt: Float64Array, roll: Float64Array, rate: number): Outcome {
  const [shakenPan, shakenTilt, shakenRoll] = [shakeIn(pan, rate), shakeIn(tilt, rate), shakeIn(roll, rate)];
  if (!shakenPan || !shakenTilt || !shakenRoll) return { ok: false, reason: TOO_SHORT };
  const kept = ({ rms, peak, strongest, bands }: NonNullable<ReturnType<typeof shakeIn>>): Walk['pan'] => ({
    rms,
    peak,
    strongest,
    bands: [...bands],
  });
  return {
    ok: true,
    figures: {
      seconds: pan.length / rate,
      rate,
      pan: kept(shakenPan),
      tilt: kept(shakenTilt),
      roll: kept(shakenRoll),
      horizon: rmsOf(lessItsLine(shakenRoll.meant).left),
    },
  };
}

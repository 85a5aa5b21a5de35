import {
  angleForFraction,
  edgeShiftByRoll,
  fieldOfView,
  frameFraction as fraction,
  smearFraction,
} from '@tide-pebble/core';
import type { CaseKind } from '../physicsCase';

export const frameFraction: CaseKind = {
  kind: 'frameFraction',
  compute: ({
    focalLength: f,
    sensorWidth: w,
    sensorHeight: h,
    angle,
    roll,
    wantedFraction,
    amplitudeAndFrequency,
    exposure,
  }) => ({
    horizontalFieldOfView: fieldOfView(w, f),
    ...(angle === undefined ? {} : { fractionOfWidth: fraction(angle, w, f) }),
    ...(h === undefined ? {} : { verticalFieldOfView: fieldOfView(h, f), fractionOfHeight: fraction(angle, h, f) }),
    ...(h === undefined || roll === undefined ? {} : { edgeShiftByRollFractionOfHeight: edgeShiftByRoll(roll, w, h) }),
    ...(wantedFraction === undefined ? {} : { angleForFraction: angleForFraction(wantedFraction, w, f) }),
    ...(amplitudeAndFrequency === undefined
      ? {}
      : {
          largestSmearFraction: smearFraction(
            { amplitude: amplitudeAndFrequency[0], frequency: amplitudeAndFrequency[1], exposure },
            w,
            f,
          ),
        }),
  }),
};

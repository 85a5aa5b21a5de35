/** What moves: the phone’s own sensors, and a simulated phone on a walk that ships, which can be at fault as a real one can. */
import type { PhoneSample } from '@tide-pebble/core/making';
import { concatAll, fromEvent, interval, map, Observable, switchMap, take, throwError, timeout, timer } from 'rxjs';

export interface TurningSample {
  /** s, by the sensor’s own clock. */
  readonly time: number;
  /** About the phone’s own axes, deg/s, as browsers tell it. */
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** What bears it along the same axes, m/s², as browsers tell it; not told by what only turns. */
  readonly borne?: readonly [number, number, number];
}
/** In the core's units. */
export const sampled = ({ time, x, y, z, borne }: TurningSample): PhoneSample => ({
  time,
  turning: [x * PER_DEGREE, y * PER_DEGREE, z * PER_DEGREE],
  borne: borne ?? [NaN, NaN, NaN],
});
const PER_DEGREE = Math.PI / 180;

export interface MotionSensor {
  readonly name: string;
  /** Samples till it is left; an error says in words why there are none. */
  listen(): Observable<TurningSample>;
}

export const SILENT_MS = 2500;
type AsksFirst = typeof DeviceMotionEvent & { requestPermission?: () => Promise<string> };

/** Null where the browser has none, or keeps it from pages without https. */
export function ownSensor(): MotionSensor | null {
  if (typeof DeviceMotionEvent === 'undefined' || !isSecureContext) return null;
  return {
    name: 'this phone',
    listen: () =>
      new Observable<TurningSample>((listener) => {
        const ask = (DeviceMotionEvent as AsksFirst).requestPermission?.bind(DeviceMotionEvent);
        const asked = ask ? ask() : Promise.resolve('granted');
        let inner = { unsubscribe: (): void => undefined };
        asked.then(
          (answer) => {
            if (answer !== 'granted') return listener.error(new Error(DENIED));
            inner = fromEvent<DeviceMotionEvent>(window, 'devicemotion')
              .pipe(
                timeout({ first: SILENT_MS, with: () => throwError(() => new Error(ASLEEP)) }),
                map(({ timeStamp, rotationRate, accelerationIncludingGravity: borne }) => ({
                  time: timeStamp / 1000,
                  x: rotationRate?.beta ?? NaN,
                  y: rotationRate?.gamma ?? NaN,
                  z: rotationRate?.alpha ?? NaN,
                  borne: [borne?.x ?? NaN, borne?.y ?? NaN, borne?.z ?? NaN] as const,
                })),
              )
              .subscribe(listener);
          },
          () => listener.error(new Error(DENIED)),
        );
        return () => inner.unsubscribe();
      }),
  };
}

export const DENIED = 'The phone keeps its gyroscope to itself: allow motion for this page in its settings.';
export const ASLEEP = 'No turning came from a gyroscope: this machine may have none, or it sleeps.';

export const FAULTS = ['none', 'noisy', 'stuck', 'asleep', 'denied'] as const;
export type SensorFault = (typeof FAULTS)[number];

/** How far a walk turns it, rad: peaks about the picture’s tilt, pan and roll. */
export interface Walked {
  readonly tilt: number;
  readonly pan: number;
  readonly roll: number;
}
const RATE = 100;
/** It plays so many times as fast as a walk. */
const QUICK = 25;
/** Steps a second of whoever carries it. */
const PACE = 1.8;
const NOISE_DEG = 0.03;

/** A phone held upright behind the camera, carried by someone who never walks twice alike. */
export function simulatedSensor(walked: Walked, fault: SensorFault, chance: () => number): MotionSensor {
  return {
    name: 'a simulated phone',
    listen: () => {
      if (fault === 'denied') return throwError(() => new Error(DENIED));
      if (fault === 'asleep') return timer(SILENT_MS / 5).pipe(switchMap(() => throwError(() => new Error(ASLEEP))));
      const pace = PACE * (1 + 0.05 * (chance() - 0.5));
      const strength = 0.8 + 0.4 * chance();
      const phases = Array.from({ length: 6 }, () => 2 * Math.PI * chance());
      const rate = (peak: number, tones: readonly (readonly [number, number, number])[], t: number): number =>
        tones.reduce((sum, [share, frequency, phase]) => {
          const w = 2 * Math.PI * frequency;
          return sum + ((strength * peak * share * w * 180) / Math.PI) * Math.cos(w * t + phases[phase]!);
        }, 0);
      const noise = NOISE_DEG * (fault === 'noisy' ? 200 : 1);
      const sample = (i: number): TurningSample => {
        const t = i / RATE;
        const noisy = (): number => noise * (chance() + chance() + chance() - 1.5);
        if (fault === 'stuck' && t > 2) return { time: t, x: 0.4, y: 0.4, z: 0.4 };
        return {
          time: t,
          // Upright: it tilts about x, pans about y, rolls about z.
          x: 0.6 + noisy() + rate(walked.tilt, [[0.7, pace, 0], [0.3, 2 * pace, 1]], t), // prettier-ignore
          y: -0.2 + noisy() + rate(walked.pan, [[0.7, pace / 2, 2], [0.3, pace, 3]], t), // prettier-ignore
          z: noisy() + rate(walked.roll, [[0.7, pace / 2, 4], [0.3, pace, 5]], t), // prettier-ignore
        };
      };
      const portion = RATE / 10;
      return interval(100 / QUICK).pipe(
        take(3600 * 10),
        map((n) => Array.from({ length: portion }, (_, i) => sample(n * portion + i))),
        concatAll(),
      );
    },
  };
}

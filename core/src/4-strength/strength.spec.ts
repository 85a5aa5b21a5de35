import { pinPlay } from '../2-frame';
import { preload, requiredEngagement, screwFit, slipTwist, stackHeight, suitableLengths, withFewestWashers } from '.';

const layers = [
  { name: 'plate', thickness: 0.006 },
  { name: 'washer', thickness: 0.0016, count: 2 },
];
const socket = { threadDiameter: 0.00635, pitch: 0.00127, depth: 0.0055, engagementDiameters: 0.7 };

describe('a screw through a stack', () => {
  it('engages by what is left of it', () => {
    expect(stackHeight(layers)).toBeCloseTo(0.0092, 12);
    const fit = screwFit(0.0142, layers, socket);
    expect(fit.engagement).toBeCloseTo(0.005, 12);
    expect(fit.turns).toBeCloseTo(0.005 / 0.00127, 12);
    expect([fit.enough, fit.bottoms]).toEqual([true, false]);
  });
  it('is enough at just the need and bottoms only past the socket’s depth', () => {
    const need = requiredEngagement(socket);
    const at = (engagement: number) => screwFit(stackHeight(layers) + engagement, layers, socket);
    expect(at(need).enough).toBeTrue();
    expect(at(need - 1e-6).enough).toBeFalse();
    expect(at(socket.depth).bottoms).toBeFalse();
    expect(at(socket.depth + 1e-6).bottoms).toBeTrue();
    expect(screwFit(1, layers, { ...socket, depth: null }).bottoms).toBeFalse();
  });
  it('is chosen from stock, with spare washers where none fits as it is', () => {
    expect(suitableLengths([0.016, 0.014, 0.0127], layers, socket)).toEqual([0.014]);
    expect(suitableLengths([0.016], layers, socket)).toEqual([]);
    expect(withFewestWashers([0.016], layers, socket, 0.0016)).toEqual({ length: 0.016, washers: 1 });
    expect(withFewestWashers([0.005], layers, socket, 0.0016)).toBeNull();
  });
});

describe('play and clamping', () => {
  const play = { pin: 0.0043, pinHole: 0.0046, pinToScrew: 0.0121 };
  it('grows with the holes and is nil for a tight pin', () => {
    expect(pinPlay({ ...play, pinHole: play.pin })).toBe(0);
    expect(pinPlay(play)).toBeCloseTo(0.00015 / 0.0121, 6);
    expect(pinPlay({ ...play, screw: 0.006, screwHole: 0.0064 })).toBeGreaterThan(pinPlay(play));
    expect(pinPlay({ ...play, pinHole: 1 })).toBeCloseTo(Math.PI, 12);
  });
  it('of a thin ring is friction times force times radius', () => {
    expect(preload(0.8, 0.2, 0.008)).toBeCloseTo(500, 9);
    expect(slipTwist(0.4, 500, 0.0101, 0.0099)).toBeCloseTo(0.4 * 500 * 0.01, 3);
  });
});

/** How far a camera can turn on its screw when a pin beside it sits loosely in its hole. */

/**
 * Worst turn each way (rad): the screw may shift by half its play one way and the pin by half of its the other, so the
 * chord at the pin is their sum and the turn 2 asin(sum/(2 r)). Exact for round pins in round holes. Lengths in m.
 */
export function pinPlay(play: {
  pin: number;
  pinHole: number;
  pinToScrew: number;
  screw?: number;
  screwHole?: number;
}): number {
  const atPin = (play.pinHole - play.pin) / 2;
  const atScrew = play.screw !== undefined && play.screwHole !== undefined ? (play.screwHole - play.screw) / 2 : 0;
  return 2 * Math.asin(Math.min(1, (atPin + atScrew) / (2 * play.pinToScrew)));
}

/** What a trim found, in words: the result, or which want and which limit are in each other's way. */
import { figure, showFigure, type Adjuster, type TrimOutcome, type UnitChoice } from '@tide-pebble/core';

export function trimWords(outcome: TrimOutcome, adjusters: readonly Adjuster[], units: UnitChoice): string {
  const say = (kind: 'length' | 'mass' | 'time' | 'angle', value: number, decimals?: number): string => showFigure(figure(kind, value, decimals), units);
  switch (outcome.kind) {
    case 'notHung': return 'This rig hangs on no joint, so there is nothing to trim yet.';
    case 'tooLarge': return `${outcome.combinations.toLocaleString('en-GB')} ways to put the washers on are more than this trim tries. Shorten the bolts.`;
    case 'solved': return `Trimmed with ${say('mass', outcome.addedMass)} of washers: no lighter way does it.${outcome.ties > 1 ? ` ${outcome.ties} ways weigh the same; this one lies nearest the middle of the drop time.` : ''}`;
    case 'noSolution': {
      const name = adjusters.find((a) => a.id === outcome.adjuster)?.name.toLowerCase() ?? 'stage';
      const why = {
        topHeavy: `even with the bolts full the mass centre stays ${say('length', outcome.shortBy, 1)} above the pivot. Hang the foot lower with a wider bend, give the bolts more room, or raise the pivot.`,
        slideTravel: `the ${name} would have to go ${say('length', outcome.shortBy, 1)} further than it can. Move the stage on the bar by that much.`,
        dropTooShort: `the nearest falls ${say('time', outcome.shortBy, 2)} too fast. Lower the pivot a little, or want a shorter drop.`,
        dropTooLong: `the nearest takes ${say('time', outcome.shortBy, 2)} too long. Raise the pivot a little, or want a longer drop.`,
        slideStep: `the finest step of the slide still leaves it ${say('angle', outcome.shortBy, 1)} beyond level. A shorter drop is less touchy.`,
      }[outcome.obstacle];
      return `It cannot be trimmed: ${why} Nothing was changed.`;
    }
  }
}

/** Every length of the family a little shorter or longer: a shorter reach, weight nearer, a wider stance. */
import { figure } from '../../../0-base';
import type { Stiffener } from '../stiffener';

const PARTS = [0.8, 0.9, 1.1];
/** To a whole millimetre, as it is sawn. */
const whole = (value: number): number => Math.round(value * 1000) / 1000;

export const sizes: Stiffener = {
  id: 'sizes',
  tries: ({ family, input }) =>
    family && input
      ? family.dimensions
          .filter((d) => !d.given && d.kind === 'length')
          .flatMap((d) => {
            const now = input.dimensions[d.id]!;
            return PARTS.map((part) => whole(now * part))
              .filter((value) => value >= d.range[0] && value <= d.range[1] && Math.abs(value - now) > 1e-9)
              .map((value) => ({
                name: d.name,
                to: [figure('length', value)],
                changes: [{ kind: 'dimension' as const, id: d.id, value }],
              }));
          })
      : [],
};

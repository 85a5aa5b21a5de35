/** Every other choice of the family: wall, pipe, bar, rails, screws. */
import type { Stiffener } from '../stiffener';

const OPTIONS_AT_MOST = 16;

export const choices: Stiffener = {
  id: 'choices',
  tries: ({ family, input }) =>
    family && input
      ? family.choices.flatMap((c) =>
          c.options
            .filter((o) => o.id !== input.choices[c.id])
            .slice(0, OPTIONS_AT_MOST)
            .map((o) => ({ name: c.name, to: [o.name], changes: [{ kind: 'choice', id: c.id, value: o.id }] })),
        )
      : [],
};

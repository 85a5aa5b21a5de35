/** Hammer the end of a tube flat, before a hole goes through it. */
import { figure, say } from '../../0-base';
import { flattenId, type StepMaker } from '../step';

export const flattening: StepMaker = {
  id: 'flattening',
  place: 25,
  make: ({ rig }) =>
    rig.bodies
      .flatMap((b) => b.members)
      .flatMap((m) =>
        m.flattened === undefined
          ? []
          : [
              {
                id: `flatten:${m.id}`,
                about: m.id,
                final: true,
                minutes: 10,
                needs: [`cut:${m.id}`, `deburr:${m.id}`],
                makes: [flattenId(m.id)],
                handles: [m.id],
                title: say`Hammer the end of the ${m.name} flat`,
                tool: 'hammer, vise or anvil',
                figures: [say`${figure('length', m.flattened)} of it, a little at a time`],
                moves: [
                  say`Draw the line where the flat ends, and which way it faces.`,
                  say`Squeeze it in the vise to the line, half way at first; turn it over, then all the way.`,
                  say`Hammer it flat on the anvil, from the line outwards.`,
                ],
                check: say`Both walls lie on each other, the flat in line with the tube, and no crack at the fold.`,
                trial: say`Flatten the end of an offcut first: some tubes crack, and are warmed or taken thicker.`,
                wrong: say`Cracked or askew: saw the flat off, if the tube is long enough, and begin again.`,
                caution: 'Glasses on. A crack at the fold runs: cut it off and begin again.',
              },
            ],
      ),
};

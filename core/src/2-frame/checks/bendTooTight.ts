/** A bend stretches its outer skin; past the metal's elongation it cracks. */
import { figure, materialOf, say } from '../../0-base';
import { outerStrain } from '../members/bend';
import type { FrameCheck } from '../frameCheck';

/** Part of the elongation at break that a hand bend may use: bar stock varies, edges are rough. */
const SHARE = 0.6;

export const bendTooTight: FrameCheck = {
  id: 'bendTooTight',
  look: ({ rig }) =>
    rig.bodies
      .flatMap((body) => body.members)
      .flatMap((member) => {
        const material = materialOf(member.stock.material, rig.materials);
        const { section } = member.stock;
        if (member.path.kind !== 'bent' || section.kind !== 'flat' || !material) return [];
        return member.path.segments.flatMap((segment) => {
          if (!('angle' in segment)) return [];
          const strain = outerStrain(segment.insideRadius, section.thickness, segment.neutralFraction);
          const limit = material.elongation * SHARE;
          if (strain <= limit) return [];
          const k = segment.neutralFraction;
          const radius = ((1 - k) * section.thickness) / limit - k * section.thickness;
          return [
            {
              code: 'bendTooTight',
              severity: strain > material.elongation ? ('stop' as const) : ('mend' as const),
              about: member.id,
              figure: figure('percent', strain),
              limit: figure('percent', limit),
              title: say`The bend stretches the bar's outer skin by ${figure('percent', strain)}; ${material.name} stands ${figure('percent', limit)} by hand.`,
              why: say`It breaks at about ${figure('percent', material.elongation)}, and cracks start at rough edges before that.`,
              toDo: say`Bend to ${figure('length', radius)} inside or more, or take a thinner or softer bar.`,
              fixes: [],
            },
          ];
        });
      }),
};

/** Axes inside axes: each must carry its mass on its own axis; balanced from the inside out, as far as friction hides the rest. */
import { figure, length, say, type Finding } from '../../../../0-base';
import { placedPieces, valuesInOrder, type AdjusterValues } from '../../../../2-frame';
import type { BalanceCheck } from '../../../balanceCheck';
import { axesGap } from '../nestedAxes';
import { axesIn, balancedAxes } from '../turning';

/** Axes of a cradle that miss one another by more than this cannot all be balanced at once, m. */
const MISS = 0.001;

export const axesBalanced: BalanceCheck = {
  id: 'axesBalanced',
  stage: 'balance',
  look: ({ assembly, values, evaluation: { axes } }) => {
    const off = axes.findIndex((a) => a.residual > a.friction);
    const findings: Finding[] = [];
    if (off >= 0) {
      const read = (v: AdjusterValues) => axesIn(assembly, valuesInOrder(assembly.rig, v), placedPieces(assembly, v));
      const set = balancedAxes(assembly, values, read);
      const after = read(set);
      const changes = assembly.rig.adjusters.flatMap((a) =>
        set[a.id] !== undefined && Math.abs(set[a.id]! - (values[a.id] ?? a.value)) > a.step / 2
          ? [{ kind: 'adjuster' as const, id: a.id, value: set[a.id]! }]
          : [],
      );
      const better =
        changes.length > 0 &&
        length(after.map((a) => Math.max(0, a.residual - a.friction)) as unknown as [number, number, number]) <
          length(axes.map((a) => Math.max(0, a.residual - a.friction)) as unknown as [number, number, number]) - 1e-9;
      axes.forEach((axis, i) => {
        if (axis.residual <= axis.friction) return;
        findings.push({
          code: 'axisOffBalance',
          severity: 'mend',
          about: axis.pivot.id,
          figure: figure('torque', axis.residual, 3),
          limit: figure('torque', axis.friction, 3),
          title: say`The ${axis.pivot.name} is pulled round by ${figure('torque', axis.residual, 3)}.`,
          why: say`What it carries, ${figure('mass', axis.carriedMass)}, has its mass centre ${figure('length', axis.distance, 1)} off the axis; its friction hides ${figure('torque', axis.friction, 3)}.${i > off ? ' Balance the axes inside it first.' : ''}`,
          toDo:
            after[i]!.residual <= axis.friction
              ? say`Set the slides from the inside out.`
              : say`The slides alone leave ${figure('torque', after[i]!.residual, 3)}: move the part that is out, or put a weight opposite.`,
          fixes:
            i === off && better
              ? [{ label: say`Set ${changes.length === 1 ? 'the slide' : 'all slides'}, inside first`, changes }]
              : [],
        });
      });
    }
    for (let i = 1; i < axes.length; i++) {
      const [a, b] = [axes[i - 1]!, axes[i]!];
      if (!a.pivot.axis || !b.pivot.axis) continue;
      const gap = axesGap(
        { axisPoint: a.at, axisDirection: a.pivot.axis },
        { axisPoint: b.at, axisDirection: b.pivot.axis },
      );
      if (gap <= MISS) continue;
      findings.push({
        code: 'axesMiss',
        severity: 'note',
        about: b.pivot.id,
        figure: figure('length', gap, 1),
        limit: figure('length', MISS, 1),
        title: say`The ${a.pivot.name} and the ${b.pivot.name} miss one another by ${figure('length', gap, 1)}.`,
        why: say`Balanced in one attitude the outer one is out in another.`,
        toDo: say`Make them cross: square the jig, or shim one bearing.`,
        fixes: [],
      });
    }
    return findings;
  },
};

/** Bend before drilling: a hole in or near a bend pulls it out of round. */
import { figure, say } from '../../0-base';
import type { StepMaker } from '../step';

export const bending: StepMaker = {
  id: 'bending',
  place: 30,
  make: ({ bars }) =>
    bars.flatMap((bar) =>
      bar.bends.map((bend, i) => ({
        id: `bend:${bar.member}:${i + 1}`,
        about: bar.member,
        final: true,
        minutes: 20,
        needs: [`mark:${bar.member}`, ...(i > 0 ? [`bend:${bar.member}:${i}`] : [])],
        makes: [bar.marks.filter((m) => m.kind === 'bendMiddle')[i]!.id],
        handles: [bar.member],
        title: say`Bend the ${bar.name} to ${figure('angle', bend.angle, 0)}`,
        tool: 'round former, clamps, bench',
        figures: bend.former
          ? [
              say`former ${figure('length', bend.former.radius, 0)} in radius: it springs open to ${figure('length', bend.insideRadius, 0)}`,
              say`pull it round to ${figure('angle', bend.former.overbendAngle, 0)}, then let go`,
            ]
          : [say`inside radius ${figure('length', bend.insideRadius, 0)}`],
        check: say`Lay it on a flat table: both ends touch along their whole width, so the bend stays in its plane.`,
        caution: 'It springs back hard. Keep your face out of its plane and clamp both the former and the bar.',
      })),
    ),
};

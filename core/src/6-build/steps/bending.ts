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
        moves: [
          say`Clamp the former to the bench and the bar on it, its middle line across the former’s top.`,
          say`Pull the long end round a little at a time, by the bar’s own length and not by a hammer.`,
          say`Hold the paper of the finished curve against it after each pull, and lay it flat: it must not have turned.`,
          say`Let go, measure what it opened to, and pull again by so much.`,
        ],
        check: say`Lay it on a flat table: both ends touch along their whole width, so the bend stays in its plane.`,
        trial: say`Bend a scrap of the same bar round the same former first: how far it opens is this bar’s own.`,
        wrong: say`Short of its angle: pull it round again. Too far: open it once and a little; the same place bent back and forth cracks. A little off: type what it is, the last hole and the trim may make up for it.`,
        caution: 'It springs back hard. Keep your face out of its plane and clamp both the former and the bar.',
      })),
    ),
};

/** What is put together: what lies ready before glue is opened, how tight screws go, what to do when it sits wrong. */
import { materialOf, say, type Phrase } from '../0-base';
import type { Connection } from '../2-frame';
import type { Rig, StatedConnection } from '../model';
import { counted, different } from './joinedAs';
import type { BuildStep } from './step';
import { sticksBy, type Sticks } from './sticksBy';

export function joinCare(
  connections: readonly Connection[],
  stated: ReadonlyMap<string, StatedConnection>,
  rig: Rig,
  {
    pieces,
    tools,
    dries,
  }: { readonly pieces: readonly string[]; readonly tools: readonly string[]; readonly dries: number },
): Pick<BuildStep, 'ready' | 'tight' | 'wrong'> {
  const sticks = [...new Set(connections.flatMap((c) => sticksBy(c, stated.get(c.id), rig) ?? []))];
  const tight = different(
    connections.flatMap((c) => {
      const words = tightnessOf(c, stated.get(c.id), rig);
      return words ? [words] : [];
    }),
  );
  return {
    ...(sticks.length > 0 && dries > 0
      ? {
          ready: say`Before it is opened or lit, within reach: ${reach(pieces, tools).join('; ')}.`,
        }
      : {}),
    ...(tight.length > 0 ? { tight: tight.flatMap((t, i) => (i === 0 ? t : [' ', ...t])) } : {}),
    ...(sticks[0] ? { wrong: say`${WRONG[sticks[0]]}` } : {}),
  };
}

/** Each once: solder is a piece and a tool. */
const reach = (pieces: readonly string[], tools: readonly string[]): readonly string[] => [
  ...new Set([...counted(pieces), ...tools.flatMap((t) => t.split(', ')), 'a rag', 'a clock']),
];

const WRONG: Readonly<Record<Sticks, string>> = {
  cement:
    'Askew: turn it in the first seconds, or never. Set askew: saw the pipe beside the fitting, and join it anew with a coupling or a new fitting.',
  pvcCement: 'Askew: turn it in the first seconds, or never. Set askew: saw it off and glue a new piece.',
  cpvcCement: 'Askew: turn it in the first seconds, or never. Set askew: saw it off and glue a new piece.',
  solder:
    'Askew or not filled: heat it again and pull it apart or turn it, clean it bright, flux it and solder it anew.',
  wood: 'Slid: take it apart and wipe it while it is wet. Set askew: saw along the joint, plane both faces and glue anew.',
  contact: 'It grabs where it touches: askew, peel it off at once, and lay on both coats anew.',
  epoxy:
    'Slid: take it apart and wipe it with spirit while it is wet. Set askew in metal: warm it until it gives, scrape it clean, roughen it and glue anew.',
  weld: 'Askew: only whoever welds can cut and weld it anew.',
};

/** By what it ends in, and by the softest that it squeezes. */
function tightnessOf(c: Connection, of: StatedConnection | undefined, rig: Rig): Phrase | null {
  if (of?.kind === 'bolted') {
    if (of.end.kind === 'camera') return say`Finger tight and no more: a camera’s thread is soft.`;
    if (of.end.kind === 'wing') return say`The wing nut by fingers alone.`;
    const looks = new Set((c.stack ?? []).flatMap((l) => lookOf(l.piece, rig) ?? []));
    if (of.stack.some((l) => l.kind === 'bare'))
      return say`The nuts against each other, firm by two spanners; what turns must still turn.`;
    if (of.end.kind === 'tapped' && of.end.in === 'plastic')
      return say`By hand until the head sits, then an eighth of a turn: plastic strips.`;
    if (looks.has('rubber')) return say`By hand until the rubber begins to bulge, no further.`;
    if (looks.has('wood')) return say`Until the washer begins to bite into the wood, no further.`;
    if (looks.has('plastic'))
      return say`By hand until nothing rattles, then a quarter of a turn: plastic creeps under more.`;
    return say`Firm with a short spanner, about a quarter of a turn past hand tight.`;
  }
  switch (c.kind) {
    case 'screwedIn':
      return say`Until its head draws up, not a turn more: it strips in wood and plastic.`;
    case 'clamped':
      return say`Until it cannot be pushed or twisted by hand; then see that it has not dented what it holds.`;
    case 'socketed': {
      const joint = rig.bodies.flatMap((b) => b.joints).find((j) => j.id === c.pieces[1]);
      if (joint?.hold === 'threaded')
        return say`By hand as far as it goes, then a quarter to half a turn with two wrenches, to where it points right.`;
      if (joint?.hold === 'setScrew') return say`The screw by a short key until it marks the pipe.`;
      return null;
    }
    default:
      return null;
  }
}

function lookOf(piece: string, { bodies, materials }: Rig): string | null {
  for (const { members, parts } of bodies) {
    const id = members.find((m) => m.id === piece)?.stock.material ?? parts.find((p) => p.id === piece)?.material;
    if (id) return materialOf(id, materials)?.look ?? null;
  }
  return null;
}

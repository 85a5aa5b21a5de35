/** What each stiffening buys: every other choice and every size a tenth shorter or longer, each made, reckoned whole and looked at by all checks. */
import { figure, length, type Change, type Phrase } from '../../0-base';
import { changedDesign, type AdjusterValues } from '../../2-frame';
import { strengthOf } from '../../4-strength';
import type { KitItem, Loadout, RigDocument } from '../../model';
import { judged, workpiece, type Workpiece } from '../derive';

export interface StiffenInput {
  readonly rig: RigDocument;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly values: AdjusterValues;
  readonly pose: string | null;
  readonly bump: number;
}
export interface Stiffened {
  /** Lowest frequency, Hz; sag at the camera, m; turn of the lens in a walk, rad; least reserve over what it should be; kg. */
  readonly frequency: number;
  readonly sag: number;
  readonly walk: number;
  readonly reserve: number;
  readonly mass: number;
}
export interface Stiffening extends Stiffened {
  readonly name: string;
  readonly to: Phrase;
  readonly changes: readonly Change[];
  /** Findings to stop at or mend that it brings. */
  readonly brings: readonly Phrase[];
}
export interface Stiffenings {
  readonly now: Stiffened;
  /** Those that ring at least a hundredth higher, the highest first. */
  readonly better: readonly Stiffening[];
  /** Changes that were tried. */
  readonly tried: number;
}

/** A change of less is not worth a line. */
const WORTH = 1.01;
const OPTIONS_AT_MOST = 16;

/** Null where it cannot be reckoned as it is. */
export function stiffenings(input: StiffenInput, tell: (part: number) => void = () => undefined): Stiffenings | null {
  const { rig, loadout, kit } = input;
  const made = workpiece(rig, loadout, kit);
  if (!made.ok) return null;
  const now = reckoned(made.work, input);
  const { family, input: sizes } = made.work;
  if (!now || !family || !sizes) return now ? { now, better: [], tried: 0 } : null;
  const known = new Set(faultsOf(made.work, input).map((f) => f.key));
  const tries = [
    ...family.choices.flatMap((c) =>
      c.options
        .filter((o) => o.id !== sizes.choices[c.id])
        .slice(0, OPTIONS_AT_MOST)
        .map((o) => ({
          name: c.name,
          to: [o.name] as Phrase,
          change: { kind: 'choice', id: c.id, value: o.id } as const,
        })),
    ),
    ...family.dimensions
      .filter((d) => !d.given && d.kind === 'length')
      .flatMap((d) =>
        [0.8, 0.9, 1.1]
          .map((part) => Math.round(sizes.dimensions[d.id]! * part * 1000) / 1000)
          .filter(
            (value) => value >= d.range[0] && value <= d.range[1] && Math.abs(value - sizes.dimensions[d.id]!) > 1e-9,
          )
          .map((value) => ({
            name: d.name,
            to: [figure('length', value)] as Phrase,
            change: { kind: 'dimension', id: d.id, value } as const,
          })),
      ),
  ];
  const better = tries.flatMap(({ name, to, change }, i): Stiffening[] => {
    tell(i / tries.length);
    const design = changedDesign(rig.design, [change], () => 'try');
    const tried = workpiece({ ...rig, design }, loadout, kit);
    const got = tried.ok ? reckoned(tried.work, input) : null;
    if (!tried.ok || !got || got.frequency < WORTH * now.frequency) return [];
    const brings = faultsOf(tried.work, input).filter((f) => !known.has(f.key));
    return [{ ...got, name, to, changes: [change], brings: brings.map((b) => b.title) }];
  });
  return { now, better: better.sort((a, b) => b.frequency - a.frequency), tried: tries.length };
}

function reckoned({ assembly }: Workpiece, { values, pose, bump }: StiffenInput): Stiffened | null {
  const { poses } = assembly.rig;
  const outcome = strengthOf({
    assembly,
    values,
    pose: poses.find((p) => p.id === pose) ?? poses[0] ?? null,
    bump,
    modes: 3,
    ranges: false,
  });
  if (outcome.kind !== 'solved') return null;
  const { modes, sag, walk, strains, frame } = outcome.strength;
  const lowest = modes.find((m) => m.livesIn[0]?.kind !== 'held');
  if (!lowest) return null;
  return {
    frequency: lowest.frequency,
    sag: sag ? length(sag.displacement) : 0,
    walk: walk ? length(walk.peak) : 0,
    reserve: strains[0] ? strains[0].reserve / strains[0].wanted : Infinity,
    mass: frame.pieces.reduce((m, p) => m + p.mass, 0),
  };
}

const faultsOf = (
  work: Workpiece,
  { values, rig }: StiffenInput,
): readonly { readonly key: string; readonly title: Phrase }[] =>
  judged(work, values, rig.wants).findings.flatMap((f) =>
    f.severity === 'stop' || f.severity === 'mend' ? [{ key: `${f.code} ${f.about}`, title: f.title }] : [],
  );

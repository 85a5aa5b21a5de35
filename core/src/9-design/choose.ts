/** Which family for these shots and this load: each sized to it, figured out, and ranked with its reasons. */
import { figure, say, type Gauge, type Phrase } from '../0-base';
import { FAMILIES, breakDown, type Family, type Suitability } from '../2-frame';
import { leadingWay, type Endurance, type Verdict } from '../3-balance';
import { MOTIONS, seenIn, type Seen } from '../3-balance/bench';
import { FELT_BELOW, FIRM_ABOVE } from '../4-strength';
import { judged, workpiece } from './derive';
import type { BinItem, Hands, KitItem, Loadout, Wants } from '../model';
import { startRig, type Start } from './startRig';
import { firmnessOf } from './strength/firmness';
import { verdictWith } from './strength/verdictWith';
import { stockPlan } from '../5-stock';
import { buildSteps, inStatedOrder } from '../6-build';

/** What the maker wants to shoot and has to build with. Empty lists and nulls ask for nothing. */
export interface Wishes {
  readonly carries: readonly Suitability['carries'][number][];
  readonly moves: readonly Suitability['moves'][number][];
  readonly hands: 1 | 2 | null;
  readonly wet: boolean;
  /** Hours at the bench, money, and kg at most. */
  readonly hours: number | null;
  readonly money: number | null;
  readonly mass: number | null;
  /** Tools the maker has; null when they have not said. */
  readonly tools: readonly string[] | null;
}
export interface Reason {
  readonly good: boolean;
  readonly text: Phrase;
}
export interface Candidate {
  readonly family: string;
  readonly start: Pick<Start, 'design' | 'values'>;
  readonly mass: number;
  /** How far it sways in a walk, beside the bare camera in the same hands; null where no hand swings it. */
  readonly seen: Seen | null;
  /** The three readouts of the way it is borne, the most telling first. */
  readonly readouts: readonly Gauge[];
  /** How long its first pose can be held; null for a rig that no hand holds. */
  readonly holds: Endurance | null;
  /** Longest packed piece, m, and how many there are. */
  readonly longestPiece: number;
  readonly pieces: number;
  readonly cost: number;
  readonly hours: number;
  /** Glue and solder that must set, beside the hours, s. */
  readonly dries: number;
  readonly tools: readonly string[];
  readonly stops: readonly Phrase[];
  /** What every screen says of it. */
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
  /** Wishes met less wishes missed: only for the order. */
  readonly score: number;
}

export interface ChooseInput {
  readonly wishes: Wishes;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly wants: Wants;
  readonly hands?: Hands;
  /** What is not bought: left out, nothing is at hand. */
  readonly bin?: readonly BinItem[];
}

/** Best first. */
export function chooseFamilies(input: ChooseInput, families: readonly Family[] = FAMILIES): readonly Candidate[] {
  return families.map((f) => candidate(f, input)).sort((a, b) => b.score - a.score || a.mass - b.mass);
}

const KERF = 0.0015;
const WALK = MOTIONS.find((m) => m.id === 'walk')!;

export function candidate(family: Family, input: ChooseInput): Candidate {
  const { loadout, kit, wants, hands } = input;
  return candidateOf(family, startRig(family, loadout, kit, wants, hands), input);
}

/** As it is started. */
export function candidateOf(family: Family, start: Candidate['start'], input: ChooseInput): Candidate {
  const { wishes, loadout, kit, wants, hands, bin = [] } = input;
  const made = workpiece({ design: start.design, hands }, loadout, kit);
  if (!made.ok) throw new TypeError(made.reason);
  const { context, evaluation, findings, verdict } = judged(made.work, start.values, wants);
  const { rig } = made.work;
  const stock = stockPlan(rig, start.values, bin, KERF);
  // Hours and tools are the same in any order.
  const ordered = buildSteps(rig, start.values, inStatedOrder(made.work.assembly, start.values));
  const saved = stockPlan(rig, start.values, [], KERF).cost - stock.cost;
  const steps = ordered.kind === 'ordered' ? ordered.steps : [];
  const packed = breakDown(rig, start.values);
  const figures = {
    mass: evaluation.mass,
    seen: evaluation.loadMass > 0 ? seenIn(WALK, context) : null,
    readouts:
      leadingWay(evaluation)
        ?.gauges(context)
        .map((g) => g.gauge) ?? [],
    holds: evaluation.held[0]?.holds ?? null,
    longestPiece: packed.pieces[0]?.box[0] ?? 0,
    pieces: packed.pieces.length,
    cost: stock.cost,
    hours: steps.reduce((sum, s) => sum + s.minutes, 0) / 60,
    dries: Math.max(0, ...steps.map((s) => s.dries ?? 0)),
    tools: [...new Set(steps.flatMap((s) => s.tool.split(', ')))].sort(),
  };
  const firm = firmnessOf({ assembly: made.work.assembly, values: start.values });
  const reasons = [
    ...reasonsFor(
      family,
      { ...figures, load: evaluation.loadMass },
      wishes,
      rig.bodies.reduce((n, b) => n + b.members.length, 0),
    ),
    ...rings(firm.rings?.frequency ?? null),
    ...(saved > 0 ? [{ good: true, text: say`Your bin saves ${figure('money', saved)} of what it costs.` }] : []),
  ];
  const stops = findings.filter((f) => f.severity === 'stop' && f.stage !== 'load').map((f) => f.title);
  return {
    family: family.id,
    start,
    ...figures,
    stops,
    verdict: verdictWith(verdict, firm),
    reasons,
    score: reasons.reduce((s, r) => s + (r.good ? 1 : -1.5), 0) - 2 * stops.length - firm.against.length,
  };
}

function rings(frequency: number | null): readonly Reason[] {
  if (frequency === null) return [];
  const at = figure('frequency', frequency);
  if (frequency < FELT_BELOW) return [{ good: false, text: say`Rings at ${at}: it wobbles at each step.` }];
  return [
    {
      good: true,
      text:
        frequency < FIRM_ABOVE
          ? say`Rings at ${at}: stiff enough, though quick steps may set it ringing.`
          : say`Rings at ${at}: a walk hardly shakes it.`,
    },
  ];
}

type Figures = Pick<
  Candidate,
  'mass' | 'seen' | 'readouts' | 'holds' | 'cost' | 'hours' | 'dries' | 'tools' | 'longestPiece'
> & { readonly load: number };

function reasonsFor({ suits }: Family, f: Figures, wishes: Wishes, cuts: number): readonly Reason[] {
  const reasons: Reason[] = [];
  const add = (good: boolean, text: Phrase): void => void reasons.push({ good, text });
  if (suits.loadAtMost !== undefined)
    add(
      f.load <= suits.loadAtMost,
      say`Made for loads up to ${figure('mass', suits.loadAtMost)}; yours is ${figure('mass', f.load)}.`,
    );
  for (const carry of wishes.carries)
    add(
      suits.carries.includes(carry),
      suits.carries.includes(carry) ? say`Carries ${carry}.` : say`Not made to be carried ${carry}.`,
    );
  for (const move of wishes.moves)
    add(suits.moves.includes(move), suits.moves.includes(move) ? say`Good for ${move}.` : say`Not good for ${move}.`);
  if (wishes.hands !== null)
    add(suits.hands === wishes.hands, suits.hands === 1 ? say`Held in one hand.` : say`Held in both hands.`);
  if (wishes.wet)
    add(suits.wet, suits.wet ? say`Nothing in it minds spray.` : say`Bearings, slides or bare wood suffer in the wet.`);
  if (wishes.mass !== null)
    add(
      f.mass <= wishes.mass,
      f.mass <= wishes.mass
        ? say`${figure('mass', f.mass)} with the load, under your ${figure('mass', wishes.mass)}.`
        : say`${figure('mass', f.mass)} with the load, over your ${figure('mass', wishes.mass)}.`,
    );
  if (wishes.money !== null)
    add(
      f.cost <= wishes.money,
      f.cost <= wishes.money
        ? say`Costs ${figure('money', f.cost)}, within your ${figure('money', wishes.money)}.`
        : say`Costs ${figure('money', f.cost)}, more than your ${figure('money', wishes.money)}.`,
    );
  if (wishes.hours !== null) {
    const dry = f.dries > 0 ? say` and ${figure('time', f.dries, 0)} to set` : [];
    add(f.hours <= wishes.hours, [
      ...say`${figure('count', f.hours, 1)} hours at the bench for ${figure('count', cuts)} cuts`,
      ...dry,
      '.',
    ]);
  }
  if (wishes.tools !== null) {
    const missing = f.tools.filter((t) => !wishes.tools!.some((have) => t.includes(have) || have.includes(t)));
    add(
      missing.length === 0,
      missing.length === 0 ? say`You have every tool it takes.` : say`You would have to borrow: ${missing.join(', ')}.`,
    );
  }
  if (f.seen) {
    const { rig, bare } = f.seen;
    add(
      rig.pitch <= bare.pitch,
      say`In a walk its nose goes ${figure('angle', rig.pitch)}, the bare camera’s ${figure('angle', bare.pitch)}.`,
    );
  }
  // What is out of what is wanted, else the most telling.
  const told = f.readouts.find((g) => g.out) ?? f.readouts[0];
  if (told) add(!told.out, [`${told.name}: `, ...told.figure, ...(told.out ? [' ', ...told.rest] : []), '.']);
  return reasons;
}

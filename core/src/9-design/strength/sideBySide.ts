/** Two rigs side by side in all figures, what differs between them, and what each difference alone does to the first. */
import { figure, type Gauge, type Phrase } from '../../0-base';
import { pieceNames, type AdjusterValues } from '../../2-frame';
import { leadingWay } from '../../3-balance';
import type { JointsHeard } from '../../4-strength';
import type { Design, Edit, KitItem, Loadout, RigDocument } from '../../model';
import { judged, workpiece, type Workpiece } from '../derive';
import { figuresWith, type Stiffened } from './stiffen';
import { USUAL_BUMP } from './strengthReport';

export interface Side {
  readonly rig: RigDocument;
  readonly loadout: Loadout | null;
  readonly values: AdjusterValues;
  readonly joints: JointsHeard;
}
export interface SideBySideInput {
  readonly one: Side;
  readonly other: Side;
  readonly kit: ReadonlyMap<string, KitItem>;
}
export interface SideTold {
  /** Null: how it bends cannot be told. */
  readonly strength: Stiffened | null;
  /** How it is borne, and its three figures. */
  readonly balance: readonly Gauge[];
  readonly faults: readonly Phrase[];
}
export interface Differs {
  readonly name: string;
  readonly from: Phrase;
  readonly to: Phrase;
  /** The first with this alone taken over from the other; null: it cannot be made so. */
  readonly alone: Stiffened | null;
}
export type SideBySide =
  | { readonly kind: 'cannot'; readonly reason: string }
  | {
      readonly kind: 'told';
      readonly one: SideTold;
      readonly other: SideTold;
      /** Empty where they are alike; of rigs of two kinds only what they carry. */
      readonly differs: readonly Differs[];
      /** Both of one kind, so that what differs can be told one at a time. */
      readonly isOneKind: boolean;
    };

interface Difference {
  readonly name: string;
  readonly from: Phrase;
  readonly to: Phrase;
  readonly change: (side: Side) => Side;
}

export function sideBySide(
  { one, other, kit }: SideBySideInput,
  tell: (part: number) => void = () => undefined,
): SideBySide {
  const [first, second] = [one, other].map((side) => workpiece(side.rig, side.loadout, kit)) as [
    ReturnType<typeof workpiece>,
    ReturnType<typeof workpiece>,
  ];
  if (!first.ok) return { kind: 'cannot', reason: first.reason };
  if (!second.ok) return { kind: 'cannot', reason: second.reason };
  const isOneKind =
    one.rig.design.kind === 'family' &&
    other.rig.design.kind === 'family' &&
    one.rig.design.family === other.rig.design.family;
  const found = [
    ...(isOneKind ? ofDesign(first.work, second.work, one.rig.design, other.rig.design) : []),
    ...ofUse(one, other, isOneKind),
  ];
  return {
    kind: 'told',
    isOneKind,
    one: told(first.work, one),
    other: told(second.work, other),
    differs: found.map(({ name, from, to, change }, i) => {
      tell(i / found.length);
      const side = change(one);
      const made = workpiece(side.rig, side.loadout, kit);
      return { name, from, to, alone: made.ok ? figures(made.work, side) : null };
    }),
  };
}

const figures = (work: Workpiece, { rig, values, joints }: Side): Stiffened | null =>
  figuresWith(work, { rig, pose: null, bump: USUAL_BUMP, joints }, values);

function told(work: Workpiece, side: Side): SideTold {
  const { context, evaluation, findings } = judged(work, side.values, side.rig.wants);
  return {
    strength: figures(work, side),
    balance: (leadingWay(evaluation)?.gauges(context) ?? []).map((g) => g.gauge),
    faults: findings.filter((f) => f.severity === 'stop' || f.severity === 'mend').map((f) => f.title),
  };
}

/** Nearer than this two sizes are one, m or rad. */
const SAME = 1e-7;
const NONE: Phrase = ['–'];
const withDesign = (side: Side, design: Design): Side => ({ ...side, rig: { ...side.rig, design } });

function ofDesign(first: Workpiece, second: Workpiece, from: Design, to: Design): readonly Difference[] {
  const { family, input } = first;
  if (!family || !input || !second.input || from.kind !== 'family' || to.kind !== 'family') return [];
  const sizes = family.dimensions.flatMap(({ id, name, kind }): readonly Difference[] => {
    const [a, b] = [input.dimensions[id]!, second.input!.dimensions[id]!];
    return Math.abs(a - b) < SAME
      ? []
      : [
          {
            name,
            from: [figure(kind, a)],
            to: [figure(kind, b)],
            change: (side) => withDesign(side, { ...from, dimensions: { ...from.dimensions, [id]: { value: b } } }),
          },
        ];
  });
  // What is chosen may be a size of the maker's own.
  const own = [...(to.own ?? []), ...(from.own ?? []).filter((o) => !to.own?.some((t) => t.id === o.id))];
  const choices = family.choices.flatMap(({ id, name, options }): readonly Difference[] => {
    const [a, b] = [input.choices[id]!, second.input!.choices[id]!];
    const called = (option: string): Phrase => [options.find((o) => o.id === option)?.name ?? 'a size of your own'];
    return a === b
      ? []
      : [
          {
            name,
            from: called(a),
            to: called(b),
            change: (side) => withDesign(side, { ...from, choices: { ...from.choices, [id]: b }, own }),
          },
        ];
  });
  const has = (edits: readonly Edit[], edit: Edit): boolean => edits.some((e) => bare(e) === bare(edit));
  const more = to.edits
    .filter((e) => !has(from.edits, e))
    .map((edit): Difference => ({
      name: `${BY_HAND[edit.kind]} ${whatOf(edit, second)}`.trim(),
      from: NONE,
      to: ['as in the other'],
      change: (side) => withDesign(side, { ...from, edits: [...from.edits, edit] }),
    }));
  const less = from.edits
    .filter((e) => !has(to.edits, e))
    .map((edit): Difference => ({
      name: `${BY_HAND[edit.kind]} ${whatOf(edit, first)}`.trim(),
      from: ['as in the first'],
      to: NONE,
      change: (side) => withDesign(side, { ...from, edits: from.edits.filter((e) => e !== edit) }),
    }));
  return [...sizes, ...choices, ...more, ...less];
}

function ofUse(one: Side, other: Side, isOneKind: boolean): readonly Difference[] {
  const isSet = Object.keys({ ...one.values, ...other.values }).some((id) => one.values[id] !== other.values[id]);
  return [
    ...(one.loadout?.id === other.loadout?.id
      ? []
      : [
          {
            name: 'What it carries',
            from: [one.loadout?.name ?? 'nothing'],
            to: [other.loadout?.name ?? 'nothing'],
            change: (side: Side): Side => ({ ...side, loadout: other.loadout }),
          },
        ]),
    ...(isOneKind && isSet
      ? [
          {
            name: 'How it is set',
            from: ['its own set-up'],
            to: ['the other’s'],
            change: (side: Side): Side => ({ ...side, values: other.values }),
          },
        ]
      : []),
  ];
}

/** An edit without its own id: the same change made twice is one. */
const bare = ({ id: _, ...edit }: Edit): string => JSON.stringify(edit);
const BY_HAND: Readonly<Record<Edit['kind'], string>> = {
  weigh: 'Weighed:',
  remove: 'Taken off:',
  add: 'Added:',
  addMember: 'Added:',
  brace: 'Braced:',
  corner: 'Braced:',
  double: 'Doubled:',
  addStation: 'Added:',
  move: 'Moved:',
  carry: 'Moved with what it carries:',
  turn: 'Turned:',
  restock: 'Other stock:',
  short: 'Cut otherwise:',
  price: 'Price of',
  screw: 'Other screw:',
  thread: 'Other thread:',
  fasten: 'Fastened:',
  fitting: 'Fitting:',
  mount: 'Camera moved:',
  comfort: 'Comfort of',
  friction: 'Friction of',
  padding: 'Padding of',
  breaksAway: 'Breaks away:',
};

function whatOf(edit: Edit, { rig }: Workpiece): string {
  const names = pieceNames(rig);
  if (edit.kind === 'add') return edit.part.name;
  if (edit.kind === 'addMember') return edit.member.name;
  if (edit.kind === 'addStation') return edit.station.name;
  if (edit.kind === 'price') return edit.item;
  if (edit.kind === 'corner') return names.get(edit.member) ?? 'a bar across a corner';
  if (edit.kind === 'double') return names.get(edit.member) ?? 'a doubler';
  if (edit.kind === 'brace') return names.get(edit.member) ?? 'a bar between corners';
  return 'target' in edit ? (names.get(edit.target) ?? '') : '';
}

/** From stored documents to every derived figure: the one path that browser, server and command line share. */
import {
  lensCones,
  loadFindings,
  placeItems,
  placeLoad,
  socketOf,
  spacesOf,
  type FreeSpace,
  type LensCone,
  type LoadSocket,
} from '../1-load';
import {
  assemble,
  atHand,
  designRig,
  placesMissing,
  placesOnRig,
  threadThatHolds,
  USUAL_HANDS,
  type AdjusterValues,
  type Assembly,
  type ConnectionFault,
  type DesignedRig,
  type Family,
  type FamilyInput,
} from '../2-frame';
import {
  evaluate,
  judge,
  quickBalance,
  verdictOf,
  type Evaluation,
  type BalanceContext,
  type QuickBalance,
  type Verdict,
} from '../3-balance';
import { figure, say, type Finding, type Judgement } from '../0-base';
import { idleAdvice, tiedAdvice } from './made/madeAdvice';
import type { BinItem, Edit, Hands, KitItem, Loadout, Rig, RigDocument } from '../model';

export interface Workpiece {
  readonly rig: Rig;
  readonly family: Family | null;
  readonly input: FamilyInput | null;
  readonly assembly: Assembly;
  readonly hands: Hands;
  /** What the lenses see and what must stay free round the load, from its mount. */
  readonly cones: readonly LensCone[];
  readonly spaces: readonly FreeSpace[];
  readonly socket: LoadSocket | null;
  readonly quick: QuickBalance | null;
  /** Findings that do not depend on the adjusters. */
  readonly advice: readonly Judgement[];
}
export type WorkpieceOutcome =
  { readonly ok: true; readonly work: Workpiece } | { readonly ok: false; readonly reason: string };

/** What of a rig's document its figures come from; of the wants only whether washers come from the bin alone. */
export type Designed = Pick<RigDocument, 'design'> & {
  readonly hands?: Hands | undefined;
  readonly made?: RigDocument['made'];
  readonly taken?: RigDocument['taken'];
  readonly wants?: Pick<RigDocument['wants'], 'onlyBin'>;
};

/** What of a rig its figures come from, wants apart: whoever passes a part of a rig on takes it by this, so that nothing of it is lost. */
export const designedOf = ({
  design,
  made,
  hands,
}: Pick<RigDocument, 'design' | 'made' | 'hands'>): Pick<RigDocument, 'design' | 'made' | 'hands'> => ({
  design,
  ...(made ? { made } : {}),
  ...(hands ? { hands } : {}),
});

/** Everything that changes only with rig or load; setting an adjuster then costs one `judged`. The bin is for what is trimmed. */
export function workpiece(
  document: Designed,
  loadout: Loadout | null,
  kit: ReadonlyMap<string, KitItem>,
  bin: readonly BinItem[] | null = null,
): WorkpieceOutcome {
  const socket = loadout ? socketOf(loadout, kit) : null;
  const designed = designRig(document.design, socket?.depth ? { socketDepth: socket.depth } : null, document.made);
  if (!designed.ok) return { ok: false, reason: designed.reason };
  const onRig = placesOnRig(designed.rig);
  const load = loadout ? placeLoad(loadout, kit, onRig) : null;
  const placed = loadout ? placeItems(loadout, kit, onRig).items : [];
  const assembly = assemble(
    designed.rig,
    load,
    bin && document.wants ? atHand(document.wants, bin, document.taken) : null,
  );
  const { rig, family, input } = designed;
  // Looked at one by one by what is drawn after the figures: made when first asked for.
  const quick = once(() => quickBalance(assembly));
  const advice = once(() => [
    ...designAdvice(designed),
    ...(loadout ? loadFindings(loadout, kit) : []),
    ...(loadout ? placesMissing(rig, loadout, kit) : []),
  ]);
  return {
    ok: true,
    work: {
      rig,
      family,
      input,
      assembly,
      hands: document.hands ?? USUAL_HANDS,
      cones: loadout ? lensCones(loadout, kit, placed).flatMap((c) => (c.kind === 'cone' ? [c.cone] : [])) : [],
      spaces: spacesOf(placed),
      socket,
      get quick() {
        return quick();
      },
      get advice() {
        return advice();
      },
    },
  };
}

/** The same answer every time, worked out at the first. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

export interface Judged {
  /** The rig as it is set, for whoever asks the ways it is borne. */
  readonly context: BalanceContext;
  readonly evaluation: Evaluation;
  /** Every check, made when they are first asked for: figures need not wait for them. */
  readonly findings: readonly Judgement[];
  /** What every screen says of it, from the findings and how likely the figures are. */
  readonly verdict: Verdict;
}

export function judged(work: Workpiece, values: AdjusterValues, wants: RigDocument['wants']): Judged {
  const evaluation = evaluate(work.assembly, values, work.hands);
  const { assembly, hands, cones, spaces, socket } = work;
  const context: BalanceContext = {
    assembly,
    values,
    evaluation,
    wants,
    hands,
    cones,
    spaces,
    socket,
    get quick() {
      return work.quick;
    },
  };
  const findings = once(() => judge(context, work.advice));
  const verdict = once(() => verdictOf(context, findings()));
  return {
    context,
    evaluation,
    get findings() {
      return findings();
    },
    get verdict() {
      return verdict();
    },
  };
}

function instead(rig: Rig, { connection, name, move }: ConnectionFault): Finding['fixes'] {
  if (move) return [{ label: move.words, changes: [{ kind: 'move', id: move.id, by: move.by }] }];
  const thread = threadThatHolds(rig, connection);
  return thread
    ? [{ label: say`Take ${thread} for the ${name}`, changes: [{ kind: 'thread', id: connection, thread }] }]
    : [];
}

function designAdvice(designed: Extract<DesignedRig, { ok: true }>): readonly Judgement[] {
  const { family, input, rig, outOfRange, unapplied, loose, tied, idle } = designed;
  const stage = 'frame';
  const kindOf = (id: string): 'length' | 'angle' => family?.dimensions.find((d) => d.id === id)?.kind ?? 'length';
  return [
    ...(family && input ? family.advise(input, rig) : []).map((f) => ({ ...f, stage }) as const),
    ...loose.map((fault): Judgement => {
      // Every thread is tried: a search over hundreds of rigs only counts the findings.
      const fixes = once(() => instead(rig, fault));
      return {
        stage,
        code: 'connectionLoose',
        severity: 'mend',
        about: fault.about,
        place: fault.connection,
        figure: null,
        limit: null,
        title: say`The ${fault.name} does not hold as it is drawn.`,
        why: fault.reason,
        toDo: say`Move its pieces together, or change what it passes.`,
        leavesOut: true,
        get fixes() {
          return fixes();
        },
      };
    }),
    ...tied.map(({ of }) => tiedAdvice(of, rig)),
    ...idle.map((of) => idleAdvice(of)),
    ...outOfRange.map((fault): Judgement => {
      const [least, most] = fault.range.map((v) => figure(kindOf(fault.id), v)) as [
        ReturnType<typeof figure>,
        ReturnType<typeof figure>,
      ];
      const nearest = Math.min(fault.range[1], Math.max(fault.range[0], fault.value));
      return {
        stage,
        code: 'dimensionOutOfRange',
        severity: 'stop',
        about: fault.id,
        figure: figure(kindOf(fault.id), fault.value),
        limit: null,
        title: say`${fault.name} must lie between ${least} and ${most}.`,
        why: say`Outside that this rig cannot be built or carried; the nearest is drawn meanwhile.`,
        toDo: say`Type a figure in the range.`,
        fixes: [
          {
            label: say`Make it ${figure(kindOf(fault.id), nearest)}`,
            changes: [{ kind: 'dimension', id: fault.id, value: nearest }],
          },
        ],
      };
    }),
    ...unapplied.map((edit): Judgement => ({
      stage,
      code: 'editWithoutTarget',
      severity: 'note',
      about: 'rig',
      figure: null,
      limit: null,
      title: say`One of your changes (${describeEdit(edit)}) finds nothing to act on.`,
      why: say`The part it was made for is no longer in this rig. It is kept and comes back with the part.`,
      toDo: say`Change the dimension back, or remove the change in Frame.`,
      fixes: [],
    })),
  ];
}

function describeEdit(edit: Edit): string {
  switch (edit.kind) {
    case 'add':
      return `add ${edit.part.name}`;
    case 'addMember':
      return `add ${edit.member.name}`;
    case 'addStation':
      return `add ${edit.station.name}`;
    case 'brace':
      return 'a bar between corners';
    case 'corner':
      return 'a bar across a corner';
    case 'double':
      return edit.lies === 'inside' ? 'a core glued in' : 'a doubler glued on';
    case 'price':
      return `price of ${edit.item}`;
    default:
      return `${edit.kind}, ${edit.target}`;
  }
}

/** Setting a rig up and breaking it down as steps of a hand: from the joints that open, what is put on, and what is set. */
import type { Loadout, LogEntry } from '../../model';
import { breakDown } from '../../2-frame';
import { waysOf, type BalanceContext } from '../../3-balance';
import { cardTold } from '../cardTold';
import { setupCard } from '../setupCard';

export type Handling = NonNullable<LogEntry['timed']>['what'];
export interface HandlingStep {
  /** The same for as long as the rig has that joint, stack or mark. */
  readonly id: string;
  readonly name: string;
  readonly tool: string;
  /** What would spare it, or make it quick; empty where nothing would. */
  readonly spares: string;
}

/** In the order of setting it up; broken down it goes backwards. */
export function handlingSteps(
  context: BalanceContext,
  loadout: Pick<Loadout, 'name'> | null,
  what: Handling,
): readonly HandlingStep[] {
  const { rig } = context.assembly;
  const { opens } = breakDown(rig, context.values);
  const card = setupCard(context, '');
  const told = new Map(cardTold(card).map((p) => [p.id, p]));
  const up = what === 'setUp';
  const steps: HandlingStep[] = [
    {
      id: 'bag',
      name: up ? 'Lay its pieces out' : 'Put its pieces in the bag',
      tool: '',
      spares: 'A place of its own in the bag for each piece.',
    },
    ...opens.map(({ id, name, tool }): HandlingStep => ({
      id: `open/${id}`,
      name: `${up ? 'Join' : 'Open'}: ${name}`,
      tool,
      spares: tool.includes('spanner')
        ? 'A wing nut or a thumb nut there, or a pin: no spanner is looked for.'
        : tool.includes('screwdriver')
          ? 'A clamp with a thumb screw.'
          : '',
    })),
    ...(loadout
      ? [
          {
            id: 'load',
            name: up ? `Mount: ${loadout.name}` : `Take off: ${loadout.name}`,
            tool: '',
            spares: 'Leave its plate on the camera, and scribe where the plate stands.',
          },
        ]
      : []),
    ...card.counts
      .filter((c) => c.count > 0)
      .map((c): HandlingStep => ({
        id: `count/${c.id}`,
        name: `${up ? 'Washers on' : 'Washers off'}: ${c.name}`,
        tool: 'spanner',
        spares: 'Leave the stack made up on its bolt, or tape it together and label it.',
      })),
    ...(up
      ? card.marks
          .filter((m) => told.has(m.id))
          .map((m): HandlingStep => ({
            id: `mark/${m.id}`,
            name: `Set: ${m.name}`,
            tool: m.fromEnd ? 'rule' : '',
            spares: 'A scribed mark for each load, or a stop that it slides against.',
          }))
      : []),
    ...(up && waysOf(context.evaluation).length > 0
      ? [
          {
            id: 'try',
            name: 'Try it, and bring it to where it should be',
            tool: '',
            spares: 'Set it by the card first, and note in the log what was moved after: put that into the set-up.',
          },
        ]
      : []),
  ];
  return up ? steps : [...steps].reverse();
}

/** Everything that is in a hand for it, once each. */
export const handlingTools = (steps: readonly HandlingStep[]): readonly string[] => [
  ...new Set(steps.flatMap((s) => s.tool.split(', ').filter(Boolean))),
];

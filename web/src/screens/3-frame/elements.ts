/** The things of a rig that can be picked, by id, and what each is. */
import type { Body, Rig } from '@tide-pebble/core';

export type RigElement =
  | { readonly kind: 'part'; readonly body: Body; readonly element: Body['parts'][number] }
  | { readonly kind: 'member'; readonly body: Body; readonly element: Body['members'][number] }
  | { readonly kind: 'joint'; readonly body: Body; readonly element: Body['joints'][number] }
  | { readonly kind: 'station'; readonly body: Body; readonly element: Body['stations'][number] }
  | { readonly kind: 'node'; readonly body: Body; readonly element: Body['nodes'][number] };

export function elementOf(rig: Rig, id: string): RigElement | null {
  for (const body of rig.bodies) {
    const find = <T extends { id: string }>(list: readonly T[]): T | undefined => list.find((e) => e.id === id);
    const [part, member, joint, station, node] = [
      find(body.parts),
      find(body.members),
      find(body.joints),
      find(body.stations),
      find(body.nodes),
    ];
    if (part) return { kind: 'part', body, element: part };
    if (member) return { kind: 'member', body, element: member };
    if (joint) return { kind: 'joint', body, element: joint };
    if (station) return { kind: 'station', body, element: station };
    if (node) return { kind: 'node', body, element: node };
  }
  return null;
}

/** "rear-foot-left" as a maker reads it. */
export const nodeName = (id: string): string => id.replaceAll('-', ' ');
export const elementName = ({ kind, element }: RigElement): string =>
  kind === 'node' ? `corner: ${nodeName(element.id)}` : element.name;

/** An id that nothing on the rig has yet. */
export function freeId(rig: Rig, base: string): string {
  for (let n = 1; ; n++) {
    const id = `${base}-${n}`;
    if (!elementOf(rig, id) && !elementOf(rig, `${id}-twin`) && !rig.contacts.some((c) => c.id === id)) return id;
  }
}

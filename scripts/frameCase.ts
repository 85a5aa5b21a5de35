/** A frame as a file of physics cases gives it, as the core's model. */
import { NO_INERTIA, scale, ZERO } from '@tide-pebble/core';
import {
  barSection,
  tubeSection,
  type EndSpring,
  type FrameAnswer,
  type FrameMember,
  type FrameModel,
  type Motion,
  type Section,
} from '@tide-pebble/core/strength';
import type { Given } from './physicsCase';

export function frameOf(given: Given): FrameModel {
  return {
    theory: given['theory'] ?? 'eulerBernoulli',
    nodes: new Map(Object.entries(given['nodes'])),
    members: (given['members'] as readonly Given[]).map((m, i) => memberOf(m, i, shearParts(given))),
    links: [],
    supports: (given['supports'] as readonly Given[]).map((s) => ({
      node: s['node'],
      ...(s['fixed'] && { fixed: s['fixed'].map(Boolean) }),
      ...(s['stiffness'] && { stiffness: s['stiffness'] }),
    })),
    equipment: (given['equipment'] ?? []).map((e: Given) => ({
      node: e['node'],
      mass: e['mass'],
      offset: e['offset'] ?? ZERO,
      inertia: e['inertia'] ?? NO_INERTIA,
    })),
    loads: (given['loads'] ?? []).map((l: Given) => ({
      node: l['node'],
      force: l['force'] ?? ZERO,
      moment: l['moment'] ?? ZERO,
    })),
  };
}

function memberOf(given: Given, index: number, shearParts: Given): FrameMember {
  const { from, to, section, material, yDirection, arc, endSprings = {} } = given;
  const y = yDirection ?? section.widthDirection;
  const [startSpring, endSpring] = [springOf(endSprings.from), springOf(endSprings.to)];
  return {
    id: `${index}`,
    from,
    to,
    section: sectionOf(section, shearParts),
    material: { stiffness: material.E, shear: material.G, density: material.density },
    ...(y && { yDirection: y }),
    ...(arc && { arc }),
    ...(startSpring && { startSpring }),
    ...(endSpring && { endSpring }),
  };
}

const sectionOf = (s: Given, shearParts: Given): Section =>
  s['type'] === 'tube'
    ? tubeSection(s['outerDiameter'] / 2, s['innerDiameter'] / 2, shearParts['tube'])
    : barSection(s['width'], s['thickness'], shearParts['bar']);

const RIGID = [Infinity, Infinity, Infinity] as const;
const springOf = (given: Given | undefined): EndSpring | null =>
  given ? { about: given['rotation'] ?? RIGID, along: given['translation'] ?? RIGID } : null;

/** How the nodes of a report have moved, times a factor. */
export const nodesTold = (at: Motion, nodes: readonly string[] = [], factor = 1): Given =>
  Object.fromEntries(
    nodes.map((node) => {
      const { displacement, rotation } = at(node);
      return [node, { displacement: scale(displacement, factor), rotation: scale(rotation, factor) }];
    }),
  );

export const reactionsOf = (model: FrameModel, { reactionAt }: FrameAnswer): Given =>
  Object.fromEntries(model.supports.map(({ node }) => [node, reactionAt(node)]));

/** Of both kinds of section, whichever the members have. */
function shearParts(given: Given): Given {
  const { tube, bar } = given['shearCoefficient'] ?? {};
  return { tube, bar };
}

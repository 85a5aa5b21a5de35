/**
 * A rig under water with its load on: how heavy it is there, which way it turns, what of its hollows fills and drains. What is
 * mounted counts as closed (a housing); a pipe closed all round keeps its air, any other fills. Archimedes; water at rest.
 */
import { add, addScaled, length, scale, subtract, transform, type Vec3 } from '../../0-base';
import { solidOf } from '../../1-load';
import {
  connectionsOf,
  hollowsOf,
  memberEnds,
  openingsOf,
  placesOf,
  type Hollow,
  type PlacedPiece,
} from '../../2-frame';
import type { Body, Rig } from '../../model';

/** kg/m³, about 15 °C; each a few kg more or less with salt and warmth. */
export const WATERS = { fresh: 999, sea: 1026 } as const;
export type Water = keyof typeof WATERS;

export interface HollowInWater {
  readonly pipes: readonly string[];
  /** What it holds, m³: air while it is closed. */
  readonly room: number;
  readonly isClosed: boolean;
  /** The pipe whose low end keeps water that its openings lie above; null where all runs out. */
  readonly keepsAt: string | null;
}
export interface InWater {
  readonly mass: number;
  /** m³; one standard uncertainty. */
  readonly displaced: number;
  readonly displacedSpread: number;
  /** What lifts it more than it weighs, kg; negative where it sinks; one standard uncertainty. */
  readonly lift: number;
  readonly liftSpread: number;
  /** Part of its volume that stays out, where it floats. */
  readonly stands: number | null;
  /** How far it turns, rad, from level until its lift is over its weight, and how much of that is nose and left side down; null where the two lie too near each other to tell. */
  readonly turns: { readonly by: number; readonly noseDown: number; readonly leftSideDown: number } | null;
  /** Closed foam that floats it with a tenth to spare, m³; nought where it does so already. */
  readonly foam: number;
  readonly hollows: readonly HollowInWater[];
  /** What is mounted and has no size: its volume is not known, and nothing here can be told. */
  readonly withoutSize: readonly string[];
}

/** Of what is drawn as a block of its size, and of what is reckoned from its material: one standard uncertainty, part of the volume. */
const ROUGHLY = { load: 0.1, part: 0.05 };
/** kg/m³. */
const FOAM = 35;
const TO_SPARE = 1.1;
/** An opening so little above the lowest place lets it run dry, m. */
const DRY = 0.01;
/** The lift's arm over the mass centre must be so many times its own uncertainty, or no way up is told. */
const TOLD = 2;

export function inWater(
  rig: Rig,
  pieces: readonly PlacedPiece[],
  centre: { readonly at: Vec3; readonly mass: number },
  water: Water,
): InWater {
  const density = WATERS[water];
  const solids = pieces.map(({ flat, isLoad }) => {
    const { volume, centroid } = solidOf(flat.shape);
    return { flat, isLoad, volume, at: add(flat.at, transform(flat.rotation, centroid)) };
  });
  const connections = connectionsOf(rig, () => 0);
  const hollows = rig.bodies.flatMap((body) =>
    hollowsOf(body).map((h) => hollowIn(h, body, openingsOf(h, body, connections))),
  );
  const air = hollows.flatMap((h) => (h.told.isClosed ? h.airs : []));
  const all = [...solids, ...air];
  const displaced = all.reduce((sum, s) => sum + s.volume, 0);
  const lifted = scale(
    all.reduce<Vec3>((sum, s) => addScaled(sum, s.at, s.volume), [0, 0, 0]),
    displaced > 0 ? 1 / displaced : 0,
  );
  const volumeSpread = Math.hypot(...solids.map((s) => s.volume * (s.isLoad ? ROUGHLY.load : ROUGHLY.part)));
  const arm = subtract(lifted, centre.at);
  const armSpread = Math.hypot(
    ...solids.map(
      (s) => (s.volume * (s.isLoad ? ROUGHLY.load : ROUGHLY.part) * length(subtract(s.at, lifted))) / displaced,
    ),
  );
  const lift = density * displaced - centre.mass;
  const short = Math.max(0, TO_SPARE * centre.mass - density * displaced);
  return {
    mass: centre.mass,
    displaced,
    displacedSpread: volumeSpread,
    lift,
    liftSpread: density * volumeSpread,
    stands: lift > 0 ? 1 - centre.mass / (density * displaced) : null,
    turns: length(arm) > TOLD * armSpread ? turned(arm) : null,
    // Each litre lifts what it pushes aside less its own weight, a tenth of it kept to spare.
    foam: short / (density - TO_SPARE * FOAM),
    hollows: hollows.map((h) => h.told),
    withoutSize: pieces.flatMap(({ flat, isLoad }) => (isLoad && flat.shape.kind === 'point' ? [flat.name] : [])),
  };
}

/** What is lifted most goes up: the other side down. */
function turned(arm: Vec3): NonNullable<InWater['turns']> {
  const level = Math.hypot(arm[0], arm[1]);
  const by = Math.atan2(level, arm[2]);
  const share = level > 0 ? by / level : 0;
  return { by, noseDown: -arm[0] * share, leftSideDown: -arm[1] * share };
}

interface Air {
  readonly volume: number;
  readonly at: Vec3;
}

function hollowIn(
  { pipes, fittings }: Hollow,
  body: Body,
  openings: readonly Vec3[],
): { readonly told: HollowInWater; readonly airs: readonly Air[] } {
  const nodes = placesOf(body.nodes);
  const airs = pipes.map((pipe): Air & { readonly pipe: string; readonly lowest: number } => {
    const { section } = pipe.stock;
    const [from, to] = [nodes.get(pipe.from)!, nodes.get(pipe.to)!];
    const ends = memberEnds(pipe, nodes, body.joints);
    const long = Math.max(0, length(subtract(to, from)) - ends.from.takeOff - ends.to.takeOff);
    const bore = section.kind === 'tube' ? section.outerDiameter / 2 - section.wall : 0;
    return {
      pipe: pipe.id,
      volume: Math.PI * bore ** 2 * long,
      at: scale(add(from, to), 0.5),
      lowest: Math.min(from[2], to[2]),
    };
  });
  const deepest = airs.reduce((low, a) => (a.lowest < low.lowest ? a : low));
  const fitted = body.joints.filter((j) => fittings.includes(j.id));
  const isClosed = openings.length === 0 && fitted.every((j) => j.hold === 'glued' || j.hold === 'soldered');
  // What is only pressed or screwed lets water in and out at its fittings.
  const ways = openings.length > 0 ? openings : fitted.map((j) => nodes.get(j.node)!);
  const keeps = !isClosed && Math.min(...ways.map((o) => o[2])) > deepest.lowest + DRY;
  return {
    airs,
    told: {
      pipes: pipes.map((p) => p.id),
      room: airs.reduce((sum, a) => sum + a.volume, 0),
      isClosed,
      keepsAt: keeps ? deepest.pipe : null,
    },
  };
}

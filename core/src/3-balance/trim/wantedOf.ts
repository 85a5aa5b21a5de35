/** What a rig must meet to be balanced: from how it is borne and what its maker wants; each firm, or a wish that may be let go. */
import { addSums, inertiaAbout, NO_SUMS, sumsOfOne } from '../../1-load';
import { USUAL_HANDS, valuesInOrder, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Wants } from '../../model';
import { supportAt, supportOf } from '../borne/support';
import { ALL_DAY, wristAtMost } from '../borne/held/wantsOfHands';
import { droopWanted, DROOP_WITHIN } from '../borne/turning/poleLimits';
import { lowestPin, pinDepth } from '../borne/hung/pins';
import {
  atPin,
  calm,
  drop,
  felt,
  droop,
  level,
  massAtMost,
  overSupport,
  panLean,
  upright,
  wrist,
  type Condition,
} from './conditions';
import { USUAL_PAN } from '../pan/usualPan';
import type { BorneBy } from './trimProblem';

export interface Wanted {
  readonly kind: 'hangs' | 'held' | 'worn' | 'pole';
  readonly borne: BorneBy;
  readonly firm: readonly Condition[];
  readonly wishes: readonly Condition[];
}

/** Over a shoulder: a hair ahead, so that the hands guide and hardly carry, m. */
const OVER_SHOULDER: readonly [number, number] = [-0.01, 0.045];

/** Null when nothing bears it that a mass centre could be brought under or over; axes inside axes have their own way. */
export function wantedOf(assembly: Assembly, values: AdjusterValues, wants: Wants): Wanted | null {
  const { rig } = assembly;
  const support = supportOf(rig);
  if (!support) return null;
  const unmoved = valuesInOrder(rig, values).map((v, i) => (movesSupport(i) ? 0 : v));
  const borne: BorneBy = {
    carries: support.carries,
    at: supportAt(rig, support, unmoved),
    movedBy: rig.adjusters.flatMap((_, i) => (movesSupport(i) ? [i] : [])),
  };
  const chosen = (all: readonly Condition[], always: readonly Condition['id'][]): Pick<Wanted, 'firm' | 'wishes'> => {
    const firm = (c: Condition): boolean =>
      (wants.firm ? wants.firm.includes(c.id) : always.includes(c.id)) || c.id === 'upright';
    return { firm: all.filter(firm), wishes: all.filter((c) => !firm(c)) };
  };
  const weight = [
    massAtMost('mass', wants.massAtMost, notCarried()),
    ...(wants.addedAtMost === undefined ? [] : [massAtMost('added', wants.addedAtMost + bareMass(), 0)]),
  ];
  switch (support.kind) {
    case 'pivot': {
      const bare = bareCamera();
      const { pivot } = support;
      const friction = pivot.frictionTorque?.value ?? 0;
      const [pitch, roll] = [pinDepth(pivot, 'pitch'), pinDepth(pivot, 'roll')];
      const all = [
        atPin(upright, lowestPin(pivot)),
        atPin(level('foreAft', wants.levelWithin), pitch),
        atPin(level('sideways', wants.levelWithin), roll),
        atPin(drop('pitch', wants.dropTime, wants.levelWithin, friction), pitch),
        ...(wants.dropRoll ? [atPin(drop('roll', wants.dropRoll, wants.levelWithin, friction), roll)] : []),
        ...weight,
        ...(bare && wants.calmAtLeast > 0 ? [calm('pitch', wants.calmAtLeast * bare.pitch)] : []),
        ...(bare && wants.calmRollAtLeast ? [calm('roll', wants.calmRollAtLeast * bare.roll)] : []),
        ...(bare && wants.calmPanAtLeast ? [calm('pan', wants.calmPanAtLeast * bare.pan)] : []),
        ...(wants.panLeanAtMost ? [panLean(USUAL_PAN, wants.panLeanAtMost)] : []),
      ];
      return { kind: 'hangs', borne, ...chosen(all, ['levelForeAft', 'levelSideways', 'dropPitch', 'dropRoll']) };
    }
    case 'hinge':
      return {
        kind: 'pole',
        borne,
        ...chosen([upright, droop(droopWanted(wants), DROOP_WITHIN), ...weight], ['droop']),
      };
    case 'hands': {
      const worn = support.hands.some((h) => h.kind !== 'hand');
      // Two hands share what tips: each wrist has its own limit.
      const most = wristAtMost(wants) * support.hands.length;
      const notFelt = ALL_DAY * USUAL_HANDS.wristStrength * support.hands.length;
      return worn
        ? {
            kind: 'worn',
            borne,
            ...chosen([overSupport(OVER_SHOULDER), wrist('sides', 2 * most), ...weight], ['overSupport', 'wristSides']),
          }
        : {
            kind: 'held',
            borne,
            // What the wrist can bear is a limit and no aim: where it can be had, nothing is to be felt.
            ...chosen(
              [wrist('nose', most), wrist('sides', most), felt(Math.min(most, notFelt), most), ...weight],
              ['wristNose', 'wristSides'],
            ),
          };
    }
  }

  function movesSupport(i: number): boolean {
    const { moves } = rig.adjusters[i]!;
    if (support!.kind !== 'hands') return moves.some((m) => m.kind === 'pivot' && m.id === support!.pivot.id);
    // Half way between two hands moves by half: only a single hand's own mark is followed.
    return support!.hands.length === 1 && moves.some((m) => m.kind === 'contact' && m.id === support!.hands[0]!.id);
  }
  /** Grip and handle below the joint are weighed too, but hang on nothing. */
  function notCarried(): number {
    return assembly.pieces.reduce((m, p) => (support!.carries.has(p.body) ? m : m + p.flat.mass), 0);
  }
  function bareMass(): number {
    return assembly.pieces.reduce((m, p) => (support!.carries.has(p.body) ? m + p.flat.mass : m), 0);
  }
  /** About its own foot, kg m². */
  function bareCamera(): { readonly roll: number; readonly pitch: number; readonly pan: number } | null {
    const load = assembly.pieces.filter((p) => p.isLoad);
    if (load.length === 0 || !assembly.mount) return null;
    const about = inertiaAbout(
      load.reduce((s, p) => addSums(s, sumsOfOne(p.flat)), NO_SUMS),
      assembly.mount,
    );
    return { roll: about[0][0], pitch: about[1][1], pan: about[2][2] };
  }
}

/** All that a rig file says about its rig, as plain JSON: what the command line prints and an outsider can add up again. */
import { METRIC, render } from '../0-base';
import { inertiaAbout, inertiaAboutMassCentre, type FlatBody } from '../1-load';
import type { Judgement } from '../0-base';
import { clampHolds, readoutsOf, type Drop, type Evaluation, type HeldPose } from '../3-balance';
import type { RigFile } from '../contract';
import { judged } from './derive';
import { workOfFile } from './workOfFile';
import { stockPlan } from '../5-stock';

export type AnalyseOutcome =
  | { readonly ok: true; readonly result: Readonly<Record<string, unknown>> }
  | { readonly ok: false; readonly reason: string };

export function analyse(file: RigFile, loadoutName: string | null): AnalyseOutcome {
  const opened = workOfFile(file, loadoutName);
  if (!opened.ok) return opened;
  const { work, loadout, values } = opened;
  const { context, evaluation, findings } = judged(work, values, file.rig.wants);
  return {
    ok: true,
    result: {
      rig: file.rig.name,
      loadout: loadout?.name ?? null,
      units: 'm, kg, s, rad, kg m²; x forward, y left, z up; inertia with the minus sign off the diagonal',
      setup: Object.fromEntries(
        work.rig.adjusters.map((a) => [a.id, Math.min(a.range[1], Math.max(a.range[0], values[a.id] ?? a.value))]),
      ),
      ...whole(evaluation),
      rigMass: evaluation.mass - evaluation.loadMass,
      hung: hungFigures(evaluation),
      held: evaluation.held.map(heldFigures),
      pole: poleFigures(evaluation),
      axes: evaluation.axes.map(axisFigures),
      clamps: clampHolds(context.assembly, context.values, evaluation).map(({ pivot, ...rest }) => ({
        id: pivot.id,
        ...rest,
      })),
      readouts: readoutsOf(context).map((r) => ({ name: r.name, lines: r.lines.map((l) => render(l, METRIC)) })),
      inertiaAgainstBareCamera: evaluation.calm,
      cost: stockPlan(work.rig, values, [], file.rig.kerf).cost,
      findings: findings.map(findingFigures),
      bodies: evaluation.pieces.map(({ flat, body }) => bodyFigures(flat, body)),
    },
  };
}

const whole = (e: Evaluation): Readonly<Record<string, unknown>> => ({
  mass: e.mass,
  massStandardUncertainty: e.massSpread,
  massCentre: e.massCentre,
  inertiaAboutMassCentre: e.sums.mass > 0 ? inertiaAboutMassCentre(e.sums) : null,
  loadMass: e.loadMass,
  rigMass: e.mass - e.loadMass,
  washerMass: e.addedMass,
});

function hungFigures({ hung }: Evaluation): Readonly<Record<string, unknown>> | null {
  if (!hung) return null;
  return {
    pivot: hung.pivot.id,
    pivotAt: hung.pivotAt,
    carries: hung.pivot.carries,
    mass: hung.sums.mass,
    massCentre: hung.massCentre,
    massCentreFromPivot: hung.hang.fromPivot,
    massCentreStandardUncertainty: hung.spread.massCentre,
    inertiaAboutPivot: inertiaAbout(hung.sums, hung.pivotAt),
    state: hung.hang.state,
    bottomHeaviness: hung.hang.bottomHeaviness,
    noseDown: hung.hang.rest?.noseDown ?? null,
    leftSideDown: hung.hang.rest?.leftSideDown ?? null,
    upVector: hung.hang.rest?.up ?? null,
    dropTimePitch: seconds(hung.pitch.drop),
    dropTimeRoll: seconds(hung.roll.drop),
    dropTimePitchStandardUncertainty: hung.spread.dropPitch,
    equivalentPendulumPitch: hung.pitch.pendulumLength,
    equivalentPendulumRoll: hung.roll.pendulumLength,
    inertiaAgainstBareCamera: hung.calm,
  };
}

const heldFigures = ({
  pose,
  hands,
  shoulder,
  holds,
  tires,
  bears,
  falls,
}: HeldPose): Readonly<Record<string, unknown>> => ({
  pose: pose.name,
  hands: hands.map((h) => ({
    id: h.contact.id,
    at: h.at,
    holdsUp: h.up,
    torqueNoseDown: h.noseDown,
    torqueLeftSideDown: h.leftSideDown,
  })),
  contacts: bears.map((b) => ({ id: b.contact.id, at: b.at, force: b.force, shareOfComfort: b.share })),
  falls,
  shoulderMoment: shoulder,
  shareOfStrength: holds.share,
  tires,
  roughMinutes: holds.kind === 'minutes' ? { least: holds.least, usual: holds.usual, most: holds.most } : holds.kind,
});

function poleFigures({ pole }: Evaluation): Readonly<Record<string, unknown>> | null {
  if (!pole) return null;
  const { hinge, swivel, hingeAt, rest, spun, pole: turned } = pole;
  return { hinge: hinge.id, swivel: swivel.id, hingeAt, massCentreFromHinge: turned.fromHinge, rest, spun };
}

const axisFigures = ({ pivot, ...rest }: Evaluation['axes'][number]): Readonly<Record<string, unknown>> => ({
  id: pivot.id,
  ...rest,
});

const seconds = (drop: Drop): number | null => (drop.kind === 'falls' ? drop.time : null);

const findingFigures = (f: Judgement): Readonly<Record<string, unknown>> => ({
  code: f.code,
  stage: f.stage,
  severity: f.severity,
  about: f.about,
  figure: f.figure?.value ?? null,
  limit: f.limit?.value ?? null,
  title: render(f.title, METRIC),
  why: render(f.why, METRIC),
  toDo: render(f.toDo, METRIC),
  fixes: f.fixes.map((fix) => ({ label: render(fix.label, METRIC), changes: fix.changes })),
});

const bodyFigures = (b: FlatBody, rigBody: string): Readonly<Record<string, unknown>> => ({
  id: b.id,
  name: b.name,
  rigBody,
  shape: b.shape,
  shapeOrigin: b.at,
  mass: b.mass,
  massFrom: b.massFrom,
  density: b.density,
  massStandardUncertainty: b.massSpread,
  centre: b.centre,
  rotation: b.rotation,
  inertiaAboutOwnCentre: b.inertia,
});

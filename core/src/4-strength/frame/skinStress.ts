/** The stress in the skin of a beam where it is worst: tension and bending along it, shear from twist. */
import type { Section } from './section';
import type { Through } from './frameAnswer';

export interface SkinStress {
  /** Pa, all three; von Mises' sum of them. */
  readonly along: number;
  readonly twist: number;
  readonly vonMises: number;
}

/** Shear force is left out: in slender members it is a few parts in a hundred of bending, and nil where bending is most. */
export function skinStress({ force, moment }: Pick<Through, 'force' | 'moment'>, section: Section): SkinStress {
  const axial = Math.abs(force[0]) / section.area;
  const bending = section.round
    ? (Math.hypot(moment[1], moment[2]) * section.halfWidth) / section.aboutY
    : (Math.abs(moment[1]) * section.halfHeight) / section.aboutY +
      (Math.abs(moment[2]) * section.halfWidth) / section.aboutZ;
  const twist = (Math.abs(moment[0]) * twistArm(section)) / section.torsion;
  const along = axial + bending;
  return { along, twist, vonMises: Math.hypot(along, Math.sqrt(3) * twist) };
}

/** Radius of a round; of a bar its thickness: at the middle of its broad sides, where T t/J is within 2 % for flat ones and 10 % low for square. */
const twistArm = ({ round, halfWidth, halfHeight }: Section): number =>
  round ? halfWidth : 2 * Math.min(halfWidth, halfHeight);

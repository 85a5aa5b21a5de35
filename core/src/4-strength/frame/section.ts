/** What a beam's section resists with: about its own axes y (along the section's width) and z. */

export interface Section {
  /** m² */
  readonly area: number;
  /** Second moments about y and z, m⁴: about y it bends up and down along z. */
  readonly aboutY: number;
  readonly aboutZ: number;
  /** Torsion constant J, m⁴. */
  readonly torsion: number;
  /** Part of the area that carries shear. */
  readonly shearPart: number;
  /** Farthest skin from the middle along y and z, m; round: the same radius, and stresses are taken round it. */
  readonly halfWidth: number;
  readonly halfHeight: number;
  readonly round: boolean;
}

/** Shear parts: thin tube 0.53, solid round 0.9, rectangle 5/6 (Cowper, about nu 0.3). */
const THIN_TUBE = 0.53;
const SOLID_ROUND = 0.9;
const RECTANGLE = 5 / 6;

/** A round tube, m; `inner` of nought is solid. Exact but for the shear part, drawn straight between thin and solid. Radii not above nought, or no wall, throw. */
export function tubeSection(outer: number, inner: number, shearPart?: number): Section {
  if (!(outer > inner && inner >= 0)) throw new RangeError(`A tube of ${outer} m over ${inner} m has no wall.`);
  const second = (Math.PI / 4) * (outer ** 4 - inner ** 4);
  const hollow = inner / outer;
  return {
    area: Math.PI * (outer ** 2 - inner ** 2),
    aboutY: second,
    aboutZ: second,
    torsion: 2 * second,
    shearPart: shearPart ?? SOLID_ROUND + (THIN_TUBE - SOLID_ROUND) * hollow,
    halfWidth: outer,
    halfHeight: outer,
    round: true,
  };
}

/** A flat bar: `width` along y, `height` along z, m. Torsion by Roark's fit, within 4 %. */
export function barSection(width: number, height: number, shearPart = RECTANGLE): Section {
  if (!(width > 0 && height > 0)) throw new RangeError(`A bar of ${width} by ${height} m has no section.`);
  const [b, t] = width >= height ? [width, height] : [height, width];
  return {
    area: width * height,
    aboutY: (width * height ** 3) / 12,
    aboutZ: (height * width ** 3) / 12,
    torsion: b * t ** 3 * (1 / 3 - 0.21 * (t / b) * (1 - t ** 4 / (12 * b ** 4))),
    shearPart,
    halfWidth: width / 2,
    halfHeight: height / 2,
    round: false,
  };
}

/** A box bar with a hole all along it, width along y. Torsion of a thin wall round its middle line (Bredt), 5 % for walls to a fifth. */
export function boxSection(width: number, height: number, boreWidth: number, boreHeight: number): Section {
  const whole = barSection(width, height);
  if (!(boreWidth > 0 && boreHeight > 0)) return whole;
  if (!(boreWidth < width && boreHeight < height))
    throw new RangeError(`A box of ${width} by ${height} m with a bore as large has no wall.`);
  const hole = barSection(boreWidth, boreHeight);
  const [wall, wallUp] = [(width - boreWidth) / 2, (height - boreHeight) / 2];
  const [w, h] = [width - wall, height - wallUp];
  return {
    ...whole,
    area: whole.area - hole.area,
    aboutY: whole.aboutY - hole.aboutY,
    aboutZ: whole.aboutZ - hole.aboutZ,
    torsion: (4 * (w * h) ** 2) / ((2 * w) / wallUp + (2 * h) / wall),
    shearPart: 0.44,
  };
}

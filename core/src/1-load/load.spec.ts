import {
  balanceOnEdge,
  boardOneScale,
  edgeShiftByRoll,
  fieldOfView,
  frameFraction,
  angleForFraction,
  itemFigures,
  type MeshFault,
  placeLoad,
  smearFraction,
  solidOf,
  twoHangings,
  twoScales,
} from '.';
import { quaternionAbout, type Vec3 } from '../0-base';
import { camera, kit, lens, loadout } from '../testing/rigs';

describe('meshes', () => {
  const vertices: Vec3[] = [
    [0, 0, 0],
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  const faces: Vec3[] = [
    [0, 2, 1],
    [0, 1, 3],
    [1, 2, 3],
    [0, 3, 2],
  ];
  it('sum to a tetrahedron', () => {
    const solid = solidOf({ kind: 'mesh', vertices, triangles: faces });
    expect(solid.volume).toBeCloseTo(1 / 6, 15);
    solid.centroid.forEach((c) => expect(c).toBeCloseTo(0.25, 15));
  });
  it('are refused when open, inside out, empty or naming what is not there, with the place', () => {
    const fault = (triangles: Vec3[]): MeshFault => {
      try {
        solidOf({ kind: 'mesh', vertices, triangles });
      } catch (error) {
        return error as MeshFault;
      }
      return fail('not refused') as never;
    };
    expect(fault(faces.slice(1)).kind).toBe('open');
    expect(fault(faces.slice(1)).at).not.toBeNull();
    expect(fault(faces.map(([a, b, c]) => [a, c, b])).kind).toBe('insideOut');
    expect(fault([]).kind).toBe('empty');
    expect(fault([[0, 1, 9], ...faces]).kind).toBe('badIndex');
  });
});

describe('measuring a mass centre', () => {
  it('on two scales', () => {
    const found = twoScales({ atOrigin: 3, atFar: 1, distance: 0.4, scaleStep: 0.01, rulerStep: 0.001 });
    expect(found.ok && found.at).toBeCloseTo(0.1, 12);
    expect(twoScales({ atOrigin: 0, atFar: 0, distance: 0.4, scaleStep: 0, rulerStep: 0 }).ok).toBeFalse();
    expect(twoScales({ atOrigin: -1, atFar: 2, distance: 0.4, scaleStep: 0, rulerStep: 0 }).ok).toBeFalse();
    expect(twoScales({ atOrigin: 1, atFar: 2, distance: 0, scaleStep: 0, rulerStep: 0 }).ok).toBeFalse();
  });
  it('on a board', () => {
    const found = boardOneScale({
      withBody: 6,
      boardAlone: 1,
      weight: 10,
      distance: 0.5,
      scaleStep: 0.01,
      rulerStep: 0.001,
    });
    expect(found.ok && found.at).toBeCloseTo(0.25, 12);
    expect(
      boardOneScale({ withBody: 1, boardAlone: 2, weight: 10, distance: 0.5, scaleStep: 0, rulerStep: 0 }).ok,
    ).toBeFalse();
    expect(
      boardOneScale({ withBody: 3, boardAlone: 2, weight: 0, distance: 0.5, scaleStep: 0, rulerStep: 0 }).ok,
    ).toBeFalse();
  });
  it('hung twice, unless the lines run side by side', () => {
    const found = twoHangings({ point: [0.1, 0, 0.1], down: [-1, 0, -1] }, { point: [-0.1, 0, 0.1], down: [1, 0, -1] });
    expect(found.ok && found.massCentre.map((x) => Math.round(x * 1e9) / 1e9)).toEqual([0, 0, 0]);
    expect(
      twoHangings({ point: [0, 0, 0], down: [0, 0, -1] }, { point: [0.1, 0, 0], down: [0, 0.001, -1] }).ok,
    ).toBeFalse();
  });
  it('on an edge: midway between the tips, and never outside the item', () => {
    const found = balanceOnEdge({ tipsOneWay: 0.03, tipsOtherWay: 0.034, length: 0.06, rulerStep: 0.001 });
    expect(found.ok && found.at).toBeCloseTo(0.032, 12);
    expect(found.ok && found.spread).toBeGreaterThan(0.001);
    expect(balanceOnEdge({ tipsOneWay: 0.03, tipsOtherWay: 0.07, length: 0.06, rulerStep: 0.001 }).ok).toBeFalse();
  });
});

describe('kit', () => {
  it('is guessed by class with its spread until weighed, then the scale wins', () => {
    const { mass: _mass, ...unweighed } = camera;
    const guess = itemFigures(unweighed);
    expect(guess.weighed).toBeFalse();
    expect(guess.massSpread).toBeGreaterThan(0.1 * guess.mass);
    expect(itemFigures(camera).mass).toBe(0.5);
  });
  it('stands on kit, turned with it', () => {
    const placed = placeLoad(loadout, kit);
    expect(placed.faults).toEqual([]);
    placed.bodies[1]!.centre.forEach((c, i) => expect(c).toBeCloseTo([0.034 + 0.027, 0.003, 0.037][i]!, 12));
    const turned = placeLoad(
      {
        ...loadout,
        items: [{ ...loadout.items[0]!, turn: quaternionAbout([0, 0, 1], Math.PI / 2) }, loadout.items[1]!],
      },
      kit,
    );
    turned.bodies[1]!.centre.forEach((c, i) => expect(c).toBeCloseTo([-0.003, 0.061, 0.037][i]!, 12));
  });
  it('that cannot be placed is reported, not dropped in silence', () => {
    const [body, glass] = loadout.items;
    const reasons = (items: typeof loadout.items): string =>
      placeLoad({ ...loadout, items }, kit)
        .faults.map((f) => f.reason)
        .join(' ');
    expect(reasons([{ ...body!, item: 'gone' }])).toContain('not in the kit');
    expect(reasons([body!, { ...glass!, on: { mounted: 'm-cam', point: 'roof' } }])).toContain('no mounting point');
    expect(reasons([body!, { ...glass!, on: { mounted: 'nobody', point: 'flange' } }])).toContain(
      'not in this loadout',
    );
    expect(reasons([{ ...body!, on: { mounted: 'm-lens', point: 'flange' } }, glass!])).toContain('stands on itself');
    expect(lens.name).toBe('Wide lens');
  });
});

describe('the picture', () => {
  it('shifts by the tangent over the view', () => {
    const fov = fieldOfView(0.024, 0.012);
    expect(fov).toBeCloseTo(Math.PI / 2, 12);
    expect(frameFraction(fov / 2, 0.024, 0.012)).toBeCloseTo(0.5, 12);
    expect(angleForFraction(0.5, 0.024, 0.012)).toBeCloseTo(fov / 2, 12);
    expect(edgeShiftByRoll(0.01, 0.03, 0.02)).toBeCloseTo(0.0075, 5);
    expect(smearFraction({ amplitude: 0.01, frequency: 10, exposure: 1 }, 0.024, 0.024)).toBeCloseTo(0.02, 5);
  });
});

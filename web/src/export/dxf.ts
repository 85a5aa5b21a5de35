/** A drawing sheet as DXF at full size in millimetres, a layer a view; holes seen end-on on a layer of their own. */
import type { Point2 } from '@tide-pebble/core';
import type { SquareOnSheet } from '@tide-pebble/core/making';
import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';

const MM = 1000;

export function dxfOf(sheet: SquareOnSheet): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const { view, outlines, title, titleAt } of sheet.views) {
    dxf.addLayer(view, Colors.White, 'CONTINUOUS');
    dxf.addLayer(`${view}-bores`, Colors.Cyan, 'CONTINUOUS');
    const ring = (points: readonly Point2[], layerName: string): void =>
      void dxf.addLWPolyline(
        points.map(([u, v]) => ({ point: point2d(u * MM, v * MM) })),
        { flags: LWPolylineFlags.Closed, layerName },
      );
    for (const { points, bore } of outlines) {
      ring(points, view);
      if (bore) ring(bore, `${view}-bores`);
    }
    dxf.addText(point3d(titleAt[0] * MM, titleAt[1] * MM, 0), 4, title, { layerName: view });
  }
  return dxf.stringify();
}

/** One pattern as DXF at full size in millimetres, a layer for each kind of line. */
import { render, type Point2, type UnitChoice } from '@tide-pebble/core';
import type { Pattern } from '@tide-pebble/core/patterns';
import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { LINES, MM } from './strokes';

export function patternDxf({ ink }: Pattern, units: UnitChoice): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const { layer } of Object.values(LINES)) dxf.addLayer(layer, Colors.White, 'CONTINUOUS');
  dxf.addLayer('words', Colors.Cyan, 'CONTINUOUS');
  const at = ([x, y]: Point2) => point3d(x * MM, y * MM, 0);
  for (const i of ink) {
    if (i.kind === 'words') {
      dxf.addText(at(i.at), i.height * MM, render(i.says, units), { layerName: 'words' });
      continue;
    }
    const layerName = LINES[i.stroke].layer;
    if (i.kind === 'circle') dxf.addCircle(at(i.at), i.radius * MM, { layerName });
    else
      dxf.addLWPolyline(
        i.points.map(([x, y]) => ({ point: point2d(x * MM, y * MM) })),
        { flags: i.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName },
      );
  }
  return dxf.stringify();
}

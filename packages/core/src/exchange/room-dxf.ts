import { Colors, DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import { bounds, JOINT_KINDS, type Point, type Room } from '../job';
import { drawn, type Surveyed } from './drawn';
import { oneLine } from './plain-text';

/** Space between rooms on the sheet, mm. */
const APART = 2000;

/**
 * Rooms with their boards and joints as a DXF drawing in millimetres: unfolded, one beside the other, on layers FACES,
 * BOARDS, OPENINGS, NAMES and one for each joint kind.
 */
export function roomsDxf(rooms: readonly { room: Room; survey: Surveyed }[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const layers: [string, number][] = [
    ['FACES', Colors.White],
    ['BOARDS', Colors.Cyan],
    ['OPENINGS', Colors.Yellow],
    ['NAMES', Colors.White],
    ...JOINT_KINDS.map((kind): [string, number] => [layerOf(kind), Colors.Green]),
  ];
  for (const [name, colour] of layers) dxf.addLayer(name, colour, 'Continuous');
  const closed = (layerName: string, ring: readonly Point[]) => {
    if (ring.length > 2)
      dxf.addLWPolyline(
        ring.map(([x, y]) => ({ point: { x: tidy(x), y: tidy(y) } })),
        { flags: LWPolylineFlags.Closed, layerName },
      );
  };
  let left = 0;
  for (const { room, survey } of rooms) {
    const drawing = drawn(room, survey);
    const all = drawing.faces.flatMap((face) => face.rings.flat());
    if (all.length === 0) continue;
    const [x0, y0, x1] = bounds(all);
    const move = ([x, y]: Point): Point => [x - x0 + left, y - y0];
    for (const face of drawing.faces) for (const ring of face.rings) closed('FACES', ring.map(move));
    for (const board of drawing.boards) closed('BOARDS', board.ring.map(move));
    for (const opening of drawing.openings) closed('OPENINGS', opening.ring.map(move));
    for (const joint of drawing.joints) {
      const points = joint.points.map(move);
      points.slice(1).forEach((to, i) => {
        const from = points[i] as Point;
        dxf.addLine(point3d(tidy(from[0]), tidy(from[1])), point3d(tidy(to[0]), tidy(to[1])), {
          layerName: layerOf(joint.kind),
        });
      });
    }
    dxf.addText(point3d(tidy(left), -400), 200, oneLine(room.name), { layerName: 'NAMES' });
    left += x1 - x0 + APART;
  }
  return dxf.stringify();
}

const tidy = (n: number): number => Math.round(n * 1000) / 1000;
const layerOf = (kind: string): string => `JOINT-${kind.toUpperCase()}`;

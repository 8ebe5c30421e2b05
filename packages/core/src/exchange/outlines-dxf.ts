import * as packaged from 'dxf-parser';
import type { IEntity, ILwpolylineEntity, IPolylineEntity, ITextEntity } from 'dxf-parser';
import {
  asKind,
  bounds,
  holds,
  kindNamed,
  MOST,
  nameWith,
  newRoom,
  outlineTrouble,
  type Point,
  type Room,
  type RoomKind,
} from '../job';
import type { UnitSystem } from '../units';
import { roomsLeft } from './rooms-csv';

// The package is a class where it is required and exports it by name where it is imported.
const Parser =
  (packaged as { DxfParser?: typeof packaged.DxfParser }).DxfParser ??
  (packaged as unknown as { default: typeof packaged.DxfParser }).default;

/** A closed outline found in a drawing. */
export interface Outline {
  name: string;
  layer: string;
  /** From its own lower left corner, mm. */
  ring: Point[];
  kind: RoomKind;
  /** What was simplified in reading it. */
  notes: string[];
}

export interface OutlinesRead {
  outlines: Outline[];
  errors: { where: string; message: string }[];
  /** How the unit was known. */
  unit: string;
  /** What was made of the file, where somebody should look. */
  notes: string[];
}

/** Drawing units by the header's number, mm. */
const INSUNITS: Record<number, { mm: number; name: string }> = {
  1: { mm: 25.4, name: 'inches' },
  2: { mm: 304.8, name: 'feet' },
  4: { mm: 1, name: 'millimetres' },
  5: { mm: 10, name: 'centimetres' },
  6: { mm: 1000, name: 'metres' },
  10: { mm: 914.4, name: 'yards' },
  14: { mm: 100, name: 'decimetres' },
};

/** Corners closer than this, or less off a straight line, are drawing noise, mm. */
const SAME_MM = 10;
const STRAIGHT_MM = 1;

/**
 * Reads the closed outlines of a DXF drawing. Units come from its header; the layer chooses the kind of
 * room; a text inside an outline is its name.
 */
export function readOutlinesDxf(text: string, units: UnitSystem, most: number = MOST.rooms): OutlinesRead {
  const failed = (message: string): OutlinesRead => ({
    outlines: [],
    errors: [{ where: 'file', message }],
    unit: '',
    notes: [],
  });
  if (!/\bSECTION\b/.test(text.slice(0, 2000)))
    return failed('The file is not a text DXF drawing; save it as DXF (ASCII) and try again.');
  let drawing;
  try {
    drawing = new Parser().parseSync(text);
  } catch {
    return failed(
      'The drawing is damaged: it breaks off or holds what no drawing holds. Save it again as DXF (ASCII).',
    );
  }
  const entities = drawing?.entities ?? [];
  const known = INSUNITS[Number(drawing?.header?.['$INSUNITS'])];
  const scale = known?.mm ?? (units === 'metric' ? 1 : 25.4);
  const unit = known
    ? known.name
    : `${units === 'metric' ? 'millimetres' : 'inches'}, for the drawing names no unit`;
  const texts = entities.flatMap((entity) => textOf(entity, scale));
  const read: OutlinesRead = { outlines: [], errors: [], unit, notes: [] };
  let n = 0;
  for (const entity of entities) {
    if (!isPolyline(entity)) continue;
    n++;
    const where = `outline ${n} on layer ${entity.layer ?? '0'}`;
    if (read.outlines.length >= most) {
      read.errors.push({ where, message: roomsLeft(most) });
      break;
    }
    const raw = entity.vertices.map((v): Point => [v.x * scale, v.y * scale]);
    const [first, last] = [raw[0], raw.at(-1)];
    const meets = first && last && Math.hypot(first[0] - last[0], first[1] - last[1]) < SAME_MM;
    if (!entity.shape && !meets) {
      read.errors.push({ where, message: 'is not closed; close it, or draw its last side.' });
      continue;
    }
    const { ring, notes } = cleaned(raw);
    if (entity.vertices.some((v) => 'bulge' in v && Math.abs(v.bulge) > 1e-6))
      notes.push('curved sides are taken as straight');
    const wrong = outlineTrouble(ring);
    if (wrong) {
      read.errors.push({ where, message: `${wrong}.` });
      continue;
    }
    const layer = entity.layer ?? '0';
    const label = texts.find((t) => holds(ring, t.at));
    const [left, low] = bounds(ring);
    read.outlines.push({
      name: label?.text ?? (layer === '0' ? `Room ${n}` : `${layer} ${n}`),
      layer,
      ring: ring.map(([x, y]): Point => [round(x - left), round(y - low)]),
      kind: kindNamed(layer),
      notes,
    });
  }
  if (n === 0)
    read.errors.push({
      where: 'file',
      message: 'There is no outline in the drawing; rooms are closed polylines.',
    });
  return read;
}

/** Rooms from outlines, all of one height. */
export function roomsFromOutlines(
  outlines: readonly Outline[],
  heightMm: number,
  units: UnitSystem,
  newId: () => string,
): Room[] {
  return outlines.map(({ name, ring, kind }) =>
    asKind(
      newRoom(newId(), nameWith(name), units, { outline: ring.map((p): Point => [...p]), heightMm }),
      kind,
    ),
  );
}

const round = (n: number): number => Math.round(n * 10) / 10;

const isPolyline = (entity: IEntity): entity is ILwpolylineEntity | IPolylineEntity =>
  (entity.type === 'LWPOLYLINE' || entity.type === 'POLYLINE') &&
  Array.isArray((entity as ILwpolylineEntity).vertices);

function textOf(entity: IEntity, scale: number): { text: string; at: Point }[] {
  if (entity.type !== 'TEXT' && entity.type !== 'MTEXT') return [];
  const { text, startPoint, position } = entity as unknown as ITextEntity & {
    position?: { x: number; y: number };
  };
  const at = startPoint ?? position;
  const plain = text?.replace(/\\[A-Za-z][^;]*;|[{}]/g, '').trim();
  return at && plain ? [{ text: plain, at: [at.x * scale, at.y * scale] }] : [];
}

/** Without corners that repeat and corners on a straight line. */
function cleaned(raw: readonly Point[]): { ring: Point[]; notes: string[] } {
  const apart = raw.filter((p, i) => {
    const q = raw[(i + 1) % raw.length] as Point;
    return Math.hypot(p[0] - q[0], p[1] - q[1]) >= SAME_MM;
  });
  const ring = apart.filter((p, i) => {
    const a = apart[(i + apart.length - 1) % apart.length] as Point;
    const b = apart[(i + 1) % apart.length] as Point;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    return Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / length > STRAIGHT_MM;
  });
  const gone = raw.length - ring.length;
  return { ring, notes: gone > 1 ? [`${gone} corners that turn nothing are left out`] : [] };
}

import { wallId, type FinishSpec, type Light, type Room } from '../job';
import { dot, inSpace, minus, onFace, plus, type Face, type Survey, type Vec } from '../survey';
import { say, type Message, type Sayable } from '../texts';
import { CRITICAL_BELOW_DEG, grazingOf } from './decoration';
import { needsOf } from './needs';

/** Faces of a room that are finished alike, with the room as it is there. */
export interface Area {
  /** The room's id for the room at large, and the first face's behind it for what differs. */
  id: string;
  /** In words: `the room`, `wall 2 and wall 3`. */
  name: Sayable;
  faces: string[];
  /** The room with this area's finish, decoration and light. */
  room: Room;
  survey: Survey;
}

/** Where light enters or hangs, in the room; none where it is not in the room. */
export function sourceAt(room: Room, survey: Pick<Survey, 'faces'>, id: string): Vec | undefined {
  const lamp = room.lamps?.find((l) => l.id === id);
  if (lamp) return [lamp.at[0], lamp.at[1], lamp.heightMm];
  const opening = room.openings.find((o) => o.id === id);
  const wall = opening && survey.faces.find((face) => face.id === wallId(opening.wall));
  if (!opening || !wall) return undefined;
  return inSpace(wall.frame, [opening.leftMm + opening.widthMm / 2, opening.bottomMm + opening.heightMm / 2]);
}

export interface Grazing {
  angleDeg: number;
  /** How far the light stands off the plane of the face, and how far along it the eye goes, mm. */
  offMm: number;
  alongMm: number;
}

/** Nearer to the plane than this the light does not reach the face at all, mm. */
const IN_PLANE_MM = 20;

/** The smallest angle at which a light meets a face: at the part of it farthest along; none where it is behind. */
export function grazingOn(face: Pick<Face, 'frame' | 'rings'>, from: Vec): Grazing | undefined {
  const { frame, rings } = face;
  const apart = plus(from, minus(frame.origin));
  const offMm = dot(apart, frame.inward);
  if (offMm < IN_PLANE_MM) return undefined;
  const [u, v] = onFace(frame, from);
  let alongMm = 0;
  // Straight along or straight up, not into the corners: the eye looks along a wall, not across its diagonal.
  for (const [a, b] of rings.flat()) alongMm = Math.max(alongMm, Math.abs(a - u), Math.abs(b - v));
  return { angleDeg: (Math.atan2(offMm, alongMm) * 180) / Math.PI, offMm, alongMm };
}

/** Light on a face: as said, or from the place of the window or lamp it comes from. */
export function lightOn(
  room: Room,
  survey: Pick<Survey, 'faces'>,
  face: Face | undefined,
  light: Light,
): Light {
  const from = light.from === undefined ? undefined : sourceAt(room, survey, light.from);
  if (!from || !face) return light;
  const found = grazingOn(face, from);
  if (!found) return { kind: 'ordinary', from: light.from as string };
  const grazingDeg = Math.max(0.5, Math.round(found.angleDeg * 10) / 10);
  return {
    kind: grazingDeg < CRITICAL_BELOW_DEG ? 'critical' : 'ordinary',
    grazingDeg,
    from: light.from as string,
  };
}

/** What one face is to be: its own where it is said, the room's where not. */
export function finishSpecOf(room: Room, faceId: string): FinishSpec {
  const own = room.faces?.[faceId];
  const primer = own?.primer ?? (own?.decoration ? undefined : room.primer);
  return {
    finish: own?.finish ?? room.finish,
    decoration: own?.decoration ?? room.decoration,
    light: own?.light ?? room.light,
    ...(primer ? { primer } : {}),
  };
}

/** How much a finish asks of joints and face, to hold two against each other. */
const demand = (room: FinishSpec): number => {
  const { flats, angles, heads, surface } = needsOf(room.finish);
  return flats + angles + heads + ['none', 'ridge-free', 'sanded', 'scrape', 'skim'].indexOf(surface);
};

/** The room in areas of one look each; most rooms are one. */
export function areasOf(room: Room, survey: Survey): Area[] {
  const byLook = new Map<string, { look: FinishSpec; faces: Face[] }>();
  const take = (look: FinishSpec, faces: Face[]) => {
    const key = JSON.stringify(look);
    const known = byLook.get(key);
    if (known) known.faces.push(...faces);
    else byLook.set(key, { look, faces });
  };
  take(finishSpecOf(room, ''), []);
  for (const face of survey.faces) take(finishSpecOf(room, face.id), [face]);
  const [own, ...others] = [...byLook.values()];
  const looks =
    others.length > 0 && own?.faces.every((face) => face.areaM2 <= 0) && !room.counts
      ? others
      : [own, ...others];
  const areas = looks
    .filter((l) => l !== undefined)
    .map(({ look, faces }, i): Area => {
      // A return grazes in any window's light and is too narrow to show it.
      const lit = faces.filter((f) => f.boarded && f.kind !== 'reveal');
      const lights = lit.map((face) => lightOn(room, survey, face, look.light));
      const light = lights.reduce(
        (least, l) => (grazingOf(l) < grazingOf(least) ? l : least),
        lights[0] ?? look.light,
      );
      const first = i === 0 && looks.length === byLook.size;
      return {
        id: first || looks.length === 1 ? room.id : `${room.id}/${faces[0]?.id ?? ''}`,
        name:
          looks.length === 1
            ? say('area.room')
            : first
              ? say('area.rest')
              : listed(faces.filter((f) => f.boarded).map((f) => f.name)),
        faces: faces.map((f) => f.id),
        room: { ...room, ...look, light },
        survey,
      };
    });
  if (areas.length === 1) return areas;
  return areas.map((area, i) => ({ ...area, ...partOf(area, i, areas, room, survey) }));
}

const listed = (names: readonly Message[]): Sayable =>
  names.length > 3
    ? say('area.many', { first: names[0] ?? '', second: names[1] ?? '', more: names.length - 2 })
    : names;

/** The part of the survey and of the room that belongs to one area; an angle goes with the finer of its faces. */
function partOf(
  area: Area,
  index: number,
  areas: readonly Area[],
  room: Room,
  survey: Survey,
): Pick<Area, 'survey' | 'room'> {
  const homeOf = (face: string): Area => areas.find((a) => a.faces.includes(face)) ?? (areas[0] as Area);
  const owns = (joint: Survey['joints'][number]): boolean => {
    const a = homeOf(joint.face);
    const b = joint.other === undefined ? a : homeOf(joint.other);
    return (demand(b.room) > demand(a.room) ? b : a) === area;
  };
  const faces = survey.faces.filter((face) => area.faces.includes(face.id));
  const counted = index === 0 ? room.counts : undefined;
  const { counts: _, ...rest } = area.room;
  const damage = room.damage?.filter((d) => (d.face === undefined ? areas[0] : homeOf(d.face)) === area);
  return {
    room: { ...rest, ...(counted ? { counts: counted } : {}), ...(damage ? { damage } : {}) },
    survey: {
      ...survey,
      faces,
      boards: survey.boards.filter((board) => area.faces.includes(board.face)),
      joints: survey.joints.filter(owns),
      fasteners: faces.reduce((sum, face) => sum + (face.laid?.fasteners ?? 0), counted?.heads ?? 0),
      boardAreaM2: faces.reduce((sum, face) => sum + face.areaM2, counted?.areaM2 ?? 0),
    },
  };
}

import type { Light, Room } from '../job';
import type { Survey } from '../survey';
import type { Advice, Change } from './types';

/** Something the room keeps for a face, a joint or a light that is not there. */
interface Gone {
  what: string;
  change: Change;
}

/**
 * A-GONE: the room without what hangs on a face, a joint, a lamp or an opening that is not there, and a note of
 * it. The room keeps it: a wall drawn longer again has its butts back.
 * @param room the room as it is surveyed
 * @param whole the room with what was left out of the survey because it does not fit, which is told elsewhere
 */
export function withoutGone(room: Room, survey: Survey, whole: Room): { sound: Room; advice: Advice[] } {
  const faces = new Set(survey.faces.map((face) => face.id));
  const joints = new Set(survey.joints.map((joint) => joint.id));
  const lights = new Set([...(whole.lamps ?? []), ...whole.openings].map(({ id }) => id));
  const isLost = (light: Light | undefined) => light?.from !== undefined && !lights.has(light.from);
  const gone: Gone[] = [];
  const lose = (what: string, path: string[], value?: unknown) =>
    gone.push({ what, change: { room: room.id, path, value } });

  const lostJoints = Object.keys(room.joints ?? {}).filter((id) => !joints.has(id));
  for (const id of lostJoints) lose('what was measured on a joint', ['joints', id]);
  const lostFaces = Object.keys(room.faces ?? {}).filter((id) => !faces.has(id));
  for (const id of lostFaces) lose('what was said of a face', ['faces', id]);
  const onFaces = <T extends { face: string }>(all: readonly T[] | undefined): T[] =>
    (all ?? []).filter(({ face }) => faces.has(face));
  const [seams, damage] = [onFaces(room.seams), onFaces(room.damage)];
  for (let n = seams.length; n < (room.seams?.length ?? 0); n++) lose('a seam', ['seams'], seams);
  for (let n = damage.length; n < (room.damage?.length ?? 0); n++) lose('a damaged spot', ['damage'], damage);
  if (isLost(room.light)) lose('the light', ['light', 'from']);
  for (const [id, note] of Object.entries(room.faces ?? {}))
    if (faces.has(id) && isLost(note.light)) lose('the light on a face', ['faces', id, 'light', 'from']);

  if (gone.length === 0) return { sound: room, advice: [] };
  const sound: Room = { ...room };
  if (room.seams) sound.seams = seams;
  if (room.damage) sound.damage = damage;
  return {
    sound,
    advice:
      room !== whole
        ? []
        : [
            {
              code: 'A-GONE',
              severity: 'note',
              place: { room: room.id },
              reason: `This room keeps ${counted(gone.map(({ what }) => what))} for a place that it does not have. It is kept and not planned.`,
              cures: [{ text: 'Forget it', changes: gone.map(({ change }) => change) }],
            },
          ],
  };
}

/** `a seam (2), the light`. */
function counted(names: readonly string[]): string {
  const times = new Map<string, number>();
  for (const name of names) times.set(name, (times.get(name) ?? 0) + 1);
  return [...times].map(([name, n]) => (n > 1 ? `${name} (${n})` : name)).join(', ');
}

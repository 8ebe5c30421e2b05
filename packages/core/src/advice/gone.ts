import type { Light, Room } from '../job';
import type { Survey } from '../survey';
import { say, type Message } from '../texts';
import { inRoom } from './change';
import type { Advice, Change } from './types';

type What = 'joint' | 'face' | 'seam' | 'damage' | 'light' | 'face-light';

/** Something the room keeps for a face, a joint or a light that is not there. */
interface Gone {
  what: What;
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
  const lose = (what: What, change: Change) => gone.push({ what, change });

  const lostJoints = Object.keys(room.joints ?? {}).filter((id) => !joints.has(id));
  for (const id of lostJoints) lose('joint', inRoom(room.id, ['joints', id], undefined));
  const lostFaces = Object.keys(room.faces ?? {}).filter((id) => !faces.has(id));
  for (const id of lostFaces) lose('face', inRoom(room.id, ['faces', id], undefined));
  // What was only counted hangs on no face.
  const onFaces = <T extends { face?: string }>(all: readonly T[] | undefined): T[] =>
    (all ?? []).filter(({ face }) => face === undefined || faces.has(face));
  const [seams, damage] = [onFaces(room.seams), onFaces(room.damage)];
  for (let n = seams.length; n < (room.seams?.length ?? 0); n++)
    lose('seam', inRoom(room.id, ['seams'], seams));
  for (let n = damage.length; n < (room.damage?.length ?? 0); n++)
    lose('damage', inRoom(room.id, ['damage'], damage));
  if (isLost(room.light)) lose('light', inRoom(room.id, ['light', 'from'], undefined));
  for (const [id, note] of Object.entries(room.faces ?? {}))
    if (faces.has(id) && isLost(note.light))
      lose('face-light', inRoom(room.id, ['faces', id, 'light', 'from'], undefined));

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
              reason: say('a-gone', { what: counted(gone.map(({ what }) => what)) }),
              cures: [{ text: say('a-gone.forget'), changes: gone.map(({ change }) => change) }],
            },
          ],
  };
}

/** `2 seams`, `the light`. */
function counted(lost: readonly What[]): Message[] {
  const times = new Map<What, number>();
  for (const what of lost) times.set(what, (times.get(what) ?? 0) + 1);
  return [...times].map(([what, count]) => say(`gone.${what}`, { count }));
}

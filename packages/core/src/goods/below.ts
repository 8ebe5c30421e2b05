import { given, type Why, type WhyInput } from '../book';
import type { BoardRow } from '../coat';
import type { Supplied } from '../compound';
import {
  COATS,
  COMPOUNDS,
  ELEMENTS,
  isCut,
  type Coat,
  type CompoundId,
  type Element,
  type Way,
} from '../job';
import type { Joint } from '../survey';
import { jointCoatsL, type RoomUse } from '../takeoff';
import { say, type Sayable } from '../texts';
import { compoundIn } from './wares';

/** Rooms as far as the way from a total down to a joint leads through them. */
interface RoomBelow {
  id: string;
  joints: readonly Joint[];
  use: RoomUse;
  areas: readonly { rows: readonly BoardRow[]; use: RoomUse }[];
}

export interface Below {
  rooms: readonly RoomBelow[];
  way: Way;
  book: Supplied;
  roomName: (room: string) => Sayable;
  jointName: (room: string, joint: string) => Sayable;
}

const BETWEEN = '|';

/** What is asked below a total: the ware, then the coat, the room and the row. */
export const whyKey = (...path: readonly string[]): string => path.join(BETWEEN);

/** Why so much of what a key names: what it is made of, one step further down. */
export function whyBelow(key: string, below: Below): Why | undefined {
  const [ware = '', ...path] = key.split(BETWEEN);
  const compound = compoundIn(ware);
  if (compound !== undefined && COMPOUNDS.includes(compound)) return mudBelow(ware, compound, path, below);
  return ware.startsWith('tape/') ? tapeBelow(ware, path, below) : undefined;
}

const made = (rule: Why['rule'], inputs: WhyInput[]): Why | undefined =>
  inputs.length > 0 ? { rule, inputs } : undefined;

function mudBelow(
  ware: string,
  compound: CompoundId,
  [coat, room, element]: readonly string[],
  { rooms, way, book, roomName, jointName }: Below,
): Why | undefined {
  const of = (use: RoomUse, row?: string): number =>
    use.uses.reduce(
      (sum, one) =>
        one.compound === compound && one.coat === coat && (row === undefined || one.element === row)
          ? sum + one.wetL
          : sum,
      0,
    );
  const there = rooms.find(({ id }) => id === room);
  const coats = coat as Coat;
  if (!COATS.includes(coats)) return undefined;
  const litres = (label: Sayable, value: number, key?: string): WhyInput[] =>
    value > 1e-9
      ? [{ ...given(say('say', { what: label }), value, 'L'), ...(key === undefined ? {} : { key }) }]
      : [];
  if (room === undefined)
    return made(
      say('below.rooms', { coat: say(`coat.${coats}`) }),
      rooms.flatMap(({ id, use }) => litres(roomName(id), of(use), whyKey(ware, coats, id))),
    );
  if (!there) return undefined;
  if (element === undefined)
    return made(
      say('below.rows', { coat: say(`coat.${coats}`), room: roomName(room) }),
      ELEMENTS.flatMap((row) =>
        litres(
          say(`element.${row}`),
          of(there.use, row),
          hasJoints(row) ? whyKey(ware, coats, room, row) : undefined,
        ),
      ),
    );
  const row = element as Element;
  if (!ELEMENTS.includes(row)) return undefined;
  return made(
    say(isCut(row) ? 'below.sections' : 'below.joints', {
      coat: say(`coat.${coats}`),
      row: say(`element.${row}`),
      room: roomName(room),
    }),
    there.areas.flatMap(({ rows, use }) =>
      rows
        .filter((one) => one.element === row && one.cells.some((cell) => cell.compound === compound))
        .flatMap((one) =>
          there.joints
            .filter(({ id }) => one.joints.includes(id))
            .flatMap((joint) =>
              litres(jointName(room, joint.id), jointCoatsL(joint, one, use, way, book).get(coats) ?? 0),
            ),
        ),
    ),
  );
}

const hasJoints = (row: Element): boolean => row !== 'heads' && row !== 'face' && row !== 'repairs';

function tapeBelow(
  ware: string,
  [room]: readonly string[],
  { rooms, roomName, jointName }: Below,
): Why | undefined {
  const taped = ({ areas, joints }: RoomBelow): Joint[] => {
    const ids = new Set(
      areas.flatMap(({ rows }) =>
        rows.filter(({ cells }) => cells.some(({ tape }) => tape)).flatMap((row) => row.joints),
      ),
    );
    return joints.filter(({ id }) => ids.has(id));
  };
  const metres = (label: Sayable, mm: number, key?: string): WhyInput => ({
    ...given(say('say', { what: label }), mm / 1000, 'm'),
    ...(key === undefined ? {} : { key }),
  });
  if (room === undefined)
    return made(
      say('below.tape'),
      rooms.flatMap((one) => {
        const mm = one.use.tapeMm;
        return mm > 0 ? [metres(roomName(one.id), mm, whyKey(ware, one.id))] : [];
      }),
    );
  const there = rooms.find(({ id }) => id === room);
  if (!there) return undefined;
  return made(
    say('below.tape-joints', { room: roomName(room) }),
    taped(there).map((joint) => metres(jointName(room, joint.id), joint.lengthMm)),
  );
}

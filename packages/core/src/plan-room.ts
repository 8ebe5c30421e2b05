import type { Sayable } from './texts';
import { ROOM_RULES, fitting, onRoom, withoutGone, type Advice } from './advice';
import { cellsFor, rowsFor, type BoardRow, type Cell } from './coat';
import { type Supplied } from './compound';
import {
  chosenSets,
  inOrder,
  mendSteps,
  openSets,
  roomDay,
  roomSteps,
  setsAtHand,
  withSets,
  type RoomStep,
} from './days';
import { insteadOf, mendsOf, withMends, type FaceInstead, type Mend } from './mend';
import { areasOf, needsOf, type Area } from './finish';
import { runsOf, type CoatRun } from './runs';
import { outlineOf, signedArea2, type Job, type FinishSpec, type Mending, type Room } from './job';
import type { LayoutMemo } from './survey';
import { areaOf, highWorkIn, surveyRoom, type HighWork, type Survey } from './survey';
import type { SectionMemo } from './takeoff';
import { areaUse, together, type RoomUse } from './takeoff';
import { kitOf } from './way';

/** Part of a room that is finished alike. */
export interface AreaPlan extends FinishSpec {
  /** The room's id, with the first face behind it where the area is not the room at large. */
  id: string;
  name: Sayable;
  faces: string[];
  boardAreaM2: number;
  /** The coat board. */
  rows: BoardRow[];
  use: RoomUse;
}

export interface RoomPlan extends Survey {
  id: string;
  floorM2: number;
  /** Air in it, m³. */
  volumeM3: number;
  /** How much of it is out of reach from a bench or stilts; none where all is in reach. */
  high?: HighWork;
  /** The coat board of the room at large, element by element. */
  cells: Cell[];
  areas: AreaPlan[];
  use: RoomUse;
  /** The coats to work, with their labour and hardening. */
  steps: RoomStep[];
  /** The order of the joints in each coat. */
  runs: CoatRun[];
  /** Spots that are mended by themselves, and faces with such spots against skimming them. */
  mends: Mend[];
  instead: FaceInstead[];
  advice: Advice[];
}

/** Everything Lisse says about one room. */
export function planRoom(
  room: Room,
  job: Job,
  book: Supplied,
  { memo, layouts }: { memo: SectionMemo; layouts: LayoutMemo },
  mending: Mending,
): RoomPlan {
  const fits = fitting(room);
  const survey = surveyRoom(fits.sound, book, layouts);
  const { sound, advice: gone } = withoutGone(fits.sound, survey, room);
  const kit = kitOf(job.shop, job.way.tools);
  const floor = floorM2(room);
  const high = highWorkIn(sound, book);
  const { parts, steps } = laid(areasOf(sound, survey), { floorM2: floor, high }, job, book, { kit, memo });
  const advice = parts.flatMap(({ area, rows, use }) =>
    ROOM_RULES.flatMap((rule) =>
      rule({ job, area, room: area.room, survey: area.survey, rows, use, kit, book, memo }),
    ),
  );
  const mends = mendsIn(sound, job, book, memo, mending);
  const use = withMends(together(parts.map((part) => part.use)), mends, job.way);
  return {
    id: room.id,
    ...survey,
    floorM2: floor,
    ...(high.highM2 > 0 ? { high } : {}),
    volumeM3: (floor * meanHeightMm(room)) / 1000,
    cells: cellsFor({ needs: needsOf(room.finish), way: job.way, book, kit, room: room.cells }),
    areas: parts.map(({ area, rows, use: used }) => ({
      id: area.id,
      name: area.name,
      faces: area.faces,
      boardAreaM2: area.survey.boardAreaM2,
      finish: area.room.finish,
      decoration: area.room.decoration,
      light: area.room.light,
      ...(area.room.primer ? { primer: area.room.primer } : {}),
      rows,
      use: used,
    })),
    use,
    steps: mends.length === 0 ? steps : inOrder([...steps, ...mendSteps(mends, job.way, book)]),
    mends,
    instead: insteadOf(mends, faceAreas(survey), book),
    runs: runsFor(room, survey, parts, job, book),
    advice: onRoom([...advice, ...fits.advice, ...gone]),
  };
}

/** How the spots of a room are mended that are mended by themselves. */
export const mendsIn = (room: Room, job: Job, book: Supplied, memo: SectionMemo, mending: Mending): Mend[] =>
  (room.damage ?? []).length === 0
    ? []
    : mendsOf(room, {
        way: job.way,
        climate: job.climate,
        book,
        memo,
        sets: setsAtHand(job),
        dayMin: roomDay(job, book).minutes,
        mending,
      });

/** Faces by their area, m², boarded or standing. */
const faceAreas = ({ faces }: Survey): Map<string, number> =>
  new Map(faces.map(({ id, rings }) => [id, areaOf({ rings }) / 1e6]));

/** What is laid on the areas of a room and worked in it, with the set times that the plan chooses. */
function laid(
  areas: readonly Area[],
  { floorM2, high }: Pick<RoomPlan, 'floorM2'> & { high: HighWork },
  job: Job,
  book: Supplied,
  { kit, memo }: { kit: ReturnType<typeof kitOf>; memo: SectionMemo },
) {
  const planned = (area: Area, rows: BoardRow[]) => ({
    area,
    rows,
    use: areaUse(area, rows, job, book, memo),
  });
  const stepsOf = (made: readonly ReturnType<typeof planned>[]): RoomStep[] =>
    roomSteps({ areas, use: together(made.map((part) => part.use)), high }, job, book);
  const parts = areas.map((area) => planned(area, rowsFor(area, job.way, kit, book)));
  const steps = stepsOf(parts);
  if (job.way.setChosen !== true) return { parts, steps };
  const room = { floorM2, day: roomDay(job, book), sets: setsAtHand(job) };
  const chosen = chosenSets(steps, openSets(parts, job, book), room, job, book);
  const others = [...chosen.values()].some(({ setMin }) => setMin !== job.way.setMin);
  const set = others ? parts.map((part) => planned(part.area, withSets(part, chosen))) : parts;
  return {
    parts: set,
    steps: (others ? stepsOf(set) : steps).map((step) => {
      const choice = chosen.get(step.step);
      return choice ? { ...step, set: choice } : step;
    }),
  };
}

/** The order of the joints of a room; a row lays as much on a metre wherever it runs. */
function runsFor(
  room: Room,
  survey: Survey,
  parts: readonly { rows: BoardRow[]; use: RoomUse }[],
  { way }: Job,
  book: Supplied,
): CoatRun[] {
  const lengthMm = new Map(survey.joints.map((joint) => [joint.id, joint.lengthMm]));
  const litres = new Map<string, number>();
  // Areas have rows of the same names.
  const named = (row: string, part: number): string => `${part}|${row}`;
  parts.forEach(({ rows, use }, part) => {
    for (const row of rows) {
      const mm = row.joints.reduce((sum, id) => sum + (lengthMm.get(id) ?? 0), 0);
      for (const { row: id, coat, wetL } of use.uses)
        if (id === row.id && mm > 0) litres.set(`${named(id, part)} ${coat}`, (wetL / mm) * 1000);
    }
  });
  return runsOf({
    id: room.id,
    survey,
    rows: parts.flatMap(({ rows }, part) => rows.map((row) => ({ ...row, id: named(row.id, part) }))),
    litresPerM: (row, coat) => litres.get(`${row} ${coat}`) ?? 0,
    way,
    book,
    own: room.runs,
  });
}

/** Floor of a room, m². */
export const floorM2 = ({ plan }: Pick<Room, 'plan'>): number => Math.abs(signedArea2(outlineOf(plan))) / 2e6;

/** As high as a flat ceiling that holds as much air. */
const meanHeightMm = ({ plan: { heightMm }, ceiling }: Room): number =>
  ceiling ? (heightMm + Math.max(heightMm, ceiling.highMm)) / 2 : heightMm;

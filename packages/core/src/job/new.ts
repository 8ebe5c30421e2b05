import type { FloorPlan, Job, Room, Way } from './types';
import type { UnitSystem } from '../units';

/** Boards and framing as they are sold and spaced in the job's units. */
export function usualBoard(units: UnitSystem): Pick<Room, 'board' | 'framing'> {
  return units === 'metric'
    ? {
        board: { widthMm: 1200, lengthsMm: [2400, 3000, 3600], thicknessMm: 12.5, walls: 'across' },
        framing: { wallMm: 600, ceilingMm: 400, ceilingAlong: 'length' },
      }
    : {
        board: { widthMm: 1219.2, lengthsMm: [2438.4, 3048, 3657.6], thicknessMm: 12.7, walls: 'across' },
        framing: { wallMm: 406.4, ceilingMm: 406.4, ceilingAlong: 'length' },
      };
}

/**
 * The plan of an L-shaped room: a rectangle without its far right corner.
 * @param notch how much is missing, along the length and the width, mm; both less than the room's own
 */
export function lShape(
  { lengthMm: l, widthMm: w, heightMm }: { lengthMm: number; widthMm: number; heightMm: number },
  notch: { lengthMm: number; widthMm: number },
): FloorPlan {
  const [u, v] = [l - notch.lengthMm, w - notch.widthMm];
  return {
    outline: [
      [0, 0],
      [l, 0],
      [l, v],
      [u, v],
      [u, w],
      [0, w],
    ],
    heightMm,
  };
}

/** A room from three numbers, with the usual board, flat paint and ordinary light. */
export function newRoom(id: string, name: string, units: UnitSystem, plan: FloorPlan): Room {
  return {
    id,
    name,
    plan: { ...plan },
    openings: [],
    ...usualBoard(units),
    finish: units === 'metric' ? { scale: 'q', grade: 3 } : { scale: 'level', grade: 4 },
    decoration: 'flat-paint',
    light: { kind: 'ordinary' },
    substrate: 'paper',
  };
}

/** A job with no rooms yet. */
export function newJob(id: string, name: string, units: UnitSystem, startDate: string, way: Way): Job {
  return {
    format: 'lisse-job/1',
    id,
    name,
    units,
    rooms: [],
    way: { ...way },
    climate: { tempC: 20, rhPct: 50, air: 'still' },
    calendar: { startDate, from: '07:00', to: '15:30', weekdays: [1, 2, 3, 4, 5], crew: 1 },
  };
}

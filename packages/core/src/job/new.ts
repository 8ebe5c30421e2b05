import type { Job, Room, Way } from './types';
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

/** A room from three numbers, with the usual board, flat paint and ordinary light. */
export function newRoom(
  id: string,
  name: string,
  units: UnitSystem,
  size: { lengthMm: number; widthMm: number; heightMm: number },
): Room {
  return {
    id,
    name,
    plan: { ...size },
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

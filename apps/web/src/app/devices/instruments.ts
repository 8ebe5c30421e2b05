import { Injectable } from '@angular/core';
import { LIMITS } from '@lisse/core';
import { answerOf, isWithin } from './answers';

/** The simulated hygrometer and moisture meter of the server. */
@Injectable({ providedIn: 'root' })
export class Instruments {
  /**
   * The air of a room now.
   * @param at local time, `2026-11-30T07:00`
   * @param spot which room, a whole number from 1
   * @throws where it does not answer in time, or not with a reading
   */
  async air(at: string, spot: number): Promise<{ tempC: number; rhPct: number }> {
    const { tempC, rhPct } = await answerOf('hygrometer', 'instruments/air', {
      at,
      spot: String(spot),
    });
    if (!isWithin(tempC, LIMITS.log.tempC) || !isWithin(rhPct, LIMITS.log.rhPct))
      throw new Error('The hygrometer showed nothing.');
    return { tempC, rhPct };
  }

  /**
   * Moisture of a coat, percent.
   * @param hours since it was laid, and how long it dries
   * @throws as above
   */
  async moisture(hours: number, dry: number, spot: number): Promise<number> {
    const { moisturePct } = await answerOf('moisture meter', 'instruments/moisture', {
      hours: hours.toFixed(2),
      dry: dry.toFixed(2),
      spot: String(spot),
    });
    if (!isWithin(moisturePct, { least: 0, most: 100 }))
      throw new Error('The moisture meter showed nothing.');
    return moisturePct;
  }
}

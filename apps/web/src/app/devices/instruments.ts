import { Injectable } from '@angular/core';

/** The simulated hygrometer and moisture meter of the server. */
@Injectable({ providedIn: 'root' })
export class Instruments {
  /**
   * The air of a room now.
   * @param at local time, `2026-11-30T07:00`
   * @param spot which room, a whole number from 1
   * @throws where it does not answer, or not with a reading
   */
  async air(at: string, spot: number): Promise<{ tempC: number; rhPct: number }> {
    const { tempC, rhPct } = await ask('air', { at, spot: String(spot) });
    if (typeof tempC !== 'number' || typeof rhPct !== 'number')
      throw new Error('The hygrometer showed nothing.');
    return { tempC, rhPct };
  }

  /**
   * Moisture of a coat, percent.
   * @param hours since it was laid, and how long it dries
   * @throws as above
   */
  async moisture(hours: number, dry: number, spot: number): Promise<number> {
    const { moisturePct } = await ask('moisture', {
      hours: hours.toFixed(2),
      dry: dry.toFixed(2),
      spot: String(spot),
    });
    if (typeof moisturePct !== 'number') throw new Error('The moisture meter showed nothing.');
    return moisturePct;
  }
}

async function ask(path: string, query: Record<string, string>): Promise<Record<string, unknown>> {
  const answer = await fetch(
    `api/instruments/${path}?${new URLSearchParams({ ...query, 'ngsw-bypass': 'true' })}`,
  );
  if (!answer.ok) throw new Error(`The instrument answered ${answer.status}.`);
  const read = (await answer.json()) as Record<string, unknown>;
  if (read['simulated'] !== true) throw new Error('The instrument does not say that it is made up.');
  return read;
}

import { Injectable } from '@angular/core';
import type { WeatherHour } from '@lisse/core';

/** The simulated climate logger of the server. */
@Injectable({ providedIn: 'root' })
export class ClimateLogger {
  /**
   * The weather it kept, by the hour.
   * @throws where it does not answer, or not with weather
   */
  async read(from: string, hours: number): Promise<WeatherHour[]> {
    const answer = await fetch(`api/climate?from=${from}&hours=${hours}&ngsw-bypass=true`);
    if (!answer.ok) throw new Error(`The climate logger answered ${answer.status}.`);
    const read = (await answer.json()) as { hours?: WeatherHour[] };
    if (!Array.isArray(read.hours)) throw new Error('The climate logger answered without hours.');
    return read.hours;
  }
}

import { Injectable } from '@angular/core';
import { LIMITS, type WeatherHour } from '@lisse/core';
import { answerOf, isListOf, isRecord, isWithin } from './answers';

const isHour = (value: unknown): value is WeatherHour =>
  isRecord(value) &&
  typeof value['at'] === 'string' &&
  /^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(value['at']) &&
  isWithin(value['tempC'], LIMITS.climate.outC) &&
  isWithin(value['rhPct'], LIMITS.log.rhPct);

/** The simulated climate logger of the server. */
@Injectable({ providedIn: 'root' })
export class ClimateLogger {
  /**
   * The weather it kept, by the hour.
   * @throws where it does not answer in time, or not with weather
   */
  async read(from: string, hours: number): Promise<WeatherHour[]> {
    const read = await answerOf('climate logger', 'climate', { from, hours: String(hours) });
    if (!isListOf(read['hours'], hours, isHour))
      throw new Error('The climate logger answered without hours.');
    return read['hours'];
  }
}

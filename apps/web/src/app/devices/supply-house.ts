import { Injectable } from '@angular/core';
import type { HouseAnswer, Wish } from '@lisse/core';

/** The simulated supply house of the server. */
@Injectable({ providedIn: 'root' })
export class SupplyHouse {
  /**
   * What it has on a day, for how much, and when the rest comes.
   * @throws where it does not answer, or not with offers
   */
  async ask(day: string, wishes: readonly Wish[]): Promise<HouseAnswer> {
    const want = wishes.map(({ package: id, count }) => `${id}:${count}`).join(',');
    const query = new URLSearchParams({ day, want, 'ngsw-bypass': 'true' });
    const answer = await fetch(`api/supply?${query}`);
    if (!answer.ok) throw new Error(`The supply house answered ${answer.status}.`);
    const read = (await answer.json()) as Partial<HouseAnswer>;
    if (!Array.isArray(read.offers) || read.simulated !== true)
      throw new Error('The supply house answered without offers.');
    return read as HouseAnswer;
  }
}

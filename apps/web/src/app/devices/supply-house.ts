import { Injectable } from '@angular/core';
import { LIMITS, type HouseAnswer, type Offer, type Wish } from '@lisse/core';
import { answerOf, isListOf, isRecord, isText, isWithin } from './answers';

const isOffer = (value: unknown): value is Offer =>
  isRecord(value) &&
  isText(value['package']) &&
  isWithin(value['count'], LIMITS.quote.count) &&
  isWithin(value['price'], LIMITS.product.price) &&
  isWithin(value['inStock'], LIMITS.quote.count) &&
  isWithin(value['leadDays'], LIMITS.quote.days) &&
  isListOf(
    value['breaks'],
    20,
    (one): one is Offer['breaks'][number] =>
      isRecord(one) &&
      isWithin(one['from'], LIMITS.quote.count) &&
      isWithin(one['price'], LIMITS.product.price),
  );

/** The simulated supply house of the server. */
@Injectable({ providedIn: 'root' })
export class SupplyHouse {
  /**
   * What it has on a day, for how much, and when the rest comes.
   * @throws where it does not answer in time, or not with offers that can be reckoned with
   */
  async ask(day: string, wishes: readonly Wish[]): Promise<HouseAnswer> {
    const want = wishes.map(({ package: id, count }) => `${id}:${count}`).join(',');
    const { house, offers, unknown } = await answerOf('supply house', 'supply', { day, want });
    const known = isText(house) && isListOf(offers, wishes.length, isOffer);
    if (!known || !isListOf(unknown, wishes.length, (one) => isText(one)))
      throw new Error('The supply house answered without offers.');
    return { simulated: true, house, offers, unknown };
  }
}

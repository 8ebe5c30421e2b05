import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  HANDS,
  EXCLUDED_WORK,
  LIMITS,
  MOST,
  say,
  type Calendar,
  type CrewPace,
  type ExcludedWork,
  type Message,
  type Person,
} from '@lisse/core';
import { JobStore, type Deed } from '../state/job.store';
import { Texts } from '../state/texts';
import { Check } from '../ui/check';
import { Choice } from '../ui/choice';
import { DayInput } from '../ui/day-input';
import { NumberInput } from '../ui/number-input';
import { ActionButton } from '../ui/action-button';
import { TextInput } from '../ui/text-input';

const LEAVE_NAME = Object.fromEntries(EXCLUDED_WORK.map((leave) => [leave, say(`leave.${leave}`)])) as Record<
  ExcludedWork,
  Message
>;
const WEEK = [1, 2, 3, 4, 5, 6, 0];

/** Who works when: the hours of the job, its people by name, and the days it is wanted by. */
@Component({
  selector: 'ls-crew-sheet',
  imports: [Check, Choice, DayInput, NumberInput, ActionButton, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './crew-sheet.html',
  styles: `
    .weekdays {
      display: flex;
    }
    .person {
      border-top: 1px solid var(--hair);
      padding: 8px 0;
    }
    .leaves {
      display: flex;
      flex-wrap: wrap;
      gap: var(--hair-gap) var(--apart);
      font-size: var(--text);
    }
  `,
})
export class CrewSheet {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  protected readonly limits = LIMITS;
  protected readonly leaves = EXCLUDED_WORK;
  protected readonly leaveName = LEAVE_NAME;
  protected readonly hands = HANDS.map((value) => ({ value, name: say(`hand.${value}`) }));
  protected readonly weekdays = WEEK.map((value) => ({
    value,
    name: say('weekday', { day: String(value) }),
  }));
  protected readonly calendar = computed(() => this.jobs.job()?.calendar);

  protected setCrew(crew: number | undefined): void {
    if (crew !== undefined) this.set('undo.change-crew', (calendar) => (calendar.crew = crew));
  }

  protected setHand(hand: CrewPace): void {
    this.set('undo.change-how-quick-crew', (calendar) => {
      if (hand === 'steady') delete calendar.hand;
      else calendar.hand = hand;
    });
  }

  /** The day all has to be ready for primer; none is no such day. */
  protected setDeadline(day: string | undefined): void {
    this.set('undo.change-day-wanted', (calendar) => {
      if (day === undefined) delete calendar.deadline;
      else calendar.deadline = day;
    });
  }

  /** Work ends after it begins. */
  protected readonly begins = (from: string): Message | undefined =>
    from >= (this.calendar()?.to ?? '') ? say('days.ends-after') : undefined;
  protected readonly ends = (to: string): Message | undefined =>
    to <= (this.calendar()?.from ?? '') ? say('days.ends-after') : undefined;

  protected setCalendar(key: 'startDate' | 'from' | 'to', value: string | undefined): void {
    if (value !== undefined) this.set('undo.change-working-time', (calendar) => (calendar[key] = value));
  }

  protected turnDay(day: number): void {
    this.set('undo.change-working-days', (calendar) => {
      const rest = calendar.weekdays.filter((d) => d !== day);
      if (rest.length === calendar.weekdays.length) calendar.weekdays = [...rest, day].sort((a, b) => a - b);
      else if (rest.length > 0) calendar.weekdays = rest;
    });
  }

  /** Another person with a name; the first time, as many as were counted. */
  protected addPerson(): void {
    const names = Array.from({ length: MOST.people + 1 }, (_, n) =>
      this.texts.t('days.person', { id: String(n) }),
    );
    this.set('undo.people', (calendar) => {
      const people = calendar.people ?? [];
      const wanted = people.length === 0 ? calendar.crew : people.length + 1;
      while (people.length < Math.min(wanted, MOST.people)) {
        let n = people.length + 1;
        while (people.some(({ id }) => id === `p${n}`)) n++;
        people.push({ id: `p${n}`, name: names[n] ?? `p${n}` });
      }
      calendar.people = people;
      calendar.crew = people.length;
    });
  }

  protected removePerson(id: string): void {
    this.set('undo.people', (calendar) => {
      const rest = (calendar.people ?? []).filter((one) => one.id !== id);
      if (rest.length > 0) [calendar.people, calendar.crew] = [rest, rest.length];
      else delete calendar.people;
    });
  }

  protected setPerson<K extends keyof Person>(id: string, key: K, value: Person[K] | undefined): void {
    this.set(
      'undo.people',
      (calendar) => {
        const person = calendar.people?.find((one) => one.id === id);
        if (!person) return;
        if (value === undefined) Reflect.deleteProperty(person, key);
        else person[key] = value;
      },
      `person.${id}.${key}`,
    );
  }

  protected setAway(person: Person, day: string | undefined): void {
    if (day === undefined) return;
    const off = person.off ?? [];
    const rest = off.filter((one) => one !== day);
    const next = rest.length === off.length ? [...off, day].sort() : rest;
    this.setPerson(person.id, 'off', next.length > 0 ? next : undefined);
  }

  protected turnLeave({ id, leaves = [] }: Person, leave: ExcludedWork): void {
    const rest = leaves.filter((one) => one !== leave);
    const next = rest.length === leaves.length ? [...leaves, leave] : rest;
    this.setPerson(id, 'leaves', next.length > 0 ? next : undefined);
  }

  private set(label: Deed, recipe: (calendar: Calendar) => void, key = ''): void {
    this.jobs.edit(label, ({ calendar }) => recipe(calendar), key);
  }
}

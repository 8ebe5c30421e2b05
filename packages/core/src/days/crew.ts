import type { Book } from '../book';
import type { Calendar, Job, ExcludedWork, Step } from '../job';
import { WorkHours, type DayShape, type Closures, type WorkTimes } from './calendar';

/** Somebody who works on a job. */
export interface CrewMember extends WorkTimes {
  id: string;
  /** None where the crew is only counted. */
  name?: string;
  leaves: readonly ExcludedWork[];
}

/** The people of a job: by name where they are named, else as many as are counted. */
export function crewOf(calendar: Calendar): CrewMember[] {
  const { from, to, weekdays, off = [] } = calendar;
  const named = calendar.people ?? [];
  if (named.length > 0)
    return named.map((one) => ({
      id: one.id,
      name: one.name,
      // Hours that only one end of was given meet the calendar's other.
      from: one.from ?? (one.to !== undefined && one.to <= from ? '00:00' : from),
      to: one.to ?? (one.from !== undefined && one.from >= to ? '23:59' : to),
      weekdays: one.weekdays ?? weekdays,
      off: [...off, ...(one.off ?? [])],
      leaves: one.leaves ?? [],
    }));
  return Array.from({ length: calendar.crew }, (_, i) => ({
    id: String(i + 1),
    from,
    to,
    weekdays,
    off,
    leaves: [],
  }));
}

/** How many work on a job. */
export const crewSize = ({ people = [], crew }: Pick<Calendar, 'people' | 'crew'>): number =>
  people.length > 0 ? people.length : crew;

/** Pairs of hands that count in a room: where it is small the second helps half and a third only stands in the way. */
export function handsIn(floorM2: number, crew: number, book: Book): number {
  if (floorM2 >= book.smallRoomM2.value || crew < 2) return crew;
  return 1 + book.secondHand.value;
}

const WORK: Record<Step, ExcludedWork> = {
  prefill: 'tape',
  tape: 'tape',
  float: 'coat',
  fill: 'coat',
  finish: 'coat',
  cover: 'coat',
  'mend-1': 'coat',
  'mend-2': 'coat',
  'mend-3': 'coat',
  'mend-4': 'coat',
  'mend-5': 'coat',
  skim: 'skim',
  sand: 'sand',
  'mend-sand': 'sand',
};

/** Whether somebody does a step; what nobody does falls to all. */
export const does = ({ leaves }: CrewMember, step: Step, machine: boolean): boolean =>
  !leaves.includes(WORK[step]) && !(machine && leaves.includes('box'));

/** Working hours of people together, in rooms that others may be in. */
export class CrewHours {
  private readonly known = new Map<string, WorkHours>();
  private common: WorkHours | undefined;
  /** All of one day, so that it does not matter who. */
  readonly alike: boolean;

  constructor(
    private readonly startDate: string,
    private readonly crew: readonly CrewMember[],
    private readonly shape: DayShape,
    private readonly shut: readonly (readonly Closures[])[],
  ) {
    const times = (hand: CrewMember): string => JSON.stringify([hand.from, hand.to, hand.weekdays, hand.off]);
    const first = crew[0];
    this.alike = first !== undefined && crew.every((hand) => times(hand) === times(first));
  }

  /**
   * @param team indices of people, in order
   * @param room its index; none where it does not matter
   */
  of(team: readonly number[], room?: number): WorkHours {
    if (this.alike && this.common && (room === undefined || (this.shut[room]?.length ?? 0) === 0))
      return this.common;
    const shut = room === undefined ? [] : (this.shut[room] ?? []);
    const who = this.alike ? '' : team.join();
    const key = shut.length > 0 ? `${who}|${room}` : who;
    let hours = this.known.get(key);
    if (!hours) {
      const people = this.alike ? this.crew.slice(0, 1) : team.map((i) => this.crew[i] as CrewMember);
      hours = new WorkHours(this.startDate, people, this.shape, shut);
      this.known.set(key, hours);
      if (this.alike && shut.length === 0) this.common = hours;
    }
    return hours;
  }
}

/** How a day of this way of working ends. */
export function dayShape({ tools }: Job['way'], book: Book): DayShape {
  return {
    setupMin: book[tools === 'machine' ? 'daySetupMachineMin' : 'daySetupMin'].value,
    overtimeMin: book.overtimeMin.value,
    leastStartMin: book.leastStartMin.value,
  };
}

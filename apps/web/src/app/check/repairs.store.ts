import { computed, inject, Injectable, signal } from '@angular/core';
import {
  isApart,
  LIMITS,
  mendTotals,
  newRoom,
  REPAIR,
  say,
  spotsSaid,
  visitsOf,
  type Damage,
  type DamageKind,
  type Mend,
  type Message,
  type Room,
  type SaidSpots,
} from '@lisse/core';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { newId } from '../new-id';

/** A repair with the room it is in. */
export interface Listed {
  room: Room;
  spot: Damage;
  mend: Mend;
}

/** Repairs that are done by themselves, of the whole job: put in by a line of text or by presses, listed, visited. */
@Injectable({ providedIn: 'root' })
export class RepairsStore {
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  private readonly texts = inject(Texts);

  private readonly chosenId = signal<string | undefined>(undefined);
  readonly problems = signal<readonly Message[]>([]);
  readonly taken = signal<readonly Message[]>([]);

  readonly all = computed((): Listed[] => {
    const plan = this.plans.plan();
    return (this.jobs.job()?.rooms ?? []).flatMap((room) => {
      const mends = plan?.rooms.find(({ id }) => id === room.id)?.mends ?? [];
      return (room.damage ?? [])
        .filter((spot) => isApart(room, spot))
        .flatMap((spot): Listed[] => {
          const mend = mends.find(({ id }) => id === spot.id);
          return mend ? [{ room, spot, mend }] : [];
        });
    });
  });
  readonly chosen = computed((): Listed | undefined => {
    const all = this.all();
    return all.find(({ spot }) => spot.id === this.chosenId()) ?? all[0];
  });
  readonly byRoom = computed(() => {
    const rooms = new Map<Room, Listed[]>();
    for (const one of this.all()) rooms.set(one.room, [...(rooms.get(one.room) ?? []), one]);
    return [...rooms].map(([room, list]) => ({ room, list }));
  });
  readonly totals = computed(() => mendTotals(this.all().map(({ mend }) => mend)));
  readonly visits = computed(() => {
    const plan = this.plans.plan();
    return plan
      ? visitsOf(
          plan.days.tasks,
          this.all().map(({ mend }) => mend),
          this.view.book(),
        )
      : [];
  });
  /** Damage of rooms that are coated, mended along with their coats. */
  readonly withCoats = computed(() =>
    (this.jobs.job()?.rooms ?? []).flatMap((room) =>
      (room.damage ?? []).filter((spot) => !isApart(room, spot)).map((spot) => ({ room, spot })),
    ),
  );

  choose(id: string): void {
    this.chosenId.set(id);
  }

  /** Adds what is understood of a line of text; what is not is returned as it was written. */
  put(text: string): string {
    const { spots, left, problems, taken } = spotsSaid(text, this.jobs.job()?.units ?? 'feet');
    this.problems.set(problems);
    this.taken.set(taken);
    if (spots.length > 0) this.add(spots);
    return spots.length > 0 ? left : text;
  }

  /** While the line is typed nothing is said of the one before. */
  typed(): void {
    this.problems.set([]);
    this.taken.set([]);
  }

  /** Adds spots to the rooms they are said to be in; a room nobody knows is made, standing and not drawn. */
  add(spots: readonly SaidSpots[], room?: string): void {
    const house = this.texts.t('repairs.house');
    const units = this.jobs.job()?.units ?? 'feet';
    const made = spots.map(({ room: name, ...spot }) => ({
      name: name ?? house,
      spot: { id: `mend-${newId()}`, ...spot, apart: true } satisfies Damage,
    }));
    const names = new Map(made.map(({ name }) => [name.toLowerCase(), name]));
    const fresh = new Map(
      [...names].map(([key, name]) => [
        key,
        {
          ...newRoom(newId(), name.charAt(0).toUpperCase() + name.slice(1), units, {
            counted: true,
            heightMm: 2400,
          }),
          standing: true,
          substrate: 'painted',
        } satisfies Room,
      ]),
    );
    const count = made.reduce((sum, { spot }) => sum + spot.count, 0);
    this.jobs.edit(say('undo.put-repairs', { count }), (job) => {
      for (const { name, spot } of made) {
        const known =
          job.rooms.find(({ id }) => id === room) ??
          job.rooms.find((one) => one.name.toLowerCase() === name.toLowerCase());
        const target = known ?? structuredClone(fresh.get(name.toLowerCase()) as Room);
        if (!known) job.rooms.push(target);
        target.damage = [...(target.damage ?? []), { ...spot }];
      }
    });
    const first = made[0];
    if (first) this.choose(first.spot.id);
  }

  /** One more of a kind in a room: among those alike that have no place of their own, where there are some. */
  more(kind: DamageKind, room: Room | undefined): void {
    const sizeMm = REPAIR[kind].usualMm;
    const alike = room?.damage?.find(
      (spot) =>
        spot.kind === kind && spot.sizeMm === sizeMm && spot.face === undefined && isApart(room, spot),
    );
    if (!room || !alike) return this.add([{ kind, sizeMm, count: 1 }], room?.id);
    this.jobs.editRoom(room.id, say('undo.put-repairs', { count: 1 }), (found) => {
      const spot = found.damage?.find(({ id }) => id === alike.id);
      if (spot) spot.count = Math.min(LIMITS.damage.count.most, (spot.count ?? 1) + 1);
    });
    this.choose(alike.id);
  }

  /** Mended by itself, or along with the coats of its room. */
  setApart(room: string, id: string, apart: boolean): void {
    this.jobs.editRoom(room, 'undo.apart', (found) => {
      const spot = found.damage?.find((one) => one.id === id);
      if (!spot) return;
      if (apart) spot.apart = true;
      else delete spot.apart;
    });
  }
}

import { inject, Injectable } from '@angular/core';
import { asDrawn, type Room } from '@lisse/core';
import { liveQuery, type Observable } from 'dexie';
import { DATABASE } from './job-storage';
import { newId } from '../new-id';

const KEY = 'room templates';

/** Rooms kept in this browser to be used again in any job, without what was measured in them. */
@Injectable({ providedIn: 'root' })
export class RoomTemplates {
  private readonly db = inject(DATABASE);

  watch(): Observable<Room[]> {
    return liveQuery(() => this.all());
  }

  private async all(): Promise<Room[]> {
    return ((await this.db.facts.get(KEY))?.value as Room[] | undefined) ?? [];
  }

  async keep(room: Room): Promise<void> {
    await this.change((kept) => [...kept, { ...asDrawn(room), id: newId() }]);
  }

  async forget(id: string): Promise<void> {
    await this.change((kept) => kept.filter((room) => room.id !== id));
  }

  private async change(change: (kept: Room[]) => Room[]): Promise<void> {
    await this.db.transaction('rw', this.db.facts, async () => {
      await this.db.facts.put({ id: KEY, value: change(await this.all()) });
    });
  }
}

import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { say, type Message, type Room } from '@lisse/core';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { DayInput } from '../ui/day-input';

/** When a room is wanted, and when others work in it. */
@Component({
  selector: 'ls-room-days',
  imports: [DayInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields">
      <ls-day
        class="wide"
        [label]="texts.t('days.room.wanted')"
        [optional]="true"
        [value]="room().deadline"
        (changed)="setDeadline($event)"
      />
      <ls-day
        [label]="texts.t('days.room.shut')"
        [optional]="true"
        [value]="start"
        (changed)="start = $event"
      />
      <ls-day
        [label]="texts.t('days.room.shut-to')"
        [optional]="true"
        [refuses]="ends"
        (changed)="shut($event)"
      />
    </div>
    @for (one of room().shut; track $index) {
      <button type="button" class="link" (click)="open($index)">
        {{ texts.t('days.room.open', { from: one.from, to: one.to }) }}
      </button>
    }
  `,
  styles: `
    .wide {
      grid-column: 1 / -1;
    }
  `,
})
export class RoomDays {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  readonly room = input.required<Room>();
  /** The first day that is typed, until the last one is. */
  protected start: string | undefined;

  protected readonly ends = (to: string): Message | undefined =>
    this.start !== undefined && to < this.start ? say('days.room.before') : undefined;

  protected setDeadline(day: string | undefined): void {
    this.jobs.editRoom(this.room().id, 'undo.room-wanted', (room) => {
      if (day === undefined) delete room.deadline;
      else room.deadline = day;
    });
  }

  protected shut(to: string | undefined): void {
    const from = this.start ?? to;
    this.start = undefined;
    if (from === undefined || to === undefined) return;
    this.jobs.editRoom(this.room().id, 'undo.room-shut', (room) => {
      room.shut = [...(room.shut ?? []), { from, to }];
    });
  }

  protected open(n: number): void {
    this.jobs.editRoom(this.room().id, 'undo.room-shut', (room) => {
      const rest = (room.shut ?? []).filter((_, i) => i !== n);
      if (rest.length > 0) room.shut = rest;
      else delete room.shut;
    });
  }
}

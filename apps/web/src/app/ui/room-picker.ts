import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { say } from '@lisse/core';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { Choice } from './choice';

/** Chooses the room that is looked at. */
@Component({
  selector: 'ls-room-picker',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.room(); as room) {
      <ls-choice
        [label]="label"
        [hideLabel]="true"
        [options]="options()"
        [value]="room.id"
        (changed)="view.showRoom($event)"
      />
    }
  `,
  styles: `
    :host {
      display: block;
      width: 190px;
    }
  `,
})
export class RoomPicker {
  protected readonly view = inject(ViewStore);
  private readonly jobs = inject(JobStore);
  protected readonly label = say('room');
  protected readonly options = computed(() =>
    (this.jobs.job()?.rooms ?? []).map(({ id, name }) => ({ value: id, name })),
  );
}

import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Room } from '@lisse/core';
import { Texts } from '../state/texts';
import { RoomGlyph } from '../ui/room-glyph';
import { roomLine } from '../ui/words';

/** A room in the list: its shape, its name, its finish. Drawn anew only where it is another room than before. */
@Component({
  selector: 'ls-room-row',
  imports: [RoomGlyph],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      class="room"
      [class.on]="on()"
      [attr.aria-current]="on() ? 'true' : null"
      (click)="picked.emit()"
    >
      <ls-room-glyph [room]="room()" />
      <span>
        <strong>{{ room().name }}</strong>
        <small>{{ texts.say(line(room())) }}</small>
      </span>
    </button>
  `,
  styleUrl: './room-row.css',
})
export class RoomRow {
  protected readonly texts = inject(Texts);
  protected readonly line = roomLine;

  readonly room = input.required<Room>();
  readonly on = input(false);
  readonly picked = output<void>();
}

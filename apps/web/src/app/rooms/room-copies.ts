import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { arrayOf, mirrored, nextName, say, type Room } from '@lisse/core';
import { Texts } from '../state/texts';
import { Check } from '../ui/check';
import { NumberInput } from '../ui/number-input';
import { TextInput } from '../ui/text-input';
import { JobStore } from '../state/job.store';
import { RoomTemplates } from '../storage/room-templates';
import { newId } from '../new-id';

/** A room duplicated, mirrored, copied in a row, kept for other jobs, or deleted. */
@Component({
  selector: 'ls-room-copies',
  imports: [Check, NumberInput, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <button type="button" class="quiet" (click)="duplicated.emit()">
        {{ texts.t('copies.duplicate-room') }}
      </button>
      @if (drawn()) {
        <button type="button" class="quiet" (click)="mirror()">{{ texts.t('copies.mirror-room') }}</button>
      }
      <button type="button" class="quiet" [attr.aria-expanded]="copying()" (click)="copying.set(!copying())">
        {{ texts.t('copies.multiple-copies') }}
      </button>
      <button type="button" class="quiet" (click)="keep()">{{ texts.t('copies.save-as-template') }}</button>
      <button type="button" class="quiet" (click)="removed.emit()">
        {{ texts.t('copies.delete-room') }}
      </button>
    </div>
    @if (copying()) {
      <form
        class="two"
        [attr.aria-label]="texts.t('copies.copies')"
        (submit)="$event.preventDefault(); copies()"
      >
        <ls-text
          [label]="texts.t('copies.first-name')"
          [letters]="190"
          [live]="true"
          [value]="first() ?? nextName()"
          (changed)="first.set($event)"
        />
        <ls-number
          [label]="texts.t('copies.how-many')"
          [whole]="true"
          [limit]="many"
          [value]="count()"
          (changed)="count.set($event ?? 1)"
        />
        <ls-check [on]="alternate()" (turned)="alternate.set(!alternate())">{{
          texts.t('copies.mirror-every-other')
        }}</ls-check>
        <button type="submit" class="act">{{ texts.t('copies.add-copies') }}</button>
      </form>
    }
    @if (said(); as words) {
      <p class="small" role="status">{{ words }}</p>
    }
  `,
  styleUrl: './sheet.css',
})
export class RoomCopies {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly templates = inject(RoomTemplates);

  readonly room = input.required<Room>();
  readonly removed = output<void>();
  readonly duplicated = output<void>();

  protected readonly drawn = computed(() => !('counted' in this.room().plan));
  protected readonly copying = signal(false);
  protected readonly alternate = signal(false);
  private readonly done = signal({ room: '', words: '' });
  /** What was done to this room; nothing yet of another. */
  protected readonly said = computed(() => (this.done().room === this.room().id ? this.done().words : ''));
  protected readonly nextName = computed(() => nextName(this.room().name));

  private say(words: string): void {
    this.done.set({ room: this.room().id, words });
  }

  protected mirror(): void {
    const loses = this.room().joints !== undefined || this.room().damage !== undefined;
    this.jobs.editRoom(this.room().id, 'undo.mirror-room', (room) => {
      const other = mirrored(room);
      for (const key of ['joints', 'damage'] as const) delete room[key];
      Object.assign(room, other);
    });
    this.say(this.texts.t(loses ? 'copies.mirrored-cleared' : 'copies.mirrored'));
  }

  protected readonly many = { least: 1, most: 200 };
  protected readonly first = signal<string | undefined>(undefined);
  protected readonly count = signal(4);

  protected copies(): void {
    const n = this.count();
    const rooms = arrayOf(this.room(), n, this.first()?.trim() || this.nextName(), this.alternate(), () =>
      newId(),
    );
    const after = this.room().id;
    this.jobs.edit(say('undo.add-copies', { count: n }), (job) => {
      const i = job.rooms.findIndex((room) => room.id === after);
      job.rooms.splice(i + 1, 0, ...structuredClone(rooms));
    });
    this.copying.set(false);
    this.first.set(undefined);
    this.say(
      this.texts.t('copies.added', { rooms: n, first: rooms[0]?.name ?? '', last: rooms.at(-1)?.name ?? '' }),
    );
  }

  protected keep(): void {
    void this.templates.keep(this.room()).then(
      () => this.say(this.texts.t('copies.saved')),
      () => this.say(this.texts.t('copies.not-saved')),
    );
  }
}

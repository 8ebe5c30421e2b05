import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { say, type Message, type Sayable } from '@lisse/core';
import { Texts } from '../state/texts';
import { smallPicture } from './small-picture';

/** Longest side of a kept photo, px: enough to see a crack, small enough to travel with the job. */
const SIDE_PX = 640;
const QUALITY = 0.72;

/** A photo taken or chosen, made small, and shown. */
@Component({
  selector: 'ls-photo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (photo(); as address) {
      <img [src]="address" [alt]="texts.t('photo.of', { of: of() })" />
      <button type="button" class="link" (click)="removed.emit()">{{ texts.t('photo.remove') }}</button>
    } @else {
      <label class="link">
        {{ texts.t('photo.add') }}
        <input #box class="sr" type="file" accept="image/*" (change)="take(box)" />
      </label>
    }
    @if (wrong(); as why) {
      <p class="wrong" role="alert">{{ texts.say(why) }}</p>
    }
  `,
  styles: `
    img {
      display: block;
      max-width: 100%;
      max-height: 220px;
    }
    label:focus-within {
      outline: 2px solid var(--accent);
      outline-offset: 2px;
    }
  `,
})
export class Photo {
  protected readonly texts = inject(Texts);
  readonly photo = input<string>();
  readonly of = input.required<Sayable>();
  readonly taken = output<string>();
  readonly removed = output<void>();
  protected readonly wrong = signal<Message | undefined>(undefined);

  protected async take(field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    try {
      this.taken.emit(await smallJpeg(file));
      this.wrong.set(undefined);
    } catch {
      this.wrong.set(say('photo.not', { file: file.name }));
    }
  }
}

/** A picture as a JPEG of at most SIDE_PX, as a data address. */
async function smallJpeg(file: Blob): Promise<string> {
  return (await smallPicture(file, SIDE_PX)).toDataURL('image/jpeg', QUALITY);
}

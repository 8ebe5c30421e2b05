import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import type { Sayable } from '@lisse/core';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { JobStorage } from '../storage/job-storage';
import { Unwritten } from '../storage/unwritten';

/** A picture that is kept beside the log. */
@Component({
  selector: 'ls-kept-photo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (address(); as src) {
      <img [src]="src" [alt]="texts.say(of())" />
    } @else if (missing()) {
      <p class="soft small">{{ texts.t('photo.elsewhere') }}</p>
    }
  `,
  styles: `
    img {
      display: block;
      width: 100%;
      max-height: 240px;
      object-fit: cover;
    }
  `,
})
export class KeptPhoto {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly storage = inject(JobStorage);
  private readonly unwritten = inject(Unwritten);
  readonly photo = input.required<string>();
  readonly of = input.required<Sayable>();
  protected readonly address = signal<string | undefined>(undefined);
  /** It is on the device that took it, and has not come here. */
  protected readonly missing = signal(false);

  constructor() {
    effect(() => {
      const [job, photo] = [this.jobs.id(), this.photo()];
      untracked(() => void this.load(job, photo));
    });
    inject(DestroyRef).onDestroy(() => this.drop());
  }

  private async load(job: string | undefined, photo: string): Promise<void> {
    const bytes =
      job === undefined
        ? undefined
        : (this.unwritten.photosOf(job).get(photo) ??
          (await this.storage.photo(job, photo).catch(() => undefined)));
    if (this.photo() !== photo) return;
    this.drop();
    this.missing.set(bytes === undefined);
    this.address.set(bytes && URL.createObjectURL(new Blob([bytes], { type: 'image/jpeg' })));
  }

  private drop(): void {
    const address = this.address();
    if (address !== undefined) URL.revokeObjectURL(address);
    this.address.set(undefined);
  }
}

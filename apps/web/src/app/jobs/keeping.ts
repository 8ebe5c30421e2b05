import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Texts } from '../state/texts';
import { Keeper } from '../storage/keeping';

/** Where the jobs are kept, how much room they take, and whether the browser may clear them away. */
@Component({
  selector: 'ls-keeping',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (line(); as words) {
      <p class="soft small">
        {{ words }}
        @if (keeper.kept()?.lasting === false) {
          <button type="button" class="link" (click)="keeper.ask()">
            {{ texts.t('jobs.ask-browser-keep') }}
          </button>
        }
      </p>
    }
  `,
  styles: `
    /* Two lines have their room before the browser has answered. */
    :host {
      display: block;
      margin-top: 22px;
      min-height: 3em;
    }
  `,
})
export class Keeping {
  protected readonly texts = inject(Texts);
  protected readonly keeper = inject(Keeper);

  protected readonly line = computed(() => {
    const kept = this.keeper.kept();
    if (!kept) return undefined;
    const { usedBytes, roomBytes, lasting } = kept;
    return this.texts.t('jobs.kept-in', {
      used: usedBytes === undefined ? 'none' : roomBytes ? 'of' : 'some',
      size: this.size(usedBytes ?? 0),
      room: this.size(roomBytes ?? 0),
      lasting: lasting ? 'yes' : 'no',
    });
  });

  constructor() {
    void this.keeper.look();
  }

  private size(bytes: number): string {
    const locale = this.texts.locale();
    if (bytes < 1e6) return `${locale.number(bytes / 1000)} kB`;
    return bytes < 1e9 ? `${locale.number(bytes / 1e6, 1)} MB` : `${locale.number(bytes / 1e9, 1)} GB`;
  }
}

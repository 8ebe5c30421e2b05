import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
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
          <button type="button" class="link" (click)="keeper.ask()">Ask it to keep them</button>
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
  protected readonly keeper = inject(Keeper);

  protected readonly line = computed(() => {
    const kept = this.keeper.kept();
    if (!kept) return undefined;
    const { usedBytes, roomBytes, lasting } = kept;
    const used =
      usedBytes === undefined ? '' : `, ${size(usedBytes)}${roomBytes ? ` of ${size(roomBytes)}` : ''}`;
    return `Your jobs are kept in this browser${used}. ${
      lasting
        ? 'It keeps them until you remove them.'
        : 'It may clear them away when it is short of room: export what you must not lose.'
    }`;
  });

  constructor() {
    void this.keeper.look();
  }
}

const size = (bytes: number): string =>
  bytes < 1e6
    ? `${Math.round(bytes / 1000)} kB`
    : bytes < 1e9
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${(bytes / 1e9).toFixed(1)} GB`;

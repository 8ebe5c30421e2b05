import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { SwUpdate } from '@angular/service-worker';
import { Texts } from '../state/texts';

/** Says when a new version has arrived, and waits for a press. */
@Component({
  selector: 'ls-newer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (ready()) {
      <div class="bar no-print" role="status">
        <span>{{ texts.t('newer') }}</span>
        <button type="button" class="act" (click)="use()">{{ texts.t('newer.use') }}</button>
        <button type="button" class="quiet" (click)="ready.set(false)">{{ texts.t('newer.later') }}</button>
      </div>
    }
  `,
  styles: `
    .bar {
      display: flex;
      gap: var(--close);
      align-items: center;
      padding: 6px var(--gap);
      background: var(--wash);
      border-bottom: 1px solid var(--accent);
    }
  `,
})
export class Newer {
  protected readonly texts = inject(Texts);
  private readonly updates = inject(SwUpdate);
  protected readonly ready = signal(false);

  constructor() {
    this.updates.versionUpdates.pipe(takeUntilDestroyed()).subscribe((event) => {
      if (event.type === 'VERSION_READY') this.ready.set(true);
    });
  }

  protected use(): void {
    location.reload();
  }
}

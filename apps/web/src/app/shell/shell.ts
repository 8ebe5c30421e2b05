import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import {
  NavigationCancel,
  NavigationEnd,
  NavigationError,
  NavigationStart,
  Router,
  RouterOutlet,
} from '@angular/router';
import { say } from '@lisse/core';
import { first } from 'rxjs';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { Trouble } from './unexpected';
import { Newer } from './newer';
import { PotsBar } from './pots-bar';

/** A place may take so long to come, ms. */
const SLOW_MS = 8000;
const SLOW = say('trouble.slow');

@Component({
  selector: 'ls-root',
  imports: [RouterOutlet, Newer, PotsBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-newer />
    @if (trouble.said(); as words) {
      <div class="trouble no-print" role="alert">
        <p>{{ texts.say(words) }}</p>
        <button type="button" class="quiet" (click)="reload()">{{ texts.t('reload') }}</button>
        <button type="button" class="quiet" (click)="trouble.said.set(undefined)">
          {{ texts.t('close') }}
        </button>
      </div>
    }
    <ls-pots-bar />
    <router-outlet />
  `,
  styles: `
    .trouble {
      position: sticky;
      top: 0;
      z-index: 5;
      display: flex;
      flex-wrap: wrap;
      gap: var(--close) var(--apart);
      align-items: center;
      padding: 8px var(--gap);
      background: var(--stop-wash);
      border-bottom: 1px solid var(--stop);
    }
    .trouble p {
      flex: 1 1 320px;
    }
  `,
})
export class Shell {
  protected readonly texts = inject(Texts);
  // Started here so that the theme is on before any place is shown.
  protected readonly view = inject(ViewStore);
  protected readonly trouble = inject(Trouble);

  constructor() {
    // The frame that was painted ahead gives way to the first place.
    const router = inject(Router);
    const arrived = router.events.pipe(first((event) => event instanceof NavigationEnd));
    arrived.subscribe(() => document.getElementById('ahead')?.remove());
    // A part whose file never comes is said, and no longer once it has come.
    let timer: ReturnType<typeof setTimeout> | undefined;
    router.events.subscribe((event) => {
      if (event instanceof NavigationStart) {
        clearTimeout(timer);
        timer = setTimeout(() => this.trouble.said.set(SLOW), SLOW_MS);
      } else if (
        event instanceof NavigationEnd ||
        event instanceof NavigationCancel ||
        event instanceof NavigationError
      ) {
        clearTimeout(timer);
        if (this.trouble.said() === SLOW) this.trouble.said.set(undefined);
      }
    });
  }

  protected reload(): void {
    location.reload();
  }
}

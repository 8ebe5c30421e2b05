import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';

/** Finish: what is agreed, how it is done, with what. */
@Component({
  selector: 'ls-finish-page',
  imports: [RouterLink, RouterLinkActive, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav class="parts no-print" aria-label="Parts of Finish">
      @for (part of parts; track part.path) {
        <a
          [routerLink]="part.path"
          routerLinkActive="on"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
          >{{ part.name }}</a
        >
      }
    </nav>
    <router-outlet />
  `,
  styles: `
    :host {
      flex: 1;
      min-height: 0;
      display: flex;
      flex-direction: column;
    }
    .parts {
      display: flex;
      gap: 22px;
      padding: 0 24px;
      border-bottom: 1px solid var(--line);
      overflow-x: auto;
      flex: none;
    }
    a {
      padding: 8px 0 7px;
      color: var(--soft);
      text-decoration: none;
      font-weight: 600;
      font-size: 13.5px;
      white-space: nowrap;
      border-bottom: 2px solid transparent;
    }
    a.on {
      color: var(--ink);
      border-color: var(--accent);
    }
    @media (max-width: 760px) {
      .parts {
        padding: 0 14px;
      }
      a {
        padding: 13px 0 11px;
      }
    }
  `,
})
export class FinishPage {
  protected readonly parts = [
    { path: './', name: 'Grade and coats' },
    { path: 'way', name: 'Way of working' },
    { path: 'compounds', name: 'Compounds' },
    { path: 'tools', name: 'Tools' },
    { path: 'agreement', name: 'Agreement' },
  ];
}

import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** The parts of a place, one beside the other. */
@Component({
  selector: 'ls-part-bar',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav class="no-print" [attr.aria-label]="label()">
      @for (part of parts(); track part.path) {
        <a
          [routerLink]="part.path"
          routerLinkActive="on"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
          >{{ part.name }}</a
        >
      }
    </nav>
  `,
  styles: `
    :host {
      display: block;
      flex: none;
    }
    nav {
      display: flex;
      gap: 22px;
      padding: 0 24px;
      border-bottom: 1px solid var(--line);
      overflow-x: auto;
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
      nav {
        padding: 0 14px;
      }
      a {
        padding: 13px 0 11px;
      }
    }
  `,
})
export class PartBar {
  readonly label = input.required<string>();
  readonly parts = input.required<readonly { path: string; name: string }[]>();
}

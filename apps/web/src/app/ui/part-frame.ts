import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import type { Sayable } from '@lisse/core';
import { Texts } from '../state/texts';

/** A place in parts, one beside the other, and the part that is open; which parts is told by its route. */
@Component({
  selector: 'ls-part-frame',
  imports: [RouterLink, RouterLinkActive, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav class="no-print" [attr.aria-label]="texts.say(label())">
      @for (part of parts(); track part.path) {
        <a
          [routerLink]="part.path"
          routerLinkActive="on"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
          >{{ texts.say(part.name) }}</a
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
    nav {
      flex: none;
      display: flex;
      gap: var(--gap);
      padding: 0 24px;
      border-bottom: 1px solid var(--line);
      overflow-x: auto;
    }
    a {
      flex: none;
      padding: 8px 0 7px;
      color: var(--soft);
      text-decoration: none;
      font-weight: 600;
      font-size: var(--text);
      white-space: nowrap;
      border-bottom: 2px solid transparent;
    }
    a.on {
      color: var(--ink);
      border-color: var(--accent);
    }
    @media screen and (max-width: 760px) {
      nav {
        padding: 0 14px;
      }
      a {
        min-width: 26px;
        padding: 13px 0 11px;
      }
    }
  `,
})
export class PartFrame {
  protected readonly texts = inject(Texts);
  readonly label = input.required<Sayable>();
  readonly parts = input.required<readonly { path: string; name: Sayable }[]>();
}

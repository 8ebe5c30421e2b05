import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Texts } from '../state/texts';
import { PLACES } from '../places';
import { Icon } from '../ui/icon';

/** The places of a job in the order of the work: a rail at the left, a bar at the foot of a phone. */
@Component({
  selector: 'ls-rail',
  imports: [RouterLink, RouterLinkActive, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav [attr.aria-label]="texts.t('rail')">
      @if (job(); as id) {
        <a class="name" routerLink="/jobs" [attr.aria-label]="texts.t('rail.home')">{{
          texts.t('rail.lisse')
        }}</a>
        @for (place of places; track place.path) {
          <a [routerLink]="['/job', id, place.path]" routerLinkActive="on" ariaCurrentWhenActive="page">
            <ls-icon [name]="place.icon" [size]="22" />
            <span>{{ texts.say(place.name) }}</span>
          </a>
        }
        <a class="jobs" routerLink="/jobs">
          <ls-icon name="jobs" [size]="22" />
          <span>{{ texts.t('jobs') }}</span>
        </a>
      }
    </nav>
  `,
  styles: `
    :host {
      background: var(--rail);
      color: var(--rail-ink);
      display: flex;
      flex-direction: column;
      width: var(--rail-w);
    }
    a {
      color: inherit;
      text-decoration: none;
    }
    .name {
      height: var(--top-h);
      display: grid;
      place-items: center;
      font-stretch: 125%;
      font-weight: 750;
      font-size: var(--title);
      color: #fff;
    }
    nav {
      display: flex;
      flex-direction: column;
      flex: 1;
    }
    nav a:not(.name) {
      height: var(--bar-h);
      display: flex;
      flex-direction: column;
      align-items: center;
      justify-content: center;
      gap: var(--near);
      font-size: var(--small);
      border-left: 3px solid transparent;
      border-right: 3px solid transparent;
    }
    nav a:hover {
      color: #fff;
    }
    nav a.on {
      background: var(--rail-on);
      color: #fff;
      border-left-color: var(--rail-mark);
    }
    .jobs {
      margin-top: auto;
    }
    a:focus-visible {
      outline-color: var(--rail-mark);
      outline-offset: -3px;
    }
    /* A phone on its side: all places fit its height. */
    @media (max-height: 520px) and (min-width: 761px) {
      .name {
        display: none;
      }
      nav a:not(.name) {
        flex: 1;
        min-height: 0;
        height: auto;
        gap: var(--hair-gap);
        font-size: var(--fine);
      }
    }
    @media screen and (max-width: 760px) {
      :host {
        width: 100%;
        flex-direction: row;
        position: fixed;
        bottom: 0;
        z-index: 20;
        padding-bottom: env(safe-area-inset-bottom);
      }
      .name {
        display: none;
      }
      nav {
        flex-direction: row;
      }
      nav a:not(.name) {
        flex: 1;
        min-width: 0;
        border: 0;
        border-top: 3px solid transparent;
        height: 60px;
      }
      nav a.on {
        border-top-color: var(--rail-mark);
      }
      .jobs {
        margin: 0;
      }
    }
  `,
})
export class Rail {
  protected readonly texts = inject(Texts);
  readonly job = input.required<string>();
  protected readonly places = PLACES;
}

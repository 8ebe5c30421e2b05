import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { nextMs, say } from '@lisse/core';
import { PotsStore } from '../state/pots.store';
import { Texts } from '../state/texts';
import { countdown } from '../ui/pot-clock';
import { Here } from './here';

/** So many pots have room beside each other. */
const SHOWN = 3;

/** The pots that run, seen from every place, and what to do as it rings. */
@Component({
  selector: 'ls-pots-bar',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown().length > 0) {
      <section class="no-print" [class.rings]="rings()" [attr.aria-label]="texts.t('pots')">
        @for (pot of shown(); track pot.id) {
          <a [class]="pot.stage" [routerLink]="['/job', pot.jobId, 'today']">
            <b class="figure">{{ pot.left }}</b>
            <span>{{ texts.say(pot.said) }}</span>
          </a>
        }
        @if (count() > 1) {
          <span class="soft">{{ texts.t('pots.count', { n: count() }) }}</span>
        }
        @if (pots.due().length > 0) {
          <p class="sr" role="alert">{{ texts.say(alert()) }}</p>
          <button type="button" class="act" (click)="pots.hush()">{{ texts.t('pots.hush') }}</button>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: block;
      position: sticky;
      top: 0;
      z-index: 30;
    }
    @media screen and (max-width: 760px) {
      a ~ a {
        display: none;
      }
    }
    section {
      display: flex;
      align-items: stretch;
      gap: var(--hair-gap);
      height: var(--pots-h);
      padding-right: 6px;
      background: var(--rail);
      color: #fff;
      overflow: hidden;
    }
    a {
      flex: 1 1 0;
      min-width: 0;
      display: flex;
      align-items: center;
      gap: var(--close);
      padding: 4px 10px;
      color: inherit;
      text-decoration: none;
      border-left: 5px solid var(--rail-mark);
      font-size: var(--text);
      line-height: 1.15;
    }
    a span {
      overflow: hidden;
      display: -webkit-box;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
    }
    b {
      font-size: var(--head);
    }
    .stiff,
    .look {
      border-color: #f0b45a;
    }
    .clean-now {
      border-color: #ff9486;
    }
    .hardening {
      border-color: #7d7a72;
    }
    .rings {
      background: #7c1d15;
    }
    .soft {
      align-self: center;
      color: var(--rail-ink);
    }
    button {
      align-self: center;
      min-height: 44px;
    }
  `,
})
export class PotsBar {
  protected readonly texts = inject(Texts);
  protected readonly pots = inject(PotsStore);
  private readonly here = inject(Here);
  /** Where the clocks themselves stand the bar would say it twice, but for what rings. */
  private readonly atHome = computed(() => /\/today$/.test(this.here.url()));
  private readonly all = computed(() =>
    this.atHome() && this.pots.due().length === 0
      ? []
      : this.pots.running().map((pot) => {
          const { stage } = pot;
          const what = say(`pot.short.${stage === 'over' ? 'look' : stage}`);
          return {
            ...pot,
            left: countdown(nextMs(pot, stage) - this.pots.nowMs()),
            said: pot.roomName === '' ? what : say('pot.in-room', { what, room: pot.roomName }),
          };
        }),
  );
  protected readonly shown = computed(() => this.all().slice(0, SHOWN));
  protected readonly count = computed(() => this.all().length);
  protected readonly rings = computed(() => this.pots.due().length > 0);
  protected readonly alert = computed(() => say(`pot.rings.${this.pots.due()[0]?.kind ?? 'work'}`));

  constructor() {
    // The frame below is as much lower.
    effect(() => document.documentElement.toggleAttribute('data-pots', this.shown().length > 0));
  }
}

import { ChangeDetectionStrategy, Component, computed, ElementRef, inject } from '@angular/core';
import { Me } from '../state/me';
import { PotsStore, type RunningPot } from '../state/pots.store';
import { Texts } from '../state/texts';
import { Segmented } from '../ui/segmented';
import { PotClock } from '../ui/pot-clock';
import { CautionCard } from './caution-card';
import { CheckList } from './check-list';
import { GoodCard } from './good-card';
import { MendList } from './mend-list';
import { MixCard } from './mix-card';
import { ReadingCard } from './reading-card';
import { TaskCard } from './task-card';
import { TodayStore } from './today.store';
import { Waits } from './waits';

/** Today, now: who I am, the task, its mud and its clocks, what good looks like, what waits. */
@Component({
  selector: 'ls-now-page',
  imports: [
    CautionCard,
    CheckList,
    GoodCard,
    MendList,
    MixCard,
    Segmented,
    PotClock,
    ReadingCard,
    TaskCard,
    Waits,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="large">
      <div class="column">
        @if (people().length > 1) {
          <div class="who">
            <span class="soft">{{ texts.t('today.who') }}</span>
            <ls-segmented
              [label]="texts.t('today.who')"
              [options]="people()"
              [value]="me.person()?.id"
              (changed)="choose($event)"
            />
          </div>
        }
        @for (pot of urgent(); track pot.id) {
          <ls-pot-clock
            [pot]="pot"
            [nowMs]="pots.nowMs()"
            (hard)="pots.hard(pot)"
            (cleaned)="pots.cleaned(pot)"
            (spoiled)="pots.spoiled(pot, $event)"
          />
        }
        <ls-task-card />
        @if (store.task(); as task) {
          <ls-caution-card />
          <ls-check-list when="before" />
          @for (card of store.mixes(); track card.compound + card.setMin) {
            <ls-mix-card [card]="card" [task]="task" (started)="up()" />
          }
          <ls-mend-list />
          <ls-good-card />
          <ls-check-list when="during" />
          <ls-check-list when="after" />
        }
      </div>
      <div class="column">
        @for (pot of calm(); track pot.id) {
          <ls-pot-clock
            [pot]="pot"
            [nowMs]="pots.nowMs()"
            (hard)="pots.hard(pot)"
            (cleaned)="pots.cleaned(pot)"
            (spoiled)="pots.spoiled(pot, $event)"
          />
        }
        <ls-waits />
        @defer (on immediate) {
          <ls-reading-card />
        }
      </div>
    </div>
  `,
  styleUrl: '../ui/large.css',
  styles: `
    .who {
      display: flex;
      align-items: center;
      gap: var(--close);
    }
    .who ::ng-deep .quiet {
      min-height: 56px;
      padding: 8px 16px;
      font-size: var(--large);
    }
  `,
})
export class NowPage {
  protected readonly texts = inject(Texts);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly me = inject(Me);
  protected readonly pots = inject(PotsStore);
  protected readonly store = inject(TodayStore);
  protected readonly people = computed(() => this.me.people().map(({ id, name }) => ({ value: id, name })));

  /** Pots that ask for hands stand over the task, those that only harden beside it. */
  protected readonly urgent = computed((): RunningPot[] =>
    this.pots.running().filter(({ stage }) => stage !== 'hardening'),
  );
  protected readonly calm = computed((): RunningPot[] =>
    this.pots.running().filter(({ stage }) => stage === 'hardening'),
  );

  /** The clock that was started is what one looks at next. */
  protected up(): void {
    this.host.nativeElement.scrollTo({ top: 0 });
    scrollTo({ top: 0 });
  }

  protected choose(person: string | undefined): void {
    if (person !== undefined) this.me.choose(person);
  }
}

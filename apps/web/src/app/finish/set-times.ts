import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { say, SET_CLASSES, setsAtHand } from '@lisse/core';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { ActionButton } from '../ui/action-button';

/** Stands for set times that the plan chooses. */
const CHOSEN = 0;

/** The set time of the way of working: one for all, or chosen for each coat among those at hand. */
@Component({
  selector: 'ls-set-times',
  imports: [Choice, ActionButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (way(); as way) {
      <div>
        <ls-choice
          [label]="texts.t('way.set')"
          [options]="all"
          [value]="way.setChosen ? 0 : way.setMin"
          (changed)="set($event)"
        />
        <p class="reason">
          {{
            way.setChosen
              ? texts.t('way.set.chosen.why', { set: way.setMin })
              : texts.t('way.set.why', {
                  hard: way.setMin * view.book().setRecoat.value,
                  times: view.book().setRecoatPainted.value,
                })
          }}
        </p>
      </div>
      @if (way.setChosen) {
        <div>
          <ls-choice
            [label]="texts.t('way.set.usual')"
            [options]="sets"
            [value]="way.setMin"
            (changed)="setUsual($event)"
          />
          <p class="reason">{{ texts.t('way.set.at-hand') }}</p>
          <div class="sets" role="group" [attr.aria-label]="texts.t('way.set.at-hand')">
            @for (set of sets; track set.value) {
              <ls-action-button [on]="atHand().includes(set.value)" (turned)="turn(set.value)">{{
                set.value
              }}</ls-action-button>
            }
          </div>
        </div>
      }
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .reason {
      font-size: var(--small);
      color: var(--soft);
      margin: 3px 0 8px;
    }
    .sets {
      display: flex;
      flex-wrap: wrap;
      gap: var(--hair-gap);
    }
  `,
})
export class SetTimes {
  protected readonly texts = inject(Texts);
  protected readonly view = inject(ViewStore);
  private readonly jobs = inject(JobStore);
  protected readonly way = computed(() => this.jobs.job()?.way);
  protected readonly sets = SET_CLASSES.map((value) => ({
    value: value as number,
    name: say('days.set.min', { set: value }),
  }));
  protected readonly all = [{ value: CHOSEN, name: say('way.set.chosen') }, ...this.sets];
  protected readonly atHand = computed(() => {
    const job = this.jobs.job();
    return job ? setsAtHand(job) : [];
  });

  protected set(minutes: number): void {
    if (minutes === CHOSEN) this.jobs.edit('undo.choose-sets', ({ way }) => (way.setChosen = true));
    else
      this.jobs.edit('undo.change-set-time', ({ way }) => {
        delete way.setChosen;
        way.setMin = minutes;
      });
  }

  protected setUsual(minutes: number): void {
    this.jobs.edit('undo.change-set-time', ({ way }) => (way.setMin = minutes));
  }

  /** A set time that can be had, or no longer; the last one stays. */
  protected turn(minutes: number): void {
    this.jobs.edit('undo.sets-at-hand', (job) => {
      const had = setsAtHand(job);
      const sets = had.includes(minutes) ? had.filter((set) => set !== minutes) : [...had, minutes];
      if (sets.length > 0) (job.shop ??= {}).setsAtHand = sets.sort((a, b) => a - b);
    });
  }
}

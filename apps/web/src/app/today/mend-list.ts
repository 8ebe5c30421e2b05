import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LAYS, say, type Mend, type RepairStep } from '@lisse/core';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { DefectBadge } from '../ui/defect-badge';
import { faceName, spotName } from '../ui/words';
import { TodayStore } from './today.store';

/** The spots that a task mends, each with what is done to it in this pass. */
@Component({
  selector: 'ls-mend-list',
  imports: [DefectBadge],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (spots().length > 0) {
      <section [attr.aria-label]="texts.t('today.spots')">
        <h2>{{ texts.t('today.spots') }}</h2>
        <ul>
          @for (spot of spots(); track spot.id) {
            <li>
              @if (spot.ring) {
                <ls-defect-badge [ring]="spot.ring" state="open" />
              }
              <div>
                <b>{{ texts.say(spot.name) }}</b>
                <span class="soft">{{ texts.say(spot.where) }}</span>
                @for (step of spot.steps; track step.key) {
                  <p>{{ texts.say(step) }}</p>
                }
              </div>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    h2 {
      font-size: var(--title);
    }
    li {
      display: flex;
      gap: var(--apart);
      padding: 10px 0;
      border-top: 1px solid var(--hair);
      font-size: var(--large);
    }
    .soft {
      margin-left: 8px;
    }
  `,
})
export class MendList {
  protected readonly texts = inject(Texts);
  private readonly store = inject(TodayStore);
  private readonly logs = inject(LogStore);
  private readonly rings = computed(
    () => new Map(this.logs.pins().findings.map(({ id, ring }) => [id, ring])),
  );
  protected readonly spots = computed(() => {
    const [task, plan] = [this.store.task(), this.store.roomPlan()];
    if (!task?.spots || !plan) return [];
    return plan.mends
      .filter(({ id }) => task.spots?.includes(id))
      .map((mend) => ({
        id: mend.id,
        name: spotName(mend),
        where: mend.face === undefined ? '' : faceName(plan, mend.face),
        ring: mend.finding === undefined ? undefined : this.rings().get(mend.finding),
        steps: stepsIn(mend, task.step).map((step) => say(`mend.${step}`)),
      }));
  });
}

/** What is done to a spot in one pass: up to its mud, from behind the mud of the pass before. */
function stepsIn({ steps, layers }: Mend, pass: string): RepairStep[] {
  if (pass === 'mend-sand') return steps.filter((step) => step === 'sand' || step === 'prime');
  const n = layers.findIndex((layer) => layer.pass === pass);
  const lays = steps.flatMap((step, i) => (LAYS[step] !== undefined || step.startsWith('seal') ? [i] : []));
  return steps.slice(n === 0 ? 0 : (lays[n - 1] ?? -1) + 1, (lays[n] ?? -1) + 1);
}

import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Days, DayTask } from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { STEP_NAME } from '../ui/words';

interface Sheet {
  key: string;
  date: string;
  who: string;
  tasks: DayTask[];
}

/** A sheet of paper for each person and day: what to do where, what to mix, and what is ready when. Only printed. */
@Component({
  selector: 'ls-day-sheets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (sheet of sheets(); track sheet.key) {
      <section class="sheet">
        <h2>{{ texts.t('days.paper', { who: sheet.who, day: format.day(sheet.date) }) }}</h2>
        <p class="soft">{{ job() }}</p>
        <table>
          <thead>
            <tr>
              <th>{{ texts.t('days.sheet.start') }}</th>
              <th>{{ texts.t('days.sheet.end') }}</th>
              <th>{{ texts.t('days.sheet.room') }}</th>
              <th>{{ texts.t('days.sheet.coat') }}</th>
              <th>{{ texts.t('days.paper.mix') }}</th>
              <th>{{ texts.t('days.sheet.next') }}</th>
              <th>{{ texts.t('days.act.done') }}</th>
            </tr>
          </thead>
          <tbody>
            @for (task of sheet.tasks; track task.id) {
              <tr>
                <td>{{ format.time(task.start) }}</td>
                <td>{{ format.time(task.end) }}</td>
                <td>{{ names().get(task.room) }}</td>
                <td>
                  <strong>{{ texts.say(steps[task.step]) }}</strong><br />{{ rows(task) }}
                </td>
                <td>
                  @for (batch of task.batches; track $index) {
                    <div>
                      {{
                        texts.t('days.batch', {
                          at: format.clock(batch.at),
                          litres: format.pot(batch.litres),
                          compound: book().compounds[batch.compound].name,
                        })
                      }}
                    </div>
                  }
                </td>
                <td>{{ task.how === 'none' ? texts.t('days.at-once') : format.time(task.readyLate) }}</td>
                <td class="box">☐</td>
              </tr>
            }
          </tbody>
        </table>
      </section>
    }
  `,
  styles: `
    :host {
      display: none;
    }
    @media print {
      :host {
        display: block;
      }
    }
    .sheet {
      break-before: page;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: var(--small);
      margin-top: 10px;
    }
    th {
      text-align: left;
      font-weight: 550;
    }
    th,
    td {
      padding: 5px 8px 5px 0;
      border-bottom: 1px solid var(--line);
      vertical-align: top;
    }
    .box {
      font-size: var(--title);
    }
  `,
})
export class DaySheets {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly book = inject(ViewStore).book;
  readonly days = input.required<Days>();
  readonly names = input.required<ReadonlyMap<string, string>>();
  readonly job = input.required<string>();
  protected readonly steps = STEP_NAME;

  protected readonly sheets = computed((): Sheet[] => {
    const { tasks, people } = this.days();
    const made = new Map<string, Sheet>();
    for (const { id, name } of people)
      for (const task of tasks)
        if (task.state !== 'done' && task.people.includes(id))
          for (const date of new Set([task.start.slice(0, 10), task.end.slice(0, 10)])) {
            const key = `${date} ${id}`;
            const who = name ?? this.texts.t('days.person', { id });
            const sheet = made.get(key) ?? { key, date, who, tasks: [] };
            sheet.tasks.push(task);
            made.set(key, sheet);
          }
    return [...made.values()].sort((a, b) => (a.key < b.key ? -1 : 1));
  });

  protected rows = ({ rows }: DayTask): string =>
    this.texts.say(rows.map((row) => this.texts.t(`element.${row}`)));
}

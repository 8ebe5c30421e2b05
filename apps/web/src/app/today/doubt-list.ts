import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { localOf, say, type LogEntry, type Message, type Sayable, type TwoTexts } from '@lisse/core';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';

/** Entries of one device that are in doubt. */
interface Doubtful {
  device: string;
  by: string;
  entries: LogEntry[];
  isAhead: boolean;
  /** When the last of them says that it happened. */
  last: string;
}

/** So many entries of a device are named. */
const NAMED = 6;

/** Entries that do not count until somebody says when they happened, or which of two texts is right. */
@Component({
  selector: 'ls-doubt-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (groups().length > 0) {
      <section [attr.aria-label]="texts.t('doubt.title')">
        <h1>{{ texts.t('doubt.title') }}</h1>
        <p class="one">{{ texts.t('doubt.why') }}</p>
        @for (group of groups(); track group.device) {
          <h2>{{ texts.t('doubt.by', { by: group.by, n: group.entries.length }) }}</h2>
          <ul>
            @for (entry of group.entries.slice(0, most); track entry.id) {
              <li>{{ texts.say(words(entry)) }}</li>
            }
            @if (group.entries.length > most) {
              <li>{{ texts.t('doubt.others', { n: group.entries.length - most }) }}</li>
            }
          </ul>
          <p class="soft">
            {{
              group.isAhead
                ? texts.t('doubt.ahead', { now: format.time(clock.minute()) })
                : texts.t('doubt.far')
            }}
          </p>
          <label>
            <span>{{ texts.t('doubt.last') }}</span>
            <input
              #when
              type="datetime-local"
              [max]="clock.minute()"
              [value]="times().get(group.device) ?? clock.now()"
              (change)="set(group.device, when.value)"
            />
          </label>
          <div class="acts">
            <button type="button" class="big act" (click)="use(group)">{{ texts.t('doubt.use') }}</button>
            <button type="button" class="big quiet" (click)="logs.setTimes(group.entries, 0)">
              {{ texts.t('doubt.right') }}
            </button>
            <button type="button" class="big quiet" (click)="takeBack(group)">
              {{ texts.t('doubt.back') }}
            </button>
          </div>
        }
      </section>
    }
    @for (pair of logs.twoTexts(); track pair.other.id) {
      <section [attr.aria-label]="texts.t('two-texts.title')">
        <h1>{{ texts.t('two-texts.title') }}</h1>
        <p class="one">{{ texts.t('two-texts.why') }}</p>
        <div class="acts">
          <button type="button" class="big act" (click)="logs.choose(pair, 'here')">
            <span>{{ texts.t('two-texts.keep') }}</span>
            <span class="soft">{{ text(pair, 'here') }}</span>
          </button>
          <button type="button" class="big quiet" (click)="logs.choose(pair, 'other')">
            <span>{{ texts.t('two-texts.take') }}</span>
            <span class="soft">{{ text(pair, 'other') }}</span>
          </button>
        </div>
      </section>
    }
  `,
  styleUrl: '../ui/large.css',
  styles: `
    section {
      padding: 14px;
      border: 1px solid var(--stop);
      background: var(--paper);
    }
    section + section {
      margin-top: 14px;
    }
    h2 {
      margin-top: 14px;
    }
    label {
      display: grid;
      gap: var(--hair-gap);
      margin: 8px 0;
    }
    input {
      min-height: 56px;
      font-size: var(--large);
      max-width: 360px;
    }
    .big {
      flex-direction: column;
      overflow-wrap: anywhere;
    }
    .big.act .soft {
      color: inherit;
    }
  `,
})
export class DoubtList {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly clock = inject(Clock);
  protected readonly logs = inject(LogStore);
  private readonly jobs = inject(JobStore);
  protected readonly most = NAMED;
  /** When the last entry of a device happened, as it was typed. */
  protected readonly times = signal<ReadonlyMap<string, string>>(new Map());

  protected readonly groups = computed((): Doubtful[] => {
    const groups = new Map<string, Doubtful>();
    for (const { entry, why } of this.logs.doubts()) {
      const { device, by, at } = entry;
      const group = groups.get(device) ?? { device, by, entries: [], isAhead: false, last: at };
      group.entries.push(entry);
      groups.set(device, { ...group, last: at, isAhead: group.isAhead || why === 'ahead' });
    }
    return [...groups.values()];
  });

  /** What an entry tells, where and when. */
  protected words(entry: LogEntry): Message {
    const { kind, room, step } = entry;
    const name = this.jobs.job()?.rooms.find(({ id }) => id === room)?.name ?? '';
    const place: Sayable =
      step === undefined ? name : say('entry.where', { step: say(`step.${step}`), room: name });
    return say('entry.at', { kind: say(`entry.${kind}`), place, at: this.format.time(localOf(entry)) });
  }

  /** One of two texts, by what it does not share with the other. */
  protected text({ here, other }: TwoTexts, which: 'here' | 'other'): string {
    const [own, against] = which === 'here' ? [here, other] : [other, here];
    const differs = Object.entries(own).flatMap(([key, value]) =>
      ['id', 'beside'].includes(key) ||
      JSON.stringify(value) === JSON.stringify(against[key as keyof LogEntry])
        ? []
        : [typeof value === 'object' ? JSON.stringify(value).slice(0, 80) : String(value)],
    );
    return [this.texts.say(this.words(own)), ...differs].join(' · ');
  }

  protected set(device: string, time: string): void {
    this.times.update((all) => new Map([...all, [device, time]]));
  }

  protected use({ device, entries, last }: Doubtful): void {
    const happened = Date.parse(this.times().get(device) ?? this.clock.now());
    if (!Number.isNaN(happened)) void this.logs.setTimes(entries, happened - Date.parse(last));
  }

  protected takeBack({ entries }: Doubtful): void {
    const back = entries.map(({ id }) => ({ kind: 'withdrawn' as const, corrects: id }));
    void this.logs.tell('undo.log-doubt-back', ...back);
  }
}

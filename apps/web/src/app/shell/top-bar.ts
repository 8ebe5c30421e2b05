import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  output,
  signal,
} from '@angular/core';
import { say, type Message } from '@lisse/core';
import { MAC, Texts } from '../state/texts';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { Icon } from '../ui/icon';
import { RoomPicker } from '../ui/room-picker';
import { WHAT_TIME } from '../what-time';
import { Here } from './here';

/** The job's name and whether it is kept, undo and redo, units, theme, and the way to everything else. */
@Component({
  selector: 'ls-top-bar',
  imports: [Icon, RoomPicker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (jobs.job(); as job) {
      <header>
        <input
          #title
          class="title no-print"
          type="text"
          [attr.aria-label]="texts.t('job.name')"
          maxlength="200"
          [value]="job.name"
          (change)="rename(title)"
          (keydown.enter)="title.blur()"
        />
        <p class="print-only">
          {{
            texts.t('print.head', {
              job: job.name,
              place: here.name() ?? '',
              named: here.ofRoom() ? 'yes' : 'no',
              room: view.room()?.name ?? '',
            })
          }}
        </p>
        <span class="saved no-print" [class.failed]="jobs.saved() === 'failed'" role="status">{{
          saved()
        }}</span>
        @if (here.ofRoom()) {
          @defer {
            <ls-room-picker class="picker no-print" />
          } @placeholder {
            <span class="picker"></span>
          }
        }
        <span class="space"></span>
        <div class="tools no-print">
          <button
            type="button"
            class="quiet"
            [disabled]="!jobs.undoLabel()"
            [title]="texts.say(jobs.undoLabel() ?? '')"
            (click)="jobs.undo()"
          >
            <ls-icon name="undo" [size]="16" /><span class="spare">{{ texts.t('undo') }}</span>
          </button>
          <button
            type="button"
            class="quiet"
            [disabled]="!jobs.redoLabel()"
            [title]="texts.say(jobs.redoLabel() ?? '')"
            (click)="jobs.redo()"
          >
            <ls-icon name="redo" [size]="16" /><span class="spare">{{ texts.t('redo') }}</span>
          </button>
          <button
            type="button"
            class="quiet"
            (click)="turnUnits()"
            [attr.aria-label]="texts.t('units', { units: units() })"
          >
            <i>{{ texts.say(units()) }}</i><b aria-hidden="true">{{ texts.say(unitsShort()) }}</b>
          </button>
          <button
            type="button"
            class="quiet"
            [attr.aria-pressed]="view.theme() === 'site'"
            (click)="turnTheme()"
          >
            <ls-icon name="lamp" [size]="16" /><span>{{ texts.t('theme.site') }}</span>
          </button>
          <button type="button" class="quiet find" (click)="find.emit()">
            {{ texts.t('find.open') }} <kbd>{{ texts.t('keys.find.press', { mac }) }}</kbd>
          </button>
        </div>
      </header>
    }
  `,
  styles: `
    header {
      height: var(--top-h);
      display: flex;
      align-items: center;
      gap: var(--apart);
      padding: 0 var(--gap) 0 12px;
      background: var(--paper);
      border-bottom: 1px solid var(--line);
    }
    .title {
      font-size: var(--large);
      font-weight: 650;
      border-color: transparent;
      background: none;
      field-sizing: content;
      width: auto;
      min-width: 90px;
      max-width: 320px;
      text-overflow: ellipsis;
    }
    .title:hover {
      border-color: var(--line);
    }
    .saved {
      font-size: var(--small);
      color: var(--soft);
      white-space: nowrap;
    }
    .saved.failed {
      color: var(--stop);
      font-weight: 600;
    }
    .space {
      flex: 1;
    }
    .tools {
      display: flex;
      gap: var(--close);
    }
    i {
      font-style: normal;
    }
    b {
      display: none;
    }
    kbd {
      font: inherit;
      font-weight: 700;
    }
    @media (max-width: 1000px) {
      .spare {
        position: absolute;
        width: 1px;
        height: 1px;
        overflow: hidden;
        clip-path: inset(50%);
      }
    }
    @media (max-height: 520px) {
      .find {
        display: none;
      }
    }
    @media screen and (max-width: 760px) {
      header {
        height: auto;
        flex-wrap: wrap;
        gap: var(--near) var(--close);
        padding: 6px 10px;
      }
      .title {
        flex: 1;
        min-width: 0;
        max-width: none;
        width: 100%;
        field-sizing: fixed;
        flex-basis: 60%;
      }
      .space {
        display: none;
      }
      .find {
        display: none;
      }
      i {
        display: none;
      }
      b {
        display: inline;
      }
      /* Its place in the row is kept until it comes. */
      .picker {
        order: 3;
        flex: 1 1 120px;
        width: auto;
        min-height: 44px;
      }
      .tools {
        order: 4;
        flex: 1 0 auto;
        justify-content: flex-end;
        gap: var(--close);
      }
      .tools button {
        padding: 8px 10px;
      }
    }
  `,
})
export class TopBar {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly view = inject(ViewStore);
  readonly find = output<void>();
  protected readonly mac = MAC;

  protected readonly here = inject(Here);

  private readonly whatTime = inject(WHAT_TIME);
  private readonly now = signal(this.whatTime().getTime());
  private readonly metric = computed(() => this.jobs.job()?.units === 'metric');
  protected readonly units = computed(() => say(this.metric() ? 'unit.millimetres' : 'units.feet'));
  protected readonly unitsShort = computed(() => say(this.metric() ? 'units.mm' : 'unit.feet'));
  protected readonly saved = computed(() => {
    switch (this.jobs.saved()) {
      case 'failed':
        return this.texts.t('save.not');
      case 'saving':
        return this.texts.t('save.now');
      case 'saved':
        return this.texts.t('save.done', { ago: ago(this.now() - (this.jobs.savedAt() ?? 0)) });
    }
  });

  constructor() {
    const timer = setInterval(() => this.now.set(this.whatTime().getTime()), 15000);
    inject(DestroyRef).onDestroy(() => clearInterval(timer));
  }

  protected rename(field: HTMLInputElement): void {
    const name = field.value.trim();
    if (name === '') {
      field.value = this.jobs.job()?.name ?? '';
      return;
    }
    this.jobs.edit(say('undo.rename-job'), (job) => {
      job.name = name;
    });
  }

  protected turnUnits(): void {
    this.jobs.edit(say('undo.units'), (job) => {
      job.units = job.units === 'metric' ? 'feet' : 'metric';
    });
  }

  protected turnTheme(): void {
    this.view.setTheme(this.view.theme() === 'site' ? 'light' : 'site');
  }
}

/** `just now`, `3 min ago`, `2 h ago`, `4 days ago`. */
function ago(ms: number): Message {
  const minutes = ms / 60000;
  if (minutes < 1) return say('ago.now');
  if (minutes < 60) return say('ago.minutes', { n: Math.floor(minutes) });
  if (minutes < 1440) return say('ago.hours', { n: Math.floor(minutes / 60) });
  return say('ago.days', { days: Math.floor(minutes / 1440) });
}

import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { nextMs, say, type Message } from '@lisse/core';
import { Format } from '../state/format';
import type { RunningPot } from '../state/pots.store';
import { Texts } from '../state/texts';

/** Of a pot that spoiled: how much was left in it. */
const SHARES = [0.25, 0.5, 0.75, 1] as const;

/** The clock of one pot: how long until what, large, and the presses that tell what happened. */
@Component({
  selector: 'ls-pot-clock',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '[class]': 'pot().stage' },
  template: `
    @let one = pot();
    <p class="of">
      <strong>{{ texts.t('pot.name', { compound: name(), litres: one.litres }) }}</strong>
      <span class="soft">{{ one.roomName }}</span>
    </p>
    <p class="figure time" role="timer" [attr.aria-label]="texts.say(spoken())">{{ left() }}</p>
    <p class="words">{{ texts.say(said()) }}</p>
    <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
      <rect class="work" x="0" y="3" [attr.width]="at(one.workMs)" height="4" />
      <rect
        class="stiff"
        [attr.x]="at(one.workMs)"
        y="3"
        [attr.width]="at(one.cleanMs) - at(one.workMs)"
        height="4"
      />
      <rect class="hard" [attr.x]="at(one.cleanMs)" y="3" [attr.width]="100 - at(one.cleanMs)" height="4" />
      <rect class="now" [attr.x]="at(nowMs()) - 0.6" y="0" width="1.2" height="10" />
    </svg>
    <p class="soft small">
      {{
        texts.t('pot.times', { work: clock(one.workMs), clean: clock(one.cleanMs), hard: clock(one.hardMs) })
      }}
    </p>
    @if (spoiling()) {
      <div class="acts" role="group" [attr.aria-label]="texts.t('pot.spoiled-how-much')">
        @for (share of shares; track share) {
          <button type="button" class="big quiet" (click)="spoil(share)">
            {{ share === 1 ? texts.t('pot.spoiled-all') : format.volume(one.litres * share) }}
          </button>
        }
        <button type="button" class="big quiet" (click)="spoiling.set(false)">
          {{ texts.t('pot.not-spoiled') }}
        </button>
      </div>
    } @else {
      <div class="acts">
        @if (one.cleanedMs === undefined) {
          <button
            type="button"
            class="big"
            [class.act]="one.stage === 'clean-now'"
            [class.quiet]="one.stage !== 'clean-now'"
            (click)="cleaned.emit()"
          >
            {{ texts.t('pot.clean') }}
          </button>
        }
        @if (one.hardToldMs === undefined && one.spoiledL < one.litres) {
          <button
            type="button"
            class="big"
            [class.act]="one.stage === 'look'"
            [class.quiet]="one.stage !== 'look'"
            (click)="hard.emit()"
          >
            {{ texts.t('pot.hard') }}
          </button>
        }
        @if (one.spoiledL === 0) {
          <button type="button" class="big quiet" (click)="spoiling.set(true)">
            {{ texts.t('pot.spoiled') }}
          </button>
        }
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 12px 14px;
      background: var(--paper);
      border-left: 6px solid var(--accent);
    }
    :host(.stiff),
    :host(.look) {
      border-color: var(--caution);
      background: var(--caution-wash);
    }
    :host(.clean-now) {
      border-color: var(--stop);
      background: var(--stop-wash);
    }
    :host(.hardening) {
      border-color: var(--line);
    }
    .of {
      display: flex;
      justify-content: space-between;
      gap: var(--close);
      font-size: var(--lead);
    }
    .time {
      font-size: var(--display);
      font-stretch: 80%;
      line-height: 1.05;
    }
    :host(.stiff) .time,
    :host(.look) .time {
      color: var(--caution);
    }
    :host(.clean-now) .time {
      color: var(--stop);
    }
    .words {
      font-size: var(--title);
      font-weight: 600;
    }
    svg {
      display: block;
      width: 100%;
      height: 14px;
      margin: 8px 0 2px;
    }
    .work {
      fill: var(--accent);
    }
    .stiff {
      fill: var(--caution);
    }
    .hard {
      fill: var(--line);
    }
    .now {
      fill: var(--ink);
    }
  `,
})
export class PotClock {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  readonly pot = input.required<RunningPot>();
  readonly nowMs = input.required<number>();
  readonly hard = output();
  readonly cleaned = output();
  /** So much of it, L. */
  readonly spoiled = output<number>();
  protected readonly spoiling = signal(false);
  protected readonly shares = SHARES;

  protected readonly name = computed((): Message => say(`compound.${this.pot().compound}`));
  /** What the clock runs to. */
  private readonly toMs = computed(() => nextMs(this.pot(), this.pot().stage));
  protected readonly left = computed(() => countdown(this.toMs() - this.nowMs()));
  protected readonly said = computed((): Message => {
    const { stage } = this.pot();
    return say(`pot.stage.${stage === 'over' ? 'look' : stage}`, { at: this.clock(this.toMs()) });
  });
  protected readonly spoken = computed(() => say('pot.spoken', { said: this.said(), left: this.left() }));

  protected clock = (ms: number | undefined): string => (ms === undefined ? '' : this.format.clockOf(ms));

  /** A moment on the line from mixing to hard, percent. */
  protected at(ms: number | undefined): number {
    const { mixedMs, hardMs = mixedMs, cleanMs = mixedMs } = this.pot();
    const all = Math.max(1, Math.max(hardMs, cleanMs) - mixedMs);
    return Math.max(0, Math.min(100, (((ms ?? mixedMs) - mixedMs) / all) * 100));
  }

  protected spoil(share: number): void {
    this.spoiling.set(false);
    this.spoiled.emit(this.pot().litres * share);
  }
}

/** `12:05`, `1:02:05`; `+3:20` where it has passed. */
export function countdown(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000);
  const two = (n: number): string => String(n).padStart(2, '0');
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  return `${ms < 0 ? '+' : ''}${h > 0 ? `${h}:${two(m)}` : m}:${two(s)}`;
}

import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { mixedEntry, say, type DayTask, type MixCard as Card } from '@lisse/core';
import { Bell } from '../devices/bell';
import { Format } from '../state/format';
import { LogStore } from '../state/log.store';
import { PotsStore } from '../state/pots.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { MixDrawing } from '../ui/mix-drawing';
import { WhyButton } from '../ui/why';

/** A press changes a batch by so much, L. */
const STEP_L = 0.25;
const LEAST_L = 0.25;

/** What to mix now: water first, then powder, how wet, how long it rests; and the clock that starts as it is mixed. */
@Component({
  selector: 'ls-mix-card',
  imports: [MixDrawing, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let one = card();
    <section [attr.aria-label]="texts.t('mix.title', { compound: name() })">
      <h2>{{ texts.t('mix.title', { compound: name() }) }}</h2>
      <p class="soft">{{ texts.say(which()) }}</p>
      <p class="lot">{{ texts.say(from()) }}</p>
      @for (lot of one.old; track lot.id) {
        <p class="wrong">
          {{
            texts.t('mix.old-lot', { lot: lot.code ?? lot.note ?? '', useBy: format.day(lot.useBy ?? '') })
          }}
        </p>
      }
      <div class="size" role="group" [attr.aria-label]="texts.t('mix.how-much')">
        <button type="button" class="big quiet" [attr.aria-label]="texts.t('mix.less')" (click)="more(-1)">
          −
        </button>
        <p class="figure">
          {{ format.mixed(litres()) }}
          <span class="soft">{{
            texts.t('mix.pans', { pans: litres() / book().panL.value, other: other() })
          }}</span>
        </p>
        <button type="button" class="big quiet" [attr.aria-label]="texts.t('mix.more')" (click)="more(1)">
          +
        </button>
      </div>
      @if (one.powderKgPerL > 0) {
        <ol class="steps">
          <li>
            <b>{{ texts.t('mix.step.water') }}</b>
            <span class="figure">{{ format.mixed(litres() * one.waterLPerL) }}</span>
          </li>
          <li>
            <b>{{ texts.t('mix.step.powder') }}</b>
            <span class="figure">{{ format.mass(litres() * one.powderKgPerL) }}</span>
          </li>
          <li>
            <b>{{ texts.t('mix.step.rest') }}</b>
            <span class="figure">{{ format.duration(one.restMin) }}</span>
          </li>
          <li>
            <b>{{ texts.t('mix.step.stop') }}</b>
            <span>{{ texts.t('mix.step.until') }}</span>
          </li>
        </ol>
      } @else {
        <ol class="steps">
          <li>
            <b>{{ texts.t('mix.step.remix') }}</b>
            <span class="figure">{{ format.mixed(litres()) }}</span>
          </li>
          <li>
            <b>{{ texts.t('mix.step.thin') }}</b>
            <span class="figure">{{
              one.waterLPerL > 0 ? format.mixed(litres() * one.waterLPerL) : texts.t('mix.step.none')
            }}</span>
          </li>
        </ol>
      }
      <div class="wet">
        <ls-mix-drawing [mix]="one.mix" />
        <p>
          <b class="figure">{{ one.mix }}</b> {{ texts.t(behaves()) }}
        </p>
      </div>
      @if (one.times; as times) {
        <p class="soft">
          {{
            texts.t('mix.lasts', {
              work: format.duration(times.workMin),
              clean: format.duration(times.cleanMin),
              hard: format.duration(times.hardMin),
            })
          }}
          <ls-why [why]="times.why" [of]="texts.t('mix.clock-of')" />
        </p>
      }
      <div class="acts">
        <button type="button" class="big act" (click)="mixed()">
          {{ texts.t(one.times ? 'mix.start' : 'mix.taken') }}
        </button>
      </div>
      <details>
        <summary>{{ texts.t('mix.rules') }}</summary>
        <ul class="told">
          @for (rule of one.rules; track $index) {
            <li>{{ texts.say(rule) }}</li>
          }
        </ul>
        <p class="soft">{{ texts.t('mix.habits') }}</p>
        <ul class="told soft">
          @for (habit of one.habits; track $index) {
            <li>{{ texts.say(habit) }}</li>
          }
        </ul>
      </details>
    </section>
  `,
  styles: `
    section {
      padding: 12px 14px;
      background: var(--paper);
      border: 1px solid var(--line);
    }
    h2 {
      font-size: var(--title);
    }
    .lot {
      font-weight: 600;
    }
    .size {
      display: grid;
      grid-template-columns: 64px 1fr 64px;
      align-items: center;
      gap: var(--close);
      margin: 8px 0;
      text-align: center;
    }
    .size .big {
      font-size: var(--head);
      padding: 0;
    }
    .size .figure {
      font-size: var(--figure);
    }
    .size span {
      display: block;
      font-size: var(--lead);
      font-weight: 450;
    }
    .steps li {
      display: flex;
      justify-content: space-between;
      align-items: baseline;
      gap: var(--apart);
      padding: 5px 0;
      border-top: 1px solid var(--hair);
      font-size: var(--large);
    }
    .steps .figure {
      font-size: var(--head);
      white-space: nowrap;
    }
    .steps span {
      text-align: right;
    }
    .wet {
      display: flex;
      gap: var(--apart);
      align-items: center;
      padding: 8px 0;
      border-top: 1px solid var(--hair);
      font-size: var(--large);
    }
    summary {
      min-height: 56px;
      align-content: center;
      cursor: pointer;
      font-weight: 600;
    }
    .told li {
      padding: 3px 0;
    }
  `,
})
export class MixCard {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly book = inject(ViewStore).book;
  private readonly logs = inject(LogStore);
  private readonly pots = inject(PotsStore);
  private readonly bell = inject(Bell);
  readonly card = input.required<Card>();
  readonly task = input.required<DayTask>();
  /** The clock of a batch runs. */
  readonly started = output();

  /** As the card has it, until somebody changes it; anew for the next batch. */
  protected readonly litres = linkedSignal({
    source: () => `${this.card().compound} ${this.card().n}`,
    computation: () => Math.max(LEAST_L, Math.round(this.card().batchL / STEP_L) * STEP_L),
  });
  protected readonly telling = signal(false);
  protected readonly name = computed(() => say(`compound.${this.card().compound}`));
  protected readonly behaves = computed(() => `consistency.${this.card().mix}` as const);
  protected readonly other = computed(() => this.format.mixed(this.litres(), true));

  /** Which batch it is, and for what. */
  protected readonly which = computed(() => {
    const { n, of, rows, allL, mixedL } = this.card();
    const all = { rows: rows.map((row) => say(`element.${row}`)), all: allL, mixed: mixedL };
    return allL - mixedL < LEAST_L / 2 ? say('mix.enough', all) : say('mix.batch', { n, of, ...all });
  });
  protected readonly from = computed(() => {
    const { lot, setMin } = this.card();
    const set = setMin === undefined ? '' : say('mix.set', { minutes: setMin });
    if (!lot) return set === '' ? say('mix.no-lot') : say('mix.no-lot-set', { set });
    const which = lot.code ?? lot.note ?? '';
    return say('mix.lot', {
      lot: which,
      left: lot.left,
      opened: lot.opened === undefined ? 'no' : 'yes',
      set,
    });
  });

  protected more(by: 1 | -1): void {
    this.litres.update((litres) => Math.max(LEAST_L, Math.min(60, litres + by * STEP_L)));
  }

  protected async mixed(): Promise<void> {
    if (this.telling()) return;
    // Two presses of one thumb are one batch.
    this.telling.set(true);
    const { times } = this.card();
    if (times) void this.bell.ready();
    try {
      const kept = this.logs.tell('undo.log-mixed', mixedEntry(this.task(), this.card(), this.litres()));
      // The clock runs from the press on, and this card may be gone before the press is written.
      if (times) this.started.emit();
      await kept;
    } finally {
      this.telling.set(false);
    }
    this.pots.look();
  }
}

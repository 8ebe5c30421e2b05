import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LIMITS, readFactor, readingsIn, say, type DayTask, type Message } from '@lisse/core';
import { Instruments } from '../devices/instruments';
import { Clock } from '../state/clock';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { AmountInput } from '../ui/amount-input';
import { Choice } from '../ui/choice';
import { NumberInput } from '../ui/number-input';
import { STEP_NAME } from '../ui/words';
import { TodayStore } from './today.store';

/** Air of a room and moisture of a coat, typed or from the simulated instruments; what was read moves the ready hours. */
@Component({
  selector: 'ls-reading-card',
  imports: [AmountInput, Choice, NumberInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section [attr.aria-label]="texts.t('today.readings')">
      <h2>{{ texts.t('today.readings') }}</h2>
      <ls-choice
        [label]="texts.t('today.read-where')"
        [options]="rooms()"
        [value]="where()"
        (changed)="chosen.set($event)"
      />
      @if (last(); as read) {
        <p>{{ texts.say(read) }}</p>
      }
      <div class="fields">
        <ls-amount
          [label]="texts.t('days.temperature')"
          of="temperature"
          [optional]="true"
          [value]="tempC()"
          [limit]="limits.log.tempC"
          (changed)="tempC.set($event)"
        />
        <ls-number
          [label]="texts.t('days.humidity')"
          [optional]="true"
          [value]="rhPct()"
          [limit]="limits.log.rhPct"
          (changed)="rhPct.set($event)"
        />
      </div>
      <div class="acts">
        <button type="button" class="big quiet" (click)="readAir()">{{ texts.t('today.hygrometer') }}</button>
        <button
          type="button"
          class="big act"
          [disabled]="tempC() === undefined && rhPct() === undefined"
          (click)="putAir()"
        >
          {{ texts.t('days.reading.note') }}
        </button>
      </div>
      @if (wet().length > 0) {
        <h3>{{ texts.t('today.moisture') }}</h3>
        <ls-choice
          [label]="texts.t('today.moisture-of')"
          [options]="coats()"
          [value]="coat()?.id ?? ''"
          (changed)="coatId.set($event)"
        />
        <ls-number
          [label]="texts.t('today.moisture-pct')"
          [optional]="true"
          [value]="moisture()"
          [limit]="limits.log.moisturePct"
          (changed)="moisture.set($event)"
        />
        <div class="acts">
          <button type="button" class="big quiet" (click)="readMoisture()">
            {{ texts.t('today.meter') }}
          </button>
          <button type="button" class="big act" [disabled]="moisture() === undefined" (click)="putMoisture()">
            {{ texts.t('days.reading.note') }}
          </button>
        </div>
      }
      <p role="status" class="told" aria-live="polite">
        @if (told(); as so) {
          {{ texts.say(so) }}
        }
      </p>
    </section>
  `,
  styles: `
    h2 {
      font-size: var(--title);
    }
    h3 {
      font-size: var(--large);
      margin: 14px 0 6px;
    }
    .told {
      margin-top: 8px;
      font-size: var(--large);
    }
  `,
})
export class ReadingCard {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly logs = inject(LogStore);
  private readonly clock = inject(Clock);
  private readonly view = inject(ViewStore);
  private readonly store = inject(TodayStore);
  private readonly instruments = inject(Instruments);
  protected readonly limits = LIMITS;
  protected readonly chosen = signal<string | undefined>(undefined);
  protected readonly coatId = signal<string | undefined>(undefined);
  protected readonly tempC = signal<number | undefined>(undefined);
  protected readonly rhPct = signal<number | undefined>(undefined);
  protected readonly moisture = signal<number | undefined>(undefined);
  protected readonly told = signal<Message | undefined>(undefined);
  /** What the fields were filled from, until they are typed in or put down. */
  private simulated = false;

  protected readonly rooms = computed(() =>
    (this.jobs.job()?.rooms ?? []).map(({ id, name }) => ({ value: id, name })),
  );
  protected readonly where = computed(
    () => this.chosen() ?? this.store.task()?.room ?? this.rooms()[0]?.value ?? '',
  );
  protected readonly last = computed((): Message | undefined => {
    const read = readingsIn(this.logs.site().readings, this.where()).at(-1);
    const climate = this.jobs.job()?.climate;
    if (!read || !climate) return undefined;
    return say('today.read-last', {
      temp: read.tempC ?? climate.tempC,
      rh: (read.rhPct ?? climate.rhPct) / 100,
      at: this.format.time(read.at),
      factor: readFactor(read, climate),
    });
  });

  /** Coats that dry in the room. */
  protected readonly wet = computed((): DayTask[] =>
    [...this.store.waits(), ...this.store.look()].filter(
      ({ how, room }, i, all) =>
        how === 'drying' && room === this.where() && all.findIndex(({ id }) => id === all[i]?.id) === i,
    ),
  );
  protected readonly coat = computed(
    () => this.wet().find(({ id }) => id === this.coatId()) ?? this.wet()[0],
  );
  protected readonly coats = computed(() =>
    this.wet().map(({ id, step, rows }) => ({
      value: id,
      name: say('today.coat-of', { step: STEP_NAME[step], rows: rows.map((row) => say(`element.${row}`)) }),
    })),
  );

  /** A whole number that tells a room from the others. */
  private readonly spot = computed(() => 1 + this.rooms().findIndex(({ value }) => value === this.where()));

  protected async readAir(): Promise<void> {
    try {
      const { tempC, rhPct } = await this.instruments.air(this.clock.now(), Math.max(1, this.spot()));
      this.tempC.set(tempC);
      this.rhPct.set(rhPct);
      this.simulated = true;
      this.told.set(say('today.simulated'));
    } catch {
      this.told.set(say('today.no-instrument'));
    }
  }

  protected async putAir(): Promise<void> {
    const [tempC, rhPct] = [this.tempC(), this.rhPct()];
    // At once: what is read next is not to be cleared when this one is written.
    this.tempC.set(undefined);
    this.rhPct.set(undefined);
    this.told.set(say('today.reading-put'));
    const kept = await this.logs.reading({
      where: this.where(),
      ...(tempC === undefined ? {} : { tempC: Math.round(tempC * 10) / 10 }),
      ...(rhPct === undefined ? {} : { rhPct }),
      ...this.from('today.from-hygrometer'),
    });
    if (!kept) this.told.set(undefined);
  }

  protected async readMoisture(): Promise<void> {
    const coat = this.coat();
    if (!coat) return;
    const hours = (from: string, to: string) => (Date.parse(`${to}Z`) - Date.parse(`${from}Z`)) / 3600000;
    try {
      const gone = Math.max(0, hours(coat.end, this.clock.now()));
      const dry = Math.max(0.5, hours(coat.end, coat.ready));
      this.moisture.set(await this.instruments.moisture(gone, dry, Math.max(1, this.spot())));
      this.simulated = true;
      this.told.set(say('today.simulated'));
    } catch {
      this.told.set(say('today.no-instrument'));
    }
  }

  /** What the meter finds dry is told to be ready; what it finds wet is not ready yet, whatever was reckoned. */
  protected async putMoisture(): Promise<void> {
    const [coat, moisturePct] = [this.coat(), this.moisture()];
    if (!coat || moisturePct === undefined) return;
    const { room, step, rows } = coat;
    const most = this.view.book().meterDryShare.value;
    const from = this.from('today.from-meter');
    const dry = moisturePct / 100 <= most;
    this.moisture.set(undefined);
    this.told.set(say(dry ? 'today.meter-dry' : 'today.meter-wet', { most }));
    const kept = await (dry
      ? this.logs.reading(
          { where: room, moisturePct, ...from },
          { kind: 'ready', toldBy: 'meter', room, step, rows },
        )
      : this.logs.reading({ where: room, room, step, rows, moisturePct, ...from }));
    if (!kept) this.told.set(undefined);
  }

  private from(key: 'today.from-hygrometer' | 'today.from-meter'): { from?: string } {
    const made = this.simulated ? { from: this.texts.t(key) } : {};
    this.simulated = false;
    return made;
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  AIRS,
  L_PER_PINT,
  LIMITS,
  readWeatherCsv,
  say,
  type Air,
  type AirCare,
  type Climate,
  type InnerDoor,
  type Message,
  type WeatherFrom,
  type WeatherHour,
} from '@lisse/core';
import { ClimateLogger } from '../devices/climate-logger';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { AmountInput } from '../ui/amount-input';
import { Check } from '../ui/check';
import { Choice } from '../ui/choice';
import { DayInput } from '../ui/day-input';
import { NumberInput } from '../ui/number-input';
import { newId } from '../new-id';

/** A larger table of weather is refused before it is read, bytes. */
const MOST_BYTES = 2 * 1024 * 1024;
/** So many hours of weather are asked of the logger. */
const LOGGED_HOURS = 40 * 24;
const START_OUTSIDE = { lowC: 2, highC: 9, rhPct: 80 };

/** The air of the rooms: as it is given, or reckoned from the weather, the heating and the water in the mud. */
@Component({
  selector: 'ls-air-sheet',
  imports: [AmountInput, Check, Choice, DayInput, NumberInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './air-sheet.html',
  styles: `
    .wide {
      grid-column: 1 / -1;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--near) var(--apart);
      align-items: center;
      margin: 4px 0;
    }
    input[type='file'] {
      display: none;
    }
  `,
})
export class AirSheet {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly logs = inject(LogStore);
  private readonly logger = inject(ClimateLogger);
  private readonly plans = inject(PlanStore);
  /** What a dehumidifier is told in: liters, or pints. */
  protected readonly dried = computed(() => (this.format.units() === 'metric' ? 1 : L_PER_PINT));
  protected readonly limits = LIMITS;
  protected readonly start = START_OUTSIDE;
  protected readonly airs = AIRS.map((value) => ({ value, name: say(`air.is-${value}`) }));
  protected readonly climate = computed(() => this.jobs.job()?.climate);
  protected readonly power = computed(() => this.plans.plan()?.days.power);
  /** What was wrong with a table or the logger. */
  protected readonly trouble = signal<readonly Message[]>([]);
  protected readonly room = signal<string | undefined>(undefined);
  protected readonly rooms = computed(() => [
    { value: undefined, name: this.texts.t('days.everywhere') },
    ...(this.jobs.job()?.rooms ?? []).map(({ id, name }) => ({ value: id, name })),
  ]);
  /** What is done to the air where it is chosen. */
  protected readonly care = computed(() => this.climate()?.care?.find(({ id }) => id === this.careId()));
  private readonly names = computed(
    () => new Map((this.jobs.job()?.rooms ?? []).map(({ id, name }) => [id, name])),
  );
  /** The other side of a door that is added from the chosen room. */
  protected readonly others = computed(() => [
    { value: undefined, name: this.texts.t('days.door.none') },
    ...(this.jobs.job()?.rooms ?? [])
      .filter(({ id }) => id !== this.room())
      .map(({ id, name }) => ({ value: id, name })),
  ]);
  protected readonly reading = computed(() =>
    this.logs.site().readings.findLast(({ tempC, rhPct }) => tempC !== undefined && rhPct !== undefined),
  );
  /** What is typed of a reading, until it is put down. */
  protected readonly typed = signal<{ tempC?: number | undefined; rhPct?: number | undefined }>({});

  private careId = (): string => (this.room() === undefined ? 'dry' : `dry-${this.room()}`.slice(0, 60));

  protected setTemperature(tempC: number | undefined): void {
    if (tempC !== undefined)
      this.set('undo.change-temperature', (climate) => (climate.tempC = Math.round(tempC * 10) / 10));
  }

  protected setHumidity(rhPct: number | undefined): void {
    if (rhPct !== undefined) this.set('undo.change-humidity', (climate) => (climate.rhPct = rhPct));
  }

  protected setAir(air: Air): void {
    this.set('undo.change-air', (climate) => (climate.air = air));
  }

  protected turnReckoned(): void {
    this.set('undo.reckon', (climate) => {
      if (climate.reckoned) delete climate.reckoned;
      else {
        climate.reckoned = true;
        climate.outside ??= { ...START_OUTSIDE };
      }
    });
  }

  protected setOutside(key: 'lowC' | 'highC' | 'rhPct', value: number | undefined): void {
    if (value === undefined) return;
    this.set('undo.outside', (climate) => {
      climate.outside = { ...START_OUTSIDE, ...climate.outside, [key]: Math.round(value * 10) / 10 };
    });
  }

  /** Sets one thing that is done to the air of the chosen room, or of all; what does nothing is let go. */
  protected setCare<K extends keyof AirCare>(key: K, value: AirCare[K] | undefined): void {
    const [id, room] = [this.careId(), this.room()];
    this.set('undo.dryer', (climate) => {
      const all = climate.care ?? [];
      const one: AirCare = {
        ...all.find((care) => care.id === id),
        id,
        ...(room === undefined ? {} : { room }),
      };
      if (value === undefined || value === false || value === 0) Reflect.deleteProperty(one, key);
      else one[key] = value;
      const rest = all.filter((care) => care.id !== id);
      if (one.fan ?? one.heatC ?? one.changesPerH ?? one.dryLPerDay) rest.push(one);
      if (rest.length > 0) climate.care = rest;
      else delete climate.care;
    });
  }

  protected doorName = ({ a, b }: InnerDoor): string =>
    this.texts.t('days.door', { a: this.names().get(a) ?? a, b: this.names().get(b) ?? b });

  protected turnDoor(id: string): void {
    this.set('undo.door', ({ doors }) => {
      const door = doors?.find((one) => one.id === id);
      if (door) door.open = !door.open;
    });
  }

  protected addDoor(b: string | undefined): void {
    const a = this.room();
    if (a === undefined || b === undefined) return;
    const id = newId();
    this.set('undo.door', (climate) => {
      const known = climate.doors ?? [];
      if (known.some((door) => (door.a === a && door.b === b) || (door.a === b && door.b === a))) return;
      climate.doors = [...known, { id, a, b, open: true }];
    });
  }

  protected async take(box: HTMLInputElement): Promise<void> {
    const [file] = box.files ?? [];
    box.value = '';
    if (!file) return;
    if (file.size > MOST_BYTES) {
      this.trouble.set([say('weather.large')]);
      return;
    }
    const { hours, errors } = readWeatherCsv(await file.text());
    this.trouble.set(errors.map((error) => say('weather.row', { ...error })));
    if (errors.length === 0) this.setWeather(hours, 'table');
  }

  protected async log(): Promise<void> {
    const from = this.jobs.job()?.calendar.startDate ?? '';
    try {
      this.setWeather(await this.logger.read(from, LOGGED_HOURS), 'logger');
      this.trouble.set([]);
    } catch {
      this.trouble.set([say('days.weather.lost')]);
    }
  }

  protected forget(): void {
    this.set('undo.outside', (climate) => {
      delete climate.weather;
      delete climate.weatherFrom;
    });
  }

  private setWeather(weather: WeatherHour[], from: WeatherFrom): void {
    this.set('undo.outside', (climate) => {
      climate.weather = weather;
      climate.weatherFrom = from;
    });
  }

  protected note(): void {
    const { tempC, rhPct } = this.typed();
    if (tempC === undefined && rhPct === undefined) return;
    this.typed.set({});
    void this.logs.reading({
      ...(tempC === undefined ? {} : { tempC: Math.round(tempC * 10) / 10 }),
      ...(rhPct === undefined ? {} : { rhPct }),
    });
  }

  /** The last reading is what the plan goes by. */
  protected use(): void {
    const { tempC, rhPct } = this.reading() ?? {};
    if (tempC === undefined || rhPct === undefined) return;
    const within = (value: number, { least, most }: { least: number; most: number }): number =>
      Math.min(most, Math.max(least, value));
    this.set('undo.use-reading', (climate) => {
      climate.tempC = within(tempC, LIMITS.climate.tempC);
      climate.rhPct = within(rhPct, LIMITS.climate.rhPct);
    });
  }

  private set(label: Deed, recipe: (climate: Climate) => void): void {
    this.jobs.edit(label, ({ climate }) => recipe(climate));
  }
}

/**
 * Numbers, money, dates and the clock as one locale writes them. Formats are kept: making one takes a thousand times as
 * long as using it, and a page of days uses hundreds.
 * @example new Locale('en-US').clock('2026-11-30T09:47') // 9:47 AM
 */
export class Locale {
  private readonly numbers = new Map<string, Intl.NumberFormat>();
  private readonly dates = new Map<string, Intl.DateTimeFormat>();

  /** @param tag as `Intl` names it */
  constructor(readonly tag: string) {}

  /** `2,987.5`: at most so many decimals, and at least so many. */
  number(value: number, most = 0, least = 0): string {
    return withMinus(this.numbersOf(most, least).format(value));
  }

  /** `7.9%` of 0.079. */
  percent(share: number, most = 0, least = 0): string {
    return withMinus(this.numbersOf(most, least, { style: 'percent' }).format(share));
  }

  /** `3 days`. */
  days(count: number): string {
    return this.numbersOf(0, 0, { style: 'unit', unit: 'day', unitDisplay: 'long' }).format(count);
  }

  /**
   * A sum with its sign where the locale has it: `$2,987.12`.
   * @param sign of the job's money, which need not have a code of three letters
   */
  money(amount: number, sign: string, digits: number): string {
    // Any currency will do: its sign is replaced.
    const format = this.numbersOf(digits, digits, { style: 'currency', currency: 'USD' });
    const parts = format.formatToParts(amount);
    const written = parts.map(({ type, value }, i) => {
      if (type !== 'currency') return value;
      // Letters stand off the figure.
      return /\p{L}$/u.test(sign) && parts[i + 1]?.type === 'integer' ? `${sign}\u00a0` : sign;
    });
    return withMinus(written.join(''));
  }

  /** `Nov 30, 2026` of a date or a local time. */
  date(iso: string): string {
    return this.onDay(iso, { day: 'numeric', month: 'short', year: 'numeric' });
  }

  /** `Mon, Nov 30` of a date or a local time; `Mon, Nov 30, 2026`. */
  day(iso: string, year = false): string {
    const options = { weekday: 'short', day: 'numeric', month: 'short' } as const;
    return this.onDay(iso, year ? { ...options, year: 'numeric' } : options);
  }

  /** Part of a date, `Nov`. */
  datePart(iso: string, part: 'weekday' | 'month' | 'year'): string {
    return this.onDay(iso, part === 'year' ? { year: 'numeric' } : { [part]: 'short' });
  }

  /** `Nov 30`. */
  dayOfMonth(iso: string): string {
    return this.onDay(iso, { day: 'numeric', month: 'short' });
  }

  /** `9:47 AM` of a local time, or of `09:47`. */
  clock(time: string): string {
    const [hours, minutes] = time.slice(time.indexOf('T') + 1).split(':');
    const written = this.written(time, Date.UTC(2000, 0, 1, Number(hours), Number(minutes)), {
      timeStyle: 'short',
    });
    // Fonts lack the narrow space.
    return written.replace(/\s/g, '\u00a0');
  }

  private onDay(iso: string, options: Intl.DateTimeFormatOptions): string {
    return this.written(iso, Date.parse(`${iso.slice(0, 10)}T00:00Z`), options);
  }

  /** What is no date is told as it is. */
  private written(text: string, ms: number, options: Intl.DateTimeFormatOptions): string {
    return Number.isFinite(ms) ? this.datesOf(options).format(ms) : text;
  }

  private numbersOf(most: number, least: number, style: Intl.NumberFormatOptions = {}): Intl.NumberFormat {
    const key = `${style.style ?? ''} ${most} ${least}`;
    let format = this.numbers.get(key);
    if (!format) {
      format = new Intl.NumberFormat(this.tag, {
        ...style,
        maximumFractionDigits: most,
        minimumFractionDigits: least,
      });
      this.numbers.set(key, format);
    }
    return format;
  }

  private datesOf(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
    const key = Object.entries(options).join();
    let format = this.dates.get(key);
    if (!format) {
      format = new Intl.DateTimeFormat(this.tag, { ...options, timeZone: 'UTC' });
      this.dates.set(key, format);
    }
    return format;
  }
}

/** A true minus, as wide as a plus; nothing is less than nothing by less than is told. */
const withMinus = (text: string): string =>
  /^-[^1-9]*$/.test(text) ? text.slice(1) : text.replace('-', '−');

/** The locale of the base language. */
export const US = new Locale('en-US');

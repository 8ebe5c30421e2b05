import { say, type Message } from '../texts';
import { field, spelled, type FieldRule, type Trouble } from './field';
import { clamped, cutShort, DATES, NAME_LETTERS, NOTE_LETTERS, REAL_DAY, within, type Limit } from './limits';
import { list, range, type Schema } from './schema-parts';

export const numberTrouble = (value: unknown, limit: Limit, whole: boolean): Trouble => {
  const right = typeof value === 'number' && within(value, limit) && (!whole || Number.isInteger(value));
  if (right) return undefined;
  const { least, most, unit = 'none' } = limit;
  return say(whole ? 'door.whole' : 'door.number', {
    least: String(least),
    most: String(most),
    unit,
    is: spelled(value),
  });
};

export const numberSchema = ({ least, most, unit }: Limit, whole: boolean, description?: string): Schema => ({
  ...range(least, most),
  ...(whole ? { type: 'integer' } : {}),
  ...(description || unit ? { description: [description, unit].filter(Boolean).join(', ') } : {}),
});

/** A number between limits. */
export const InRange = (limit: Limit, description?: string, whole = false): PropertyDecorator =>
  field({
    trouble: (value) => numberTrouble(value, limit, whole),
    schema: () => numberSchema(limit, whole, description),
    nearest: (value) =>
      typeof value === 'number' && Number.isFinite(value)
        ? clamped(whole ? Math.round(value) : value, limit)
        : undefined,
  });

export const Whole = (limit: Limit, description?: string): PropertyDecorator =>
  InRange(limit, description, true);

/** A wall by its number, counted from 0 along the outline. */
export const WallNumber = (description = 'counted from 0 along the outline'): PropertyDecorator =>
  Whole({ least: 0, most: 199 }, description);

export const oneOf = (allowed: readonly (string | number | boolean)[]): PropertyDecorator =>
  field({
    trouble: (value) =>
      allowed.includes(value as string)
        ? undefined
        : allowed.length === 1
          ? say('door.only', { one: spelled(allowed[0]), is: spelled(value) })
          : say('door.one-of', { allowed: allowed.join(', '), is: spelled(value) }),
    schema: () => (allowed.length === 1 ? { const: allowed[0] } : { enum: [...allowed] }),
  });

export const YesNo = (description?: string): PropertyDecorator =>
  field({
    trouble: (value) => (typeof value === 'boolean' ? undefined : say('door.yes-no', { is: spelled(value) })),
    schema: () => ({ type: 'boolean', ...(description ? { description } : {}) }),
  });

function text(letters: number): PropertyDecorator {
  return field({
    trouble: (value) => {
      if (typeof value !== 'string') return say('door.text', { is: spelled(value) });
      // Letters are counted as a schema counts them, one for each however it is kept.
      return value.length > letters && [...value].length > letters
        ? say('door.letters', { most: letters, has: [...value].length })
        : undefined;
    },
    schema: () => ({ type: 'string', maxLength: letters }),
    nearest: (value) => (typeof value === 'string' ? cutShort(value, letters) : undefined),
  });
}

export const Name = (): PropertyDecorator => text(NAME_LETTERS);
export const Words = (): PropertyDecorator => text(NOTE_LETTERS);

function pattern(
  source: string,
  must: (is: Message | string) => Message,
  nearest?: FieldRule['nearest'],
): PropertyDecorator {
  const form = new RegExp(source);
  return field({
    trouble: (value) => (typeof value === 'string' && form.test(value) ? undefined : must(spelled(value))),
    schema: () => ({ type: 'string', pattern: source }),
    ...(nearest ? { nearest } : {}),
  });
}

export const Id = (): PropertyDecorator =>
  pattern('^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$', (is) => say('door.id', { is }));

/** SHA-256 of something, in hexadecimal digits. */
export const Seal = (): PropertyDecorator => pattern('^[0-9a-f]{64}$', (is) => say('door.seal', { is }));

/** A small picture kept in the document itself. */
export const Photo = (): PropertyDecorator =>
  pattern('^data:image/jpeg;base64,[A-Za-z0-9+/=]{1,400000}$', (is) => say('door.photo', { is }));

export const ClockTime = (such: string): PropertyDecorator =>
  pattern('^([01]\\d|2[0-3]):[0-5]\\d$', (is) => say('door.clock', { such, is }));

export const CalendarDate = (): PropertyDecorator =>
  pattern(
    REAL_DAY,
    (is) => say('door.date', { ...DATES, is }),
    (value) =>
      typeof value !== 'string' || !/^\d+-\d\d-\d\d$/.test(value)
        ? undefined
        : value.length > 10 || value > DATES.most
          ? DATES.most
          : value < DATES.least
            ? DATES.least
            : `${value.slice(0, 8)}28`,
  );

const MOMENT = '([01]\\d|2[0-3]):[0-5]\\d';

/** A moment on site by the clock on its wall, `2026-11-30T07:00`. */
export const LocalTime = (): PropertyDecorator =>
  pattern(`^${REAL_DAY.slice(1, -1)}T${MOMENT}$`, (is) => say('door.local-time', { is }));

/** A moment anywhere: the site's own clock and how far it is from the world's, `2026-11-30T07:00:00-05:00`. */
export const Moment = (): PropertyDecorator =>
  pattern(`^${REAL_DAY.slice(1, -1)}T${MOMENT}(:[0-5]\\d(\\.\\d{1,3})?)?(Z|[+-]${MOMENT})$`, (is) =>
    say('door.moment', { is }),
  );

/** A place on a plan or a face: two numbers. */
export const PointAt = (limit: Limit): PropertyDecorator =>
  field({
    trouble: (value) =>
      Array.isArray(value) &&
      value.length === 2 &&
      value.every((n) => numberTrouble(n, limit, false) === undefined)
        ? undefined
        : say('door.point', { least: String(limit.least), most: String(limit.most), is: spelled(value) }),
    schema: () => pair(limit),
  });

export const pair = ({ least, most }: Limit): Schema =>
  list(range(least, most), { minItems: 2, maxItems: 2 });

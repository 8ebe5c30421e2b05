import { plainToInstance } from 'class-transformer';
import {
  registerDecorator,
  validateSync,
  type ValidationArguments,
  type ValidationOptions,
} from 'class-validator';
import { COATS, COMPOUNDS, JOINT_KINDS, LEVELS, QUALITIES } from './vocabulary';
import { outlineTrouble } from './outline';

/** A decorator from a check that returns what is wrong, or nothing. */
function check(name: string, trouble: (value: unknown, args: ValidationArguments) => string | undefined) {
  return (options?: ValidationOptions): PropertyDecorator =>
    (target, key) => {
      registerDecorator({
        name,
        target: target.constructor,
        propertyName: key as string,
        ...(options ? { options } : {}),
        validator: {
          validate: (value: unknown, args: ValidationArguments) => trouble(value, args) === undefined,
          defaultMessage: (args?: ValidationArguments) => (args && trouble(args.value, args)) ?? 'is wrong',
        },
      });
    };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const outside = (value: unknown, min: number, max: number): boolean =>
  typeof value !== 'number' || !(value >= min && value <= max);

export const IsOutline = check('outline', (value) => outlineTrouble(value));

export const IsCalendarDate = check('calendarDate', (value) => {
  const real = typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value);
  const time = real ? Date.parse(`${value}T00:00:00Z`) : NaN;
  if (Number.isFinite(time) && new Date(time).toISOString().startsWith(value as string)) return undefined;
  return `must be a date such as 2026-11-30; it is ${String(value).slice(0, 40)}`;
});

export const IsGrade = check('grade', (value, args) => {
  const grades: readonly number[] = (args.object as { scale?: unknown }).scale === 'q' ? QUALITIES : LEVELS;
  return grades.includes(value as number)
    ? undefined
    : `must be one of ${grades.join(', ')}; it is ${String(value).slice(0, 40)}`;
});

export const LaterThan = (other: string): PropertyDecorator =>
  check('laterThan', (value, args) => {
    const first = (args.object as Record<string, unknown>)[other];
    return typeof value === 'string' && typeof first === 'string' && value > first
      ? undefined
      : `must be later than “${other}”`;
  })();

/**
 * A record of documents of one class, by id; the first thing wrong in any of them is told with its id.
 * @param what what the record holds, for the message
 */
export const RecordOf = (type: () => new () => object, what: string): PropertyDecorator =>
  check('recordOf', (value) => {
    if (!isRecord(value)) return `must be an object of ${what}`;
    for (const [id, one] of Object.entries(value)) {
      if (!isRecord(one)) return `“${id.slice(0, 64)}” must be an object`;
      const wrong = validateSync(plainToInstance(type(), one))[0];
      const message = Object.values(wrong?.constraints ?? {})[0];
      if (wrong) return `“${id.slice(0, 64)}”: ${wrong.property} ${message ?? 'is wrong'}`;
    }
    return undefined;
  })();

export const IsCutRows = check('cutRows', (value) => {
  if (!isRecord(value)) return 'must be an object of rows';
  for (const [row, cuts] of Object.entries(value)) {
    if (!/^\d{1,3}$/.test(row)) return `“${row.slice(0, 20)}” must be a row number`;
    if (!Array.isArray(cuts) || cuts.length > 100 || cuts.some((u) => outside(u, 0, 100000)))
      return `row ${row} must be a list of at most 100 places, mm`;
  }
  return undefined;
});

export const IsPoint = check('point', (value) =>
  Array.isArray(value) && value.length === 2 && !value.some((n) => outside(n, -200000, 200000))
    ? undefined
    : 'must be two numbers, mm',
);

export const IsJointLengths = check('jointLengths', (value) => {
  if (!isRecord(value)) return 'must be an object of lengths by joint kind';
  for (const kind of JOINT_KINDS) {
    if (value[kind] !== undefined && outside(value[kind], 0, 1e8))
      return `${kind} must be a number from 0 to 100000000 mm`;
  }
  return undefined;
});

export const IsBandWidths = check('bandWidths', (value) => {
  if (!isRecord(value)) return 'must be an object';
  for (const key of ['flatMm', 'buttMm']) {
    if (value[key] !== undefined && outside(value[key], 100, 1700))
      return `${key} must be a number from 100 to 1700 mm`;
  }
  return undefined;
});

export const IsCompoundByCoat = check('compoundByCoat', (value) => {
  if (!isRecord(value)) return 'must be an object of coats';
  for (const [coat, compound] of Object.entries(value)) {
    if (
      (COATS as readonly string[]).includes(coat) &&
      !(COMPOUNDS as readonly unknown[]).includes(compound)
    ) {
      return `${coat} must be one of ${COMPOUNDS.join(', ')}`;
    }
  }
  return undefined;
});

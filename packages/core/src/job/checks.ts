import { plainToInstance } from 'class-transformer';
import {
  registerDecorator,
  validateSync,
  type ValidationError,
  type ValidationArguments,
  type ValidationOptions,
} from 'class-validator';
import { COATS, COMPOUNDS, CONSISTENCIES, ELEMENTS, JOINT_KINDS, LEVELS, QUALITIES } from './vocabulary';
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

/** The first thing wrong, as deep as it lies. */
function innermost(error: ValidationError | undefined): { path: string; message: string } | undefined {
  if (!error) return undefined;
  const message = Object.values(error.constraints ?? {})[0];
  const inner = message === undefined ? innermost(error.children?.[0]) : undefined;
  return {
    path: inner ? `${error.property}.${inner.path}` : error.property,
    message: inner?.message ?? message ?? 'is wrong',
  };
}

/**
 * A record of documents of one class, by id; the first thing wrong in any of them is told with its id.
 * @param what what the record holds, for the message
 */
export const RecordOf = (type: () => new () => object, what: string): PropertyDecorator =>
  check('recordOf', (value) => {
    if (!isRecord(value)) return `must be an object of ${what}`;
    for (const [id, one] of Object.entries(value)) {
      if (!isRecord(one)) return `“${id.slice(0, 64)}” must be an object`;
      const wrong = innermost(validateSync(plainToInstance(type(), one))[0]);
      if (wrong) return `“${id.slice(0, 64)}”: ${wrong.path} ${wrong.message}`;
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

const EDIT_RANGES: Partial<Record<string, [number, number]>> = {
  bladeMm: [50, 1000],
  bandMm: [50, 4000],
  camberMm: [0, 3],
  layers: [1, 8],
  setMin: [5, 210],
  waitMin: [0, 20160],
};
const EDIT_WORDS: Partial<Record<string, readonly string[]>> = {
  coat: ['skip', 'add'],
  compound: COMPOUNDS,
  consistency: CONSISTENCIES,
};

/** Changed cells of the coat board, by coat or by element and coat. */
export const IsCells = (by: 'coat' | 'element.coat'): PropertyDecorator =>
  check('cells', (value) => {
    if (!isRecord(value)) return 'must be an object of changed coats';
    for (const [key, edit] of Object.entries(value)) {
      const [coat = '', element] = key.split('.').reverse();
      const known = (COATS as readonly string[]).includes(coat);
      const placed =
        by === 'coat' ? element === undefined : (ELEMENTS as readonly unknown[]).includes(element);
      if (!known || !placed || !isRecord(edit)) return `“${key.slice(0, 40)}” must be a changed ${by}`;
      for (const [field, given] of Object.entries(edit)) {
        const range = EDIT_RANGES[field];
        if (range && outside(given, ...range))
          return `${key}: ${field} must be a number from ${range[0]} to ${range[1]}`;
        const words = EDIT_WORDS[field];
        if (field === 'float' && typeof given !== 'boolean') return `${key}: float must be yes or no`;
        if (field === 'layers' && !Number.isInteger(given)) return `${key}: layers must be a whole number`;
        if (words && !words.includes(given as string))
          return `${key}: ${field} must be one of ${words.join(', ')}`;
      }
    }
    return undefined;
  })();

export const IsFigures = check('figures', (value) => {
  if (!isRecord(value)) return 'must be an object of figures';
  const wrong = Object.entries(value).find(([, figure]) => outside(figure, 0, 1e6));
  return wrong && `“${wrong[0].slice(0, 40)}” must be a number from 0 to 1000000`;
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

import { registerDecorator, type ValidationArguments, type ValidationOptions } from 'class-validator';
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

const NOTE_RANGES: Record<string, [number, number]> = {
  gapMm: [0, 100],
  humpMm: [-50, 50],
  lippageMm: [-20, 20],
};

export const IsJointNotes = check('jointNotes', (value) => {
  if (!isRecord(value)) return 'must be an object of measured joints';
  for (const [id, note] of Object.entries(value)) {
    if (!isRecord(note)) return `“${id.slice(0, 64)}” must be an object`;
    if (note['kind'] !== undefined && !(JOINT_KINDS as readonly unknown[]).includes(note['kind'])) {
      return `“${id}”: kind must be one of ${JOINT_KINDS.join(', ')}`;
    }
    for (const [key, [min, max]] of Object.entries(NOTE_RANGES)) {
      if (note[key] !== undefined && outside(note[key], min, max)) {
        return `“${id}”: ${key} must be a number from ${min} to ${max} mm`;
      }
    }
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

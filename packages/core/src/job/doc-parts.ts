import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
  type ValidationOptions,
} from 'class-validator';

/** A finite number in a range; the sentence names the range and the unit. */
export function InRange(min: number, max: number, unit = ''): PropertyDecorator {
  const message = `must be a number from ${min} to ${max}${unit ? ` ${unit}` : ''}; it is $value`;
  return (target, key) => {
    Min(min, { message })(target, key as string);
    Max(max, { message })(target, key as string);
  };
}

export const oneOf = (words: readonly (string | number)[], more: ValidationOptions = {}): PropertyDecorator =>
  IsIn([...words], { message: `must be one of ${words.join(', ')}; it is $value`, ...more });

export const Id = (): PropertyDecorator =>
  Matches(/^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$/, {
    message: 'must be an id of 1 to 64 letters, digits, dots, dashes or underscores; it is $value',
  });

export const Name = (): PropertyDecorator => (target, key) => {
  IsString({ message: 'must be text; it is $value' })(target, key as string);
  MaxLength(200, { message: 'must be at most 200 characters' })(target, key as string);
};

/** A nested document that must be there and be an object. */
export const Part =
  (type: () => new () => object): PropertyDecorator =>
  (target, key) => {
    IsObject({ message: 'must be an object; it is $value' })(target, key as string);
    ValidateNested()(target, key as string);
    Type(type)(target, key as string);
  };

export const Parts =
  (type: () => new () => object, most: number): PropertyDecorator =>
  (target, key) => {
    IsArray({ message: 'must be a list; it is $value' })(target, key as string);
    ArrayMaxSize(most, { message: `must have at most ${most} entries` })(target, key as string);
    ValidateNested({ each: true, message: 'must be an object' })(target, key as string);
    Type(type)(target, key as string);
  };

export const YesNo = (): PropertyDecorator => IsBoolean({ message: 'must be true or false; it is $value' });

/** A small picture kept in the document itself. */
export const Photo = (): PropertyDecorator =>
  Matches(/^data:image\/jpeg;base64,[A-Za-z0-9+/=]{1,400000}$/, {
    message: 'must be a JPEG picture of at most 300 kB, as a data address',
  });

/** Text of some length. */
export const Words = (): PropertyDecorator => (target, key) => {
  IsString({ message: 'must be text' })(target, key as string);
  MaxLength(1000, { message: 'must be at most 1000 characters' })(target, key as string);
};

/** A wall by its number, counted from 0 along the outline. */
export const WallNumber = (): PropertyDecorator => (target, key) => {
  IsInt({ message: 'must be a whole wall number; it is $value' })(target, key as string);
  InRange(0, 199)(target, key);
};

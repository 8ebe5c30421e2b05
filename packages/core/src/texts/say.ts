import type { Texts } from './takes';

/** The keys of the catalogue: one for each sentence and each name. */
export type TextKey = keyof Texts;

/**
 * What is to be said, in no language yet: a key of the catalogue and what goes into its text. Plain data, so that it can
 * be kept, sent and compared. Made by `say`, which holds a key to what its text takes.
 */
export interface Message {
  readonly key: TextKey;
  readonly with?: Readonly<Record<string, Value>>;
}

/** Words of the user's own, a number, another text, or several to be listed. */
export type Sayable = string | number | Message | readonly Sayable[];

/** A quantity in SI, or one that must be told apart from another it is held against. */
export type Quantity = number | Compared;
export interface Compared {
  readonly value: number;
  readonly beside: number;
}
export type Value = Sayable | Compared;

/** Two quantities held against each other: each printed with the digits that tell it from the other. */
export const compare = (value: number, beside: number): [Compared, Compared] => [
  { value, beside },
  { value: beside, beside: value },
];

type Takes<K extends TextKey> = { [Key in K]: Texts[Key] }[K];

/**
 * A text and what goes into it.
 * @example say('a-cold.heat', { to: 15 })
 */
export function say<K extends TextKey>(
  ...[key, takes]: Takes<K> extends undefined ? [key: K] : [key: K, takes: NonNullable<Takes<K>>]
): Message {
  return takes === undefined ? { key } : { key, with: takes as Record<string, Value> };
}

/** Messages that would be told as the same: numbers that differ by less than anybody is told count as equal. */
export const alike = (...messages: readonly unknown[]): string =>
  JSON.stringify(messages, (_, value: unknown) =>
    typeof value === 'number' ? Number(value.toPrecision(3)) : value,
  );

/** Keys of texts that take nothing. */
export type PlainKey = { [K in TextKey]: Texts[K] extends undefined ? K : never }[TextKey];

/** Whether something is a text to be said. */
export const isMessage = (value: unknown): value is Message =>
  typeof value === 'object' && value !== null && typeof (value as Message).key === 'string';

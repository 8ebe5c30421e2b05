import { CHOICES, type ChoiceKey, type Choices } from '../job';
import { say, type Message, type TextKey } from '../texts';

export interface ChoiceText {
  name: Message;
  /** Why its followers do it so, and what it costs. */
  reason: Message;
}

/** What is asked by a choice of a way of working. */
export const askOf = (key: ChoiceKey): Message => say(`choice.${key}`);

/** An answer to a choice, and what speaks for it. */
export function choiceText<K extends ChoiceKey>(key: K, answer: Choices[K]): ChoiceText {
  const text = `choice.${key}.${answer}` as TextKey;
  return { name: { key: text }, reason: { key: `${text}.why` as TextKey } };
}

/** The answers to a choice, each with what speaks for it. */
export const answersTo = <K extends ChoiceKey>(key: K): { id: Choices[K]; text: ChoiceText }[] =>
  (CHOICES[key] as readonly string[] as readonly Choices[K][]).map((id) => ({
    id,
    text: choiceText(key, id),
  }));

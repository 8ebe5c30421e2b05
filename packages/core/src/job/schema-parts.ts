export type Schema = Record<string, unknown>;

export const range = (minimum: number, maximum: number, more: Schema = {}): Schema => ({
  type: 'number',
  minimum,
  maximum,
  ...more,
});
export const words = (list: readonly (string | number)[]): Schema => ({ enum: [...list] });
export const list = (items: Schema, more: Schema = {}): Schema => ({ type: 'array', items, ...more });
/** Fields that are not named are allowed and kept. */
export const object = (properties: Record<string, Schema>, optional: string[] = []): Schema => ({
  type: 'object',
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
  properties,
});

export const number: Schema = { type: 'number' };
export const id: Schema = { type: 'string', pattern: '^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$' };
export const name: Schema = { type: 'string', maxLength: 200 };

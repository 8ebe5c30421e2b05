import { ulid } from 'ulid';

/** An id that is nobody else's. It needs no secure address, unlike the browser's own: on site a job is often opened by plain http. */
export const newId = (): string => ulid().toLowerCase();

import { InjectionToken } from '@angular/core';

/** What time it is: the only place that reads the device's clock. A token, so that tests can say. */
export const WHAT_TIME = new InjectionToken<() => Date>('what time it is', {
  providedIn: 'root',
  factory: () => () => new Date(),
});

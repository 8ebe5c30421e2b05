import { InjectionToken } from '@angular/core';

export const START_WORKER = new InjectionToken<() => Worker>('no worker in tests');

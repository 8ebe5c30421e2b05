import { InjectionToken } from '@angular/core';

export const START_WORKER = new InjectionToken<(kind: string) => Worker>('no worker in tests');

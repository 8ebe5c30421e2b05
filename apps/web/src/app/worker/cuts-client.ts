import { Injectable } from '@angular/core';
import { say, type Cutting, type ToCut } from '@lisse/core';
import type { CutsApi } from './api';
import { WorkerLink } from './worker-link';

/** The search for the best way to cut sticks, behind a worker of its own. */
@Injectable({ providedIn: 'root' })
export class CutsClient extends WorkerLink<CutsApi> {
  protected readonly kind = 'cuts';

  /** None where it could not be found; the first answer stands then. */
  best(toCut: ToCut): Promise<Cutting | undefined> {
    return this.ask((api) => api.best(toCut), {
      ms: 20000,
      late: () => say('cuts.late'),
    });
  }
}

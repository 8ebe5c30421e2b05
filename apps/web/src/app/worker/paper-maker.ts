import { Injectable } from '@angular/core';
import type { AgreementPaper } from '@lisse/core';
import type { PaperApi } from './api';
import { WorkerLink } from './worker-link';

/** Paper made as PDF behind a worker of its own, which is fetched when the first is asked for. */
@Injectable({ providedIn: 'root' })
export class PaperMaker extends WorkerLink<PaperApi> {
  protected readonly kind = 'paper';

  async pdf(paper: AgreementPaper): Promise<Blob> {
    try {
      return await this.ask<Blob>((api) => api.pdf(paper));
    } finally {
      this.stop();
    }
  }
}

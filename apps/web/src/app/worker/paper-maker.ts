import { Injectable } from '@angular/core';
import type { AgreementPaper } from '@lisse/core';
import type { PaperApi, PaperSize } from './api';
import type { Sheet } from './sheet-pdf';
import type { BookSheet } from './workbook';
import { WorkerLink, type Later } from './worker-link';

/** Paper made as PDF behind a worker of its own, which is fetched when the page rests, so that it is there without a network. */
@Injectable({ providedIn: 'root' })
export class PaperMaker extends WorkerLink<PaperApi> {
  protected readonly kind = 'paper';

  pdf(paper: AgreementPaper, size: PaperSize): Promise<Blob> {
    return this.once((api) => api.pdf(paper, size));
  }

  sheet(sheet: Sheet, size: PaperSize): Promise<Blob> {
    return this.once((api) => api.sheet(sheet, size));
  }

  workbook(sheets: readonly BookSheet[]): Promise<Blob> {
    return this.once((api) => api.workbook(sheets));
  }

  private async once(make: (api: Later<PaperApi>) => Promise<Blob>): Promise<Blob> {
    try {
      return await this.ask(make);
    } finally {
      this.stop();
    }
  }
}

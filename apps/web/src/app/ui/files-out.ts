import { inject, Injectable, signal } from '@angular/core';
import { csvOf, type Message, type Table } from '@lisse/core';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { fileName, handOver, handOverBlob } from '../storage/job-files';
import { PaperMaker } from '../worker/paper-maker';
import type { Sheet } from '../worker/sheet-pdf';
import { unprintable } from '../worker/type-ranges';
import { WorkerFailed } from '../worker/worker-link';
import { say } from '@lisse/core';

/** The ways out of Order: tables, workbooks, papers, plain text. What went wrong with the last of them is said. */
@Injectable()
export class FilesOut {
  private readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly papers = inject(PaperMaker);
  private readonly view = inject(ViewStore);
  readonly told = signal<Message | undefined>(undefined);
  readonly making = signal(false);

  private named = (what: string, ending: string): string =>
    `${fileName(this.jobs.job()?.name ?? '')}-${fileName(what)}.${ending}`;

  csv(table: Table): void {
    handOver(csvOf(table), 'text/csv', this.named(this.texts.say(table.name), 'csv'));
  }

  workbook(tables: readonly Table[]): Promise<void> {
    const sheets = tables.map(({ name, columns, rows }) => ({ name: this.texts.say(name), columns, rows }));
    return this.make(this.named(this.texts.t('order.workbook'), 'xlsx'), () => this.papers.workbook(sheets));
  }

  paper(sheet: Sheet): Promise<void> {
    return this.make(
      this.named(sheet.title, 'pdf'),
      () => this.papers.sheet(sheet, this.view.paper()),
      unprintable(sheet),
    );
  }

  async copy(text: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(text);
      this.told.set(say('order.copied'));
    } catch {
      this.told.set(say('order.not-copied'));
    }
  }

  /** @param cannot texts that are not printed as they are written */
  private async make(name: string, made: () => Promise<Blob>, cannot: readonly string[] = []): Promise<void> {
    this.making.set(true);
    this.told.set(cannot.length > 0 ? say('paper.cannot', { words: [...cannot] }) : undefined);
    try {
      handOverBlob(await made(), name);
    } catch (error) {
      const started = !(error instanceof WorkerFailed && error.why === 'start');
      this.told.set(say(started ? 'order.not-made' : 'order.not-fetched'));
    } finally {
      this.making.set(false);
    }
  }
}

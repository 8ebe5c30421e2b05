import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { newJob, PRESETS, type Preset, type Problem, type Shop, type UnitSystem } from '@lisse/core';
import { MessageService } from 'primeng/api';
import { catchError, from, of } from 'rxjs';
import { Examples, isExample } from '../storage/examples';
import { RoomGlyph } from '../ui/room-glyph';
import { JobFiles } from '../storage/job-files';
import { JobStorage, whyNotSaved, type JobLine } from '../storage/job-storage';

/** Every job in this browser: open, new, duplicate, delete and put back, import and export. */
@Component({
  selector: 'ls-jobs-page',
  imports: [RoomGlyph, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './jobs-page.html',
  styleUrl: './jobs-page.css',
})
export class JobsPage {
  private readonly storage = inject(JobStorage);
  private readonly files = inject(JobFiles);
  private readonly examples = inject(Examples);
  private readonly router = inject(Router);
  private readonly messages = inject(MessageService);

  protected readonly trouble = signal<string | undefined>(undefined);
  protected readonly refused = signal<{ file: string; problems: readonly Problem[] } | undefined>(undefined);
  private readonly all = toSignal(
    from(this.storage.list()).pipe(
      catchError((error: unknown) => {
        this.trouble.set(whyNotSaved(error));
        return of<JobLine[]>([]);
      }),
    ),
  );
  protected readonly listed = computed(() => this.all()?.filter((job) => job.deletedAt === 0));
  protected readonly putAway = computed(() => this.all()?.filter((job) => job.deletedAt > 0) ?? []);

  protected when(time: number): string {
    return new Date(time).toLocaleString('en-GB', {
      day: 'numeric',
      month: 'short',
      year: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
    });
  }

  protected create(units: UnitSystem): Promise<void> {
    return this.attempt(async () => {
      const way = (PRESETS[units === 'metric' ? 3 : 0] as Preset).way;
      const now = new Date();
      const today = [now.getFullYear(), now.getMonth() + 1, now.getDate()]
        .map((n) => String(n).padStart(2, '0'))
        .join('-');
      const job = newJob(crypto.randomUUID(), 'New job', units, today, way);
      const shop = await this.lastShop();
      await this.storage.add(shop ? { ...job, shop } : job);
      await this.router.navigate(['/job', job.id, 'rooms']);
    });
  }

  /** Products, tools and evidence are the finisher's, not the job's: the next job has them too. */
  private async lastShop(): Promise<Shop | undefined> {
    const id = await this.storage.recall('last job');
    const row = typeof id === 'string' ? await this.storage.get(id) : undefined;
    return row && !isExample(row.id) ? row.doc.shop : undefined;
  }

  protected addExample(): Promise<void> {
    return this.attempt(async () => {
      const id = await this.examples.addAgain();
      await this.router.navigate(['/job', id, 'rooms']);
    });
  }

  protected duplicate(id: string): Promise<void> {
    return this.attempt(async () => {
      const row = await this.storage.get(id);
      if (row) await this.storage.add({ ...row.doc, id: crypto.randomUUID(), name: `${row.doc.name}, copy` });
    });
  }

  protected remove(job: JobLine): Promise<void> {
    return this.attempt(async () => {
      await this.storage.remove(job.id);
      this.messages.add({
        key: 'plain',
        severity: 'secondary',
        summary: `${job.name} deleted`,
        detail: 'It can be put back at the foot of the list.',
        life: 6000,
      });
    });
  }

  protected restore(id: string): Promise<void> {
    return this.attempt(() => this.storage.restore(id));
  }

  protected discard(id: string): Promise<void> {
    return this.attempt(() => this.storage.discard(id));
  }

  protected export(id: string): Promise<void> {
    return this.attempt(async () => {
      const row = await this.storage.get(id);
      if (row) this.files.exportJob(row.doc);
    });
  }

  protected async import(field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    await this.attempt(async () => {
      const result = await this.files.importFile(file);
      if (result.ok) {
        this.refused.set(undefined);
        await this.router.navigate(['/job', result.id, 'rooms']);
      } else this.refused.set(result);
    });
  }

  /** Runs what may fail for want of room in the browser, and says so. */
  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      this.trouble.set(undefined);
      await work();
    } catch (error) {
      this.trouble.set(whyNotSaved(error));
    }
  }
}

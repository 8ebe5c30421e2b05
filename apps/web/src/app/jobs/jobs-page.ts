import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import {
  nameWith,
  newJob,
  PRESETS,
  say,
  type Job,
  type Preset,
  type Shop,
  type UnitSystem,
  type Message,
} from '@lisse/core';
import { catchError, from, of } from 'rxjs';
import { Texts } from '../state/texts';
import { Clock } from '../state/clock';
import { JobStore } from '../state/job.store';
import { Languages } from '../state/language';
import { ViewStore } from '../state/view.store';
import { PAPERS } from '../worker/api';
import { momentOf } from '../storage/entry-ids';
import { Examples, isExample } from '../storage/examples';
import { EmptyPlace } from '../ui/empty-place';
import { FileProgress } from '../ui/file-progress';
import { JobNotices } from '../ui/job-notices';
import { LayTogether } from '../ui/lay-together';
import { ProblemList } from '../ui/problem-list';
import { RoomGlyph } from '../ui/room-glyph';
import { JobFiles, type Imported, type MergeSession, type Mended } from '../storage/job-files';
import { JobStorage, type JobLine } from '../storage/job-storage';
import { isFull, whyNotKept } from '../storage/why-not';
import { within } from '../storage/within';
import { Keeping } from './keeping';
import { newId } from '../new-id';

/** Every job in this browser: open, new, duplicate, delete and put back, import and export. */
@Component({
  selector: 'ls-jobs-page',
  imports: [EmptyPlace, FileProgress, JobNotices, Keeping, LayTogether, ProblemList, RoomGlyph, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './jobs-page.html',
  styleUrl: './jobs-page.css',
})
export class JobsPage {
  protected readonly texts = inject(Texts);
  protected readonly languages = inject(Languages);
  protected readonly view = inject(ViewStore);
  protected readonly papers = PAPERS;
  private readonly storage = inject(JobStorage);
  private readonly files = inject(JobFiles);
  private readonly examples = inject(Examples);
  private readonly router = inject(Router);
  private readonly jobs = inject(JobStore);
  private readonly clock = inject(Clock);

  protected readonly trouble = signal<Message | undefined>(undefined);
  protected readonly refused = signal<Extract<Imported, { ok: false }> | undefined>(undefined);
  /** A job that is here already and comes from another device. */
  protected readonly meeting = signal<{ meets: MergeSession; mine: Job } | undefined>(undefined);
  /** The job deleted last, until something else is done with it. */
  protected readonly deleted = signal<JobLine | undefined>(undefined);
  /** A job that could not even be put away, for want of room. */
  protected readonly crowded = signal<JobLine | undefined>(undefined);
  private readonly all = toSignal(
    from(this.storage.list()).pipe(
      catchError((error: unknown) => {
        this.trouble.set(whyNotKept(error));
        return of<JobLine[]>([]);
      }),
    ),
  );
  protected readonly listed = computed(() => this.all()?.filter((job) => job.deletedAt === 0));
  protected readonly putAway = computed(() => this.all()?.filter((job) => job.deletedAt > 0) ?? []);

  constructor() {
    void this.attempt(() => within(this.storage.reach(), say('storage.no-answer')));
  }

  protected when(time: number): string {
    const [locale, local] = [this.texts.locale(), momentOf(new Date(time))];
    return `${locale.date(local)}, ${locale.clock(local)}`;
  }

  protected create(units: UnitSystem): Promise<void> {
    return this.attempt(async () => {
      const { way } = PRESETS[units === 'metric' ? 3 : 0] as Preset;
      const job = newJob(newId(), this.texts.t('job.new'), units, this.clock.today(), {
        ...way,
        setChosen: true,
      });
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
      if (row)
        await this.storage.add({
          ...row.doc,
          id: newId(),
          name: nameWith(row.doc.name, this.texts.t('job.copy')),
        });
    });
  }

  protected async remove(job: JobLine): Promise<void> {
    this.crowded.set(undefined);
    try {
      await this.storage.remove(job.id);
      this.deleted.set(job);
    } catch (error) {
      // A full browser has no room even to note that the job is put away; taking it out needs none.
      if (isFull(error)) this.crowded.set(job);
      else this.trouble.set(whyNotKept(error));
    }
  }

  protected restore(id: string): Promise<void> {
    this.deleted.set(undefined);
    return this.attempt(() => this.storage.restore(id));
  }

  protected discard(id: string): Promise<void> {
    this.crowded.set(undefined);
    return this.attempt(() => this.storage.discard(id));
  }

  protected export(id: string): Promise<void> {
    return this.attempt(async () => {
      const row = await this.storage.get(id);
      if (row) void this.files.exportJob(row.doc);
    });
  }

  protected async import(field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    await this.attempt(async () => this.arrive(await this.files.importFile(file)));
  }

  protected together({ meets }: { meets: MergeSession }, theirs: ReadonlySet<string>): Promise<void> {
    return this.attempt(async () => {
      await this.files.meet(meets, theirs);
      this.meeting.set(undefined);
      await this.router.navigate(['/job', meets.id, 'rooms']);
    });
  }

  protected apart({ meets: { coming } }: { meets: MergeSession }): Promise<void> {
    return this.attempt(async () => {
      const job = { ...coming.job, log: [...coming.log] };
      await this.arrive(await this.files.takeApart({ job, notes: [], photos: coming.photos }));
    });
  }

  protected takeMended(taken: Mended): Promise<void> {
    return this.attempt(async () => this.arrive(await this.files.take(taken)));
  }

  private async arrive(result: Imported): Promise<void> {
    this.refused.set(result.ok === false ? result : undefined);
    this.meeting.set(undefined);
    if (result.ok === 'meets') {
      const mine = (await this.storage.get(result.id))?.doc;
      if (mine) this.meeting.set({ meets: result, mine });
      return;
    }
    if (!result.ok) return;
    this.jobs.arrived(result);
    await this.router.navigate(['/job', result.id, 'rooms']);
  }

  /** Runs what may fail for want of room in the browser, and says so. */
  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      this.trouble.set(undefined);
      await work();
    } catch (error) {
      this.trouble.set(whyNotKept(error));
    }
  }
}

import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink, RouterOutlet } from '@angular/router';
import { say } from '@lisse/core';
import { Texts } from '../state/texts';
import { JobStore } from '../state/job.store';
import { PLACES } from '../places';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Examples, isExample } from '../storage/examples';
import { JobFiles } from '../storage/job-files';
import { JobStorage } from '../storage/job-storage';
import { ANSWER_MS, within } from '../storage/within';
import { JobNotices } from '../ui/job-notices';
import { PaperMaker } from '../worker/paper-maker';
import { DamagedJob } from './damaged-job';
import { Here } from './here';
import { firstPlan, whenToKeep } from './keeping-offline';
import { Leaving } from './leaving';
import { LeavingQuestion } from './leaving-question';
import { Rail } from './rail';
import { TopBar } from './top-bar';
import { Palette } from './palette';

/** A place is shown as it is after so long, ms: something in it takes its time. */
const LONGEST_MS = 3000;

/** One open job: the rail, the bar over it, and the place being looked at. */
@Component({
  selector: 'ls-job-frame',
  imports: [RouterOutlet, RouterLink, Rail, TopBar, Palette, JobNotices, DamagedJob, LeavingQuestion],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  template: `
    <div class="frame">
      <ls-rail [job]="id()" />
      <div class="work">
        @switch (jobs.status()) {
          @case ('ready') {
            <ls-top-bar (find)="palette.set('find')" />
            <main class="place" [class.old]="old()" [class.comes]="!stands()" [class.fills]="fills()">
              @if (!stands()) {
                <p class="waits soft" role="status">{{ texts.t('frame.planning') }}</p>
              }
              <router-outlet />
            </main>
            <ls-job-notices />
          }
          @case ('missing') {
            <main class="message">
              <h1>{{ texts.t('frame.missing') }}</h1>
              <p>
                {{ texts.t('frame.missing-why') }}
              </p>
              <a class="act" routerLink="/jobs">{{ texts.t('jobs.all') }}</a>
            </main>
          }
          @case ('damaged') {
            <main class="message">
              @defer (on immediate) {
                <ls-damaged-job [id]="id()" />
              }
            </main>
          }
          @case ('failed') {
            <main class="message">
              <h1>{{ texts.t('frame.failed') }}</h1>
              <p role="alert">{{ texts.say(jobs.failed() ?? '') }}</p>
              <button type="button" class="act" (click)="reload()">{{ texts.t('reload') }}</button>
              <button type="button" class="quiet" (click)="exportNow()">{{ texts.t('job.export') }}</button>
              <a class="quiet" routerLink="/jobs">{{ texts.t('jobs.all') }}</a>
            </main>
          }
          @default {
            <main class="message">
              <p role="status">{{ texts.t('frame.opening') }}</p>
              @if (slow()) {
                <p role="alert">{{ texts.t('frame.slow') }}</p>
                <button type="button" class="act" (click)="reload()">{{ texts.t('reload') }}</button>
              }
            </main>
          }
        }
      </div>
    </div>
    @defer (when leaving.asking()) {
      <ls-leaving-question />
    }
    @defer (when palette()) {
      @if (palette(); as mode) {
        <ls-palette [mode]="mode" (closed)="palette.set(undefined)" />
      }
    }
  `,
  styles: `
    .frame {
      display: grid;
      grid-template-columns: var(--rail-w) minmax(0, 1fr);
      height: calc(100dvh - var(--pots-now, 0px));
    }
    .work {
      display: flex;
      flex-direction: column;
      min-width: 0;
      min-height: 0;
      --notices-left: var(--rail-w);
    }
    .place {
      flex: 1;
      min-height: 0;
      display: flex;
      flex-direction: column;
      overflow: auto;
      position: relative;
    }
    /* Seen once all of it is there: nothing moves a place that stands, and none says what is not so while it is planned. */
    .place.comes {
      visibility: hidden;
    }
    .waits {
      visibility: visible;
      position: absolute;
      padding: 60px;
      animation: late 0s 0.3s backwards;
    }
    @keyframes late {
      from {
        opacity: 0;
      }
    }
    /* Figures of before the last change are seen to be so, and are read as well as ever. */
    .place.old {
      filter: grayscale(1);
      outline: 2px dashed var(--soft);
      outline-offset: -2px;
    }
    .message {
      padding: 60px;
      max-width: 640px;
      display: grid;
      gap: var(--apart);
      justify-items: start;
    }
    @media screen and (max-width: 760px) {
      .frame {
        grid-template-columns: minmax(0, 1fr);
        height: auto;
        min-height: 100dvh;
        padding-bottom: var(--bar-h);
      }
      .work {
        --notices-left: 0;
        --notices-foot: var(--bar-h);
      }
      .place {
        overflow: visible;
      }
      .message {
        padding: 24px;
      }
    }
  `,
})
export class JobFrame {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  protected readonly leaving = inject(Leaving);
  private readonly files = inject(JobFiles);
  private readonly storage = inject(JobStorage);
  private readonly examples = inject(Examples);
  private readonly router = inject(Router);
  private readonly here = inject(Here);
  private readonly logs = inject(LogStore);
  private readonly app = inject(ApplicationRef);
  private readonly isStable = toSignal(this.app.isStable, { initialValue: false });

  /** The job's id, from the address. */
  readonly id = input.required<string>();
  /** There is a plan of the job, or it is known why there is none. */
  protected readonly planned = computed(
    () => this.plans.plan()?.job === this.id() || this.plans.failed() !== undefined,
  );
  /** What is shown here is from before the last change. */
  protected readonly old = computed(() => (this.here.ofDays() ? this.plans.oldDays() : this.plans.old()));
  /** The place that is shown whole. */
  private readonly stood = signal<string | undefined>(undefined);
  protected readonly stands = signal(false);
  /** It is shown, and parts of it that keep their room are still to come. */
  protected readonly fills = signal(false);
  protected readonly palette = signal<'find' | 'keys' | undefined>(undefined);

  /** It takes longer to open than it should. */
  protected readonly slow = signal(false);

  constructor() {
    effect((over) => {
      this.slow.set(false);
      if (this.jobs.status() === 'ready') return;
      // The database has its own limit; this is what else an opening waits for.
      const timer = setTimeout(() => this.slow.set(true), ANSWER_MS + 500);
      over(() => clearTimeout(timer));
    });
    effect(() => {
      const id = this.id();
      untracked(() => void this.open(id));
    });
    effect(() => {
      if (this.plans.plan()) firstPlan.next();
    });
    const papers = inject(PaperMaker);
    whenToKeep()
      .pipe(takeUntilDestroyed())
      .subscribe(() => papers.warm());
    effect(() => this.plans.lookAtDays(this.here.ofDays()));
    effect((over) => {
      const place = this.here.place();
      const planned = this.planned();
      const stood = untracked(this.stood) === place;
      this.stands.set(stood);
      if (stood) return;
      // Whoever comes back before the next place stood finds the one before made anew.
      this.stood.set(undefined);
      if (!planned) return;
      const steady = this.here.steady();
      this.fills.set(steady);
      if (steady) {
        this.stood.set(place);
        this.stands.set(true);
      }
      let gone = false;
      over(() => (gone = true));
      const longest = new Promise((resolve) => setTimeout(resolve, LONGEST_MS));
      void Promise.race([this.still(), longest]).then(() => {
        if (untracked(this.here.place) === place) this.fills.set(false);
        if (gone) return;
        this.stood.set(place);
        this.stands.set(true);
      });
    });
  }

  /** When the place has made all its parts: each comes a turn after the one before. */
  private async still(): Promise<void> {
    for (let frames = 0; frames < 2;) {
      await this.app.whenStable();
      await new Promise(requestAnimationFrame);
      frames = this.isStable() ? frames + 1 : 0;
    }
  }

  /** An address of an example is good in a browser that has never been here: the examples are put there first. */
  private async open(id: string): Promise<void> {
    if (isExample(id)) await within(this.examples.seed(), say('storage.no-answer')).catch(() => undefined);
    if (this.id() !== id) return;
    this.logs.follow(id);
    await this.jobs.open(id);
  }

  protected reload(): void {
    location.reload();
  }

  protected async exportNow(): Promise<void> {
    const kept = await this.storage.get(this.id()).catch(() => undefined);
    const job = this.jobs.job() ?? kept?.doc;
    if (job) void this.files.exportJob(job);
  }

  protected key(event: KeyboardEvent): void {
    const command = event.ctrlKey || event.metaKey;
    const target = event.target as HTMLElement;
    const writing = ['INPUT', 'TEXTAREA'].includes(target.tagName);
    if (command && event.key.toLowerCase() === 'k') {
      event.preventDefault();
      this.palette.set('find');
    } else if (command && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      // A field being typed in is part of the job already; its own undo would only undo the letters.
      if (writing) target.blur();
      void (event.shiftKey ? this.jobs.redo() : this.jobs.undo());
    } else if (!command && !writing && !event.altKey && !this.palette()) {
      const place = PLACES.find((p) => p.key === event.key);
      if (event.key === '?') this.palette.set('keys');
      else if (place) void this.router.navigate(['/job', this.id(), place.path]);
    }
  }
}

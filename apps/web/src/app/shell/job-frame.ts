import { ChangeDetectionStrategy, Component, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink, RouterOutlet } from '@angular/router';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { JobFiles } from '../storage/job-files';
import { JobStorage } from '../storage/job-storage';
import { Rail, PLACES } from './rail';
import { TopBar } from './top-bar';
import { Palette } from './palette';

/** One open job: the rail, the bar over it, and the place being looked at. */
@Component({
  selector: 'ls-job-frame',
  imports: [RouterOutlet, RouterLink, Rail, TopBar, Palette],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  template: `
    <div class="frame">
      <ls-rail [job]="id()" />
      <div class="work">
        @switch (jobs.status()) {
          @case ('ready') {
            <ls-top-bar (find)="palette.set('find')" />
            @if (jobs.notSaved(); as why) {
              <p class="trouble" role="alert">
                {{ why }}
                <button type="button" class="quiet" (click)="jobs.retry()">Try again</button>
                <button type="button" class="quiet" (click)="exportNow()">Export the job</button>
              </p>
            }
            @if (plans.failed(); as why) {
              <p class="trouble" role="alert">
                The plan could not be made: {{ why }}. Undo the last change, or reload the page.
              </p>
            }
            <main class="place"><router-outlet /></main>
          }
          @case ('missing') {
            <main class="message">
              <h1>This job is not here</h1>
              <p>
                It was deleted, or it lives in another browser. Jobs stay in the browser that made them until
                they are exported.
              </p>
              <a class="act" routerLink="/jobs">All jobs</a>
            </main>
          }
          @case ('damaged') {
            <main class="message">
              <h1>This job cannot be read</h1>
              <p>What is stored does not fit together. Nothing has been changed.</p>
              <ul>
                @for (problem of jobs.problems(); track $index) {
                  <li>
                    <code>{{ problem.path }}</code> {{ problem.message }}
                  </li>
                }
              </ul>
              <button type="button" class="quiet" (click)="exportNow()">Export what is there</button>
              <a class="act" routerLink="/jobs">All jobs</a>
            </main>
          }
          @default {
            <main class="message"><p role="status">Opening the job …</p></main>
          }
        }
      </div>
    </div>
    @if (palette(); as mode) {
      <ls-palette [mode]="mode" (closed)="palette.set(undefined)" />
    }
  `,
  styles: `
    .frame {
      display: grid;
      grid-template-columns: var(--rail-w) minmax(0, 1fr);
      height: 100dvh;
    }
    .work {
      display: flex;
      flex-direction: column;
      min-width: 0;
      min-height: 0;
    }
    .place {
      flex: 1;
      min-height: 0;
      display: flex;
      flex-direction: column;
      overflow: auto;
    }
    .trouble {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      padding: 8px var(--gap);
      background: var(--stop-wash);
      border-bottom: 1px solid var(--stop);
    }
    .message {
      padding: 60px;
      max-width: 640px;
      display: grid;
      gap: 14px;
      justify-items: start;
    }
    li {
      margin: 4px 0;
    }
    @media (max-width: 760px) {
      .frame {
        grid-template-columns: minmax(0, 1fr);
        height: auto;
        min-height: 100dvh;
        padding-bottom: 64px;
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
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  private readonly files = inject(JobFiles);
  private readonly storage = inject(JobStorage);
  private readonly router = inject(Router);

  /** The job's id, from the address. */
  readonly id = input.required<string>();
  protected readonly palette = signal<'find' | 'keys' | undefined>(undefined);

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.jobs.open(id));
    });
  }

  protected async exportNow(): Promise<void> {
    const job = this.jobs.job() ?? (await this.storage.get(this.id()))?.doc;
    if (job) this.files.exportJob(job);
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

import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Hiding } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { asked } from '../worker/asked';
import { WallClient } from '../worker/wall-client';
import type { WidthsRequest } from '../worker/wall-renderer';
import { CutStore } from './cut.store';

/** While something is dragged nothing is searched. */
const REST_MS = 60;

/** Steps shown past the first that hides: what more width would buy. */
const PAST = 4;

/** Width a joint must be finished to hide, what each step wider costs, and what is left where none will do. */
@Component({
  selector: 'ls-width-advice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (steps().length > 0) {
      <hr class="rule" />
      <h2>{{ texts.t('width.width') }}</h2>
      @if (advice(); as found) {
        @if (found.narrow; as least) {
          <button type="button" class="act" [disabled]="search.busy()" (click)="take(least)">
            {{
              texts.t('width.use-narrowest', {
                wide: format.blade(least.finish?.bandMm ?? 0),
                stiff: least.finish?.camberMm === undefined ? 'no' : 'yes',
              })
            }}
          </button>
        } @else if (found.hidesNow) {
          <p class="small">{{ texts.t('width.it-hidden-now') }}</p>
        } @else {
          <p class="small">
            {{ texts.t('width.none-your-blades') }}
          </p>
          @if (found.float; as float) {
            <button type="button" class="act" [disabled]="search.busy()" (click)="take(float)">
              {{
                texts.t('width.float', {
                  wide: format.blade(float.fill?.bandMm ?? 0),
                  layers: float.fill?.layers ?? 0,
                })
              }}
            </button>
          } @else {
            <p class="small">{{ texts.t('width.floating-does-not') }}</p>
          }
        }
      }
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ texts.t('width.finish') }}</th>
              <th scope="col">{{ texts.t('width.contrast') }}</th>
              <th scope="col">{{ texts.t('width.mud') }}</th>
              <th scope="col">{{ texts.t('width.work') }}</th>
              <th scope="col">{{ texts.t('width.dries') }}</th>
            </tr>
          </thead>
          <tbody>
            @for (step of steps(); track step.bandMm) {
              <tr [class.hides]="step.hides" [class.now]="step.now">
                <th scope="row">
                  {{
                    step.now
                      ? texts.t('width.now', { wide: format.blade(step.bandMm) })
                      : format.blade(step.bandMm)
                  }}
                  <span class="soft">{{ step.pulls }} × {{ format.blade(step.bladeMm) }}</span>
                </th>
                <td>{{ format.percent(step.contrast, 1, 1) }}</td>
                <td>{{ format.volume(step.litres) }}</td>
                <td>{{ format.duration(step.minutes) }}</td>
                <td>{{ format.duration(step.dryH * 60) }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="soft small">{{ texts.t('width.whole-joint-all') }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .scroll {
      overflow-x: auto;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: var(--small);
      margin-top: 6px;
    }
    th,
    td {
      text-align: right;
      padding: 2px 0 2px 5px;
      font-weight: 400;
      white-space: nowrap;
    }
    th:first-child {
      text-align: left;
      padding-left: 0;
    }
    th .soft {
      display: block;
      font-size: var(--fine);
      font-weight: 400;
    }
    thead th {
      color: var(--soft);
    }
    .hides th,
    .hides td {
      font-weight: 600;
    }
    .now {
      background: var(--wash);
    }
  `,
})
export class WidthAdvice {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly cut = inject(CutStore);
  private readonly walls = inject(WallClient);

  /** Nothing where no width is asked for: heads, angles, beads, and where nothing is seen. */
  private readonly request = computed(() => {
    const [joint, row, board, job] = [this.cut.shown(), this.cut.row(), this.cut.board(), this.jobs.job()];
    const limit = this.cut.limit();
    if (!joint || !row || !board || !job || limit === undefined || !this.cut.flat()) return undefined;
    if (!row.cells.some((cell) => cell.coat === 'finish')) return undefined;
    const input = {
      joint,
      row: { element: row.element },
      board,
      own: this.cut.own(),
      grazingDeg: this.cut.angle(),
      limit,
      way: job.way,
      climate: job.climate,
      skim: this.cut.skim(),
    };
    const nowMm = this.cut.coated().find((c) => c.coat === 'finish')?.bandMm;
    return { input, nowMm, kit: board.kit, book: this.view.book() };
  });
  protected readonly search = asked(this.request, (request) => widths(this.walls, request), REST_MS);
  /** What was found of what is asked for now, or of what it was a moment ago. */
  protected readonly advice = computed(() => (this.request() ? this.search.answer() : undefined));

  /** What each width takes for the whole joint, as far as a little past the first that hides it. */
  protected readonly steps = computed(() => {
    const request = this.request();
    const metres = (request?.input.joint.lengthMm ?? 0) / 1000;
    const all = this.advice()?.steps ?? [];
    const first = all.findIndex((step) => step.hides);
    const now = all.findIndex((step) => step.bandMm === request?.nowMm);
    const last = first < 0 ? all.length : Math.max(first, now) + PAST;
    return all.slice(0, last + 1).map((step) => ({
      ...step,
      now: step.bandMm === request?.nowMm,
      litres: step.wetLPerM * metres,
      minutes: step.minPerM * metres,
    }));
  });

  protected take(hiding: Hiding): void {
    this.cut.changeAll(hiding, hiding.fill?.float ? 'undo.float' : 'undo.as-narrow-as-hides');
  }
}

async function* widths(walls: WallClient, request: WidthsRequest) {
  yield await walls.widths(request);
}

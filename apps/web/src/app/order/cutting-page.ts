import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ActivatedRoute } from '@angular/router';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { whenIdle } from '../ui/idle-queue';
import { BoardSheets } from './board-sheets';
import { CutBench } from './cut-bench';
import { OrderStore } from './order.store';
import { FilesOut } from '../ui/files-out';
import { GoodsSheets } from './goods-sheets';

/** Order, the cutting bench: sticks of bead and trim, sheets of board, and every length of tape. */
@Component({
  selector: 'ls-cutting-page',
  imports: [BoardSheets, CutBench],
  providers: [FilesOut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.order(); as order) {
      <section class="main alone" [attr.aria-label]="texts.t('order.cutting.label')">
        <div class="title">
          <h1>{{ texts.t('order.cutting') }}</h1>
          <span class="soft">{{ jobs.job()?.name }}</span>
          <span class="files no-print">
            @if (order.beads.length > 0) {
              <button type="button" class="quiet" (click)="table()">{{ texts.t('order.cut-table') }}</button>
              <button type="button" class="quiet" [disabled]="out.making()" (click)="paper()">
                {{ texts.t('order.pdf') }}
              </button>
            }
            <button type="button" class="act" (click)="print()">{{ texts.t('order.print') }}</button>
          </span>
        </div>
        <p class="soft small no-print" role="status">{{ out.told() ? texts.say(out.told()!) : '' }}</p>
        @for (beads of order.beads; track beads.kind) {
          <ls-cut-bench [line]="beads" [shown]="shown" />
        } @empty {
          <p>{{ texts.t('cut.none') }}</p>
        }
        <ls-board-sheets />
        @if (store.tape(); as tape) {
          <details class="tape">
            <summary>
              {{ texts.t('cut.tape', { pieces: tape.pieces.length, rolls: tape.rolls }) }}
            </summary>
            <ol [attr.aria-label]="texts.t('cut.tape.label')">
              @for (piece of pieces(); track $index) {
                <li>
                  <span class="figure">{{ format.length(piece.mm) }}</span>
                  {{
                    texts.t('cut.where', {
                      room: store.roomName(piece.room),
                      joint: store.cornerName(piece.room, piece.joint),
                    })
                  }}
                  <span class="soft small">{{ texts.t('cut.roll', { n: piece.roll + 1 }) }}</span>
                </li>
              }
            </ol>
          </details>
        }
      </section>
    } @else {
      <p class="none" role="status">{{ texts.t('order.adding-up') }}</p>
    }
  `,
  styleUrl: './order.css',
  styles: `
    .alone {
      height: 100%;
    }
    .tape {
      border-top: 1px solid var(--line);
      padding: 12px 0;
    }
    summary {
      cursor: pointer;
      font-weight: 600;
      min-height: 32px;
    }
    ol {
      columns: 2 320px;
      font-size: var(--text);
      padding-left: 34px;
    }
    ol .figure {
      display: inline-block;
      min-width: 78px;
    }
  `,
})
export class CuttingPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly jobs = inject(JobStore);
  protected readonly store = inject(OrderStore);
  protected readonly out = inject(FilesOut);
  private readonly plans = inject(PlanStore);
  private readonly sheets = inject(GoodsSheets);
  /** A corner whose piece is looked for: `room|joint`. */
  protected readonly shown =
    inject(ActivatedRoute, { optional: true })?.snapshot.queryParamMap.get('of') ?? '';
  protected readonly pieces = whenIdle(
    computed(() => this.store.tape()?.pieces ?? []),
    60,
  );

  protected table(): void {
    const tables = this.store.tables();
    if (tables) this.out.csv(tables.cuts);
  }

  protected paper(): void {
    const plan = this.plans.plan();
    if (plan) void this.out.paper(this.sheets.cuts(plan));
  }

  protected print(): void {
    window.print();
  }
}

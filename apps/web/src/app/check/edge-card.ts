import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  edgeVerdict,
  finishOn,
  gradeName,
  LEVEL_MM,
  LIMITS,
  say,
  type EdgeReading,
  type Message,
} from '@lisse/core';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { MeasureInput } from '../ui/measure-input';
import { CheckStore } from './check.store';

/** Straightedge readings of a face: the gap against what was agreed, and the float that fills what is too deep. */
@Component({
  selector: 'ls-edge-card',
  imports: [MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section [attr.aria-label]="texts.t('check.edge')">
      <h2>{{ texts.t('check.edge') }}</h2>
      <p class="soft">{{ texts.say(limit()) }}</p>
      <div class="fields">
        <ls-measure
          [label]="texts.t('check.edge-length')"
          bareFeet="ft"
          [mm]="edgeMm()"
          [limit]="limits.log.edgeMm"
          (changed)="edgeMm.set($event)"
        />
        <ls-measure
          [label]="texts.t('check.edge-gap')"
          bareFeet="in"
          [small]="true"
          [mm]="gapMm()"
          [limit]="limits.log.gapMm"
          (changed)="gapMm.set($event)"
        />
      </div>
      <div class="acts">
        <button type="button" class="big quiet" [disabled]="gapMm() === undefined" (click)="keep()">
          {{ texts.t('check.edge-keep') }}
        </button>
      </div>
      <ul>
        @for (line of lines(); track line.edge.id) {
          <li [class.over]="!line.within">
            <p>{{ texts.say(line.said) }}</p>
            @if (!line.within) {
              @if (line.float; as float) {
                <p class="soft">{{ texts.say(float) }}</p>
              } @else {
                <button type="button" class="big quiet" (click)="store.floatOut(line.edge)">
                  {{ texts.t('check.float-out') }}
                </button>
              }
            }
            <button type="button" class="link" (click)="takeBack(line.edge.id)">
              {{ texts.t('pins.take-back') }}
            </button>
          </li>
        }
      </ul>
    </section>
  `,
  styles: `
    li {
      padding: 8px 0;
      border-top: 1px solid var(--hair);
      font-size: var(--large);
    }
    .over > p:first-child {
      color: var(--stop);
      font-weight: 600;
    }
  `,
})
export class EdgeCard {
  protected readonly texts = inject(Texts);
  protected readonly store = inject(CheckStore);
  private readonly logs = inject(LogStore);
  private readonly view = inject(ViewStore);
  protected readonly limits = LIMITS;
  /** Where the straightedge lies on the face. */
  readonly place = input<[number, number]>();
  protected readonly edgeMm = signal(LEVEL_MM);
  protected readonly gapMm = signal<number | undefined>(undefined);

  private readonly finish = computed(() => {
    const [room, face] = [this.store.room(), this.store.face()];
    return room && face && finishOn(room, face.id);
  });
  protected readonly limit = computed((): Message => {
    const finish = this.finish();
    if (!finish) return say('check.edge-none');
    const { limitMm } = edgeVerdict({ edgeMm: LEVEL_MM, gapMm: 0 }, finish, this.view.book());
    return limitMm === undefined
      ? say('check.edge-free', { grade: gradeName(finish) })
      : say('check.edge-limit', { grade: gradeName(finish), limit: limitMm, edge: LEVEL_MM });
  });
  protected readonly lines = computed(() => {
    const finish = this.finish();
    return this.store.edges().map((edge) => {
      const verdict = finish && edgeVerdict(edge, finish, this.view.book());
      const { edgeMm, gapMm } = edge;
      return {
        edge,
        within: verdict?.within ?? true,
        said:
          verdict?.limitMm === undefined
            ? say('check.edge-read', { edge: edgeMm, gap: gapMm })
            : say(verdict.within ? 'check.edge-within' : 'check.edge-over', {
                edge: edgeMm,
                gap: gapMm,
                limit: verdict.limitMm,
              }),
        float: this.floatFor(edge),
      };
    });
  });

  /** The float that fills it, where it is in the job already. */
  private floatFor(edge: EdgeReading): Message | undefined {
    const spot = this.store.floatOf(edge);
    const float = this.store.plan()?.mends.find(({ id }) => id === spot?.id)?.float;
    return (
      float &&
      say('check.float', {
        wide: float.widthMm,
        layers: float.layers,
        leaves: float.hollowMm,
        short: float.short ? 'yes' : 'no',
      })
    );
  }

  protected async keep(): Promise<void> {
    const [room, face, gapMm] = [this.store.room(), this.store.face(), this.gapMm()];
    if (!room || !face || gapMm === undefined) return;
    const place = this.place();
    const round = this.store.round()?.id;
    const kept = await this.logs.tell('undo.log-straightedge', {
      kind: 'straightedge',
      room: room.id,
      face: face.id,
      edgeMm: this.edgeMm(),
      gapMm,
      ...(place ? { place } : {}),
      ...(round === undefined ? {} : { round }),
    });
    if (kept) this.gapMm.set(undefined);
  }

  protected takeBack = (id: string): Promise<boolean> => this.logs.takeBack('undo.log-pin-back', id);
}

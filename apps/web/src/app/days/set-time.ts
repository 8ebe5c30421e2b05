import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { coatOf, say, SET_CLASSES, type DayTask, type RoomStep } from '@lisse/core';
import { JobStore } from '../state/job.store';
import { Texts } from '../state/texts';
import { Choice, type Option } from '../ui/choice';
import { WhyButton } from '../ui/why';

/** Stands for what the plan chooses, or the way of working says. */
const NOT_BY_HAND = 0;

/** The set time of a task's mud: chosen by the plan and said why, or set by hand for this coat of the room. */
@Component({
  selector: 'ls-set-time',
  imports: [Choice, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sets().length > 0) {
      <div class="set no-print">
        <ls-choice
          [label]="texts.t('days.set')"
          [options]="options()"
          [value]="byHand() ?? 0"
          (changed)="set($event)"
        />
        @if (step().set; as choice) {
          @if (byHand() === undefined) {
            <ls-why [why]="choice.why" [of]="texts.t('days.set')" />
          }
        } @else if (!chosen()) {
          <button type="button" class="link" (click)="choose()">{{ texts.t('days.set.choose') }}</button>
        }
      </div>
    }
  `,
  styles: `
    .set {
      display: grid;
      grid-template-columns: 1fr auto;
      align-items: end;
      gap: var(--close);
      margin-top: 10px;
    }
  `,
})
export class SetTime {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  readonly task = input.required<DayTask>();
  readonly step = input.required<RoomStep>();

  /** Spots mended by themselves take the bag that serves their pass. */
  private readonly rows = computed(() =>
    this.step().rows.filter(
      ({ row, spot, mud }) =>
        spot === undefined &&
        this.task().rows.includes(row) &&
        mud.some(({ setMin }) => setMin !== undefined),
    ),
  );
  /** Set times in the task as it is planned. */
  protected readonly sets = computed(() => [
    ...new Set(this.rows().flatMap(({ mud }) => mud.flatMap(({ setMin }) => setMin ?? []))),
  ]);
  protected readonly chosen = computed(() => this.jobs.job()?.way.setChosen === true);
  private readonly cells = computed(() =>
    this.rows().map(({ row }) => `${row}.${coatOf(this.task().step) ?? 'fill'}` as const),
  );
  /** What was set for this coat of the room; none where the rows differ or nothing was. */
  protected readonly byHand = computed(() => {
    const room = this.jobs.job()?.rooms.find(({ id }) => id === this.task().room);
    const own = new Set(this.cells().map((cell) => room?.cells?.[cell]?.setMin));
    return own.size === 1 ? [...own][0] : undefined;
  });
  protected readonly options = computed((): Option<number>[] => {
    const set = this.step().set?.setMin ?? this.jobs.job()?.way.setMin ?? 0;
    return [
      {
        value: NOT_BY_HAND,
        name: this.chosen() ? say('days.set.chosen', { set }) : say('days.set.way', { set }),
      },
      ...SET_CLASSES.map((value) => ({ value, name: say('days.set.min', { set: value }) })),
    ];
  });

  protected set(minutes: number): void {
    const cells = this.cells();
    this.jobs.editRoom(this.task().room, 'undo.change-set-time', (room) => {
      const own = (room.cells ??= {});
      for (const cell of cells) {
        const { setMin: _, ...rest } = own[cell] ?? {};
        if (minutes !== NOT_BY_HAND) own[cell] = { ...rest, setMin: minutes };
        else if (Object.keys(rest).length > 0) own[cell] = rest;
        else delete own[cell];
      }
    });
  }

  protected choose(): void {
    this.jobs.edit('undo.choose-sets', ({ way }) => (way.setChosen = true));
  }
}

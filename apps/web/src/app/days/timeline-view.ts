import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { Calendar, Climate, Days, DayTask, Room } from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { Segmented } from '../ui/segmented';
import { seenOf } from '../ui/visibility';
import { watchSize } from '../ui/watch-size';
import { STEP_NAME, toneOf } from '../ui/words';
import { layTimeline, type Bar, type Lane } from './timeline';

/** A task moved by hand, by so many minutes. */
export interface Moved {
  task: DayTask;
  minutes: number;
}

/** One press of an arrow moves a task so far, min; one of Page up or down a day. */
const STEP_MIN = 30;
/** So far a pointer may slip in a press, px. */
const SLIP = 4;

/** Rooms and people over the days: pick a coat, move it, open a room into its coats. */
@Component({
  selector: 'ls-timeline',
  imports: [Segmented],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './timeline-view.html',
  styleUrl: './timeline-view.css',
})
export class TimelineView {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  readonly days = input.required<Days>();
  readonly rooms = input.required<readonly Room[]>();
  readonly calendar = input.required<Calendar>();
  readonly climate = input.required<Climate>();
  readonly picked = input<string | undefined>();
  readonly pick = output<string>();
  readonly moved = output<Moved>();
  readonly unpin = output<DayTask>();

  private readonly frame = viewChild<ElementRef<HTMLElement>>('frame');
  private readonly line = viewChild<ElementRef<SVGElement>>('line');
  private readonly seen = seenOf(this.line);
  private readonly width = signal(860);
  private readonly known = watchSize(this.frame, (width) => this.width.set(Math.max(620, width)));
  private readonly open = signal<ReadonlySet<string>>(new Set());
  protected readonly span = signal<number | undefined>(undefined);
  /** The bar that is dragged, and how far, px. */
  protected readonly drag = signal<{ id: string; from: number; dx: number } | undefined>(undefined);
  protected readonly steps = STEP_NAME;
  protected readonly toneOf = toneOf;
  protected readonly zooms = [
    { value: undefined, name: this.texts.t('days.zoom.all') },
    { value: 7, name: this.texts.t('days.zoom.week') },
    { value: 2, name: this.texts.t('days.zoom.day') },
    { value: 0.5, name: this.texts.t('days.zoom.hours') },
  ];

  protected readonly laid = computed(() => {
    const days = this.days();
    const worked = new Set(days.tasks.map((task) => task.room));
    return layTimeline({
      days,
      rooms: this.rooms().filter((room) => worked.has(room.id)),
      calendar: this.calendar(),
      width: this.width(),
      span: this.span(),
      open: this.open(),
      locale: this.texts.locale(),
    });
  });
  /** Only what is on the screen is drawn. */
  protected readonly lanes = computed(() => {
    const { from, to } = this.seen();
    const laid = this.laid();
    if (!this.known()) return [];
    return laid.lanes
      .filter(({ y, height }) => y + height >= from && y <= to)
      .map((lane) => ({ ...lane, bars: laid.barsOf(lane) }));
  });
  protected readonly critical = computed(() => new Set(this.days().critical));
  protected readonly names = computed(() => new Map(this.rooms().map((room) => [room.id, room.name])));

  /** From the driest to the dampest air of any room, 0 to 1. */
  protected readonly humidity = computed(() => {
    const { air } = this.laid();
    if (air.length === 0) return undefined;
    return {
      low: Math.min(...air.map(({ low }) => low)) / 100,
      high: Math.max(...air.map(({ high }) => high)) / 100,
    };
  });

  /** From the coldest to the warmest, as it is read. */
  protected readonly warmth = computed(() => {
    const { warmth } = this.laid();
    if (warmth.length === 0) return undefined;
    const low = this.format.temperature(Math.min(...warmth.map((line) => line.low)));
    const high = this.format.temperature(Math.max(...warmth.map((line) => line.high)));
    return { low, high, same: low === high ? 'yes' : 'no' };
  });

  protected personName = ({ id, name }: Lane): string => name ?? this.texts.t('days.person', { id });

  protected turn(room: string): void {
    this.open.update((open) => {
      const next = new Set(open);
      if (!next.delete(room)) next.add(room);
      return next;
    });
  }

  protected rowsOf = ({ rows }: DayTask): string =>
    this.texts.say(rows.map((row) => this.texts.t(`element.${row}`)));

  protected says(task: DayTask): string {
    const takes = {
      step: STEP_NAME[task.step],
      room: this.names().get(task.room) ?? '',
      start: this.format.time(task.start),
      end: this.format.time(task.end),
    };
    return task.how === 'none'
      ? this.texts.t('days.bar', takes)
      : this.texts.t('days.bar-hardens', {
          ...takes,
          how: task.how,
          ready: this.format.time(task.ready),
          late: this.format.time(task.readyLate),
        });
  }

  protected shift = ({ task }: Bar): number => {
    const drag = this.drag();
    return drag?.id === task.id ? drag.dx : 0;
  };

  protected grab(event: PointerEvent, { task }: Bar): void {
    if (task.state !== 'planned' || event.button !== 0) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.drag.set({ id: task.id, from: event.clientX, dx: 0 });
  }

  protected pull(event: PointerEvent): void {
    this.drag.update((drag) => drag && { ...drag, dx: event.clientX - drag.from });
  }

  protected drop({ task }: Bar): void {
    const drag = this.drag();
    this.drag.set(undefined);
    this.pick.emit(task.id);
    if (!drag || Math.abs(drag.dx) <= SLIP) return;
    const minutes = Math.round(drag.dx / this.laid().perMin / 15) * 15;
    if (minutes !== 0) this.moved.emit({ task, minutes });
  }

  protected key(event: KeyboardEvent, { task }: Bar): void {
    const by: Partial<Record<string, number>> = {
      ArrowLeft: -STEP_MIN,
      ArrowRight: STEP_MIN,
      PageUp: -1440,
      PageDown: 1440,
    };
    const minutes = by[event.key];
    if (event.key === 'Enter' || event.key === ' ') this.pick.emit(task.id);
    else if (event.key === 'Delete' && task.pinned) this.unpin.emit(task);
    else if (minutes !== undefined && task.state === 'planned') this.moved.emit({ task, minutes });
    else return;
    event.preventDefault();
  }
}

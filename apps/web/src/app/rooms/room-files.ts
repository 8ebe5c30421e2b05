import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import {
  LIMITS,
  MAX_FILE_BYTES,
  MOST,
  ROOM_KINDS,
  roomsCsv,
  roomsDxf,
  roomsFromOutlines,
  roomSvg,
  tooLarge,
  say,
  type OutlinesRead,
  type Room,
  type RoomKind,
  type RoomsRead,
  type Sayable,
} from '@lisse/core';
import { Dialog } from 'primeng/dialog';
import { dressed } from '../ui/dressed';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { ReturnsFocus } from '../ui/returns-focus';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { fileName, handOver } from '../storage/job-files';
import { UserError } from '../user-error';
import { Choice } from '../ui/choice';
import { FileProgress } from '../ui/file-progress';
import { MeasureInput } from '../ui/measure-input';
import { roomLine } from '../ui/words';
import { FileReading } from '../worker/file-reader';
import { newId } from '../new-id';

const SHOWN = 12;

/** Rooms in from a table or a drawing, looked at before they land; rooms out as tables and drawings. */
@Component({
  selector: 'ls-room-files',
  hostDirectives: [ReturnsFocus],
  imports: [Choice, Dialog, FileProgress, MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './room-files.html',
  styleUrl: './room-files.css',
})
export class RoomFiles {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  protected readonly files = inject(FileReading);
  private readonly view = inject(ViewStore);
  protected readonly format = inject(Format);
  readonly closed = output<void>();

  protected readonly wrong = signal<Sayable | undefined>(undefined);
  protected readonly name = signal('');
  protected readonly table = signal<RoomsRead | undefined>(undefined);
  protected readonly outlines = signal<OutlinesRead | undefined>(undefined);
  protected readonly height = signal<number | undefined>(undefined);
  /** Kinds chosen by hand for layers. */
  private readonly kinds = signal<ReadonlyMap<string, RoomKind>>(new Map());
  protected readonly line = roomLine;
  protected readonly shownRows = SHOWN;
  protected readonly limits = LIMITS;
  protected readonly kindOptions = ROOM_KINDS.map((kind) => ({
    value: kind,
    name: say(`room-kind.${kind.id}`),
  }));

  protected readonly layers = computed(() => {
    const read = this.outlines();
    const names = [...new Set(read?.outlines.map((o) => o.layer) ?? [])];
    return names.map((name) => ({
      name,
      count: read?.outlines.filter((o) => o.layer === name).length ?? 0,
      kind:
        this.kinds().get(name) ??
        ROOM_KINDS.find((k) => k.id === read?.outlines.find((o) => o.layer === name)?.kind.id) ??
        (ROOM_KINDS[0] as RoomKind),
    }));
  });

  protected readonly rooms = computed<Room[]>(() => {
    const read = this.outlines();
    const heightMm = this.height();
    if (read && heightMm) {
      const kindOf = new Map(this.layers().map((layer) => [layer.name, layer.kind]));
      const outlines = read.outlines.map((o) => ({ ...o, kind: kindOf.get(o.layer) ?? o.kind }));
      return roomsFromOutlines(outlines, heightMm, this.format.units(), newId);
    }
    return this.table()?.rooms.map(({ room }) => room) ?? [];
  });

  protected readonly notes = computed(() => (this.table() ?? this.outlines())?.notes ?? []);

  protected readonly errors = computed<string[]>(() => [
    ...(this.table()?.errors ?? []).map(({ row, column, message }) =>
      this.texts.t('room-files.row', {
        row,
        column: column ? 'named' : 'none',
        named: column ?? '',
        message,
      }),
    ),
    ...(this.outlines()?.errors ?? []).map(
      ({ where, message }) => `${this.texts.say(where)}: ${this.texts.say(message)}`,
    ),
  ]);

  protected setKind(layer: string, kind: RoomKind): void {
    this.kinds.update((now) => new Map(now).set(layer, kind));
  }

  protected async take(field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    this.forget();
    this.name.set(file.name);
    if (file.size > MAX_FILE_BYTES) {
      this.wrong.set(tooLarge(file.size, say('file.table-or-drawing')));
      return;
    }
    const units = this.format.units();
    const left = MOST.rooms - (this.jobs.job()?.rooms.length ?? 0);
    try {
      if (/\.dxf$/i.test(file.name)) {
        this.outlines.set(await this.files.outlines(file, units, left));
        this.height.set(units === 'metric' ? 2500 : 2438.4);
      } else this.table.set(await this.files.rooms(file, units, left));
    } catch (error) {
      this.wrong.set(
        error instanceof UserError ? error.said : say('file.not-opened-named', { file: file.name }),
      );
    }
  }

  private forget(): void {
    this.wrong.set(undefined);
    this.table.set(undefined);
    this.outlines.set(undefined);
    this.kinds.set(new Map());
  }

  protected land(): void {
    const rooms = this.rooms();
    this.jobs.edit(
      say('undo.add-rooms', { count: rooms.length }),
      (job) => void job.rooms.push(...structuredClone(rooms)),
    );
    if (rooms[0]) this.view.showRoom(rooms[0].id);
    this.closed.emit();
  }

  protected outCsv(): void {
    const job = this.jobs.job();
    if (job) handOver(roomsCsv(job), 'text/csv', `${fileName(job.name)}-rooms.csv`);
  }

  protected outDxf(all: boolean): void {
    const job = this.jobs.job();
    const plans = new Map(this.plans.plan()?.rooms.map((room) => [room.id, room]));
    const rooms = (job?.rooms ?? []).filter((room) => all || room.id === this.view.room()?.id);
    const surveyed = rooms.flatMap((room) => {
      const survey = plans.get(room.id);
      return survey ? [{ room, survey }] : [];
    });
    const name = all ? job?.name : this.view.room()?.name;
    if (surveyed.length > 0) handOver(roomsDxf(surveyed), 'image/vnd.dxf', `${fileName(name ?? '')}.dxf`);
  }

  protected outSvg(): void {
    const room = this.view.room();
    const plan = this.view.roomPlan();
    if (room && plan)
      handOver(roomSvg(room, plan, this.texts.say), 'image/svg+xml', `${fileName(room.name)}.svg`);
  }

  /** A table with the headings and two rooms, to start from. */
  protected outSample(): void {
    const text =
      this.format.units() === 'metric'
        ? 'name,length (m),width (m),height (m),finish,decoration\nRoom 101,4.8,3.6,2.5,Q2,flat-paint\nStore,2.4,1.8,2.5,Q1,none\n'
        : "name,length,width,height,finish,decoration\nRoom 101,14' 6\",12',8',level 4,flat-paint\nStore,8',6',8',level 2,none\n";
    handOver(text, 'text/csv', 'rooms-sample.csv');
  }

  constructor() {
    dressed();
  }
}

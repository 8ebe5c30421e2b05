import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import {
  flatRunMm,
  given,
  nameWith,
  say,
  type Joint,
  type JointKind,
  type Opening,
  type Point,
  type RoomPlan,
  type Why,
  type Message,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { ActionButton } from '../ui/action-button';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { aFrameLater, afterwards, whenIdle, inTurn } from '../ui/idle-queue';
import type { Option } from '../ui/choice';
import { Segmented } from '../ui/segmented';
import { WhyButton } from '../ui/why';
import { JOINT_NAME } from '../ui/words';
import { WorkFrame } from '../ui/work-frame';
import { AddRoom } from './add-room';
import { CompareBoards } from './compare-boards';
import { markDamage } from './mark-damage';
import { moveButt, moveOpening, pressKey, type JointKey } from './joint-edit';
import { JointSheet } from './joint-sheet';
import { ManyJoints } from './many-joints';
import { RoomDrawing } from './room-drawing';
import { RoomFiles } from './room-files';
import { RoomRow } from './room-row';
import { RoomSheet } from './room-sheet';
import { Tables } from './tables';
import { newId } from '../new-id';

const LEGEND: readonly { kind: JointKind; name: Message }[] = [
  { kind: 'tapered', name: say('rooms.flat') },
  { kind: 'butt', name: say('rooms.butt') },
  { kind: 'inside-angle', name: say('rooms.angle') },
  { kind: 'outside-corner', name: say('rooms.bead') },
];

type Show = 'drawing' | 'tables' | 'boards';

/** Rooms: the room opened like a box, its joints, and what it adds up to. */
@Component({
  selector: 'ls-rooms-page',
  imports: [
    AddRoom,
    CompareBoards,
    JointSheet,
    ManyJoints,
    Segmented,
    ActionButton,
    RoomDrawing,
    RoomFiles,
    RoomRow,
    RoomSheet,
    Tables,
    WhyButton,
    WorkFrame,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rooms-page.html',
  styleUrl: './rooms-page.css',
})
export class RoomsPage {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  protected readonly view = inject(ViewStore);
  protected readonly format = inject(Format);
  protected readonly listed = whenIdle(
    computed(() => this.jobs.job()?.rooms ?? []),
    12,
  );
  /** The sheet comes after the list and the drawing: the page answers between them. */
  protected readonly turn = inTurn(1);
  protected readonly legend = LEGEND;
  protected readonly names = JOINT_NAME;
  protected readonly drawing = viewChild(RoomDrawing);
  /** Asked at once where there is no room yet. */
  protected readonly adding = linkedSignal({
    source: () => this.jobs.job()?.rooms.length === 0,
    computation: (empty: boolean) => empty,
  });
  protected readonly files = signal(false);
  protected readonly framing = signal(false);
  protected readonly boards = signal(false);
  /** Presses gather joints instead of picking one. */
  protected readonly several = signal(false);
  /** The next press on the drawing marks damage. */
  protected readonly placing = signal(false);
  protected readonly show = signal<Show>('drawing');
  protected readonly shows: readonly Option<Show>[] = [
    { value: 'drawing', name: say('rooms.drawing') },
    { value: 'tables', name: say('rooms.tables') },
    { value: 'boards', name: say('rooms.compare-boards') },
  ];

  /** The plan of the room, but only while it is the plan of this room's present shape. */
  protected readonly ready = computed(() => this.view.roomPlan());
  private readonly later = afterwards(this.ready);
  /** What the sheet tells of the plan follows the drawing. */
  protected readonly told = computed(() => {
    const [now, later] = [this.ready(), this.later()];
    return later && later.id === now?.id ? later : now;
  });
  private readonly drawn = computed(() => ({ joint: this.view.joint(), plan: this.ready() }));
  private readonly drawnBefore = aFrameLater(this.drawn);
  /** What the sheet of a joint tells of it follows the drawing. */
  protected readonly read = computed(() => {
    const [now, before] = [this.drawn(), this.drawnBefore()];
    const isSame = before.joint?.id === now.joint?.id && before.plan?.id === now.plan?.id;
    const { joint, plan } = isSame ? before : now;
    return joint && plan && { joint, plan };
  });
  protected readonly selected = computed(() => this.view.selection().map((joint) => joint.id));

  protected readonly why = computed<Why>(() => ({
    rule: say('why.room-mud'),
    inputs: (this.ready()?.use.uses ?? [])
      .filter((use) => use.wetL > 0)
      .map((use) =>
        given(
          say('part.field', { part: say(`element.${use.element}`), field: say(`coat.${use.coat}`) }),
          use.wetL,
          'L',
        ),
      ),
  }));

  protected readonly flatRun = flatRunMm;

  protected press(room: string, key: JointKey): void {
    pressKey(this.jobs, room, this.view.selection(), key, this.format.units());
  }

  protected move(room: string, plan: RoomPlan, { joint, to }: { joint: Joint; to: number }): void {
    moveButt(this.jobs, room, plan, joint, to);
  }

  protected slide(
    room: string,
    { opening, leftMm, bottomMm }: { opening: Opening; leftMm: number; bottomMm: number },
  ): void {
    moveOpening(this.jobs, room, opening.id, leftMm, bottomMm);
  }

  protected mark(room: string, { face, at }: { face: string; at: Point }): void {
    markDamage(this.jobs, room, face, at);
    this.placing.set(false);
  }

  protected place(placing: boolean): void {
    this.placing.set(placing);
    if (placing) this.show.set('drawing');
  }

  protected removeRoom(id: string, name: string): void {
    this.jobs.edit(say('undo.delete', { what: name }), (job) => {
      const i = job.rooms.findIndex((room) => room.id === id);
      if (i >= 0) job.rooms.splice(i, 1);
    });
  }

  protected duplicateRoom(id: string, name: string): void {
    const copy = newId();
    this.jobs.edit(say('undo.duplicate', { what: name }), (job) => {
      const i = job.rooms.findIndex((room) => room.id === id);
      const room = job.rooms[i];
      if (room)
        job.rooms.splice(i + 1, 0, {
          ...(JSON.parse(JSON.stringify(room)) as typeof room),
          id: copy,
          name: nameWith(name, ', copy'),
        });
    });
    this.view.showRoom(copy);
  }
}

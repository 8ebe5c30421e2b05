import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  flatRunMm,
  gradeName,
  JOINT_KINDS,
  LEVELS,
  QUALITIES,
  WALL_BOARDS,
  LIMITS,
  upTo,
  say,
  type Decoration,
  type Finish,
  type Joint,
  type JointKind,
  type Room,
  type RoomPlan,
  type Message,
  type WallBoards,
  type Say,
} from '@lisse/core';
import { TableModule } from 'primeng/table';
import { dressed } from '../ui/dressed';
import { Texts } from '../state/texts';
import { inTurn } from '../ui/idle-queue';
import { Check } from '../ui/check';
import { TextInput } from '../ui/text-input';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { JointMeasuresFields, type JointMeasures } from '../ui/joint-measures';
import { MeasureInput } from '../ui/measure-input';
import { Segmented } from '../ui/segmented';
import { TickBox } from '../ui/tick-box';
import { faceName, DECORATION_OPTIONS, decorationName, JOINT_WORD } from '../ui/words';
import { BOARD_KINDS, noteJoints } from './joint-edit';

interface RoomRow {
  /** The room's id. */
  key: string;
  name: string;
  finish: string;
  decoration: string;
  areaM2: number;
  flats: number;
  butts: number;
  angles: number;
  corners: number;
  wetL: number;
}

interface JointRow {
  key: string;
  room: string;
  roomId: string;
  face: string;
  kind: string;
  lengthMm: number;
  gapMm: number;
  humpMm: number;
  lippageMm: number;
  joint: Joint;
}

const WALLS_NAME = {
  across: say('tables.across'),
  upright: say('tables.vertical'),
  'least-butt': say('tables.fewest-butts'),
} as const satisfies Record<WallBoards, Message>;

/** Every room and every joint in a table, to sort, sift and change together. */
@Component({
  selector: 'ls-tables',
  imports: [Check, Choice, JointMeasuresFields, MeasureInput, Segmented, TableModule, TextInput, TickBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tables.html',
  styleUrl: './tables.css',
})
export class Tables {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly upTo = upTo;
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  protected readonly view = inject(ViewStore);
  protected readonly format = inject(Format);

  protected readonly tables = [
    { value: 'rooms' as const, name: say('tables.rooms') },
    { value: 'joints' as const, name: say('tables.joints') },
  ];
  protected readonly what = signal<'rooms' | 'joints'>('rooms');
  protected readonly text = signal('');
  protected readonly kind = signal<JointKind | ''>('');
  protected readonly all = signal(false);
  /** The head of the table, a few rows, then all of them and what turns its pages: the page answers between them. */
  protected readonly turn = inTurn(3);
  private readonly ticked = signal<ReadonlySet<string>>(new Set());

  protected readonly kinds = [
    { value: '' as const, name: say('tables.every-kind') },
    ...JOINT_KINDS.map((value) => ({ value, name: JOINT_WORD[value] })),
  ];
  protected readonly callable = [
    { value: '' as const, name: say('tables.change') },
    ...BOARD_KINDS.map((value) => ({ value, name: JOINT_WORD[value] })),
  ];
  protected readonly grades = [
    { value: '' as const, name: say('tables.finish-name') },
    ...LEVELS.map((grade) => ({ value: `level ${grade}`, name: say('grade.level', { grade }) })),
    ...QUALITIES.map((grade) => ({ value: `q ${grade}`, name: say('grade.q', { grade }) })),
  ];
  protected readonly decorations = [
    { value: '' as const, name: say('tables.decoration-name') },
    ...DECORATION_OPTIONS,
  ];
  protected readonly walls = [
    { value: '' as const, name: say('tables.boards-name') },
    ...WALL_BOARDS.map((value) => ({ value, name: WALLS_NAME[value] })),
  ];

  protected readonly roomRows = computed<RoomRow[]>(() => {
    const plans = new Map(this.plans.plan()?.rooms.map((room) => [room.id, room]));
    const words = this.text().toLowerCase();
    return (this.jobs.job()?.rooms ?? [])
      .map((room) => roomRow(room, plans.get(room.id), this.texts.say))
      .filter((row) => `${row.name} ${row.finish} ${row.decoration}`.toLowerCase().includes(words));
  });

  protected readonly firstRooms = computed(() =>
    this.turn() > 2 ? this.roomRows() : this.roomRows().slice(0, this.turn() > 1 ? 8 : 0),
  );

  protected readonly jointRows = computed<JointRow[]>(() => {
    if (this.what() !== 'joints') return [];
    const words = this.text().toLowerCase();
    const kind = this.kind();
    const names = new Map(this.jobs.job()?.rooms.map((room) => [room.id, room.name]));
    return (this.plans.plan()?.rooms ?? [])
      .filter((room) => this.all() || room.id === this.view.room()?.id)
      .flatMap((plan) => jointRows(plan, names.get(plan.id) ?? '', this.texts.say))
      .filter((row) => kind === '' || row.joint.kind === kind)
      .filter((row) => `${row.room} ${row.face} ${row.kind}`.toLowerCase().includes(words));
  });

  protected show(what: 'rooms' | 'joints'): void {
    this.what.set(what);
    this.ticked.set(new Set());
  }

  private readonly keys = computed(() =>
    (this.what() === 'rooms' ? this.roomRows() : this.jointRows()).map((row) => row.key),
  );
  /** Keys of the rows that are ticked and seen: what a search hides is not changed. */
  protected readonly chosen = computed<ReadonlySet<string>>(
    () => new Set(this.keys().filter((key) => this.ticked().has(key))),
  );
  protected readonly allChosen = computed(
    () => this.chosen().size > 0 && this.chosen().size === this.keys().length,
  );

  protected choose(key: string): void {
    const chosen = new Set(this.chosen());
    if (!chosen.delete(key)) chosen.add(key);
    this.mark(chosen);
  }

  /** All that the table lists, or none. */
  protected chooseAll(): void {
    this.mark(new Set(this.allChosen() ? [] : this.keys()));
  }

  /** What is ticked of the room that is drawn is picked on its drawing too. */
  private mark(chosen: ReadonlySet<string>): void {
    this.ticked.set(chosen);
    if (this.what() === 'rooms') return;
    const room = this.view.room()?.id;
    this.view.showJoints(
      this.chosenJoints()
        .filter((row) => row.roomId === room)
        .map((row) => row.joint.id),
    );
  }

  private chosenJoints(): JointRow[] {
    return this.jointRows().filter((row) => this.chosen().has(row.key));
  }

  protected openRoom(row: RoomRow): void {
    this.view.showRoom(row.key);
  }

  private eachRoom(label: Deed, recipe: (room: Room) => void): void {
    const ids = this.chosen();
    this.jobs.edit(
      say('undo.in-rooms', { what: typeof label === 'string' ? say(label) : label, count: ids.size }),
      (job) => job.rooms.filter((room) => ids.has(room.id)).forEach(recipe),
    );
  }

  protected setFinish(text: string): void {
    const [scale, grade] = text.split(' ');
    const finish = { scale, grade: Number(grade) } as Finish;
    if (text !== '') this.eachRoom('undo.change-finish', (room) => (room.finish = { ...finish }));
  }

  protected setDecoration(decoration: Decoration | ''): void {
    if (decoration !== '') this.eachRoom('undo.change-decoration', (room) => (room.decoration = decoration));
  }

  protected setWalls(walls: WallBoards | ''): void {
    if (walls !== '') this.eachRoom('undo.change-boards', (room) => (room.board.walls = walls));
  }

  protected setHeight(mm: number): void {
    this.eachRoom('undo.change-height', (room) => (room.plan.heightMm = mm));
  }

  protected removeRooms(): void {
    const ids = this.chosen();
    this.jobs.edit(
      say('undo.delete-rooms', { count: ids.size }),
      (job) => void (job.rooms = job.rooms.filter((room) => !ids.has(room.id))),
    );
    this.ticked.set(new Set());
  }

  /** Notes on joints of several rooms are one edit a room. */
  protected eachJoint(label: Deed, change: (JointMeasures & { kind?: JointKind }) | undefined): void {
    const byRoom = new Map<string, Joint[]>();
    for (const { roomId, joint } of this.chosenJoints()) {
      if (change?.kind && !BOARD_KINDS.includes(joint.kind)) continue;
      byRoom.set(roomId, [...(byRoom.get(roomId) ?? []), joint]);
    }
    for (const [room, joints] of byRoom)
      noteJoints(this.jobs, room, joints, label, () => change && (() => change));
  }

  protected call(kind: JointKind | ''): void {
    if (kind !== '') this.eachJoint(say('undo.call-them', { kind: JOINT_WORD[kind] }), { kind });
  }

  protected forget(): void {
    this.eachJoint('undo.forget-measured', undefined);
  }

  constructor() {
    dressed();
  }
}

function roomRow(room: Room, plan: RoomPlan | undefined, say: Say): RoomRow {
  return {
    key: room.id,
    name: room.name,
    finish: say(gradeName(room.finish)),
    decoration: say(decorationName(room.decoration)),
    areaM2: plan?.boardAreaM2 ?? 0,
    flats: plan ? flatRunMm(plan.use) : 0,
    butts: plan?.use.amounts.butts ?? 0,
    angles: plan?.use.amounts.angles ?? 0,
    corners: plan?.use.amounts.corners ?? 0,
    wetL: plan?.use.wetL ?? 0,
  };
}

function jointRows(plan: RoomPlan, room: string, say: Say): JointRow[] {
  return plan.joints.map((joint) => ({
    key: `${plan.id} ${joint.id}`,
    room,
    roomId: plan.id,
    face: say(faceName(plan, joint.face)),
    kind: say(JOINT_WORD[joint.kind]),
    lengthMm: joint.lengthMm,
    gapMm: joint.gapMm,
    humpMm: joint.humpMm,
    lippageMm: joint.lippageMm,
    joint,
  }));
}

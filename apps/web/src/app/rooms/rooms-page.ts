import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { given, type Joint, type JointKind, type Why } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { WhyButton } from '../ui/why';
import { ELEMENT_NAME, JOINT_NAME, roomLine } from '../ui/words';
import { AddRoom } from './add-room';
import { noteJoint, steppedGap, type JointKey } from './joint-edit';
import { JointSheet } from './joint-sheet';
import { RoomDrawing } from './room-drawing';
import { RoomGlyph } from '../ui/room-glyph';
import { RoomSheet } from './room-sheet';

const LEGEND: readonly { kind: JointKind; name: string }[] = [
  { kind: 'tapered', name: 'flat' },
  { kind: 'butt', name: 'butt' },
  { kind: 'inside-angle', name: 'angle' },
  { kind: 'outside-corner', name: 'bead' },
];

/** Rooms: the room opened like a box, its joints, and what it adds up to. */
@Component({
  selector: 'ls-rooms-page',
  imports: [AddRoom, JointSheet, RoomDrawing, RoomGlyph, RoomSheet, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rooms-page.html',
  styleUrl: './rooms-page.css',
})
export class RoomsPage {
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  protected readonly view = inject(ViewStore);
  protected readonly format = inject(Format);
  protected readonly line = roomLine;
  protected readonly legend = LEGEND;
  protected readonly names = JOINT_NAME;
  protected readonly adding = signal(false);

  /** The plan of the room, but only while it is the plan of this room's present shape. */
  protected readonly ready = computed(() => this.view.roomPlan());

  protected readonly why = computed<Why>(() => ({
    rule: 'Every coat on every joint, corner, head and face of this room, wet, without waste.',
    inputs: (this.ready()?.use.uses ?? [])
      .filter((use) => use.wetL > 0)
      .map((use) => given(`${ELEMENT_NAME[use.element].toLowerCase()}, ${use.coat}`, use.wetL, 'L')),
  }));

  protected press(room: string, { joint, key }: { joint: Joint; key: JointKey }): void {
    if ('kind' in key) {
      noteJoint(this.jobs, room, joint, `Call it a ${JOINT_NAME[key.kind].toLowerCase()}`, () => ({
        kind: key.kind,
      }));
    } else if ('gapSteps' in key) {
      const units = this.format.units();
      noteJoint(this.jobs, room, joint, 'Measure the gap', (before) => ({
        gapMm: steppedGap(before.gapMm ?? joint.gapMm, key.gapSteps, units),
      }));
    } else noteJoint(this.jobs, room, joint, 'Forget what was measured', undefined);
  }

  protected removeRoom(id: string, name: string): void {
    this.jobs.edit(`Delete ${name}`, (job) => {
      const i = job.rooms.findIndex((room) => room.id === id);
      if (i >= 0) job.rooms.splice(i, 1);
    });
  }

  protected duplicateRoom(id: string, name: string): void {
    const copy = crypto.randomUUID();
    this.jobs.edit(`Duplicate ${name}`, (job) => {
      const i = job.rooms.findIndex((room) => room.id === id);
      const room = job.rooms[i];
      if (room)
        job.rooms.splice(i + 1, 0, {
          ...(JSON.parse(JSON.stringify(room)) as typeof room),
          id: copy,
          name: `${name}, copy`,
        });
    });
    this.view.showRoom(copy);
  }
}

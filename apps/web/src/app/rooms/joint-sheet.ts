import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  BEADS,
  beadOf,
  JOINT,
  jointSection,
  rowOfJoint,
  LIMITS,
  say,
  type Joint,
  type JointNote,
  type Room,
  type RoomPlan,
  type Way,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { TextInput } from '../ui/text-input';
import { Format } from '../state/format';
import { PlanStore } from '../state/plan.store';
import { JobStore, type Deed } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { JointMeasuresFields } from '../ui/joint-measures';
import { MeasureInput } from '../ui/measure-input';
import { SectionSketch } from '../ui/section-sketch';
import { faceName, JOINT_NAME, JOINT_WORD } from '../ui/words';
import { Photo } from '../ui/photo';
import { BOARD_KINDS, noteJoints } from './joint-edit';
import { JointReading } from './joint-reading';

/** One joint: its kind and length, what was measured on it, and below what it comes to. */
@Component({
  selector: 'ls-joint-sheet',
  imports: [
    Choice,
    JointReading,
    JointMeasuresFields,
    MeasureInput,
    Photo,
    RouterLink,
    SectionSketch,
    TextInput,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">{{ face() }}</p>
    <h2 class="figure">{{ title() }}</h2>
    @if (section(); as cut) {
      <ls-section-sketch [section]="cut" />
    }
    <p class="ways">
      <a class="link" [routerLink]="['/job', jobId(), 'section']">{{ texts.t('joint.show-section') }}</a>
      <a class="link" [routerLink]="['/job', jobId(), 'section', 'wall']">{{
        texts.t('joint.show-its-wall')
      }}</a>
      @if (pieces().length > 0) {
        <a
          class="link"
          [routerLink]="['/job', jobId(), 'order', 'cutting']"
          [queryParams]="{ of: room().id + '|' + joint().id }"
          >{{ texts.t('cut.pieces-of', { count: pieces().length, numbers: pieces().join(', ') }) }}</a
        >
      }
    </p>
    <div class="fields">
      @if (section()) {
        <ls-choice
          [label]="texts.t('joint.kind')"
          [options]="kinds"
          [value]="joint().kind"
          (changed)="note({ kind: $event }, 'undo.change-kind')"
        />
      }
      <ls-joint-measures
        [of]="joint()"
        [shaped]="section() !== undefined"
        [bevelled]="joint().kind === 'butt'"
        [typical]="!joint().measured"
        (noted)="note($event.change, $event.label)"
      />
      @if (bead(); as bead) {
        <ls-choice
          [label]="texts.t('joint.bead')"
          [options]="beads"
          [value]="bead"
          (changed)="note({ bead: $event }, 'undo.change-bead')"
        />
      }
      <ls-measure
        [label]="texts.t('joint.length')"
        bareFeet="in"
        [mm]="joint().lengthMm"
        [limit]="limits.joint.lengthMm"
        (changed)="note({ lengthMm: $event }, 'undo.measure-length')"
      />
      <ls-measure
        [label]="texts.t('joint.board-thickness')"
        bareFeet="in"
        [small]="true"
        [mm]="joint().thicknessMm"
        [limit]="limits.joint.thicknessMm"
        (changed)="note({ thicknessMm: $event }, 'undo.measure-board')"
      />
      <ls-text
        class="wide"
        [label]="texts.t('joint.note')"
        [lines]="2"
        [letters]="1000"
        [value]="noted()?.note ?? ''"
        (changed)="write($event)"
      />
      <ls-photo
        class="wide"
        [photo]="noted()?.photo"
        [of]="title()"
        (taken)="note({ photo: $event }, 'undo.keep-photo')"
        (removed)="drop('photo', 'undo.remove-photo')"
      />
      @if (joint().measured) {
        <button type="button" class="link" (click)="note(undefined, 'undo.forget-measured')">
          {{ texts.t('joint.clear-measurements') }}
        </button>
      }
    </div>
    <ls-joint-reading
      [joint]="joint()"
      [area]="area()"
      [row]="row()"
      [section]="section()"
      [use]="plan().use"
      [way]="way()"
    />
  `,
  styles: `
    h2 {
      font-size: var(--head);
      margin: 2px 0 12px;
    }
    .wide {
      grid-column: 1 / -1;
    }
    .link {
      grid-column: 1 / -1;
      justify-self: start;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: var(--near) var(--gap);
    }
  `,
})
export class JointSheet {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  private readonly plans = inject(PlanStore);
  readonly room = input.required<Room>();
  readonly joint = input.required<Joint>();
  readonly plan = input.required<RoomPlan>();
  readonly way = input.required<Way>();

  protected readonly beads = BEADS.map((value) => ({ value, name: say(`bead.${value}`) }));
  /** The bead of a corner or a trim; none on other joints. */
  protected readonly bead = computed(() =>
    JOINT[this.joint().kind].element === 'corners' ? beadOf(this.joint(), this.way()) : undefined,
  );

  /** Numbers of the pieces of bead or trim on it, in the cutting list. */
  protected readonly pieces = computed(() => [
    ...new Set(
      (this.plans.plan()?.cuts ?? [])
        .flatMap((stick) => stick.pieces)
        .filter((piece) => piece.room === this.room().id && piece.joint === this.joint().id)
        .map(({ n }) => n),
    ),
  ]);

  protected readonly kinds = BOARD_KINDS.map((value) => ({ value, name: JOINT_WORD[value] }));

  protected readonly jobId = computed(() => this.jobs.job()?.id);
  protected readonly face = computed(() => {
    return this.texts.start(faceName(this.plan(), this.joint().face));
  });
  protected readonly title = computed(
    () => `${this.texts.say(JOINT_NAME[this.joint().kind])}, ${this.format.length(this.joint().lengthMm)}`,
  );
  /** The area of the room it lies in, with its own decoration and light; and its row there. */
  protected readonly area = computed(() => {
    const areas = this.plan().areas;
    return areas.find((area) => rowOfJoint(area.rows, this.joint())) ?? areas[0];
  });
  protected readonly row = computed(() => rowOfJoint(this.area()?.rows ?? [], this.joint()));
  protected readonly section = computed(() => {
    const row = this.row();
    return row && jointSection(this.joint(), row, this.way(), this.view.book());
  });
  protected readonly noted = computed(() => this.room().joints?.[this.joint().id]);

  protected note(change: JointNote | undefined, label: Deed): void {
    noteJoints(this.jobs, this.room().id, [this.joint()], label, () => change && (() => change));
  }

  protected write(text: string): void {
    if (text.trim() === '') this.drop('note', 'undo.clear-note');
    else this.note({ note: text.trim() }, 'undo.write-note');
  }

  /** Takes one thing noted away and leaves the rest. */
  protected drop(key: 'note' | 'photo', label: Deed): void {
    const id = this.joint().id;
    this.jobs.editRoom(this.room().id, label, (room) => {
      const { [key]: _, ...rest } = room.joints?.[id] ?? {};
      const { [id]: __, ...others } = room.joints ?? {};
      const joints = Object.keys(rest).length > 0 ? { ...others, [id]: rest } : others;
      if (Object.keys(joints).length > 0) room.joints = joints;
      else delete room.joints;
    });
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  BEAD,
  BEADS,
  beadOf,
  crownOf,
  DECORATION_FACTS,
  deepestUnder,
  elementOf,
  given,
  grazingOf,
  input as asInput,
  jointMinutes,
  jointMudL,
  jointSection,
  plainJoint,
  rowOfJoint,
  SHOWS_ABOVE,
  STRAIGHTEDGES,
  strongestContrast,
  type BoardRow,
  type Joint,
  type JointNote,
  type Room,
  type RoomPlan,
  type Way,
  type Why,
  LIMITS,
  upTo,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { SectionSketch } from '../ui/section-sketch';
import { WhyButton } from '../ui/why';
import { faceName, JOINT_NAME } from '../ui/words';
import { BOARD_KINDS, noteJoints } from './joint-edit';
import { Photo } from '../ui/photo';

/** One joint, read: its kind and length, what was measured, and what it takes. */
@Component({
  selector: 'ls-joint-sheet',
  imports: [RouterLink, Choice, MeasureInput, Photo, SectionSketch, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">{{ face() }}</p>
    <h2 class="figure">{{ title() }}</h2>
    @if (section(); as cut) {
      <ls-section-sketch [section]="cut" />
    }
    <p class="ways">
      <a class="link" [routerLink]="['/job', jobId(), 'section']">See it cut across</a>
      <a class="link" [routerLink]="['/job', jobId(), 'section', 'wall']">See its wall in the light</a>
    </p>
    <div class="fields">
      @if (section()) {
        <ls-choice
          label="Kind"
          [options]="kinds"
          [value]="joint().kind"
          (changed)="note({ kind: $event }, 'Change the kind')"
        />
      }
      <ls-measure
        [label]="joint().measured ? 'Gap' : 'Gap, typical'"
        bareFeet="in"
        [small]="true"
        [mm]="joint().gapMm"
        [limit]="limits.joint.gapMm"
        (changed)="note({ gapMm: $event }, 'Measure the gap')"
      />
      @if (section()) {
        <ls-measure
          label="Hump"
          bareFeet="in"
          [small]="true"
          [mm]="size()"
          [limit]="upTo(limits.joint.humpMm)"
          (changed)="hump($event, hollow())"
        />
        <ls-choice label="It stands" [options]="ways" [value]="hollow()" (changed)="hump(size(), $event)" />
        <ls-measure
          label="One side higher"
          bareFeet="in"
          [small]="true"
          [mm]="joint().lippageMm"
          [limit]="upTo(limits.joint.lippageMm)"
          (changed)="note({ lippageMm: $event }, 'Measure the step')"
        />
        @if (joint().humpMm !== 0) {
          <ls-measure
            label="Runs out over, each side"
            bareFeet="in"
            [small]="true"
            [mm]="joint().spanMm"
            [limit]="limits.joint.spanMm"
            (changed)="note({ spanMm: $event }, 'Measure the span')"
          />
        }
      }
      @if (joint().kind === 'butt') {
        <ls-measure
          label="Ends bevelled, deep"
          bareFeet="in"
          [small]="true"
          [mm]="joint().notchMm ?? 0"
          [limit]="limits.joint.notchMm"
          (changed)="note({ notchMm: $event }, 'Bevel the ends')"
        />
      }
      @if (bead(); as bead) {
        <ls-choice
          label="Bead"
          [options]="beads"
          [value]="bead"
          (changed)="note({ bead: $event }, 'Change the bead')"
        />
      }
      <ls-measure
        label="Length"
        bareFeet="in"
        [mm]="joint().lengthMm"
        [limit]="limits.joint.lengthMm"
        (changed)="note({ lengthMm: $event }, 'Measure the length')"
      />
      <ls-measure
        label="Board thickness"
        bareFeet="in"
        [small]="true"
        [mm]="joint().thicknessMm"
        [limit]="limits.joint.thicknessMm"
        (changed)="note({ thicknessMm: $event }, 'Measure the board')"
      />
      <label class="field wide">
        <span>Note</span>
        <textarea
          rows="2"
          maxlength="1000"
          [value]="noted()?.note ?? ''"
          (change)="write($any($event.target).value)"
        ></textarea>
      </label>
      <ls-photo
        class="wide"
        [photo]="noted()?.photo"
        [of]="title()"
        (taken)="note({ photo: $event }, 'Keep the photo')"
        (removed)="drop('photo', 'Remove the photo')"
      />
      @if (joint().measured) {
        <button type="button" class="link" (click)="note(undefined, 'Forget what was measured')">
          Forget what was measured
        </button>
      }
    </div>
    <dl>
      @if (band(); as mm) {
        <dt>Finish width</dt>
        <dd>{{ format.blade(mm) }}</dd>
      }
      @if (readings(); as r) {
        <dt>Crown when finished</dt>
        <dd>{{ format.small(r.crownMm) }}</dd>
        <dt>Hollow under {{ format.blade(blade) }}</dt>
        <dd>{{ format.small(r.hollowMm) }}</dd>
        @if (r.limit !== undefined) {
          <dt>Shows in this light</dt>
          <dd [class.over]="r.contrast > r.limit">
            {{ share(r.contrast) }}, {{ r.contrast > r.limit ? 'over' : 'under' }} {{ share(r.limit) }}
            <ls-why [why]="lightWhy()" of="what shows" />
          </dd>
        }
      }
      <dt>Mud, all coats</dt>
      <dd>{{ format.volume(mud()) }} <ls-why [why]="why()" of="the mud for this joint" /></dd>
      <dt>Work</dt>
      <dd>{{ format.duration(minutes()) }} <ls-why [why]="workWhy()" of="the work on this joint" /></dd>
      @if (extra(); as more) {
        <dt>Against a plain one</dt>
        <dd>{{ more }}</dd>
      }
    </dl>
  `,
  styles: `
    h2 {
      font-size: 25px;
      margin: 2px 0 12px;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 8px;
      align-items: start;
      margin-top: 14px;
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
      gap: 4px 16px;
    }
    dl {
      margin-top: 14px;
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 7px 12px;
    }
    dt {
      color: var(--soft);
    }
    .over {
      color: var(--stop);
    }
    dd {
      text-align: right;
      font-weight: 600;
    }
  `,
})
export class JointSheet {
  protected readonly limits = LIMITS;
  protected readonly upTo = upTo;
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  readonly room = input.required<Room>();
  readonly joint = input.required<Joint>();
  readonly plan = input.required<RoomPlan>();
  readonly way = input.required<Way>();

  protected readonly beads = BEADS.map((value) => ({ value, name: BEAD[value].name }));
  /** The bead of a corner or a trim; none on other joints. */
  protected readonly bead = computed(() =>
    elementOf(this.joint().kind) === 'corners' ? beadOf(this.joint(), this.way()) : undefined,
  );

  protected readonly kinds = BOARD_KINDS.map((value) => ({ value, name: JOINT_NAME[value].toLowerCase() }));
  protected readonly ways = [
    { value: false, name: 'proud' },
    { value: true, name: 'hollow' },
  ];

  protected readonly jobId = computed(() => this.jobs.job()?.id);
  protected readonly face = computed(() => {
    const name = faceName(this.plan(), this.joint().face);
    return name.charAt(0).toUpperCase() + name.slice(1);
  });
  protected readonly title = computed(
    () => `${JOINT_NAME[this.joint().kind]}, ${this.format.length(this.joint().lengthMm)}`,
  );
  /** The area of the room it lies in, with its own decoration and light. */
  private readonly area = computed(() => {
    const areas = this.plan().areas;
    return areas.find((area) => rowOfJoint(area.rows, this.joint())) ?? areas[0];
  });

  private row<T>(of: (row: BoardRow) => T): T | undefined {
    const row = rowOfJoint(this.area()?.rows ?? [], this.joint());
    return row && of(row);
  }

  private mudOf(joint: Joint): number {
    return this.row((row) => jointMudL(joint, row, this.plan().use, this.way(), this.view.book())) ?? 0;
  }

  private minutesOf(joint: Joint): number {
    return this.row((row) => jointMinutes(joint, row, this.way(), this.view.book())) ?? 0;
  }

  private readonly look = computed(() => this.area() ?? this.room());

  protected readonly section = computed(() =>
    this.row((row) => jointSection(this.joint(), row, this.way(), this.view.book())),
  );
  protected readonly band = computed(() => this.section()?.layers.at(-1)?.bandMm);
  protected readonly blade = STRAIGHTEDGES.blade;
  /** How it turns out: the last coat, hardened, before sanding. */
  protected readonly readings = computed(() => {
    const surface = this.section()?.layers.at(-1)?.surface;
    if (!surface) return undefined;
    const sheen = DECORATION_FACTS[this.look().decoration].sheen;
    return {
      crownMm: crownOf(surface),
      hollowMm: deepestUnder(surface, STRAIGHTEDGES.blade).depthMm,
      contrast: strongestContrast(surface, grazingOf(this.look().light)),
      limit: sheen && SHOWS_ABOVE[sheen],
    };
  });
  protected readonly lightWhy = computed<Why>(() => ({
    rule: 'The slope of the finished surface makes it brighter or darker than the wall round it in light along the wall; the sheen decides from where on that is seen.',
    inputs: [
      given(
        'light from the wall',
        `${grazingOf(this.look().light)}°`,
        '',
        this.look().light.grazingDeg ? 'entered' : 'typical',
      ),
      given('seen from', this.readings()?.limit ?? 0, 'share', 'typical'),
    ],
  }));

  /** A small share with a decimal: `4.7 %`. */
  protected share(share: number): string {
    return `${(share * 100).toFixed(1)} %`;
  }

  protected readonly mud = computed(() => this.mudOf(this.joint()));
  protected readonly noted = computed(() => this.room().joints?.[this.joint().id]);
  protected readonly minutes = computed(() => this.minutesOf(this.joint()));
  /** What its trouble costs, held against the same joint with none. */
  protected readonly extra = computed(() => {
    if (!this.joint().measured) return '';
    const plain = plainJoint(this.joint(), this.view.book());
    const mud = this.mud() - this.mudOf(plain);
    const work = this.minutes() - this.minutesOf(plain);
    const signed = (n: number, text: string) => `${n < 0 ? '−' : '+'}${text}`;
    const parts: string[] = [];
    const litres = this.format.volume(Math.abs(mud));
    // Less than is printed is nothing.
    if (!/^0\s/.test(litres)) parts.push(signed(mud, litres));
    if (Math.abs(work) >= 0.5) parts.push(signed(work, this.format.duration(Math.abs(work))));
    return parts.length > 0 ? parts.join(', ') : 'nothing';
  });
  protected readonly workWhy = computed<Why>(() => ({
    rule: 'The length at the pace of each coat on its row, by hand; a gap to fill first goes at its own pace.',
    inputs: [
      given('length', this.joint().lengthMm / 1000, 'm'),
      ...(this.joint().kind === 'butt'
        ? [asInput(this.view.book().paceTapeFlat), asInput(this.view.book().paceButt)]
        : this.section()
          ? [asInput(this.view.book().paceTapeFlat), asInput(this.view.book().paceFlat)]
          : [
              asInput(this.view.book().paceTapeAngle),
              asInput(this.view.book().paceAngle),
              asInput(this.view.book().paceBead),
              asInput(this.view.book().paceCorner),
            ]),
      asInput(this.view.book().pacePrefill),
    ],
  }));
  protected readonly size = computed(() => Math.abs(this.joint().humpMm));
  /** A hollow kept by hand while there is nothing measured yet. */
  private readonly leaning = signal(false);
  protected readonly hollow = computed(() =>
    this.joint().humpMm === 0 ? this.leaning() : this.joint().humpMm < 0,
  );

  protected note(change: JointNote | undefined, label: string): void {
    noteJoints(this.jobs, this.room().id, [this.joint()], label, () => change && (() => change));
  }

  protected write(text: string): void {
    if (text.trim() === '') this.drop('note', 'Clear the note');
    else this.note({ note: text.trim() }, 'Write a note');
  }

  /** Takes one thing noted away and leaves the rest. */
  protected drop(key: 'note' | 'photo', label: string): void {
    const id = this.joint().id;
    this.jobs.editRoom(this.room().id, label, (room) => {
      const { [key]: _, ...rest } = room.joints?.[id] ?? {};
      const { [id]: __, ...others } = room.joints ?? {};
      const joints = Object.keys(rest).length > 0 ? { ...others, [id]: rest } : others;
      if (Object.keys(joints).length > 0) room.joints = joints;
      else delete room.joints;
    });
  }

  protected hump(mm: number, hollow: boolean): void {
    this.leaning.set(hollow);
    if (mm !== 0 || this.joint().humpMm !== 0) this.note({ humpMm: hollow ? -mm : mm }, 'Measure the hump');
  }

  protected readonly why = computed<Why>(() => {
    const metres = given('length', this.joint().lengthMm / 1000, 'm');
    if (!this.section())
      return {
        rule: 'Mud by the metre for each coat, times the length.',
        inputs: [
          metres,
          asInput(this.view.book().angleTapeL),
          asInput(this.view.book().angleFaceL),
          asInput(this.view.book().beadNoseMm),
        ],
      };
    return {
      rule: 'Each coat laid over the cut joint: the bed under the tape, then what every pull of the blade leaves, as the coat below has shrunk.',
      inputs: [
        metres,
        asInput(this.view.book().bedMm),
        asInput(this.view.book().taperDepthMm),
        asInput(this.view.book().taperWidthMm),
        given('hump', this.joint().humpMm, 'mm', this.joint().measured ? 'entered' : 'typical'),
      ],
    };
  });
}

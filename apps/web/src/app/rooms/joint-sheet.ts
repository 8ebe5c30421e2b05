import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  given,
  input as asInput,
  jointMudL,
  jointSection,
  TYPICAL,
  type Joint,
  type JointNote,
  type RoomPlan,
  type Way,
  type Why,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { SectionSketch } from '../ui/section-sketch';
import { WhyButton } from '../ui/why';
import { faceName, JOINT_NAME } from '../ui/words';
import { BOARD_KINDS, noteJoint } from './joint-edit';

/** One joint, read: its kind and length, what was measured, and what it takes. */
@Component({
  selector: 'ls-joint-sheet',
  imports: [Choice, MeasureInput, SectionSketch, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">{{ face() }}</p>
    <h2 class="figure">{{ title() }}</h2>
    @if (section(); as cut) {
      <ls-section-sketch [section]="cut" />
    }
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
        [max]="100"
        (changed)="note({ gapMm: $event }, 'Measure the gap')"
      />
      @if (section()) {
        <ls-measure
          label="Hump"
          bareFeet="in"
          [small]="true"
          [mm]="size()"
          [max]="50"
          (changed)="hump($event, hollow())"
        />
        <ls-choice label="It stands" [options]="ways" [value]="hollow()" (changed)="hump(size(), $event)" />
        <ls-measure
          label="One side higher"
          bareFeet="in"
          [small]="true"
          [mm]="joint().lippageMm"
          [max]="20"
          (changed)="note({ lippageMm: $event }, 'Measure the step')"
        />
      }
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
      <dt>Mud, all coats</dt>
      <dd>{{ format.volume(mud()) }} <ls-why [why]="why()" of="the mud for this joint" /></dd>
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
    .link {
      grid-column: 1 / -1;
      justify-self: start;
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
    dd {
      text-align: right;
      font-weight: 600;
    }
  `,
})
export class JointSheet {
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  readonly room = input.required<string>();
  readonly joint = input.required<Joint>();
  readonly plan = input.required<RoomPlan>();
  readonly way = input.required<Way>();

  protected readonly kinds = BOARD_KINDS.map((value) => ({ value, name: JOINT_NAME[value].toLowerCase() }));
  protected readonly ways = [
    { value: false, name: 'proud' },
    { value: true, name: 'hollow' },
  ];

  protected readonly face = computed(() => {
    const name = faceName(this.joint().face);
    return name.charAt(0).toUpperCase() + name.slice(1);
  });
  protected readonly title = computed(
    () => `${JOINT_NAME[this.joint().kind]}, ${this.format.length(this.joint().lengthMm)}`,
  );
  protected readonly section = computed(() =>
    jointSection(this.joint(), this.plan().cells, this.way(), TYPICAL),
  );
  protected readonly band = computed(() => this.section()?.layers.at(-1)?.bandMm);
  protected readonly mud = computed(() =>
    jointMudL(this.joint(), this.plan().cells, this.plan().use, this.way(), TYPICAL),
  );
  protected readonly size = computed(() => Math.abs(this.joint().humpMm));
  /** A hollow kept by hand while there is nothing measured yet. */
  private readonly leaning = signal(false);
  protected readonly hollow = computed(() =>
    this.joint().humpMm === 0 ? this.leaning() : this.joint().humpMm < 0,
  );

  protected note(change: JointNote | undefined, label: string): void {
    noteJoint(this.jobs, this.room(), this.joint(), label, change && (() => change));
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
          asInput(TYPICAL.angleTapeL),
          asInput(TYPICAL.angleFaceL),
          asInput(TYPICAL.beadNoseMm),
        ],
      };
    return {
      rule: 'Each coat laid over the cut joint: the bed under the tape, then what every pull of the blade leaves, as the coat below has shrunk.',
      inputs: [
        metres,
        asInput(TYPICAL.bedMm),
        asInput(TYPICAL.taperDepthMm),
        asInput(TYPICAL.taperWidthMm),
        given('hump', this.joint().humpMm, 'mm', this.joint().measured ? 'entered' : 'typical'),
      ],
    };
  });
}

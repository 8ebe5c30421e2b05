import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  given,
  input as asInput,
  jointMudL,
  jointSection,
  TYPICAL,
  type Joint,
  type RoomPlan,
  type Way,
  type Why,
} from '@lisse/core';
import { Format } from '../state/format';
import { SectionSketch } from '../ui/section-sketch';
import { WhyButton } from '../ui/why';
import { faceName, JOINT_NAME } from '../ui/words';

/** One joint, read: its kind and length, what was measured, and what it takes. */
@Component({
  selector: 'ls-joint-sheet',
  imports: [SectionSketch, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">{{ face() }}</p>
    <h2 class="figure">{{ title() }}</h2>
    @if (section(); as cut) {
      <ls-section-sketch [section]="cut" />
    }
    <dl>
      <dt>Gap</dt>
      <dd>
        {{ format.small(joint().gapMm) }} <span class="soft">{{ joint().measured ? '' : 'typical' }}</span>
      </dd>
      @if (section()) {
        <dt>Hump over {{ format.blade(800) }}</dt>
        <dd [class.trouble]="joint().humpMm !== 0">{{ hump() }}</dd>
        <dt>One side higher</dt>
        <dd>{{ joint().lippageMm ? format.small(joint().lippageMm) : 'none' }}</dd>
      }
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
    dd .soft {
      font-weight: 400;
      font-size: 12px;
    }
    .trouble {
      color: var(--caution);
    }
  `,
})
export class JointSheet {
  protected readonly format = inject(Format);
  readonly joint = input.required<Joint>();
  readonly plan = input.required<RoomPlan>();
  readonly way = input.required<Way>();

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
  protected readonly hump = computed(() => {
    const mm = this.joint().humpMm;
    return mm === 0 ? 'none measured' : `${this.format.small(Math.abs(mm))} ${mm > 0 ? 'proud' : 'hollow'}`;
  });
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

import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { say, type Joint, type JointKind, type JointNote, type Room } from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { Choice } from '../ui/choice';
import { JointMeasuresFields, type JointMeasures } from '../ui/joint-measures';
import { JOINT_WORD } from '../ui/words';
import { BOARD_KINDS, noteJoints } from './joint-edit';

/** Several joints changed at once. */
@Component({
  selector: 'ls-many-joints',
  imports: [Choice, JointMeasuresFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="figure">{{ texts.t('joints.count', { count: joints().length }) }}</h2>
    <p class="soft">{{ told() }}</p>
    <div class="fields">
      @if (boards().length > 0) {
        <ls-choice
          [label]="texts.t('joints.change')"
          [options]="kinds"
          [value]="kind()"
          (changed)="call($event)"
        />
      }
      <ls-joint-measures [of]="shared()" [many]="true" (noted)="note($event.change, $event.label)" />
      <button type="button" class="link" (click)="forget()">
        {{ texts.t('joints.clear-measurements') }}
      </button>
    </div>
  `,
  styles: `
    h2 {
      font-size: var(--head);
      margin: 2px 0 6px;
    }
    .link {
      grid-column: 1 / -1;
      justify-self: start;
    }
  `,
})
export class ManyJoints {
  protected readonly texts = inject(Texts);
  private readonly jobs = inject(JobStore);
  private readonly format = inject(Format);
  readonly room = input.required<Room>();
  readonly joints = input.required<readonly Joint[]>();

  protected readonly boards = computed(() => this.joints().filter((j) => BOARD_KINDS.includes(j.kind)));
  protected readonly kinds = [
    { value: '' as const, name: say('joints.no-change') },
    ...BOARD_KINDS.map((value) => ({ value, name: JOINT_WORD[value] })),
  ];
  protected readonly kind = computed<JointKind | ''>(() => {
    const kinds = new Set(this.boards().map((j) => j.kind));
    return kinds.size === 1 ? ([...kinds][0] ?? '') : '';
  });
  protected readonly told = computed(() => {
    const counts = new Map<JointKind, number>();
    for (const { kind } of this.joints()) counts.set(kind, (counts.get(kind) ?? 0) + 1);
    const length = this.joints().reduce((sum, j) => sum + j.lengthMm, 0);
    const kinds = [...counts]
      .map(([kind, n]) => this.texts.t('joints.of-kind', { n, kind: JOINT_WORD[kind] }))
      .join(', ');
    return this.texts.t('joints.together', { kinds, length: this.format.run(length) });
  });

  /** The measures they all share. */
  protected readonly shared = computed((): JointMeasures => {
    const same = (key: 'gapMm' | 'humpMm' | 'lippageMm' | 'spanMm') => {
      const [first, ...others] = new Set(this.joints().map((joint) => joint[key]));
      return first === undefined || others.length > 0 ? {} : { [key]: first };
    };
    return { ...same('gapMm'), ...same('humpMm'), ...same('lippageMm'), ...same('spanMm') };
  });

  protected call(kind: JointKind | ''): void {
    if (kind !== '')
      noteJoints(
        this.jobs,
        this.room().id,
        this.boards(),
        say('undo.call-them', { kind: JOINT_WORD[kind] }),
        () => () => ({
          kind,
        }),
      );
  }

  protected note(change: JointNote, label: Deed): void {
    noteJoints(this.jobs, this.room().id, this.joints(), label, () => () => change);
  }

  protected forget(): void {
    noteJoints(this.jobs, this.room().id, this.joints(), 'undo.forget-measured', () => undefined);
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { dialFor, dialOf, JOINT, say, TOOL, type Cell, type Message } from '@lisse/core';
import { Format } from '../state/format';
import { LogStore } from '../state/log.store';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { RunGlyph } from '../ui/run-glyph';
import { faceName, jointName, STEP_NAME } from '../ui/words';
import { TodayStore } from './today.store';

/** Today, the run: one joint after the other on the unfolded room, large, and done with one press. */
@Component({
  selector: 'ls-run-page',
  imports: [RouterLink, RunGlyph],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.task(); as task) {
      @if (store.run(); as run) {
        @if (store.roomPlan(); as plan) {
          <div class="large">
            <div class="column">
              <p class="where">
                {{
                  texts.t('today.line', { step: steps[task.step], room: store.names().get(task.room) ?? '' })
                }}
                <span class="soft">{{
                  texts.t('run.of', { done: doneCount(), all: run.joints.length })
                }}</span>
              </p>
              <ls-run-glyph [plan]="plan" [run]="run" [ran]="store.ran()" [at]="at()" [tall]="0.72" />
              @if (at(); as id) {
                <h1 class="figure joint">{{ texts.say(name(id)) }}</h1>
                <p class="length">{{ length(id) }}</p>
                <ul class="notes">
                  @for (note of notes(); track $index) {
                    <li>{{ texts.say(note) }}</li>
                  }
                </ul>
                <div class="acts sticky">
                  <button type="button" class="big quiet" (click)="skip()">{{ texts.t('run.skip') }}</button>
                  <button type="button" class="big act wide" (click)="done([id])">
                    {{ texts.t('run.done-next') }}
                  </button>
                </div>
              } @else {
                <h1 class="figure joint">{{ texts.t('run.all') }}</h1>
                @if (beside(); as rows) {
                  <p class="length">{{ texts.t('run.beside', { rows }) }}</p>
                }
                <div class="acts">
                  <a class="big act" routerLink="..">{{ texts.t('run.back') }}</a>
                </div>
              }
            </div>
            <div class="column">
              <section [attr.aria-label]="texts.t('run.setting')">
                <h2>{{ texts.t('run.setting') }}</h2>
                <ul class="notes">
                  @for (line of settings(); track $index) {
                    <li>{{ texts.say(line) }}</li>
                  }
                </ul>
              </section>
              <section [attr.aria-label]="texts.t('run.list')">
                <h2>{{ texts.t('run.list') }}</h2>
                <div class="acts">
                  @if (left().length > 0) {
                    <button type="button" class="big quiet" (click)="done(left())">
                      {{ texts.t('run.done-all') }}
                    </button>
                  }
                  @if (doneCount() > 0) {
                    <button type="button" class="big quiet" (click)="undo()">
                      {{ texts.t('run.none') }}
                    </button>
                  }
                </div>
                <ol>
                  @for (id of run.joints; track id) {
                    <li>
                      <button
                        type="button"
                        class="tick"
                        [attr.aria-pressed]="store.ran().has(id)"
                        [attr.aria-current]="id === at() ? 'step' : null"
                        (click)="store.ran().has(id) ? undone(id) : done([id])"
                      >
                        <i aria-hidden="true">{{ store.ran().has(id) ? '✓' : '' }}</i>
                        <span>{{ texts.say(name(id)) }}</span>
                        <span class="soft">{{ length(id) }}</span>
                      </button>
                    </li>
                  }
                </ol>
              </section>
            </div>
          </div>
        }
      } @else {
        <div class="large">
          <div class="column">
            <h1>
              {{
                texts.t('today.line', { step: steps[task.step], room: store.names().get(task.room) ?? '' })
              }}
            </h1>
            <p class="one">{{ texts.t('run.no-joints') }}</p>
            <div class="acts">
              <a class="big act" routerLink="..">{{ texts.t('run.back') }}</a>
            </div>
          </div>
        </div>
      }
    } @else {
      <div class="large">
        <div class="column">
          <p class="one">{{ texts.t('today.all-done') }}</p>
        </div>
      </div>
    }
  `,
  styleUrl: '../ui/large.css',
  styles: `
    .where {
      font-size: var(--title);
      font-weight: 600;
      display: flex;
      justify-content: space-between;
      gap: var(--close);
    }
    .joint {
      font-size: var(--figure);
      line-height: 1.05;
    }
    .length {
      font-size: var(--title);
    }
    .notes li {
      padding: 4px 0 4px 12px;
      border-left: 4px solid var(--line);
      margin-bottom: 5px;
      font-size: var(--large);
    }
    .sticky {
      position: sticky;
      bottom: 0;
      padding: 8px 0;
      background: var(--ground);
    }
    .wide {
      flex: 3 1 180px;
    }
    a.big {
      text-decoration: none;
    }
    [aria-current] {
      box-shadow: inset 4px 0 var(--accent);
    }
    @media screen and (max-width: 760px) {
      .sticky {
        bottom: 63px;
      }
    }
  `,
})
export class RunPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly store = inject(TodayStore);
  private readonly view = inject(ViewStore);
  private readonly logs = inject(LogStore);
  protected readonly steps = STEP_NAME;
  /** Joints that are left for later in this round. */
  private readonly skipped = signal<readonly string[]>([]);

  protected readonly left = computed(() =>
    (this.store.run()?.joints ?? []).filter((id) => !this.store.ran().has(id)),
  );
  protected readonly doneCount = computed(() => (this.store.run()?.joints.length ?? 0) - this.left().length);
  /** What is at hand: the first that is left and not put off; then what was put off. */
  protected readonly at = computed(
    () => this.left().find((id) => !this.skipped().includes(id)) ?? this.left()[0],
  );
  private readonly joints = computed(
    () => new Map(this.store.roomPlan()?.joints.map((joint) => [joint.id, joint])),
  );

  /** Rows of the task that are no joints. */
  protected readonly beside = computed(() => {
    const rows = (this.store.task()?.rows ?? []).filter(
      (row) => row === 'heads' || row === 'repairs' || row === 'face',
    );
    return rows.length > 0 ? rows.map((row) => say(`element.${row}`)) : undefined;
  });

  protected name = (id: string) => {
    const plan = this.store.roomPlan();
    return plan ? jointName(plan, id) : id;
  };
  protected length = (id: string): string => this.format.run(this.joints().get(id)?.lengthMm ?? 0);

  /** The cell that the joint at hand is coated by. */
  private readonly cell = computed((): Cell | undefined => {
    const joint = this.joints().get(this.at() ?? '');
    return joint && this.store.cells().find(({ element }) => element === JOINT[joint.kind].element);
  });

  /** The face that is coated, where to fill again, where to stop for the corner, which blade. */
  protected readonly notes = computed((): Message[] => {
    const [id, run, plan] = [this.at(), this.store.run(), this.store.roomPlan()];
    if (id === undefined || !run || !plan) return [];
    const face = run.faces.find(({ joint }) => joint === id)?.face;
    const joint = this.joints().get(id);
    const isAngle = joint?.kind === 'inside-angle' || joint?.kind === 'off-angle-inside';
    const cannot = run.cannot.filter((corner) => touches(corner, joint?.face, joint?.other));
    const cell = this.cell();
    return [
      ...(face === undefined ? [] : [say('run.face', { face: faceName(plan, face) })]),
      ...run.refills
        .filter((refill) => refill.joint === id)
        .map(({ atMm }) => say('run.refill', { at: atMm })),
      ...(cell ? [bladeOf(cell)] : []),
      ...(isAngle ? [say('run.stop-corner')] : []),
      ...cannot.map((corner) =>
        say('run.cannot', { corner: corner.split('+').map((one) => faceName(plan, one)) }),
      ),
    ];
  });

  /** How the tools of the coat are set, and what to change by what is seen. */
  protected readonly settings = computed((): Message[] => {
    const dial = dialOf(this.view.book());
    const uses = this.store.roomPlan()?.use.uses ?? [];
    const lines = this.store.cells().flatMap((cell): Message[] => {
      // As far open as the wall asks, where the dial is not set by hand.
      const asked = uses.find(({ element, coat }) => element === cell.element && coat === cell.coat)?.dialMm;
      const camberMm = asked ?? cell.pulls[0]?.camberMm ?? cell.camberMm;
      const boxed = cell.pulls.some((pull) => pull.boxed === true);
      const element = say(`element.${cell.element}`);
      return [
        say('run.blade-for', { element, blade: bladeOf(cell) }),
        ...(boxed ? [say('run.dial', { element, dial: dialFor(camberMm, dial) })] : []),
      ];
    });
    const boxed = this.store.cells().some(({ pulls }) => pulls.some((pull) => pull.boxed === true));
    return [...lines, ...(boxed ? [say('run.tape-shows'), say('run.too-proud')] : [say('run.hand-change')])];
  });

  protected done(joints: readonly string[]): void {
    const task = this.store.task();
    if (!task || joints.length === 0) return;
    const { room, step } = task;
    void this.logs.tell('undo.log-ran', { kind: 'ran', room, step, joints: [...joints] });
  }

  /** A joint that was told among others is told again without it. */
  protected undone(id: string): void {
    const task = this.store.task();
    if (!task) return;
    const { room, step } = task;
    void this.logs.retell(
      'undo.log-not-ran',
      (one) =>
        one.kind === 'ran' && one.room === room && one.step === step && one.joints?.includes(id) === true,
      ({ joints = [] }) => {
        const rest = joints.filter((one) => one !== id);
        return rest.length > 0 ? { kind: 'ran', room, step, joints: rest } : undefined;
      },
    );
  }

  protected undo(): void {
    const task = this.store.task();
    if (!task) return;
    void this.logs.takeBackAll(
      'undo.log-not-ran',
      (one) => one.kind === 'ran' && one.room === task.room && one.step === task.step,
    );
  }

  protected skip(): void {
    const id = this.at();
    const later = this.left().filter((one) => !this.skipped().includes(one));
    // Round once: what was put off comes again.
    this.skipped.set(later.length <= 1 || id === undefined ? [] : [...this.skipped(), id]);
  }
}

/** `12 in box`, `6 in taping knife`. */
const bladeOf = ({ bladeMm, tool, pulls }: Cell): Message =>
  say('run.blade', {
    wide: bladeMm,
    tool: say(`tool.${tool ? TOOL[tool].kind : 'knife'}`),
    lanes: Math.max(1, pulls.length),
  });

const touches = (corner: string, face: string | undefined, other: string | undefined): boolean => {
  const faces = corner.split('+');
  return face !== undefined && other !== undefined && faces.includes(face) && faces.includes(other);
};

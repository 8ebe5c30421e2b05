import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  DECORATIONS,
  grazingOf,
  judgeFinish,
  LEVELS,
  needsOf,
  needsText,
  QUALITIES,
  smallestFinish,
  type Decoration,
  type Finish,
  type Room,
} from '@lisse/core';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { AdviceList } from '../ui/advice-list';
import { Cautions } from '../ui/cautions';
import { Choice } from '../ui/choice';
import { decorationName } from '../ui/words';
import { CoatBoard } from './coat-board';
import { WayPanel } from './way-panel';

/** Light by what throws it; the angle is from the wall plane. */
const LIGHTS = [
  { value: 'ordinary-30', name: 'ordinary room light' },
  { value: 'ordinary-25', name: 'window well off the wall, 25°' },
  { value: 'ordinary-12', name: 'window at the side, 12°' },
  { value: 'critical-8', name: 'window beside the wall, 8°' },
  { value: 'critical-5', name: 'clerestory, 5°' },
  { value: 'critical-3', name: 'lamps washing the wall, 3°' },
];

/** Finish: what the room asks for, what it gets, how, coat by coat. */
@Component({
  selector: 'ls-finish-page',
  imports: [AdviceList, Cautions, Choice, CoatBoard, WayPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './finish-page.html',
  styleUrl: './finish-page.css',
})
export class FinishPage {
  protected readonly jobs = inject(JobStore);
  protected readonly view = inject(ViewStore);
  private readonly plans = inject(PlanStore);

  protected readonly decorations = DECORATIONS.map((value) => ({ value, name: decorationName(value) }));
  protected readonly scales = [
    { value: 'level' as const, name: 'levels 0 to 5' },
    { value: 'q' as const, name: 'qualities 1 to 4' },
  ];

  protected readonly verdict = computed(() => {
    const room = this.view.room();
    return room && judgeFinish(room.finish, room.decoration, room.light);
  });
  protected readonly needs = computed(() => {
    const room = this.view.room();
    return room && needsOf(room.finish);
  });
  protected readonly needsText = needsText;
  protected readonly grades = computed(() => (this.view.room()?.finish.scale === 'q' ? QUALITIES : LEVELS));

  protected readonly light = computed(() => {
    const { kind, ...rest } = this.view.room()?.light ?? { kind: 'ordinary' as const };
    return `${kind}-${grazingOf({ kind, ...rest })}`;
  });
  protected readonly lights = computed(() => {
    const now = this.light();
    return LIGHTS.some((l) => l.value === now)
      ? LIGHTS
      : [...LIGHTS, { value: now, name: `light at ${now.split('-')[1] ?? ''}°` }];
  });

  /** This room's advice and the job's. */
  protected readonly advice = computed(() => {
    const id = this.view.room()?.id;
    return this.plans.plan()?.advice.filter((a) => a.place.room === undefined || a.place.room === id) ?? [];
  });

  private change(label: string, recipe: (room: Room) => void): void {
    this.jobs.editRoom(this.view.room()?.id, label, recipe);
  }

  protected setGrade(grade: number): void {
    this.change(`Finish ${grade}`, (room) => (room.finish = { ...room.finish, grade } as Finish));
  }

  protected setScale(scale: Finish['scale']): void {
    this.change('Change the scale', (room) => {
      if (room.finish.scale !== scale) room.finish = smallestFinish(room.decoration, room.light, scale);
    });
  }

  protected setDecoration(decoration: Decoration): void {
    this.change('Change the decoration', (room) => (room.decoration = decoration));
  }

  protected setLight(value: string): void {
    const [kind, angle] = value.split('-');
    this.change(
      'Change the light',
      (room) =>
        (room.light = { kind: kind === 'critical' ? 'critical' : 'ordinary', grazingDeg: Number(angle) }),
    );
  }
}

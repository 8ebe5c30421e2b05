import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  BARES,
  concerns,
  LAYS,
  LIMITS,
  REPAIR,
  say,
  toolsOf,
  type Bare,
  type Damage,
  type Mend,
  type Message,
  type RepairStep,
  type Room,
} from '@lisse/core';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { starting, Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { MeasureInput } from '../ui/measure-input';
import { NumberInput } from '../ui/number-input';
import { Segmented } from '../ui/segmented';
import { WhyButton } from '../ui/why';
import { damageName } from '../ui/words';
import { StepDrawing } from './step-drawing';

/** Steps that scrape, cut or sand what may be old. */
const DISTURBS: ReadonlySet<RepairStep> = new Set<RepairStep>([
  'cut-loose',
  'square-up',
  'cut-square',
  'score-tape',
  'cut-ridge',
  'rake',
  'mist-scrape',
  'cut-down',
  'cut-out-bead',
  'scuff',
  'sand',
]);

/** A local moment so many minutes later, `2026-11-30T09:30`. */
const minutesOn = (local: string, minutes: number): string =>
  new Date(Date.parse(`${local}Z`) + minutes * 60000).toISOString().slice(0, 16);

/** One repair: what it is, how it is mended step by step, what each pass lays and how long it waits. */
@Component({
  selector: 'ls-mend-card',
  imports: [MeasureInput, NumberInput, Segmented, StepDrawing, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mend-card.html',
  styles: `
    :host {
      display: block;
    }
    h2 {
      font-size: var(--head);
    }
    .one-visit {
      font-size: var(--large);
      font-weight: 600;
    }
    .one-visit.no {
      color: var(--caution);
    }
    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: var(--apart);
      margin: 12px 0;
    }
    ol li {
      border: 0;
      font-size: var(--lead);
      line-height: 1.3;
    }
    ol b {
      margin-right: 4px;
    }
    .held {
      color: var(--soft);
    }
    .held ls-step-drawing {
      opacity: 0.4;
    }
    .stop {
      padding: 10px 12px;
      background: var(--stop-wash);
      color: var(--stop);
      font-weight: 600;
    }
    .table {
      overflow-x: auto;
    }
    .fields {
      grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
    }
  `,
})
export class MendCard {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  private readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  protected readonly limits = LIMITS;
  readonly room = input.required<Room>();
  readonly spot = input.required<Damage>();
  readonly mend = input.required<Mend>();

  protected readonly shape = computed(() => REPAIR[this.spot().kind].shape);
  protected readonly name = computed(() => {
    const { kind, count } = this.mend();
    return say('repairs.counted', { count, kind: damageName(kind) });
  });
  protected readonly bares = BARES.map((value) => ({ value, name: starting(say(`bare.${value}`)) }));
  /** Nothing old is touched before it was tested. */
  protected readonly held = computed(() =>
    (this.plans.plan()?.advice ?? []).some(
      ({ code, place }) => code === 'A-OLD' && concerns(place, this.room().id),
    ),
  );
  protected isHeld = (step: RepairStep): boolean => this.held() && DISTURBS.has(step);
  protected stepWords = (step: RepairStep): Message => say(`mend.${step}`);
  protected readonly passes = computed(() =>
    this.mend().layers.map((layer) => ({
      ...layer,
      name: this.compoundName(layer),
      n:
        this.mend()
          .steps.filter((step) => LAYS[step] !== undefined || step.startsWith('seal'))
          .indexOf(layer.step) + 1,
    })),
  );
  protected readonly work = computed(() =>
    this.mend().layers.reduce((sum, { minutes }) => sum + minutes, this.mend().sandMin),
  );
  protected readonly verdict = computed(() =>
    say(this.mend().oneVisit ? 'repairs.one' : 'repairs.more', {
      work: this.format.duration(this.work()),
      takes: this.format.duration(this.mend().takesMin),
    }),
  );
  protected readonly paint = computed(() =>
    this.mend().paintAfterMin > 0
      ? say('repairs.paint-later', { after: this.format.duration(this.mend().paintAfterMin) })
      : say('repairs.paint-then'),
  );
  protected readonly takes = computed((): Message[] => {
    const { tapeMm, screws, patchM2, beadMm, sealL, dustKg, float } = this.mend();
    return [
      ...(tapeMm > 0 ? [say('repairs.tape', { mm: tapeMm })] : []),
      ...(screws > 0 ? [say('repairs.screws', { screws })] : []),
      ...(patchM2 > 0 ? [say('repairs.patch', { area: patchM2 })] : []),
      ...(beadMm > 0 ? [say('repairs.bead', { mm: beadMm })] : []),
      ...(sealL > 0 ? [say('repairs.seal', { litres: sealL })] : []),
      ...(float
        ? [
            say('check.float', {
              wide: float.widthMm,
              layers: float.layers,
              leaves: float.hollowMm,
              short: float.short ? 'yes' : 'no',
            }),
          ]
        : []),
      say('repairs.dust', { grams: Math.max(1, Math.round(dustKg * 1000)) }),
    ];
  });

  /** When it can be sanded and painted, by the plan of the days. */
  protected readonly hours = computed((): Message | undefined => {
    const { id, paintAfterMin } = this.mend();
    const tasks = (this.plans.plan()?.days.tasks ?? []).filter(
      (task) => task.room === this.room().id && task.spots?.includes(id),
    );
    const last = tasks
      .map(({ end }) => end)
      .sort()
      .at(-1);
    if (last === undefined) return undefined;
    const sand = tasks.find(({ step }) => step === 'mend-sand')?.start ?? last;
    return say('repairs.hours', {
      sand: this.format.time(sand),
      paint: this.format.time(minutesOn(last, paintAfterMin)),
    });
  });
  protected readonly tools = computed(() =>
    toolsOf(this.mend().steps).map((tool) => say(`repair-tool.${tool}`)),
  );

  private compoundName({ compound, setMin }: Mend['layers'][number]): Message {
    if (compound === undefined) return say('repairs.sealer');
    const { name } = this.view.book().compounds[compound];
    return setMin === undefined
      ? say('say', { what: name })
      : say('repairs.set', { compound: name, set: setMin });
  }

  protected set<K extends 'sizeMm' | 'widthMm' | 'depthMm' | 'count' | 'on'>(key: K, value: Damage[K]): void {
    const { id } = this.spot();
    this.jobs.editRoom(
      this.room().id,
      'undo.describe-damage',
      (room) => {
        const found = room.damage?.find((one) => one.id === id);
        if (found) found[key] = value;
      },
      `${id}.${key}`,
    );
  }
  protected setOn = (on: Bare): void => this.set('on', on);

  protected clear(): void {
    this.jobs.editRoom(this.room().id, 'undo.old-clear', (room) => void (room.oldClear = true));
  }

  protected remove(): void {
    const { id } = this.spot();
    this.jobs.editRoom(
      this.room().id,
      'undo.remove-damage',
      (room) => void (room.damage = (room.damage ?? []).filter((one) => one.id !== id)),
    );
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  applyChanges,
  concerns,
  fieldInRoom,
  grazingOf,
  judgeFinish,
  LEVELS,
  needsOf,
  needsText,
  PRIMERS,
  QUALITIES,
  smallestFinish,
  usualPrimer,
  say,
  type AreaPlan,
  type Coat,
  type Decoration,
  type Finish,
  type Light,
  type FinishSpec,
  type FaceNote,
  type Primer,
  type Room,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { DECORATION_OPTIONS } from '../ui/words';
import { JobStore, type Deed } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { AdviceList } from '../ui/advice-list';
import { inTurn } from '../ui/idle-queue';
import { Cautions } from '../ui/cautions';
import { Choice, type Option } from '../ui/choice';
import { Segmented } from '../ui/segmented';
import { WorkFrame } from '../ui/work-frame';
import { CellPanel } from './cell-panel';
import { CoatBoard, type Picked } from './coat-board';
import { GradeSteps } from './grade-steps';
import { LightPicker } from './light-picker';
import { SetAsideList } from './set-aside';

/** Light by what throws it; the angle is from the wall plane. */
const LIGHTS: Option<string>[] = [
  { value: 'ordinary-30', name: say('coats.ordinary-room-light') },
  { value: 'ordinary-25', name: say('coats.window-away-from') },
  { value: 'ordinary-12', name: say('coats.side-window-12') },
  { value: 'critical-8', name: say('coats.window-next-wall') },
  { value: 'critical-5', name: say('coats.clerestory-5') },
  { value: 'critical-3', name: say('coats.wall-washer-lights') },
];

/** The grade of a room or of some of its faces, the reason for it, and its coats, cell by cell. */
@Component({
  selector: 'ls-coats-page',
  imports: [
    AdviceList,
    Cautions,
    CellPanel,
    Choice,
    CoatBoard,
    GradeSteps,
    LightPicker,
    Segmented,
    SetAsideList,
    WorkFrame,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './coats-page.html',
  styleUrl: './coats-page.css',
})
export class CoatsPage {
  /** The questions, the board and the advice come one after the other: the page answers between them. */
  protected readonly turn = inTurn(3);
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly view = inject(ViewStore);
  private readonly plans = inject(PlanStore);

  protected readonly decorations = DECORATION_OPTIONS;
  protected readonly scales = [
    { value: 'level' as const, name: say('coats.levels-0-5') },
    { value: 'q' as const, name: say('coats.qualities-1-4') },
  ];
  protected readonly needsText = needsText;

  /** A face looked at by itself, or none for the room at large. */
  protected readonly face = signal('');
  protected readonly picking = signal(false);
  protected readonly picked = signal<Picked | undefined>(undefined);

  protected readonly faces = computed<Option<string>[]>(() => [
    { value: '', name: say('area.room') },
    ...(this.view.roomPlan()?.faces ?? [])
      .filter((f) => f.boarded && f.kind !== 'reveal')
      .map(({ id, name }) => ({
        value: id,
        name: this.ownFace(id) ? say('face.own', { face: name }) : name,
      })),
  ]);

  private ownFace(id: string): boolean {
    const note = this.view.room()?.faces?.[id];
    return !!note && (['finish', 'decoration', 'light', 'primer'] as const).some((key) => note[key]);
  }

  /** The face asked for, while it is there. */
  private readonly at = computed(() =>
    this.faces().some((f) => f.value === this.face()) ? this.face() : '',
  );
  protected readonly ownLook = computed(() => this.at() !== '' && this.ownFace(this.at()));

  /** What is shown: the area the face lies in, or the room at large. */
  protected readonly area = computed<AreaPlan | undefined>(() => {
    const areas = this.view.roomPlan()?.areas;
    return this.at() ? areas?.find((a) => a.faces.includes(this.at())) : areas?.[0];
  });
  protected readonly look = computed<FinishSpec | undefined>(() => this.area() ?? this.view.room());

  protected readonly verdict = computed(() => {
    const look = this.look();
    return look && judgeFinish(look.finish, look.decoration, look.light);
  });
  protected readonly needs = computed(() => {
    const look = this.look();
    return look && needsOf(look.finish);
  });
  protected readonly grades = computed(() =>
    (this.look()?.finish.scale === 'q' ? QUALITIES : LEVELS).map((value: number) => ({
      value,
      name: String(value),
    })),
  );

  protected readonly primers = computed<Option<Primer | ''>[]>(() => {
    const usual = usualPrimer(this.look()?.decoration ?? 'none');
    return [
      { value: '', name: say('primer.usual', { primer: say(`primer.${usual}`) }) },
      ...PRIMERS.map((value) => ({ value, name: say(`primer.${value}`) })),
    ];
  });
  protected readonly primer = computed<Primer | ''>(() => this.look()?.primer ?? '');

  protected readonly lights = computed<Option<string>[]>(() => {
    const now = this.light();
    const sources = this.sources().map(({ id, name }) => ({ value: `from-${id}`, name }));
    const all = [...LIGHTS, ...sources];
    if (all.some((l) => l.value === now)) return all;
    return [...all, { value: now, name: say('coats.light-angle', { deg: now.split('-')[1] ?? '' }) }];
  });
  private readonly sources = computed(() => {
    const room = this.view.room();
    return [
      ...(room?.openings ?? []).map((o) => ({
        id: o.id,
        name: say('openings.on-wall', { kind: say(`openings.${o.kind}`), wall: o.wall + 1 }),
      })),
      ...(room?.lamps ?? []).map((lamp, i) => ({ id: lamp.id, name: say('light.lamp', { n: i + 1 }) })),
    ];
  });
  protected readonly light = computed(() => {
    const light = this.look()?.light ?? { kind: 'ordinary' as const };
    return light.from === undefined ? `${light.kind}-${grazingOf(light)}` : `from-${light.from}`;
  });
  protected readonly angle = computed(() => {
    const light = this.look()?.light;
    return light?.from === undefined
      ? ''
      : this.texts.t('coats.light-least', { deg: Math.round(grazingOf(light) * 10) / 10 });
  });

  /** This area's advice and the job's. */
  protected readonly advice = computed(() => {
    const id = this.view.room()?.id;
    const area = this.area()?.id;
    return (
      this.plans
        .plan()
        ?.advice.filter(
          ({ place }) => concerns(place, id) && (place.area === undefined || place.area === area),
        ) ?? []
    );
  });
  /** What other rooms are advised, told with their names. */
  protected readonly elsewhere = computed(() => {
    const id = this.view.room()?.id;
    const advice = this.plans.plan()?.advice ?? [];
    return advice.filter(({ place }) => !concerns(place, id));
  });
  protected readonly setAside = computed(() => {
    const id = this.view.room()?.id;
    return this.plans.plan()?.setAside.filter(({ advice }) => (advice.place.room ?? id) === id) ?? [];
  });

  /** The picked cell as it is now; a row that is gone takes its cell with it. */
  protected readonly cell = computed(() => {
    const at = this.picked();
    const row = at && this.area()?.rows.find((r) => r.id === at.row);
    return at && row ? { row, coat: at.coat } : undefined;
  });

  protected pick(row: string, coat: Coat): void {
    this.picked.set({ row, coat });
  }

  private set<K extends keyof FinishSpec>(label: Deed, key: K, value: Room[K] & FaceNote[K]): void {
    const room = this.view.room();
    if (!room) return;
    const at = this.at();
    const change = at
      ? fieldInRoom(room.id, ['faces', at], key, value)
      : fieldInRoom(room.id, [], key, value);
    this.jobs.edit(label, (job) => applyChanges(job, [change]));
  }

  protected setGrade(grade: number): void {
    const scale = this.look()?.finish.scale ?? 'level';
    this.set(say('undo.finish-grade', { grade: say(`grade.${scale}`, { grade }) }), 'finish', {
      scale,
      grade,
    } as Finish);
  }

  protected setScale(scale: Finish['scale']): void {
    const look = this.look();
    if (look && look.finish.scale !== scale)
      this.set('undo.change-scale', 'finish', smallestFinish(look.decoration, look.light, scale));
  }

  protected setDecoration(decoration: Decoration): void {
    this.set('undo.change-decoration', 'decoration', decoration);
  }

  protected setPrimer(primer: Primer | ''): void {
    this.set('undo.change-primer', 'primer', primer === '' ? undefined : primer);
  }

  protected setLight(value: string): void {
    const [kind = '', ...rest] = value.split('-');
    if (kind === 'from') this.lightFrom(rest.join('-'));
    else {
      const light: Light = {
        kind: kind === 'critical' ? 'critical' : 'ordinary',
        grazingDeg: Number(rest[0]),
      };
      this.set('undo.change-light', 'light', light);
    }
  }

  /** Light from a window or lamp: its place gives the angle on each face. */
  protected lightFrom(id: string): void {
    this.set('undo.pick-light', 'light', { kind: 'ordinary', from: id });
  }

  protected asRoom(): void {
    const room = this.view.room();
    const at = this.at();
    if (!room || !at) return;
    this.jobs.edit('undo.finish-face-as-room', (job) =>
      applyChanges(
        job,
        (['finish', 'decoration', 'light', 'primer'] as const).map((key) =>
          fieldInRoom(room.id, ['faces', at], key, undefined),
        ),
      ),
    );
  }
}

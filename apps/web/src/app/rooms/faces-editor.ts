import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  UNBOARDED_REASONS,
  SUBSTRATES,
  LIMITS,
  upTo,
  say,
  type Face,
  type FaceNote,
  type Room,
  type RoomPlan,
  type Seam,
  type Substrate,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Check } from '../ui/check';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { Choice, type Option } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { newId } from '../new-id';

/** What is known of one face where it differs from its room, and where old work begins on it. */
@Component({
  selector: 'ls-faces',
  imports: [Check, Choice, MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-choice
      [label]="texts.t('surfaces.wall-ceiling')"
      [options]="faces()"
      [value]="id()"
      (changed)="picked.set($event)"
    />
    @if (face(); as one) {
      <div class="edit">
        <ls-choice
          [label]="texts.t('surfaces.boards-run')"
          [options]="alongs"
          [value]="note().along ?? ''"
          (changed)="set('along', $event || undefined)"
        />
        <ls-choice
          [label]="texts.t('surfaces.first-row')"
          [options]="froms"
          [value]="note().from ?? ''"
          (changed)="set('from', $event || undefined)"
        />
        <ls-choice
          [label]="texts.t('surfaces.framing-runs')"
          [options]="framings"
          [value]="note().framing ?? ''"
          (changed)="set('framing', $event || undefined)"
        />
        <ls-measure
          [label]="texts.t('surfaces.framing-spacing')"
          bareFeet="in"
          [small]="true"
          [mm]="note().framingMm ?? one.laid?.framingMm"
          [limit]="limits.face.framingMm"
          (changed)="set('framingMm', $event)"
        />
        <ls-choice
          [label]="texts.t('surfaces.surface')"
          [options]="substrates"
          [value]="note().substrate ?? ''"
          (changed)="set('substrate', $event || undefined)"
        />
        <div>
          <ls-check [on]="note().rated" (turned)="flag('rated')">{{
            texts.t('surfaces.fire-rated')
          }}</ls-check>
          <ls-check [on]="note().unboarded" (turned)="flag('unboarded')">{{
            texts.t('surfaces.no-board')
          }}</ls-check>
        </div>
        @if (note().unboarded) {
          <ls-choice
            [label]="texts.t('surfaces.what-there-instead')"
            [options]="insteads"
            [value]="note().instead ?? ''"
            (changed)="set('instead', $event || undefined)"
          />
        }
        @if (note().cuts) {
          <button type="button" class="link" (click)="set('cuts', undefined)">
            {{ texts.t('surfaces.reset-its-rows') }}
          </button>
        }
      </div>
      @for (seam of seams(); track seam.id) {
        <p class="small">{{ texts.t('surfaces.old-work-meets') }}</p>
        <div class="edit">
          <ls-choice
            [label]="texts.t('surfaces.line-runs')"
            [options]="runs"
            [value]="seam.runs"
            (changed)="setSeam(seam.id, 'runs', $event)"
          />
          <ls-measure
            [label]="texts.t(seam.runs === 'up' ? 'surfaces.from-left' : 'surfaces.from-bottom')"
            bareFeet="in"
            [mm]="seam.atMm"
            (changed)="setSeam(seam.id, 'atMm', $event)"
          />
          <ls-choice
            [label]="texts.t('surfaces.old-side')"
            [options]="seam.runs === 'up' ? sides : levels"
            [value]="seam.old"
            (changed)="setSeam(seam.id, 'old', $event)"
          />
          <ls-measure
            [label]="texts.t('surfaces.new-side-higher')"
            bareFeet="in"
            [small]="true"
            [mm]="seam.stepMm"
            [limit]="upTo(limits.seam.stepMm)"
            (changed)="setSeam(seam.id, 'stepMm', $event)"
          />
          <button type="button" class="quiet" (click)="removeSeam(seam.id)">
            {{ texts.t('surfaces.remove-old-new') }}
          </button>
        </div>
      } @empty {
        <button type="button" class="link" (click)="addSeam(one)">
          {{ texts.t('surfaces.add-old-new') }}
        </button>
      }
    }
  `,
  styleUrl: './lines.css',
})
export class FacesEditor {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly upTo = upTo;
  private readonly jobs = inject(JobStore);
  protected readonly format = inject(Format);
  readonly room = input.required<Room>();
  readonly plan = input.required<RoomPlan>();

  protected readonly picked = signal<string | undefined>(undefined);
  protected readonly alongs: Option<'' | 'across' | 'upright'>[] = [
    { value: '' as const, name: say('surfaces.same-as-room') },
    { value: 'across' as const, name: say('surfaces.across-framing') },
    { value: 'upright' as const, name: say('surfaces.along-framing') },
  ];
  protected readonly froms: Option<'' | 'high' | 'low'>[] = [
    { value: '' as const, name: say('surfaces.automatic') },
    { value: 'high' as const, name: say('surfaces.top-right') },
    { value: 'low' as const, name: say('surfaces.bottom-left') },
  ];
  protected readonly framings: Option<'' | 'up' | 'along'>[] = [
    { value: '' as const, name: say('surfaces.same-as-room') },
    { value: 'up' as const, name: say('surfaces.vertical') },
    { value: 'along' as const, name: say('surfaces.horizontal') },
  ];
  protected readonly runs = [
    { value: 'up' as const, name: say('surfaces.vertical') },
    { value: 'along' as const, name: say('surfaces.horizontal') },
  ];
  protected readonly sides = [
    { value: 'low' as const, name: say('surfaces.left') },
    { value: 'high' as const, name: say('surfaces.right') },
  ];
  protected readonly levels = [
    { value: 'low' as const, name: say('surfaces.below') },
    { value: 'high' as const, name: say('surfaces.above') },
  ];
  protected readonly substrates: Option<'' | Substrate>[] = [
    { value: '' as const, name: say('surfaces.same-as-room') },
    ...SUBSTRATES.map((value) => ({ value, name: say(`substrate.${value}`) })),
  ];

  protected readonly insteads = [
    { value: '' as const, name: say('surfaces.not-set') },
    ...UNBOARDED_REASONS.map((value) => ({ value, name: say(`instead.${value}`) })),
  ];

  private readonly choosable = computed(() => this.plan().faces.filter((face) => face.kind !== 'reveal'));
  protected readonly faces = computed(() =>
    this.choosable().map((face) => ({
      value: face.id,
      name: this.room().faces?.[face.id] ? say('face.own', { face: face.name }) : face.name,
    })),
  );
  protected readonly id = computed(() => {
    const picked = this.picked();
    const all = this.choosable();
    return all.find((face) => face.id === picked)?.id ?? all[0]?.id ?? '';
  });
  protected readonly face = computed(() => this.choosable().find((face) => face.id === this.id()));
  protected readonly note = computed<FaceNote>(() => this.room().faces?.[this.id()] ?? {});
  protected readonly seams = computed(() =>
    (this.room().seams ?? []).filter((seam) => seam.face === this.id()),
  );

  protected set<K extends keyof FaceNote>(key: K, value: FaceNote[K]): void {
    const id = this.id();
    this.jobs.editRoom(
      this.room().id,
      'undo.change-face',
      (room) => {
        const { [key]: _, ...rest } = room.faces?.[id] ?? {};
        const note: FaceNote = value === undefined ? rest : { ...rest, [key]: value };
        const { [id]: __, ...others } = room.faces ?? {};
        const faces = Object.keys(note).length > 0 ? { ...others, [id]: note } : others;
        if (Object.keys(faces).length > 0) room.faces = faces;
        else delete room.faces;
      },
      key === 'framingMm' ? `${id}.framingMm` : '',
    );
  }

  protected flag(key: 'rated' | 'unboarded'): void {
    this.set(key, this.note()[key] === true ? undefined : true);
  }

  protected addSeam({ id, box }: Face): void {
    const seam: Seam = {
      id: newId(),
      face: id,
      runs: 'up',
      atMm: Math.round((box[0] + box[2]) / 2),
      old: 'low',
      stepMm: 0,
    };
    this.jobs.editRoom(
      this.room().id,
      'undo.add-seam',
      (room) => void (room.seams = [...(room.seams ?? []), { ...seam }]),
    );
  }

  protected setSeam<K extends keyof Seam>(id: string, key: K, value: Seam[K]): void {
    this.jobs.editRoom(
      this.room().id,
      'undo.change-seam',
      (room) => {
        const seam = room.seams?.find((one) => one.id === id);
        if (seam) seam[key] = value;
      },
      `${id}.${key}`,
    );
  }

  protected removeSeam(id: string): void {
    this.jobs.editRoom(
      this.room().id,
      'undo.remove-seam',
      (room) => void (room.seams = (room.seams ?? []).filter((seam) => seam.id !== id)),
    );
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  INSTEADS,
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
    <ls-choice label="Face" [options]="faces()" [value]="id()" (changed)="picked.set($event)" />
    @if (face(); as one) {
      <div class="edit">
        <ls-choice
          label="Boards run"
          [options]="alongs"
          [value]="note().along ?? ''"
          (changed)="set('along', $event || undefined)"
        />
        <ls-choice
          label="Rows start"
          [options]="froms"
          [value]="note().from ?? ''"
          (changed)="set('from', $event || undefined)"
        />
        <ls-choice
          label="Framing runs"
          [options]="framings"
          [value]="note().framing ?? ''"
          (changed)="set('framing', $event || undefined)"
        />
        <ls-measure
          label="Framing apart"
          bareFeet="in"
          [small]="true"
          [mm]="note().framingMm ?? one.laid?.framingMm"
          [limit]="limits.face.framingMm"
          (changed)="set('framingMm', $event)"
        />
        <ls-choice
          label="Surface"
          [options]="substrates"
          [value]="note().substrate ?? ''"
          (changed)="set('substrate', $event || undefined)"
        />
        <div>
          <ls-check [on]="note().rated" (turned)="flag('rated')">Rated</ls-check>
          <ls-check [on]="note().unboarded" (turned)="flag('unboarded')">Stays unboarded</ls-check>
        </div>
        @if (note().unboarded) {
          <ls-choice
            label="What stands there"
            [options]="insteads"
            [value]="note().instead ?? ''"
            (changed)="set('instead', $event || undefined)"
          />
        }
        @if (note().cuts) {
          <button type="button" class="link" (click)="set('cuts', undefined)">
            Let Lisse lay its rows again
          </button>
        }
      </div>
      @for (seam of seams(); track seam.id) {
        <p class="small">Old work meets new board:</p>
        <div class="edit">
          <ls-choice
            label="The line runs"
            [options]="runs"
            [value]="seam.runs"
            (changed)="setSeam(seam.id, 'runs', $event)"
          />
          <ls-measure
            [label]="seam.runs === 'up' ? 'From left' : 'From below'"
            bareFeet="in"
            [mm]="seam.atMm"
            (changed)="setSeam(seam.id, 'atMm', $event)"
          />
          <ls-choice
            label="Old side"
            [options]="seam.runs === 'up' ? sides : levels"
            [value]="seam.old"
            (changed)="setSeam(seam.id, 'old', $event)"
          />
          <ls-measure
            label="New stands higher by"
            bareFeet="in"
            [small]="true"
            [mm]="seam.stepMm"
            [limit]="upTo(limits.seam.stepMm)"
            (changed)="setSeam(seam.id, 'stepMm', $event)"
          />
          <button type="button" class="quiet" (click)="removeSeam(seam.id)">Remove the seam</button>
        </div>
      } @empty {
        <button type="button" class="link" (click)="addSeam(one)">Old work meets new on this face</button>
      }
    }
  `,
  styleUrl: './lines.css',
})
export class FacesEditor {
  protected readonly limits = LIMITS;
  protected readonly upTo = upTo;
  private readonly jobs = inject(JobStore);
  protected readonly format = inject(Format);
  readonly room = input.required<Room>();
  readonly plan = input.required<RoomPlan>();

  protected readonly picked = signal<string | undefined>(undefined);
  protected readonly alongs: Option<'' | 'across' | 'upright'>[] = [
    { value: '' as const, name: 'as the room' },
    { value: 'across' as const, name: 'across framing' },
    { value: 'upright' as const, name: 'along framing' },
  ];
  protected readonly froms: Option<'' | 'high' | 'low'>[] = [
    { value: '' as const, name: 'where it suits' },
    { value: 'high' as const, name: 'top or right' },
    { value: 'low' as const, name: 'foot or left' },
  ];
  protected readonly framings: Option<'' | 'up' | 'along'>[] = [
    { value: '' as const, name: 'as the room' },
    { value: 'up' as const, name: 'up the face' },
    { value: 'along' as const, name: 'along the face' },
  ];
  protected readonly runs = [
    { value: 'up' as const, name: 'up the face' },
    { value: 'along' as const, name: 'along it' },
  ];
  protected readonly sides = [
    { value: 'low' as const, name: 'left' },
    { value: 'high' as const, name: 'right' },
  ];
  protected readonly levels = [
    { value: 'low' as const, name: 'below' },
    { value: 'high' as const, name: 'above' },
  ];
  protected readonly substrates: Option<'' | Substrate>[] = [
    { value: '' as const, name: 'as the room' },
    ...SUBSTRATES.map((value) => ({ value, name: say(`substrate.${value}`) })),
  ];

  protected readonly insteads = [
    { value: '' as const, name: 'not said yet' },
    ...INSTEADS.map((value) => ({ value, name: say(`instead.${value}`) })),
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

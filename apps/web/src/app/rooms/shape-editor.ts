import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  BOXES,
  heights,
  roomProblems,
  wallLengths,
  LIMITS,
  say,
  type Box,
  type BoxKind,
  type Ceiling,
  type Closet,
  type Room,
  type Message,
  usualSize,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { Choice, type Option } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { OpenLine } from './open-line';
import { newId } from '../new-id';

type BoxSize = 'leftMm' | 'offMm' | 'alongMm' | 'outMm' | 'bottomMm';
type ClosetSize = Exclude<keyof Closet, 'id' | 'wall' | 'returns'>;

/** The measures of a box and of a closet, and the least each may be, mm. */
const BOX_SIZES: readonly { key: BoxSize; label: Message }[] = [
  { key: 'leftMm', label: say('shape.from-left') },
  { key: 'offMm', label: say('shape.off-wall') },
  { key: 'alongMm', label: say('shape.length-along-wall') },
  { key: 'outMm', label: say('shape.depth') },
  { key: 'bottomMm', label: say('shape.bottom-above-floor') },
];
const CLOSET_SIZES: readonly { key: ClosetSize; label: Message }[] = [
  { key: 'leftMm', label: say('shape.from-left') },
  { key: 'widthMm', label: say('shape.width') },
  { key: 'depthMm', label: say('shape.depth') },
  { key: 'heightMm', label: say('shape.height') },
  { key: 'doorLeftMm', label: say('shape.opening-from-its') },
  { key: 'doorWidthMm', label: say('shape.opening-width') },
  { key: 'doorHeightMm', label: say('shape.opening-height') },
];

/** What makes a room more than a box: a sloped ceiling, soffits and columns, closets. */
@Component({
  selector: 'ls-shape',
  imports: [Choice, MeasureInput, OpenLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>{{ texts.t('shape.ceiling') }}</h3>
    <div class="edit">
      <ls-choice
        [label]="texts.t('shape.ceiling-shape')"
        [options]="ceilings"
        [value]="kind()"
        (changed)="setKind($event)"
      />
      @if (room().ceiling; as ceiling) {
        <ls-choice
          [label]="texts.t(ceiling.kind === 'slope' ? 'shape.rises' : 'shape.ridge-along')"
          [options]="walls()"
          [value]="ceiling.wall"
          (changed)="setCeiling('wall', $event)"
        />
        <ls-measure
          [label]="texts.t(ceiling.kind === 'slope' ? 'shape.high' : 'shape.ridge')"
          [mm]="ceiling.highMm"
          [limit]="limits.ceiling.highMm"
          (changed)="setCeiling('highMm', $event)"
        />
        @if (ceiling.flatMm === undefined) {
          <button type="button" class="link" (click)="setFlat(true)">
            {{ texts.t('shape.add-flat-top') }}
          </button>
        } @else {
          <ls-measure
            [label]="texts.t('shape.height-flat-top')"
            [mm]="ceiling.flatMm"
            [limit]="limits.ceiling.flatMm"
            (changed)="setCeiling('flatMm', $event)"
          />
          <button type="button" class="link" (click)="setFlat(false)">
            {{ texts.t('shape.remove-flat-top') }}
          </button>
        }
        @if (wrong('ceiling'); as why) {
          <p class="wrong">{{ why }}</p>
        }
      }
    </div>
    <div class="head">
      <h3>{{ texts.t('shape.soffits-beams-columns') }}</h3>
      @for (one of boxKinds; track one) {
        <button type="button" class="link" (click)="addBox(one)">{{ texts.say(partName(one)) }}</button>
      }
      <button type="button" class="link" (click)="addCloset()">{{ texts.t('shape.closet') }}</button>
    </div>
    <ul>
      @for (box of room().boxes; track box.id; let i = $index) {
        <li>
          <ls-line
            [name]="onWall(box.kind, box.wall)"
            [size]="format.small(box.alongMm) + ' × ' + format.small(box.outMm)"
            [wrong]="wrong('boxes[' + i + ']')"
            [open]="open() === box.id"
            (toggled)="open.set(open() === box.id ? undefined : box.id)"
          >
            @if (open() === box.id) {
              <ls-choice
                [label]="texts.t('shape.kind')"
                [options]="boxOptions"
                [value]="box.kind"
                (changed)="setBox(box.id, 'kind', $event)"
              />
              <ls-choice
                [label]="texts.t('shape.wall')"
                [options]="walls()"
                [value]="box.wall"
                (changed)="setBox(box.id, 'wall', $event)"
              />
              @for (one of boxSizes; track one.key) {
                <ls-measure
                  [label]="one.label"
                  bareFeet="in"
                  [mm]="box[one.key]"
                  [limit]="limits.box[one.key]"
                  (changed)="setBox(box.id, one.key, $event, true)"
                />
              }
              @if (box.topMm === undefined) {
                <button type="button" class="link" (click)="setBox(box.id, 'topMm', box.bottomMm + 400)">
                  {{ texts.t('shape.stops-below-ceiling') }}
                </button>
              } @else {
                <ls-measure
                  [label]="texts.t('shape.top-above-floor')"
                  bareFeet="in"
                  [mm]="box.topMm"
                  [limit]="limits.box.topMm"
                  (changed)="setBox(box.id, 'topMm', $event, true)"
                />
              }
              <button type="button" class="quiet" (click)="remove('boxes', box.id, box.kind)">
                {{ texts.t('shape.remove') }}
              </button>
            }
          </ls-line>
        </li>
      }
      @for (closet of room().closets; track closet.id; let i = $index) {
        <li>
          <ls-line
            [name]="onWall('closet', closet.wall)"
            [size]="format.small(closet.widthMm) + ' × ' + format.small(closet.depthMm)"
            [wrong]="wrong('closets[' + i + ']')"
            [open]="open() === closet.id"
            (toggled)="open.set(open() === closet.id ? undefined : closet.id)"
          >
            @if (open() === closet.id) {
              <ls-choice
                [label]="texts.t('shape.wall')"
                [options]="walls()"
                [value]="closet.wall"
                (changed)="setCloset(closet.id, 'wall', $event)"
              />
              <ls-choice
                [label]="texts.t('shape.returns')"
                [options]="returns"
                [value]="closet.returns"
                (changed)="setCloset(closet.id, 'returns', $event)"
              />
              @for (one of closetSizes; track one.key) {
                <ls-measure
                  [label]="one.label"
                  bareFeet="in"
                  [mm]="closet[one.key]"
                  [limit]="limits.closet[one.key]"
                  (changed)="setCloset(closet.id, one.key, $event, true)"
                />
              }
              <button type="button" class="quiet" (click)="remove('closets', closet.id, 'closet')">
                {{ texts.t('shape.remove') }}
              </button>
            }
          </ls-line>
        </li>
      }
    </ul>
  `,
  styleUrl: './lines.css',
})
export class ShapeEditor {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  private readonly jobs = inject(JobStore);
  protected readonly format = inject(Format);
  readonly room = input.required<Room>();

  protected readonly open = signal<string | undefined>(undefined);
  protected readonly ceilings: Option<'flat' | Ceiling['kind']>[] = [
    { value: 'flat' as const, name: say('shape.flat') },
    { value: 'slope' as const, name: say('shape.one-slope') },
    { value: 'gable' as const, name: say('shape.gable') },
  ];
  protected readonly boxKinds = BOXES;
  protected readonly boxOptions = BOXES.map((value) => ({ value, name: say(`box-kind.${value}`) }));
  protected readonly boxSizes = BOX_SIZES;
  protected readonly closetSizes = CLOSET_SIZES;
  protected readonly returns = [
    { value: 'cased' as const, name: say('shape.cased') },
    { value: 'boarded' as const, name: say('shape.boarded-bead') },
  ];
  protected readonly kind = computed<'flat' | Ceiling['kind']>(() => this.room().ceiling?.kind ?? 'flat');
  protected readonly walls = computed(() =>
    wallLengths(this.room()).map((mm, value) => ({
      value,
      name: say('walls.option', { n: value + 1, length: this.format.length(mm) }),
    })),
  );
  private readonly problems = computed(() => roomProblems(this.room(), 'room'));

  protected wrong(at: string): string | undefined {
    const problem = this.problems().find((p) => p.path.startsWith(`room.${at}`));
    return problem && this.texts.t('misfit.it', { message: problem.message });
  }

  /** A usual size, round in the units of the job. */
  private usual = (mm: number): number => usualSize(mm, this.format.units());

  private change(label: Deed, recipe: (room: Room) => void, key = ''): void {
    this.jobs.editRoom(this.room().id, label, recipe, key);
  }

  protected setKind(kind: 'flat' | Ceiling['kind']): void {
    const rise = this.usual(900);
    this.change('undo.change-ceiling', (room) => {
      if (kind === 'flat') delete room.ceiling;
      else room.ceiling = { wall: 0, highMm: room.plan.heightMm + rise, ...room.ceiling, kind };
    });
  }

  protected setCeiling<K extends 'wall' | 'highMm' | 'flatMm'>(key: K, value: number): void {
    this.change(
      'undo.change-ceiling',
      (room) => {
        if (room.ceiling) room.ceiling[key] = value;
      },
      `ceiling.${key}`,
    );
  }

  protected setFlat(flat: boolean): void {
    this.change('undo.change-ceiling', ({ ceiling, plan }) => {
      if (!ceiling) return;
      if (flat) ceiling.flatMm = Math.round((plan.heightMm + ceiling.highMm) / 2);
      else delete ceiling.flatMm;
    });
  }

  protected addBox(kind: BoxKind): void {
    const room = this.room();
    const long = wallLengths(room)[0] ?? 3000;
    const high = Math.round(heights(room)[0]);
    const along = kind === 'column' ? this.usual(300) : Math.round(long);
    const box: Box = {
      id: newId(),
      kind,
      wall: 0,
      leftMm: kind === 'column' ? Math.round((long - along) / 2) : 0,
      offMm: 0,
      alongMm: kind === 'ledge' ? Math.min(along, this.usual(1200)) : along,
      outMm: this.usual(kind === 'beam' ? 200 : kind === 'column' ? 300 : 400),
      bottomMm: kind === 'soffit' || kind === 'beam' ? Math.max(0, high - this.usual(300)) : 0,
      ...(kind === 'ledge' ? { topMm: this.usual(450) } : {}),
    };
    this.change(
      say('undo.add', { what: say(`box.${kind}`) }),
      (found) => void (found.boxes = [...(found.boxes ?? []), { ...box }]),
    );
    this.open.set(box.id);
  }

  protected addCloset(): void {
    const room = this.room();
    const lengths = wallLengths(room);
    const apart = this.usual(300);
    const widthMm = this.usual(1500);
    // Behind the first wall with space clear of its openings.
    const free = (wall: number) =>
      Math.max(
        apart,
        ...room.openings.filter((o) => o.wall === wall).map((o) => o.leftMm + o.widthMm + apart),
        ...(room.closets ?? []).filter((c) => c.wall === wall).map((c) => c.leftMm + c.widthMm + apart),
      );
    const wall = Math.max(
      0,
      lengths.findIndex((length, i) => free(i) + widthMm <= length),
    );
    const heightMm = Math.round(heights(room)[0]);
    const closet: Closet = {
      id: newId(),
      wall,
      leftMm: free(wall),
      widthMm,
      depthMm: this.usual(610),
      heightMm,
      doorLeftMm: this.usual(150),
      doorWidthMm: this.usual(1200),
      doorHeightMm: Math.min(this.usual(2030), heightMm),
      returns: 'cased',
    };
    this.change(
      'undo.add-closet',
      (found) => void (found.closets = [...(found.closets ?? []), { ...closet }]),
    );
    this.open.set(closet.id);
  }

  protected setBox<K extends keyof Box>(id: string, key: K, value: Box[K], typed = false): void {
    this.change(
      'undo.change-box',
      (room) => {
        const box = room.boxes?.find((b) => b.id === id);
        if (box) box[key] = value;
      },
      typed ? `${id}.${key}` : '',
    );
  }

  protected setCloset<K extends keyof Closet>(id: string, key: K, value: Closet[K], typed = false): void {
    this.change(
      'undo.change-closet',
      (room) => {
        const closet = room.closets?.find((c) => c.id === id);
        if (closet) closet[key] = value;
      },
      typed ? `${id}.${key}` : '',
    );
  }

  protected readonly partName = partName;
  protected onWall = (what: BoxKind | 'closet', wall: number): Message =>
    say('part.on-wall', { part: partName(what), wall: wall + 1 });

  protected remove(list: 'boxes' | 'closets', id: string, what: BoxKind | 'closet'): void {
    this.change(say('undo.remove', { what: partName(what) }), (room) => {
      if (list === 'boxes') room.boxes = room.boxes?.filter((box) => box.id !== id) ?? [];
      else room.closets = room.closets?.filter((closet) => closet.id !== id) ?? [];
    });
  }
}

const partName = (what: BoxKind | 'closet'): Message =>
  say(what === 'closet' ? 'part.closets' : `box.${what}`);

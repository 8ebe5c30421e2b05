import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import {
  openingProblems,
  wallLengths,
  LIMITS,
  say,
  type Opening,
  type Room,
  type Message,
  usualSize,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { OpenLine } from './open-line';
import { newId } from '../new-id';

type Size = 'leftMm' | 'bottomMm' | 'widthMm' | 'heightMm';
type AnySize = Size | 'depthMm' | 'archMm';

/** Usual sizes of a new opening, mm. */
const USUAL: Record<Opening['kind'], Pick<Opening, Exclude<Size, 'leftMm'>>> = {
  door: { bottomMm: 0, widthMm: 812.8, heightMm: 2032 },
  window: { bottomMm: 914.4, widthMm: 1219.2, heightMm: 1066.8 },
  opening: { bottomMm: 0, widthMm: 1219.2, heightMm: 2032 },
};

/** The measures of an opening and what each may be, mm. */
const SIZES: readonly { key: Size; label: Message }[] = [
  { key: 'leftMm', label: say('openings.from-left') },
  { key: 'bottomMm', label: say('openings.from-floor') },
  { key: 'widthMm', label: say('openings.width') },
  { key: 'heightMm', label: say('openings.height') },
];

/** What an opening is called. */
const KIND_TEXT = {
  door: 'openings.door',
  window: 'openings.window',
  opening: 'openings.opening',
} as const;

const KINDS = [
  { value: 'door' as const, name: say('openings.door') },
  { value: 'window' as const, name: say('openings.window') },
  { value: 'opening' as const, name: say('openings.opening') },
];

/** Doors, windows and doorways of a room: where each stands, how large, cased or boarded into. */
@Component({
  selector: 'ls-openings',
  imports: [Choice, MeasureInput, OpenLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <button type="button" class="link" (click)="add('door')">{{ texts.t('openings.add-door') }}</button>
      <button type="button" class="link" (click)="add('window')">{{ texts.t('openings.add-window') }}</button>
    </div>
    <ul>
      @for (o of room().openings; track o.id) {
        <li>
          <ls-line
            [name]="texts.t('openings.on-wall', { kind: texts.t(kindText[o.kind]), wall: o.wall + 1 })"
            [size]="format.small(o.widthMm) + ' × ' + format.small(o.heightMm)"
            [wrong]="wrong(o)"
            [open]="open() === o.id"
            (toggled)="open.set(open() === o.id ? undefined : o.id)"
          >
            @if (open() === o.id) {
              <ls-choice
                [label]="texts.t('openings.kind')"
                [options]="kinds"
                [value]="o.kind"
                (changed)="set(o, 'kind', $event)"
              />
              <ls-choice
                [label]="texts.t('openings.wall')"
                [options]="walls()"
                [value]="o.wall"
                (changed)="set(o, 'wall', $event)"
              />
              @for (one of sizes; track one.key) {
                <ls-measure
                  [label]="one.label"
                  bareFeet="in"
                  [mm]="o[one.key]"
                  [limit]="limits.opening[one.key]"
                  (changed)="size(o, one.key, $event)"
                />
              }
              <ls-choice
                [label]="texts.t('openings.returns')"
                [options]="returns"
                [value]="o.returns"
                (changed)="set(o, 'returns', $event)"
              />
              @if (o.returns === 'boarded') {
                <ls-measure
                  [label]="texts.t(o.depthMm === undefined ? 'openings.depth-typical' : 'openings.depth')"
                  bareFeet="in"
                  [small]="true"
                  [mm]="o.depthMm ?? depth()"
                  [limit]="limits.opening.depthMm"
                  (changed)="size(o, 'depthMm', $event)"
                />
                @if (o.bottomMm > 0) {
                  <ls-choice
                    [label]="texts.t('openings.sill')"
                    [options]="sills"
                    [value]="o.sill ?? 'boarded'"
                    (changed)="set(o, 'sill', $event)"
                  />
                }
              }
              <ls-measure
                [label]="texts.t('openings.arch-rises')"
                bareFeet="in"
                [mm]="o.archMm ?? 0"
                [limit]="limits.opening.archMm"
                (changed)="size(o, 'archMm', $event)"
              />
              @if (o.archMm) {
                <p class="small soft">
                  {{ texts.t('openings.arch-drawn-cut') }}
                </p>
              }
              <button type="button" class="quiet" (click)="remove(o)">
                {{ texts.t('openings.remove') }}
              </button>
            }
          </ls-line>
        </li>
      } @empty {
        <li class="soft small">{{ texts.t('openings.no-openings-yet') }}</li>
      }
    </ul>
  `,
  styleUrl: './lines.css',
})
export class OpeningsEditor {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  private readonly jobs = inject(JobStore);
  private readonly view = inject(ViewStore);
  protected readonly format = inject(Format);
  readonly room = input.required<Room>();

  /** The opening whose measures are shown; the one picked on the drawing. */
  protected readonly open = linkedSignal(() => this.picked());
  readonly picked = input<string>();
  protected readonly depth = computed(() => this.view.book().revealMm.value);
  protected readonly kinds = KINDS;
  protected readonly kindText = KIND_TEXT;
  protected readonly sizes = SIZES;
  protected readonly returns = [
    { value: 'cased' as const, name: say('openings.cased') },
    { value: 'boarded' as const, name: say('openings.boarded-bead') },
    { value: 'trim' as const, name: say('openings.l-trim') },
  ];
  protected readonly sills = [
    { value: 'boarded' as const, name: say('openings.boarded') },
    { value: 'other' as const, name: say('openings.other-material') },
  ];
  protected readonly walls = computed(() =>
    wallLengths(this.room()).map((mm, value) => ({
      value,
      name: say('walls.option', { n: value + 1, length: this.format.length(mm) }),
    })),
  );
  private readonly problems = computed(() => openingProblems(this.room(), ''));

  protected wrong(o: Opening): string | undefined {
    const i = this.room().openings.indexOf(o);
    const problem = this.problems().find((p) => p.path.startsWith(`.openings[${i}]`));
    return (
      problem && this.texts.t('misfit.this', { part: say(`opening.${o.kind}`), message: problem.message })
    );
  }

  protected add(kind: Opening['kind']): void {
    const room = this.room();
    const lengths = wallLengths(room);
    const size = (mm: number) => usualSize(mm, this.format.units());
    const widthMm = size(USUAL[kind].widthMm);
    const bottomMm = size(USUAL[kind].bottomMm);
    const apart = size(300);
    const heightMm = Math.min(size(USUAL[kind].heightMm), room.plan.heightMm - bottomMm);
    // The first wall with space for it, after what already stands there.
    const free = (wall: number) =>
      Math.max(
        apart,
        ...room.openings.filter((o) => o.wall === wall).map((o) => o.leftMm + o.widthMm + apart),
      );
    const found = lengths.findIndex((length, wall) => free(wall) + widthMm <= length);
    const wall = Math.max(0, found);
    const opening: Opening = {
      id: newId(),
      wall,
      kind,
      bottomMm,
      widthMm,
      heightMm,
      leftMm: free(wall),
      returns: 'cased',
    };
    this.change(
      say('undo.add', { what: say(`opening.${kind}`) }),
      (openings) => void openings.push({ ...opening }),
    );
    this.open.set(opening.id);
  }

  protected set<K extends 'kind' | 'wall' | 'returns' | 'sill'>(o: Opening, key: K, value: Opening[K]): void {
    this.change(say('undo.change', { what: say(`opening.${o.kind}`) }), (openings) => {
      const found = openings.find((p) => p.id === o.id);
      if (found) found[key] = value;
    });
  }

  protected size(o: Opening, key: AnySize, mm: number): void {
    this.change(
      say('undo.change', { what: say(`opening.${o.kind}`) }),
      (openings) => {
        const found = openings.find((p) => p.id === o.id);
        if (found) found[key] = mm;
      },
      `${o.id}.${key}`,
    );
  }

  protected remove(o: Opening): void {
    this.change(say('undo.remove', { what: say(`opening.${o.kind}`) }), (openings) => {
      const i = openings.findIndex((p) => p.id === o.id);
      if (i >= 0) openings.splice(i, 1);
    });
  }

  private change(label: Deed, recipe: (openings: Opening[]) => void, key = ''): void {
    this.jobs.editRoom(this.room().id, label, (room) => recipe(room.openings), key);
  }
}

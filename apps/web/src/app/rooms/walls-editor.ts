import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  OnInit,
  output,
} from '@angular/core';
import {
  outlineFromWalk,
  outlineTrouble,
  walkOf,
  LIMITS,
  type Point,
  type WalkedWall,
  say,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { NumberInput } from '../ui/number-input';
import { Format } from '../state/format';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';

/** A plain room to start from, in round sizes of the job's units, mm. */
const plainRoom = (lengthMm: number, widthMm: number): WalkedWall[] =>
  [lengthMm, widthMm, lengthMm, widthMm].map((mm) => ({ lengthMm: mm, turnDeg: 90 }));

/** A room of any shape, wall by wall as one walks round it; the last wall closes it by itself. */
@Component({
  selector: 'ls-walls',
  imports: [Choice, MeasureInput, NumberInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="small soft">
      {{ texts.t('walls.walk-room-wall') }}
    </p>
    @for (wall of walls(); track $index; let i = $index; let last = $last) {
      <div class="wall">
        @if (last) {
          <p class="field">
            <span>{{ texts.t('walls.closes', { n: i + 1 }) }}</span>
          </p>
        } @else {
          <ls-measure
            [label]="texts.t('walls.wall', { n: i + 1 })"
            [mm]="wall.lengthMm"
            [limit]="wallLimit"
            (changed)="set(i, { lengthMm: $event })"
          />
          <ls-choice
            [label]="texts.t('walls.corner-its-end')"
            [options]="turns"
            [value]="turnName(wall.turnDeg)"
            (changed)="turn(i, $event)"
          />
          @if (turnName(wall.turnDeg) === 'other') {
            <ls-number
              [label]="texts.t('walls.angle-degrees')"
              [step]="0.5"
              [limit]="turnLimit"
              [value]="wall.turnDeg"
              (changed)="set(i, { turnDeg: $event ?? 90 })"
            />
          }
          @if (walls().length > 3) {
            <button
              type="button"
              class="link"
              [attr.aria-label]="texts.t('walls.remove-one', { n: i + 1 })"
              (click)="drop(i)"
            >
              {{ texts.t('walls.remove') }}
            </button>
          }
        }
      </div>
    }
    <button type="button" class="quiet" (click)="add()">{{ texts.t('walls.add-wall') }}</button>
    @if (wrong(); as why) {
      <p class="wrong" role="alert">{{ why }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--close);
    }
    .wall {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: var(--near) var(--close);
      align-items: end;
    }
  `,
})
export class WallsEditor implements OnInit {
  protected readonly texts = inject(Texts);
  protected readonly wallLimit = { ...LIMITS.opening.leftMm, least: 10 };
  private readonly format = inject(Format);
  private readonly plain = computed(() =>
    this.format.units() === 'metric' ? plainRoom(4000, 3000) : plainRoom(3657.6, 3048),
  );
  /** The outline to start from; a square room where there is none. */
  readonly outline = input<readonly Point[]>();
  /** The outline, when it is one; none while it crosses itself or is too small. */
  readonly changed = output<Point[] | undefined>();

  protected readonly turns = [
    { value: 'in' as const, name: say('walls.inside') },
    { value: 'out' as const, name: say('walls.outside') },
    { value: 'other' as const, name: say('walls.other') },
  ];
  /** What is being walked while it may not close yet; another outline, or the same undone, starts afresh. */
  private readonly edited = linkedSignal<string, WalkedWall[] | undefined>({
    source: () => JSON.stringify(this.outline() ?? null),
    computation: () => undefined,
  });
  protected readonly walls = computed<WalkedWall[]>(() => {
    const outline = this.outline();
    return (
      this.edited() ?? (outline ? walkOf({ plan: { outline: [...outline], heightMm: 1 } }) : this.plain())
    );
  });
  protected readonly wrong = computed(() => {
    const trouble = outlineTrouble(outlineFromWalk(this.walls()));
    return trouble && this.texts.t('walls.open', { trouble });
  });

  ngOnInit(): void {
    // A plain room is a room already: it can be added as it stands.
    if (!this.outline()) this.take(this.plain());
  }

  protected readonly turnLimit = { least: -179, most: 179 };

  protected turnName(deg: number): 'in' | 'out' | 'other' {
    return Math.abs(deg - 90) < 0.01 ? 'in' : Math.abs(deg + 90) < 0.01 ? 'out' : 'other';
  }

  private take(walls: WalkedWall[]): void {
    this.edited.set(walls);
    const outline = outlineFromWalk(walls);
    this.changed.emit(outlineTrouble(outline) ? undefined : outline);
  }

  protected set(i: number, change: Partial<WalkedWall>): void {
    this.take(this.walls().map((wall, k) => (k === i ? { ...wall, ...change } : wall)));
  }

  protected turn(i: number, name: 'in' | 'out' | 'other'): void {
    this.set(i, { turnDeg: { in: 90, out: -90, other: 45 }[name] });
  }

  /** A wall before the closing one. */
  protected add(): void {
    const walls = this.walls();
    this.take([...walls.slice(0, -1), { lengthMm: 1000, turnDeg: 90 }, ...walls.slice(-1)]);
  }

  protected drop(i: number): void {
    this.take(this.walls().filter((_, k) => k !== i));
  }
}

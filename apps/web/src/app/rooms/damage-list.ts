import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { DAMAGES, LIMITS, wallId, type Damage, type Room, type RoomPlan } from '@lisse/core';
import { Texts } from '../state/texts';
import { ActionButton } from '../ui/action-button';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { Choice } from '../ui/choice';
import { MeasureInput } from '../ui/measure-input';
import { damageName, faceName } from '../ui/words';
import { markDamage } from './mark-damage';

/** Damaged spots of a room: marked on the drawing, told here. */
@Component({
  selector: 'ls-damage',
  imports: [Choice, MeasureInput, ActionButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-action-button [on]="placing()" (turned)="place.emit(!placing())">{{
      texts.t(placing() ? 'damage-list.tap' : 'damage-list.mark')
    }}</ls-action-button>
    @if (placing()) {
      <button type="button" class="link" (click)="centre()">
        {{ texts.t('damage-list.put-it-middle') }}
      </button>
    }
    <ul>
      @for (spot of room().damage; track spot.id) {
        <li>
          <p class="small">{{ where(spot) }}</p>
          <div class="edit">
            <ls-choice
              [label]="texts.t('damage-list.kind')"
              [options]="kinds"
              [value]="spot.kind"
              (changed)="set(spot.id, 'kind', $event)"
            />
            <ls-measure
              [label]="texts.t('damage-list.size')"
              bareFeet="in"
              [small]="true"
              [mm]="spot.sizeMm"
              [limit]="limits.damage.sizeMm"
              (changed)="set(spot.id, 'sizeMm', $event)"
            />
            <button type="button" class="link" (click)="remove(spot.id)">
              {{ texts.t('damage-list.remove') }}
            </button>
          </div>
        </li>
      }
    </ul>
  `,
  styleUrl: './lines.css',
})
export class DamageList {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  private readonly jobs = inject(JobStore);
  private readonly format = inject(Format);
  readonly room = input.required<Room>();
  readonly plan = input.required<RoomPlan>();
  /** The next press on the drawing marks a spot. */
  readonly placing = input(false);
  readonly place = output<boolean>();

  protected readonly kinds = DAMAGES.map((value) => ({ value, name: damageName(value) }));

  protected where({ face, at }: Damage): string {
    if (face === undefined || at === undefined) return this.texts.t('damage.no-place');
    const [u, v] = at;
    return this.texts.t('damage-list.at', {
      face: faceName(this.plan(), face),
      left: this.format.length(u),
      up: this.format.length(v),
    });
  }

  /** For those who do not point: a spot to be described by its measures. */
  protected centre(): void {
    const wall = this.plan().faces.find((face) => face.id === wallId(0)) ?? this.plan().faces[0];
    if (!wall) return;
    const [u0, v0, u1, v1] = wall.box;
    markDamage(this.jobs, this.room().id, wall.id, [(u0 + u1) / 2, (v0 + v1) / 2]);
    this.place.emit(false);
  }

  protected set<K extends 'kind' | 'sizeMm'>(id: string, key: K, value: Damage[K]): void {
    this.jobs.editRoom(
      this.room().id,
      'undo.describe-damage',
      (room) => {
        const spot = room.damage?.find((one) => one.id === id);
        if (spot) spot[key] = value;
      },
      `${id}.${key}`,
    );
  }

  protected remove(id: string): void {
    this.jobs.editRoom(
      this.room().id,
      'undo.remove-damage',
      (room) => void (room.damage = (room.damage ?? []).filter((spot) => spot.id !== id)),
    );
  }
}

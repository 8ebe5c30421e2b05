import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FAULTS, faultsFor, LIMITS, say, type Fault, type Message } from '@lisse/core';
import { LogStore } from '../state/log.store';
import { starting, Texts } from '../state/texts';
import { MeasureInput } from '../ui/measure-input';
import { PhotoPress } from '../ui/photo-press';
import type { Spot } from '../ui/pin-drawing';
import { DefectBadge } from '../ui/defect-badge';
import { SitePictures } from '../ui/small-picture';
import { TextInput } from '../ui/text-input';
import { CheckStore } from './check.store';
import { FaultLook } from './fault-look';

/** So many kinds are shown at first. */
const FIRST = 6;

/** What was found: a kind by its picture, its size, a note; then the number for its ring, and a photo of it. */
@Component({
  selector: 'ls-find-card',
  imports: [FaultLook, MeasureInput, PhotoPress, DefectBadge, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section [attr.aria-label]="texts.t('check.found')">
      <h2>{{ texts.t('check.found') }}</h2>
      <p class="soft">{{ texts.say(where()) }}</p>
      <div class="kinds">
        @for (fault of shown(); track fault) {
          <button type="button" class="kind" (click)="find(fault)">
            <ls-fault-look [fault]="fault" aria-hidden="true" />
            <span>{{ texts.say(name(fault)) }}</span>
          </button>
        }
      </div>
      @if (!all()) {
        <button type="button" class="link" (click)="all.set(true)">{{ texts.t('pins.more-kinds') }}</button>
      }
      <div class="fields">
        <ls-measure
          [label]="texts.t('check.size')"
          bareFeet="in"
          [small]="true"
          [mm]="sizeMm()"
          [limit]="limits.damage.sizeMm"
          (changed)="sizeMm.set($event)"
        />
        <ls-text
          [label]="texts.t('check.note')"
          [letters]="1000"
          [live]="true"
          [value]="note()"
          (changed)="note.set($event)"
        />
      </div>
      @if (last(); as found) {
        <div class="ring" role="status">
          <ls-defect-badge [ring]="found.ring" [state]="found.state" />
          <span>{{ texts.t('check.ring', { ring: found.ring, fault: faultWord(found.fault) }) }}</span>
          <ls-photo-press (taken)="photograph($event)">{{ texts.t('pins.photo') }}</ls-photo-press>
        </div>
      }
      @if (told(); as so) {
        <p role="status">{{ texts.say(so) }}</p>
      }
    </section>
  `,
  styles: `
    .kinds {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
      gap: var(--close);
      margin: 8px 0;
    }
    .kind {
      display: flex;
      flex-direction: column;
      padding: 0;
      border: 1px solid var(--line);
      background: var(--paper);
      cursor: pointer;
      text-align: left;
      font-weight: 600;
    }
    .kind span {
      padding: 7px 9px 9px;
      min-height: 44px;
      font-size: var(--lead);
      line-height: 1.15;
    }
    .kind:hover {
      border-color: var(--soft);
    }
    .ring {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: var(--apart);
      margin-top: 8px;
      font-size: var(--large);
    }
    .ring span {
      flex: 1 1 160px;
    }
  `,
})
export class FindCard {
  protected readonly texts = inject(Texts);
  private readonly logs = inject(LogStore);
  private readonly pictures = inject(SitePictures);
  private readonly store = inject(CheckStore);
  protected readonly limits = LIMITS;
  readonly spot = input<Spot>();
  /** It was pinned: the place is free again. */
  readonly found = output<void>();
  protected readonly all = signal(false);
  protected readonly sizeMm = signal<number | undefined>(undefined);
  protected readonly note = signal('');
  protected readonly told = signal<Message | undefined>(undefined);
  private readonly ring = signal<number | undefined>(undefined);
  protected readonly last = computed(() =>
    this.store.inRoom().find(({ ring, state }) => state === 'open' && ring === String(this.ring())),
  );
  /** What this round looks for; the rest of them where that is asked for. */
  protected readonly shown = computed((): readonly Fault[] => {
    const looked = faultsFor(this.store.stage());
    return this.all()
      ? [...looked, ...FAULTS.filter((fault) => !looked.includes(fault))]
      : looked.slice(0, FIRST);
  });
  protected name = (fault: Fault): Message => starting(this.faultWord(fault));
  protected faultWord = (fault: Fault): Message => say(`fault.${fault}`);
  protected readonly where = computed((): Message => {
    const spot = this.spot();
    const face = spot && this.store.plan()?.faces.find(({ id }) => id === spot.face);
    return face ? say('pins.at', { face: face.name }) : say('check.press');
  });

  protected async find(fault: Fault): Promise<void> {
    const room = this.store.room()?.id;
    const face = this.store.face()?.id;
    if (room === undefined) return;
    const [size, note] = [this.sizeMm(), this.note().trim()];
    const at = { room, ...(this.spot() ?? (face === undefined ? {} : { face })) };
    const ring = await this.store.find(fault, at, {
      ...(size === undefined ? {} : { sizeMm: size }),
      ...(note === '' ? {} : { note }),
    });
    if (ring === undefined) return;
    this.ring.set(ring);
    this.sizeMm.set(undefined);
    this.note.set('');
    this.told.set(undefined);
    this.found.emit();
  }

  protected async photograph(file: File): Promise<void> {
    const found = this.last();
    if (!found) return;
    try {
      const { id: finding, room, face } = found;
      const of = {
        finding,
        ...(room === undefined ? {} : { room }),
        ...(face === undefined ? {} : { face }),
      };
      if (await this.logs.photograph(await this.pictures.kept(file), of))
        this.told.set(say('pins.photo-kept'));
    } catch {
      this.told.set(say('photo.not', { file: file.name }));
    }
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { coatOf, COATS, ROUND, ROUND_STAGES, say, type Check, type Coat, type RoundStage } from '@lisse/core';
import { Format } from '../state/format';
import { PlanStore } from '../state/plan.store';
import { starting, Texts } from '../state/texts';
import { Cautions } from '../ui/cautions';
import { Choice } from '../ui/choice';
import { PinDrawing, type Spot } from '../ui/pin-drawing';
import { CheckStore } from './check.store';
import { EdgeCard } from './edge-card';
import { FaceLook } from './face-look';
import { FindCard } from './find-card';
import { FindingLine } from './finding-line';

/** Check, the round: face after face with the lamp where it shows most, rings where something is wrong. */
@Component({
  selector: 'ls-round-page',
  imports: [Cautions, Choice, EdgeCard, FaceLook, FindCard, FindingLine, PinDrawing, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './round-page.html',
  styleUrls: ['../ui/large.css', './check.css'],
  styles: `
    .stages {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
      gap: var(--close);
    }
    .stage {
      display: block;
      padding: 12px 14px;
      border: 1px solid var(--line);
      background: var(--paper);
      text-align: left;
      cursor: pointer;
    }
    .stage b {
      display: block;
      font-size: var(--title);
    }
    .stage:hover {
      border-color: var(--accent);
    }
    .column {
      gap: var(--apart);
    }
    .where {
      display: grid;
      grid-template-columns: minmax(150px, 200px) minmax(0, 1fr);
      gap: var(--apart);
      align-items: center;
    }
    .bar {
      display: flex;
      align-items: center;
      gap: var(--apart);
    }
    .bar .big {
      margin-left: auto;
    }
    .felt {
      columns: 2;
      column-gap: var(--gap);
      font-size: var(--lead);
      color: var(--soft);
    }
    .felt li {
      border: 0;
      padding: 1px 0;
      break-inside: avoid;
    }
    .faces {
      display: flex;
      flex-wrap: wrap;
      gap: var(--near);
    }
    .faces button {
      min-width: 44px;
      min-height: 44px;
      padding: 4px 8px;
      border: 1px solid var(--line);
      background: var(--paper);
      cursor: pointer;
      font-size: var(--lead);
    }
    .faces [aria-current] {
      border-color: var(--accent);
      background: var(--wash);
      font-weight: 650;
    }
    @media (max-width: 1000px) {
      .bar {
        flex-wrap: wrap;
      }
      .bar .big {
        flex: 1 1 100%;
      }
      .where {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    .faces .looked::after {
      content: ' ✓';
      color: var(--good);
      font-weight: 700;
    }
  `,
})
export class RoundPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly store = inject(CheckStore);
  private readonly plans = inject(PlanStore);
  protected readonly stages = ROUND_STAGES.map((stage) => ({
    stage,
    name: starting(ROUND[stage].name),
    how: ROUND[stage].how,
  }));
  protected readonly facts = computed(() => ROUND[this.store.stage()]);
  protected readonly primed = computed(() => ['after-primer', 'handover'].includes(this.store.stage()));
  /** Between coats the wall is as far as its last coat that is done. */
  protected readonly coat = computed((): Coat | undefined => {
    if (this.store.stage() !== 'between') return undefined;
    const done = (this.plans.plan()?.days.tasks ?? []).flatMap(({ room, step, state }) =>
      room === this.store.room()?.id && state === 'done' ? (coatOf(step) ?? []) : [],
    );
    return COATS.findLast((coat) => done.includes(coat));
  });
  protected readonly spot = signal<Spot | undefined>(undefined);
  protected readonly heading = computed(() => {
    const round = this.store.round();
    return round
      ? say('check.round-of', { stage: this.facts().name, at: this.format.day(round.at) })
      : say('check.none');
  });
  protected readonly along = computed(() =>
    say('check.along', { done: this.store.looked().length, all: this.store.walk().length }),
  );
  protected readonly allLooked = computed(
    () => this.store.walk().length > 0 && this.store.looked().length === this.store.walk().length,
  );
  /** Open ones of the face first; what else is pinned in the room is on the drawing. */
  protected readonly here = computed(() =>
    this.store
      .inRoom()
      .filter(
        ({ face, state }) => state !== 'closed' && (face === undefined || face === this.store.face()?.id),
      ),
  );
  protected readonly onDrawing = computed(() => this.store.inRoom());

  protected checkWords = (check: Check) => say(`check.${check}`);

  protected open = (stage: RoundStage): Promise<boolean> => this.store.open(stage);

  protected pick(spot: Spot): void {
    this.spot.set(spot);
    this.store.chooseFace(spot.face);
  }

  protected async next(): Promise<void> {
    await this.store.lookedAt();
    this.spot.set(undefined);
  }
}

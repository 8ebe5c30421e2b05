import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  beadText,
  BEADS,
  answersTo,
  askOf,
  CHOICES,
  COATS,
  COMPOUNDS,
  compoundFor,
  fitFor,
  presetOf,
  presetText,
  PRESETS,
  sameWay,
  LIMITS,
  say,
  type BeadKind,
  type ChoiceKey,
  type Coat,
  type CompoundId,
  type Way,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { TextInput } from '../ui/text-input';
import { MeasureInput } from '../ui/measure-input';
import { NumberInput } from '../ui/number-input';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { Choice, type Option } from '../ui/choice';
import { COAT_NAME, fitName } from '../ui/words';
import { WorkFrame } from '../ui/work-frame';
import { CompareWays } from './compare-ways';
import { SchoolsPanel } from './schools-panel';
import { SetTimes } from './set-times';
import { newId } from '../new-id';

const OWN = 'own';

/** How this finisher works: a named way, every choice in it open, and what speaks for each. */
@Component({
  selector: 'ls-way-page',
  imports: [Choice, CompareWays, MeasureInput, NumberInput, SchoolsPanel, SetTimes, TextInput, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (way(); as way) {
      <ls-work-frame>
        <section class="main" [attr.aria-label]="texts.t('ways.method')">
          <h1>{{ texts.t('ways.way-working') }}</h1>
          <p class="soft small">{{ texts.t('ways.whole-job-each') }}</p>
          <div class="start">
            <ls-choice
              [label]="texts.t('ways.start-from')"
              [options]="presets()"
              [value]="preset()"
              (changed)="take($event)"
            />
            <form (submit)="$event.preventDefault(); keep(name()); name.set('')">
              <ls-text
                [label]="texts.t('ways.save-as')"
                [placeholder]="texts.t('ways.name')"
                [letters]="80"
                [live]="true"
                [value]="name()"
                (changed)="name.set($event)"
              />
              <button type="submit" class="quiet">{{ texts.t('ways.save') }}</button>
            </form>
          </div>
          <p class="reason">{{ texts.say(presetReason()) }}</p>
          @if (ownId()) {
            <button type="button" class="link" (click)="forget()">{{ texts.t('ways.delete-method') }}</button>
          }
          <div class="choices">
            @for (row of rows(); track row.key) {
              <div>
                <ls-choice
                  [label]="row.ask"
                  [options]="row.options"
                  [value]="row.value"
                  (changed)="choose(row.key, $event)"
                />
                <p class="reason">{{ texts.say(row.reason) }}</p>
              </div>
            }
            <ls-set-times />
            <div>
              <ls-measure
                [label]="texts.t('ways.prefill-gaps-over')"
                bareFeet="in"
                [fine]="true"
                [mm]="way.prefillOverMm"
                [limit]="limits.way.prefillOverMm"
                (changed)="setOver($event)"
              />
              <p class="reason">{{ texts.t('ways.tape-bed-fills') }}</p>
            </div>
            <div>
              <ls-number
                [label]="texts.t('ways.batch-size', { unit: units() === 'metric' ? 'L' : 'gal' })"
                [step]="0.1"
                [optional]="true"
                [per]="litres()"
                [limit]="limits.way.batchL"
                [value]="way.batchL"
                (changed)="setBatch($event)"
              />
              <p class="reason">
                {{ texts.t('way.batch.why', { most: view.book().mixPailL.value }) }}
              </p>
            </div>
            <div>
              <ls-choice
                [label]="texts.t('ways.bead-square-corners')"
                [options]="beads"
                [value]="bead()"
                (changed)="setBead($event)"
              />
              <p class="reason">{{ texts.say(beadReason()) }}</p>
            </div>
          </div>
          <h2>{{ texts.t('ways.compound-each-coat') }}</h2>
          <div class="coats">
            @for (row of compounds(); track row.coat) {
              <ls-choice
                [label]="row.name"
                [options]="row.options"
                [value]="row.value"
                (changed)="setCompound(row.coat, $event)"
              />
            }
          </div>
          @if (changedCells() > 0) {
            <p class="small">
              {{ texts.t('ways.changed-cells', { cells: changedCells() }) }}
              <button type="button" class="link" (click)="putBackCells()">
                {{ texts.t('ways.restore-them') }}
              </button>
            </p>
          }
        </section>
        <aside class="side" [attr.aria-label]="texts.t('ways.method-comparison')">
          <ls-compare-ways />
          <hr class="rule" />
          <ls-schools />
        </aside>
      </ls-work-frame>
    }
  `,
  styleUrl: './part.css',
  styles: `
    :host {
      --side: 400px;
    }
    h2 {
      margin: 12px 0 6px;
    }
    .start {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--gap);
      margin-top: 8px;
    }
    form {
      display: flex;
      gap: var(--close);
      align-items: end;
    }
    .field {
      flex: 1;
    }
    .reason {
      font-size: var(--small);
      color: var(--soft);
      margin: 3px 0 8px;
    }
    .choices {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: var(--near) var(--gap);
      margin-top: 10px;
      padding-top: 10px;
      border-top: 1px solid var(--line);
    }
    .coats {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: var(--close) var(--gap);
    }
    @media (max-width: 1000px) {
      .choices,
      .coats {
        grid-template-columns: repeat(2, minmax(0, 1fr));
      }
    }
    @media screen and (max-width: 760px) {
      .start,
      .choices,
      .coats {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class WayPage {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS;
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  protected readonly view = inject(ViewStore);
  private readonly plans = inject(PlanStore);
  protected readonly units = this.format.units;
  protected readonly way = computed(() => this.jobs.job()?.way);
  private readonly own = computed(() => this.jobs.job()?.shop?.ways ?? []);

  protected readonly ownId = computed(() => {
    const way = this.way();
    return way && this.own().find((own) => sameWay(own.way, way))?.id;
  });
  protected readonly preset = computed(() => {
    const way = this.way();
    return (way && presetOf(way)?.id) ?? this.ownId() ?? OWN;
  });
  protected readonly presets = computed<Option<string>[]>(() => [
    ...PRESETS.map(({ id }) => ({ value: id, name: presetText(id).name })),
    ...this.own().map(({ id, name }) => ({ value: id, name: say('ways.kept', { name }) })),
    ...(this.preset() === OWN ? [{ value: OWN, name: say('ways.own') }] : []),
  ]);
  protected readonly presetReason = computed(() => {
    const way = this.way();
    const preset = way && presetOf(way);
    return preset ? presetText(preset.id).reason : say(this.ownId() ? 'ways.kept-by-you' : 'ways.by-hand');
  });

  protected readonly rows = computed(() =>
    (Object.keys(CHOICES) as ChoiceKey[]).map((key) => {
      const value = this.way()?.[key] as string;
      const answers = answersTo(key);
      return {
        key,
        ask: askOf(key),
        value,
        reason: answers.find(({ id }) => id === value)?.text.reason ?? '',
        options: answers.map(({ id, text }) => ({ value: id as string, name: text.name })),
      };
    }),
  );
  protected readonly beads = BEADS.filter((id) => id !== 'flexible' && id !== 'l-trim').map((value) => ({
    value,
    name: beadText(value).name,
  }));
  protected readonly bead = computed<BeadKind>(() => this.way()?.bead ?? 'nail-on');
  protected readonly beadReason = computed(() => {
    return say('ways.bead', beadText(this.bead()));
  });

  protected readonly compounds = computed(() => {
    const way = this.way();
    if (!way) return [];
    const oneCompound = this.plans.plan()?.oneCompound?.on === true;
    return COATS.map((coat) => {
      const usual = compoundFor({ ...way, compoundFor: {}, oneCompound }, coat);
      const options: Option<CompoundId | ''>[] = [
        { value: '', name: say('ways.says', { compound: this.view.book().compounds[usual].name }) },
        ...COMPOUNDS.filter((id) => id !== usual).map((value) => ({
          value,
          name: fitName(fitFor(value, coat), this.view.book().compounds[value].name),
        })),
      ];
      return { coat, name: COAT_NAME[coat], options, value: way.compoundFor?.[coat] ?? ('' as const) };
    });
  });
  protected readonly changedCells = computed(() => Object.keys(this.way()?.cells ?? {}).length);

  /** Litres to a unit typed here. */
  protected readonly litres = computed(() => (this.units() === 'metric' ? 1 : 3.785412));
  private edit(label: Deed, recipe: (way: Way) => void): void {
    this.jobs.edit(label, (job) => recipe(job.way));
  }

  protected take(id: string): void {
    const found = PRESETS.find((p) => p.id === id) ?? this.own().find((o) => o.id === id);
    if (!found) return;
    const chosen = this.way()?.setChosen === true && !('name' in found);
    const way: Way = { ...structuredClone(found.way), ...(chosen ? { setChosen: true } : {}) };
    const name = 'name' in found ? found.name : presetText(found.id).name;
    this.jobs.edit(say('undo.work-by', { way: name }), (job) => (job.way = way));
  }

  protected readonly name = signal('');
  protected keep(name: string): void {
    const way = this.way();
    if (!way || name.trim() === '') return;
    const own = { id: newId(), name: name.trim(), way: structuredClone(way) };
    this.jobs.edit(say('undo.keep', { name: own.name }), (job) => {
      job.shop = { ...job.shop, ways: [...(job.shop?.ways ?? []).filter((w) => w.name !== own.name), own] };
    });
  }

  protected forget(): void {
    const id = this.ownId();
    this.jobs.edit('undo.forget-way', (job) => {
      if (job.shop?.ways) job.shop.ways = job.shop.ways.filter((w) => w.id !== id);
    });
  }

  protected choose(key: ChoiceKey, value: string): void {
    this.edit(
      say('undo.choice', { choice: askOf(key) }),
      (way) => ((way as unknown as Record<string, string>)[key] = value),
    );
  }

  protected setOver(mm: number): void {
    this.edit('undo.change-gap-packed', (way) => (way.prefillOverMm = mm));
  }

  protected setBatch(litres: number | undefined): void {
    this.edit('undo.change-batch', (way) => {
      if (litres === undefined) delete way.batchL;
      else way.batchL = Math.round(litres * 100) / 100;
    });
  }

  protected setBead(bead: BeadKind): void {
    this.edit('undo.change-bead', (way) => (way.bead = bead));
  }

  protected putBackCells(): void {
    this.edit('undo.put-coat-board-back', (way) => delete way.cells);
  }

  protected setCompound(coat: Coat, value: CompoundId | ''): void {
    this.edit(say('undo.coat-compound', { coat: say(`coat.${coat}`) }), (way) => {
      const rest = Object.fromEntries(Object.entries(way.compoundFor ?? {}).filter(([key]) => key !== coat));
      const own = value === '' ? rest : { ...rest, [coat]: value };
      if (Object.keys(own).length > 0) way.compoundFor = own;
      else delete way.compoundFor;
    });
  }
}

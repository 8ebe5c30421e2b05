import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  CHOICE_TEXT,
  CHOICES,
  COATS,
  COMPOUND,
  COMPOUNDS,
  compoundFor,
  fitFor,
  presetOf,
  PRESETS,
  type ChoiceKey,
  type Coat,
  type CompoundId,
  type Way,
} from '@lisse/core';
import { JobStore } from '../state/job.store';
import { Choice, type Option } from '../ui/choice';
import { COAT_NAME } from '../ui/words';

const OWN = 'own';
const SET_CLASSES = [5, 20, 30, 45, 60, 90, 120, 150, 180, 210];

const UNFIT = {
  no: ', not for this',
  poor: ', poor for this',
  dents: ', dents only',
  contested: ', contested',
  covered: ', wants a drying coat over it',
  thinned: ', thinned',
  yes: '',
};

/** How this finisher works: a named way, every choice in it open, and what speaks for each. */
@Component({
  selector: 'ls-way-panel',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Way of working</h2>
    <p class="soft small">For the whole job.</p>
    <ls-choice label="Start from" [options]="presets" [value]="preset()" (changed)="takePreset($event)" />
    <p class="reason">{{ presetReason() }}</p>
    <hr class="rule" />
    @for (row of rows(); track row.key) {
      <ls-choice
        [label]="row.ask"
        [options]="row.options"
        [value]="row.value"
        (changed)="choose(row.key, $event)"
      />
      <p class="reason">{{ row.reason }}</p>
    }
    <ls-choice
      label="Set time on the bag"
      [options]="setTimes"
      [value]="way().setMin"
      (changed)="setTime($event)"
    />
    <hr class="rule" />
    <h3>Compound for each coat</h3>
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
  `,
  styles: `
    .reason {
      font-size: 12.5px;
      color: var(--soft);
      margin: 3px 0 10px;
    }
    .coats {
      display: grid;
      gap: 8px;
      margin-top: 8px;
    }
  `,
})
export class WayPanel {
  private readonly jobs = inject(JobStore);
  readonly way = input.required<Way>();

  protected readonly presets: Option<string>[] = [
    ...PRESETS.map(({ id, name }) => ({ value: id, name })),
    { value: OWN, name: 'My own mix' },
  ];
  protected readonly setTimes = SET_CLASSES.map((value) => ({ value, name: `${value} min` }));
  protected readonly preset = computed(() => presetOf(this.way())?.id ?? OWN);
  protected readonly presetReason = computed(
    () => presetOf(this.way())?.reason ?? 'Choices changed by hand.',
  );

  protected readonly rows = computed(() =>
    (Object.keys(CHOICES) as ChoiceKey[]).map((key) => {
      const text = CHOICE_TEXT[key];
      const of = text.of as Record<string, { name: string; reason: string }>;
      const value = this.way()[key] as string;
      return {
        key,
        ask: text.ask,
        value,
        reason: of[value]?.reason ?? '',
        options: CHOICES[key].map((v) => ({ value: v as string, name: of[v]?.name ?? v })),
      };
    }),
  );

  protected readonly compounds = computed(() =>
    COATS.map((coat) => {
      const usual = compoundFor({ ...this.way(), compoundFor: {} }, coat);
      const options: Option<CompoundId | ''>[] = [
        { value: '', name: `as the way says: ${COMPOUND[usual].name}` },
        ...COMPOUNDS.filter((id) => id !== usual).map((value) => ({
          value,
          name: `${COMPOUND[value].name}${UNFIT[fitFor(value, coat)]}`,
        })),
      ];
      return { coat, name: COAT_NAME[coat], options, value: this.way().compoundFor?.[coat] ?? ('' as const) };
    }),
  );

  protected takePreset(id: string): void {
    const preset = PRESETS.find((p) => p.id === id);
    if (!preset) return;
    this.jobs.edit(`Work by ${preset.name}`, (job) => (job.way = { ...preset.way }));
  }

  protected choose(key: ChoiceKey, value: string): void {
    this.jobs.edit(
      `Change ${CHOICE_TEXT[key].ask.toLowerCase()}`,
      (job) => ((job.way as unknown as Record<string, string>)[key] = value),
    );
  }

  protected setTime(minutes: number): void {
    this.jobs.edit('Change the set time', (job) => (job.way.setMin = minutes));
  }

  protected setCompound(coat: Coat, value: CompoundId | ''): void {
    this.jobs.edit(`Change the ${coat} compound`, ({ way }) => {
      const rest = Object.fromEntries(Object.entries(way.compoundFor ?? {}).filter(([key]) => key !== coat));
      const own = value === '' ? rest : { ...rest, [coat]: value };
      if (Object.keys(own).length > 0) way.compoundFor = own;
      else delete way.compoundFor;
    });
  }
}

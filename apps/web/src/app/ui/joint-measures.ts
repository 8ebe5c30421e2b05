import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { LIMITS, say, upTo, type JointNote } from '@lisse/core';
import type { Deed } from '../state/job.store';
import { Texts } from '../state/texts';
import { Choice, type Option } from './choice';
import { MeasureInput } from './measure-input';

/** What is measured of a joint, mm; what is not told here differs between the joints, or nobody has measured it. */
export type JointMeasures = Pick<JointNote, 'gapMm' | 'humpMm' | 'spanMm' | 'lippageMm' | 'notchMm'>;

/** One measure taken, with what the step is called that undo takes back. */
export interface Noted {
  change: JointMeasures;
  label: Deed;
}

/**
 * What a finisher measures of a joint, or of several at once: the gap, the hump and which way it stands, the step and which
 * side is higher, the bevel of butt ends. Sizes are typed without a sign. Lays its fields into the grid it stands in.
 */
@Component({
  selector: 'ls-joint-measures',
  imports: [Choice, MeasureInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-measure
      [label]="texts.t(typical() ? 'joint.gap-typical' : 'joint.gap')"
      bareFeet="in"
      [small]="true"
      [mm]="of().gapMm"
      [limit]="limits.gapMm"
      (changed)="note({ gapMm: $event }, many() ? 'undo.measure-gaps' : 'undo.measure-gap')"
    />
    @if (shaped()) {
      <ls-measure
        [label]="texts.t('joint.hump')"
        bareFeet="in"
        [fine]="true"
        [mm]="size(of().humpMm)"
        [limit]="upTo(limits.humpMm)"
        (changed)="hump($event, hollow())"
      />
      <ls-choice
        [label]="texts.t('joint.stands')"
        [options]="ways"
        [value]="hollow()"
        (changed)="hump(size(of().humpMm), $event)"
      />
      <ls-measure
        [label]="texts.t('joint.step')"
        bareFeet="in"
        [fine]="true"
        [mm]="size(of().lippageMm)"
        [limit]="upTo(limits.lippageMm)"
        (changed)="step($event, left())"
      />
      @if (of().lippageMm) {
        <ls-choice
          [label]="texts.t('joint.higher')"
          [options]="sides"
          [value]="left()"
          (changed)="step(size(of().lippageMm), $event)"
        />
      }
      @if (of().humpMm && of().spanMm !== undefined) {
        <ls-measure
          [label]="texts.t('joint.spread')"
          bareFeet="in"
          [small]="true"
          [mm]="of().spanMm"
          [limit]="limits.spanMm"
          (changed)="note({ spanMm: $event }, 'undo.measure-span')"
        />
      }
    }
    @if (bevelled()) {
      <ls-measure
        [label]="texts.t('joint.bevel')"
        bareFeet="in"
        [fine]="true"
        [mm]="of().notchMm ?? 0"
        [limit]="limits.notchMm"
        (changed)="note({ notchMm: $event }, 'undo.bevel-ends')"
      />
    }
  `,
  styles: `
    :host {
      display: contents;
    }
  `,
})
export class JointMeasuresFields {
  protected readonly texts = inject(Texts);
  protected readonly limits = LIMITS.joint;
  protected readonly upTo = upTo;
  readonly of = input.required<JointMeasures>();
  /** It is cut across: it may hump and step. */
  readonly shaped = input(true);
  /** Its ends may be trimmed back on a bevel. */
  readonly bevelled = input(false);
  /** The gap is what is usual, and was not measured. */
  readonly typical = input(false);
  readonly many = input(false);
  readonly noted = output<Noted>();

  protected readonly ways: Option<boolean>[] = [
    { value: false, name: say('joint.proud') },
    { value: true, name: say('joint.hollow') },
  ];
  protected readonly sides: Option<boolean>[] = [
    { value: false, name: say('joint.right') },
    { value: true, name: say('joint.left') },
  ];
  /** Which way, chosen before there is a size to it. */
  protected readonly hollow = linkedSignal<number, boolean>({
    source: () => this.of().humpMm ?? 0,
    computation: (mm, before) => (mm === 0 ? (before?.value ?? false) : mm < 0),
  });
  protected readonly left = computed(() => (this.of().lippageMm ?? 0) < 0);

  protected size = (mm: number | undefined): number | undefined =>
    mm === undefined ? undefined : Math.abs(mm);

  protected hump(mm: number | undefined, hollow: boolean): void {
    this.hollow.set(hollow);
    if (mm || this.of().humpMm)
      this.note({ humpMm: signed(mm, hollow) }, this.many() ? 'undo.measure-humps' : 'undo.measure-hump');
  }

  protected step(mm: number | undefined, left: boolean): void {
    this.note({ lippageMm: signed(mm, left) }, this.many() ? 'undo.measure-steps' : 'undo.measure-step');
  }

  protected note(change: JointMeasures, label: Deed): void {
    this.noted.emit({ change, label });
  }
}

/** No minus before nothing. */
const signed = (mm = 0, minus: boolean): number => (minus && mm > 0 ? -mm : mm);

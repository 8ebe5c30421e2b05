import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  crownOf,
  DECORATION_FACTS,
  deepestUnder,
  given,
  grazingOf,
  input as asInput,
  jointMinutes,
  jointMudL,
  plainJoint,
  showsAbove,
  STRAIGHTEDGES,
  strongestContrast,
  say,
  type AreaPlan,
  type BoardRow,
  type jointSection,
  type Joint,
  type Light,
  type RoomPlan,
  type Way,
  type Why,
  type WhyInput,
} from '@lisse/core';
import { Format } from '../state/format';
import { Texts } from '../state/texts';
import { ViewStore } from '../state/view.store';
import { WhyButton } from '../ui/why';

/** What a joint comes to: how it turns out, contrast in this light, the mud and the work, and what its trouble costs. */
@Component({
  selector: 'ls-joint-reading',
  imports: [WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl>
      @if (band(); as mm) {
        <dt>{{ texts.t('joint.finish-width') }}</dt>
        <dd>{{ format.blade(mm) }}</dd>
      }
      @if (readings(); as r) {
        <dt>{{ texts.t('joint.finished-crown') }}</dt>
        <dd>{{ format.small(r.crownMm) }}</dd>
        <dt>{{ texts.t('joint.gap-under', { edge: format.blade(blade) }) }}</dt>
        <dd>{{ format.small(r.hollowMm) }}</dd>
        @if (r.limit !== undefined) {
          <dt>{{ texts.t('joint.contrast-light') }}</dt>
          <dd [class.over]="r.contrast > r.limit">
            {{
              texts.t('joint.contrast-of', {
                contrast: share(r.contrast),
                over: r.contrast > r.limit ? 'yes' : 'no',
                limit: share(r.limit),
              })
            }}
            <ls-why [why]="lightWhy()" [of]="texts.t('joint.why-contrast')" />
          </dd>
        }
      }
      <dt>{{ texts.t('joint.mud-all-coats') }}</dt>
      <dd>{{ format.volume(mud()) }} <ls-why [why]="why()" [of]="texts.t('joint.why-mud')" /></dd>
      <dt>{{ texts.t('joint.work') }}</dt>
      <dd>{{ format.duration(minutes()) }} <ls-why [why]="workWhy()" [of]="texts.t('joint.why-work')" /></dd>
      @if (extra(); as more) {
        <dt>{{ texts.t('joint.compared-flat-straight') }}</dt>
        <dd>{{ more }}</dd>
      }
    </dl>
  `,
  styles: `
    dl {
      margin-top: 14px;
      display: grid;
      grid-template-columns: 1fr auto;
      gap: var(--close) var(--apart);
    }
    dt {
      color: var(--soft);
    }
    .over {
      color: var(--stop);
    }
    dd {
      text-align: right;
      font-weight: 600;
    }
  `,
})
export class JointReading {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  protected readonly book = inject(ViewStore).book;
  readonly joint = input.required<Joint>();
  /** The area it lies in, and its row of the coat board there. */
  readonly area = input.required<AreaPlan | undefined>();
  readonly row = input.required<BoardRow | undefined>();
  readonly section = input.required<ReturnType<typeof jointSection> | undefined>();
  /** What the room takes. */
  readonly use = input.required<RoomPlan['use']>();
  readonly way = input.required<Way>();

  private readonly light = computed<Light>(() => this.area()?.light ?? { kind: 'ordinary' });

  private mudOf(joint: Joint): number {
    const row = this.row();
    return row ? jointMudL(joint, row, this.use(), this.way(), this.book()) : 0;
  }

  private minutesOf(joint: Joint): number {
    const row = this.row();
    return row ? jointMinutes(joint, row, this.way(), this.book()) : 0;
  }

  protected readonly band = computed(() => this.section()?.layers.at(-1)?.bandMm);
  protected readonly blade = STRAIGHTEDGES.blade;
  /** How it turns out: the last coat, hardened, before sanding. */
  protected readonly readings = computed(() => {
    const surface = this.section()?.layers.at(-1)?.surface;
    if (!surface) return undefined;
    const sheen = DECORATION_FACTS[this.area()?.decoration ?? 'none'].sheen;
    return {
      crownMm: crownOf(surface),
      hollowMm: deepestUnder(surface, STRAIGHTEDGES.blade).depthMm,
      contrast: strongestContrast(surface, grazingOf(this.light())),
      limit: sheen && showsAbove(sheen, this.book()),
    };
  });
  private seenFrom(): WhyInput[] {
    const { sheen } = DECORATION_FACTS[this.area()?.decoration ?? 'none'];
    return sheen ? [asInput(this.book()[`shows-${sheen}`])] : [];
  }

  protected readonly lightWhy = computed<Why>(() => ({
    rule: say('why.light'),
    inputs: [
      given(
        say('why.light.angle'),
        `${grazingOf(this.light())}°`,
        '',
        this.light().grazingDeg ? 'entered' : 'typical',
      ),
      ...this.seenFrom(),
    ],
  }));

  /** A small share with a decimal: `4.7%`. */
  protected share(share: number): string {
    return this.format.percent(share, 1, 1);
  }

  protected readonly mud = computed(() => this.mudOf(this.joint()));
  protected readonly minutes = computed(() => this.minutesOf(this.joint()));
  /** What its trouble costs, held against the same joint with none. */
  protected readonly extra = computed(() => {
    if (!this.joint().measured) return '';
    const plain = plainJoint(this.joint(), this.book());
    const mud = this.mud() - this.mudOf(plain);
    const work = this.minutes() - this.minutesOf(plain);
    const signed = (n: number, text: string) => `${n < 0 ? '−' : '+'}${text}`;
    const parts: string[] = [];
    const litres = this.format.volume(Math.abs(mud));
    // Less than is printed is nothing.
    if (!/^0\s/.test(litres)) parts.push(signed(mud, litres));
    if (Math.abs(work) >= 0.5) parts.push(signed(work, this.format.duration(Math.abs(work))));
    return parts.length > 0 ? parts.join(', ') : 'nothing';
  });
  protected readonly workWhy = computed<Why>(() => ({
    rule: say('why.joint-work'),
    inputs: [
      given(say('why.length'), this.joint().lengthMm / 1000, 'm'),
      ...(this.joint().kind === 'butt'
        ? [asInput(this.book().paceTapeFlat), asInput(this.book().paceButt)]
        : this.section()
          ? [asInput(this.book().paceTapeFlat), asInput(this.book().paceFlat)]
          : [
              asInput(this.book().paceTapeAngle),
              asInput(this.book().paceAngle),
              asInput(this.book().paceBead),
              asInput(this.book().paceCorner),
            ]),
      asInput(this.book().pacePrefill),
    ],
  }));
  protected readonly why = computed<Why>(() => {
    const metres = given(say('why.length'), this.joint().lengthMm / 1000, 'm');
    if (!this.section())
      return {
        rule: say('why.mud-metre'),
        inputs: [
          metres,
          asInput(this.book().angleTapeL),
          asInput(this.book().angleFaceL),
          asInput(this.book().beadNoseMm),
        ],
      };
    return {
      rule: say('why.section-mud'),
      inputs: [
        metres,
        asInput(this.book().bedMm),
        asInput(this.book().taperDepthMm),
        asInput(this.book().taperWidthMm),
        given(say('shape.hump'), this.joint().humpMm, 'mm', this.joint().measured ? 'entered' : 'typical'),
      ],
    };
  });
}

import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  COATS,
  cutsCsv,
  given,
  orderCsv,
  waresOf,
  input as asInput,
  say,
  type BoardLine,
  type Coat,
  type CompoundLine,
  type Sanity,
  type Why,
  type BeadKind,
  type Message,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { fileName, handOver } from '../storage/job-files';
import { COAT_NAME, jointName } from '../ui/words';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { PlanStore } from '../state/plan.store';
import { ViewStore } from '../state/view.store';
import { AdviceList } from '../ui/advice-list';
import { Cautions } from '../ui/cautions';
import { WhyButton } from '../ui/why';
import { CutBench } from './cut-bench';
import { PackageRow } from './package-row';

const VERDICT: Record<Sanity['verdict'], string> = {
  usual: 'within what such work usually takes',
  low: 'a little under the usual',
  high: 'a little over the usual',
  'far-low': 'well under the usual',
  'far-high': 'well over the usual',
};

const TAPE_NAME = { paper: 'Paper tape', mat: 'Fibre mat tape', mesh: 'Mesh tape' };

/** The gauge of litres per 100 m² runs to this. */
const GAUGE_MOST = 100;

/** Order: what to buy and carry, exact against bought, and why. */
@Component({
  selector: 'ls-order-page',
  imports: [AdviceList, Cautions, CutBench, PackageRow, WhyButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-page.html',
  styleUrl: './order-page.css',
})
export class OrderPage {
  protected readonly texts = inject(Texts);
  protected readonly jobs = inject(JobStore);
  protected readonly plans = inject(PlanStore);
  private readonly view = inject(ViewStore);
  protected readonly format = inject(Format);
  protected readonly verdicts = VERDICT;
  protected readonly tapeName = TAPE_NAME;

  protected readonly coatName = COAT_NAME;
  protected told = (reasons: readonly Message[]): string => reasons.map(this.texts.say).join('; ');

  protected readonly order = computed(() => this.plans.plan()?.order);
  /** Stops only: an order made over them would be wrong. */
  protected readonly stops = computed(
    () => this.plans.plan()?.advice.filter((a) => a.severity === 'stop') ?? [],
  );

  protected packages(line: CompoundLine): string {
    return line.packages.map((p) => `${p.count} × ${this.texts.say(p.name)}`).join(', ');
  }

  /** Sheets of one width a line: `48": 40 × 8' 0", 2 × 10' 0"`. */
  protected byWidth(board: BoardLine): { mm: number; words: string }[] {
    return [...new Set(board.bought.map((sheet) => sheet.widthMm))].map((mm) => {
      const lengths = board.bought
        .filter((sheet) => sheet.widthMm === mm)
        .map((sheet) => `${sheet.count} × ${this.format.length(sheet.lengthMm)}`);
      return { mm, words: `${this.format.small(mm)}: ${lengths.join(', ')}` };
    });
  }

  /** Each coat's share of a line, for the bar under it. */
  protected shares(line: CompoundLine): { coat: Coat; percent: number; litres: number }[] {
    return COATS.filter((coat) => (line.byCoat[coat] ?? 0) > 0).map((coat) => {
      const litres = line.byCoat[coat] ?? 0;
      return { coat, litres, percent: (litres / line.exactL) * 100 };
    });
  }

  protected readonly gauge = (value: number): number => Math.min(100, (value / GAUGE_MOST) * 100);

  protected readonly sanityWhy = computed<Why>(() => ({
    rule: say('order.sanity'),
    inputs: [
      given(say('order.wet'), this.plans.plan()?.totals.wetL ?? 0, 'L'),
      given(say('order.board'), this.plans.plan()?.totals.boardAreaM2 ?? 0, 'm2'),
      asInput(this.view.book().usualLowL),
      asInput(this.view.book().usualHighL),
      asInput(this.view.book().usualTapeLowM),
      asInput(this.view.book().usualTapeHighM),
    ],
  }));

  protected readonly massWhy = computed<Why>(() => ({
    rule: say('order.mass'),
    inputs: (this.order()?.compounds ?? []).map((line) => given(this.named(line), line.massKg, 'kg')),
  }));

  protected readonly costWhy = computed<Why>(() => {
    const order = this.order();
    const own = new Set(
      (this.jobs.job()?.shop?.products ?? []).filter((p) => p.inUse).map((p) => p.compound),
    );
    return {
      rule: say('order.cost'),
      inputs: [
        ...(order?.compounds ?? []).map((line) =>
          given(this.named(line), line.cost, 'money', own.has(line.compound) ? 'entered' : 'typical'),
        ),
        ...(order?.tape ? [given(say('order.tape'), order.tape.cost, 'money', 'typical')] : []),
        ...(order?.beads ?? []).map((line) => given(this.beadLine(line.kind), line.cost, 'money', 'typical')),
      ],
    };
  });

  protected readonly headsWhy = computed<Why>(() => ({
    rule: say('order.heads'),
    inputs: [asInput(this.view.book().screwWallMm), asInput(this.view.book().screwCeilingMm)],
  }));

  private named = (line: CompoundLine): Message => say('say', { what: this.packages(line) });

  /** `nail-on metal bead`; a strip and a trim are no beads. */
  protected beadLine = (kind: BeadKind): Message => say(`bead-line.${kind}`);

  protected readonly copied = signal<'order.copied' | 'order.not-copied' | undefined>(undefined);

  private name = (): string => fileName(this.jobs.job()?.name ?? '');

  protected table(): void {
    const order = this.order();
    if (order) handOver(orderCsv(order, this.texts.say), 'text/csv', `${this.name()}-order.csv`);
  }

  protected cutTable(): void {
    const [order, plan] = [this.order(), this.plans.plan()];
    if (!order || !plan) return;
    const rooms = new Map(this.jobs.job()?.rooms.map(({ id, name }) => [id, name]));
    const text = cutsCsv(order, this.texts.say, (room, joint) => {
      const own = plan.rooms.find(({ id }) => id === room);
      return { room: rooms.get(room) ?? room, corner: this.texts.say(own ? jointName(own, joint) : joint) };
    });
    handOver(text, 'text/csv', `${this.name()}-cutting.csv`);
  }

  /** The list as plain lines, for a message to whoever sells it. */
  protected async copy(): Promise<void> {
    const order = this.order();
    if (!order) return;
    const lines = waresOf(order).flatMap(({ ware, packages }) =>
      packages.map(({ name, count }) => this.texts.t('order.line', { count, package: name, ware })),
    );
    const text = [this.texts.t('order.for', { job: this.jobs.job()?.name ?? '' }), ...lines].join('\n');
    try {
      await navigator.clipboard.writeText(text);
      this.copied.set('order.copied');
    } catch {
      this.copied.set('order.not-copied');
    }
  }

  protected print(): void {
    window.print();
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  LB_PER_KG,
  L_PER_GAL,
  COATS,
  COMPOUNDS,
  fitFor,
  packageName,
  say,
  type AreaPlan,
  type BoardRow,
  type Cell,
  type Coat,
  type CompoundId,
} from '@lisse/core';
import { Texts } from '../state/texts';
import { Format } from '../state/format';
import { JobStore } from '../state/job.store';
import { ViewStore } from '../state/view.store';
import { Marks } from '../ui/marks';
import { Choice, type Option } from '../ui/choice';
import { WorkFrame } from '../ui/work-frame';
import { FigureList } from './figure-list';
import { PeelList } from './peel-list';
import { ProductList } from './product-list';
import { Ranking } from './ranking';

/** A coat may be thinner than anybody measures: only how thick it may be is told. */
const THIN_MM = 0.8;

/** The classes, the user's own products on top of them, and which suits which coat. */
@Component({
  selector: 'ls-compounds-page',
  imports: [Marks, Choice, FigureList, PeelList, ProductList, Ranking, WorkFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ls-work-frame>
      <section class="main" [attr.aria-label]="texts.t('compounds.compounds')">
        <h1>{{ texts.t('compounds.compound-types') }}</h1>
        <p class="soft small">
          {{ texts.t('compounds.typical-each-type') }}
        </p>
        <button type="button" class="link no-print" [attr.aria-pressed]="all()" (click)="all.set(!all())">
          {{ texts.t('compounds.weight-packages') }}
        </button>
        <div
          class="scroll"
          tabindex="0"
          role="region"
          [attr.aria-label]="texts.t('compounds.compound-types')"
        >
          <table>
            <thead>
              <tr>
                <th scope="col">{{ texts.t('compounds.type') }}</th>
                <th scope="col">{{ texts.t('compounds.hardens-by') }}</th>
                <th scope="col" class="n">{{ texts.t('compounds.shrinks') }}</th>
                <th scope="col" class="n">{{ texts.t('compounds.one-coat') }}</th>
                <th scope="col">{{ texts.t('compounds.bond') }}</th>
                <th scope="col">{{ texts.t('compounds.sands') }}</th>
                <th scope="col">{{ texts.t('compounds.bed-tape') }}</th>
                <th scope="col">{{ texts.t('compounds.fill') }}</th>
                <th scope="col">{{ texts.t('compounds.finish') }}</th>
                <th scope="col">{{ texts.t('compounds.skim') }}</th>
                @if (all()) {
                  <th scope="col" class="n">
                    {{ texts.t('compounds.density', { units: format.units() }) }}
                  </th>
                  <th scope="col">{{ texts.t('compounds.sold-as') }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (row of classes(); track row.id) {
                <tr>
                  <th scope="row">
                    {{ texts.say(row.name) }}
                    @if (row.product) {
                      <span class="own">{{ row.product }}</span>
                    }
                  </th>
                  <td>{{ row.hardens }}</td>
                  <td class="n" [class.mine]="row.ownShrink">{{ row.shrink }}</td>
                  <td class="n">{{ row.limits }}</td>
                  <td><ls-marks [of5]="row.bond" /></td>
                  <td><ls-marks [of5]="row.sands" /></td>
                  @for (fit of row.fits; track $index) {
                    <td [class.soft]="fit === '–'">{{ fit }}</td>
                  }
                  @if (all()) {
                    <td class="n">{{ row.density }}</td>
                    <td class="sold">{{ row.packages }}</td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
        <ls-products />
        <ls-peels />
        <ls-figures />
      </section>
      <aside class="side" [attr.aria-label]="texts.t('compounds.which-compound-which')">
        <h2>{{ texts.t('compounds.which-compound-which') }}</h2>
        @if (choice(); as at) {
          <div class="two">
            <ls-choice
              [label]="texts.t('compounds.coat')"
              [options]="coats()"
              [value]="at.cell.coat"
              (changed)="coat.set($event)"
            />
            <ls-choice
              [label]="texts.t('compounds.on')"
              [options]="rows()"
              [value]="at.row.id"
              (changed)="rowId.set($event)"
            />
          </div>
          <p class="soft small">
            {{ texts.t('compounds.ranked-in', { room: view.room()?.name ?? '' }) }}
          </p>
          <ls-ranking [area]="at.area" [row]="at.row" [cell]="at.cell" (taken)="take(at.cell.coat, $event)" />
        } @else {
          <p class="soft">{{ texts.t('compounds.room-has-no') }}</p>
        }
      </aside>
    </ls-work-frame>
  `,
  styleUrl: './part.css',
  styles: `
    :host {
      --side: 320px;
    }
    .scroll {
      overflow-x: auto;
      margin: 8px 0 4px;
    }
    table {
      border-collapse: collapse;
      width: 100%;
      min-width: 780px;
      font-size: var(--small);
    }
    th,
    td {
      text-align: left;
      padding: 4px 8px 4px 0;
      border-bottom: 1px solid var(--hair);
      vertical-align: top;
    }
    thead th {
      color: var(--soft);
      font-weight: 500;
    }
    tbody th {
      font-weight: 600;
    }
    .n {
      text-align: right;
      padding-right: 14px;
      white-space: nowrap;
    }
    .sold {
      color: var(--soft);
    }
    .own,
    .mine {
      color: var(--good);
      font-weight: 600;
    }
    .own {
      display: block;
      font-size: var(--small);
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: var(--close);
      margin: 6px 0;
    }
  `,
})
export class CompoundsPage {
  protected readonly texts = inject(Texts);
  protected readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  protected readonly view = inject(ViewStore);
  protected readonly coat = signal<Coat>('tape');
  protected readonly rowId = signal('');
  /** The columns that decide less are shown too. */
  protected readonly all = signal(false);

  protected readonly classes = computed(() => {
    const { compounds } = this.view.book();
    const units = this.format.units();
    return COMPOUNDS.map((id) => {
      const c = compounds[id];
      return {
        id,
        name: c.name,
        product: c.product?.name,
        ownShrink: c.product?.shrink !== undefined,
        hardens: this.texts.t(`compounds.hardens-${c.hardens}`),
        density:
          units === 'feet'
            ? this.format.number(c.densityKgL * LB_PER_KG * L_PER_GAL, 1, 1)
            : this.format.number(c.densityKgL, 2, 2),
        shrink: this.format.percent(c.shrink),
        limits: this.texts.t(c.minMm < THIN_MM ? 'compounds.up-to' : 'compounds.between', {
          least: this.format.small(c.minMm),
          most: this.format.small(c.maxMm),
        }),
        bond: c.bond,
        sands: c.sands,
        fits: (['tape', 'fill', 'finish', 'skim'] as const).map((coat) =>
          this.texts.t(`compounds.fit-${fitFor(id, coat)}`),
        ),
        packages: c.packages
          .filter((p) => p.for === 'both' || p.for === units)
          .map((p) => `${this.texts.say(packageName(p, units))} ${this.format.money(p.price)}`)
          .join(', '),
      };
    });
  });

  /** Rows that have the coat, in the room looked at. */
  private readonly having = computed(() => {
    const area: AreaPlan | undefined = this.view.roomPlan()?.areas[0];
    if (!area) return [];
    return area.rows.flatMap((row) => row.cells.map((cell) => ({ area, row, cell })));
  });
  protected readonly coats = computed<Option<Coat>[]>(() =>
    COATS.filter((coat) => this.having().some((h) => h.cell.coat === coat)).map((value) => ({
      value,
      name: say(`coat.${value}`),
    })),
  );
  protected readonly choice = computed<{ area: AreaPlan; row: BoardRow; cell: Cell } | undefined>(() => {
    const all = this.having();
    const ofCoat = all.filter((h) => h.cell.coat === this.coat());
    return ofCoat.find((h) => h.row.id === this.rowId()) ?? ofCoat[0] ?? all[0];
  });
  protected readonly rows = computed<Option<string>[]>(() =>
    this.having()
      .filter((h) => h.cell.coat === this.choice()?.cell.coat)
      .map(({ row }) => ({ value: row.id, name: say(`element.${row.element}`) })),
  );

  protected take(coat: Coat, compound: CompoundId): void {
    this.jobs.edit(say('undo.coat-compound', { coat: say(`coat.${coat}`) }), ({ way }) => {
      way.compoundFor = { ...way.compoundFor, [coat]: compound };
    });
  }
}

import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
// eslint-disable-next-line no-restricted-imports -- one's own figures are set beside the typical ones
import { COMPOUND, COMPOUNDS, type CompoundId, type Product, DATES, isDay, LIMITS, say } from '@lisse/core';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { Choice } from '../ui/choice';

type NumberKey = 'yieldsL' | 'massKg' | 'waterL' | 'shrink' | 'setMin' | 'price' | 'onHandL';

interface Field {
  key: NumberKey;
  name: string;
  /** From what is kept to what is typed. */
  scale: number;
  needed: boolean;
  least: number;
  most: number;
}

const LITRES_PER_GALLON = 3.785412;
const KG_PER_LB = 0.45359237;

/** The user's own products on top of the classes. */
@Component({
  selector: 'ls-products',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Your products</h2>
    @for (product of products(); track product.id) {
      <article [attr.aria-label]="product.name">
        <div class="head">
          <label class="field name">
            <span>Name</span>
            <input
              type="text"
              maxlength="80"
              [value]="product.name"
              (change)="rename(product, $any($event.target).value)"
            />
          </label>
          <ls-choice
            label="Class"
            [options]="classes"
            [value]="product.compound"
            (changed)="set(product, { compound: $event }, 'undo.change-class')"
          />
          <ls-choice
            label="Sold as"
            [options]="kinds"
            [value]="product.kind"
            (changed)="set(product, { kind: $event }, 'undo.change-package')"
          />
          <label class="use">
            <input type="checkbox" [checked]="product.inUse" (change)="use(product)" />
            in use
          </label>
          <button type="button" class="link" (click)="remove(product)">
            Remove<span class="sr"> {{ product.name }}</span>
          </button>
        </div>
        <div class="numbers">
          @for (field of fields(); track field.key) {
            <label class="field">
              <span>{{ field.name }}</span>
              <input
                type="number"
                step="any"
                [placeholder]="typical(product, field)"
                [attr.aria-invalid]="wrong() === product.id + field.key ? true : null"
                [value]="shown(product, field)"
                (change)="number(product, field, $any($event.target).valueAsNumber)"
              />
            </label>
          }
          <label class="field">
            <span>Use by</span>
            <input
              type="date"
              [value]="product.useBy ?? ''"
              (change)="date(product, $any($event.target).value)"
            />
          </label>
        </div>
        @if (wrong().startsWith(product.id)) {
          <p class="wrong" role="alert">{{ why() }}</p>
        }
      </article>
    } @empty {
      <p class="soft small">
        None yet. Add the pail or bag you use: its measured yield, shrink, set time and price then stand in
        place of the typical ones, and it can run out or go out of date.
      </p>
    }
    <button type="button" class="quiet" (click)="add()">Add a product</button>
  `,
  styles: `
    :host {
      display: block;
      margin-top: 16px;
    }
    article {
      padding: 8px 0;
      border-bottom: 1px solid var(--line);
      margin-bottom: 6px;
    }
    .head,
    .numbers {
      display: grid;
      gap: 6px 12px;
      align-items: end;
    }
    .head {
      grid-template-columns: 1.4fr 1fr 0.7fr auto auto;
    }
    .numbers {
      grid-template-columns: repeat(8, minmax(0, 1fr));
      margin-top: 6px;
    }
    .use {
      display: flex;
      gap: 6px;
      align-items: center;
      min-height: 32px;
    }
    h2 {
      margin-bottom: 4px;
    }
    @media (max-width: 1100px) {
      .head,
      .numbers {
        grid-template-columns: repeat(3, minmax(0, 1fr));
      }
    }
    @media (max-width: 760px) {
      .head,
      .numbers {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class ProductList {
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  protected readonly products = computed(() => this.jobs.job()?.shop?.products ?? []);
  protected readonly classes = COMPOUNDS.map((value) => ({ value, name: COMPOUND[value].name }));
  protected readonly kinds = (['pail', 'box', 'tub', 'bag'] as const).map((value) => ({
    value,
    name: value,
  }));
  protected readonly wrong = signal('');
  protected readonly why = signal('');

  protected readonly fields = computed<Field[]>(() => {
    const metric = this.format.units() === 'metric';
    const [l, litre] = metric ? ['L', 1] : ['gal', LITRES_PER_GALLON];
    const [kg, kilo] = metric ? ['kg', 1] : ['lb', KG_PER_LB];
    const field = (key: NumberKey, name: string, scale: number, needed = false): Field => ({
      key,
      name,
      scale,
      needed,
      ...LIMITS.product[key],
    });
    return [
      field('yieldsL', `Yields, ${l}`, litre, true),
      field('massKg', `Weighs, ${kg}`, kilo, true),
      field('waterL', `Water, ${l}`, litre),
      field('shrink', 'Shrinks, %', 0.01),
      field('setMin', 'Set time, min', 1),
      field('price', 'Price', 1),
      field('onHandL', `On hand, ${l}`, litre),
    ];
  });

  protected shown(product: Product, { key, scale }: Field): string {
    const value = product[key];
    return value === undefined ? '' : String(Math.round((value / scale) * 100) / 100);
  }

  /** What stands in for an empty field. */
  protected typical(product: Product, { key }: Field): string {
    return key === 'shrink' ? `typical ${Math.round(COMPOUND[product.compound].shrink * 100)}` : '';
  }

  private edit(label: Deed, recipe: (products: Product[]) => Product[]): void {
    this.jobs.edit(label, (job) => {
      job.shop = { ...job.shop, products: recipe(job.shop?.products ?? []) };
    });
  }

  protected set(product: Product, change: Partial<Product>, label: Deed): void {
    this.edit(label, (all) =>
      oneInUse(
        all.map((p) => (p.id === product.id ? { ...p, ...change } : p)),
        product.id,
      ),
    );
  }

  protected use(product: Product): void {
    this.set(
      product,
      { inUse: !product.inUse },
      say(product.inUse ? 'undo.leave-out-product' : 'undo.use', { what: product.name }),
    );
  }

  protected rename(product: Product, name: string): void {
    if (name.trim() !== '') this.set(product, { name: name.trim() }, 'undo.name-product');
  }

  protected number(product: Product, { key, scale, least, most, needed, name }: Field, typed: number): void {
    const value = typed * scale;
    const empty = Number.isNaN(typed);
    if (empty ? needed : value < least - 1e-9 || value > most + 1e-9) {
      this.wrong.set(product.id + key);
      this.why.set(`${name}: between ${trimmed(least / scale)} and ${trimmed(most / scale)}, please.`);
      return;
    }
    this.wrong.set('');
    this.edit(say('undo.change', { what: name }), (all) =>
      all.map((p) => {
        if (p.id !== product.id) return p;
        const { [key]: _, ...rest } = p;
        return (empty ? rest : { ...p, [key]: Math.round(value * 10000) / 10000 }) as Product;
      }),
    );
  }

  protected date(product: Product, useBy: string): void {
    const right = useBy === '' || isDay(useBy);
    this.wrong.set(right ? '' : `${product.id}useBy`);
    if (!right) {
      this.why.set(`Use by: a day from ${DATES.least} to ${DATES.most}, please.`);
      return;
    }
    this.edit('undo.change-date', (all) =>
      all.map((p) => {
        if (p.id !== product.id) return p;
        const { useBy: _, ...rest } = p;
        return useBy === '' ? rest : { ...p, useBy };
      }),
    );
  }

  protected add(): void {
    const compound: CompoundId = 'drying-all-purpose';
    const usual =
      COMPOUND[compound].packages.find((p) => p.for === this.format.units()) ??
      COMPOUND[compound].packages[0];
    const id = crypto.randomUUID();
    this.edit('undo.add-product', (all) =>
      oneInUse(
        [
          ...all,
          {
            id,
            name: 'My all-purpose',
            compound,
            kind: usual?.kind ?? 'pail',
            yieldsL: Math.round((usual?.yieldsL ?? 17) * 10) / 10,
            massKg: Math.round((usual?.massKg ?? 28) * 10) / 10,
            inUse: true,
          },
        ],
        id,
      ),
    );
  }

  protected remove(product: Product): void {
    this.edit(say('undo.remove', { what: product.name }), (all) => all.filter((p) => p.id !== product.id));
  }
}

const trimmed = (n: number): string => String(Math.round(n * 10) / 10);

/** One product of a class is in use: the last one taken. */
function oneInUse(all: readonly Product[], taken: string): Product[] {
  const one = all.find((p) => p.id === taken);
  return all.map((p) =>
    one?.inUse && p.id !== taken && p.compound === one.compound && p.inUse ? { ...p, inUse: false } : p,
  );
}

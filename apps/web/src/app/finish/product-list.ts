import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
// eslint-disable-next-line no-restricted-imports -- one's own figures are set beside the typical ones
import { COMPOUND } from '@lisse/core';
import { COMPOUNDS, L_PER_GAL, LIMITS, say, type CompoundId, type Product, type Message } from '@lisse/core';
import { Texts } from '../state/texts';
import { Check } from '../ui/check';
import { DayInput } from '../ui/day-input';
import { NumberInput } from '../ui/number-input';
import { TextInput } from '../ui/text-input';
import { Format } from '../state/format';
import { JobStore, type Deed } from '../state/job.store';
import { Choice } from '../ui/choice';
import { newId } from '../new-id';

type NumberKey = 'yieldsL' | 'massKg' | 'waterL' | 'shrink' | 'setMin' | 'price' | 'onHandL';

interface Field {
  key: NumberKey;
  name: Message;
  /** From what is kept to what is typed. */
  scale: number;
  needed: boolean;
  least: number;
  most: number;
}

const KG_PER_LB = 0.45359237;

/** The user's own products on top of the classes. */
@Component({
  selector: 'ls-products',
  imports: [Check, Choice, DayInput, NumberInput, TextInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.t('products.your-products') }}</h2>
    @for (product of products(); track product.id) {
      <article [attr.aria-label]="product.name">
        <div class="head">
          <ls-text
            class="name"
            [label]="texts.t('products.name')"
            [letters]="80"
            [needed]="true"
            [value]="product.name"
            (changed)="set(product, { name: $event }, 'undo.name-product')"
          />
          <ls-choice
            [label]="texts.t('products.type')"
            [options]="classes"
            [value]="product.compound"
            (changed)="set(product, { compound: $event }, 'undo.change-class')"
          />
          <ls-choice
            [label]="texts.t('products.sold-as')"
            [options]="kinds"
            [value]="product.kind"
            (changed)="set(product, { kind: $event }, 'undo.change-package')"
          />
          <ls-check class="use" [on]="product.inUse" (turned)="use(product)">{{
            texts.t('products.use')
          }}</ls-check>
          <button type="button" class="link" (click)="remove(product)">
            {{ texts.t('products.remove') }}<span class="sr"> {{ product.name }}</span>
          </button>
        </div>
        <div class="numbers">
          @for (field of fields(); track field.key) {
            <ls-number
              [label]="field.name"
              [optional]="!field.needed"
              [per]="field.scale"
              [limit]="field"
              [placeholder]="typical(product, field)"
              [value]="product[field.key]"
              (changed)="number(product, field, $event)"
            />
          }
          <ls-day
            [label]="texts.t('products.use-by')"
            [optional]="true"
            [value]="product.useBy"
            (changed)="date(product, $event)"
          />
        </div>
      </article>
    } @empty {
      <p class="soft small">
        {{ texts.t('products.none-yet-add') }}
      </p>
    }
    <button type="button" class="quiet" (click)="add()">{{ texts.t('products.add-product') }}</button>
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
      gap: var(--close) var(--apart);
      align-items: end;
    }
    .head {
      grid-template-columns: 1.4fr 1fr 0.7fr auto auto;
    }
    .numbers {
      grid-template-columns: repeat(7, minmax(0, 1fr)) minmax(0, 1.35fr);
      align-items: start;
      margin-top: 6px;
    }
    .use {
      display: flex;
      gap: var(--close);
      align-items: center;
      min-height: 32px;
    }
    h2 {
      margin-bottom: 4px;
    }
    @media (max-width: 1000px) {
      .head,
      .numbers {
        grid-template-columns: repeat(3, minmax(0, 1fr));
      }
    }
    @media screen and (max-width: 760px) {
      .head,
      .numbers {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class ProductList {
  protected readonly texts = inject(Texts);
  private readonly format = inject(Format);
  private readonly jobs = inject(JobStore);
  protected readonly products = computed(() => this.jobs.job()?.shop?.products ?? []);
  protected readonly classes = COMPOUNDS.map((value) => ({ value, name: COMPOUND[value].name }));
  protected readonly kinds = (['pail', 'box', 'tub', 'bag'] as const).map((value) => ({
    value,
    name: say(`package-kind.${value}`),
  }));

  protected readonly fields = computed<Field[]>(() => {
    const metric = this.format.units() === 'metric';
    const [l, litre] = metric ? ['L', 1] : ['gal', L_PER_GAL];
    const [kg, kilo] = metric ? ['kg', 1] : ['lb', KG_PER_LB];
    const field = (key: NumberKey, name: Message, scale: number, needed = false): Field => ({
      key,
      name,
      scale,
      needed,
      ...LIMITS.product[key],
    });
    return [
      field('yieldsL', say('products.yields', { unit: l }), litre, true),
      field('massKg', say('products.weighs', { unit: kg }), kilo, true),
      field('waterL', say('products.water', { unit: l }), litre),
      field('shrink', say('products.shrinks'), 0.01),
      field('setMin', say('products.set-time'), 1),
      field('price', say('products.price'), 1),
      field('onHandL', say('products.on-hand', { unit: l }), litre),
    ];
  });

  /** What stands in for an empty field. */
  protected typical(product: Product, { key }: Field): string {
    return key === 'shrink'
      ? this.texts.t('products.typical', { value: Math.round(COMPOUND[product.compound].shrink * 100) })
      : '';
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

  protected number(product: Product, { key, name }: Field, value: number | undefined): void {
    this.edit(say('undo.change', { what: name }), (all) =>
      all.map((p) => {
        if (p.id !== product.id) return p;
        const { [key]: _, ...rest } = p;
        return (value === undefined ? rest : { ...p, [key]: Math.round(value * 10000) / 10000 }) as Product;
      }),
    );
  }

  protected date(product: Product, useBy: string | undefined): void {
    this.edit('undo.change-date', (all) =>
      all.map((p) => {
        if (p.id !== product.id) return p;
        const { useBy: _, ...rest } = p;
        return useBy === undefined ? rest : { ...p, useBy };
      }),
    );
  }

  protected add(): void {
    const compound: CompoundId = 'drying-all-purpose';
    const usual =
      COMPOUND[compound].packages.find((p) => p.for === this.format.units()) ??
      COMPOUND[compound].packages[0];
    const id = newId();
    const name = this.texts.t('products.my-all-purpose');
    this.edit('undo.add-product', (all) =>
      oneInUse(
        [
          ...all,
          {
            id,
            name,
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

/** One product of a class is in use: the last one taken. */
function oneInUse(all: readonly Product[], taken: string): Product[] {
  const one = all.find((p) => p.id === taken);
  return all.map((p) =>
    one?.inUse && p.id !== taken && p.compound === one.compound && p.inUse ? { ...p, inUse: false } : p,
  );
}

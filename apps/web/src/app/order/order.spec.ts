import type { Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import {
  agreementFor,
  daysCsv,
  houseAnswer,
  lotsOf,
  suppliedWith,
  TYPICAL,
  type HouseAnswer,
  type Job,
  type LogEntry,
  type Wish,
} from '@lisse/core';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { OTHER_UNITS } from '../../../../../packages/core/src/testing/other-units';
import { built, button, handed, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { SupplyHouse } from '../devices/supply-house';
import { JobStore } from '../state/job.store';
import { LogStore } from '../state/log.store';
import { PlanStore } from '../state/plan.store';
import { Texts } from '../state/texts';
import { JobStorage } from '../storage/job-storage';
import { DaysClient } from '../worker/days-client';
import { PaperMaker } from '../worker/paper-maker';
import type { BookSheet } from '../worker/workbook';
import type { Sheet } from '../worker/sheet-pdf';
import { BidPage } from './bid-page';
import { CuttingPage } from './cutting-page';
import { OrderStore } from './order.store';
import { GoodsSheets } from './goods-sheets';
import { ListPage } from './list-page';
import { StockPage } from './stock-page';
import { VanPage } from './van-page';

let fixture: ComponentFixture<unknown>;
const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
const plan = () => TestBed.inject(PlanStore).plan()!;
const job = () => TestBed.inject(JobStore).job()!;
const mud = () => plan().order.items.find(({ kind }) => kind === 'compound')!;
const papers: Sheet[] = [];
const books: (readonly BookSheet[])[] = [];
const paper = {
  sheet: (sheet: Sheet) => (papers.push(sheet), Promise.resolve(new Blob(['pdf']))),
  workbook: (sheets: readonly BookSheet[]) => (books.push(sheets), Promise.resolve(new Blob(['xlsx']))),
};
const house = { ask: jest.fn<Promise<HouseAnswer>, [string, readonly Wish[]]>() };

async function show(place: Type<unknown>, over: Partial<Job> = {}) {
  papers.length = books.length = 0;
  setUp([
    { provide: PaperMaker, useValue: paper },
    { provide: SupplyHouse, useValue: house },
  ]);
  await openJob(sampleJob(over));
  fixture = TestBed.createComponent(place);
  await built(fixture);
}

const settled = async (is: () => boolean): Promise<void> => {
  await until(is);
  await built(fixture);
};

/** Types into a field and leaves it. */
function type(label: string | RegExp, value: string): void {
  const named = [...page().querySelectorAll('label')].find((one) =>
    typeof label === 'string' ? words(one).startsWith(label) : label.test(words(one)),
  );
  const field = page().querySelector<HTMLInputElement>(`#${named!.getAttribute('for')!}`)!;
  field.value = value;
  field.dispatchEvent(new Event('input'));
  field.dispatchEvent(new Event('change'));
}

afterEach(() => jest.restoreAllMocks());

describe('the list', () => {
  it('shows low, likely and high, the packages, the price and what is left over', async () => {
    await show(ListPage);
    const row = [...page().querySelectorAll('tbody tr')].find((one) => words(one).startsWith('lightweight'))!;
    const item = plan().order.items.find(({ product }) => product === 'mud/drying-light')!;
    expect(words(row)).toContain(`${item.packages[0]!.count} × 20 kg tub`);
    expect(words(row)).toMatch(/L to .* L/);
    expect(words(row)).toContain('typical');
    expect(words(page().querySelector('tfoot')!)).toContain('Weight');
  });

  it('takes a price of one’s own, which is said, and goes back to the typical one', async () => {
    await show(ListPage);
    const before = plan().order.cost;
    type(/^Price: 20 kg tub/, '30');
    await settled(() => plan().order.cost > before);
    expect(job().shop!.prices).toMatchObject([{ price: 30 }]);
    expect(words(page())).toContain('yours');
    type(/^Price: 20 kg tub/, '');
    await settled(() => plan().order.cost === before);
    expect(job().shop!.prices).toEqual([]);
  });

  it('chooses packages by price, leftover or lifts', async () => {
    await show(ListPage);
    button(page(), 'fewest lifts').click();
    await settled(() => job().shop?.buying === 'lifts');
    expect(words(page())).toContain('Fewest packages to lift');
    button(page(), 'amount').click();
    await settled(() => job().shop?.buying === undefined);
  });

  it('buys as surely as one wants, with what each answer costs and how often it runs short', async () => {
    await show(ListPage);
    const ways = plan().order.sureWays;
    expect(words(page())).toContain('Chance of running short');
    [...page().querySelectorAll('button')].find((one) => words(one).startsWith('19 of 20 jobs'))!.click();
    await settled(() => plan().order.sure === 'high');
    expect(plan().order.cost).toBeCloseTo(ways[2]!.cost, 6);
    expect(job().shop!.sure).toBe('high');
    TestBed.inject(JobStore).undo();
    await settled(() => plan().order.sure === 'good');
  });

  it('does a small job with one compound, until a finish compound of its own is asked for', async () => {
    await show(ListPage, { way: { ...sampleJob().way, oneCompound: false } });
    const muds = () => plan().order.items.filter(({ kind }) => kind === 'compound').length;
    const parted = muds();
    button(page(), 'Use one compound').click();
    await settled(() => plan().oneCompound?.on === true);
    expect(muds()).toBe(parted - 1);
    expect(words(page())).toContain('does every coat that dries');
    button(page(), 'Buy a finish compound too').click();
    await settled(() => plan().oneCompound?.on === false);
    expect(muds()).toBe(parted);
    expect(job().way.oneCompound).toBe(false);
  });

  it('goes out as a table, a workbook, papers and text', async () => {
    await show(ListPage);
    const files = handed();
    button(page(), 'Table').click();
    const [csv] = files;
    const rows = Papa.parse<Record<string, string>>((await csv!.blob.text()).trim(), { header: true }).data;
    expect(rows).toHaveLength(plan().order.items.flatMap(({ packages }) => packages).length);
    button(page(), 'Takeoff').click();
    const takeoff = files.pop()!;
    expect(takeoff.name).toBe('sample-job-takeoff.csv');
    expect(await takeoff.blob.text()).toContain('Hall,flats,tape coat,');
    button(page(), 'Spreadsheet').click();
    await settled(() => files.length === 2);
    expect(books[0]!.map(({ name }) => name)).toEqual(['Order list', 'Cut list', 'Tape', 'Takeoff', 'Bid']);
    button(page(), 'PDF').click();
    await settled(() => files.length === 3);
    button(page(), 'Mix cards').click();
    await settled(() => files.length === 4);
    expect(files.map(({ name }) => name)).toEqual([
      'sample-job-order-list.csv',
      'sample-job-materials.xlsx',
      'sample-job-order-list.pdf',
      'sample-job-mix-cards.pdf',
    ]);
    expect(papers.map(({ title }) => title)).toEqual(['Order list', 'Mix cards']);
    Object.defineProperty(navigator, 'clipboard', {
      value: { writeText: () => Promise.reject(new Error('no')) },
      configurable: true,
    });
    button(page(), 'Copy as text').click();
    await settled(() => words(page()).includes('blocked copying'));
  });

  it('says when a file could not be made', async () => {
    await show(ListPage);
    jest.spyOn(paper, 'workbook').mockRejectedValueOnce(new Error('no'));
    button(page(), 'Spreadsheet').click();
    await settled(() => words(page()).includes('The file could not be made'));
  });
});

describe('the supply house', () => {
  const book = suppliedWith(TYPICAL, undefined);
  const outOf = (ware: string) => (day: string, wishes: readonly Wish[]) => {
    const answer = houseAnswer(wishes, day, book);
    const offers = answer.offers.map((offer) =>
      offer.package.startsWith(ware)
        ? { ...offer, inStock: 0, leadDays: 4 }
        : { ...offer, inStock: offer.count, leadDays: 0 },
    );
    return Promise.resolve({ ...answer, offers });
  };

  it('proposes the nearest class for one that is out, with what it changes; undo takes it back', async () => {
    house.ask.mockImplementation(outOf('mud/drying-light#'));
    await show(ListPage);
    expect(plan().order.compounds.map(({ compound }) => compound)).toContain('drying-light');
    button(page(), 'Check stock and prices').click();
    await settled(() => words(page()).includes('is in stock. It costs'));
    expect(words(page())).toContain('simulated');
    expect(words(page())).toContain('0 of');
    button(page(), 'Take ultra-light').click();
    await settled(() => plan().order.compounds.some(({ compound }) => compound === 'drying-ultra-light'));
    // The order is another one: what was answered no longer holds.
    expect(words(page())).not.toContain('0 of');
    await TestBed.inject(JobStore).undo();
    await settled(() => plan().order.compounds.some(({ compound }) => compound === 'drying-light'));
  });

  it('has its prices kept with the job, and dropped', async () => {
    house.ask.mockImplementation(outOf('nothing'));
    await show(ListPage);
    const before = plan().order.cost;
    button(page(), 'Check stock and prices').click();
    await settled(() => words(page()).includes('items fully in stock'));
    expect(words(page())).toMatch(
      /20 kg tub, lightweight compound €[\d.]+ each; €[\d.]+ each from 5 up; €[\d.]+ each from 12 up/,
    );
    button(page(), 'Keep these prices').click();
    await settled(() => job().quote !== undefined && plan().order.cost !== before);
    expect(job().quote).toMatchObject({ simulated: true });
    expect(words(page())).toContain('quoted');
    button(page(), 'Discard these prices').click();
    await settled(() => plan().order.cost === before);
  });

  it('is not missed where it does not answer', async () => {
    house.ask.mockRejectedValue(new Error('offline'));
    await show(ListPage);
    button(page(), 'Check stock and prices').click();
    await settled(() => words(page()).includes('does not answer'));
    expect(page().querySelectorAll('tbody tr').length).toBeGreaterThan(5);
  });
});

describe('the papers', () => {
  const setting = { ...sampleJob().way, compounds: 'setting-below' as const };

  it('have a card for every mud that sets, water first, and how wet each coat is', async () => {
    await show(ListPage, { way: setting });
    handed();
    button(page(), 'Mix cards').click();
    await settled(() => papers.length === 1);
    const texts = papers[0]!.parts.flatMap((part) => ('text' in part ? [part.text] : []));
    const heads = papers[0]!.parts.flatMap((part) => ('heading' in part ? [part.heading] : []));
    expect(heads[0]).toMatch(/^lightweight setting \d+, tape coat$/);
    expect(texts[0]).toMatch(
      /batch.* of up to [\d.]+ L: [\d.]+ m?L of water first, then [\d.]+ kg of powder\. Hall\./,
    );
    expect(texts.join()).toContain('Local codes and licensed practice decide.');
    const table = papers[0]!.parts.find((part) => 'rows' in part)!;
    const rows = 'rows' in table ? table.rows : [];
    expect(rows.every(([, , wet]) => /^C[1-6]$/.test(wet!))).toBe(true);
  });

  it('have every stick to scale, each piece of it, and its corner', async () => {
    const doorway = { id: 'd', wall: 0, kind: 'opening' as const, returns: 'boarded' as const };
    const openings = [{ ...doorway, leftMm: 300, bottomMm: 0, widthMm: 900, heightMm: 2000 }];
    await show(CuttingPage, { rooms: [{ ...sampleJob().rooms[0]!, openings }] });
    handed();
    button(page(), 'PDF').click();
    await settled(() => papers.length === 1);
    const drawn = papers[0]!.parts.find((part) => 'sticks' in part)!;
    const sticks = 'sticks' in drawn ? drawn.sticks : [];
    expect(sticks.map(({ mm }) => mm)).toEqual(plan().cuts.map(({ stockMm }) => stockMm));
    for (const { mm, pieces } of sticks)
      expect(pieces.reduce((sum, one) => sum + one.mm, 0)).toBeLessThanOrEqual(mm + 0.1);
    const table = papers[0]!.parts.find((part) => 'rows' in part)!;
    expect('rows' in table ? table.rows.map(([, n]) => n) : []).toEqual(['1', '2', '3']);
  });
});

describe('on the van', () => {
  it('draws a dozen of many packages and says how many more, and nothing where all is here', async () => {
    const room = sampleJob().rooms[0]!;
    const rooms = Array.from({ length: 20 }, (_, i) => ({ ...room, id: `r${i}`, storey: i % 2 }));
    await show(VanPage, { rooms });
    const many = [...page().querySelectorAll('article')].find((one) => words(one).includes('all-purpose'))!;
    const count = plan().order.items[0]!.packages[0]!.count;
    expect(count).toBeGreaterThan(12);
    expect(many.querySelectorAll('svg')).toHaveLength(12);
    expect(words(many)).toContain(`and ${count - 12} more`);
    expect(words(page())).toContain('Ground floor');
    expect(words(page())).toContain('One floor up');
    await TestBed.inject(LogStore).tell('undo.log-received', {
      kind: 'received',
      lot: 'all',
      ware: mud().product,
      each: 20,
      amount: 5000,
    });
    await settled(() => mud().packages.length === 0);
    expect(words(many)).toContain('all on hand');
    expect(many.querySelectorAll('svg')).toHaveLength(0);
  });
});

describe('on hand', () => {
  const lots = () => page().querySelectorAll('.lots h2').length;

  it('receives the whole order, and nothing is left to buy', async () => {
    await show(StockPage);
    expect(words(page())).toContain('Nothing received yet');
    const packs = plan().order.items.flatMap(({ packages }) => packages).length;
    button(page(), 'Receive the whole order').click();
    await settled(() => plan().stock.length === packs && plan().order.cost === 0);
    expect(lots()).toBe(packs);
    expect(plan().order.items.every(({ packages }) => packages.length === 0)).toBe(true);
    // It all came at once, and is taken back at once.
    await TestBed.inject(JobStore).undo();
    await settled(() => plan().stock.length === 0);
  });

  it('takes off what is used, opened and spoiled, and orders again', async () => {
    await show(StockPage);
    button(page(), 'Add to stock').click();
    await settled(() => plan().stock.length === 1);
    const [lot] = plan().stock;
    expect(lot).toMatchObject({ ware: mud().product, used: 0 });
    button(page(), 'Open').click();
    await settled(() => plan().stock[0]!.opened !== undefined);
    type('Used, L', '3');
    await settled(() => plan().stock[0]!.used === 3);
    expect(mud()).toMatchObject({ used: 3, onHand: lot!.got - 3 });
    button(page(), 'Discard the rest').click();
    await settled(() => plan().stock[0]!.left === 0);
    expect(words(page())).toContain('spoiled');
    // A fold over the log: taking the last entry back brings the rest back.
    const last = TestBed.inject(LogStore).entries().at(-1)!;
    await TestBed.inject(LogStore).takeBack('undo.log-spoiled', last.id);
    await settled(() => plan().stock[0]!.left > 0);
  });

  it('brings what another job has left over, which is gone there', async () => {
    await show(StockPage);
    const storage = TestBed.inject(JobStorage);
    await storage.add({ ...sampleJob(), id: 'other', name: 'Mill Lane 4' });
    const entry: LogEntry = {
      id: 'e1',
      at: '2026-11-20T08:00:00+00:00',
      by: 'Ansa',
      device: 'd',
      kind: 'received',
      lot: 'l1',
      ware: mud().product,
      each: 17,
      amount: 11,
      useBy: '2027-05-01',
    };
    await storage.record('other', 'came', [entry]);
    button(page(), 'Look in other jobs').click();
    await settled(() => words(page()).includes('Mill Lane 4'));
    expect(words(page())).toContain('11 L of');
    button(page(), 'Bring it here').click();
    await settled(() => plan().stock.length === 1);
    expect(plan().stock[0]).toMatchObject({ left: 11, useBy: '2027-05-01', note: 'From Mill Lane 4' });
    expect(lotsOf(await storage.log('other'))).toMatchObject([{ left: 0 }]);
    await settled(() => words(page()).includes('No other job has materials left'));
  });

  it('leaves out what is past its date until somebody answers for it', async () => {
    await show(StockPage);
    type('Use by', '2026-01-31');
    type('Lot code', 'B 7');
    await built(fixture);
    button(page(), 'Add to stock').click();
    await settled(() => plan().stock.length === 1);
    expect(mud().blocked).toBeGreaterThan(0);
    expect(words(page())).toContain('Code B 7.');
    type('Past its date', 'no lumps');
    await settled(() => plan().stock[0]!.allowed === 'no lumps');
    expect(mud()).toMatchObject({ blocked: 0 });
    expect(words(page())).toContain('used anyway: no lumps');
  });
});

describe('the bid', () => {
  const amounts = (rows: string): number =>
    [...page().querySelectorAll(`${rows} tbody .number:not(.soft)`)].reduce(
      (sum, cell) => sum + Number(words(cell).replace(/[^\d.]/g, '')),
      0,
    );
  const total = () => Number(words(page().querySelector('.lines tfoot .number')!).replace(/[^\d.]/g, ''));

  it('adds up as a stranger would add it', async () => {
    await show(BidPage);
    expect(amounts('.lines')).toBeCloseTo(total(), 6);
    expect(total()).toBe(plan().bid.total);
  });

  it('follows rate, margin and equipment of one’s own', async () => {
    await show(BidPage);
    const before = total();
    type('Hourly rate', '60');
    await settled(() => total() > before);
    type('Tax, %', '19');
    await settled(() => plan().bid.total > plan().bid.net);
    expect(plan().bid.total).toBeCloseTo(plan().bid.net * 1.19, 2);
    button(page(), 'Add equipment').click();
    await settled(() => page().querySelectorAll('.hired li').length === 1);
    type('Price of Platform', '80');
    await settled(() => plan().bid.lines.find(({ kind }) => kind === 'equipment')!.amount === 80);
    page().querySelector<HTMLButtonElement>('[aria-label="Remove Platform"]')!.click();
    await settled(() => plan().bid.lines.find(({ kind }) => kind === 'equipment')!.amount === 0);
    expect(amounts('.lines')).toBeCloseTo(total(), 6);
  });

  it('holds a grade up and one down beside it, and takes one with a press', async () => {
    await show(BidPage);
    button(page(), 'Compare').click();
    await settled(() => words(page()).includes('One level lower'));
    expect(words(page())).toContain('One level higher');
    const up = [...page().querySelectorAll<HTMLElement>('.others li')].find((one) =>
      words(one).startsWith('One level higher'),
    )!;
    expect(words(up)).toMatch(/€\d+\.\d\d more; .* of compound to buy, ready /);
    button(up, 'Use this').click();
    await settled(() => job().rooms[0]!.finish.grade === 5);
    // What was weighed was weighed for another job.
    expect(words(page())).not.toContain('One level lower');
  });

  it('stands as agreed, with what changed since beside it', async () => {
    await show(BidPage);
    const { search } = TestBed.inject(PlanStore);
    await settled(() => search() === 'done');
    button(page(), 'Mark as agreed').click();
    await settled(() => job().agreed !== undefined);
    const was = job().agreed!.total;
    await settled(() => words(page()).includes('Nothing has changed since'));
    TestBed.inject(JobStore).edit('undo.change-set-time', (draft) => {
      draft.rooms[0]!.finish = { scale: 'level', grade: 2 };
    });
    await settled(() => words(page()).includes('Extras since then'));
    expect(job().agreed!.total).toBe(was);
    expect(words(page().querySelector('.agreed')!)).toContain('changed');
    button(page(), 'Agree to the new total').click();
    await settled(() => job().agreed!.total === plan().bid.total);
    button(page(), 'Remove the agreement').click();
    await settled(() => job().agreed === undefined);
  });

  it('is agreed only once no better plan of the days is looked for', async () => {
    await show(BidPage);
    const { search } = TestBed.inject(PlanStore);
    await settled(() => search() === 'done');
    expect(button(page(), 'Mark as agreed').disabled).toBe(false);
    const days = TestBed.inject(DaysClient);
    const look = days.search.bind(days);
    let rest = () => undefined as void;
    const resting = new Promise<void>((resolve) => (rest = resolve));
    jest.spyOn(days, 'search').mockImplementationOnce(async (...of) => {
      await resting;
      return look(...of);
    });
    TestBed.inject(JobStore).edit('undo.change-set-time', (draft) => {
      draft.rooms[0]!.finish = { scale: 'level', grade: 3 };
    });
    await settled(() => search() === 'running');
    expect(button(page(), 'Mark as agreed').disabled).toBe(true);
    rest();
    await settled(() => search() === 'done');
    expect(button(page(), 'Mark as agreed').disabled).toBe(false);
  });

  it('is not agreed to as it was before what was just typed is planned', async () => {
    await show(BidPage);
    await settled(() => !button(page(), 'Mark as agreed').disabled);
    const before = plan().bid.total;
    type('Hourly rate', '70');
    button(page(), 'Mark as agreed').click();
    await settled(() => plan().bid.total !== before && !button(page(), 'Mark as agreed').disabled);
    expect(job().agreed).toBeUndefined();
    button(page(), 'Mark as agreed').click();
    await settled(() => job().agreed !== undefined);
    expect(job().agreed!.total).toBe(plan().bid.total);
    await settled(() => words(page()).includes('Nothing has changed since'));
  });

  it('goes out as a table and a paper that both add up', async () => {
    await show(BidPage);
    const files = handed();
    button(page(), 'Table').click();
    button(page(), 'Cost sheet').click();
    await settled(() => files.length === 2);
    expect(papers[0]!.title).toBe('Cost sheet');
    const table = papers[0]!.parts.find((part) => 'rows' in part)!;
    const sums = ('rows' in table ? table.rows : []).map(([name, sum]) => [
      name,
      Number(sum!.replace(/[^\d.]/g, '')),
    ]);
    const all = sums.filter(([name]) => name !== 'Total').reduce((sum, [, n]) => sum + Number(n), 0);
    expect(all).toBeCloseTo(Number(sums.find(([name]) => name === 'Total')![1]), 6);
  });

  it('is a paper for the owner to sign, with what is done, the price, how long it holds and the terms', async () => {
    await show(BidPage, { place: 'Mill Lane 4', agreement: { owner: 'R. Vale', finisher: 'Sample and Co' } });
    const files = handed();
    const fill = (label: string, value: string) => {
      const named = [...page().querySelectorAll('label')].find((one) => words(one).startsWith(label))!;
      const field = page().querySelector<HTMLInputElement>(`#${named.htmlFor}`)!;
      field.value = value;
      field.dispatchEvent(new Event('change'));
    };
    fill('Price holds for', '14');
    fill('More terms', 'Half on signing.\nRest when done.');
    const ready = () => !button(page(), 'Bid to sign').disabled;
    await settled(
      () => job().bidding?.terms !== undefined && TestBed.inject(PlanStore).planned() === job() && ready(),
    );
    button(page(), 'Bid to sign').click();
    await settled(() => files.length === 1);
    const [paper] = papers;
    expect(paper).toMatchObject({ title: 'Bid', intro: 'Sample job, Mill Lane 4' });
    const said = JSON.stringify(paper!.parts);
    expect(said).toMatch(/R\. Vale.*Sample and Co.*Nov 29, 2026.*Dec 13, 2026/);
    expect(said).toMatch(/Hall.*Level 4: two coats over the tape\. Tape bedded; two separate coats/);
    expect(said).toMatch(/Half on signing.*Rest when done/);
    expect(said).toContain('Primer is supplied with this price');
    expect(said).toContain(plan().bid.total.toLocaleString('en-US', { minimumFractionDigits: 2 }));
    // What the finisher earns is nobody else's business.
    expect(said).not.toMatch(/Margin|Overhead|Labor/);
    expect(paper!.parts.at(-1)).toMatchObject({ signatures: [{ who: 'Owner' }, { who: 'Finisher' }] });
  });
});

it.each([
  ['tarn-ferry', 'feet'],
  ['pier-house', 'metric'],
] as const)('no paper and no table of %s, a %s job, has a unit of the other system', async (id, system) => {
  setUp([]);
  await openJob(JSON.parse(readFileSync(`apps/web/public/demo/${id}.lisse.json`, 'utf8')) as Job);
  await until(() => TestBed.inject(PlanStore).planned() === job());
  const sheets = TestBed.inject(GoodsSheets);
  const told = TestBed.inject(Texts).say;
  const rooms = new Map(job().rooms.map((room) => [room.id, room.name]));
  const papers = {
    order: sheets.order(plan()),
    cuts: sheets.cuts(plan()),
    mixes: sheets.mixes(plan()),
    offer: sheets.offer(plan(), '2026-11-29'),
    bid: sheets.bid(plan()),
    agreement: agreementFor(job(), plan().rooms, undefined, told, TestBed.inject(Texts).locale(), TYPICAL),
    days: daysCsv(plan().days, rooms, told),
    tables: TestBed.inject(OrderStore).tables(),
  };
  const texts = (part: unknown): string[] =>
    typeof part === 'string'
      ? part.split(/[\r\n]+/)
      : typeof part === 'object' && part !== null
        ? Object.values(part).flatMap(texts)
        : [];
  for (const [name, paper] of Object.entries(papers)) {
    const said = texts(paper);
    expect(said.length).toBeGreaterThan(10);
    expect([name, said.filter((text) => OTHER_UNITS[system].test(text))]).toEqual([name, []]);
  }
});

import { TestBed } from '@angular/core/testing';
import { START_WORKER } from '../worker/worker-factory';
import { Languages, preferred, speak } from './language';
import { Texts } from './texts';

beforeEach(() =>
  TestBed.configureTestingModule({ providers: [{ provide: START_WORKER, useValue: () => ({}) }] }),
);

const asks = (...tags: string[]) => jest.spyOn(navigator, 'languages', 'get').mockReturnValue(tags);

afterEach(async () => {
  localStorage.clear();
  jest.restoreAllMocks();
  await speak('en-US');
});

it('takes the first English that the browser asks for', () => {
  const cases = [
    [['en-US'], 'en-US'],
    [['en'], 'en-US'],
    [['en-CA', 'en-GB'], 'en-US'],
    [['en-GB'], 'en-GB'],
    [['fr-FR', 'en-IE', 'en-US'], 'en-GB'],
    [['en-Latn-AU'], 'en-GB'],
    [['de-DE'], 'en-US'],
    [['no tag'], 'en-US'],
    [[], 'en-US'],
  ] as const;
  for (const [asked, language] of cases) expect([asked, preferred(asked)]).toEqual([asked, language]);
});

it('says everything anew in the language that is chosen, and keeps it', async () => {
  asks('de-DE', 'en-US');
  const texts = TestBed.inject(Texts);
  const languages = TestBed.inject(Languages);
  const said = () => [
    texts.t('mix.rim'),
    texts.locale().date('2026-11-30'),
    texts.locale().money(2987.12, '$', 2),
  ];
  expect(said()).toEqual([
    'Wipe the rim down. Scraps from the floor or the pan never go back in.',
    'Nov 30, 2026',
    '$2,987.12',
  ]);
  await languages.choose('en-GB');
  expect(said()).toEqual([
    'Wipe the rim down. Scraps from the floor or the tray never go back in.',
    '30 Nov 2026',
    '$2,987.12',
  ]);
  expect(document.documentElement.lang).toBe('en-GB');
  expect(languages.all().map(({ name }) => name)).toEqual(['American English', 'British English']);
  expect(preferred(['en-US'])).toBe('en-GB');
});

it('writes dates as the browser has them within one language', async () => {
  asks('en-IE');
  await speak('en-GB');
  expect(TestBed.inject(Texts).locale().tag).toBe('en-IE');
  expect(TestBed.inject(Texts).t('decoration.deep-colour')).toBe('deep colour');
});

it('chooses a language where nothing can be kept', async () => {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
    throw new DOMException('denied', 'SecurityError');
  });
  await TestBed.inject(Languages).choose('en-GB');
  expect(TestBed.inject(Languages).spoken()).toBe('en-GB');
  expect(preferred(['en-US'])).toBe('en-US');
});

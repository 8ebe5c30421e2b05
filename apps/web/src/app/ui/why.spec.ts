import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { given, say, type Why } from '@lisse/core';
import { built, openJob, sampleJob, setUp, until, words } from '../../testing/app';
import { WhyButton } from './why';

let fixture: ComponentFixture<WhyButton>;
const below: Record<string, Why> = {
  rooms: {
    rule: say('say', { what: 'All rooms.' }),
    inputs: [{ ...given(say('say', { what: 'Hall' }), 3, 'L'), key: 'hall' }],
  },
  hall: { rule: say('say', { what: 'The hall.' }), inputs: [given(say('say', { what: 'Butt 1' }), 3, 'L')] },
};
const top: Why = {
  rule: say('say', { what: 'The whole.' }),
  inputs: [
    { ...given(say('say', { what: 'tape coat' }), 3, 'L'), key: 'rooms' },
    { ...given(say('say', { what: 'lost' }), 1, 'L'), key: 'nowhere' },
    given(say('say', { what: 'waste' }), 0.1, 'share', 'typical'),
  ],
};

async function show(deep = true): Promise<void> {
  setUp();
  await openJob(sampleJob());
  fixture = TestBed.createComponent(WhyButton);
  fixture.componentRef.setInput('why', top);
  fixture.componentRef.setInput('of', 'the mud');
  if (deep) fixture.componentRef.setInput('below', (key: string) => below[key]);
  await built(fixture);
  (fixture.nativeElement as HTMLElement).querySelector('button')!.click();
  await until(() => panel() !== null);
  await built(fixture);
}
const panel = () => document.querySelector<HTMLElement>('.p-popover');
const parts = () => [...panel()!.querySelectorAll('dt button')].map((one) => words(one));
const press = async (name: string): Promise<void> => {
  [...panel()!.querySelectorAll<HTMLButtonElement>('button')].find((one) => words(one) === name)!.click();
  await built(fixture);
};

afterEach(() => panel()?.remove());

it('says the rule and its parts, with where each comes from', async () => {
  await show(false);
  expect(words(panel()!)).toContain('The whole.');
  expect(words(panel()!)).toMatch(/waste\s+10%\s+typical/);
  expect(parts()).toEqual([]);
});

it('goes down part by part, and back up', async () => {
  await show();
  expect(parts()).toEqual(['tape coat', 'lost']);
  await press('tape coat');
  expect(words(panel()!)).toContain('All rooms.');
  await press('Hall');
  expect(words(panel()!)).toContain('Butt 1');
  expect(parts()).toEqual([]);
  await press('Back');
  expect(words(panel()!)).toContain('All rooms.');
  await press('Back');
  expect(words(panel()!)).toContain('The whole.');
});

it('stays where it is at a part that has nothing below it', async () => {
  await show();
  await press('lost');
  expect(words(panel()!)).toContain('The whole.');
  expect(words(panel()!)).not.toContain('Back');
});

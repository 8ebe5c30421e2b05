import { comingWorkday, startingOn } from './dated';

const five = { weekdays: [1, 2, 3, 4, 5] };

it.each([
  ['2026-12-01', '2026-12-02', 'a Tuesday'],
  ['2026-12-04', '2026-12-07', 'a Friday'],
  ['2026-12-06', '2026-12-07', 'a Sunday'],
  ['2026-12-31', '2027-01-01', 'the last day of a year'],
  ['2028-02-29', '2028-03-01', 'a leap day'],
])('the working day that comes after %s is %s (%s)', (day, next) => {
  expect(comingWorkday(day, five)).toBe(next);
});

it('somebody who works on Mondays only begins a week later', () => {
  expect(comingWorkday('2026-11-30', { weekdays: [1] })).toBe('2026-12-07');
});

it('a job is moved with its days and moments, and nothing else of it', () => {
  const job = {
    calendar: { startDate: '2026-11-30', from: '07:00', off: ['2026-12-24'] },
    shop: { products: [{ useBy: '2027-08-31', name: '2026 mix' }], peels: [{ date: '2026-10-12' }] },
    log: [{ at: '2026-11-30T07:05:00-05:00', note: 'until 2026-12-24' }],
  };
  // From a Monday to the leap day of 2028: 456 days.
  expect(startingOn(job as never, '2028-02-29')).toEqual({
    calendar: { startDate: '2028-02-29', from: '07:00', off: ['2028-03-24'] },
    shop: { products: [{ useBy: '2028-11-29', name: '2026 mix' }], peels: [{ date: '2028-01-11' }] },
    log: [{ at: '2028-02-29T07:05:00-05:00', note: 'until 2026-12-24' }],
  });
});

it('a job that starts on that day already stays as it is', () => {
  const job = { calendar: { startDate: '2026-11-30' }, peels: [{ date: '2026-10-12' }] };
  expect(startingOn(job as never, '2026-11-30')).toEqual(job);
});

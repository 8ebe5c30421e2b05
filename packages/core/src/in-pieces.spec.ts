import * as pieces from './in-pieces';
import * as listed from './index';

test('what the applications may use is the same, built in pieces or not', () => {
  expect(Object.keys(listed).length).toBeGreaterThan(300);
  for (const [name, value] of Object.entries(listed))
    expect([name, Reflect.get(pieces, name)]).toEqual([name, value]);
});

import { daysLeftText, momentsOf, DAYS_TO_UNDO } from '../src';

const now = new Date(2026, 10, 27, 15, 30);

test('spans of time end and begin at the maker’s own midnight, and meet without a gap', () => {
  expect(momentsOf('any', now)).toEqual({ since: null, before: null });
  expect(momentsOf('today', now)).toEqual({ since: new Date(2026, 10, 27).toISOString(), before: null });
  expect(momentsOf('week', now).since).toBe(new Date(2026, 10, 21).toISOString());
  expect(momentsOf('month', now).since).toBe(momentsOf('earlier', now).before);
});

test.each([
  [0, `removed today, here ${DAYS_TO_UNDO} more days`],
  [1, 'removed yesterday, here 29 more days'],
  [29, 'removed 29 days ago, here 1 more day'],
  [45, 'removed 45 days ago, here 0 more days'],
])('%d days after it was removed: %s', (days, text) => {
  expect(daysLeftText(new Date(now.getTime() - days * 86_400_000 - 1000).toISOString(), now)).toBe(text);
});

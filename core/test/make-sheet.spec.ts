import { defaultSettings } from '../src';
import { logLines, makeSheetOf, type LogEntry } from '../src/make';
import { coatOf, entry, made, MINUTE, START, upTo } from './made';
import { workshop } from './workshop';

const make = made('copper-eaves', 2);
const resin = coatOf(make, 'resin');
const { settings } = workshop;

test('a sheet has each coat of the make, planned beside what was really poured, and says which was another', () => {
  const a = resin.amounts.find(({ key }) => key === 'a');
  const log = [
    ...upTo(make, resin.coat),
    entry(600, { what: 'begun', coat: resin.coat }),
    entry(620, { what: 'done', coat: resin.coat, poured: { a: (a?.amount ?? 0) + 2 }, took: {} }),
  ];
  const sheet = makeSheetOf(make, log, [], settings, START + 700 * MINUTE);
  expect(sheet.coats.map(({ title }) => title)).toEqual(make.steps.map(({ title }) => title));
  expect(sheet.called).toBe('make 1, 2 cups');
  const coat = sheet.coats[make.steps.indexOf(resin)];
  expect(coat).toMatchObject({ state: 'done', begun: START + 600 * MINUTE, ended: START + 620 * MINUTE });
  expect(coat.amounts.filter(({ other }) => other)).toHaveLength(1);
  const other = coat.amounts.find((one) => one.other);
  expect(parseFloat(other?.really ?? '') - parseFloat(other?.planned ?? '')).toBeCloseTo(2, 6);
  for (const { planned, really } of coat.amounts.filter((one) => !one.other)) expect(really).toBe(planned);
  expect(sheet.coats.at(-1)).toMatchObject({ state: 'later', begun: null, ended: null });
});

test('a sheet says what the room was like, or that nobody measured it, and which lot each jar is of', () => {
  const room = [19, 21, 23].map((celsius, i) => ({ at: START + i * MINUTE, celsius, humidity: null }));
  const facts = (moments: typeof room) => makeSheetOf(make, [], moments, defaultSettings, START).facts.join(' ');
  expect(facts(room)).toContain('19.0 °C to 23.0 °C, 21.0 °C on average');
  expect(facts([])).toContain('nobody measured it');
  const lots = { ...make, shelf: make.shelf.map((item) => ({ ...item, lot: `lot of ${item.name}` })) };
  const { jars, coats } = makeSheetOf(lots, [], [], settings, START);
  for (const { name, lot } of jars) expect(lot).toBe(`lot of ${name}`);
  expect(coats.flatMap(({ amounts }) => amounts).some(({ lot }) => lot.startsWith('lot of '))).toBe(true);
});

test('every kind of entry is a line of the log in words', () => {
  const of = { coat: resin.coat };
  const log: LogEntry[] = [
    entry(0, { what: 'begun', ...of }),
    entry(1, { what: 'done', ...of, poured: {}, took: {} }),
    entry(2, { what: 'undone', ...of }),
    entry(3, { what: 'skipped', ...of, why: 'a trial' }),
    entry(4, { what: 'weighed', ...of, pot: 2.4 }),
    entry(5, { what: 'set', ...of, celsius: 20 }),
    entry(6, { what: 'note', ...of, text: 'thinner', next: true }),
    entry(7, { what: 'note', coat: null, text: 'blue tape', next: false }),
    entry(8, { what: 'mishap', ...of, kind: 'spilt', says: 'Spilt', answer: 'Mix anew.' }),
    entry(9, { what: 'given up', why: 'it fell' }),
    entry(10, { what: 'taken up' }),
  ];
  const { title } = resin;
  expect(logLines(make, log, settings).map(({ what }) => what)).toEqual([
    `Begun: ${title}`,
    `Done: ${title}`,
    `Undone: ${title}`,
    `Left out: ${title}`,
    `Weighed: ${title}`,
    `Set: ${title}`,
    `For next time, at ${title}`,
    'Note',
    `Spilt: ${title}`,
    'Given up',
    'Taken up again',
  ]);
  expect(logLines(make, log, settings).map(({ says }) => says)).toEqual(
    expect.arrayContaining(['a trial', '2.4 g left in the pot', 'thinner', 'it fell']),
  );
});

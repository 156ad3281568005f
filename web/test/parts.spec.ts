import { TestBed } from '@angular/core/testing';
import { Chips, type Chip } from '../src/app/parts/chips/chips';
import { TextField } from '../src/app/parts/fields/text-field';
import { WordsField } from '../src/app/parts/fields/words-field';
import { Commands } from '../src/app/services/commands';
import { sameRows } from '../src/app/parts/same-rows';
import { FirstCupLesson } from '../src/app/services/lesson';
import { RoomLight } from '../src/app/services/room-light';
import { labelled, typeInto } from './workshop';

beforeEach(() => {
  localStorage.clear();
  delete document.documentElement.dataset['light'];
});

describe('chips', () => {
  const chips = (on: string): readonly Chip<string>[] =>
    ['Foot', 'Ridge'].map((name) => ({ id: name, name, says: '12 cm²', colour: '#123456', on: name === on }));
  async function shown() {
    const fixture = TestBed.createComponent(Chips<string>);
    fixture.componentRef.setInput('label', 'Area');
    fixture.componentRef.setInput('chips', chips('Foot'));
    const pressed: string[] = [];
    fixture.componentInstance.pressed.subscribe((id) => pressed.push(id));
    await fixture.whenStable();
    const options = () => [...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('[role=option]')];
    const chosen = () =>
      options().flatMap((one) => (one.getAttribute('aria-selected') === 'true' ? [one.innerText ?? one.textContent] : []));
    return { fixture, pressed, options, chosen };
  }

  test('what is chosen is the owner’s to say: a press is told, and shows only once the owner takes it', async () => {
    const { fixture, pressed, options, chosen } = await shown();
    options()[1].click();
    await fixture.whenStable();
    expect(pressed).toEqual(['Ridge']);
    fixture.componentRef.setInput('chips', chips('Ridge'));
    await fixture.whenStable();
    expect(chosen().join()).toContain('Ridge');
    expect(chosen()).toHaveLength(1);
  });

  test('the chosen one pressed again stays chosen while the owner leaves it so', async () => {
    const { fixture, pressed, options, chosen } = await shown();
    options()[0].click();
    await fixture.whenStable();
    expect(pressed).toEqual(['Foot']);
    expect(chosen().join()).toContain('Foot');
  });
});

describe('words', () => {
  async function shown(words: readonly string[], known: readonly string[] = []) {
    const fixture = TestBed.createComponent(WordsField);
    fixture.componentRef.setInput('label', 'Tags');
    fixture.componentRef.setInput('words', words);
    fixture.componentRef.setInput('known', known);
    const changed: (readonly string[])[] = [];
    fixture.componentInstance.wordsChange.subscribe((next) => changed.push(next));
    await fixture.whenStable();
    return { fixture, root: fixture.nativeElement as HTMLElement, changed };
  }

  test('Enter puts on what was typed, without the spaces round it; nothing typed puts nothing on', async () => {
    const { root, changed } = await shown(['fair']);
    const field = root.querySelector('input');
    if (!field) throw new Error('no field');
    const enter = () => field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', keyCode: 13, bubbles: true }));
    enter();
    expect(changed).toEqual([]);
    field.value = '  winter ';
    field.dispatchEvent(new Event('input'));
    enter();
    expect(changed).toEqual([['fair', 'winter']]);
    expect(field.value).toBe('');
  });

  test('a word is taken off by its cross', async () => {
    const { root, changed } = await shown(['fair', 'winter']);
    root.querySelector<HTMLElement>('[aria-label="Take fair off"]')?.click();
    expect(changed).toEqual([['winter']]);
  });
});

describe('the light of the screens', () => {
  test('it is what was chosen at this device, also next time', () => {
    TestBed.inject(RoomLight).choose('evening');
    expect(document.documentElement.dataset['light']).toBe('evening');
    TestBed.resetTestingModule();
    expect(TestBed.inject(RoomLight).now()).toBe('evening');
  });

  test('without storage it is day, and can be changed all the same', () => {
    const forbidden = jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
      throw new Error('forbidden');
    });
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('forbidden');
    });
    jest.spyOn(console, 'warn').mockImplementation(() => undefined);
    const light = TestBed.inject(RoomLight);
    expect(light.now()).toBe('day');
    light.choose('evening');
    expect(light.now()).toBe('evening');
    expect(forbidden).toHaveBeenCalled();
    jest.restoreAllMocks();
  });
});

describe('the lesson of a first cup', () => {
  const anew = () => {
    TestBed.resetTestingModule();
    return TestBed.inject(FirstCupLesson);
  };

  test('it goes on where it was left, and is over once it is left for good', () => {
    const lesson = TestBed.inject(FirstCupLesson);
    lesson.begin('mine');
    lesson.skip('cup');
    lesson.printed();
    expect(anew().now()).toEqual({ design: 'mine', skipped: ['cup'], printed: true });
    anew().leave();
    expect(anew().now()).toBeNull();
  });

  test.each(['{', '"text"', '{"design":1}'])('what another program left there is no lesson: %s', (text) => {
    localStorage.setItem('aurantia.first-cup', text);
    expect(anew().now()).toBeNull();
  });
});

test('commands are there for as long as who offers them', () => {
  const commands = TestBed.inject(Commands);
  const ends: (() => void)[] = [];
  const until = { onDestroy: (end: () => void) => ends.push(end) };
  commands.offer(() => [{ name: 'Undo', group: 'This design', run: () => undefined }], until as never);
  expect(commands.all().map(({ name }) => name)).toEqual(['Undo']);
  ends.forEach((end) => end());
  expect(commands.all()).toEqual([]);
});

describe('words typed', () => {
  async function field() {
    const fixture = TestBed.createComponent(TextField);
    const set = (name: string, value: unknown) => fixture.componentRef.setInput(name, value);
    set('label', 'as #');
    set('value', '#112233');
    fixture.componentInstance.valueChange.subscribe((words) => set('refused', words === '#445566' ? null : 'That is no colour.'));
    const root = fixture.nativeElement as HTMLElement;
    await fixture.whenStable();
    const type = async (words: string) => {
      typeInto(labelled(root, 'as #'), words);
      await fixture.whenStable();
      return root.querySelector('[role=alert]')?.textContent ?? null;
    };
    return { type };
  }
  test('that are refused for the same reason twice are told so twice, and no more once they are taken', async () => {
    const { type } = await field();
    expect(await type('red')).toBe('That is no colour.');
    expect(await type('#12')).toBe('That is no colour.');
    expect(await type('#445566')).toBeNull();
  });
});

test('rows that read alike second after second are the same rows: nothing is drawn anew for them', () => {
  const rows = [
    { id: 'a', stands: 'ready' },
    { id: 'b', stands: 'in 2 h' },
  ];
  expect(
    sameRows(
      rows.map((row) => ({ ...row })),
      rows,
    ),
  ).toBe(true);
  expect(sameRows([...rows].reverse(), rows)).toBe(false);
  expect(sameRows(rows.slice(1), rows)).toBe(false);
  expect(sameRows([rows[0], { id: 'b', stands: 'in 1 h' }], rows)).toBe(false);
  expect([sameRows(undefined, rows), sameRows(rows, undefined), sameRows(undefined, undefined)]).toEqual([false, false, true]);
});

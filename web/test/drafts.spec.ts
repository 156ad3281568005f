import { TestBed } from '@angular/core/testing';
import { Drafts } from '../src/app/services/drafts';
import { design } from './workshop';

/** Locks of the browser, as much as drafts use: held names belong to living tabs. */
const held = new Set<string>();
const locks = {
  request: (name: string, _: unknown, work: (lock: object | null) => unknown) => {
    const free = !held.has(name);
    if (free) held.add(name);
    return Promise.resolve(work(free ? {} : null));
  },
  query: () => Promise.resolve({ held: [...held].map((name) => ({ name })) }),
};
const here = (value: typeof locks | undefined) => Object.defineProperty(navigator, 'locks', { value, configurable: true });
here(locks);
afterEach(() => here(locks));

const tab = () => {
  TestBed.resetTestingModule();
  return TestBed.inject(Drafts);
};
const draft = (name: string, parent = 2) => ({ parent, document: { ...design, name } });

beforeEach(() => {
  held.clear();
  localStorage.clear();
  sessionStorage.clear();
});

test('a draft is there after a reload, until it is dropped', async () => {
  await tab().keep('d', draft('Typed'));
  held.clear();
  const again = tab();
  expect(await again.take('d')).toEqual(draft('Typed'));
  await again.drop('d');
  expect(await again.take('d')).toBeNull();
});

test('a living tab’s draft is left alone; a gone tab’s is taken over', async () => {
  await tab().keep('d', draft('Theirs'));
  sessionStorage.clear();
  expect(await tab().take('d')).toBeNull();
  held.clear();
  sessionStorage.clear();
  expect(await tab().take('d')).toEqual(draft('Theirs'));
  expect(Object.keys(localStorage)).toHaveLength(1);
});

test('a duplicated tab gets a name of its own', async () => {
  await tab().keep('d', draft('First'));
  const copy = tab();
  await copy.keep('d', draft('Second'));
  expect(Object.keys(localStorage)).toHaveLength(2);
});

test('another design’s draft and rubbish are nobody’s', async () => {
  await tab().keep('other', draft('Other'));
  localStorage.setItem('aurantia draft/d/gone', '{"parent":"x"}');
  localStorage.setItem('aurantia draft/d/cut-off', '{"parent":1,"docum');
  expect(await tab().take('d')).toBeNull();
});

test('in a page that came over the network there are no locks: a draft is kept and taken by its own tab alone', async () => {
  here(undefined);
  await tab().keep('d', draft('Typed'));
  expect(await tab().take('d')).toEqual(draft('Typed'));
  sessionStorage.clear();
  expect(await tab().take('d')).toBeNull();
});

import { JSDOM } from 'jsdom';

/* A page in Node, there before anything of Angular's is read: what is global is the window's, and the other way round. */

const page = new JSDOM('<!doctype html>', { url: 'http://localhost/', pretendToBeVisual: true }).window;

/** What Node has too, and screens are to have from the page: its events must be of a kind with what they are sent to. */
const OF_PAGE =
  /^(?:(?:Custom|Message)?Event|EventTarget|Abort(?:Controller|Signal)|DOMException|Blob|File|FormData|Headers|navigator)$/;
/** What tests bring, and screens ask the window for. */
const BROUGHT = ['matchMedia', 'requestIdleCallback', 'cancelIdleCallback', 'ResizeObserver'];
const names = Object.getOwnPropertyNames(page).filter(
  (name) => !name.startsWith('_') && (!(name in globalThis) || OF_PAGE.test(name)),
);

for (const name of [...names, ...BROUGHT])
  Object.defineProperty(globalThis, name, {
    configurable: true,
    get: (): unknown => Reflect.get(page, name),
    set: (value) => Reflect.set(page, name, value),
  });
for (const name of ['addEventListener', 'removeEventListener', 'dispatchEvent'] as const)
  Object.defineProperty(globalThis, name, { configurable: true, writable: true, value: page[name].bind(page) });

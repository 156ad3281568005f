import { getTestBed } from '@angular/core/testing';

type Globals = Map<PropertyKey, PropertyDescriptor>;

const globalsOf = (world: object): Globals =>
  new Map(Object.entries(Object.getOwnPropertyDescriptors(world) as Record<string, PropertyDescriptor>));

/** Puts back what was replaced or taken away, and takes away what wasn't there. */
function putBack(world: object, before: Globals): void {
  const now = globalsOf(world);
  for (const name of now.keys()) if (!before.has(name)) Reflect.deleteProperty(world, name);
  for (const [name, was] of before) {
    const is = now.get(name);
    if (is?.value !== was.value || is?.get !== was.get) Object.defineProperty(world, name, was);
  }
}

/** All files of tests run in one world: what one of them made of it is undone after it. Called at the head of each by who reads it. */
export function undoneAfterwards(): void {
  const worlds = [globalThis, window, navigator].map((world) => ({ world, before: globalsOf(world) }));
  const failed: unknown[] = [];
  const noted = ({ error }: ErrorEvent) => void failed.push(error);
  window.addEventListener('error', noted);
  afterEach(() => {
    getTestBed().resetTestingModule();
    // What fails in answer to a press reaches nobody but the window.
    for (const error of failed.splice(0)) throw error;
  });
  afterAll(() => {
    window.removeEventListener('error', noted);
    jest.restoreAllMocks();
    jest.useRealTimers();
    for (const { world, before } of worlds) putBack(world, before);
    document.body.replaceChildren();
    localStorage.clear();
    sessionStorage.clear();
  });
}

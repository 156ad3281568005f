import { v7 } from 'uuid';
import { openBrowser, PATIENCE, resize, type Browser } from './browser';
import { copyOfDemo } from './made-demo';
import { Program } from './program';

/** The program and the browser of a file of tests, there once its tests begin. */
export let program: Program;
export let browser: Browser;

/* One file after another finds the program where the last one had it, and the browser with what it compiled of it: as a maker does each day. */
let usualPort = '0';
/** What pages keep, other than the program itself. */
const KEPT_BY_PAGES = 'cookies,local_storage,indexeddb,file_systems,service_workers,cache_storage';

async function startProgram(demo: boolean): Promise<void> {
  program = demo ? new Program(true, copyOfDemo()) : new Program(false);
  // Where somebody has taken the port meanwhile, any other does.
  await program.start(usualPort).catch(() => program.start('0'));
  usualPort = new URL(program.address).port;
}

/** Begun by the first file that wants it: a browser takes seconds of a processor to begin. */
let open: { readonly graphics: boolean } | null = null;
process.once('beforeExit', () => void closeBrowser());

async function startBrowser(graphics: boolean): Promise<void> {
  if (open?.graphics === graphics) return;
  await closeBrowser();
  browser = await openBrowser(graphics);
  open = { graphics };
  await forgetful();
}

async function closeBrowser(): Promise<void> {
  if (!open) return;
  open = null;
  await browser.quit();
}

/** Ends what a file or a test had. A page of it, still there, would find the next one's program at its own address. */
async function end(): Promise<void> {
  try {
    // A browser that can't be brought to forget has crashed: the next file gets another.
    if (open) await forgetful().catch(closeBrowser);
  } finally {
    await (program as Program | undefined)?.end();
  }
}

/** A tab in which nothing was before, with nothing kept and nothing logged by earlier pages. */
async function forgetful(): Promise<void> {
  const earlier = await browser.getAllWindowHandles();
  await browser.switchTo().newWindow('tab');
  const fresh = await browser.getWindowHandle();
  for (const tab of earlier) {
    await browser.switchTo().window(tab);
    await browser.close();
  }
  await browser.switchTo().window(fresh);
  await browser.manage().logs().get('browser');
  await browser.sendDevToolsCommand('Storage.clearDataForOrigin', { origin: program.address, storageTypes: KEPT_BY_PAGES });
  await resize(browser, 1280, 800);
}

interface Started {
  /** false for an empty workshop */
  readonly demo?: boolean;
  /** true where the solid cup is the matter: drawing it by the processor takes most of the time */
  readonly graphics?: boolean;
}

async function begin({ demo = true, graphics = false }: Started): Promise<void> {
  await startProgram(demo);
  await startBrowser(graphics);
}

/** Starts the program for all tests of a file, with a browser that knows nothing of the file before. */
export function programForAll(started: Started = {}): void {
  beforeAll(() => begin(started));
  afterAll(end);
}

/** Starts the program anew for each test of a file or a group, with a browser that knows nothing of the test before. */
export function programForEach(started: Started = {}): void {
  beforeEach(() => begin(started));
  afterEach(end);
}

/**
 * A copy of one of the demo's designs, under its name or another: what one test alone begins from, without a program of its own.
 * @returns its id
 */
export async function ownDesign(of: string, name?: string): Promise<string> {
  const { document } = (await (await fetch(`${program.address}/api/designs/${of}`)).json()) as { document: { name: string } };
  const id = `${of}-${v7()}`;
  await program.send('POST', 'designs', { ...document, id, name: name ?? document.name });
  return id;
}

/** A place with next to nothing on it: on the way through it everything that was open is left, and nothing of it stays. */
const THROUGH = '/log';

/**
 * Goes to a page the way a link does: the program in the browser stays, where it was begun already, and the place is built anew.
 * Half of what a page costs is to begin the program, which most tests have nothing to say about. Not for what a reload is about.
 */
export async function visit(path: string): Promise<void> {
  const here = await browser.getCurrentUrl();
  if (!here.startsWith(program.address)) return browser.get(`${program.address}${path}`);
  const linkTo = (to: string) =>
    browser.executeScript(
      'history.pushState(null, "", arguments[0]); dispatchEvent(new PopStateEvent("popstate", { state: null }))',
      to,
    );
  await linkTo(THROUGH);
  const left =
    'return document.querySelectorAll("main > :not(router-outlet)").length === 1 && !!document.querySelector("au-logbook-place")';
  await browser.wait(() => browser.executeScript<boolean>(left), PATIENCE, 'what was open is never left');
  await linkTo(path);
}

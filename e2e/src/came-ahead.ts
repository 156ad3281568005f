import { PATIENCE, type Browser } from './browser';

/** Waits until a page has fetched a script that says so, whatever it is called in the built program. */
export async function cameAhead(browser: Browser, says: string): Promise<void> {
  // Each is looked into once: a page keeps note of so many things it fetched, and no more, looks of a test among them.
  await browser.executeScript('performance.setResourceTimingBufferSize(5000); window.texts = new Map()');
  const isThere = `
    const [says, done] = arguments;
    const scripts = performance.getEntriesByType('resource').map(({ name }) => name).filter((name) => name.endsWith('.js'));
    for (const name of scripts) if (!texts.has(name)) texts.set(name, fetch(name).then((reply) => reply.text()));
    Promise.all(texts.values()).then((all) => done(all.some((text) => text.includes(says))))`;
  await browser.wait(() => browser.executeAsyncScript<boolean>(isThere, says), PATIENCE, `no script comes that says ${says}`);
}

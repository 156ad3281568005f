import { By, type WebElement } from 'selenium-webdriver';
import { named } from './browser';
import { browser } from './running';

/** What a hand takes hold of to move an edge, in a view of it. */
export async function handle(view: string, name: string): Promise<WebElement> {
  await named(browser, `${view} [role=slider]`, name);
  return browser.findElement(By.css(`${view} [role=slider][aria-label="${name}"] .knob`));
}

/** Drags a handle by pixels, in steps as a hand does. The knob goes along, so the hand counts from where it was. */
export async function dragHandle(
  view: string,
  name: string,
  x: number,
  y: number,
  meanwhile?: () => Promise<unknown>,
): Promise<void> {
  const knob = await handle(view, name);
  const [left, top] = await browser.executeScript<[number, number]>(
    'const box = arguments[0].getBoundingClientRect(); return [Math.round(box.x + box.width / 2), Math.round(box.y + box.height / 2)]',
    knob,
  );
  await browser
    .actions({ async: true })
    .move({ x: left, y: top })
    .press()
    .move({ x: left + Math.round(x / 2), y: top + Math.round(y / 2), duration: 100 })
    .move({ x: left + x, y: top + y, duration: 150 })
    .perform();
  await meanwhile?.();
  await browser.actions({ async: true }).release().perform();
}

import { provideHttpClient } from '@angular/common/http';
import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { defaultSettings, planOf, startingCoat, type Coat, type CoatId, type CoatOf, type Design } from '@aurantia/core';
import { otherWays, type OtherWay, type StringFlow } from '@aurantia/core/string-flow';
import { Subject } from 'rxjs';
import { CoatForm } from '../src/app/design/coats-stage/coat-form';
import { StringFlowPanel } from '../src/app/design/coats-stage/strings/string-flow';
import { OpenDesign } from '../src/app/design/open-design';
import { JarFinding } from '../src/app/parts/jar-finder/jar-finding';
import { Notices } from '../src/app/services/notices';
import { RunningStrings } from '../src/app/services/running-strings';
import { WorkshopMemory } from '../src/app/services/workshop';
import { design, labelled, memoryStub, shelf, typeInto, timePasses } from './workshop';

const strings = startingCoat('strings', design, { shelf: [...shelf] }, 'strings' as CoatId);

describe('how strings are laid', () => {
  async function form(coat: Coat) {
    TestBed.configureTestingModule({
      providers: [
        provideHttpClient(),
        { provide: WorkshopMemory, useValue: memoryStub(shelf) },
        { provide: JarFinding, useValue: { choose: jest.fn() } },
      ],
    });
    const fixture = TestBed.createComponent(CoatForm);
    const given: Coat[] = [];
    fixture.componentInstance.coatChange.subscribe((one) => given.push(one));
    fixture.componentRef.setInput('coat', coat);
    fixture.componentRef.setInput('design', design);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const press = async (text: string, css = 'button, [role=option]') => {
      [...root.querySelectorAll<HTMLElement>(css)].find(({ textContent }) => textContent?.trim() === text)?.click();
      await fixture.whenStable();
    };
    return { fixture, root, given, press };
  }

  test('along an edge they follow the first area there is, until another is chosen', async () => {
    const { given, press } = await form(strings);
    await press('along an edge');
    expect(given).toEqual([{ ...strings, way: 'edge', area: design.areas[0].id }]);
  });
  test('only the figures that mean something are asked for', async () => {
    const labels = async (way: CoatOf<'strings'>['way']) => {
      TestBed.resetTestingModule();
      const { root } = await form({ ...strings, way });
      return [...root.querySelectorAll('label, mat-label')].map(({ textContent }) => textContent?.trim()).join(', ');
    };
    expect(await labels('up')).toMatch(/Slope to the right/);
    expect(await labels('round')).not.toMatch(/Slope to the right/);
    expect(await labels('drops')).not.toMatch(/Wanders by|Width/);
  });
  test('heights, warm air, another hand and a further pot are one press each; what is wrong is told where it is', async () => {
    const { root, given, press, fixture } = await form(strings);
    const [heights, air] = [...root.querySelectorAll<HTMLInputElement>('au-strings-form input[type=checkbox]')];
    heights.click();
    air.click();
    await press('Laid by another hand');
    await press('Another pot of colour');
    await fixture.whenStable();
    expect(given).toMatchObject(
      [
        { reach: { from: expect.any(Number) as number } },
        { air: { seconds: 20, towards: 0 } },
        { seed: 2 },
        { also: [{ load: 0.5 }] },
      ].slice(0, given.length),
    );
    expect(given.length).toBeGreaterThanOrEqual(3);
    fixture.componentRef.setInput('coat', { ...strings, air: { seconds: 20, towards: 0 } });
    await fixture.whenStable();
    typeInto(labelled(root, 'Warm air'), '900');
    await fixture.whenStable();
    expect(root.querySelector('[role=alert]')?.textContent).toContain('Five minutes of warm air');
  });
});

describe('how they run', () => {
  const strung: Design = { ...design, coats: [design.coats[2], strings] };
  /** A flow as its worker tells it: what it comes to is the core's affair. */
  const moment = (minutes: number, covers: number): StringFlow['moments'][number] => ({
    minutes,
    measures: { covers, meets: 0, wide: 12.5, lines: 6, heads: 1, most: 0.2, drifted: -30, lost: 0 },
    picture: { width: 2, height: 1, pixels: new Uint8ClampedArray(8) },
  });
  const moments = [moment(0, 0.1), moment(2, 0.3), moment(36, 0.42)];

  async function panel() {
    const [flow, ways] = [new Subject<StringFlow>(), new Subject<{ ways: readonly OtherWay[]; over: boolean }>()];
    const failed = jest.fn();
    const running = { flow: jest.fn(() => flow), ways: jest.fn(() => ways) };
    TestBed.configureTestingModule({
      providers: [
        {
          provide: OpenDesign,
          useValue: { plan: signal(planOf({ ...design, coats: [strings] }, { settings: defaultSettings, shelf: [...shelf] })) },
        },
        { provide: WorkshopMemory, useValue: memoryStub(shelf) },
        { provide: RunningStrings, useValue: running },
        { provide: Notices, useValue: { failed } },
      ],
    });
    const fixture = TestBed.createComponent(StringFlowPanel);
    fixture.componentRef.setInput('coat', strings);
    fixture.componentRef.setInput('design', strung);
    const settle = async () => {
      await timePasses(500);
      await fixture.whenStable();
    };
    await settle();
    const root = fixture.nativeElement as HTMLElement;
    const words = () => (root.textContent ?? '').replace(/\s+/g, ' ');
    const press = async (text: string) => {
      [...root.querySelectorAll('button')].find(({ textContent }) => textContent?.trim() === text)?.click();
      await settle();
    };
    return { root, flow, ways, failed, running, settle, words, press };
  }
  beforeEach(() => {
    jest.useFakeTimers();
    // Nothing is drawn without a browser.
    jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null);
  });
  afterEach(() => jest.useRealTimers());

  test('as far as it is known, with how far that is; stopped and let run again', async () => {
    const { flow, words, press, settle, running } = await panel();
    expect(words()).toContain('running on, 0 %…');
    flow.next({ moments: moments.slice(0, 2), progress: 0.4, over: false });
    await settle();
    expect(words()).toContain('2 minutes later running on, 40 %…');
    await press('Stop');
    expect(words()).toContain('Stopped. What is shown is as far as it got.');
    await press('Let them run again');
    expect(running.flow).toHaveBeenCalledTimes(2);
    flow.next({ moments, progress: 1, over: true });
    await settle();
    expect(words()).toContain('when it lies still');
    expect(words()).toMatch(/Covers of the wall\s*42 %/);
    expect(words()).toMatch(/At half the height\s*6 lines, 12\.5 mm wide on average/);
  });
  test('other ways are compared once somebody asks, each as it is known', async () => {
    const { flow, ways, words, press, settle } = await panel();
    flow.next({ moments, progress: 1, over: true });
    await settle();
    await press('Compare other ways');
    const known = otherWays(strung, memoryStub(shelf).workshop(), strings.id);
    ways.next({ ways: known.map((way, i) => (i === 0 ? { ...way, measures: moments[0].measures } : way)), over: false });
    await settle();
    expect(words()).toMatch(/as it is\s*10 %\s*12\.5 mm\s*none/);
    expect(words()).toMatch(/laid 5 min after mixing\s*…/);
    expect(words()).toContain('Letting them run each way…');
  });
  test('where nothing can run that is said; what went wrong is told', async () => {
    const { flow, words, settle, failed } = await panel();
    flow.next({ moments: [], progress: 1, over: true });
    await settle();
    expect(words()).toContain('Nothing runs here');
    flow.error(new Error('no worker'));
    await settle();
    expect(failed).toHaveBeenCalled();
  });
});

import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA } from '@angular/material/dialog';
import { defaultSettings, schoolWays, type OwnSchools, type School } from '@aurantia/core';
import { SchoolsDialog } from '../src/app/places/schools-dialog/schools-dialog';
import { WorkshopMemory } from '../src/app/services/workshop';
import { memoryStub } from './workshop';

const changeSettings = jest.fn();

async function dialog(own: OwnSchools | null) {
  const now = signal<OwnSchools>(own ?? {});
  const data = own && { own: now, change: (next: OwnSchools) => now.set(next) };
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      { provide: WorkshopMemory, useValue: { ...memoryStub(), changeSettings } },
      { provide: MAT_DIALOG_DATA, useValue: data },
    ],
  });
  const fixture = TestBed.createComponent(SchoolsDialog);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const row = (asks: string) =>
    [...root.querySelectorAll('section')].find((one) => one.querySelector('h3')?.textContent?.trim() === asks) as HTMLElement;
  const chosen = (asks: string) =>
    [...row(asks).querySelectorAll('[role=option]')]
      .filter((one) => one.getAttribute('aria-selected') === 'true')
      .map(({ textContent }) => textContent?.trim());
  const press = async (asks: string, way: string) => {
    [...row(asks).querySelectorAll<HTMLElement>('[role=option]')].find(({ textContent }) => textContent?.trim() === way)?.click();
    await fixture.whenStable();
  };
  return { row, chosen, press, now };
}

beforeEach(() => changeSettings.mockClear());

test('every school is asked, with what speaks for and against the way that is taken', async () => {
  const { row, chosen } = await dialog(null);
  for (const school of Object.keys(schoolWays) as School[]) {
    const { asks, ways } = schoolWays[school];
    const way = ways.find((one) => one.way === defaultSettings[school]);
    expect(chosen(asks)).toEqual([way?.name]);
    expect(row(asks).textContent).toContain(way?.good);
    expect(row(asks).textContent).toContain(way?.bad);
  }
});

test('the workshop’s way is its setting', async () => {
  const { press } = await dialog(null);
  await press('Bubbles are driven out with', 'nothing');
  expect(changeSettings).toHaveBeenCalledWith({ bubbles: 'leave' });
});

test('a design goes with its workshop until it takes a way of its own, and can go back', async () => {
  const { press, chosen, now, row } = await dialog({});
  const asks = 'Between coats of resin';
  expect(chosen(asks)).toEqual(['as the workshop: cure and sand']);
  await press(asks, 'recoat while tacky');
  expect(now()).toEqual({ betweenCoats: 'tack' });
  expect(row(asks).textContent).toContain('a day sooner');
  await press('Masks are pulled', 'after drying');
  expect(now()).toEqual({ betweenCoats: 'tack', unmasking: 'after drying' });
  await press(asks, 'as the workshop: cure and sand');
  expect(now()).toEqual({ unmasking: 'after drying' });
  expect(changeSettings).not.toHaveBeenCalled();
});

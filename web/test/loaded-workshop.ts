import type { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { defaultSettings, type ShelfItem } from '@aurantia/core';
import { WorkshopMemory } from '../src/app/services/workshop';
import { cup } from './workshop';

/** A jar as the program keeps it. */
export const kept = (document: ShelfItem, revision = 1) => ({ id: document.id, document, revision });

/** The workshop as a page knows it that has just fetched it: settings, a shelf, one cup. */
export function loadedWorkshop(
  http: HttpTestingController,
  shelf: readonly ShelfItem[],
  gone: readonly ShelfItem[] = [],
): WorkshopMemory {
  const memory = TestBed.inject(WorkshopMemory);
  memory.load();
  http.expectOne('/api/workshop').flush({ document: defaultSettings, revision: 1 });
  http.expectOne('/api/workshop/moved-on').flush({ stamp: '1', since: null });
  http.expectOne('/api/shelf').flush(shelf.map((item) => kept(item)));
  http.expectOne('/api/shelf/gone').flush(gone.map((item) => kept(item)));
  http.expectOne('/api/cups').flush([{ id: 'c', document: cup, revision: 1 }]);
  return memory;
}

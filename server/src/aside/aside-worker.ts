import { parentPort } from 'node:worker_threads';
import { faultsOf, UnclearRegionError } from '@aurantia/core';
import * as z from 'zod';
import { ProblemError } from '../http/problem';
import { UnreadableRows } from '../store/unreadable-rows';
import { Reading } from './reading';
import type { Answer, Given, Wish, Work, WorkKind } from './work';

/** The workshop that was asked about last. */
let reading: Reading | null = null;

function readingOf(file: string): Reading {
  if (reading?.file !== file) letGo();
  reading ??= new Reading(file);
  return reading;
}

function letGo(): void {
  void reading?.store.destroy();
  reading = null;
}

/** Each kind of work by its name; what it leans on is read when it is first asked for. */
const works: {
  readonly [Kind in WorkKind]: (asked: Work[Kind]['asked'], from: Reading) => Promise<Work[Kind]['gives']>;
} = {
  card: async (asked, from) => (await import('../card/card-work')).cardPages(asked, from),
  template: async (asked, from) => (await import('../template/template-work')).templateDrawn(asked, from),
  samples: async (asked) => (await import('../palettes/samples-work')).samplesPages(asked),
  make: async (asked, from) => (await import('../makes/make-work')).frozenMake(asked, from),
  week: async (asked, from) => (await import('../week/week-work')).weekJobs(asked, from),
  daySheet: async (asked) => (await import('../week/week-out-work')).daySheetPages(asked),
  calendar: async (asked) => (await import('../week/week-out-work')).calendarText(asked),
  sheet: async (asked) => (await import('../makes/sheet-work')).sheetPages(asked),
  photo: async (asked) => (await import('../photos/photo-work')).keptPhoto(asked),
  summary: async (asked, from) => (await import('../designs/summary-work')).summaryOf(asked, from),
  history: async (asked, from) => (await import('../designs/history-work')).historyOf(asked, from),
  backup: async (_, { store }) => (await import('../backup/write-backup')).writeBackup(store),
  saved: async ({ pictures, to }, { store }) => {
    await (await import('../backup/write-backup')).saveBackup(store, pictures, to);
    return null;
  },
  unreadable: (_, { store }) => new UnreadableRows(store).all(),
};

async function answer({ file, kind, asked }: Wish): Promise<Answer> {
  try {
    return { gives: await works[kind](asked as never, readingOf(file)) };
  } catch (error) {
    const reason = error instanceof Error ? (error.stack ?? error.message) : String(error);
    return { reason, problem: problemOf(error) };
  }
}

function problemOf(error: unknown): { status: number; title: string; detail: string } | null {
  if (error instanceof UnclearRegionError) return { status: 422, title: 'Not clear', detail: error.message };
  if (error instanceof z.ZodError)
    return { status: 422, title: 'Not accepted', detail: faultsOf(error).at(0)?.sentence ?? 'Some of this can’t be made.' };
  if (error instanceof ProblemError) return { status: error.status, title: error.title, detail: error.detail };
  return null;
}

parentPort?.on('message', (given: Given) => {
  if (!('letGo' in given)) void answer(given).then((answered) => parentPort?.postMessage(answered));
  else if (reading?.file === given.letGo) letGo();
});

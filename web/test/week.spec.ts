import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import {
  placedIn,
  usualMeans,
  WeekSearch,
  type Job,
  type Placed,
  type WeekBook,
  type WeekData,
  type Work,
} from '@aurantia/core/week';
import { Notices } from '../src/app/services/notices';
import { Week } from '../src/app/services/week';
import type { WeekPlanned, WeekRequest } from '../src/app/workers/week-request';

/* The week as a page knows it: what is asked of the worker, what is kept of its answers, and what comes in between. */

const workers: FakeWorker[] = [];
class FakeWorker {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: object) => void) | null = null;
  ended = false;
  request: Extract<WeekRequest, { asks: 'plan' }> | null = null;
  constructor() {
    workers.push(this);
  }
  postMessage(request: FakeWorker['request']) {
    this.request = request;
  }
  terminate() {
    this.ended = true;
  }
}
Object.assign(globalThis, { Worker: FakeWorker });

const NOW = Date.parse('2026-11-30T08:00:00Z');
const work = (key: string, hands: number, wait: number): Work => ({
  key,
  titles: [key],
  hands,
  wait,
  within: null,
  cures: false,
  sprays: 0,
  turns: 0,
  turning: 0,
  hangs: 0,
  mix: null,
});
const job = (id: string): Job => ({
  id,
  name: id,
  who: '',
  cups: 1,
  due: null,
  from: NOW / 60_000,
  before: null,
  works: [work('paint', 20, 60), work('rest', 0, 600)],
  after: null,
  begun: null,
});
const book: WeekBook = { means: usualMeans({ wakes: '07:00', sleeps: '22:30' }), blocks: [], pins: [], placed: [] };
const dataWith = (kept: Partial<WeekBook> = {}, revision = 3): WeekData => ({
  now: NOW,
  book: { ...book, ...kept },
  revision,
  jobs: [job('one'), job('two')],
  takes: [],
  troubles: [],
  room: { wakes: '07:00', sleeps: '22:30', celsius: 21 },
  seen: null,
});
const pin: Placed = { job: 'one', work: 'paint', at: NOW / 60_000 + 24 * 60, person: null };

let http: HttpTestingController;
let notices: { failed: jest.Mock; say: jest.Mock };
let week: Week;
beforeEach(() => {
  workers.length = 0;
  notices = { failed: jest.fn(), say: jest.fn() };
  TestBed.configureTestingModule({
    providers: [provideHttpClient(), provideHttpClientTesting(), { provide: Notices, useValue: notices }],
  });
  http = TestBed.inject(HttpTestingController);
  week = TestBed.inject(Week);
});
afterEach(() => http.verify());

/** The worker that was begun last, and what it would say. */
const worker = (): FakeWorker => workers[workers.length - 1];
function planned(done: boolean): WeekPlanned {
  const { request } = worker();
  if (!request) throw new Error('nothing is asked');
  const search = new WeekSearch(request.wish, request.before);
  return { plan: search.best, bound: search.bound, lost: search.week.lost, tries: 1, done };
}
const says = (done: boolean): WeekPlanned => {
  const reply = planned(done);
  worker().onmessage?.({ data: reply });
  return reply;
};
const asked = () => http.expectOne((one) => one.method === 'GET' && one.url.startsWith('/api/week?zone='));
const put = () => http.expectOne((one) => one.method === 'PUT' && one.url === '/api/week');
const body = (request: ReturnType<typeof put>) => request.request.body as { parent: number; document: WeekBook };

/** Loaded, planned and kept. */
function settled(): WeekPlanned {
  week.load();
  asked().flush(dataWith());
  const reply = says(true);
  put().flush({ document: { ...book, placed: placedIn(reply.plan) }, revision: 4 });
  return reply;
}

it('without a plan is planned anew, and what comes of it is kept once it is worked out', () => {
  week.load();
  asked().flush(dataWith());
  expect(worker().request?.before).toBeNull();
  says(false);
  expect([week.busy(), week.plan()?.jobs.length]).toEqual([true, 2]);
  const reply = says(true);
  expect([week.busy(), week.moved()]).toEqual([false, null]);
  const kept = put();
  expect(body(kept)).toMatchObject({ parent: 3, document: { placed: placedIn(reply.plan) } });
  kept.flush({ document: body(kept).document, revision: 4 });
  expect(week.data()?.revision).toBe(4);
});

it('with a plan is followed; what moved since it was kept is said to have come meanwhile, and nothing is kept where nothing did', () => {
  const { plan } = settled();
  const early = placedIn(plan).map((one) => ({ ...one, at: one.at - 24 * 60 }));
  week.planned.set(null);
  week.load();
  asked().flush(dataWith({ placed: early }, 4));
  expect(worker().request?.before).toEqual(early);
  says(true);
  expect(week.moved()?.by).toBe('meanwhile');
  expect(week.moved()?.jobs).toHaveLength(2);
  put().flush({ document: book, revision: 5 });
  week.load();
  asked().flush(dataWith({ placed: placedIn(plan) }, 5));
  says(true);
  expect(week.moved()?.jobs).toEqual([]);
  http.expectNone((one) => one.method === 'PUT');
});

it('that is stopped keeps the best so far, and its worker is ended', () => {
  week.load();
  asked().flush(dataWith());
  const best = says(false);
  week.stop();
  expect([week.busy(), worker().ended]).toEqual([false, true]);
  expect(body(put()).document.placed).toEqual(placedIn(best.plan));
});

it('a pin set while a plan is worked out ends that one; it is kept first, and the plan after it follows', () => {
  week.load();
  asked().flush(dataWith());
  const first = says(false);
  const before = worker();
  week.change({ pins: [pin] });
  const kept = put();
  expect(body(kept)).toMatchObject({ parent: 3, document: { pins: [pin] } });
  kept.flush({ document: body(kept).document, revision: 4 });
  expect([before.ended, workers.length]).toEqual([true, 2]);
  expect(worker().request).toMatchObject({ wish: { pins: [pin] }, before: placedIn(first.plan) });
  const reply = says(true);
  expect(reply.plan.jobs[0].works[0]).toMatchObject({ at: pin.at, pinned: true });
  expect(week.moved()).toMatchObject({ by: 'change', jobs: [{ id: 'one' }] });
  // On top of what was kept last, with the pin in it.
  const after = put();
  expect(body(after)).toMatchObject({ parent: 4, document: { pins: [pin], placed: placedIn(reply.plan) } });
  after.flush({ document: body(after).document, revision: 5 });
});

it('that another window changed is loaded anew and said; what this one wanted goes over nothing', () => {
  settled();
  week.change({ pins: [pin] });
  const theirs = { ...book, means: { ...book.means, hooks: 9 } };
  put().flush(
    { title: 'Changed', status: 409, detail: 'Another was kept.', latest: { document: theirs, revision: 7 } },
    { status: 409, statusText: '' },
  );
  expect(notices.say).toHaveBeenCalledWith(expect.stringMatching(/another window/));
  asked().flush({ ...dataWith({}, 7), book: theirs });
  expect(week.data()).toMatchObject({ revision: 7, book: { means: { hooks: 9 }, pins: [] } });
  const reply = says(true);
  expect(body(put())).toMatchObject({ parent: 7, document: { means: { hooks: 9 }, placed: placedIn(reply.plan) } });
});

it('what a change would come to is told without anything being kept', () => {
  settled();
  const told: unknown[] = [];
  week.whatIf({ means: { ...book.means, arms: 6 } }).subscribe((one) => told.push(one));
  expect(worker().request).toMatchObject({ before: null, wish: { means: { arms: 6 } } });
  says(true);
  expect(told).toHaveLength(1);
  expect(week.data()?.book.means.arms).toBe(2);
});

it('whose worker fails says so, and can be planned again', () => {
  week.load();
  asked().flush(dataWith());
  worker().onerror?.({ message: 'out of memory' });
  expect([week.busy(), notices.failed.mock.calls.length]).toEqual([false, 1]);
  week.planAnew();
  says(true);
  expect(week.plan()?.jobs).toHaveLength(2);
  put().flush({ document: book, revision: 4 });
});

it('that can’t be loaded says so with a way to try again', () => {
  week.load();
  asked().error(new ProgressEvent('error'));
  const [, again] = notices.failed.mock.calls[0] as [unknown, () => void];
  again();
  asked().flush(dataWith());
  says(true);
  expect(week.plan()).not.toBeNull();
  put().flush({ document: book, revision: 4 });
});

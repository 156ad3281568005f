import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { MakesList } from '../src/app/services/makes-list';

/* Streams of changes, each of which holds one of the few lines a browser has to the program. */
class Stream {
  static readonly CLOSED = 2;
  static open: Stream[] = [];
  onmessage: ((event: { data: string }) => void) | null = null;
  constructor() {
    Stream.open.push(this);
  }
  close(): void {
    Stream.open = Stream.open.filter((one) => one !== this);
  }
}
const said = (make: string) => Stream.open.forEach((one) => one.onmessage?.({ data: JSON.stringify({ make }) }));

let visible: boolean;
const look = (now: boolean) => {
  visible = now;
  document.dispatchEvent(new Event('visibilitychange'));
};
beforeEach(() => {
  visible = true;
  Stream.open = [];
  Object.defineProperty(globalThis, 'EventSource', { value: Stream, configurable: true });
  jest.spyOn(document, 'visibilityState', 'get').mockImplementation(() => (visible ? 'visible' : 'hidden'));
  TestBed.configureTestingModule({ providers: [provideHttpClient()] });
});
afterEach(() => {
  jest.restoreAllMocks();
  Reflect.deleteProperty(globalThis, 'EventSource');
});

test('a page that only shows makes holds no line while it is hidden, and looks again when somebody comes back', () => {
  const told = jest.fn();
  const listening = TestBed.inject(MakesList).changesSeen().subscribe(told);
  expect(Stream.open).toHaveLength(1);
  said('a');
  expect(told).toHaveBeenCalledTimes(1);
  look(false);
  expect(Stream.open).toHaveLength(0);
  look(true);
  look(true);
  expect(Stream.open).toHaveLength(1);
  expect(told).toHaveBeenCalledTimes(2);
  said('b');
  expect(told).toHaveBeenCalledTimes(3);
  listening.unsubscribe();
  expect(Stream.open).toHaveLength(0);
});

test('the bench goes on listening while it is hidden: it rings when a time is up', () => {
  const told = jest.fn();
  const listening = TestBed.inject(MakesList).changes().subscribe(told);
  look(false);
  said('a');
  expect(told).toHaveBeenCalledWith('a');
  listening.unsubscribe();
});

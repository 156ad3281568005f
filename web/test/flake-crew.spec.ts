import { MessageChannel } from 'node:worker_threads';
import type { DroppedStripe } from '@aurantia/core';
import { handsFor } from '../src/app/workers/flake-hands';
import { FlakeHelper } from '../src/app/workers/flake-helper';
import { newFlakeWorker } from '../src/app/workers/new-worker';

/** A worker that keeps what it is told. */
class Told {
  static all: Told[] = [];
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: object) => void) | null = null;
  readonly told: object[] = [];
  ended = false;
  constructor() {
    Told.all.push(this);
  }
  postMessage(message: object) {
    this.told.push(message);
  }
  terminate() {
    this.ended = true;
  }
}

test('a picture has the hands it is worth: one up to a million pixels, never more than there are cores, or eight', () => {
  expect([1, 374_000, 1_000_000, 1_000_001, 3_000_000, 3_000_001].map((pixels) => handsFor(pixels, 16))).toEqual([
    1, 1, 1, 2, 3, 4,
  ]);
  expect([handsFor(9e6, 2), handsFor(9e6, 64), handsFor(9e6, 1)]).toEqual([2, 8, 1]);
});

test('a helper is begun when one is wanted, gets its end, and is ended with the crew', () => {
  Object.assign(globalThis, { Worker: Told });
  Told.all = [];
  const crew = newFlakeWorker();
  const said: unknown[] = [];
  crew.onmessage = ({ data }) => said.push(data);
  const [foreman] = Told.all;
  expect(Told.all).toHaveLength(1);
  foreman.onmessage?.({ data: { begin: 'an end' } });
  foreman.onmessage?.({ data: { stopped: true } });
  const [, helper] = Told.all;
  expect([helper.told, said]).toEqual([[{ helps: 'an end' }], [{ stopped: true }]]);
  crew.terminate();
  expect([foreman.ended, helper.ended]).toEqual([true, true]);
});

test('of a helper that can’t be begun the one who wants it is told, and the page nothing', () => {
  Object.assign(globalThis, { Worker: Told });
  Told.all = [];
  const crew = newFlakeWorker();
  const failed = jest.fn();
  crew.onerror = failed;
  crew.onmessage = failed;
  const [foreman] = Told.all;
  foreman.onmessage?.({ data: { begin: 'one' } });
  foreman.onmessage?.({ data: { begin: 'another' } });
  Told.all[2].onerror?.({});
  expect(foreman.told).toEqual([{ cores: expect.any(Number) }, { lost: 1 }]);
  expect(failed).not.toHaveBeenCalled();
});

describe('a helper', () => {
  const stripe = { tokens: new Uint16Array(1), times: [] } as unknown as DroppedStripe;
  const wish = (number: number) => ({ number, request: {} as never, from: 0, to: 1 });
  const channel = () => {
    const { port1, port2 } = new MessageChannel();
    return { helper: new FlakeHelper(port1 as unknown as MessagePort), port2, close: () => port1.close() };
  };

  test('gives the rows it was asked for last, whatever it says of earlier ones', async () => {
    const { helper, port2, close } = channel();
    void helper.rows(wish(1));
    const given = helper.rows(wish(2));
    port2.postMessage({ number: 1, stripe: null });
    port2.postMessage({ number: 2, stripe });
    expect(await given).toEqual(stripe);
    close();
  });

  test('that is lost gives none, neither of what is waited for nor of what is asked later', async () => {
    const { helper, close } = channel();
    const waiting = helper.rows(wish(1));
    helper.lose();
    expect([await waiting, await helper.rows(wish(2))]).toEqual([null, null]);
    close();
  });
});

import { SummaryQueue } from '../src/designs/summary-queue';

/** A queue whose pictures are made when the test says so. */
function queue() {
  const begun: string[] = [];
  let end: { resolve: () => void; reject: (error: Error) => void } | null = null;
  const made = new SummaryQueue((id) => {
    begun.push(id);
    return new Promise((resolve, reject) => (end = { resolve, reject }));
  });
  const turn = () => new Promise((resolve) => setImmediate(resolve));
  return {
    begun,
    want: (...ids: string[]) => made.want(new Map(ids.map((id) => [id, 'now']))),
    wantLater: (id: string) => made.wantLater(id),
    failedAt: (id: string, state: string) => made.hasFailed(id, state),
    wantAs: (id: string, state: string) => made.want(new Map([[id, state]])),
    close: () => made.close(),
    done: async () => (end?.resolve(), turn()),
    fail: async () => (end?.reject(new Error('no picture')), turn()),
  };
}

test('one is made at a time; what was asked for last comes first', async () => {
  const { begun, want, done } = queue();
  want('a', 'b', 'c');
  want('y', 'b');
  expect(begun).toEqual(['a']);
  for (let i = 0; i < 4; i += 1) await done();
  expect(begun).toEqual(['a', 'y', 'b', 'c']);
});

test('one that waits for its maker to pause is made at once when somebody looks', () => {
  const { begun, want, wantLater, close } = queue();
  wantLater('a');
  expect(begun).toEqual([]);
  want('a');
  expect(begun).toEqual(['a']);
  close();
});

test('one under work isn’t begun twice, and of those far off the oldest wishes are let go', async () => {
  const { begun, want, done } = queue();
  want('a');
  want('a');
  for (let i = 0; i < 50; i += 1) want(...Array.from({ length: 10 }, (_, k) => `far ${i}-${k}`));
  for (let i = 0; i < 600; i += 1) await done();
  expect(begun.filter((id) => id === 'a')).toHaveLength(1);
  expect(begun).toHaveLength(201);
  expect(begun).toContain('far 49-0');
  expect(begun).not.toContain('far 0-0');
});

test('what can’t be made is tried again only when it is another', async () => {
  const told = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  const { begun, wantAs, failedAt, fail, done } = queue();
  wantAs('a', '1');
  await fail();
  wantAs('a', '1');
  expect([begun.length, failedAt('a', '1'), failedAt('a', '2')]).toEqual([1, true, false]);
  wantAs('a', '2');
  await done();
  expect(begun).toHaveLength(2);
  expect(told).toHaveBeenCalledTimes(1);
  told.mockRestore();
});

test('once closed nothing more is begun', async () => {
  const { begun, want, close, done } = queue();
  want('a', 'b');
  close();
  await done();
  want('c');
  expect(begun).toEqual(['a']);
});

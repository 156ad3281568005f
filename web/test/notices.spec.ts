import { TestBed } from '@angular/core/testing';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Notices } from '../src/app/services/notices';
import { Workers } from '../src/app/services/workers';

/* What a maker reads where a worker fails: while the program is away a page must not be reloaded, it couldn't come again. */
test.each([
  [{ message: '' }, 'A part of the program couldn’t be loaded. See that Aurantia still runs, and try again.'],
  [{ message: 'odd' }, 'This can’t be worked out (odd). Change something, or reload the page.'],
])('a worker that fails (%j) is told in its own words', (event, sentence) => {
  const open = jest.fn();
  TestBed.configureTestingModule({ providers: [{ provide: MatSnackBar, useValue: { open } }] });
  const worker = { postMessage: () => undefined, terminate: () => undefined, onerror: (event: object): unknown => event };
  const notices = TestBed.inject(Notices);
  TestBed.inject(Workers)
    .ask(
      () => worker as unknown as Worker,
      {},
      () => true,
    )
    .subscribe({ error: (error: unknown) => notices.failed(error) });
  worker.onerror(event);
  expect(open).toHaveBeenCalledWith(sentence, 'Close', { duration: 10_000 });
});

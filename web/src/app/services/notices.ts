import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { ApiError } from './api';
import { WorkerError } from './worker-error';

/** Short sentences at the foot of the page, with a way back where there is one. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly bar = inject(MatSnackBar);

  say(sentence: string): void {
    this.bar.open(sentence, undefined, { duration: 5000 });
  }

  undoable(sentence: string, undo: () => void): void {
    this.bar.open(sentence, 'Undo', { duration: 9000 }).onAction().subscribe(undo);
  }

  /** Says something and offers one way to go on from it. */
  offer(sentence: string, label: string, go: () => void): void {
    this.bar.open(sentence, label, { duration: 20000 }).onAction().subscribe(go);
  }

  failed(error: unknown, retry?: () => void): void {
    const sentence =
      error instanceof ApiError
        ? (error.problem.faults?.[0]?.sentence ?? error.problem.detail)
        : error instanceof WorkerError
          ? error.message
          : 'Something in this page broke. Reload it; what was kept is still there.';
    if (!(error instanceof ApiError || error instanceof WorkerError)) console.error(error);
    const bar = this.bar.open(sentence, retry ? 'Try again' : 'Close', { duration: retry ? 0 : 10000 });
    if (retry) bar.onAction().subscribe(retry);
  }
}

import { Injectable } from '@angular/core';
import type { PhotoColour } from '@aurantia/core/photo';
import { Observable } from 'rxjs';
import { newPhotoColoursWorker, workerFailed } from '../workers/new-worker';
import type { PhotoColoursReply, PhotoColoursRequest } from '../workers/photo-colours-request';

/** Has the colours of a photo sorted off the main thread. */
@Injectable({ providedIn: 'root' })
export class PhotoColours {
  /** Emits once. Unsubscribing ends the work. */
  of(request: PhotoColoursRequest): Observable<readonly PhotoColour[]> {
    return new Observable((subscriber) => {
      const worker = newPhotoColoursWorker();
      worker.onmessage = ({ data }: MessageEvent<PhotoColoursReply>) => {
        if ('sentence' in data) subscriber.error(new Error(data.sentence));
        else {
          subscriber.next(data.colours);
          subscriber.complete();
        }
      };
      worker.onerror = (event) => subscriber.error(new Error(workerFailed(event)));
      worker.postMessage(request);
      return () => worker.terminate();
    });
  }
}

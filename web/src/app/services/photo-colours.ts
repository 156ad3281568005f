import { inject, Injectable } from '@angular/core';
import type { PhotoColour } from '@aurantia/core/photo';
import { map, type Observable } from 'rxjs';
import { newPhotoColoursWorker } from '../workers/new-worker';
import type { PhotoColoursReply, PhotoColoursRequest } from '../workers/photo-colours-request';
import { Workers } from './workers';

/** Has the colours of a photo sorted off the main thread. */
@Injectable({ providedIn: 'root' })
export class PhotoColours {
  private readonly workers = inject(Workers);
  /** Emits once. Unsubscribing ends the work. */
  of(request: PhotoColoursRequest): Observable<readonly PhotoColour[]> {
    return this.workers.ask<PhotoColoursReply>(newPhotoColoursWorker, request, () => true).pipe(map(({ colours }) => colours));
  }
}

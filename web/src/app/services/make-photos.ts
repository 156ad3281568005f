import { inject, Injectable } from '@angular/core';
import { makePhotosSchema, type MakePhotos, type PhotoReading } from '@aurantia/core/make';
import type { Observable } from 'rxjs';
import { v4 } from 'uuid';
import { newCupPhotoWorker, newPhotoEdgesWorker } from '../workers/new-worker';
import type { CupAnswer, CupPhotoReply, CupPhotoRequest } from '../workers/cup-photo-request';
import type { PhotoEdges, PhotoEdgesReply, PhotoEdgesRequest } from '../workers/photo-edges-request';
import { Api } from './api';
import { Workers } from './workers';

/** Photos of makes; the pictures stay on this computer. */
@Injectable({ providedIn: 'root' })
export class MakePhotosMemory {
  private readonly workers = inject(Workers);
  private readonly api = inject(Api);

  of(make: string): Observable<MakePhotos> {
    return this.api.get(`photos?make=${encodeURIComponent(make)}`, makePhotosSchema);
  }

  add(make: string, file: Blob): Observable<MakePhotos> {
    return this.api.putFile(`photos/${v4()}?make=${encodeURIComponent(make)}`, file, makePhotosSchema);
  }

  keepReading(photo: string, reading: PhotoReading): Observable<MakePhotos> {
    return this.api.put(`photos/${photo}/reading`, reading, makePhotosSchema);
  }

  remove(photo: string): Observable<MakePhotos> {
    return this.api.removed(`photos/${photo}`, makePhotosSchema);
  }

  address(photo: string, size: 'large' | 'small'): string {
    return `/api/photos/${photo}?size=${size}`;
  }

  /** Emits once. Unsubscribing ends the work. */
  read(request: CupPhotoRequest): Observable<CupAnswer> {
    return this.workers.ask<CupPhotoReply>(newCupPhotoWorker, request, () => true);
  }

  /** Where the cup and a card are in a photo. Emits once; unsubscribing ends the work. */
  find(request: PhotoEdgesRequest): Observable<PhotoEdges> {
    return this.workers.ask<PhotoEdgesReply>(newPhotoEdgesWorker, request, () => true);
  }
}

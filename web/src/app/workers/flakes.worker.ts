/// <reference lib="webworker" />
import { cupField, flakeField, swatchField } from '@aurantia/core';
import type { FlakeRequest } from './flake-request';

/** Drops flakes off the main thread: a cup takes longer than a frame. */
addEventListener('message', ({ data }: MessageEvent<FlakeRequest>) => {
  const field = flakeField(
    data.what === 'cup'
      ? cupField(data.plan, data.cup, data.pixelsPerMm)
      : swatchField(data.plan, data.area, data.side, data.pixelsPerMm),
  );
  postMessage(field, { transfer: [field.pixels.buffer] });
});

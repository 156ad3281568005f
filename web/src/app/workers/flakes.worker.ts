/// <reference lib="webworker" />
import { cupField, flakeFieldSteps, swatchField } from '@aurantia/core';
import { STOP, type FlakeReply, type FlakeRequest } from './flake-request';

/** ms between two pictures of flakes still falling, and between two looks at what the page says */
const PICTURE_EVERY = 150;
const LISTEN_EVERY = 20;

let stopped = false;

const say = (reply: FlakeReply, transfer: Transferable[] = []) => postMessage(reply, { transfer });

/** Lets messages in. */
const listen = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => (port1.close(), resolve());
    port2.postMessage(null);
  });

/** Drops flakes off the main thread: a cup takes longer than a frame. */
async function drop(request: FlakeRequest): Promise<void> {
  const steps = flakeFieldSteps(
    request.what === 'cup'
      ? cupField(request.plan, request.cup, request.pixelsPerMm)
      : swatchField(request.plan, request.area, request.side, request.pixelsPerMm),
  );
  let [shown, listened] = [performance.now(), performance.now()];
  for (;;) {
    const { value, done } = steps.next();
    if (done) {
      const { tokens, owner, colours } = value;
      const own = [tokens, owner, colours?.colours].flatMap((array) => (array ? [array.buffer] : []));
      return say({ field: value }, own);
    }
    const now = performance.now();
    if (now - shown > PICTURE_EVERY) {
      shown = now;
      say({ field: value() });
    }
    if (now - listened > LISTEN_EVERY) {
      listened = now;
      await listen();
      if (stopped) return say({ stopped: true });
    }
  }
}

addEventListener('message', ({ data }: MessageEvent<FlakeRequest | typeof STOP>) => {
  stopped = data === STOP;
  if (data === STOP) return;
  drop(data).catch((error: unknown) =>
    say({ sentence: error instanceof Error ? error.message : 'The flakes of this cup can’t be drawn.' }),
  );
});

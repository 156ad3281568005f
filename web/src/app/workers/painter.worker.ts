/// <reference lib="webworker" />
import { paintCup } from './paint-cup';
import type { PaintedSubject, PainterReply, PainterRequest } from './painter-request';

const context = new OffscreenCanvas(1, 1).getContext('2d');
/** the cup asked for last, which the next picture may be of too */
let before: PaintedSubject | null = null;

/** Paints cups off the main thread: a large one takes as long as three frames. */
addEventListener('message', ({ data: { subject, how } }: MessageEvent<PainterRequest>) => {
  try {
    before = subject ?? before;
    if (!context || !before) throw new Error('The cup can’t be painted here.');
    paintCup(context, before, how);
    const picture = context.canvas.transferToImageBitmap();
    postMessage({ picture } satisfies PainterReply, { transfer: [picture] });
  } catch (error) {
    postMessage({
      sentence: error instanceof Error ? error.message : 'The cup can’t be painted here.',
    } satisfies PainterReply);
  }
});

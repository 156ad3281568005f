import { parentPort } from 'node:worker_threads';
import { cupField, droppedStripe, fieldWork, type Cup, type FieldPlan } from '@aurantia/core';

interface Asked {
  readonly plan: FieldPlan;
  readonly cup: Cup;
  readonly pixelsPerMm: number;
  readonly from: number;
  readonly to: number;
}

parentPort?.on('message', ({ plan, cup, pixelsPerMm, from, to }: Asked) => {
  const stripe = droppedStripe(fieldWork(cupField(plan, cup, pixelsPerMm)), from, to);
  parentPort?.postMessage(stripe, [stripe.tokens.buffer, ...stripe.times.map(({ buffer }) => buffer)]);
});

/// <reference lib="webworker" />
import {
  cupField,
  droppedStripeSteps,
  fieldOf,
  fieldWork,
  flakeField,
  stripesOf,
  swatchField,
  type DroppedStripe,
  type FieldRequest,
  type FieldWork,
} from '@aurantia/core';
import { STOP, type CrewMessage, type FlakeReply, type FlakeRequest, type StripeReply, type StripeWish } from './flake-request';

/** ms between two looks at what is said meanwhile */
const LISTEN_EVERY = 20;
/** Pictures of more pixels than this are shared out, and shown coarse before they are shown fine. */
const LARGE = 300_000;
/** The coarse picture has so many times fewer pixels either way: it takes a fraction of the time. */
const COARSE = 4;

let helpers: readonly MessagePort[] = [];
/** the wish that is worked on; another one, or none, stops it */
let current = 0;

const say = (reply: FlakeReply, transfer: Transferable[] = []) => postMessage(reply, { transfer });

const fieldRequest = (request: FlakeRequest, coarser = 1): FieldRequest =>
  request.what === 'cup'
    ? cupField(request.plan, request.cup, request.pixelsPerMm / coarser)
    : swatchField(request.plan, request.area, request.side, request.pixelsPerMm / coarser);

/** Lets messages in. */
const listen = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => (port1.close(), resolve());
    port2.postMessage(null);
  });

/** Some rows of a picture; null once something else is wished for. */
async function stripe(work: FieldWork, number: number, from: number, to: number): Promise<DroppedStripe | null> {
  const steps = droppedStripeSteps(work, from, to);
  let listened = performance.now();
  for (;;) {
    const { value, done } = steps.next();
    if (done) return value;
    if (performance.now() - listened < LISTEN_EVERY) continue;
    await listen();
    listened = performance.now();
    if (current !== number) return null;
  }
}

/** Drops flakes off the main thread: alone where there are few, else with all helpers, each some rows. */
async function drop(request: FlakeRequest, number: number): Promise<void> {
  const wanted = fieldRequest(request);
  const { width, height } = wanted;
  const large = width * height > LARGE;
  const cuts = stripesOf(height, large ? 1 + helpers.length : 1);
  const others = cuts.slice(2).map((to, i) => helped(helpers[i], { number, request, from: cuts[i + 1], to }));
  if (large) say({ field: { ...flakeField(fieldRequest(request, COARSE)), done: 0 } });
  const work = fieldWork(wanted);
  const own = await stripe(work, number, 0, cuts[1]);
  if (own === null) return say({ stopped: true });
  const theirs: DroppedStripe[] = [];
  for (const [i, other] of others.entries()) {
    // What a helper couldn't do is done here.
    const given = (await other) ?? (current === number ? await stripe(work, number, cuts[i + 1], cuts[i + 2]) : null);
    if (given === null) return say({ stopped: true });
    theirs.push(given);
  }
  const field = fieldOf(work, [own, ...theirs]);
  const { tokens, owner, colours } = field;
  say(
    { field },
    [tokens, owner, colours?.colours].flatMap((array) => (array ? [array.buffer] : [])),
  );
}

/** Asks a helper for some rows. */
const helped = (port: MessagePort, wish: StripeWish): Promise<DroppedStripe | null> =>
  new Promise((resolve) => {
    const answered = ({ data }: MessageEvent<StripeReply>) => {
      if (data.number !== wish.number) return;
      port.removeEventListener('message', answered);
      resolve(data.stripe);
    };
    port.addEventListener('message', answered);
    port.start();
    port.postMessage(wish);
  });

/** A helper does the rows it is asked for, until something else is asked of it. */
function help(port: MessagePort): void {
  port.onmessage = ({ data }: MessageEvent<StripeWish | typeof STOP>) => {
    current = data === STOP ? 0 : data.number;
    if (data === STOP) return;
    const { number, request, from, to } = data;
    const give = (made: DroppedStripe | null) =>
      port.postMessage(
        { number, stripe: made } satisfies StripeReply,
        made ? [made.tokens.buffer, ...made.times.map(({ buffer }) => buffer)] : [],
      );
    // What fails here is tried again by whoever asked, who says why it fails.
    Promise.resolve()
      .then(() => stripe(fieldWork(fieldRequest(request)), number, from, to))
      .then(give, () => give(null));
  };
}

let wishes = 0;
addEventListener('message', ({ data }: MessageEvent<FlakeRequest | typeof STOP | CrewMessage>) => {
  if (data === STOP) {
    current = 0;
    for (const port of helpers) port.postMessage(STOP);
  } else if ('helpers' in data) ({ helpers } = data);
  else if ('helps' in data) help(data.helps);
  else {
    wishes += 1;
    current = wishes;
    drop(data, current).catch((error: unknown) =>
      say({ sentence: error instanceof Error ? error.message : 'The flakes of this cup can’t be drawn.' }),
    );
  }
});

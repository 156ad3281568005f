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
import { handsFor } from './flake-hands';
import { FlakeHelper } from './flake-helper';
import {
  STOP,
  type CrewMessage,
  type CrewWish,
  type FlakeReply,
  type FlakeRequest,
  type StripeReply,
  type StripeWish,
} from './flake-request';

/** ms between two looks at what is said meanwhile */
const LISTEN_EVERY = 20;
/** Pictures of more pixels than this are shown coarse before they are shown fine. */
const LARGE = 300_000;
/** The coarse picture has so many times fewer pixels either way: it takes a fraction of the time. */
const COARSE = 4;

/** begun when a picture is large enough for them */
const helpers: FlakeHelper[] = [];
let cores = 1;
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

/** The first helpers, so many; those that aren't there yet are begun by the page. */
function helpersOf(count: number): readonly FlakeHelper[] {
  while (helpers.length < count) {
    const { port1, port2 } = new MessageChannel();
    helpers.push(new FlakeHelper(port1));
    postMessage({ begin: port2 } satisfies CrewWish, { transfer: [port2] });
  }
  return helpers.slice(0, count);
}

/** Drops flakes off the main thread: alone where there are few, else with helpers, each some rows. */
async function drop(request: FlakeRequest, number: number): Promise<void> {
  const wanted = fieldRequest(request);
  const { width, height } = wanted;
  // First something to look at: helpers that begin meanwhile would hold it up.
  if (width * height > LARGE) say({ field: { ...flakeField(fieldRequest(request, COARSE)), done: 0 } });
  const cuts = stripesOf(height, handsFor(width * height, cores));
  const others = helpersOf(cuts.length - 2).map((helper, i) =>
    helper.rows({ number, request, from: cuts[i + 1], to: cuts[i + 2] }),
  );
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
    for (const helper of helpers) helper.stop();
  } else if ('cores' in data) ({ cores } = data);
  else if ('lost' in data) helpers[data.lost].lose();
  else if ('helps' in data) help(data.helps);
  else {
    wishes += 1;
    current = wishes;
    drop(data, current).catch((error: unknown) =>
      say({ sentence: error instanceof Error ? error.message : 'The flakes of this cup can’t be drawn.' }),
    );
  }
});

import { isDeepStrictEqual } from 'node:util';
import * as z from 'zod';
import { textOf, type Snapshot } from './snapshot';

const names = z.array(z.string());

/** What a restore would do, a kind of thing a line: names of what comes, goes, or becomes what it was then. */
export const previewSchema = z.array(z.object({ kind: z.string(), comes: names, goes: names, changes: names, stays: z.int() }));
export type Preview = z.infer<typeof previewSchema>;

interface Thing {
  readonly id: string;
  readonly name: string;
  /** all that is kept of it, in whatever order it lies */
  readonly whole: unknown;
}

/** Which photos have their picture: now, and after a restore. */
export interface Pictured {
  readonly now: (photo: string) => boolean;
  readonly then: (photo: string) => boolean;
}

/** Compares a workshop with a backup of it, or of another. Nothing is changed by it. */
export function previewOf(now: Snapshot, then: Snapshot, pictured: Pictured): Preview {
  return [
    compared('designs', designs(now), designs(then)),
    compared('jars', rows(now.shelf, now), rows(then.shelf, then)),
    compared('cups', rows(now.cups), rows(then.cups)),
    compared('palettes', rows(now.palettes), rows(then.palettes)),
    compared('makes', makes(now), makes(then)),
    compared('photos', photos(now, pictured.now), photos(then, pictured.then)),
    compared('orders', orders(now), orders(then)),
    compared('week and money', books(now), books(then)),
    compared('settings', settings(now), settings(then)),
  ];
}

function compared(kind: string, now: readonly Thing[], then: readonly Thing[]): Preview[number] {
  const before = new Map(now.map((thing) => [thing.id, thing]));
  const after = new Map(then.map((thing) => [thing.id, thing]));
  const changed = then.filter(({ id, whole }) => before.has(id) && !same(before.get(id)?.whole, whole));
  return {
    kind,
    comes: then.filter(({ id }) => !before.has(id)).map(({ name }) => name),
    goes: now.filter(({ id }) => !after.has(id)).map(({ name }) => name),
    changes: changed.map(({ name }) => name),
    stays: then.length - changed.length - then.filter(({ id }) => !before.has(id)).length,
  };
}

/** Rows out of the database and out of a backup lie in another order, and one of the two bears a prototype. */
const same = (now: unknown, then: unknown): boolean => {
  const [left, right] = [JSON.stringify(now), JSON.stringify(then)];
  return left === right || isDeepStrictEqual(JSON.parse(left), JSON.parse(right));
};

const nameIn = (document: unknown, fallback: string): string =>
  typeof document === 'object' &&
  document !== null &&
  'name' in document &&
  typeof document.name === 'string' &&
  document.name !== ''
    ? document.name
    : fallback;

const designs = ({ designs: all }: Snapshot): readonly Thing[] =>
  all.map((design) => ({
    id: design.id,
    name: nameIn(design.revisions.find(({ number }) => number === design.latest)?.document, design.id),
    whole: design,
  }));

const makes = ({ makes: all }: Snapshot): readonly Thing[] =>
  all.map((make) => ({ id: make.id, name: `${make.name}, make ${make.number}`, whole: make }));

/** A photo without its picture is one of which nothing is to be seen: that is said, and it is another once it has it again. */
const photos = ({ photos: all, makes }: Snapshot, pictured: (photo: string) => boolean): readonly Thing[] =>
  all.map((photo) => {
    const make = makes.find(({ id }) => id === photo.make_id);
    const of = make ? `of ${make.name}, make ${make.number}` : 'of a make';
    return {
      id: photo.id,
      name: pictured(photo.id) ? of : `${of}, without its picture`,
      whole: [photo, pictured(photo.id)],
    };
  });

const rows = (all: Snapshot['cups'], { ledger }: Pick<Snapshot, 'ledger'> = { ledger: [] }): readonly Thing[] =>
  all.map((row) => ({
    id: row.id,
    name: nameIn(row.document, row.id),
    whole: [row, ledger.filter(({ item_id }) => item_id === row.id)],
  }));

const orders = ({ orders: all }: Snapshot): readonly Thing[] =>
  all.map((row) => ({ id: row.id, name: whoIn(row.document), whole: row }));

const whoIn = (document: unknown): string =>
  typeof document === 'object' &&
  document !== null &&
  'who' in document &&
  typeof document.who === 'string' &&
  document.who !== ''
    ? `for ${document.who}`
    : 'an order';

const books = ({ books: all }: Snapshot): readonly Thing[] =>
  all.map((row) => ({ id: row.name, name: row.name === 'week' ? 'the week' : 'the money', whole: row }));

const settings = ({ workshop }: Snapshot): readonly Thing[] =>
  workshop.map((row) => ({ id: 'settings', name: nameIn(row.document, 'the settings'), whole: textOf(row) }));

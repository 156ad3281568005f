import type { Sees } from '@aurantia/core/sharing';
import type { Generated } from 'kysely';

/** Rows as they lie in the file. Documents are JSON text; times are ISO 8601 in UTC. */
export interface Tables {
  design: {
    id: string;
    latest: number;
    kept_at: string;
    removed_at: string | null;
    name: Generated<string>;
    cup: Generated<string>;
    /** name and cup as they are searched */
    found_by: Generated<string>;
    /** since when it stands aside; null while it is among the others */
    archived_at: string | null;
  };
  /** words a maker keeps designs in order by; `found_by` as they are searched */
  design_tag: { design_id: string; tag: string; found_by: string };
  /** versions that two windows disagreed about, which are never thinned */
  held_revision: { design_id: string; number: number };
  /** of a design, what takes work: as it was for that revision, and for what the workshop was like at that stamp */
  summary: {
    design_id: string;
    revision: number;
    stamp: string;
    line: string;
    level: string;
    /** css pixels at 1 a mm */
    width: number;
    height: number;
    /** WebP */
    picture: Uint8Array;
    /** what the picture was painted from, in short; empty where that wasn't written down yet */
    painted: Generated<string>;
  };
  revision: {
    row: Generated<number>;
    design_id: string;
    number: number;
    parent: number | null;
    document: string;
    kept_at: string;
  };
  shelf_item: {
    id: string;
    kind: string;
    document: string;
    place: Generated<number>;
    removed_at: string | null;
    revision: Generated<number>;
  };
  cup: { id: string; document: string; place: Generated<number>; removed_at: string | null; revision: Generated<number> };
  palette: { id: string; document: string; place: Generated<number>; removed_at: string | null; revision: Generated<number> };
  cup_order: { id: string; document: string; place: Generated<number>; removed_at: string | null; revision: Generated<number> };
  /** what there is one of: `week`, `money` */
  book: { name: string; document: string; revision: number };
  ledger: { row: Generated<number>; item_id: string; at: string; change: number | null; left_after: number | null; why: string };
  make: {
    id: string;
    design_id: string;
    number: number;
    at: string;
    document: string;
    name: string;
    label: string;
    cups: number;
    /** JSON, as a list tells it */
    standing: string;
    /** JSON, what it has still to take; null until it is worked out */
    needs: string | null;
    /** 0 on the bench, 1 once all coats are on, 2 once it is given up */
    over: Generated<number>;
  };
  make_entry: { row: Generated<number>; make_id: string; id: string; at: string; document: string };
  /** what a make is found by, as it is searched */
  make_words: { make_id: string; words: string };
  /** what a weighing teaches: derived from a log, with what its maker said of it since */
  reading: {
    row: Generated<number>;
    id: string;
    unknown: string;
    make_id: string;
    coat: string;
    at: string;
    document: string;
    said: Generated<string>;
  };
  /** of makes; the pictures lie in a folder beside the file */
  photo: {
    id: string;
    make_id: string;
    at: string;
    coat: string | null;
    width: number;
    height: number;
    /** JSON, what was read off it */
    reading: string | null;
  };
  /** what the room was like, ms since 1970 */
  room: { at: number; celsius: number; humidity: number | null };
  /** devices that were let in from the network; `proof` is the hash of what each of them shows */
  paired: { id: string; name: string; sees: Sees; proof: string; at: string; seen: string };
  sharing: { id: 1; shared: 0 | 1 };
  set_aside: { row: Generated<number>; kind: string; id: string; document: string; at: string };
  workshop: { id: 1; settings: string; revision: Generated<number> };
}

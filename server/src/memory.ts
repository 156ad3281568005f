import { dirname, join } from 'node:path';
import { Aside } from './aside/aside';
import { Backups } from './backup/backups';
import type { Learning, MovedOn } from '@aurantia/core';
import { CupsStore } from './cups/cups-store';
import { DesignMarksStore } from './designs/design-marks';
import { DesignsStore } from './designs/designs-store';
import { Summaries } from './designs/summaries';
import { LearntStore } from './learnt/learnt-store';
import { DevicesHere } from './devices/devices';
import { RoomStore } from './devices/room-store';
import { MakeChanges } from './makes/make-changes';
import { MakesStore } from './makes/makes-store';
import { PhotosStore } from './photos/photos-store';
import { PalettesStore } from './palettes/palettes-store';
import { MoneyStore } from './money/money-store';
import { OrdersStore } from './orders/orders-store';
import { PairedStore } from './sharing/paired-store';
import { ShelfStore } from './shelf/shelf-store';
import type { Store } from './store/open-store';
import { together } from './store/together';
import type { Unreadable } from './store/unreadable-rows';
import { WorkshopClock } from './workshop/clock';
import { movedOn } from './workshop/moved-on';
import { WeekStore } from './week/week-store';
import { WorkshopStore } from './workshop/workshop-store';

/** All that the workshop remembers, a store a subject. */
export interface Memory {
  readonly designs: DesignsStore;
  /** tags of designs, and which stand aside */
  readonly marks: DesignMarksStore;
  readonly summaries: Summaries;
  readonly shelf: ShelfStore;
  readonly cups: CupsStore;
  readonly palettes: PalettesStore;
  readonly workshop: WorkshopStore;
  /** cups that are made, and what hears of each change to one */
  readonly makes: MakesStore;
  readonly makeChanges: MakeChanges;
  /** what weighings taught */
  readonly learnt: LearntStore;
  /** photos of makes */
  readonly photos: PhotosStore;
  /** cups that somebody waits for, how the week goes, how money is counted */
  readonly orders: OrdersStore;
  readonly week: WeekStore;
  readonly money: MoneyStore;
  /** devices that were let in from the network */
  readonly paired: PairedStore;
  /** what stands beside the cup, and what the room was like */
  readonly devices: DevicesHere;
  readonly room: RoomStore;
  readonly clock: WorkshopClock;
  /** what another window, or the bench, changed since a page looked */
  movedOn(stamp?: string): Promise<MovedOn>;
  /** what is kept but can't be read, as it was lately found: every document is tried for it */
  unreadable(anew: boolean): Promise<Unreadable[]>;
  readonly backups: Backups;
  /** what takes longer than anybody should wait for something else */
  readonly aside: Aside;
  /** does work on all of it, all or nothing */
  together<Result>(work: (memory: Memory) => Promise<Result>): Promise<Result>;
}

/**
 * @param file the workshop's; its backups are kept beside it
 * @param pictures false leaves the pictures of designs as they are, for what needs none
 */
export const memoryOf = (
  store: Store,
  file: string,
  {
    aside = new Aside(file),
    pictures = true,
    makeChanges = new MakeChanges(),
    clock = new WorkshopClock(),
    soFar = new Map<string, Learning>(),
    devices = new DevicesHere(() => clock.now()),
  } = {},
): Memory => {
  const [designs, shelf, workshop] = [new DesignsStore(store), new ShelfStore(store), new WorkshopStore(store)];
  return {
    designs,
    marks: new DesignMarksStore(store),
    summaries: new Summaries(store, aside, pictures),
    shelf,
    cups: new CupsStore(store),
    palettes: new PalettesStore(store),
    workshop,
    makes: new MakesStore(store, soFar),
    makeChanges,
    photos: new PhotosStore(store, join(dirname(file), 'photos')),
    learnt: new LearntStore(store, soFar),
    orders: new OrdersStore(store),
    week: new WeekStore(store),
    money: new MoneyStore(store),
    paired: new PairedStore(store),
    devices,
    room: new RoomStore(store),
    clock,
    movedOn: (stamp) => movedOn(store, stamp),
    unreadable: lately(() => aside.do('unreadable', null)),
    backups: new Backups(store, join(dirname(file), 'backups'), {
      backup: () => aside.do('backup', null),
      save: (pictures, to) => aside.do('saved', { pictures, to }, { patience: LONG }),
    }),
    aside,
    together: (work) =>
      together(store, (within) => work(memoryOf(within, file, { aside, pictures, makeChanges, clock, soFar, devices }))),
  };
};

/** How long it may take to write a thousand photos to a slow disk, ms. */
const LONG = 10 * 60_000;
/** ms for which what was found is taken to stand: this program writes nothing that it can't read. */
const LATELY = 10 * 60_000;

/** The last answer again while it is young; asked for anew when that is wished. */
function lately<Found>(find: () => Promise<Found>): (anew: boolean) => Promise<Found> {
  let last: { readonly at: number; readonly found: Promise<Found> } | null = null;
  return (anew) => {
    if (!last || anew || Date.now() - last.at > LATELY) {
      const found = find();
      last = { at: Date.now(), found };
      found.catch(() => (last = null));
    }
    return last.found;
  };
}

import { computed, inject, Injectable, signal } from '@angular/core';
import { benchOf, standingOf, type Bench } from '@aurantia/core/make';
import { Makes, wroteElsewhere, type LoggedMake, type NewEntry } from '../../services/makes';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';

/** What changes the shelf, or the settings. */
const counts: readonly NewEntry['what'][] = ['done', 'undone', 'weighed', 'set', 'kept'];

/** The make that is open at the bench: its log, how it stands, and what is written into it. */
@Injectable()
export class OpenMake {
  private readonly makes = inject(Makes);
  private readonly notices = inject(Notices);
  private readonly time = inject(WorkshopTime);
  private readonly workshop = inject(WorkshopMemory);

  readonly logged = signal<LoggedMake | null>(null);
  /** a sentence where it can't be opened */
  readonly missing = signal<string | null>(null);
  /** something is on its way to the memory: a second press says nothing new */
  readonly busy = signal(false);
  private readonly standing = computed(() => {
    const logged = this.logged();
    return logged && standingOf(logged.make, logged.entries);
  });
  /** how it stands changes by the minute, and where its window opens and closes: the seconds are the timers' alone */
  private readonly changed = computed(() => {
    const standing = this.standing();
    return this.time.lastChange(standing ? [standing.opens, standing.closes && standing.closes + 1] : []);
  });
  readonly bench = computed<Bench | null>(() => {
    const logged = this.logged();
    return logged && benchOf(logged.make, logged.entries, this.changed());
  });

  open(id: string | null): void {
    if (this.logged()?.make.id !== id) this.logged.set(null);
    this.missing.set(null);
    if (id === null) return;
    this.makes.one(id).subscribe({
      next: (logged) => this.logged.set(logged),
      error: (error: unknown) => this.missing.set(error instanceof Error ? error.message : 'This make can’t be opened.'),
    });
  }

  write(entry: NewEntry, then: () => void = () => undefined): void {
    const logged = this.logged();
    if (!logged || this.busy()) return;
    this.busy.set(true);
    this.makes.write(logged, entry).subscribe({
      next: (now) => {
        this.busy.set(false);
        this.logged.set(now);
        // What was taken and learnt is on the shelf and in the settings now.
        if (counts.includes(entry.what)) this.workshop.load();
        then();
      },
      error: (error: unknown) => {
        this.busy.set(false);
        this.notices.failed(error);
        if (wroteElsewhere(error)) this.open(logged.make.id);
      },
    });
  }
}

import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { applyFix, designSchema, faultsOf, planOf, type CoatId, type Design, type Fix } from '@aurantia/core';
import { v7 } from 'uuid';
import { Api, ApiError } from '../services/api';
import { DesignList, keptDesignSchema, type KeptDesign } from '../services/designs';
import { Drafts } from '../services/drafts';
import { Notices } from '../services/notices';
import { WorkshopMemory } from '../services/workshop';
import { Autosave } from './autosave';

/** The open design: its document, its plan, the way back and forth. Lives as long as the workspace. */
@Injectable()
export class DesignSession {
  private readonly api = inject(Api);
  private readonly drafts = inject(Drafts);
  private readonly notices = inject(Notices);
  private readonly list = inject(DesignList);
  private readonly memory = inject(WorkshopMemory);
  readonly saving = inject(Autosave);

  readonly document = signal<Design | null>(null);
  readonly missing = signal<string | null>(null);
  readonly plan = computed(() => {
    const document = this.document();
    return document && this.memory.loaded() ? planOf(document, this.memory.workshop()) : null;
  });
  private readonly past = signal<readonly Design[]>([]);
  private readonly future = signal<readonly Design[]>([]);
  readonly canUndo = computed(() => this.past().length > 0);
  readonly canRedo = computed(() => this.future().length > 0);

  constructor() {
    const elsewhere = new BroadcastChannel('aurantia designs');
    elsewhere.onmessage = ({ data }: MessageEvent<{ id: string; revision: number }>) => this.changedElsewhere(data);
    inject(DestroyRef).onDestroy(() => elsewhere.close());
    this.saving.kept$.subscribe((kept) => elsewhere.postMessage({ id: kept.document.id, revision: kept.revision }));
  }

  open(id: string): void {
    this.api.get(`designs/${encodeURIComponent(id)}`, keptDesignSchema).subscribe({
      next: (kept) => void this.begin(kept),
      error: (error: unknown) => {
        if (error instanceof ApiError && error.problem.status === 404) this.missing.set(error.problem.detail);
        else this.notices.failed(error, () => this.open(id));
      },
    });
  }

  /**
   * Takes a change if the design stays sound, else leaves the last good one.
   * @returns the sentence to show beside the field, or null when it was taken
   */
  change(edit: (design: Design) => Design): string | null {
    const before = this.document();
    if (!before) return null;
    const after = edit(before);
    if (after === before) return null;
    const read = designSchema.safeParse(after);
    if (!read.success) return faultsOf(read.error)[0]?.sentence ?? 'This can’t be kept.';
    // The edited object, not the parsed copy, so that unchanged parts stay the same objects.
    this.past.set([...this.past().slice(-99), before]);
    this.future.set([]);
    this.take(after);
    return null;
  }

  fix(fix: Fix): void {
    const refused = this.change((design) => applyFix(design, fix, this.memory.workshop(), v7() as CoatId));
    if (refused) this.notices.say(refused);
  }

  undo(): void {
    const before = this.past().at(-1);
    const now = this.document();
    if (!before || !now) return;
    this.past.set(this.past().slice(0, -1));
    this.future.set([...this.future(), now]);
    this.take(before);
  }

  redo(): void {
    const next = this.future().at(-1);
    const now = this.document();
    if (!next || !now) return;
    this.future.set(this.future().slice(0, -1));
    this.past.set([...this.past(), now]);
    this.take(next);
  }

  /** Goes on with the version from the other window; ours stays one undo away. */
  takeTheirs(): void {
    const conflict = this.saving.conflict();
    const ours = this.document();
    if (!conflict || !ours) return;
    this.past.set([...this.past(), ours]);
    this.document.set(conflict.document);
    this.saving.start(conflict);
    void this.drafts.drop(ours.id);
  }

  /** Puts ours on top of theirs as the next revision; theirs stays in the history. */
  putOursOnTop(): void {
    const conflict = this.saving.conflict();
    const ours = this.document();
    if (!conflict || !ours) return;
    this.saving.start(conflict);
    this.take(ours);
  }

  /** Keeps ours as a design of its own and leaves theirs as it is. */
  keepOursApart(then: (kept: KeptDesign) => void): void {
    const conflict = this.saving.conflict();
    const ours = this.document();
    if (!conflict || !ours) return;
    const copy: Design = { ...ours, id: v7() as Design['id'], name: `${ours.name}, mine`.slice(0, 80) };
    this.list.create(copy).subscribe({
      next: (kept) => {
        this.takeTheirs();
        then(kept);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private async begin(kept: KeptDesign): Promise<void> {
    this.past.set([]);
    this.future.set([]);
    this.missing.set(null);
    this.saving.start(kept);
    const draft = await this.drafts.take(kept.document.id);
    if (!draft) {
      this.document.set(kept.document);
      return;
    }
    // Typed before, never kept: go on from it, onto the revision it was typed on.
    this.document.set(draft.document);
    this.past.set([kept.document]);
    this.saving.offer(draft.document, draft.parent);
  }

  private take(document: Design): void {
    this.document.set(document);
    this.saving.offer(document);
  }

  private changedElsewhere({ id, revision }: { id: string; revision: number }): void {
    if (this.document()?.id !== id || revision <= this.saving.revision() || this.saving.state() !== 'kept') return;
    this.api.get(`designs/${encodeURIComponent(id)}`, keptDesignSchema).subscribe((kept) => {
      if (this.saving.state() !== 'kept') return;
      this.saving.start(kept);
      this.document.set(kept.document);
      this.notices.say(`Changed in another window: this is revision ${kept.revision} now.`);
    });
  }
}

import { DestroyRef, inject, Injectable, signal, untracked } from '@angular/core';
import { designSchema, faultsOf, lackingText, withFix, type CoatId, type Design, type Fix } from '@aurantia/core';
import { v7 } from 'uuid';
import { Api, ApiError } from '../services/api';
import { KeptDesigns, keptDesignSchema, type KeptDesign } from '../services/kept-designs';
import { Drafts } from '../services/drafts';
import { Notices } from '../services/notices';
import { WorkshopMemory } from '../services/workshop';
import { Autosave } from './autosave';
import { DocumentHistory } from './document-history';
import { PlannedDocument } from './planned-document';

/** The open design: its document, its plan, the way back and forth. Lives as long as the workspace. */
@Injectable()
export class DesignSession {
  private readonly api = inject(Api);
  private readonly drafts = inject(Drafts);
  private readonly notices = inject(Notices);
  private readonly designs = inject(KeptDesigns);
  private readonly memory = inject(WorkshopMemory);
  readonly saving = inject(Autosave);

  private readonly history = inject(DocumentHistory);
  private readonly planned = inject(PlannedDocument);
  readonly document = this.planned.document;
  readonly plan = this.planned.plan;
  readonly behind = this.planned.behind;
  readonly moving = this.history.moving;
  readonly canUndo = this.history.canUndo;
  readonly canRedo = this.history.canRedo;
  readonly missing = signal<string | null>(null);

  constructor() {
    const elsewhere = new BroadcastChannel('aurantia designs');
    elsewhere.onmessage = ({ data }: MessageEvent<{ id: string; revision: number }>) => this.changedElsewhere(data);
    inject(DestroyRef).onDestroy(() => elsewhere.close());
    inject(DestroyRef).onDestroy(() => this.endGesture());
    this.planned.failed$.subscribe((error) => {
      this.notices.failed(error);
      this.undo();
    });
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
   * @param gesture changes of one name in a row are one step back: a drag, a key held down
   * @returns the sentence to show beside the field, or null when it was taken
   */
  change(edit: (design: Design) => Design, gesture: string | null = null): string | null {
    const before = this.document();
    if (!before) return null;
    const after = edit(before);
    if (after === before) return null;
    const read = designSchema.safeParse(after);
    if (!read.success) return faultsOf(read.error)[0]?.sentence ?? 'This can’t be kept.';
    const unclear = this.planned.unclear(before, after);
    if (unclear) return unclear;
    // The edited object, not the parsed copy, so that unchanged parts stay the same objects.
    this.document.set(after);
    if (!this.history.note(before, gesture)) this.saving.offer(after);
    return null;
  }

  /** A drag or a held key ended: what it came to is kept. */
  endGesture(): void {
    const document = untracked(this.document);
    if (untracked(() => this.history.endGesture()) && document) this.saving.offer(document);
  }

  fix(fix: Fix): void {
    const workshop = this.memory.workshop();
    const document = this.document();
    const lacking = fix.does === 'insert coat' && document ? lackingText(fix.kind, document, workshop) : null;
    const refused = lacking ?? this.change((design) => withFix(design, fix, workshop, v7() as CoatId));
    if (refused) this.notices.say(refused);
  }

  undo(): void {
    const now = this.document();
    const before = now && this.history.back(now);
    if (before) this.take(before);
  }

  redo(): void {
    const now = this.document();
    const next = now && this.history.forth(now);
    if (next) this.take(next);
  }

  /** Goes on with the version from the other window; ours stays one undo away. */
  takeTheirs(): void {
    const conflict = this.saving.conflict();
    const ours = this.document();
    if (!conflict || !ours) return;
    this.history.note(ours, null);
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
    this.designs.create(copy).subscribe({
      next: (kept) => {
        this.takeTheirs();
        then(kept);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private async begin(kept: KeptDesign): Promise<void> {
    this.history.begin();
    this.missing.set(null);
    this.saving.start(kept);
    const draft = await this.drafts.take(kept.document.id);
    if (!draft) {
      this.document.set(kept.document);
      return;
    }
    // Typed before, never kept: go on from it, onto the revision it was typed on.
    this.document.set(draft.document);
    this.history.begin([kept.document]);
    this.saving.offer(draft.document, draft.parent);
  }

  private take(document: Design): void {
    this.history.endGesture();
    this.document.set(document);
    this.saving.offer(document);
  }

  private changedElsewhere({ id, revision }: { id: string; revision: number }): void {
    if (this.document()?.id !== id || revision <= this.saving.revision() || this.saving.state() !== 'kept') return;
    this.api.get(`designs/${encodeURIComponent(id)}`, keptDesignSchema).subscribe((kept) => {
      if (this.saving.state() !== 'kept') return;
      this.saving.start(kept);
      this.document.set(kept.document);
      // The steps back lead to what that window changed: going them would write over it.
      this.history.begin();
      this.notices.say(`Changed in another window: this is revision ${kept.revision} now, and Undo begins anew.`);
    });
  }
}

import { Injectable, signal } from '@angular/core';
import type { StageName } from '@aurantia/core/guide';
import * as z from 'zod';
import { keepHere, keptHere } from './kept-here';

const KEY = 'aurantia.first-cup';

const lessonSchema = z.object({
  /** the design it is taught on */
  design: z.string(),
  /** steps that were passed over */
  skipped: z.array(z.string()),
  printed: z.boolean(),
});
type Lesson = z.infer<typeof lessonSchema>;

/** The lesson of a first cup, taught on a design of the maker's own; it goes on where it was left, in this browser. */
@Injectable({ providedIn: 'root' })
export class FirstCupLesson {
  private readonly lesson = signal<Lesson | null>(read());
  readonly now = this.lesson.asReadonly();

  begin(design: string): void {
    this.set({ design, skipped: [], printed: false });
  }

  skip(stage: StageName): void {
    const now = this.lesson();
    if (now) this.set({ ...now, skipped: [...now.skipped, stage] });
  }

  /** The card was looked at. */
  printed(): void {
    const now = this.lesson();
    if (now && !now.printed) this.set({ ...now, printed: true });
  }

  leave(): void {
    this.set(null);
  }

  private set(lesson: Lesson | null): void {
    this.lesson.set(lesson);
    keepHere(KEY, lesson && JSON.stringify(lesson));
  }
}

function read(): Lesson | null {
  const text = keptHere(KEY);
  if (text === null) return null;
  try {
    return lessonSchema.parse(JSON.parse(text));
  } catch {
    // Another program's, or half written: there is no lesson to go on with.
    return null;
  }
}

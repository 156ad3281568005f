import type { CardAsked, CardMade } from '../card/card-work';
import type { History } from '@aurantia/core';
import type { HistoryAsked } from '../designs/history-work';
import type { Summary, SummaryAsked } from '../designs/summary-work';
import type { Make } from '@aurantia/core/make';
import type { MakeAsked } from '../makes/make-work';
import type { SheetAsked } from '../makes/sheet-work';
import type { KeptPhoto, PhotoAsked } from '../photos/photo-work';
import type { SamplesAsked } from '../palettes/samples-work';
import type { CalendarAsked, DaySheetAsked } from '../week/week-out-work';
import type { WeekAsked, WeekJobs } from '../week/week-work';
import type { Unreadable } from '../store/unreadable-rows';
import type { TemplateAsked, TemplateDrawn } from '../template/template-work';

/** What is done aside, in threads that nobody waits for who asks for something else: what each is given, and what it gives. */
export interface Work {
  readonly card: { readonly asked: CardAsked; readonly gives: CardMade };
  readonly template: { readonly asked: TemplateAsked; readonly gives: TemplateDrawn };
  readonly samples: { readonly asked: SamplesAsked; readonly gives: Uint8Array };
  readonly make: { readonly asked: MakeAsked; readonly gives: Make };
  readonly week: { readonly asked: WeekAsked; readonly gives: WeekJobs };
  readonly daySheet: { readonly asked: DaySheetAsked; readonly gives: Uint8Array };
  readonly calendar: { readonly asked: CalendarAsked; readonly gives: string };
  readonly sheet: { readonly asked: SheetAsked; readonly gives: Uint8Array };
  readonly photo: { readonly asked: PhotoAsked; readonly gives: KeptPhoto };
  readonly summary: { readonly asked: SummaryAsked; readonly gives: Summary };
  readonly history: { readonly asked: HistoryAsked; readonly gives: History };
  readonly backup: { readonly asked: null; readonly gives: Uint8Array };
  readonly saved: { readonly asked: { readonly pictures: string; readonly to: string }; readonly gives: null };
  readonly unreadable: { readonly asked: null; readonly gives: Unreadable[] };
}
export type WorkKind = keyof Work;

/** A wish as a thread gets it, with the workshop's file it is about, and its answer. */
export interface Wish {
  readonly file: string;
  readonly kind: WorkKind;
  readonly asked: unknown;
}
/** What a thread is given: a wish, or a file to close. */
export type Given = Wish | { readonly letGo: string };
export type Answer =
  | { readonly gives: unknown }
  | {
      readonly problem: { readonly status: number; readonly title: string; readonly detail: string } | null;
      readonly reason: string;
    };

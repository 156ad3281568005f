import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  countText,
  differenceWords,
  doseOf,
  faultsOf,
  hexSchema,
  inksOf,
  itemOf,
  type CoatOf,
  type Design,
} from '@aurantia/core';
import { placesOf, withInkDepth } from '@aurantia/core/ink-depth';
import { catchError, debounceTime, EMPTY, switchMap } from 'rxjs';
import { v7 } from 'uuid';
import { ColourField } from '../../../parts/fields/colour-field';
import { Pick } from '../../../parts/fields/pick';
import { Word } from '../../../parts/word/word';
import { Notices } from '../../../services/notices';
import { SuggestedCoats } from '../../../services/suggested-coats';
import { WorkshopMemory } from '../../../services/workshop';
import type { DepthAnswer } from '../../../workers/suggestions-request';
import { OpenDesign } from '../../open-design';
import { DesignSession } from '../../session';
import { Offers, offerWords, type Offer } from './offers';
import { WhichInks } from './which-inks';

/** ms without a change before it is worked out anew. */
const QUIET = 200;
const times = { 1: 'one coat', 2: 'each of two coats', 3: 'each of three coats' } as const;

/** What a base is shown for. */
const baseWords = { dark: 'the darkest paint', light: 'the lightest paint', best: 'where it shows most' } as const;

/** How deep a tinted coat comes out in one, two and three coats, and how many drops a wanted colour takes. */
@Component({
  selector: 'au-ink-depth',
  imports: [Word, ColourField, Offers, Pick, WhichInks],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ink-depth.html',
  styleUrl: './ink-depth.scss',
})
export class InkDepthPanel {
  private readonly suggested = inject(SuggestedCoats);
  private readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly plan = inject(OpenDesign).plan;
  readonly coat = input.required<CoatOf<'ink'>>();
  readonly design = input.required<Design>();

  /** the colour looked for; null until somebody looks */
  protected readonly wanted = signal<string | null>(null);
  protected readonly places = computed(() =>
    placesOf(this.plan(), this.coat()).map(({ id, name }) => ({ value: id as string, name })),
  );
  protected readonly place = linkedSignal<readonly { value: string }[], string>({
    source: this.places,
    computation: (places, before) => places.find(({ value }) => value === before?.value)?.value ?? places.at(0)?.value ?? '',
  });
  /** what the colour is chosen from: what is seen there now */
  protected readonly now = computed(() => this.wanted() ?? this.plan().finished[this.place()] ?? '#808080');
  private readonly asked = computed(() => ({
    design: this.design(),
    wish: { coat: this.coat().id, place: this.place(), wanted: this.wanted() },
  }));
  protected readonly answer = toSignal<DepthAnswer>(
    toObservable(this.asked).pipe(
      debounceTime(QUIET),
      switchMap(({ design, wish }) =>
        this.suggested.depth(design, wish).pipe(
          catchError((error: unknown) => {
            this.notices.failed(error);
            return EMPTY;
          }),
        ),
      ),
    ),
  );
  private readonly found = computed(() => this.answer()?.depths ?? []);
  protected readonly offers = computed<readonly Offer[]>(() => {
    const ink = itemOf(this.memory.shelf(), this.coat().ink, 'ink');
    const beside = inksOf(this.coat()).length > 1;
    return this.found().map((depth) => ({
      seen: depth.seen,
      drops: `${countText(depth.drops, ink ? doseOf(ink) : 'drop')}${beside && ink ? ` of ${ink.name}` : ''} in ${times[depth.coats]}`,
      words: offerWords(depth),
    }));
  });
  /** its load changes on the way up: no one number of drops gives its colour */
  protected readonly graded = computed(() => this.coat().pots !== undefined);
  protected readonly placeName = computed(() => this.places().find(({ value }) => value === this.place())?.name ?? '');
  protected readonly bases = computed(() =>
    (this.answer()?.bases ?? []).map(({ why, name, under, seen, shows }) => ({
      name,
      under,
      seen,
      words: `${baseWords[why]}: ${differenceWords(shows).word}`,
    })),
  );
  protected readonly refused = signal<string | null>(null);

  protected want(hex: string): void {
    const read = hexSchema.safeParse(hex);
    this.refused.set(read.success ? null : (faultsOf(read.error)[0]?.sentence ?? 'This is no colour.'));
    if (read.success) this.wanted.set(read.data);
  }

  protected take(at: number): void {
    const depth = this.found()[at];
    const refused = this.session.change((design) => withInkDepth(design, this.coat().id, depth, v7));
    if (refused) this.notices.failed(new Error(refused));
  }
}

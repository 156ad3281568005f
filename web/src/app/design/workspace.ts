import { ChangeDetectionStrategy, Component, computed, effect, inject, Injector, input, signal } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatInput } from '@angular/material/input';
import { ActivatedRoute, NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import {
  areaHandles,
  areaText,
  amountText,
  countFindings,
  countText,
  designNameSchema,
  faultsOf,
  tallyOf,
  thicknessText,
  type Plan,
  readinessOf,
  trialPlan,
} from '@aurantia/core';
import { designUpTo, placeAt } from '@aurantia/core/section';
import { format } from 'date-fns';
import { filter, map, startWith } from 'rxjs';
import { CupView } from '../parts/cup-view/cup-view';
import { WorkshopMemory } from '../services/workshop';
import type { HandleMove } from '../parts/area-handle/area-handle';
import { AreaMoves } from './area-moves';
import { Autosave } from './autosave';
import { CostChip } from './cost-chip/cost-chip';
import { DocumentHistory } from './document-history';
import { OpenDesign } from './open-design';
import { PlannedDocument } from './planned-document';
import { DesignSession } from './session';
import { offerCommands, type Command } from '../services/commands';
import { Unfetched } from '../parts/unfetched/unfetched';
import { FirstCupLesson } from '../services/lesson';
import { FirstCup } from './first-cup/first-cup';
import { PracticeNote } from './practice-note/practice-note';
import { BUTTONS } from '../parts/buttons';

const PROBE = 'probe';

/** One design, open: the rail of stages, the cup at the left, the stage's work at the right. */
@Component({
  selector: 'au-workspace',
  imports: [CostChip, BUTTONS, CupView, FirstCup, PracticeNote, Unfetched, MatInput, RouterLink, RouterOutlet],
  providers: [DocumentHistory, PlannedDocument, Autosave, DesignSession, OpenDesign, AreaMoves],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './workspace.html',
  styleUrl: './workspace.scss',
  host: { '(document:keydown)': 'key($event)' },
})
export class Workspace {
  protected readonly session = inject(DesignSession);
  private readonly memory = inject(WorkshopMemory);
  protected readonly lesson = inject(FirstCupLesson);
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  readonly id = input.required<string>();
  private readonly route = inject(ActivatedRoute);
  private readonly open = inject(OpenDesign);
  protected readonly moves = inject(AreaMoves);
  protected readonly chosenArea = this.open.chosenArea;
  protected readonly beside = this.open.beside;
  /** what the cup shows: the design as planned, or as far as it has come after some of its coats */
  protected readonly shown = computed(() => {
    const [plan, document, upTo] = [this.session.plan(), this.session.document(), this.open.upTo()];
    if (!plan || !document || upTo === null || this.stage() !== 'coats') return plan;
    return trialPlan(designUpTo(document, upTo), this.memory.workshop(), plan.areas);
  });
  /** the area that the cup marks */
  protected readonly marked = computed(() => {
    if (this.stage() === 'areas' || this.stage() === 'colour') return this.chosenArea();
    const plan = this.session.plan();
    const probe = this.front();
    return plan && probe ? placeAt(plan, probe).area : null;
  });
  /** the coat whose pieces the cup marks */
  protected readonly piece = computed(() => (this.stage() === 'coats' ? this.open.openCoat() : null));
  /** the stage that is shown, by its path */
  protected readonly stage = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(null),
      map(() => this.route.snapshot.firstChild?.routeConfig?.path ?? 'cup'),
    ),
    { requireSync: true },
  );
  /** the spot at which coats are cut through, which is then in front */
  protected readonly front = computed(() => {
    const probe = this.stage() === 'coats' ? this.open.probe() : null;
    return probe === 'base' ? null : probe;
  });
  /** areas can be taken hold of where they are laid out, and the probe where coats are cut through */
  protected readonly handles = computed(() => {
    const document = this.session.document();
    const probe = this.front();
    if (probe) return [{ key: PROBE, label: 'Where the coats are cut through', goes: 'both' as const, ...probe }];
    const area = document?.areas.find(({ id }) => id === this.chosenArea());
    return this.stage() === 'areas' && document && area ? areaHandles(area, document.cup) : [];
  });
  protected readonly nameWrong = signal<string | null>(null);
  protected readonly rail = computed(() => {
    const plan = this.session.plan();
    const document = this.session.document();
    if (!plan || !document) return [];
    const { units } = this.memory.settings();
    const { totals, areas } = plan;
    const left = areas.leftOver.area > 0.05 ? `${areaText(areas.leftOver.area, units)} left over` : 'none left over';
    const resin = amountText(totals.resinMl, units, totals.resinMl > 0 ? totals.resinGrams / totals.resinMl : 1);
    const { grave } = countFindings(plan.findings);
    return [
      { path: 'cup', name: 'Cup', line: `${areaText(plan.surface.coatable, units)} to coat`, alert: false },
      {
        path: 'areas',
        name: 'Areas',
        line: areas.areas.length > 0 ? `${countText(areas.areas.length, 'area')}, ${left}` : 'none yet',
        alert: false,
      },
      {
        path: 'colour',
        name: 'Colour',
        line: coloursLine(plan),
        alert: false,
      },
      {
        path: 'coats',
        name: 'Coats',
        alert: false,
        line:
          plan.coats.length === 0 ? 'none yet' : `${countText(plan.coats.length, 'coat')}, ${thicknessText(totals.thickness)}`,
      },
      {
        path: 'amounts',
        name: 'Amounts',
        line: totals.mixes > 0 ? `${resin} resin in ${countText(totals.mixes, 'mix', 'mixes')}` : 'no resin yet',
        alert: false,
      },
      {
        path: 'check',
        name: 'Check',
        line:
          grave > 0 ? `${countText(grave, 'thing')} to look at` : plan.coats.length === 0 ? 'nothing to check yet' : 'all clear',
        alert: grave > 0,
      },
      { path: 'card', name: 'Card', line: readinessOf(plan.coats.length, plan.findings).line, alert: false },
    ];
  });
  protected readonly tally = computed(() => {
    const plan = this.session.plan();
    return plan ? tallyOf(plan, this.memory.units()) : [];
  });
  protected readonly kept = computed(() => {
    const { state, revision, keptAt } = this.session.saving;
    const at = keptAt();
    const time = at ? format(new Date(at), 'HH:mm') : '';
    switch (state()) {
      case 'kept':
        return `revision ${revision()}, kept ${time}`;
      case 'keeping':
        return 'keeping…';
      case 'offline':
        return 'not reached; kept in this browser, trying again';
      case 'conflict':
        return 'changed in another window';
      case 'removed':
        return 'removed in another window';
      case 'no room':
        return 'can’t be written just now; kept in this browser, trying again';
      case 'refused':
        return 'not kept; see below';
    }
  });
  protected readonly theirs = computed(() => {
    const conflict = this.session.saving.conflict();
    return conflict ? `revision ${conflict.revision}, ${format(new Date(conflict.keptAt), 'HH:mm')}` : null;
  });

  constructor() {
    offerCommands(() => this.commands());
    const title = inject(Title);
    effect(() => this.session.open(this.id()));
    effect(() => {
      if (this.session.missing() && this.lesson.now()?.design === this.id()) this.lesson.leave();
    });
    effect(() => title.setTitle(`${this.session.document()?.name ?? 'Design'} · Aurantia`));
  }

  private commands(): readonly Command[] {
    const { session, router } = this;
    if (!session.document()) return [];
    const group = 'This design';
    return [
      ...this.rail().map(({ path, name, line }) => ({
        group,
        name: `${name}: ${line}`,
        run: () => void router.navigate(['/designs', this.id(), path]),
      })),
      ...(session.canUndo() ? [{ group, name: 'Undo', keys: 'Ctrl Z', run: () => session.undo() }] : []),
      ...(session.canRedo() ? [{ group, name: 'Redo', keys: 'Ctrl Shift Z', run: () => session.redo() }] : []),
      ...(['clock', 'cut', 'growth'] as const).map((shown) => ({
        group,
        name: { clock: 'Coats by the clock', cut: 'Coats cut through', growth: 'Coats as they grow' }[shown],
        run: () => void router.navigate(['/designs', this.id(), 'coats'], { queryParams: { shown } }),
      })),
      { group, name: 'Practise: put these coats in order, on a copy', run: () => void this.practise() },
      { group, name: 'History: what it was before', run: () => void this.openHistory() },
      { group, name: 'A first cup in six steps, on this design', run: () => this.lesson.begin(this.id()) },
      { group, name: 'The card as a PDF', run: () => window.open(`/api/designs/${encodeURIComponent(this.id())}/card.pdf`) },
    ];
  }

  protected rename(field: HTMLInputElement): void {
    const name = field.value.trim();
    const read = designNameSchema.safeParse(name);
    this.nameWrong.set(read.success ? null : (faultsOf(read.error)[0]?.sentence ?? null));
    if (read.success) this.session.change((design) => (design.name === name ? design : { ...design, name }));
  }

  private async practise(): Promise<void> {
    const { PracticeDesigns } = await import('../services/practice');
    const design = this.session.document();
    if (design) this.injector.get(PracticeDesigns).order(design);
  }

  /** The dialog comes when it is first asked for. */
  protected async openHistory(): Promise<void> {
    const [{ MatDialog }, { HistoryDialog }] = await Promise.all([
      import('@angular/material/dialog'),
      import('./history/history-dialog'),
    ]);
    const { injector } = this;
    injector.get(MatDialog).open(HistoryDialog, { width: '940px', maxWidth: '96vw', ariaLabel: 'What it was before', injector });
  }

  protected moved(move: HandleMove): void {
    const probe = this.front();
    if (!probe) {
      this.moves.moved(move);
      return;
    }
    const { angle, height } =
      'to' in move ? move.to : { angle: probe.angle + move.by.angle, height: probe.height + move.by.height };
    const top = this.session.plan()?.surface.height ?? 0;
    this.open.probe.set({ angle: ((angle % 360) + 360) % 360, height: Math.min(top, Math.max(0, height)) });
  }

  protected keepApart(): void {
    this.session.keepOursApart((kept) => void this.router.navigate(['/designs', kept.document.id, this.stage()]));
  }

  protected key(event: KeyboardEvent): void {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    // A field that is being typed in has an undo of its own.
    if (event.target instanceof HTMLInputElement && event.target.type !== 'button') return;
    event.preventDefault();
    if (event.shiftKey) this.session.redo();
    else this.session.undo();
  }
}

function coloursLine({ blends, fades }: Plan): string {
  const pots = fades.reduce((sum, { slices }) => sum + slices.length, 0);
  const fading = fades.length > 0 ? [`${countText(fades.length, 'fade')} in ${countText(pots, 'pot')}`] : [];
  const plain = blends.length > 0 ? [countText(blends.length, 'blend')] : [];
  return [...fading, ...plain].join(', ') || 'no blend yet';
}

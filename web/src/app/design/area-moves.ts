import { inject, Injectable, signal } from '@angular/core';
import { areaHandles, circumferenceAt, snapLines, snapTo, withHandleMoved, type AreaId, type WallPlace } from '@aurantia/core';
import type { HandleMove } from '../parts/area-handle/area-handle';
import { OpenDesign } from './open-design';
import { DesignSession } from './session';

/** How near a line takes a dragged edge to itself, mm along the wall. */
const SNAP = 2.5;

/** Moves the chosen area by its handles, whether they are held on the cup or on the flat wall. */
@Injectable()
export class AreaMoves {
  private readonly session = inject(DesignSession);
  private readonly open = inject(OpenDesign);
  /** the lines it was taken to, in words */
  readonly snapped = signal('');
  /** why an area's last change wasn't taken; an empty id where it is about no area there is */
  readonly refused = signal<{ readonly id: string; readonly sentence: string } | null>(null);

  /** A handle was dragged, then it takes to a sensible line that is near, or stepped by keys. */
  moved(move: HandleMove): void {
    const { cup, areas } = this.open.design();
    const area = areas.find(({ id }) => id === this.open.chosenArea());
    const handle = area && areaHandles(area, cup).find(({ key }) => key === move.key);
    if (!area || !handle) return;
    const to =
      'to' in move
        ? this.onLines(area.id, move.to)
        : { angle: handle.angle + move.by.angle, height: handle.height + move.by.height };
    const sentence = this.session.change((one) => withHandleMoved(one, area.id, move.key, to), `${area.id} ${move.key}`);
    this.refused.set(sentence ? { id: area.id, sentence } : null);
  }

  done(): void {
    this.snapped.set('');
    this.session.endGesture();
  }

  private onLines(id: AreaId, place: WallPlace): WallPlace {
    const design = this.open.design();
    const lines = snapLines(design, id);
    const height = snapTo(place.height, lines.heights, SNAP);
    const tape = circumferenceAt(design.cup.stations, Math.min(this.open.plan().surface.height, Math.max(0, place.height)));
    const angle = snapTo(((place.angle % 360) + 360) % 360, lines.angles, (SNAP * 360) / tape);
    this.snapped.set([height?.says, angle?.says].filter((says) => says !== undefined).join(', '));
    return { height: height?.at ?? Math.round(place.height * 2) / 2, angle: angle?.at ?? Math.round(place.angle * 2) / 2 };
  }
}

import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { startingCup, type Design } from '@aurantia/core';
import { canPractise, sixMistakes, toPutInOrder } from '@aurantia/core/practice';
import type { Observable } from 'rxjs';
import { v7 } from 'uuid';
import { KeptDesigns, type KeptDesign } from './kept-designs';
import { Notices } from './notices';
import { WorkshopMemory } from './workshop';

/** Designs to practise on, each a design of its own that can be removed again. */
@Injectable({ providedIn: 'root' })
export class PracticeDesigns {
  private readonly designs = inject(KeptDesigns);
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);

  /** A plan that would ruin a cup in six ways. */
  mistakes(): void {
    const workshop = this.memory.workshop();
    if (!canPractise(workshop)) {
      this.notices.say(
        'A practice is laid with glitter, glue, resin and paint of your shelf. Put typical materials there first.',
      );
      return;
    }
    this.open(this.designs.create(sixMistakes(this.memory.cups().at(0)?.cup ?? startingCup, workshop, v7)));
  }

  /** A copy of a design, its coats in disorder. */
  order(design: Design): void {
    if (design.coats.length < 3) {
      this.notices.say('Fewer than three coats are no practice. Plan the coats first.');
      return;
    }
    this.open(this.designs.create(toPutInOrder(design, v7(), Date.now() % 100_000)));
  }

  private open(made: Observable<KeptDesign>): void {
    made.subscribe({
      next: ({ document }) => void this.router.navigate(['/designs', document.id, 'coats']),
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}

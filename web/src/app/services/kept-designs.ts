import { inject, Injectable } from '@angular/core';
import { designSchema, readDesignFile, startingCup, startingDesign, type Cup, type Design } from '@aurantia/core';
import { map, switchMap, tap, type Observable } from 'rxjs';
import { v7 } from 'uuid';
import * as z from 'zod';
import { Api } from './api';
import { DesignList } from './designs';

export const keptDesignSchema = z.object({ document: designSchema, revision: z.int(), keptAt: z.string() });
export type KeptDesign = z.infer<typeof keptDesignSchema>;

/** Whole designs as the memory keeps them: begun, copied, brought in. Home fetches this only once one is wanted. */
@Injectable({ providedIn: 'root' })
export class KeptDesigns {
  private readonly api = inject(Api);
  private readonly list = inject(DesignList);

  create(document: Design): Observable<KeptDesign> {
    return this.api.post('designs', document, keptDesignSchema).pipe(tap(() => this.list.look()));
  }

  /** A new design on a cup, under a name that none has yet. */
  begin(cup: Cup = startingCup): Observable<KeptDesign> {
    return this.freeName('New design').pipe(switchMap((name) => this.create(startingDesign(v7(), name, cup))));
  }

  copy(id: string): Observable<KeptDesign> {
    return this.api
      .get(`designs/${encodeURIComponent(id)}`, keptDesignSchema)
      .pipe(
        switchMap(({ document }) =>
          this.create({ ...document, id: v7() as Design['id'], name: `${document.name}, copy`.slice(0, 80) }),
        ),
      );
  }

  /** What a design file holds, or what is wrong with it in sentences. */
  readonly read = readDesignFile;

  /** Takes a design file's parsed JSON; the memory checks it and names what is wrong. */
  importFile(file: unknown): Observable<KeptDesign> {
    return this.api.post('designs/import', file, keptDesignSchema).pipe(tap(() => this.list.look()));
  }

  /** A name that no design has yet: “New design”, “New design 2”… */
  freeName(name: string): Observable<string> {
    return this.list.named(name).pipe(
      map((designs) => {
        const names = new Set(designs.map((one) => one.name));
        for (let number = 1; ; number += 1) {
          const free = number === 1 ? name : `${name} ${number}`;
          if (!names.has(free)) return free;
        }
      }),
    );
  }
}

import { inject, Injectable } from '@angular/core';
import { DOCUMENT } from '@angular/common';
import type { CanMatchFn } from '@angular/router';
import { Router } from '@angular/router';
import * as z from 'zod';

const askingSchema = z.enum(['here', 'all', 'bench', 'stranger']).catch('here');

/** Who looks at this page: the workshop's own computer, or a device on its network that was let in to some of it. */
@Injectable({ providedIn: 'root' })
export class Asking {
  /** as the program said when it sent the page; it refuses the rest by itself */
  readonly who = askingSchema.parse(inject(DOCUMENT).body.dataset['asking']);
  readonly all = this.who === 'here' || this.who === 'all';
}

/** Places that a device at the bench isn't shown: it is taken to the bench. */
export const forAll: CanMatchFn = () => inject(Asking).all || inject(Router).parseUrl('/bench');

import type { ErrorStateMatcher } from '@angular/material/core';

/** A field is shown as wrong as soon as something is said about it, whether or not it was left. */
export const saidState: ErrorStateMatcher = { isErrorState: (control) => control?.invalid ?? false };

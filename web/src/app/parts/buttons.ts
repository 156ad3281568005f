import { MatButton, MatIconButton } from '@angular/material/button';

/**
 * Buttons of the screens: `matButton="filled"` for the one thing to do here, `"outlined"` for the others,
 * `matButton` alone for what stands beside them, `matIconButton` where an icon says it (with an aria-label).
 */
export const BUTTONS = [MatButton, MatIconButton] as const;

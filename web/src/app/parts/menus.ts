import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';

/** A button that opens a list of deeds. What the list holds is made once it opens, in `<ng-template matMenuContent>`. */
export const MENUS = [MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger] as const;

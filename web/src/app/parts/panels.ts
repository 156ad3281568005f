import { MatExpansionPanel, MatExpansionPanelContent, MatExpansionPanelHeader } from '@angular/material/expansion';

/** A line that opens to what it holds, and closes again. */
export const PANELS = [MatExpansionPanel, MatExpansionPanelHeader, MatExpansionPanelContent] as const;

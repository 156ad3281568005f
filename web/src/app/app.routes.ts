import type { Routes } from '@angular/router';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'designs' },
  {
    path: 'designs',
    title: 'Designs · Aurantia',
    loadComponent: () => import('./places/designs/designs-place').then((m) => m.DesignsPlace),
  },
  { path: 'designs/:id', pathMatch: 'full', redirectTo: 'designs/:id/cup' },
  { path: 'designs/:id/:stage', loadComponent: () => import('./design/workspace').then((m) => m.Workspace) },
  {
    path: 'shelf',
    title: 'Shelf · Aurantia',
    loadComponent: () => import('./places/shelf/shelf-place').then((m) => m.ShelfPlace),
  },
  {
    path: 'shelf/palettes',
    title: 'Palettes · Aurantia',
    loadComponent: () => import('./places/palettes/palettes-place').then((m) => m.PalettesPlace),
  },
  { path: 'cups', title: 'Cups · Aurantia', loadComponent: () => import('./places/cups/cups-place').then((m) => m.CupsPlace) },
  { path: '**', redirectTo: 'designs' },
];

import type { Route, Routes } from '@angular/router';
import { forAll } from './services/asking';

/** A stage of an open design; the others are fetched ahead while one is worked at. */
const stage = (path: string, loadComponent: Route['loadComponent']): Route => ({ path, loadComponent, data: { ahead: true } });

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'designs' },
  {
    path: 'designs',
    canMatch: [forAll],
    title: 'Designs · Aurantia',
    loadComponent: () => import('./places/designs/designs-place').then((m) => m.DesignsPlace),
  },
  {
    path: 'designs/:id',
    canMatch: [forAll],
    loadComponent: () => import('./design/workspace').then((m) => m.Workspace),
    children: [
      stage('cup', () => import('./design/cup-stage/cup-stage').then((m) => m.CupStage)),
      stage('areas', () => import('./design/areas-stage/areas-stage').then((m) => m.AreasStage)),
      stage('colour', () => import('./design/colour-stage/colour-stage').then((m) => m.ColourStage)),
      stage('coats', () => import('./design/coats-stage/coats-stage').then((m) => m.CoatsStage)),
      stage('amounts', () => import('./design/amounts-stage/amounts-stage').then((m) => m.AmountsStage)),
      stage('check', () => import('./design/check-stage/check-stage').then((m) => m.CheckStage)),
      stage('card', () => import('./design/card-stage/card-stage').then((m) => m.CardStage)),
      { path: '**', redirectTo: 'cup' },
    ],
  },
  {
    path: 'shelf',
    canMatch: [forAll],
    title: 'Shelf · Aurantia',
    loadComponent: () => import('./places/shelf/shelf-place').then((m) => m.ShelfPlace),
  },
  {
    path: 'shelf/palettes',
    canMatch: [forAll],
    title: 'Palettes · Aurantia',
    loadComponent: () => import('./places/palettes/palettes-place').then((m) => m.PalettesPlace),
  },
  {
    path: 'cups',
    canMatch: [forAll],
    title: 'Cups · Aurantia',
    loadComponent: () => import('./places/cups/cups-place').then((m) => m.CupsPlace),
  },
  {
    path: 'pair',
    title: 'Let this device in · Aurantia',
    loadComponent: () => import('./places/pair/pair-place').then((m) => m.PairPlace),
  },
  {
    path: 'bench',
    title: 'Bench · Aurantia',
    loadComponent: () => import('./places/bench/bench-place').then((m) => m.BenchPlace),
  },
  {
    path: 'bench/:id',
    title: 'Bench · Aurantia',
    loadComponent: () => import('./places/bench/bench-place').then((m) => m.BenchPlace),
  },
  {
    path: 'log',
    title: 'Logbook · Aurantia',
    loadComponent: () => import('./places/logbook/logbook-place').then((m) => m.LogbookPlace),
  },
  {
    path: 'week',
    canMatch: [forAll],
    title: 'Week · Aurantia',
    loadComponent: () => import('./places/week/week-place').then((m) => m.WeekPlace),
  },
  {
    path: 'week/orders',
    canMatch: [forAll],
    title: 'Orders · Aurantia',
    loadComponent: () => import('./places/week/orders/orders-page').then((m) => m.OrdersPage),
  },
  {
    path: 'week/stock',
    canMatch: [forAll],
    title: 'Stock over the weeks · Aurantia',
    loadComponent: () => import('./places/week/stock/stock-page').then((m) => m.StockPage),
  },
  {
    path: 'week/money',
    canMatch: [forAll],
    title: 'Money · Aurantia',
    loadComponent: () => import('./places/week/money/money-page').then((m) => m.MoneyPage),
  },
  {
    path: 'learnt',
    canMatch: [forAll],
    title: 'What weighings taught · Aurantia',
    loadComponent: () => import('./places/learnt/learnt-place').then((m) => m.LearntPlace),
  },
  { path: '**', redirectTo: 'designs' },
];

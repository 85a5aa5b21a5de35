/** The stages in the order of the work: the shoreline's pebbles and the router's addresses. One line adds a screen. */
import type { Type } from '@angular/core';
import type { Routes } from '@angular/router';

export interface Stage {
  readonly path: string;
  readonly title: string;
  readonly load: () => Promise<Type<unknown>>;
  /** Sheets within the stage, reached from it. */
  readonly sheets?: readonly { readonly path: string; readonly load: () => Promise<Type<unknown>> }[];
}

export const STAGES = [
  {
    path: 'shelf',
    title: 'Shelf',
    load: () => import('../screens/1-shelf/shelf').then((m) => m.Shelf),
    sheets: [
      { path: 'all', load: () => import('../screens/1-shelf/all/all').then((m) => m.AllFamilies) },
      { path: 'choose', load: () => import('../screens/1-shelf/choose/choose').then((m) => m.Choose) },
      { path: 'first', load: () => import('../screens/1-shelf/first/first-page').then((m) => m.FirstPage) },
    ],
  },
  {
    path: 'load',
    title: 'Load',
    load: () => import('../screens/2-load/load').then((m) => m.Load),
    sheets: [{ path: ':id', load: () => import('../screens/2-load/item/item-sheet').then((m) => m.ItemSheet) }],
  },
  {
    path: 'frame',
    title: 'Frame',
    load: () => import('../screens/3-frame/frame').then((m) => m.Frame),
    sheets: [{ path: 'print', load: () => import('../screens/3-frame/print/print').then((m) => m.PrintSheet) }],
  },
  {
    path: 'balance',
    title: 'Balance',
    load: () => import('../screens/4-balance/balance').then((m) => m.Balance),
    sheets: [
      { path: 'set-ups', load: () => import('../screens/4-balance/set-ups/set-ups').then((m) => m.SetUps) },
      { path: 'pan', load: () => import('../screens/4-balance/pan/pan').then((m) => m.Pan) },
      { path: 'accuracy', load: () => import('../screens/4-balance/accuracy/accuracy').then((m) => m.AccuracySheet) },
      { path: 'learn', load: () => import('../screens/4-balance/learn/learn').then((m) => m.Learn) },
      { path: 'swing', load: () => import('../screens/4-balance/swing/swing').then((m) => m.SwingSheet) },
    ],
  },
  {
    path: 'strength',
    title: 'Strength',
    load: () => import('../screens/5-strength/strength').then((m) => m.Strength),
  },
  {
    path: 'stock',
    title: 'Stock',
    load: () => import('../screens/6-stock/stock').then((m) => m.Stock),
    sheets: [
      { path: 'bin', load: () => import('../screens/6-stock/bin/bin').then((m) => m.Bin) },
      { path: 'trip', load: () => import('../screens/6-stock/trip/trip').then((m) => m.ShoppingTrip) },
      { path: 'sheets', load: () => import('../screens/6-stock/sheets/sheets').then((m) => m.OutOfSheets) },
    ],
  },
  {
    path: 'build',
    title: 'Build',
    load: () => import('../screens/7-build/build').then((m) => m.Build),
    sheets: [
      { path: 'sheets', load: () => import('../screens/7-build/sheets/sheets').then((m) => m.EveningSheets) },
      { path: 'patterns', load: () => import('../screens/7-build/patterns/patterns').then((m) => m.PatternSheets) },
    ],
  },
  {
    path: 'field',
    title: 'Field',
    load: () => import('../screens/8-field/field').then((m) => m.Field),
    sheets: [
      { path: 'carry', load: () => import('../screens/8-field/carry/carry').then((m) => m.CarryIt) },
      { path: 'handling', load: () => import('../screens/8-field/handling/handling').then((m) => m.PackAndSetUp) },
      { path: 'hang', load: () => import('../screens/8-field/hang/hang').then((m) => m.Hang) },
      { path: 'phones', load: () => import('../screens/8-field/phones/phones').then((m) => m.Phones) },
    ],
  },
  {
    path: 'log',
    title: 'Log',
    load: () => import('../screens/9-log/log').then((m) => m.Log),
    sheets: [
      { path: 'steady', load: () => import('../screens/9-log/steady/steady').then((m) => m.Steady) },
      { path: 'versions', load: () => import('../screens/9-log/versions/versions').then((m) => m.Versions) },
    ],
  },
] as const satisfies readonly Stage[];

export type StagePath = (typeof STAGES)[number]['path'];

export const routes: Routes = [
  ...STAGES.flatMap((s: Stage) =>
    [{ path: '', load: s.load }, ...(s.sheets ?? [])].map((sheet) => ({
      path: sheet.path ? `${s.path}/${sheet.path}` : s.path,
      title: `${s.title} · Tide Pebble`,
      loadComponent: sheet.load,
    })),
  ),
  { path: '**', redirectTo: 'shelf' },
];

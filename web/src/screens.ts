import {
  Anvil,
  Beaker,
  BookOpenText,
  CalendarHeart,
  CalendarRange,
  CloudDrizzle,
  Library,
  ScanSearch,
  ScrollText,
  Settings2,
  TrainFront,
  type LucideIcon,
} from 'lucide-react';
import { createElement, type ComponentType } from 'react';
import { matchPath } from 'react-router';
import { BenchScreen } from './screens/bench/BenchScreen.tsx';
import { chunk, type Chunk } from './ui/chunk.tsx';

/** A screen: where it is, what it is called, and the chunk that draws it. A new screen is a line here. */
export interface Screen {
  readonly path: string;
  readonly View: ComponentType | Chunk<object>;
  /** On the rail, with its letter after `g`; null: opened from another screen. */
  readonly rail: { readonly word: string; readonly key: string; readonly Icon: LucideIcon } | null;
}

const screen = (load: () => Promise<{ readonly default: ComponentType }>): Chunk<object> =>
  chunk(load, createElement('p', { className: 'p-6 text-quiet' }, 'Opening…'));

/** In the order of the work. The Bench comes with the page; every other screen when it is asked for. */
export const SCREENS: readonly Screen[] = [
  { path: '/', View: BenchScreen, rail: { word: 'Bench', key: 'b', Icon: Anvil } },
  {
    path: '/machines/:machineId?',
    View: screen(() => import('./screens/machines/MachinesScreen.tsx')),
    rail: { word: 'Machines', key: 'm', Icon: TrainFront },
  },
  { path: '/parts/:partId', View: screen(() => import('./screens/part/PartScreen.tsx')), rail: null },
  { path: '/parts/:partId/route', View: screen(() => import('./screens/route/RouteScreen.tsx')), rail: null },
  {
    path: '/plan',
    View: screen(() => import('./screens/plan/PlanScreen.tsx')),
    rail: { word: 'Plan', key: 'p', Icon: CalendarRange },
  },
  { path: '/run', View: screen(() => import('./screens/run/RunScreen.tsx')), rail: null },
  {
    path: '/mix',
    View: screen(() => import('./screens/mix/MixScreen.tsx')),
    rail: { word: 'Mix', key: 'x', Icon: Beaker },
  },
  {
    path: '/shelf',
    View: screen(() => import('./screens/shelf/ShelfScreen.tsx')),
    rail: { word: 'Shelf', key: 's', Icon: Library },
  },
  {
    path: '/inspect',
    View: screen(() => import('./screens/inspect/InspectScreen.tsx')),
    rail: { word: 'Inspect', key: 'i', Icon: ScanSearch },
  },
  {
    path: '/parts/:partId/inspect',
    View: screen(() => import('./screens/inspect/PartInspectScreen.tsx')),
    rail: null,
  },
  { path: '/start/:step', View: screen(() => import('./screens/start/StepsScreen.tsx')), rail: null },
  { path: '/shelf/labels', View: screen(() => import('./screens/shelf/LabelsScreen.tsx')), rail: null },
  {
    path: '/aftercare',
    View: screen(() => import('./screens/aftercare/AftercareScreen.tsx')),
    rail: { word: 'Aftercare', key: 'c', Icon: CalendarHeart },
  },
  {
    path: '/ledger',
    View: screen(() => import('./screens/ledger/LedgerScreen.tsx')),
    rail: { word: 'Ledger', key: 'l', Icon: ScrollText },
  },
  {
    path: '/air/:placeId?',
    View: screen(() => import('./screens/air/AirScreen.tsx')),
    rail: { word: 'Air', key: 'a', Icon: CloudDrizzle },
  },
  {
    path: '/reference',
    View: screen(() => import('./screens/reference/ReferenceScreen.tsx')),
    rail: { word: 'Reference', key: 'r', Icon: BookOpenText },
  },
  {
    path: '/settings',
    View: screen(() => import('./screens/settings/SettingsScreen.tsx')),
    rail: { word: 'Settings', key: 'e', Icon: Settings2 },
  },
];

/** Where a screen is without what may follow. */
const addressOf = (path: string): string => path.split('/:')[0]!;
/** Screens on the rail, with their addresses. */
export const RAIL = SCREENS.flatMap(({ path, rail }) => (rail ? [{ to: addressOf(path), ...rail }] : []));

/** Asks for the code of the screen at an address, before it is drawn. */
export function preloadScreen(pathname: string): void {
  const found = SCREENS.find(({ path }) => matchPath(path, pathname));
  if (found && 'preload' in found.View) found.View.preload();
}

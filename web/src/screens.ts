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
import { lazy, type ComponentType } from 'react';
import { BenchScreen } from './screens/bench/BenchScreen.tsx';

/** A screen: where it is, what it is called, and the chunk that draws it. A new screen is a line here. */
export interface Screen {
  readonly path: string;
  readonly View: ComponentType;
  /** On the rail, with its letter after `g`; null: opened from another screen. */
  readonly rail: { readonly word: string; readonly key: string; readonly Icon: LucideIcon } | null;
}

/** In the order of the work. The Bench comes with the page; every other screen when it is asked for. */
export const SCREENS: readonly Screen[] = [
  { path: '/', View: BenchScreen, rail: { word: 'Bench', key: 'b', Icon: Anvil } },
  {
    path: '/machines/:machineId?',
    View: lazy(() => import('./screens/machines/MachinesScreen.tsx')),
    rail: { word: 'Machines', key: 'm', Icon: TrainFront },
  },
  { path: '/parts/:partId', View: lazy(() => import('./screens/part/PartScreen.tsx')), rail: null },
  { path: '/parts/:partId/route', View: lazy(() => import('./screens/route/RouteScreen.tsx')), rail: null },
  {
    path: '/plan',
    View: lazy(() => import('./screens/plan/PlanScreen.tsx')),
    rail: { word: 'Plan', key: 'p', Icon: CalendarRange },
  },
  { path: '/run', View: lazy(() => import('./screens/run/RunScreen.tsx')), rail: null },
  {
    path: '/mix',
    View: lazy(() => import('./screens/mix/MixScreen.tsx')),
    rail: { word: 'Mix', key: 'x', Icon: Beaker },
  },
  {
    path: '/shelf',
    View: lazy(() => import('./screens/shelf/ShelfScreen.tsx')),
    rail: { word: 'Shelf', key: 's', Icon: Library },
  },
  {
    path: '/inspect',
    View: lazy(() => import('./screens/inspect/InspectScreen.tsx')),
    rail: { word: 'Inspect', key: 'i', Icon: ScanSearch },
  },
  {
    path: '/parts/:partId/inspect',
    View: lazy(() => import('./screens/inspect/PartInspectScreen.tsx')),
    rail: null,
  },
  { path: '/start/:step', View: lazy(() => import('./screens/start/StepsScreen.tsx')), rail: null },
  { path: '/shelf/labels', View: lazy(() => import('./screens/shelf/LabelsScreen.tsx')), rail: null },
  {
    path: '/aftercare',
    View: lazy(() => import('./screens/aftercare/AftercareScreen.tsx')),
    rail: { word: 'Aftercare', key: 'c', Icon: CalendarHeart },
  },
  {
    path: '/ledger',
    View: lazy(() => import('./screens/ledger/LedgerScreen.tsx')),
    rail: { word: 'Ledger', key: 'l', Icon: ScrollText },
  },
  {
    path: '/air/:placeId?',
    View: lazy(() => import('./screens/air/AirScreen.tsx')),
    rail: { word: 'Air', key: 'a', Icon: CloudDrizzle },
  },
  {
    path: '/reference',
    View: lazy(() => import('./screens/reference/ReferenceScreen.tsx')),
    rail: { word: 'Reference', key: 'r', Icon: BookOpenText },
  },
  {
    path: '/settings',
    View: lazy(() => import('./screens/settings/SettingsScreen.tsx')),
    rail: { word: 'Settings', key: 'e', Icon: Settings2 },
  },
];

/** Where a screen is without what may follow. */
const addressOf = (path: string): string => path.split('/:')[0]!;
/** Screens on the rail, with their addresses. */
export const RAIL = SCREENS.flatMap(({ path, rail }) => (rail ? [{ to: addressOf(path), ...rail }] : []));

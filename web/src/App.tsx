import { lazy, Suspense, useEffect } from 'react';
import { Route, Routes } from 'react-router';
import { useLive } from './api/queries.ts';
import { BenchPlace } from './places/bench/BenchPlace.tsx';
import { Textures } from './drawings/Textures.tsx';
import { Notices } from './shell/Notices.tsx';
import { Rail } from './shell/Rail.tsx';
import { useKeys } from './shell/keys.ts';
import { useDialogs } from './state/dialogs.ts';
import { usePrefs } from './state/prefs.ts';
import { Empty } from './ui/Empty.tsx';

// The first screen is the Bench; every other place, and the dialogs, come when they are asked for.
const MachinesPlace = lazy(() => import('./places/machines/MachinesPlace.tsx'));
const PartPlace = lazy(() => import('./places/part/PartPlace.tsx'));
const RoutePlace = lazy(() => import('./places/route/RoutePlace.tsx'));
const ReferencePlace = lazy(() => import('./places/reference/ReferencePlace.tsx'));
const MixPlace = lazy(() => import('./places/mix/MixPlace.tsx'));
const ShelfPlace = lazy(() => import('./places/shelf/ShelfPlace.tsx'));
const LabelsPlace = lazy(() => import('./places/shelf/LabelsPlace.tsx'));
const AirPlace = lazy(() => import('./places/air/AirPlace.tsx'));
const SettingsPlace = lazy(() => import('./places/settings/SettingsPlace.tsx'));
const Dialogs = lazy(() => import('./dialogs/Dialogs.tsx'));

export function App() {
  useLive();
  useKeys();
  const theme = usePrefs((s) => s.theme);
  const isOpen = useDialogs((s) => s.open !== null);
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  return (
    <div className="flex h-full max-md:flex-col-reverse">
      <Textures />
      <Rail />
      <main className="min-h-0 min-w-0 flex-1 overflow-y-auto" id="main">
        <Suspense fallback={<p className="p-6 text-quiet">Opening…</p>}>
          <Routes>
            <Route index element={<BenchPlace />} />
            <Route path="machines/:machineId?" element={<MachinesPlace />} />
            <Route path="parts/:partId" element={<PartPlace />} />
            <Route path="parts/:partId/route" element={<RoutePlace />} />
            <Route path="reference" element={<ReferencePlace />} />
            <Route path="mix" element={<MixPlace />} />
            <Route path="shelf" element={<ShelfPlace />} />
            <Route path="shelf/labels" element={<LabelsPlace />} />
            <Route path="air/:placeId?" element={<AirPlace />} />
            <Route path="settings" element={<SettingsPlace />} />
            <Route
              path="*"
              element={
                <Empty title="There is nothing at this address" next={{ to: '/', text: 'To the Bench' }} />
              }
            />
          </Routes>
        </Suspense>
      </main>
      <Suspense fallback={null}>{isOpen ? <Dialogs /> : null}</Suspense>
      <Notices />
    </div>
  );
}

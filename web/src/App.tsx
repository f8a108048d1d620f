import { useEffect } from 'react';
import { Route, Routes } from 'react-router';
import { isNoShop, useLive, useShop } from './api/queries.ts';
import { DoorGate } from './door/DoorGate.tsx';
import { Textures } from './drawings/Textures.tsx';
import { Notices } from './shell/Notices.tsx';
import { SCREENS } from './screens.ts';
import { Rail } from './shell/Rail.tsx';
import { ScreenGuard } from './shell/ScreenGuard.tsx';
import { useBackCloses } from './shell/backCloses.ts';
import { useKeys } from './shell/keys.ts';
import { useDialogs } from './state/dialogs.ts';
import { usePrefs } from './state/prefs.ts';
import { useTimer } from './state/timer.ts';
import { useWho } from './state/who.ts';
import { Empty } from './ui/Empty.tsx';
import { chunk } from './ui/chunk.tsx';

/** After the first screen stands. */
const PRELOAD_MS = 1500;

const StartScreen = chunk(() => import('./screens/start/StartScreen.tsx'));
const WhoPanel = chunk(() => import('./dialogs/WhoPanel.tsx'));
const TimerBar = chunk(() => import('./shell/TimerBar.tsx'));
const Dialogs = chunk(() => import('./dialogs/Dialogs.tsx'));

/** The door first: where one signs in, nothing of the shop is asked for before. */
export function App() {
  const theme = usePrefs((s) => s.theme);
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
  }, [theme]);
  return (
    <DoorGate>
      <Shop />
    </DoorGate>
  );
}

function Shop() {
  useLive();
  useKeys();
  useBackCloses();
  const isAsked = useWho((s) => s.answer !== null);
  const isTiming = useTimer((s) => s.running !== null);
  const shop = useShop();
  const hasNoShop = isNoShop(shop.error);
  const isOpen = useDialogs((s) => s.open !== null);
  // What one logs with is on the device before the network may go.
  useEffect(() => {
    const later = setTimeout(() => {
      Dialogs.preload();
      WhoPanel.preload();
    }, PRELOAD_MS);
    return () => clearTimeout(later);
  }, []);
  return (
    <div className="flex h-full max-md:flex-col-reverse print:block print:h-auto">
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-[70] focus:bg-panel focus:p-3 focus:underline"
        onClick={(e) => {
          e.preventDefault();
          document.getElementById('main')?.focus();
        }}
      >
        To the page itself
      </a>
      <Textures />
      {hasNoShop ? null : <Rail />}
      <div className="flex min-h-0 min-w-0 flex-1 flex-col print:block">
        {/* What stays at its top or bottom must not lie on what a key has gone to (WCAG 2.2, 2.4.11). */}
        <main
          className="min-h-0 min-w-0 flex-1 scroll-pt-16 scroll-pb-16 overflow-y-auto focus:outline-none max-md:scroll-pt-32 print:overflow-visible"
          id="main"
          tabIndex={-1}
        >
          {hasNoShop ? (
            <ScreenGuard>
              <StartScreen />
            </ScreenGuard>
          ) : (
            <Routes>
              {SCREENS.map(({ path, View }) => (
                <Route
                  key={path}
                  path={path}
                  element={
                    <ScreenGuard key={path}>
                      <View />
                    </ScreenGuard>
                  }
                />
              ))}
              <Route
                path="*"
                element={
                  <Empty
                    isPage
                    title="There is nothing at this address"
                    next={{ to: '/', text: 'To the Bench' }}
                  />
                }
              />
            </Routes>
          )}
        </main>
        <ScreenGuard>{isTiming ? <TimerBar /> : null}</ScreenGuard>
        <Notices />
      </div>
      <ScreenGuard>{isOpen ? <Dialogs /> : null}</ScreenGuard>
      <ScreenGuard>{isAsked ? <WhoPanel /> : null}</ScreenGuard>
    </div>
  );
}

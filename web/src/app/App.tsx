import { MantineProvider } from '@mantine/core';
import { Suspense } from 'react';
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router';
import { lazyPart } from '../state/lazyPart';
import { usePreferences } from '../state/preferences';
import { fromTokens, theme } from '../theme/theme';
import { RequireAircraft } from './RequireAircraft';
import { Shell } from './Shell';
import { type Path, viewAt } from './viewAt';
import { WaitingForKit } from './WaitingForKit';

const FullScreen = lazyPart(async () => (await import('./FullScreen')).FullScreen);

/** Of use only with an aircraft; where there is none they begin with one. */
const needAircraft: readonly Path[] = ['/minutes', '/way-home', '/kit'];
/** What needs the whole screen, or the whole sheet. */
const bare: readonly Path[] = ['/clock', '/card'];
const others: readonly Path[] = ['/test-flights', '/swap-plan', '/method'];

export function App() {
  const look = usePreferences((state) => state.look);
  return (
    <MantineProvider
      theme={theme}
      cssVariablesResolver={fromTokens}
      forceColorScheme={look === 'dusk' ? 'dark' : 'light'}
    >
      <BrowserRouter>
        <Routes>
          <Route
            element={
              <Suspense fallback={<WaitingForKit />}>
                <FullScreen />
              </Suspense>
            }
          >
            {bare.map(routeTo)}
          </Route>
          <Route element={<Shell />}>
            <Route element={<RequireAircraft />}>{needAircraft.map(routeTo)}</Route>
            {others.map(routeTo)}
            <Route path="*" element={<ToMinutes />} />
          </Route>
        </Routes>
      </BrowserRouter>
    </MantineProvider>
  );
}

/** With what was opened meanwhile still open. */
function ToMinutes() {
  const { search } = useLocation();
  return <Navigate to={{ pathname: '/minutes', search }} replace />;
}

function routeTo(path: Path) {
  const View = viewAt[path];
  return <Route key={path} path={path} element={<View />} />;
}

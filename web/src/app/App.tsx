import { MantineProvider } from '@mantine/core';
import { Suspense } from 'react';
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router';
import { useChosen } from '../state/chosen';
import { lazyPart } from '../state/lazyPart';
import { fromTokens, theme } from '../theme/theme';
import { Equipped } from './Equipped';
import { Shell } from './Shell';
import { type Path, viewAt } from './viewAt';
import { Waiting } from './Waiting';

const Bare = lazyPart(async () => (await import('./Bare')).Bare);

/** Of use only with an aircraft; where there is none they begin with one. */
const needAircraft: readonly Path[] = ['/minutes', '/way-home', '/kit'];
/** What needs the whole screen, or the whole sheet. */
const bare: readonly Path[] = ['/clock', '/card'];
const others: readonly Path[] = ['/test-flights', '/swap-plan', '/method'];

export function App() {
  const look = useChosen((state) => state.look);
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
              <Suspense fallback={<Waiting />}>
                <Bare />
              </Suspense>
            }
          >
            {bare.map(routeTo)}
          </Route>
          <Route element={<Shell />}>
            <Route element={<Equipped />}>{needAircraft.map(routeTo)}</Route>
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

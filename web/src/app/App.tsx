import { MantineProvider } from '@mantine/core';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { KitView } from '../kit/KitView';
import { MethodView } from '../method/MethodView';
import { MinutesView } from '../minutes/MinutesView';
import { useChosen } from '../state/chosen';
import { SwapPlanView } from '../swapPlan/SwapPlanView';
import { TestFlightsView } from '../testFlights/TestFlightsView';
import { WayHomeView } from '../wayHome/WayHomeView';
import { Shell } from './Shell';
import { theme } from './theme';

const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      { path: '/', element: <Navigate to="/minutes" replace /> },
      { path: '/minutes', element: <MinutesView /> },
      { path: '/way-home', element: <WayHomeView /> },
      { path: '/test-flights', element: <TestFlightsView /> },
      { path: '/swap-plan', element: <SwapPlanView /> },
      { path: '/kit', element: <KitView /> },
      { path: '/method', element: <MethodView /> },
      { path: '*', element: <Navigate to="/minutes" replace /> },
    ],
  },
]);

export function App() {
  const look = useChosen((state) => state.look);
  return (
    <MantineProvider theme={theme} forceColorScheme={look === 'dusk' ? 'dark' : 'light'}>
      <RouterProvider router={router} />
    </MantineProvider>
  );
}

import { MantineProvider } from '@mantine/core';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { MethodView } from '../method/MethodView';
import { MinutesView } from '../minutes/MinutesView';
import { SwapPlanView } from '../swapPlan/SwapPlanView';
import { TestFlightsView } from '../testFlights/TestFlightsView';
import { Shell } from './Shell';
import { theme } from './theme';

const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      { path: '/', element: <Navigate to="/minutes" replace /> },
      { path: '/minutes', element: <MinutesView /> },
      { path: '/test-flights', element: <TestFlightsView /> },
      { path: '/swap-plan', element: <SwapPlanView /> },
      { path: '/method', element: <MethodView /> },
      { path: '*', element: <Navigate to="/minutes" replace /> },
    ],
  },
]);

export function App() {
  return (
    <MantineProvider theme={theme}>
      <RouterProvider router={router} />
    </MantineProvider>
  );
}

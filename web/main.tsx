// Entry of the application: theme, query cache, routes. Each station is loaded when it is opened.
import '~/theme.css';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Problem } from '~/api/client';
import { Skeleton } from '~/kit/Skeleton';
import { keepOffline } from '~/offline';
import { Broken } from '~/shell/Broken';
import { Shell } from '~/shell/Shell';

const Today = lazy(() => import('~/stations/today/Today'));
const RigStation = lazy(() => import('~/stations/rig/RigStation'));
const PlanStation = lazy(() => import('~/stations/plan/PlanStation'));
const SiteStation = lazy(() => import('~/stations/plan/site/SiteStation'));
const LightStation = lazy(() => import('~/stations/plan/light/LightStation'));
const DayStation = lazy(() => import('~/stations/plan/day/DayStation'));
const FieldDay = lazy(() => import('~/stations/plan/day/FieldDay'));
const MovesPage = lazy(() => import('~/stations/plan/moves/MovesPage'));
const CockpitPage = lazy(() => import('~/stations/fly/cockpit/CockpitPage'));
const FlyStation = lazy(() => import('~/stations/fly/FlyStation'));
const DebriefStation = lazy(() => import('~/stations/debrief/DebriefStation'));
const ProgressStation = lazy(() => import('~/stations/progress/ProgressStation'));
const SignIn = lazy(() => import('~/stations/sign-in/SignIn'));
const SignOut = lazy(() => import('~/shell/SignOut'));
const SetUp = lazy(() => import('~/stations/sign-in/SetUp'));
const Invitation = lazy(() => import('~/stations/sign-in/Invitation'));
const Licences = lazy(() => import('~/stations/sign-in/Licences'));
const AccountPage = lazy(() => import('~/stations/account/AccountPage'));
const SchoolPage = lazy(() => import('~/stations/school/SchoolPage'));
const NewPassword = lazy(() => import('~/stations/sign-in/NewPassword'));

const queries = new QueryClient({
  queryCache: new QueryCache({
    onError: (error, query) => {
      if (error instanceof Problem && error.status === 401 && query.queryKey[0] !== 'me') {
        queries.setQueryData(['me'], null);
      }
    },
  }),
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      retry: (count, error) =>
        count < 2 && !(error instanceof Problem && error.status >= 400 && error.status < 500),
    },
  },
});

const waiting = <Skeleton className="h-[70vh] m-5" />;
const station = (page: React.ReactNode) => <Suspense fallback={waiting}>{page}</Suspense>;

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Broken />,
    children: [
      {
        errorElement: <Broken />,
        children: [
          { path: '/', element: station(<Today />) },
          { path: '/rig/:view?', element: station(<RigStation />) },
          { path: '/plan/moves/:move?', element: station(<MovesPage />) },
          { path: '/plan/sites/:site?', element: station(<SiteStation />) },
          { path: '/plan/light/:shot?', element: station(<LightStation />) },
          { path: '/plan/days/:day?', element: station(<DayStation />) },
          { path: '/plan/:shot?', element: station(<PlanStation />) },
          { path: '/fly/:shot?', element: station(<FlyStation />) },
          { path: '/debrief/:take?', element: station(<DebriefStation />) },
          { path: '/progress', element: station(<ProgressStation />) },
          { path: '/account', element: station(<AccountPage />) },
          { path: '/school', element: station(<SchoolPage />) },
          { path: '*', element: <Navigate to="/" replace /> },
        ],
      },
    ],
  },
  { path: '/cockpit', element: station(<CockpitPage />), errorElement: <Broken /> },
  { path: '/field/:day', element: station(<FieldDay />), errorElement: <Broken /> },
  { path: '/sign-out', element: station(<SignOut />), errorElement: <Broken /> },
  { path: '/sign-in', element: station(<SignIn />), errorElement: <Broken /> },
  { path: '/set-up', element: station(<SetUp />), errorElement: <Broken /> },
  { path: '/invitation/:token', element: station(<Invitation />), errorElement: <Broken /> },
  { path: '/licences', element: station(<Licences />), errorElement: <Broken /> },
  { path: '/reset-password/:token', element: station(<NewPassword />), errorElement: <Broken /> },
]);

keepOffline();

const root = document.getElementById('root');
if (root !== null) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}

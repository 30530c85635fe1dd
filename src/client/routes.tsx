import { lazy } from 'react'
import { createBrowserRouter } from 'react-router'
import { BenchScreen } from './screens/bench/BenchScreen.tsx'
import { LibraryScreen } from './screens/library/LibraryScreen.tsx'
import { NotFound, ScreenFailed } from './shell/NotFound.tsx'
import { Shell } from './shell/Shell.tsx'
import { PageTabs } from './ui/PageTabs.tsx'

const TodayScreen = lazy(() => import('./screens/today/TodayScreen.tsx'))
const NewTraceScreen = lazy(() => import('./screens/newTrace/NewTraceScreen.tsx'))
const BuildSheetScreen = lazy(() => import('./screens/buildSheet/BuildSheetScreen.tsx'))
const CompareScreen = lazy(() => import('./screens/compare/CompareScreen.tsx'))
const MarksScreen = lazy(() => import('./screens/marks/MarksScreen.tsx'))
const MarkScreen = lazy(() => import('./screens/marks/MarkScreen.tsx'))
const WaterScreen = lazy(() => import('./screens/water/WaterScreen.tsx'))
const TiedScreen = lazy(() => import('./screens/tied/TiedScreen.tsx'))
const TiedCardScreen = lazy(() => import('./screens/tiedCard/TiedCardScreen.tsx'))
const BatchesScreen = lazy(() => import('./screens/batches/BatchesScreen.tsx'))
const ShoppingScreen = lazy(() => import('./screens/shopping/ShoppingScreen.tsx'))
const TripsScreen = lazy(() => import('./screens/trips/TripsScreen.tsx'))
const TripScreen = lazy(() => import('./screens/trip/TripScreen.tsx'))
const FishingScreen = lazy(() => import('./screens/fishing/FishingScreen.tsx'))
const LearnScreen = lazy(() => import('./screens/learn/LearnScreen.tsx'))
const LogScreen = lazy(() => import('./screens/fishing/LogScreen.tsx'))
const OutfitsPage = lazy(() => import('./screens/gear/OutfitsPage.tsx'))
const BoxPage = lazy(() => import('./screens/gear/BoxPage.tsx'))
const StockTake = lazy(() => import('./screens/gear/StockTake.tsx'))
const SizesPage = lazy(() => import('./screens/gear/SizesPage.tsx'))
const OutfitScreen = lazy(() => import('./screens/outfit/OutfitScreen.tsx'))
const FishScreen = lazy(() => import('./screens/fish/FishScreen.tsx'))
const KnotsScreen = lazy(() => import('./screens/knots/KnotsScreen.tsx'))
const TestScreen = lazy(() => import('./screens/knots/TestScreen.tsx'))
const PullsScreen = lazy(() => import('./screens/knots/PullsScreen.tsx'))
const KnotScreen = lazy(() => import('./screens/knots/KnotScreen.tsx'))
const GlossaryScreen = lazy(() => import('./screens/glossary/GlossaryScreen.tsx'))
const SettingsScreen = lazy(() => import('./screens/settings/SettingsScreen.tsx'))

const TRACE_TABS = [
  { to: '/traces', name: 'Designs' },
  { to: '/tied', name: 'Tied' },
  { to: '/batches', name: 'Batches' },
  { to: '/shopping', name: 'Shopping' },
]
const TRIP_TABS = [
  { to: '/trips', name: 'Trips' },
  { to: '/learn', name: 'Learned', hasPages: true },
]
const GEAR_TABS = [
  { to: '/gear', name: 'Outfits' },
  { to: '/gear/box', name: 'Tackle box' },
  { to: '/gear/sizes', name: 'Hook sizes' },
]

export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <ScreenFailed />,
    children: [
      { path: '/', element: <TodayScreen /> },
      {
        element: <PageTabs label="Traces" tabs={TRACE_TABS} />,
        children: [
          { path: '/traces', element: <LibraryScreen /> },
          { path: '/tied', element: <TiedScreen /> },
          { path: '/batches', element: <BatchesScreen /> },
          { path: '/shopping', element: <ShoppingScreen /> },
        ],
      },
      {
        element: <PageTabs label="Trips" tabs={TRIP_TABS} />,
        children: [
          { path: '/trips', element: <TripsScreen /> },
          { path: '/learn', element: <LearnScreen /> },
          { path: '/learn/:topic', element: <LearnScreen /> },
        ],
      },
      { path: '/trips/:id', element: <TripScreen /> },
      { path: '/trips/:id/fish', element: <FishingScreen /> },
      { path: '/trips/:id/log', element: <LogScreen /> },
      { path: '/t/:code', element: <TiedCardScreen /> },
      { path: '/traces/new', element: <NewTraceScreen /> },
      { path: '/traces/:id', element: <BenchScreen /> },
      { path: '/traces/:id/build', element: <BuildSheetScreen /> },
      { path: '/compare', element: <CompareScreen /> },
      { path: '/water', element: <WaterScreen /> },
      { path: '/water/marks', element: <MarksScreen /> },
      { path: '/water/marks/:id', element: <MarkScreen /> },
      {
        path: '/gear',
        element: <PageTabs label="Gear" tabs={GEAR_TABS} />,
        children: [
          { index: true, element: <OutfitsPage /> },
          { path: 'box', element: <BoxPage /> },
          { path: 'box/count', element: <StockTake /> },
          { path: 'sizes', element: <SizesPage /> },
        ],
      },
      { path: '/gear/outfits/:id', element: <OutfitScreen /> },
      { path: '/fish', element: <FishScreen /> },
      { path: '/knots', element: <KnotsScreen /> },
      { path: '/knots/test', element: <TestScreen /> },
      { path: '/knots/pulls', element: <PullsScreen /> },
      { path: '/knots/:id', element: <KnotScreen /> },
      { path: '/glossary', element: <GlossaryScreen /> },
      { path: '/settings', element: <SettingsScreen /> },
      { path: '*', element: <NotFound /> },
    ],
  },
])

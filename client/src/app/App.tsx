import { lazy, Suspense } from 'react'
import { Route, Routes } from 'react-router'
import { useLive } from '../api/live'
import { DayPage } from '../day/DayPage'
import { Loading } from '../ui/Notice'
import { OutboxNotice } from './OutboxNotice'
import { PairPage } from './PairPage'
import { Shell } from './Shell'

const Traveller = lazy(() => import('../stations/Traveller').then((m) => ({ default: m.Traveller })))
const BenchMode = lazy(() => import('../bench/BenchMode').then((m) => ({ default: m.BenchMode })))
const Library = lazy(() => import('../library/Library').then((m) => ({ default: m.Library })))
const Drawer = lazy(() => import('../drawer/Drawer').then((m) => ({ default: m.Drawer })))
const InstrumentsPage = lazy(() =>
  import('../instruments/InstrumentsPage').then((m) => ({ default: m.InstrumentsPage })),
)
const SettingsPage = lazy(() => import('../settings/SettingsPage').then((m) => ({ default: m.SettingsPage })))
const RestorePage = lazy(() => import('../stations/care/RestorePage').then((m) => ({ default: m.RestorePage })))
const TrayPage = lazy(() => import('../stations/teardown/TrayMap').then((m) => ({ default: m.TrayPage })))
const TargetPage = lazy(() => import('../library/trace/TargetPage').then((m) => ({ default: m.TargetPage })))
const CuttingSheet = lazy(() => import('../stations/pads/CuttingSheet').then((m) => ({ default: m.CuttingSheet })))

export function App() {
  useLive()
  return (
    <Suspense fallback={<Loading what="the page" />}>
      <OutboxNotice />
      <Routes>
        <Route path="/job/:id/:station/bench" element={<BenchMode />} />
        <Route path="/job/:id/cutting" element={<CuttingSheet />} />
        <Route path="/job/:id/tray" element={<TrayPage />} />
        <Route path="/pair" element={<PairPage />} />
        <Route path="/target" element={<TargetPage />} />
        <Route element={<Shell />}>
          <Route index element={<DayPage />} />
          <Route path="/job/:id/restore" element={<RestorePage />} />
          <Route path="/job/:id/:station?" element={<Traveller />} />
          <Route path="/library/:kind?/:id?" element={<Library />} />
          <Route path="/instruments" element={<InstrumentsPage />} />
          <Route path="/drawer" element={<Drawer />} />
          <Route path="/settings" element={<SettingsPage />} />
          <Route
            path="*"
            element={
              <p className="m-6 text-[18px]">
                There is no such page.{' '}
                <a className="text-copper underline" href="/">
                  To the benches
                </a>
              </p>
            }
          />
        </Route>
      </Routes>
    </Suspense>
  )
}

import { lazy, Suspense } from 'react'
import { useLive } from '../api/live'
import { DayPage } from '../day/DayPage'
import type { DocumentPath } from '../library/documents'
import { Loading } from '../ui/Notice'
import { OutboxNotice } from './OutboxNotice'
import { PairPage } from './PairPage'
import { Route, Switch, useLocation } from './router'
import { Shell } from './Shell'
import { useFigures } from './useFigures'

const Traveller = lazy(() => import('../stations/Traveller').then((m) => ({ default: m.Traveller })))
const BenchMode = lazy(() => import('../bench/BenchMode').then((m) => ({ default: m.BenchMode })))
const Library = lazy(() => import('../library/Library').then((m) => ({ default: m.Library })))
const EditPage = lazy(() => import('../library/edit/EditPage').then((m) => ({ default: m.EditPage })))
const Drawer = lazy(() => import('../drawer/Drawer').then((m) => ({ default: m.Drawer })))
const InstrumentsPage = lazy(() =>
  import('../instruments/InstrumentsPage').then((m) => ({ default: m.InstrumentsPage })),
)
const SettingsPage = lazy(() => import('../settings/SettingsPage').then((m) => ({ default: m.SettingsPage })))
const RestorePage = lazy(() => import('../stations/care/RestorePage').then((m) => ({ default: m.RestorePage })))
const TrayPage = lazy(() => import('../stations/teardown/TrayMap').then((m) => ({ default: m.TrayPage })))
const TargetPage = lazy(() => import('../library/trace/TargetPage').then((m) => ({ default: m.TargetPage })))
const LabelPage = lazy(() => import('../drawer/LabelPage').then((m) => ({ default: m.LabelPage })))
const CuttingSheet = lazy(() => import('../stations/pads/CuttingSheet').then((m) => ({ default: m.CuttingSheet })))

export function App() {
  // a device that is not let in yet hears nothing
  useLive(useLocation()[0] !== '/pair')
  const written = useFigures()
  return (
    <Suspense fallback={<Loading what="the page" />}>
      <OutboxNotice />
      <Switch key={written}>
        <Route path="/job/:id/:station/bench" component={BenchMode} />
        <Route path="/job/:id/cutting" component={CuttingSheet} />
        <Route path="/job/:id/tray" component={TrayPage} />
        <Route path="/labels/:what/:id?" component={LabelPage} />
        <Route path="/pair" component={PairPage} />
        <Route path="/target" component={TargetPage} />
        <Route>
          <Shell>
            <Switch>
              <Route path="/" component={DayPage} />
              <Route path="/job/:id/restore" component={RestorePage} />
              <Route path="/job/:id/:station?" component={Traveller} />
              <Route path="/library/:kind/:id/edit">
                {({ kind, id }) => <EditPage key={`${kind}/${id}`} what={kind as DocumentPath} id={id} />}
              </Route>
              <Route path="/library/:kind?/:id?" component={Library} />
              <Route path="/instruments" component={InstrumentsPage} />
              <Route path="/drawer" component={Drawer} />
              <Route path="/settings" component={SettingsPage} />
              <Route>
                <p className="m-6 text-[18px]">
                  There is no such page.{' '}
                  <a className="text-copper underline" href="/">
                    To the benches
                  </a>
                </p>
              </Route>
            </Switch>
          </Shell>
        </Route>
      </Switch>
    </Suspense>
  )
}

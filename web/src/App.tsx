import { lazy, Suspense } from 'react';
import { createBrowserRouter, createRoutesFromElements, Outlet, Route, ScrollRestoration } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { Allowed } from './access/Allowed.tsx';
import { SignedIn } from './access/SignedIn.tsx';
import { SignalNote } from './device/SignalNote.tsx';
import { Loading } from './shell/Loading.tsx';
import { PageHeading } from './shell/PageHeading.tsx';
import { Shell } from './shell/Shell.tsx';

const GearListPage = lazy(async () => ({ default: (await import('./gear/GearListPage.tsx')).GearListPage }));
const GearPage = lazy(async () => ({ default: (await import('./gear/GearPage.tsx')).GearPage }));
const GearEditPage = lazy(async () => ({ default: (await import('./gear/GearEditPage.tsx')).GearEditPage }));
const ImportPage = lazy(async () => ({ default: (await import('./gear/import/ImportPage.tsx')).ImportPage }));
const PlanListPage = lazy(async () => ({ default: (await import('./plans/PlanListPage.tsx')).PlanListPage }));
const NewPlanPage = lazy(async () => ({ default: (await import('./plans/NewPlanPage.tsx')).NewPlanPage }));
const PlannerPage = lazy(async () => ({ default: (await import('./plans/PlannerPage.tsx')).PlannerPage }));

const JoinPage = lazy(async () => ({ default: (await import('./access/JoinPage.tsx')).JoinPage }));
const AccountPage = lazy(async () => ({ default: (await import('./access/AccountPage.tsx')).AccountPage }));
const PeoplePage = lazy(async () => ({ default: (await import('./team/PeoplePage.tsx')).PeoplePage }));
const PersonPage = lazy(async () => ({ default: (await import('./team/PersonPage.tsx')).PersonPage }));
const TrailPage = lazy(async () => ({ default: (await import('./team/TrailPage.tsx')).TrailPage }));

const TeamFilePage = lazy(async () => ({ default: (await import('./team/TeamFilePage.tsx')).TeamFilePage }));

const InspectPage = lazy(async () => ({ default: (await import('./inspections/InspectPage.tsx')).InspectPage }));
const BenchPage = lazy(async () => ({ default: (await import('./inspections/BenchPage.tsx')).BenchPage }));
const BenchSummary = lazy(async () => ({ default: (await import('./inspections/BenchSummary.tsx')).BenchSummary }));
const InspectionPage = lazy(async () => ({ default: (await import('./inspections/InspectionPage.tsx')).InspectionPage }));
const SeriesPage = lazy(async () => ({ default: (await import('./logbook/SeriesPage.tsx')).SeriesPage }));
const IncidentsPage = lazy(async () => ({ default: (await import('./logbook/incidents/IncidentsPage.tsx')).IncidentsPage }));
const NewIncidentPage = lazy(async () => ({ default: (await import('./logbook/incidents/NewIncidentPage.tsx')).NewIncidentPage }));
const IncidentPage = lazy(async () => ({ default: (await import('./logbook/incidents/IncidentPage.tsx')).IncidentPage }));
const SeasonPage = lazy(async () => ({ default: (await import('./logbook/incidents/SeasonPage.tsx')).SeasonPage }));
const RespoolPage = lazy(async () => ({ default: (await import('./logbook/RespoolPage.tsx')).RespoolPage }));
const DuePage = lazy(async () => ({ default: (await import('./inspections/DuePage.tsx')).DuePage }));
const DefectsPage = lazy(async () => ({ default: (await import('./inspections/DefectsPage.tsx')).DefectsPage }));

const ReadyPage = lazy(async () => ({ default: (await import('./ready/ReadyPage.tsx')).ReadyPage }));
const KitListPage = lazy(async () => ({ default: (await import('./kits/KitListPage.tsx')).KitListPage }));
const KitPage = lazy(async () => ({ default: (await import('./kits/KitPage.tsx')).KitPage }));
const OutingListPage = lazy(async () => ({ default: (await import('./outings/OutingListPage.tsx')).OutingListPage }));
const OutingPage = lazy(async () => ({ default: (await import('./outings/OutingPage.tsx')).OutingPage }));

const PolicyPage = lazy(async () => ({ default: (await import('./policy/PolicyPage.tsx')).PolicyPage }));

const VehiclesPage = lazy(async () => ({ default: (await import('./vehicles/VehiclesPage.tsx')).VehiclesPage }));

const DevicePage = lazy(async () => ({ default: (await import('./device/DevicePage.tsx')).DevicePage }));

const GlossaryPage = lazy(async () => ({ default: (await import('./glossary/GlossaryPage.tsx')).GlossaryPage }));

const SheetsPage = lazy(async () => ({ default: (await import('./sheets/SheetsPage.tsx')).SheetsPage }));

/** Every page by its address. A page begins at its top, and back and forward find it where it was left. */
const router = createBrowserRouter(
  createRoutesFromElements(
    <Route element={<EveryPage />}>
      <Route path="join" element={<JoinPage />} />
      <Route element={<SignedIn />}>
        <Route element={<Shell note={<SignalNote />} />}>
          <Route index element={<ReadyPage />} />
          <Route path="kits" element={<KitListPage />} />
          <Route path="kits/:kitId" element={<KitPage />} />
          <Route path="outings" element={<OutingListPage />} />
          <Route path="outings/:outingId" element={<OutingPage />} />
          <Route path="gear" element={<GearListPage />} />
          <Route element={<Allowed to="gear.write" title="Change the register" />}>
            <Route path="gear/new" element={<GearEditPage />} />
            <Route path="gear/import" element={<ImportPage />} />
            <Route path="gear/:gearId/edit" element={<GearEditPage />} />
          </Route>
          <Route path="gear/:gearId" element={<GearPage />} />
          <Route path="gear/:gearId/respool" element={<RespoolPage />} />
          <Route path="plans" element={<PlanListPage />} />
          <Route element={<Allowed to="plan.write" title="New plan" />}>
            <Route path="plans/new" element={<NewPlanPage />} />
          </Route>
          <Route path="plans/:planId" element={<PlannerPage />} />
          <Route path="inspect" element={<InspectPage />} />
          <Route path="inspect/:roundId" element={<BenchPage />} />
          <Route path="inspect/:roundId/summary" element={<BenchSummary />} />
          <Route path="inspections/:inspectionId" element={<InspectionPage />} />
          <Route path="due" element={<DuePage />} />
          <Route path="log" element={<IncidentsPage />} />
          <Route path="log/season" element={<SeasonPage />} />
          <Route element={<Allowed to="incident.write" title="Record an incident" />}>
            <Route path="log/incidents/new" element={<NewIncidentPage />} />
          </Route>
          <Route path="log/incidents/:incidentId" element={<IncidentPage />} />
          <Route path="series/:seriesId" element={<SeriesPage />} />
          <Route path="defects" element={<DefectsPage />} />
          <Route path="settings" element={<PolicyPage />} />
          <Route path="vehicles" element={<VehiclesPage />} />
          <Route path="vehicles/:vehicleId" element={<VehiclesPage />} />
          <Route path="sheets" element={<SheetsPage />} />
          <Route path="people" element={<PeoplePage />} />
          <Route path="people/:personId" element={<PersonPage />} />
          <Route element={<Allowed to="audit.read" title="What changed" />}>
            <Route path="trail" element={<TrailPage />} />
          </Route>
          <Route element={<Allowed to="bundle.read" title="Export" />}>
            <Route path="team-file" element={<TeamFilePage />} />
          </Route>
          <Route path="words" element={<GlossaryPage />} />
          <Route path="device" element={<DevicePage />} />
          <Route path="account" element={<AccountPage />} />
          <Route path="*" element={<NothingHere />} />
        </Route>
      </Route>
    </Route>,
  ),
);

export const App = () => <RouterProvider router={router} />;

function EveryPage() {
  return (
    <Suspense fallback={<Loading what="the page" className="p-6" />}>
      <ScrollRestoration />
      <Outlet />
    </Suspense>
  );
}

function NothingHere() {
  return (
    <div className="p-6">
      <PageHeading title="There is nothing at this address" className="text-2xl" />
      <p>Use the words at the top to go on.</p>
    </div>
  );
}

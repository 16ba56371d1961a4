import { isValidElement, Suspense } from 'react';
import { createBrowserRouter, createRoutesFromElements, matchRoutes, Outlet, Route, ScrollRestoration } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { Allowed } from './access/Allowed.tsx';
import { SignedIn } from './access/SignedIn.tsx';
import { SignalNote } from './device/SignalNote.tsx';
import { Loading } from './shell/Loading.tsx';
import { type OwnPage, ownPage } from './shell/own-page.tsx';
import { PageHeading } from './shell/PageHeading.tsx';
import { Shell } from './shell/Shell.tsx';

const GearListPage = ownPage(async () => (await import('./gear/GearListPage.tsx')).GearListPage);
const GearPage = ownPage(async () => (await import('./gear/GearPage.tsx')).GearPage);
const GearEditPage = ownPage(async () => (await import('./gear/GearEditPage.tsx')).GearEditPage);
const ImportPage = ownPage(async () => (await import('./gear/import/ImportPage.tsx')).ImportPage);
const PlanListPage = ownPage(async () => (await import('./plans/PlanListPage.tsx')).PlanListPage);
const NewPlanPage = ownPage(async () => (await import('./plans/NewPlanPage.tsx')).NewPlanPage);
const PlannerPage = ownPage(async () => (await import('./plans/PlannerPage.tsx')).PlannerPage);

const JoinPage = ownPage(async () => (await import('./access/JoinPage.tsx')).JoinPage);
const AccountPage = ownPage(async () => (await import('./access/AccountPage.tsx')).AccountPage);
const PeoplePage = ownPage(async () => (await import('./team/PeoplePage.tsx')).PeoplePage);
const PersonPage = ownPage(async () => (await import('./team/PersonPage.tsx')).PersonPage);
const TrailPage = ownPage(async () => (await import('./team/TrailPage.tsx')).TrailPage);

const TeamFilePage = ownPage(async () => (await import('./team/TeamFilePage.tsx')).TeamFilePage);

const InspectPage = ownPage(async () => (await import('./inspections/InspectPage.tsx')).InspectPage);
const BenchPage = ownPage(async () => (await import('./inspections/BenchPage.tsx')).BenchPage);
const BenchSummary = ownPage(async () => (await import('./inspections/BenchSummary.tsx')).BenchSummary);
const InspectionPage = ownPage(async () => (await import('./inspections/InspectionPage.tsx')).InspectionPage);
const SeriesPage = ownPage(async () => (await import('./logbook/SeriesPage.tsx')).SeriesPage);
const IncidentsPage = ownPage(async () => (await import('./logbook/incidents/IncidentsPage.tsx')).IncidentsPage);
const NewIncidentPage = ownPage(async () => (await import('./logbook/incidents/NewIncidentPage.tsx')).NewIncidentPage);
const IncidentPage = ownPage(async () => (await import('./logbook/incidents/IncidentPage.tsx')).IncidentPage);
const SeasonPage = ownPage(async () => (await import('./logbook/incidents/SeasonPage.tsx')).SeasonPage);
const RespoolPage = ownPage(async () => (await import('./logbook/RespoolPage.tsx')).RespoolPage);
const DuePage = ownPage(async () => (await import('./inspections/DuePage.tsx')).DuePage);
const DefectsPage = ownPage(async () => (await import('./inspections/DefectsPage.tsx')).DefectsPage);

const ReadyPage = ownPage(async () => (await import('./ready/ReadyPage.tsx')).ReadyPage);
const KitListPage = ownPage(async () => (await import('./kits/KitListPage.tsx')).KitListPage);
const KitPage = ownPage(async () => (await import('./kits/KitPage.tsx')).KitPage);
const OutingListPage = ownPage(async () => (await import('./outings/OutingListPage.tsx')).OutingListPage);
const OutingPage = ownPage(async () => (await import('./outings/OutingPage.tsx')).OutingPage);

const PolicyPage = ownPage(async () => (await import('./policy/PolicyPage.tsx')).PolicyPage);

const VehiclesPage = ownPage(async () => (await import('./vehicles/VehiclesPage.tsx')).VehiclesPage);

const DevicePage = ownPage(async () => (await import('./device/DevicePage.tsx')).DevicePage);

const GlossaryPage = ownPage(async () => (await import('./glossary/GlossaryPage.tsx')).GlossaryPage);

const SheetsPage = ownPage(async () => (await import('./sheets/SheetsPage.tsx')).SheetsPage);

/** Every page by its address. A page begins at its top, and back and forward find it where it was left. */
const routes = createRoutesFromElements(
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
);

const router = createBrowserRouter(routes);

/** Fetches the script of the page that stands at an address; one that cannot be had is told of by the page itself. */
export async function fetchPage(pathname: string): Promise<void> {
  const element = matchRoutes(routes, pathname)?.at(-1)?.route.element;
  const page = isValidElement(element) ? (element.type as Partial<OwnPage>) : {};
  await page.fetchAhead?.().catch(() => undefined);
}

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

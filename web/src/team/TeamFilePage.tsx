import { FileJson, FileSpreadsheet } from 'lucide-react';
import { useGetTeamQuery } from '../api/wainrope-api.ts';
import { TeamTabs } from './TeamTabs.tsx';

/** The team's own data, in open formats: what is kept here is the team's to take. */
export function TeamFilePage() {
  const { data: team } = useGetTeamQuery();
  return (
    <div className="page py-4">
      <TeamTabs title="Export" />
      <div className="max-w-[720px] space-y-6 py-4 text-[17px]">
        <section className="space-y-2">
          <h2 className="text-2xl">The whole team in one file</h2>
          <p>
            Everything {team?.name ?? 'the team'} has on record: gear, marks, inspections, photos, kits, outings, vehicles, plans, settings
            and the trail. Passwords and calendar addresses stay here. A server without a team takes the file by its set-up link and gives
            it out again identical.
          </p>
          <p className="text-quiet">Keep it like the notebook: it holds names, and what was found on every piece.</p>
          <a className="action-main" href="/api/v1/bundle" download="wainrope.team.json">
            <FileJson size={20} aria-hidden="true" /> Export the team
          </a>
        </section>
        <section className="space-y-2">
          <h2 className="text-2xl">The register as a table</h2>
          <p>One row a piece, for a spreadsheet. It can be brought in again, here or elsewhere.</p>
          <a className="action" href="/api/v1/gear/export.csv" download="register.csv">
            <FileSpreadsheet size={20} aria-hidden="true" /> Register as CSV
          </a>
        </section>
      </div>
    </div>
  );
}

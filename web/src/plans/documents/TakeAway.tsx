import type { Case, Edit, GearFacts, Rig } from '@wainrope/core';
import { FileText, ImageIcon, MapPin } from 'lucide-react';
import { useState } from 'react';
import { shallowEqual } from 'react-redux';
import { useGetTeamQuery } from '../../api/wainrope-api.ts';
import { gotPdfMaker } from '../../kept/connection-slice.ts';
import { fileName, pngOf, saveFile } from '../../shell/save-file.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { judgedNow } from '../solver/use-judgement.ts';
import { drawingSvg } from './drawing-svg.ts';
import { readSite, siteGeoJson } from './site-geojson.ts';

interface TakeAwayProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly apply: (edits: readonly Edit[]) => void;
}

const NO_ORIGIN =
  'Nobody has said where on the earth this plan lies. Say its origin under Site, then take the positions: without one they would lie in the sea.';

const CARD = 'The field card';
const NO_PDF_MAKER =
  'the PDF maker, 1.8 MB, is not on this device yet. It comes by itself as soon as there is a signal; until then take the drawing.';

const DRAWING = { width: 1200, height: 760 };

/** Makes what leaves the screen, one thing at a time, and says what could not be made. */
function useTakeAway({ rig, subject, facts, apply }: TakeAwayProps) {
  const { name, version, dirty, locked } = useAppSelector(
    ({ planner: { name, version, dirty, locked } }) => ({ name, version, dirty, locked }),
    shallowEqual,
  );
  const { data: team } = useGetTeamQuery();
  const { units, figure, text } = useFigures();
  const paceM = useAppSelector((state) => state.settings.paceM);
  const dispatch = useAppDispatch();
  const [busy, setBusy] = useState('');
  const [problem, setProblem] = useState('');
  const imperial = units === 'lbf';
  const make = async (what: string, work: () => Promise<void>) => {
    setBusy(what);
    setProblem('');
    await work().catch((error: unknown) => setProblem(`${what} could not be made: ${error instanceof Error ? error.message : error}`));
    setBusy('');
  };
  const svg = async () => drawingSvg({ rig, report: await judgedNow(subject), size: DRAWING, imperial, figure });
  const makeCard = async () => {
    const { printCard } = await import('./print-card.ts').catch(() => {
      throw new Error(NO_PDF_MAKER);
    });
    dispatch(gotPdfMaker());
    const report = await judgedNow(subject);
    const { name: teamName = '', ifHurt, firstAiders = [] } = team ?? {};
    const asPlanned = { name, version, changed: dirty, subject, report, gear: facts };
    const input = { ...asPlanned, teamName, callIfHurt: ifHurt?.call ?? '', firstAiders, imperial, paceM, figure, text };
    const { pdf } = await printCard(input);
    saveFile(new Blob([pdf], { type: 'application/pdf' }), fileName(name, 'pdf'));
  };
  const bring = async (file: File | undefined) => {
    if (!file) return;
    const read = readSite(rig, await file.text());
    if (read.ok) apply(read.edits);
    else setProblem(read.message);
  };
  const card = () => make(CARD, makeCard);
  const drawing = () =>
    make('The drawing', async () => saveFile(new Blob([await svg()], { type: 'image/svg+xml' }), fileName(name, 'svg')));
  const picture = () => make('The picture', async () => saveFile(await pngOf(await svg(), DRAWING), fileName(name, 'png')));
  const positions = () => {
    const { origin } = rig;
    if (origin === undefined) return setProblem(NO_ORIGIN);
    setProblem('');
    saveFile(new Blob([JSON.stringify(siteGeoJson(rig, origin), null, 1)], { type: 'application/geo+json' }), fileName(name, 'geojson'));
  };
  const withoutMaker = !useAppSelector(({ connection }) => connection.hasPdfMaker);
  return { locked, busy, problem, withoutMaker, card, drawing, picture, positions, bring };
}

/** What leaves the screen: the card for the field, the drawing, the positions. */
export function TakeAway(props: TakeAwayProps) {
  const { locked, busy, problem, withoutMaker, card, drawing, picture, positions, bring } = useTakeAway(props);
  return (
    <section aria-label="Take along" className="space-y-2 pb-3">
      <h2 className="font-head text-lg font-semibold">Take along</h2>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="action-main" disabled={busy !== ''} onClick={card}>
          <FileText size={18} aria-hidden="true" /> Field card, PDF
        </button>
        <button type="button" className="action" onClick={drawing}>
          <ImageIcon size={18} aria-hidden="true" /> Drawing, SVG
        </button>
        <button type="button" className="action" onClick={picture}>
          <ImageIcon size={18} aria-hidden="true" /> Drawing, PNG
        </button>
        <button type="button" className="action" onClick={positions}>
          <MapPin size={18} aria-hidden="true" /> Positions, GeoJSON
        </button>
        {!locked && (
          <label className="action cursor-pointer">
            <MapPin size={18} aria-hidden="true" /> Bring positions in
            <input
              type="file"
              accept=".geojson,.json,application/geo+json"
              className="sr-only"
              onChange={(event) => bring(event.target.files?.[0])}
            />
          </label>
        )}
      </div>
      {busy && (
        <p role="status">
          {busy} is being made{withoutMaker && busy === CARD && '; the PDF maker, 1.8 MB, is being fetched first'}…
        </p>
      )}
      {problem && (
        <p role="alert" className="border-l-4 border-rust bg-rust-wash px-3 py-1">
          {problem}
        </p>
      )}
    </section>
  );
}

import { Download, Image, Table } from 'lucide-react';
import type { Data, Layout, PlotlyHTMLElement } from 'plotly.js';
import { useEffect, useRef, useState } from 'react';
import { fileName, saveFile } from '../shell/save-file.ts';
import { usePrinting } from '../shell/use-media.ts';
import { useAppSelector } from '../store.ts';
import { type ChartLook, chartLook } from './chart-look.ts';

export interface Figure {
  readonly data: readonly Data[];
  readonly layout: Partial<Layout>;
}

export interface ChartTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

interface ChartProps {
  /** What is drawn, in a sentence, for whoever cannot see it. */
  readonly label: string;
  /** Names the files. */
  readonly name: string;
  readonly figure: (look: ChartLook) => Figure;
  readonly table: ChartTable;
  readonly height?: number;
}

const HEIGHT = 260;
/** A picture for a document: pixels, and how much sharper than a screen. */
const PICTURE = { width: 1100, height: 520, scale: 2 };
const CONFIG = { displayModeBar: false, responsive: true, doubleClick: 'reset' } as const;

/** An element of this name tells the library to add no style of its own: the page's security takes none but from its files. */
const NO_OWN_STYLE = 'plotly.js-style-global';

/** The drawing library, fetched when the first chart is opened. */
async function library() {
  if (!document.getElementById(NO_OWN_STYLE)) {
    const mark = document.createElement('meta');
    mark.id = NO_OWN_STYLE;
    mark.className = 'no-inline-styles';
    document.head.append(mark);
  }
  const { default: plotly } = await import('plotly.js-cartesian-dist-min');
  return plotly;
}

/** The picture in a data address, without asking anybody for it: the page's security lets it speak to its own server alone. */
function pictureOf(address: string): Blob {
  const bytes = atob(address.slice(address.indexOf(',') + 1));
  return new Blob([Uint8Array.from(bytes, (letter) => letter.charCodeAt(0))], { type: 'image/png' });
}

/** A chart with the same figures as a table beside it, both to be taken away. */
export function Chart({ label, name, figure, table, height = HEIGHT }: ChartProps) {
  const at = useRef<HTMLDivElement>(null);
  const drawn = useRef<PlotlyHTMLElement>(undefined);
  const theme = useAppSelector((state) => state.settings.theme);
  const printing = usePrinting();
  const [trouble, setTrouble] = useState(false);
  const [asTable, setAsTable] = useState(false);
  useEffect(() => {
    const place = at.current;
    let isOver = false;
    // Drawn anew where the light changes, and for paper: the colours are read from the page.
    void [theme, printing];
    const draw = async () => {
      const plotly = await library();
      if (!place || isOver) return;
      const { data, layout } = figure(chartLook());
      drawn.current = await plotly.react(place, [...data], layout, CONFIG);
    };
    draw().catch(() => setTrouble(true));
    return () => {
      isOver = true;
    };
  }, [figure, theme, printing]);
  useEffect(() => {
    const place = at.current;
    return () => {
      if (place?.classList.contains('js-plotly-plot')) library().then((plotly) => plotly.purge(place));
    };
  }, []);
  const saveCsv = async () => {
    const { stringify } = await import('csv-stringify/browser/esm/sync');
    const text = stringify([[...table.columns], ...table.rows.map((row) => [...row])]);
    saveFile(new Blob([text], { type: 'text/csv' }), fileName(name, 'csv'));
  };
  const savePng = async () => {
    if (!drawn.current) return;
    const address = await (await library()).toImage(drawn.current, { format: 'png', ...PICTURE });
    saveFile(pictureOf(address), fileName(name, 'png'));
  };
  const showsTable = asTable || trouble;
  return (
    <figure className="pt-2" aria-label={label}>
      {trouble && <p className="text-amber-ink">The chart could not be drawn; here are its figures.</p>}
      <div className={trouble ? 'hidden' : 'border border-rule bg-sheet'}>
        <div ref={at} role="img" aria-label={label} style={{ height }} />
      </div>
      <div className="no-print flex flex-wrap gap-2 pt-2">
        <button type="button" className="action" aria-expanded={showsTable} onClick={() => setAsTable(!asTable)}>
          <Table size={16} aria-hidden="true" /> {showsTable ? 'Hide the table' : 'As a table'}
        </button>
        <button type="button" className="action" onClick={() => void saveCsv()} aria-label={`CSV of: ${label}`}>
          <Download size={16} aria-hidden="true" /> CSV
        </button>
        {!trouble && (
          <button
            type="button"
            className="action"
            onClick={() => void savePng().catch(() => setTrouble(true))}
            aria-label={`Picture of: ${label}`}
          >
            <Image size={16} aria-hidden="true" /> PNG
          </button>
        )}
      </div>
      {showsTable && <Figures table={table} />}
    </figure>
  );
}

function Figures({ table: { columns, rows } }: { readonly table: ChartTable }) {
  return (
    <section className="max-h-96 overflow-auto pt-2" aria-label="The figures" tabIndex={0}>
      <table className="w-full text-left text-[15px]">
        <thead>
          <tr>
            {columns.map((column) => (
              <th key={column} scope="col" className="border-b-2 border-ink pr-4 font-semibold">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              {row.map((cell, column) => (
                <td key={columns[column]} className="border-b border-rule py-0.5 pr-4 font-mono">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

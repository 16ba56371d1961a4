import { once } from 'node:events';
import { createReadStream, statSync } from 'node:fs';
import { TextDecoder } from 'node:util';
import { createGunzip } from 'node:zlib';
import {
  type LineShares,
  type PieceSeries,
  type SeriesColumns,
  type SeriesEnvelope,
  type SeriesHead,
  type SeriesStated,
  type SeriesSummary,
  seriesEnvelope,
  seriesHead,
  seriesOfPieces,
  seriesRows,
  withoutMetres,
} from '@wainrope/core';
import { type Parser, parse } from 'csv-parse';
import type { Tell } from '../../threads/in-thread.ts';

export interface SeriesInput {
  /** The file as it came, packed by gzip. */
  readonly path: string;
  readonly stated: SeriesStated;
  readonly leavesOutSpikes: boolean;
  readonly shares: LineShares;
}

export type SeriesOutcome =
  | {
      readonly kind: 'read';
      readonly columns: SeriesColumns;
      readonly summary: SeriesSummary;
      readonly envelope: SeriesEnvelope;
      readonly pieces: readonly PieceSeries[];
    }
  | Exclude<SeriesHead, { readonly kind: 'read' }>;

/** Rows that are looked at to find the headings. */
const HEAD_ROWS = 45;
/** Text that is looked at to find what parts the cells. */
const HEAD_TEXT = 16_384;
/** A cell of a recorder is short; what is longer is no such file. */
const MOST_RECORD = 20_000;
const READ_AT_ONCE = 256 * 1024;

/** Reads a recorder's file as a stream and gives each piece its own series. Holds no more of it than a few thousand rows. */
export async function readSeries({ path, stated, leavesOutSpikes, shares }: SeriesInput, tell: Tell): Promise<SeriesOutcome> {
  const source = createReadStream(path, { highWaterMark: READ_AT_ONCE });
  const size = statSync(path).size;
  const rows = rowsOf({ stated, leavesOutSpikes, shares });
  let parser: Parser | undefined;
  let decoder: TextDecoder | undefined;
  let start = '';
  const write = async (to: Parser, text: string): Promise<void> => {
    if (!to.write(text)) await once(to, 'drain');
  };
  const begin = async (): Promise<Parser> => {
    parser = parserFor(separatorOf(start), rows.push);
    await write(parser, start);
    return parser;
  };
  for await (const chunk of source.pipe(createGunzip({ chunkSize: READ_AT_ONCE }))) {
    decoder ??= decoderFor(chunk);
    const text = decoder.decode(chunk, { stream: true });
    tell(source.bytesRead, size);
    if (parser === undefined) {
      start += text;
      if (start.length >= HEAD_TEXT) await begin();
    } else await write(parser, text);
    if (rows.fault()) break;
  }
  source.destroy();
  const open = parser ?? (await begin());
  if (!rows.fault()) await ended(open);
  return rows.end();
}

/** UTF-8, or UTF-16 by its mark. */
function decoderFor(chunk: Buffer): TextDecoder {
  const [first, second] = chunk;
  if (first === 0xff && second === 0xfe) return new TextDecoder('utf-16le');
  return new TextDecoder(first === 0xfe && second === 0xff ? 'utf-16be' : 'utf-8');
}

/** What parts the cells: a semicolon, tab or bar where the rows have one, else a comma. */
function separatorOf(text: string): string {
  const lines = text.split(/\r?\n|\r/).slice(0, HEAD_ROWS);
  const most = (mark: string) => lines.filter((line) => line.includes(mark)).length;
  const found = [';', '\t', '|'].find((mark) => most(mark) > lines.length / 2);
  return found ?? ',';
}

function parserFor(delimiter: string, push: (cells: readonly string[]) => void): Parser {
  const parser = parse({
    delimiter,
    bom: true,
    relax_quotes: true,
    relax_column_count: true,
    skip_empty_lines: false,
    max_record_size: MOST_RECORD,
  });
  parser.on('readable', () => {
    for (let cells = parser.read(); cells !== null; cells = parser.read()) push(cells);
  });
  // A fault is told where the end is waited for.
  parser.on('error', () => undefined);
  return parser;
}

const ended = (parser: Parser): Promise<void> =>
  new Promise((done, fail) => {
    parser.once('end', done);
    parser.once('error', fail);
    parser.end();
  });

/** Rows as they come: first until the head is known, then one reading after the other. */
function rowsOf({ stated, leavesOutSpikes, shares }: Omit<SeriesInput, 'path'>) {
  const above: (readonly string[])[] = [];
  let line = 0;
  let reading: ReturnType<typeof readingOf> | undefined;
  let open: Exclude<SeriesHead, { readonly kind: 'read' }> | undefined;
  const begin = () => {
    const head = seriesHead(above, stated);
    if (head.kind !== 'read') {
      open = head;
      return;
    }
    reading = readingOf({ columns: head.columns, leavesOutSpikes, shares });
    for (const [index, cells] of above.entries()) if (index >= head.columns.headLines) take(cells, index + 1);
  };
  const take = (cells: readonly string[], at: number) => {
    if (cells.length > 1 || cells[0] !== '') reading?.rows.push(cells, at);
  };
  return {
    push(cells: readonly string[]): void {
      line++;
      if (reading) take(cells, line);
      else if (!open) {
        above.push(cells);
        if (above.length >= HEAD_ROWS) begin();
      }
    },
    fault: () => open !== undefined,
    end(): SeriesOutcome {
      if (!reading && !open) begin();
      return open ?? (reading as ReturnType<typeof readingOf>).end();
    },
  };
}

function readingOf({
  columns,
  leavesOutSpikes,
  shares,
}: { readonly columns: SeriesColumns } & Pick<SeriesInput, 'leavesOutSpikes' | 'shares'>) {
  const envelope = seriesEnvelope();
  const pieces = seriesOfPieces(columns.travel === undefined ? withoutMetres(shares) : shares);
  const rows = seriesRows({
    columns,
    leavesOutSpikes,
    seen: (timeS, tensionN, travelM) => {
      envelope.push(timeS, tensionN);
      pieces.push(tensionN, travelM);
    },
  });
  return {
    rows,
    end: (): SeriesOutcome => {
      const summary = rows.end();
      return { kind: 'read', columns, summary, envelope: envelope.end(), pieces: pieces.end() };
    },
  };
}

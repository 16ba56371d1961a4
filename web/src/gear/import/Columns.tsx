import { type ColumnChoice, type FileEncoding, fileEncodings, type ImportPreview, registerColumns } from '@wainrope/contract';
import { Choice } from '../../fields/Choice.tsx';
import { SearchChoice } from '../../fields/SearchChoice.tsx';

/** A column that is left out; the register has none of that name. */
const LEFT_OUT = 'left out';

const WORDS: ReadonlyMap<string, string> = new Map([
  [LEFT_OUT, 'Leave out'],
  ['note', 'Keep in the note'],
  ...registerColumns.filter(({ key }) => key !== 'note').map(({ key, label }) => [key, label] as const),
]);
const OPTIONS = [...WORDS.keys()];

interface ColumnsProps {
  readonly preview: ImportPreview;
  readonly correct: (columns: readonly ColumnChoice[]) => void;
  readonly readAs: (encoding: FileEncoding) => void;
}

/** What each column is taken for, to be corrected. */
export function Columns({ preview: { columns, encoding, separator, headingLine, dayOrder }, correct, readAs }: ColumnsProps) {
  const unknown = columns.filter(({ column, heading }) => column === undefined && heading !== '').length;
  const change = (index: number, column: string) =>
    correct(
      columns.map((entry, place) =>
        place === index
          ? { heading: entry.heading, ...(column !== LEFT_OUT && { column }), ...(entry.unit && { unit: entry.unit }) }
          : entry.column === column && column !== 'note'
            ? { heading: entry.heading }
            : entry,
      ),
    );
  return (
    <details className="stitched pt-2 pb-3">
      <summary className="cursor-pointer py-1 font-head text-xl font-semibold">
        Columns{' '}
        <span className="font-sans text-base font-normal text-quiet">
          {unknown > 0 ? `${unknown} of ${columns.length} left out; see here which` : `all ${columns.length} understood`}
        </span>
      </summary>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2 pt-1 text-quiet">
        <p className="py-2">
          Headings on line {headingLine}, cells separated by {separator}
          {dayOrder ? `, ${dayOrder === 'day-first' ? 'the day' : 'the month'} first in dates` : ''}.
        </p>
        <div className="w-52">
          <Choice
            label="Letters look wrong? Read as"
            value={encoding as FileEncoding}
            options={fileEncodings}
            words={letterWords}
            onChange={readAs}
          />
        </div>
      </div>
      <div className="grid grid-cols-1 gap-x-6 gap-y-1 pt-2 sm:grid-cols-2 lg:grid-cols-3">
        {columns.map(({ heading, column, unit }, index) => (
          <div key={index} className="grid grid-cols-[1fr_1.3fr] items-center gap-2">
            <span className="truncate font-mono text-[14px]" title={heading}>
              {heading || '(no heading)'}
              {unit && `, ${unit}`}
            </span>
            <SearchChoice
              label={`Column “${heading || `number ${index + 1}`}”`}
              labelIsHidden
              value={column ?? LEFT_OUT}
              options={OPTIONS}
              words={(key) => WORDS.get(key) ?? key}
              onChange={(chosen) => change(index, chosen)}
            />
          </div>
        ))}
      </div>
    </details>
  );
}

const LETTERS: { readonly [E in FileEncoding]: string } = {
  'UTF-8': 'UTF-8',
  'UTF-16': 'UTF-16',
  'windows-1252': 'Windows, Western',
  'windows-1250': 'Windows, Central',
  macintosh: 'Macintosh',
  cp850: 'DOS, Western',
  cp437: 'DOS, American',
};
const letterWords = (encoding: FileEncoding): string => LETTERS[encoding];

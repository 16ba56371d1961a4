import { type GearState, gearClasses, gearStates } from '@wainrope/core';
import { attributesInColumns } from './attribute-columns.ts';
import { inspectionColumns } from './inspection-columns.ts';
import { markColumns } from './mark-columns.ts';
import type { ColumnsOf, FullRow, RegisterColumn, RowReader } from './register-row.ts';
import { classOfRow } from './row-class.ts';
import { quantityColumns } from './row-quantity.ts';
import { inOneCell, inWords, LONGEST_NOTE, onADate, onADay, shortWords } from './single-columns.ts';
import { meaningKey, plainWord } from './word-meanings.ts';

/**
 * The register file: each part of a row with its headings, how it is read and how it is written, in the order of export. A part
 * of the row that has no line here does not compile.
 */
export const partsOfRow: { readonly [P in keyof FullRow]: ColumnsOf<FullRow[P]> } = {
  tag: inOneCell({ key: 'tag', label: 'Tag' }, tagOf, same),
  kind: inOneCell({ key: 'class', label: 'Class' }, (_, reader) => classOfRow(reader), same),
  name: inOneCell({ key: 'name', label: 'Name' }, nameOf, same),
  maker: inWords(120, { key: 'maker', label: 'Maker' }),
  model: inWords(120, { key: 'model', label: 'Model' }),
  batch: inWords(80, { key: 'batch', label: 'Batch' }),
  owner: inWords(120, { key: 'owner', label: 'Owner' }),
  state: inOneCell({ key: 'state', label: 'State' }, stateOf, same),
  kit: inWords(80, { key: 'kit', label: 'Kit' }),
  vehicle: inWords(80, { key: 'vehicle', label: 'Vehicle' }),
  madeOn: onADate({ key: 'made_on', label: 'Made' }),
  boughtOn: onADate({ key: 'bought_on', label: 'Bought' }),
  firstUsedOn: onADate({ key: 'first_used_on', label: 'First used' }),
  inspection: inspectionColumns,
  overloadsSinceInspection: inOneCell({ key: 'overloads_since_inspection', label: 'Overloads since' }, overloadsOf, (count) =>
    count === 0 ? undefined : String(count),
  ),
  renewedUntil: onADay({ key: 'renewed_until', label: 'Renewed until' }),
  note: inWords(LONGEST_NOTE, { key: 'note', label: 'Note' }),
  marks: markColumns,
  attributes: attributesInColumns,
};

/** Every column of the register file, in the order of export; behind them those that only other people's files have. */
export const registerColumns: readonly RegisterColumn[] = [
  ...Object.values(partsOfRow).flatMap(({ columns }) => columns),
  ...quantityColumns,
];

/** The columns that export writes. */
export const exportColumns = registerColumns.filter(({ readOnly }) => !readOnly);

function same<T extends string>(value: T): string {
  return value;
}

/** A piece without a tag is given one when it is brought in. */
function tagOf(text: string | undefined, { refuse }: RowReader): string | undefined {
  return text === undefined ? undefined : shortWords(text.replace(/\s+/g, ' '), 40, (message) => refuse('tag', message));
}

/** A piece without a name is called by its class. */
function nameOf(text: string | undefined, { kind, refuse }: RowReader): string | undefined {
  const named = kind();
  return text === undefined ? named && gearClasses[named].label : shortWords(text, 120, (message) => refuse('name', message));
}

/** What people write of a piece that may be used, that may not be used now, and that will not be used again. */
const STATE_WORDS: { readonly [S in GearState]: readonly string[] } = {
  'in-use': [
    'in use',
    'ok',
    'good',
    'active',
    'in service',
    'available',
    'serviceable',
    'fit',
    'ready',
    'operational',
    'working',
    'in stock',
    'stored',
    'live',
  ],
  quarantined: [
    'quarantined',
    'quarantine',
    'out of service',
    'oos',
    'out of use',
    'not in use',
    'u/s',
    'unserviceable',
    'do not use',
    'damaged',
    'failed',
    'fail',
    'faulty',
    'defective',
    'on hold',
    'in repair',
    'needs repair',
    'awaiting inspection',
    'awaiting repair',
  ],
  retired: ['retired', 'scrapped', 'scrap', 'destroyed', 'disposed', 'disposed of', 'condemned', 'discarded', 'written off', 'binned'],
};

function stateOf(cell: string | undefined, { settings, ask }: RowReader): GearState | undefined {
  if (cell === undefined) return 'in-use';
  const meaning = settings.meanings?.get(meaningKey('state', cell));
  const word = cell.toLowerCase().replace(/[\s_-]+/g, ' ');
  const state = gearStates.find((entry) => entry === meaning || STATE_WORDS[entry].includes(word));
  return state ?? ask({ about: 'state', word: plainWord('state', cell), choices: gearStates });
}

function overloadsOf(cell: string | undefined, { refuse }: RowReader): number | undefined {
  if (cell === undefined) return 0;
  return /^\d{1,6}$/.test(cell) ? Number(cell) : refuse('overloads_since_inspection', `“${cell}” is not a count; expected a whole number.`);
}

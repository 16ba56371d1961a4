import { type GearClass, type GearState, gearClasses, gearClassNames, gearStates } from '@wainrope/core';
import { attributesInColumns } from './attribute-columns.ts';
import { inspectionColumns } from './inspection-columns.ts';
import { markColumns } from './mark-columns.ts';
import { recogniseClass } from './recognise-class.ts';
import type { ColumnsOf, FullRow } from './register-row.ts';
import { inOneCell, inWords, onADay, shortWords } from './single-columns.ts';

type Refuse = (message: string) => undefined;

/**
 * The register file: each part of a row with its headings, how it is read and how it is written, in the order of export. A part
 * of the row that has no line here does not compile.
 */
export const partsOfRow: { readonly [P in keyof FullRow]: ColumnsOf<FullRow[P]> } = {
  tag: inOneCell({ key: 'tag', label: 'Tag', aliases: ['tag code', 'code', 'tag no', 'id', 'label', 'number', 'no'] }, tagOf, same),
  kind: inOneCell({ key: 'class', label: 'Class', aliases: ['type', 'category', 'kind', 'gear', 'item type'] }, kindOf, same),
  name: inOneCell({ key: 'name', label: 'Name', aliases: ['description', 'item', 'piece', 'what'] }, nameOf, same),
  maker: inWords(120, { key: 'maker', label: 'Maker', aliases: ['manufacturer', 'make', 'brand'] }),
  model: inWords(120, { key: 'model', label: 'Model', aliases: [] }),
  batch: inWords(80, { key: 'batch', label: 'Batch', aliases: ['batch no', 'lot', 'lot no', 'batch number', 'lot number'] }),
  owner: inWords(120, { key: 'owner', label: 'Owner', aliases: ['owned by', 'belongs to'] }),
  state: inOneCell({ key: 'state', label: 'State', aliases: ['status'] }, stateOf, same),
  kit: inWords(80, { key: 'kit', label: 'Kit', aliases: ['bag', 'box', 'location', 'where', 'stored in'] }),
  vehicle: inWords(80, { key: 'vehicle', label: 'Vehicle', aliases: ['truck', 'on vehicle'] }),
  madeOn: onADay({ key: 'made_on', label: 'Made', aliases: ['made', 'manufactured', 'date made', 'date of manufacture'] }),
  boughtOn: onADay({ key: 'bought_on', label: 'Bought', aliases: ['bought', 'purchased', 'purchase date', 'date bought'] }),
  firstUsedOn: onADay({
    key: 'first_used_on',
    label: 'First used',
    aliases: ['first used', 'first use', 'in service', 'in service since'],
  }),
  inspection: inspectionColumns,
  overloadsSinceInspection: inOneCell(
    { key: 'overloads_since_inspection', label: 'Overloads since', aliases: ['overloads', 'shocks'] },
    overloadsOf,
    (count) => (count === 0 ? undefined : String(count)),
  ),
  renewedUntil: onADay({ key: 'renewed_until', label: 'Renewed until', aliases: ['renewed'] }),
  note: inWords(2000, { key: 'note', label: 'Note', aliases: ['notes', 'remarks', 'comment', 'comments'] }),
  marks: markColumns,
  attributes: attributesInColumns,
};

/** Every column of the register file, in the order of export. */
export const registerColumns = Object.values(partsOfRow).flatMap(({ columns }) => columns);

/** The columns that export writes. */
export const exportColumns = registerColumns.filter(({ readOnly }) => !readOnly);

function same<T extends string>(value: T): string {
  return value;
}

function tagOf(text: string | undefined, refuse: Refuse): string | undefined {
  return text === undefined ? refuse('The tag is empty; every piece needs one.') : shortWords(text, 40, refuse);
}

/** A piece without a name is called by its class. */
function nameOf(text: string | undefined, refuse: Refuse, { kind }: { readonly kind: () => GearClass | undefined }): string | undefined {
  const named = kind();
  return text === undefined ? named && gearClasses[named].label : shortWords(text, 120, refuse);
}

function kindOf(cell: string | undefined, refuse: Refuse): GearClass | undefined {
  if (cell === undefined) return refuse('The class is empty; say what the piece is, for example “tree strap”.');
  return (
    recogniseClass(cell) ??
    refuse(
      `“${cell}” is not a class known here; expected for example ${gearClassNames
        .slice(0, 4)
        .map((known) => gearClasses[known].label)
        .join(', ')}.`,
    )
  );
}

function stateOf(cell: string | undefined, refuse: Refuse): GearState | undefined {
  if (cell === undefined) return 'in-use';
  const name = cell.toLowerCase().replace(/[\s_]+/g, '-');
  const alias: { readonly [word: string]: GearState } = {
    ok: 'in-use',
    good: 'in-use',
    active: 'in-use',
    quarantine: 'quarantined',
    scrapped: 'retired',
    destroyed: 'retired',
  };
  return (
    gearStates.find((state) => state === name) ?? alias[name] ?? refuse(`“${cell}” is not a state; expected ${gearStates.join(', ')}.`)
  );
}

function overloadsOf(cell: string | undefined, refuse: Refuse): number | undefined {
  if (cell === undefined) return 0;
  return /^\d{1,6}$/.test(cell) ? Number(cell) : refuse(`“${cell}” is not a count; expected a whole number.`);
}

/** What a heading stands for, and a unit written in it: `Length (m)`, `diameter_mm`. */
export function recogniseHeading(heading: string): { readonly column: string; readonly unit?: string } | undefined {
  const plain = heading
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ');
  const unit = /[([]\s*([a-z°"]+)\s*[)\]]$/.exec(plain)?.[1] ?? /\s(mm|cm|m|kg|kn|lb|in)$/.exec(plain)?.[1];
  const bare = plain.replace(/\s*[([][^)\]]*[)\]]$/, '').trim();
  const withoutUnit = unit === undefined ? bare : bare.replace(new RegExp(`\\s${unit}$`), '');
  for (const name of [bare, withoutUnit]) {
    const column = registerColumns.find(({ key, aliases }) => key.replaceAll('_', ' ') === name || aliases.includes(name));
    if (column) return unit === undefined ? { column: column.key } : { column: column.key, unit };
  }
  return undefined;
}

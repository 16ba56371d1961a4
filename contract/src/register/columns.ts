import { type Field, type GearClass, gearClasses, gearClassNames } from '@wainrope/core';

/** One column of the register file. */
export interface RegisterColumn {
  /** Heading as written on export. */
  readonly key: string;
  readonly label: string;
  /** Other headings by which the column is known, in lower case with spaces. */
  readonly aliases: readonly string[];
  /** Set for a class's attribute: its key in the facts and how it is read. */
  readonly attribute?: { readonly key: string; readonly field: Field };
}

const base: readonly RegisterColumn[] = [
  { key: 'tag', label: 'Tag', aliases: ['tag code', 'code', 'tag no', 'id', 'label', 'number', 'no'] },
  { key: 'class', label: 'Class', aliases: ['type', 'category', 'kind', 'gear', 'item type'] },
  { key: 'name', label: 'Name', aliases: ['description', 'item', 'piece', 'what'] },
  { key: 'maker', label: 'Maker', aliases: ['manufacturer', 'make', 'brand'] },
  { key: 'model', label: 'Model', aliases: [] },
  { key: 'owner', label: 'Owner', aliases: ['owned by', 'belongs to'] },
  { key: 'state', label: 'State', aliases: ['status'] },
  { key: 'kit', label: 'Kit', aliases: ['bag', 'box', 'location', 'where', 'stored in'] },
  { key: 'vehicle', label: 'Vehicle', aliases: ['truck', 'on vehicle'] },
  { key: 'made_on', label: 'Made', aliases: ['made', 'manufactured', 'date made', 'date of manufacture'] },
  { key: 'bought_on', label: 'Bought', aliases: ['bought', 'purchased', 'purchase date', 'date bought'] },
  { key: 'first_used_on', label: 'First used', aliases: ['first used', 'first use', 'in service', 'in service since'] },
  { key: 'inspected_on', label: 'Inspected', aliases: ['inspected', 'last inspection', 'last inspected', 'last check', 'inspection date'] },
  { key: 'grade', label: 'Grade', aliases: ['condition', 'condition grade'] },
  { key: 'next_due', label: 'Next due', aliases: ['due', 'next inspection', 'inspection due'] },
  { key: 'inspected_by', label: 'Inspected by', aliases: ['inspector', 'checked by'] },
  { key: 'overloads_since_inspection', label: 'Overloads since', aliases: ['overloads', 'shocks'] },
  { key: 'renewed_until', label: 'Renewed until', aliases: ['renewed'] },
  { key: 'note', label: 'Note', aliases: ['notes', 'remarks', 'comment', 'comments'] },
  { key: 'wll', label: 'Mark: WLL', aliases: ['swl', 'working load limit', 'working load', 'safe working load'] },
  { key: 'mbs', label: 'Mark: breaking strength', aliases: ['breaking strength', 'breaking', 'mbl', 'min breaking strength'] },
];

/** How many marks a row of the file can carry. */
export const MARKS_IN_FILE = 4;

const marks: readonly RegisterColumn[] = Array.from({ length: MARKS_IN_FILE }, (_, index) => index + 1).flatMap((no) => [
  { key: `mark_${no}`, label: `Mark ${no}`, aliases: no === 1 ? ['rating', 'mark', 'marked', 'marking', 'strength', 'capacity'] : [] },
  { key: `mark_${no}_basis`, label: `Mark ${no} basis`, aliases: no === 1 ? ['basis', 'rating basis'] : [] },
  { key: `mark_${no}_unit`, label: `Mark ${no} ton confirmed`, aliases: [] },
  { key: `mark_${no}_source`, label: `Mark ${no} source`, aliases: no === 1 ? ['source', 'rating source'] : [] },
]);

/** `ropeDiameterM` → `rope_diameter`: the unit stands in the cell, not in the heading. */
function attributeHeading(key: string, field: Field): string {
  const bare =
    field.type === 'mass'
      ? key.replace(/Kg$/, '')
      : field.type === 'force'
        ? key.replace(/N$/, '')
        : field.type.endsWith('length')
          ? key.replace(/M$/, '')
          : key;
  return bare.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

function attributeColumns(): readonly RegisterColumn[] {
  const found = new Map<string, RegisterColumn>();
  for (const kind of gearClassNames) {
    for (const [key, field] of Object.entries<Field>(gearClasses[kind].fields)) {
      const heading = attributeHeading(key, field);
      if (!found.has(heading))
        found.set(heading, { key: heading, label: field.label, aliases: ATTRIBUTE_ALIASES[heading] ?? [], attribute: { key, field } });
    }
  }
  return [...found.values()];
}

const ATTRIBUTE_ALIASES: { readonly [heading: string]: readonly string[] } = {
  rope_diameter: ['diameter', 'rope dia', 'dia', 'cord diameter'],
  length: ['len', 'length when new'],
  width: ['strap width'],
  mass: ['weight'],
};

/** Every column of the register file, in the order of export. Marks with a basis in the heading are for reading only. */
export const registerColumns: readonly RegisterColumn[] = [...base, ...marks, ...attributeColumns()];

/** The columns that export writes. */
export const exportColumns = registerColumns.filter(({ key }) => key !== 'wll' && key !== 'mbs');

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

/** The class a cell names: by its key, its label or its plural, whatever the case. */
export function recogniseClass(cell: string): GearClass | undefined {
  const name = cell
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-');
  return gearClassNames.find((kind) => {
    const { label, plural, alsoCalled } = gearClasses[kind];
    const forms = [kind, label, plural].map((form) => form.toLowerCase().replace(/[\s_]+/g, '-'));
    return forms.includes(name) || alsoCalled.some((other) => other === name);
  });
}

// Writes the documents that come from code: the table of rules and the schemas of the open formats.
import { mkdirSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { exportColumns, LOAD_MOST_N } from '@wainrope/contract';
import {
  type Field,
  factWords,
  gearClasses,
  gearClassNames,
  glossary,
  policyCodec,
  policyPresets,
  RIG_FILE_VERSION,
  rigFileCodec,
  rules,
} from '@wainrope/core';
import { pullFileCodec, runUpFileCodec } from '@wainrope/core/judging';

import { bundleCodec } from '../server/src/bundle/bundle-tables.ts';

const docs = resolve(import.meta.dirname, '../docs');
mkdirSync(resolve(docs, 'formats'), { recursive: true });

/** What an attribute of gear is called, whichever class has it. */
const labels = new Map(
  gearClassNames.flatMap((kind) =>
    Object.entries<Field>(gearClasses[kind].fields).map(([key, { label }]) => [key, label.toLowerCase()] as const),
  ),
);
const factOf = (id: Parameters<typeof factWords>[0]) => factWords(id, (attribute) => labels.get(attribute) ?? attribute);

writeFileSync(
  resolve(docs, 'glossary.md'),
  [
    '# What the words mean',
    '',
    'Made from the code by `npm run generate`; the same words stand in the program under *What the words mean*.',
    '',
    ...glossary.map(({ word, meaning }) => `- **${word}**: ${meaning}`),
    '',
  ].join('\n'),
);

const row = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
const table = [...rules]
  .sort((a, b) => a.code.localeCompare(b.code))
  .map(({ code, severity, softenable, why, needs, asks }) =>
    row([`\`${code}\``, severity, softenable ? 'yes' : 'no', why, needs.map(factOf).join('; '), asks ?? '–']),
  );
writeFileSync(
  resolve(docs, 'rules.md'),
  [
    '# Rules',
    '',
    'Made from the code by `npm run generate`. A rule answers *found*, *not found* or *undecided*; an undecided stop, fix or caution counts as a caution and asks its question.',
    '',
    row(['code', 'severity', 'team may soften', 'why', 'reads', 'asks when undecided']),
    row(['---', '---', '---', '---', '---', '---']),
    ...table,
    '',
  ].join('\n'),
);

writeFileSync(
  resolve(docs, 'formats/wainrope.rig.schema.json'),
  `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title: `wainrope.rig, version ${RIG_FILE_VERSION}`, ...rigFileCodec.schema }, null, 1)}\n`,
);

/** A row of a load series under the headings of its own; those of a recorder are read by their names and units. */
writeFileSync(
  resolve(docs, 'formats/load-series.schema.json'),
  `${JSON.stringify(
    {
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      title: 'A row of a load series, CSV',
      type: 'object',
      required: ['time_s', 'tension_N'],
      properties: {
        time_s: { type: 'number', description: 'seconds, never less than in the row before' },
        tension_N: { type: 'number', minimum: -LOAD_MOST_N, maximum: LOAD_MOST_N, description: 'tension of the line where the gauge was' },
        travel_m: { type: 'number', description: 'how far the load had come, where the recorder writes that too' },
      },
      additionalProperties: true,
    },
    null,
    1,
  )}\n`,
);

writeFileSync(
  resolve(docs, 'formats/wainrope.policy.schema.json'),
  `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title: 'wainrope policy', ...policyCodec.schema }, null, 1)}\n`,
);
for (const [name, codec] of [
  ['pull', pullFileCodec],
  ['run-up', runUpFileCodec],
] as const)
  writeFileSync(
    resolve(docs, `formats/wainrope.${name}.schema.json`),
    `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title: `wainrope.${name}, version 1`, ...codec.schema }, null, 1)}\n`,
  );
const policies = resolve(docs, '../demo/policies');
mkdirSync(policies, { recursive: true });
for (const policy of policyPresets) writeFileSync(resolve(policies, `${policy.id}.json`), `${JSON.stringify(policy, null, 1)}\n`);

writeFileSync(
  resolve(docs, 'formats/wainrope.team.schema.json'),
  `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title: 'wainrope.team, version 1', ...bundleCodec.schema }, null, 1)}\n`,
);

const columns = Object.fromEntries(
  exportColumns.map(({ key, label, attribute }) => [
    key,
    { type: 'string', title: label, ...(attribute?.field.type === 'choice' && { enum: ['', ...attribute.field.options] }) },
  ]),
);
const classes = gearClassNames.map((kind) => ({ const: kind, title: gearClasses[kind].label }));
writeFileSync(
  resolve(docs, 'formats/register.schema.json'),
  `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title: 'register CSV, one row, every cell as text', type: 'object', required: ['tag', 'class'], properties: { ...columns, class: { oneOf: classes } }, additionalProperties: false }, null, 1)}\n`,
);

import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { exportColumns } from '@wainrope/contract';
import { policyCodec, policyPresets, readPolicy, rigFileCodec, rules } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { bundleCodec } from '../server/src/bundle/bundle-tables.ts';

const docs = (name: string) => readFileSync(resolve(import.meta.dirname, '../docs', name), 'utf8');

describe('documents made from the code are as the code is (else: npm run generate)', () => {
  it('the table of rules', () => {
    const table = docs('rules.md');
    for (const { code, severity } of rules) expect(table).toContain(`| \`${code}\` | ${severity} |`);
    for (const { why } of rules) expect(table).toContain(why);
    expect(table.match(/^\| `/gm)).toHaveLength(rules.length);
  });
  it('the schema of rig files', () => {
    expect(JSON.parse(docs('formats/wainrope.rig.schema.json'))).toMatchObject(JSON.parse(JSON.stringify(rigFileCodec.schema)));
  });
  it('the schema of policies, and the presets as files', () => {
    expect(JSON.parse(docs('formats/wainrope.policy.schema.json'))).toMatchObject(JSON.parse(JSON.stringify(policyCodec.schema)));
    for (const preset of policyPresets) {
      const read = readPolicy(JSON.parse(docs(`../demo/policies/${preset.id}.json`)));
      expect(read).toEqual({ ok: true, value: preset });
    }
  });
  it('the schema of whole teams', () => {
    expect(JSON.parse(docs('formats/wainrope.team.schema.json'))).toMatchObject(JSON.parse(JSON.stringify(bundleCodec.schema)));
  });
  it('the schema of the register', () => {
    expect(Object.keys(JSON.parse(docs('formats/register.schema.json')).properties)).toEqual(exportColumns.map(({ key }) => key));
  });
});

describe('the repository speaks of itself alone', () => {
  it('links every picture of the README to one that exists', () => {
    const readme = readFileSync(resolve(import.meta.dirname, '../README.md'), 'utf8');
    const pictures = [...readme.matchAll(/\]\((docs\/screenshots\/[^)]+)\)/g)].map(([, path]) => path as string);
    expect(pictures.length).toBeGreaterThan(8);
    for (const picture of pictures) expect(readFileSync(resolve(import.meta.dirname, '..', picture)).length, picture).toBeGreaterThan(5000);
  });
});

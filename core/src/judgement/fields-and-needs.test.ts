import { describe, expect, it } from 'vitest';
import type { Field } from '../gear/classes/fields.ts';
import { gearClasses, gearClassNames } from '../gear/classes/gear-classes.ts';
import { roles } from '../gear/classes/roles.ts';
import { rules } from './rules/rule-list.ts';

const fieldsOf = (kind: (typeof gearClassNames)[number]) => Object.entries<Field>(gearClasses[kind].fields);
const needed = new Set(rules.flatMap(({ needs }) => needs.filter((id) => id.startsWith('gear.')).map((id) => id.slice('gear.'.length))));
const ofRecord = ['class', 'marks', 'state', 'inspection', 'age'];

describe('what reads an attribute', () => {
  it('is somebody, where a rule says that it needs it', () => {
    const read = new Set(
      gearClassNames.flatMap((kind) =>
        fieldsOf(kind)
          .filter(([, { readBy }]) => readBy !== 'record-only')
          .map(([key]) => key),
      ),
    );
    expect([...needed].filter((key) => !ofRecord.includes(key) && !read.has(key))).toEqual([]);
  });
  it.each(gearClassNames)('of %s agrees with its traits', (kind) => {
    const { inLine, pin, enters, opening, pulley } = gearClasses[kind];
    const readBy = Object.fromEntries(fieldsOf(kind).map(([key, field]) => [key, field.readBy]));
    const named: readonly string[] = [
      ...(inLine === 'nothing' ? [] : [inLine]),
      ...(pin === 'none' ? [] : [pin]),
      ...(enters === 'nothing' ? [] : Object.entries(enters).flatMap(([part, key]) => (part === 'kind' ? [] : [key]))),
      ...(opening === 'none' ? [] : Object.entries(opening).flatMap(([part, key]) => (part === 'kind' || key === 'none' ? [] : [key]))),
      ...(pulley === 'none' ? [] : [pulley.tread, pulley.groove].filter((key) => key !== 'none')),
    ];
    // What a trait names is read, whatever else reads it.
    expect(named.filter((key) => readBy[key] === undefined || readBy[key] === 'record-only')).toEqual([]);
  });
});

describe('which class is offered first', () => {
  it.each(roles)('as %s is said without a tie', (role) => {
    const ranks = gearClassNames.flatMap((kind) => {
      const servesAs: { readonly [R in typeof role]?: number } = gearClasses[kind].servesAs;
      return servesAs[role] ?? [];
    });
    expect(ranks.length).toBeGreaterThan(0);
    expect(new Set(ranks).size).toBe(ranks.length);
  });
});

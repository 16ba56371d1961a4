import { describe, expect, it } from 'vitest';
import type { JsonSchema } from '../codec/codec.ts';
import { write } from '../quantity/format.ts';
import { clearLines, tieBack } from '../rigging/rigging.ts';
import { layouts } from '../testing/layouts.ts';
import { applyEdit, type Edit } from './edits.ts';
import { factAt, rigFacts } from './facts.ts';
import { type Body, type Rig, rigCodec } from './rig.ts';
import { rigDifferences } from './rig-differences.ts';
import { leavesOf } from './rig-leaves.ts';

const rig = layouts.find(({ file }) => file === 'redirect-plus-double')?.build().rig as Rig;
const changed = (...edits: readonly Edit[]) => edits.reduce((state, edit) => applyEdit(state, edit).rig, rig);
const between = (before: Rig, after: Rig) => rigDifferences(before, after, (id) => id).map((text) => write(text));
const told = (after: Rig) => between(rig, after);
const body = (id: string, change: object): Edit => ({
  kind: 'change-body',
  body: { ...rig.bodies.find((entry) => entry.id === id), ...change } as Body,
});
const use = (id: string, change: object): Edit => {
  const found = rig.chains.flatMap(({ pieces }) => pieces).find((entry) => entry.id === id);
  if (!found) throw new Error(`no use ${id}`);
  return { kind: 'change-use', useId: id, use: { ...found, ...change } };
};
const strap = rig.chains.flatMap(({ pieces }) => pieces).find(({ hitch }) => hitch === 'basket');
const [point] = rig.points;

describe('what changed from one version to the next', () => {
  it('is nothing where nothing changed', () => {
    expect(told(rig)).toEqual([]);
    expect(told(JSON.parse(JSON.stringify(rig)))).toEqual([]);
  });
  it.each([
    ['a body moved', changed({ kind: 'move-body', bodyId: 'oak', xM: 4, yM: 15 }), ['Oak moved 2.0 m']],
    [
      'a body moved by a hand’s breadth',
      changed(body('oak', { xM: (rig.bodies.find(({ id }) => id === 'oak')?.xM ?? 0) + 0.03 })),
      ['Oak moved 30 mm'],
    ],
    ['a piece exchanged', changed({ kind: 'choose-piece', useId: 'at-oak.1', gearId: 'SS-9' }), ['SS-9 in place of SS-C as connector']],
    ['a piece taken out', changed({ kind: 'choose-piece', useId: 'at-oak.1', gearId: undefined }), ['SS-C taken out as connector']],
    ['the slope', changed({ kind: 'change-ground', ground: { slopeRad: 0.2, uphillRad: 0 } }), ['The slope of the ground changed']],
    [
      'a strap choked',
      changed(use(strap?.id ?? '', { hitch: 'choke' })),
      [`${strap?.gearId} as tree strap: laid differently, choked on itself in place of round as a basket, both eyes joined`],
    ],
    [
      'a point moved',
      changed({ kind: 'change-point', point: { ...(point as Rig['points'][number]), place: { ...point?.place, heightM: 1.9 } as never } }),
      [`The point “${point?.label}” sits elsewhere or has another name`],
    ],
    [
      'a new origin',
      changed({ kind: 'set-origin', origin: { latitudeDeg: 1, longitudeDeg: 2, bearingRad: 0 } }),
      ['Where the site lies on the earth changed'],
    ],
    [
      'a stance',
      changed(body('heron', { stance: { ground: 'wet-grass', brakes: 'none' } })),
      ['Heron: ground under it, brakes or chocks changed'],
    ],
    ['an answer', changed({ kind: 'answer', questionId: 'no-chocks', answer: 'no' }), ['Answers given on the spot changed']],
  ])('tells of %s', (_what, after, words) => {
    expect(told(after)).toEqual(words);
  });
  it('tells of bodies that came and went, of what they are like, and of lines that run otherwise', () => {
    const after = changed(
      { kind: 'remove', list: 'bodies', id: 'oak' },
      { kind: 'put', list: 'bodies', entry: { ...rig.bodies.find(({ id }) => id === 'oak'), id: 'rowan', label: 'Rowan' } as Body },
      body('ash', { trunkDiameterM: 0.2 }),
    );
    expect(told(after)).toEqual(['Oak is gone', 'Rowan was added', 'Ash: diameter changed']);
    expect(told(clearLines(rig).reduce((state, edit) => applyEdit(state, edit).rig, rig))).toEqual([
      'The lines run differently: none is laid',
    ]);
    const [heron, ash] = ['heron', 'ash'].map((wanted) => rig.bodies.find(({ id }) => id === wanted) as Body);
    expect(told(changed(...tieBack(rig, heron as Body, ash as Body)))).toContain('What ties a vehicle back changed');
  });
});

type Value = string | number | boolean | { [key: string]: Value } | Value[];

/** A document that holds everything a schema allows: every field, one entry a list and a variant, one key a dictionary. */
function everything(schema: JsonSchema): Value {
  const { type, properties, items, oneOf, additionalProperties } = schema as {
    readonly type?: string;
    readonly properties?: { readonly [key: string]: JsonSchema };
    readonly items?: JsonSchema;
    readonly oneOf?: readonly JsonSchema[];
    readonly additionalProperties?: JsonSchema;
  };
  if (oneOf !== undefined) return everything(oneOf[0] ?? {});
  if (schema.enum !== undefined) return (schema.enum as Value[])[0] as Value;
  if (type === 'array') {
    const { oneOf: variants } = items ?? {};
    return variants === undefined ? [everything(items ?? {})] : (variants as JsonSchema[]).map(everything);
  }
  if (properties !== undefined)
    return Object.fromEntries(
      Object.entries(properties)
        .filter(([key]) => key !== 'ext')
        .map(([key, field]) => [key, everything(field)]),
    );
  if (type === 'object') return { key: everything(additionalProperties ?? {}) };
  if (type === 'boolean') return true;
  if (type === 'string') return 'some';
  return 1;
}

/** The same schema with another variant of every union, so that what only a later variant holds is walked too. */
function variant(schema: JsonSchema, which: number): JsonSchema {
  const walk = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(walk);
    if (typeof value !== 'object' || value === null) return value;
    const { items, ...rest } = value as { [key: string]: unknown };
    const plain = Object.fromEntries(Object.entries(rest).map(([key, inner]) => [key, walk(inner)]));
    const { oneOf } = plain as { oneOf?: unknown[] };
    // A list holds one entry of each variant; elsewhere one is chosen.
    const kept = items === undefined ? {} : { items: keepUnion(items) };
    return { ...plain, ...(oneOf && { oneOf: [oneOf[which % oneOf.length]] }), ...kept };
  };
  const keepUnion = (items: unknown): unknown => {
    const { oneOf } = items as { oneOf?: unknown[] };
    return oneOf ? { oneOf: oneOf.map(walk) } : walk(items);
  };
  return walk(schema) as JsonSchema;
}

/** Ids that nothing else has, so that lists can be told apart. */
function numbered(value: Value, next = { id: 0 }): Value {
  if (Array.isArray(value)) return value.map((entry) => numbered(entry, next));
  if (typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, key === 'id' ? `id-${next.id++}` : numbered(inner, next)]));
}

type Changed = readonly [where: string, other: Value];

/** Names of fields that a document may do without. */
function optionalIn(value: unknown, found = new Set<string>()): ReadonlySet<string> {
  if (typeof value !== 'object' || value === null) return found;
  const { properties, required } = value as { properties?: object; required?: readonly string[] };
  for (const key of Object.keys(properties ?? {})) if (!required?.includes(key)) found.add(key);
  for (const inner of Object.values(value)) optionalIn(inner, found);
  return found;
}
const OPTIONAL = optionalIn(rigCodec.schema);
/** A line always goes somewhere, though a chain need not. */
const mayGo = (where: string, key: string) => OPTIONAL.has(key) && !/lines\[\d+\]\.to$/.test(where);

/** Every way to change one value of a document: another value, a field or an entry less. */
function oneChange(value: Value, path: string): readonly Changed[] {
  if (Array.isArray(value)) return inList(value, path);
  if (typeof value === 'object') return Object.entries(value).flatMap(([key, inner]) => inField(value, key, inner, `${path}.${key}`));
  return [[path, typeof value === 'number' ? value + 0.5 : typeof value === 'boolean' ? !value : `${value}-x`]];
}
const inList = (list: readonly Value[], path: string): readonly Changed[] =>
  list.flatMap((entry, index) => [
    [`${path}[${index}] taken out`, list.filter((other) => other !== entry)] as const,
    ...oneChange(entry, `${path}[${index}]`).map(
      ([where, other]): Changed => [where, list.map((old, place) => (place === index ? other : old))],
    ),
  ]);
function inField(value: { [key: string]: Value }, key: string, inner: Value, path: string): readonly Changed[] {
  const { [key]: _out, ...rest } = value;
  const without: readonly Changed[] = mayGo(path, key) ? [[`${path} taken out`, rest]] : [];
  return [...without, ...oneChange(inner, path).map(([where, other]): Changed => [where, { ...value, [key]: other }])];
}

describe('every fact that can be edited', () => {
  const documents = [0, 1, 2].map((which) => numbered(everything(variant(rigCodec.schema, which))) as unknown as Rig);

  it('belongs to a fact of the list, and every fact of the list is somewhere in the document', () => {
    const held = new Set(documents.flatMap((document) => [...leavesOf(document).values()].map(({ path }) => factAt(path))));
    for (const document of documents) for (const { path } of leavesOf(document).values()) expect(factAt(path), path).toBeDefined();
    expect(Object.keys(rigFacts).filter((id) => !held.has(id as never))).toEqual([]);
  });
  it('shows in the difference, whichever it is', () => {
    const all = documents.flatMap((document) =>
      oneChange(document as unknown as Value, 'rig').map(([where, other]) => ({
        where,
        words: between(document, other as unknown as Rig),
      })),
    );
    expect(all.filter(({ words }) => words.length === 0).map(({ where }) => where)).toEqual([]);
    expect(all.filter(({ words }) => words.some((sentence) => /undefined|NaN|\[object/.test(sentence)))).toEqual([]);
    expect(all.length).toBeGreaterThan(400);
  });
  it('shows where two pieces of a chain change places, or two lines', () => {
    const swapped = { ...rig, chains: rig.chains.map((chain) => ({ ...chain, pieces: [...chain.pieces].reverse() })) };
    expect(told(swapped)).toEqual(['The chains, bends or ends of the lines changed']);
    const two = layouts.find(({ file }) => file === 'two-winches')?.build().rig as Rig;
    expect(between(two, { ...two, lines: [...two.lines].reverse() }).length).toBeGreaterThan(0);
  });
  it('shows where it is none of ours', () => {
    expect(told({ ...rig, ext: { colour: 'red' } } as Rig)).toEqual(['What other programs keep with this rig changed']);
  });
});

import { describe, expect, it } from 'vitest';
import { unpack } from '../../threads/packed.ts';
import { type ReadInput, readRegister } from './read-register.ts';

const read = (text: string, more: Partial<ReadInput> = {}) =>
  readRegister(
    { contentBase64: Buffer.from(text).toString('base64'), decimal: '.', tonOfMaker: new Map(), meanings: [], ...more },
    () => undefined,
  );
const lines = (text: string, more: Partial<ReadInput> = {}) => {
  const outcome = read(text, more);
  if (!outcome.ok) throw new Error(outcome.message);
  return unpack(outcome.register.lines);
};

describe('a list read by itself', () => {
  it('is the register’s own by the headings that it writes alone; a plain “class” anybody writes', () => {
    const [own] = lines('tag,class,name,mark_1\nA,winch,Winch rope side,\n');
    expect([own?.row?.kind, own?.guessed]).toEqual(['winch', undefined]);
    const [plain] = lines('tag,class,name\nA,winch,Winch rope side\n');
    expect([plain?.row, plain?.questions[0]?.about]).toEqual([undefined, 'class']);
  });
  it('stands for twenty thousand pieces at most, however few its rows are', () => {
    const rows = (last: number) =>
      `tag,class,qty\n${Array.from({ length: 99 }, (_, row) => `T${row},chain,200`).join('\n')}\nU,chain,${last}\n`;
    expect(read(rows(200)).ok).toBe(true);
    const more = read(`${rows(200)}V,chain,1\n`);
    expect(!more.ok && more.message).toBe('The file stands for 20001 pieces; at most 20000 are brought in at once. Split it.');
  });
  it('sets a heading within it aside, unless a person says that it is a piece', () => {
    const text = 'tag,item,swl,note\n,SHACKLES,,\nA,Chain,2 t,\ntag,item,swl,note\n,Total,,\n';
    expect(lines(text).map(({ stands, why }) => [stands, why])).toEqual([
      ['aside', 'Nothing stands here but this: a heading within the list.'],
      ['piece', undefined],
      ['aside', 'The headings once more.'],
      ['aside', 'A total, not a piece.'],
    ]);
    const [said] = lines(text, { mends: [{ row: 2, column: 'class', text: 'steel-shackle' }] });
    expect(said).toMatchObject({ stands: 'piece', row: { kind: 'steel-shackle', name: 'SHACKLES' } });
  });
  it('goes by the order of days that its own dates show, where they agree', () => {
    const dated = (...dates: string[]) => {
      const outcome = read(`tag,class,bought\n${dates.map((date, row) => `T${row},chain,${date}`).join('\n')}\n`);
      return outcome.ok ? outcome.register.dayOrder : undefined;
    };
    expect(dated('31/05/2021', '05/06/2021')).toBe('day-first');
    expect(dated('05/31/2021', '05/06/2021')).toBe('month-first');
    expect(dated('31/05/2021', '05/31/2021')).toBeUndefined();
    expect(dated('05/06/2021')).toBeUndefined();
  });
});

import { describe, expect, it } from 'vitest';
import { connectionReducer, heard, keptShown, unheard } from './connection-slice.ts';

const start = connectionReducer(undefined, { type: 'begin' });
const at = '2026-01-15T10:00:00Z';

describe('the signal', () => {
  it('is gone when nobody answers, and there again with the next answer', () => {
    const gone = connectionReducer(start, unheard());
    expect([start.signal, gone.signal, connectionReducer(gone, heard(undefined)).signal]).toEqual(['there', 'gone', 'there']);
  });
  it('keeps of which moment each answer of the device is, until the server answers that very question', () => {
    const plan = connectionReducer(start, keptShown({ question: 'plan', at }));
    const both = connectionReducer(plan, keptShown({ question: 'kits', at: '2026-01-15T11:00:00Z' }));
    expect(both).toMatchObject({ signal: 'gone', kept: { plan: at, kits: '2026-01-15T11:00:00Z' } });
    const heardKits = connectionReducer(both, heard('kits'));
    expect([heardKits.signal, heardKits.kept]).toEqual(['there', { plan: at }]);
    expect(connectionReducer(both, heard('gear')).kept).toEqual(both.kept);
  });
  it('changes nothing where nothing changed, so that no page is drawn anew', () => {
    expect(connectionReducer(start, heard('gear'))).toBe(start);
    const gone = connectionReducer(start, unheard());
    expect(connectionReducer(gone, unheard())).toBe(gone);
  });
});

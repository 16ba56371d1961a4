import { formatFigure, write } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import compoundFile from '../../../../demo/cases/compound-with-one-rope.json' with { type: 'json' };
import bogFile from '../../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import { caseOfFile } from '../../testing/case-of-file.ts';
import { judge } from '../../testing/judged.ts';
import { type Compared, compareRows } from './compare-rows.ts';

const words = {
  figure: (value: Parameters<typeof formatFigure>[0]) => formatFigure(value),
  text: (text: Parameters<typeof write>[0]) => write(text),
};
const bog = caseOfFile(bogFile);
const asJudged = (subject: typeof bog): Compared => ({ subject, report: judge(subject) });
const now = asJudged(bog);
/** The same with a strap that holds. */
const strong = asJudged({
  ...bog,
  gear: bog.gear.map((piece) =>
    piece.tag === 'TS-03'
      ? {
          ...piece,
          marks: piece.marks.map((mark) => ({
            ...mark,
            readings: mark.readings.map((reading) => ({ ...reading, forceN: reading.forceN * 5 })),
          })),
        }
      : piece,
  ),
});
const rowsOf = (before: Compared, after: Compared) => new Map(compareRows(before, after, words).map((row) => [row.label, row]));

describe('two rigs side by side', () => {
  it('have their verdict, reason, weakest and limit in words, and the better of each told', () => {
    const rows = rowsOf(now, strong);
    expect(rows.get('Verdict')).toMatchObject({ before: 'Stop', better: 'now' });
    expect(rows.get('Because')?.before).toContain('TS-03');
    expect(rows.get('Weakest')?.before).toMatch(/^TS-03, 192\s% of its limit$/);
    expect(rows.get('Line-pull limit')).toMatchObject({ before: '7.1 kN', better: 'now' });
    expect(rowsOf(strong, now).get('Verdict')?.better).toBe('before');
    expect(rowsOf(strong, now).get('Line-pull limit')?.better).toBe('before');
  });
  it('are neither better where they are alike', () => {
    const rows = rowsOf(now, now);
    expect([...rows.values()].every(({ better }) => better === undefined)).toBe(true);
    expect([...rows.values()].every(({ before, now: after }) => before === after)).toBe(true);
  });
  it('tell minutes, energy and what flies, and of gear what is not weighed', () => {
    const rows = rowsOf(now, strong);
    const { pull, breaks } = now.report;
    expect(rows.get('Minutes, a guess')?.before).toBe(`${Math.round(pull.riggingMin + (pull.haulMin ?? 0))} min`);
    expect(rows.get('Energy in a line, at most')?.before).toBe(`${((breaks[0]?.energyJ ?? 0) / 1000).toFixed(1)} kJ`);
    expect(rows.get('Gear to carry')?.before).toMatch(/^[\d.]+ kg, \d+ not weighed$/);
    expect(rows.get('Gear to carry')?.better).toBeUndefined();
    expect(rows.has('People at the rope')).toBe(false);
  });
  it('tell people at the rope where one of them is hauled by hand, and call neither better where one is not', () => {
    const rows = rowsOf(now, asJudged(caseOfFile(compoundFile)));
    expect(rows.get('People at the rope')).toMatchObject({ before: 'not known', now: '2', better: undefined });
  });
  it('call what nobody knows not known, and not better', () => {
    const { travelM: _, ...load } = bog.rig.load;
    const rows = rowsOf(asJudged({ ...bog, rig: { ...bog.rig, load } }), now);
    expect(rows.get('The load comes')).toMatchObject({ before: 'not known', now: '7.0 m', better: undefined });
    expect(rows.get('Minutes, a guess')).toMatchObject({ before: 'not known', better: undefined });
  });
});

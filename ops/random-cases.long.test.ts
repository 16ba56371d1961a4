import { type Finding, readKeptReport, rules, wordsOf, write } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import { randomCases } from './random-cases.ts';

/** `npm test` takes a sample of what `npm run test:long` takes whole. */
const CASES = process.env.WAINROPE_LONG === 'yes' ? 2000 : 150;
const SEED = 20_261_129;

describe(`findings of ${CASES} random rigs`, () => {
  const reports = [...randomCases(SEED, CASES)].map((subject) => ({ subject, report: judge(subject) }));
  const findings = reports.flatMap(({ report }) => report.findings);

  it('have ids of their own in each report', () => {
    for (const { report } of reports) {
      const ids = report.findings.map(({ id }) => id);
      expect(ids.filter((id, index) => ids.indexOf(id) !== index)).toEqual([]);
    }
  });
  it('speak of several places of one thing, each on its own', () => {
    const places = new Map<string, Set<string | undefined>>();
    for (const [index, { report }] of reports.entries())
      for (const { code, subject, place } of report.findings) {
        const key = `${index} ${code} ${subject.kind} ${subject.id}`;
        places.set(key, new Set([...(places.get(key) ?? []), place]));
      }
    expect([...places.values()].filter(({ size }) => size > 1).length).toBeGreaterThan(CASES / 50);
  });
  it('say themselves in words, from nothing but their data as it travels', () => {
    for (const finding of findings) {
      const travelled = JSON.parse(JSON.stringify(finding)) as Finding;
      const { title, detail, why } = wordsOf(travelled);
      // An open question is asked in its title and has no detail.
      for (const words of [write(title), why, ...(finding.undecided ? [] : [write(detail)])]) {
        expect(words.length, finding.code).toBeGreaterThan(3);
        expect(words, finding.code).not.toMatch(/undefined|NaN|\[object|Infinity/);
      }
    }
  });
  it('come from rules that are listed, and reach most of them', () => {
    const told = new Set(findings.map(({ code }) => code));
    const codes = new Set(rules.map(({ code }) => code));
    expect([...told].filter((code) => !codes.has(code))).toEqual([]);
    expect(told.size / codes.size).toBeGreaterThan(CASES > 1000 ? 0.9 : 0.75);
  });
  it('are kept and read again, whichever core reads them', () => {
    for (const { report } of reports) {
      const kept = readKeptReport(JSON.parse(JSON.stringify(report)));
      expect(kept.ok).toBe(true);
      expect(kept.ok && kept.value.findings.length).toBe(report.findings.length);
    }
  });
  it('are the same when asked again', () => {
    for (const { subject, report } of reports.slice(0, 50)) expect(judge(subject)).toEqual(report);
  });
});

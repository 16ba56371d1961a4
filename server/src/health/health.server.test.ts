import { mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { backupWords } from './health.controller.ts';
import { lastBackup } from './kept-marks.ts';

const DAY = 86_400_000;
const NOW = Date.parse('2026-01-15T12:00:00Z');

describe('readiness speaks of backups', () => {
  it.each([
    [undefined, 'There is no backup yet'],
    [NOW, undefined],
    [NOW - 7 * DAY + 1, undefined],
    [NOW - 7 * DAY, 'The last backup is 7 days old'],
    [NOW - 30 * DAY, 'The last backup is 30 days old'],
  ])('of one written at %s: %s', (last, words) => {
    const said = backupWords(last, NOW);
    if (words === undefined) expect(said).toBeUndefined();
    else expect(said).toContain(words);
  });

  it('takes the newest of a folder, and nothing else in it', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'wainrope-backups-'));
    try {
      expect(await lastBackup(folder)).toBeUndefined();
      for (const [name, age] of [
        ['a.backup', 3],
        ['b.backup', 1],
        ['c.backup.part', 0],
      ] as const) {
        writeFileSync(join(folder, name), '');
        utimesSync(join(folder, name), (NOW - age * DAY) / 1000, (NOW - age * DAY) / 1000);
      }
      expect(await lastBackup(folder)).toBe(NOW - DAY);
      expect(await lastBackup(join(folder, 'nowhere'))).toBeUndefined();
      expect(await lastBackup(undefined)).toBeUndefined();
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

import { existsSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { removeLeftBehind } from './received-file.ts';

const folder = mkdtempSync(join(tmpdir(), 'wainrope-test-'));
afterAll(() => rmSync(folder, { recursive: true }));

const NOW = Date.UTC(2026, 0, 15, 12);
const hours = (count: number) => count * 3600 * 1000;
function file(name: string, ageMs: number): string {
  const path = join(folder, name);
  writeFileSync(path, 'packed');
  utimesSync(path, new Date(NOW - ageMs), new Date(NOW - ageMs));
  return path;
}

describe('files that a server left behind', () => {
  it('are removed after a day; younger ones and those of others stay', async () => {
    const id = '05b796ae-c3a5-47ed-a6b8-18f4e5d0c10';
    const young = file(`wainrope-series-${id}1.gz`, hours(24) - 1000);
    const old = file(`wainrope-series-${id}2.gz`, hours(24));
    const others = [
      file(`other-${id}3.gz`, hours(99)),
      file(`wainrope-series-${id}4.gz.keep`, hours(99)),
      file('wainrope-backup.gz', hours(99)),
    ];
    expect(await removeLeftBehind(NOW, folder)).toBe(1);
    expect(existsSync(old)).toBe(false);
    expect([young, ...others].map((path) => existsSync(path))).toEqual([true, true, true, true]);
    expect(await removeLeftBehind(NOW, folder)).toBe(0);
  });
});

import { existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';

interface Chunk {
  readonly file: string;
  readonly modules: readonly string[];
}

const modulesOf = (name: string): readonly string[] => {
  const file = resolve(import.meta.dirname, `../web/dist/${name}-modules.json`);
  if (!existsSync(file)) throw new Error('The pages are not built: run npm run build');
  return (JSON.parse(readFileSync(file, 'utf8')) as readonly Chunk[]).flatMap(({ modules }) => modules);
};
const SOLVER = ['core/src/statics/solve-network.ts', 'core/src/moment/moment-at.ts', 'core/src/judgement/judge.ts'];

describe('what the browser is sent', () => {
  it('keeps the solver out of the page’s own bundle', () => {
    const page = modulesOf('page');
    expect(page).toContain('core/src/rig/edits.ts');
    expect(page.filter((module) => SOLVER.includes(module))).toEqual([]);
  });
  it('opens the planner with less than 280 kB of compressed script, the worker apart', () => {
    const folder = resolve(import.meta.dirname, '../web/dist');
    const chunks = JSON.parse(readFileSync(resolve(folder, 'page-modules.json'), 'utf8')) as readonly (Chunk & {
      readonly entry: boolean;
      readonly imports: readonly string[];
    })[];
    const wanted = new Set<string>();
    const add = (file: string) => {
      const chunk = chunks.find((entry) => entry.file === file);
      if (!chunk || wanted.has(file)) return;
      wanted.add(file);
      for (const next of chunk.imports) add(next);
    };
    for (const { file, entry } of chunks) if (entry || file.includes('PlannerPage')) add(file);
    const bytes = [...wanted].reduce((sum, file) => sum + gzipSync(readFileSync(resolve(folder, file))).length, 0);
    expect(wanted.size).toBeGreaterThan(3);
    expect(bytes).toBeLessThan(280_000);
  });
  it('has it in the worker’s', () => {
    expect(modulesOf('worker')).toEqual(expect.arrayContaining(SOLVER));
  });
});

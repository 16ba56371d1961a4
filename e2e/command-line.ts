import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import type { APIRequestContext } from '@playwright/test';

/** What the command line says of a plan: its report, and its pull moment by moment. */
export async function commandLine(request: APIRequestContext, planId: string) {
  const file = await (await request.get(`/api/v1/plans/${planId}/rig-file`)).json();
  const ask = (command: string) => {
    const run = spawnSync(process.execPath, [resolve(import.meta.dirname, '../ops/wainrope.mjs'), command, '-', '--json'], {
      input: JSON.stringify(file),
      encoding: 'utf8',
    });
    return JSON.parse(run.stdout);
  };
  return { report: ask('check'), pull: ask('simulate') };
}

import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, readFileSync, utimesSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { aptProblem } from './debian.mjs';
import { npmProblem } from './packages.mjs';

const ROOT = resolve(import.meta.dirname, '..');
const folder = () => mkdtempSync(join(tmpdir(), 'wainrope-commands-'));

interface Ran {
  readonly status: number | null;
  readonly out: string;
  readonly error: string;
}
/** Runs a file of this folder as npm does. */
function run(file: string, args: readonly string[] = [], env: Record<string, string> = {}): Promise<Ran> {
  const child = spawn(process.execPath, [...(env.BEFORE ? ['--import', env.BEFORE] : []), join(ROOT, 'ops/with-node.mjs'), file, ...args], {
    cwd: ROOT,
    env: { ...process.env, ...env },
  });
  const said = { out: '', error: '' };
  child.stdout.on('data', (part) => {
    said.out += part;
  });
  child.stderr.on('data', (part) => {
    said.error += part;
  });
  return new Promise((done) => child.once('close', (status) => done({ status, ...said })));
}
const withoutStack = (text: string) => expect(text).not.toMatch(/\n\s+at |node:internal/);

describe('commands speak to a person', () => {
  it.each(['start.mjs', 'backup.mjs', 'restore.mjs', 'doctor.mjs'])(
    '%s has its help, and refuses an option that it does not know by name',
    async (file) => {
      const help = await run(file, ['--help']);
      expect([help.status, help.error]).toEqual([0, '']);
      expect(help.out).toContain(`npm run ${file.replace('.mjs', '')}`.replace('npm run start', 'npm start'));
      const refused = await run(file, ['--no-such-option']);
      expect([refused.status, refused.out]).toEqual([2, '']);
      expect(refused.error).toContain("Unknown option '--no-such-option'.");
      expect(refused.error).toContain(help.out.trim());
      withoutStack(refused.error);
    },
  );
  it('names a word too many', async () => {
    const { status, error } = await run('start.mjs', ['now']);
    expect(status).toBe(2);
    expect(error).toContain('“now” is more than is taken here.');
  });
  it.each(['18.20.4', '20.18.9'])('says which Node it needs where there is an old one: %s', async (version) => {
    const BEFORE = `data:text/javascript,Object.defineProperty(process.versions,'node',{value:'${version}'})`;
    const { status, error } = await run('start.mjs', ['--help'], { BEFORE });
    expect(status).toBe(1);
    expect(error).toContain(`Wainrope needs Node 20.19 or newer; this is Node ${version}`);
    withoutStack(error);
  });
  it('takes the oldest Node that will do', async () => {
    const BEFORE = "data:text/javascript,Object.defineProperty(process.versions,'node',{value:'20.19.0'})";
    expect((await run('start.mjs', ['--help'], { BEFORE })).status).toBe(0);
  });
  it('says that a data folder is no folder, and what to choose', async () => {
    const data = join(folder(), 'file');
    writeFileSync(data, '');
    const { status, error } = await run('start.mjs', [], { WAINROPE_DATA: data });
    expect(status).toBe(1);
    expect(error).toContain(`The data folder ${data} cannot be written: ${data} is no folder.`);
    expect(error).toContain('WAINROPE_DATA=FOLDER npm start');
    withoutStack(error);
  });
  it('says whose a data folder is that this user may not write to', async () => {
    const isRoot = process.getuid?.() === 0;
    const data = folder();
    chmodSync(data, 0o555);
    const code = `process.env.WAINROPE_DATA=${JSON.stringify(data)};const{makeDataFolder}=await import(${JSON.stringify(join(ROOT, 'ops/folders.mjs'))});try{makeDataFolder();console.log('written')}catch(e){console.log(e.message)}`;
    const node = [process.execPath, '--input-type=module', '-e', code];
    const [program = '', ...args] = isRoot ? ['setpriv', '--reuid=65534', '--regid=65534', '--clear-groups', ...node] : node;
    const { stdout } = spawnSync(program, args, { encoding: 'utf8', cwd: '/' });
    expect(stdout).toMatch(/cannot be written: .* belongs to somebody else \(user \d+\)/);
  });
});

describe('what has to be installed', () => {
  /** A package manager of the test's own, first on the way to programs. */
  function manager(script: string): Record<string, string> {
    const bin = folder();
    writeFileSync(join(bin, 'apt-get'), `#!/bin/sh\n${script}`, { mode: 0o755 });
    return { PATH: `${bin}:${process.env.PATH}`, COUNT: join(bin, 'count') };
  }
  const install = (env: Record<string, string>, uid = 0) => {
    const code = `process.getuid=()=>${uid};const{installDebian}=await import(${JSON.stringify(join(ROOT, 'ops/debian.mjs'))});try{await installDebian(['postgresql','chromium']);console.log('installed')}catch(e){console.log(e.message)}`;
    const { stdout } = spawnSync(process.execPath, ['--input-type=module', '-e', code], {
      encoding: 'utf8',
      env: { ...process.env, ...env },
    });
    return stdout;
  };
  it('is asked for all at once of whoever may not install it', () => {
    expect(install({}, 1000)).toContain(
      "Not on this machine: postgresql, chromium. It takes an administrator once:\n\n  sudo sh -c 'apt-get update && apt-get install -y --no-install-recommends postgresql chromium'",
    );
  });
  it('waits while another program holds the package lock, and says so once', () => {
    const env = manager(
      'echo x >> "$COUNT"\nif [ "$(wc -l < "$COUNT")" -lt 3 ]; then echo "E: Could not get lock /var/lib/apt/lists/lock. It is held by process 7 (apt-get)" >&2; exit 100; fi\n',
    );
    const said = install(env);
    expect(said.match(/Another program is installing packages; waiting/g)).toHaveLength(1);
    expect(said).toMatch(/installed\n$/);
    // Twice in vain, then the lists and the packages.
    expect(
      readFileSync(env.COUNT ?? '', 'utf8')
        .trim()
        .split('\n'),
    ).toHaveLength(4);
  });
  it('gives up at once for any other reason', () => {
    const said = install(manager('echo "Err:1 http://deb.invalid Temporary failure resolving" >&2\nexit 100\n'));
    expect(said).toContain('the source of Debian packages does not answer');
    expect(said).not.toContain('waiting');
  });
  it.each([
    ["E: Failed to fetch http://x  Could not resolve 'x'", 'the source of Debian packages does not answer'],
    ['E: Unable to locate package chromium', 'the sources in /etc/apt do not have it'],
    ["E: You don't have enough free space in /var/cache", 'the disk is full'],
    ['E: Read-only file system', 'this system cannot be written to'],
    ['E: something else', 'failed:\nE: something else'],
  ])('says what the package manager means: %s', (said, words) => {
    expect(aptProblem(said, ['chromium'], 'apt-get install chromium')).toContain(words);
    expect(aptProblem(said, ['chromium'], 'apt-get install chromium')).toContain('By hand, to see more: apt-get install chromium');
  });
  it.each([
    ['npm error code ENOTFOUND', 'their source does not answer (ENOTFOUND)'],
    ['npm error code ECONNREFUSED', 'their source does not answer (ECONNREFUSED)'],
    ['npm error code ENOSPC', 'the disk is full'],
    ['npm error code EROFS', 'cannot be written'],
    ['npm error code E401', 'wants a sign-in'],
    ['npm error code ELSE', 'Installing the npm packages failed:\nnpm error code ELSE'],
  ])('says what npm means: %s', (said, words) => {
    expect(npmProblem(said)).toContain(words);
  });
});

describe('npm run doctor', () => {
  const looked = async (env: Record<string, string>) => {
    const { status, out, error } = await run('doctor.mjs', ['--json'], env);
    expect(error).toBe('');
    const { lines, wanted } = JSON.parse(out) as { lines: { what: string; how: string; says: string }[]; wanted: number };
    expect(status).toBe(wanted === 0 ? 0 : 1);
    return new Map(lines.map((line) => [line.what, line]));
  };
  const free = { WAINROPE_PORT: '4999' };
  it('tells of a folder with nothing in it what is not there yet, and changes nothing', async () => {
    const data = join(folder(), 'new');
    const lines = await looked({ ...free, WAINROPE_DATA: data });
    expect(lines.get('Data folder')?.says).toBe(`${data}, not there yet; npm start makes it`);
    expect(lines.get('Database')?.says).toContain('none in this data folder yet');
    expect(lines.get('Server')?.says).toBe('does not run; http://127.0.0.1:4999 is free');
    expect(lines.get('Last backup')).toMatchObject({ how: 'note' });
    expect(spawnSync('ls', [data]).status).not.toBe(0);
  });
  it.each([
    [6.9, 'well'],
    [7.1, 'wanted'],
  ])('speaks of a last backup of %d days as %s', async (days, how) => {
    const data = folder();
    mkdirSync(join(data, 'backups'));
    const file = join(data, 'backups/wainrope-a.backup');
    writeFileSync(file, 'x');
    const at = Date.now() / 1000 - days * 86_400;
    utimesSync(file, at, at);
    expect((await looked({ ...free, WAINROPE_DATA: data })).get('Last backup')).toMatchObject({ how });
  });
  it('knows a port that another program has', async () => {
    const other = createServer((_request, response) => response.end('hello'));
    await new Promise<void>((done) => other.listen(0, '127.0.0.1', done));
    const port = String((other.address() as AddressInfo).port);
    const lines = await looked({ WAINROPE_DATA: folder(), WAINROPE_PORT: port });
    other.close();
    expect(lines.get('Server')).toMatchObject({ how: 'wanted', says: expect.stringContaining(`port ${port} is taken by another program`) });
  });
  it('finds what runs by its lock, and a database that another version made', async () => {
    const data = folder();
    mkdirSync(join(data, 'postgres/cluster'), { recursive: true });
    writeFileSync(join(data, 'postgres/secrets.json'), '{}');
    writeFileSync(join(data, 'postgres/cluster/PG_VERSION'), '9\n');
    writeFileSync(join(data, 'start.lock'), String(process.pid));
    writeFileSync(
      join(data, 'restarts.json'),
      JSON.stringify({ server: 2, database: 1, last: { what: 'server', why: 'code 1', at: '2026-01-15' } }),
    );
    const lines = await looked({ ...free, WAINROPE_DATA: data });
    expect(lines.get('Server')).toMatchObject({
      how: 'wanted',
      says: expect.stringContaining(`does not answer, though process ${process.pid} runs`),
    });
    expect(lines.get('Database')).toMatchObject({ how: 'wanted', says: expect.stringContaining('made by PostgreSQL 9') });
    expect(lines.get('Started again')?.says).toContain('server 2, database 1 times');
    expect(readFileSync(join(data, 'start.lock'), 'utf8')).toBe(String(process.pid));
  });
});

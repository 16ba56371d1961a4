import { OWN_FAULT, readsStdin, run } from './run.ts';

async function standardInput(): Promise<string> {
  const chunks: Buffer[] = [];
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks).toString('utf8');
}

// Whoever reads may have enough before the end, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});

const args = process.argv.slice(2);
try {
  const answer = run(args, readsStdin(args) ? { stdin: await standardInput() } : {});
  process.stdout.write(answer.out);
  process.stderr.write(answer.error);
  process.exitCode = answer.code;
} catch (error) {
  process.stderr.write(`Wainrope itself failed: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exitCode = OWN_FAULT;
}

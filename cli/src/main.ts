import { run } from './run.ts';

const answer = run(process.argv.slice(2));
process.stdout.write(answer.out);
process.stderr.write(answer.error);
process.exitCode = answer.code;

import { judge } from './src/judgement/judge.ts';
import { exampleCase } from './src/testing/example-case.ts';
import { wordsOf } from './src/judgement/finding-words.ts';
const r=judge(exampleCase()); for(const f of r.findings) console.log(f.id,f.fromM,f.atM,JSON.stringify(f.data)); console.log(r.pull.end,r.pull.reachedM, r.verdict);

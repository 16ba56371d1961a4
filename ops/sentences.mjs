// @ts-check
// Prints every sentence, label and name of the product with the file it stands in, so that somebody can read them aloud.
//   npm run sentences            all of them, by file
//   npm run sentences -- WORD    those that hold a word
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './folders.mjs';
import { sentencesOf } from './read-sentences.mjs';

const wanted = process.argv[2]?.toLowerCase();
const rooms = ['core/src', 'contract/src', 'server/src', 'web/src', 'cli/src'];
const files = rooms.flatMap((room) =>
  readdirSync(join(ROOT, room), { recursive: true, encoding: 'utf8' })
    .map((file) => join(room, file))
    .filter(isOfTheProduct)
    .sort(),
);
/** @type {Set<string>} */
const different = new Set();
for (const file of files) {
  const source = ts.createSourceFile(file, readFileSync(join(ROOT, file), 'utf8'), ts.ScriptTarget.Latest, true);
  const found = sentencesOf(source).filter(({ text }) => wanted === undefined || text.toLowerCase().includes(wanted));
  if (found.length > 0) console.log(`\n${file}`);
  for (const { line, text } of found) {
    different.add(text);
    console.log(`${String(line).padStart(5)}  ${text}`);
  }
}
console.log(`\n${different.size} different sentences, labels and names in ${files.length} files.`);

/** @param {string} file */
function isOfTheProduct(file) {
  return /\.tsx?$/.test(file) && !/\.test\.|gear\/words\/|\/generated\/|\/testing\/|\/migrations\/|\.d\.ts$/.test(file);
}

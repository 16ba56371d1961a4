// node ops/with-node.mjs FILE [OPTIONS]: runs a file of this folder; where Node is too old to read it, says so in words.
// Kept in words that an old Node reads, too.
import { fileURLToPath } from 'node:url';

const NEEDED = [20, 19];
const parts = process.versions.node.split('.').map(Number);
if (parts[0] < NEEDED[0] || (parts[0] === NEEDED[0] && parts[1] < NEEDED[1])) {
  console.error(
    `\nWainrope needs Node ${NEEDED.join('.')} or newer; this is Node ${process.versions.node} (${process.execPath}).\nInstall a newer one, open a new terminal, check with: node --version\n`,
  );
  process.exit(1);
}
const file = new URL(process.argv[2], import.meta.url);
process.argv.splice(1, 2, fileURLToPath(file));
import(file.href);

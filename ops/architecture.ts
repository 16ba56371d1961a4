import { readdirSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';

/** A rule of the architecture that a file breaks. */
export interface Breach {
  readonly rule: 'no-surroundings-in-core' | 'no-switch-over-classes' | 'room-too-full' | 'no-way-round-types';
  readonly file: string;
  readonly what: string;
}

/** Most files of a room, tests not counted. */
export const MOST_FILES = 25;

const SKIPPED = new Set(['node_modules', 'dist', 'generated', 'testing', 'migrations']);

/** TypeScript files below a folder, tests and generated files left out. */
export function sourcesBelow(folder: string): readonly string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return SKIPPED.has(name) ? [] : sourcesBelow(path);
    return /\.tsx?$/.test(name) && !/\.test\.tsx?$|\.d\.ts$/.test(name) ? [path] : [];
  });
}

/** Names by which a file would reach beyond its arguments. */
const SURROUNDINGS = new Set([
  ...['performance', 'process', 'globalThis', 'console', 'crypto', 'fetch', 'window', 'document', 'navigator', 'localStorage', 'require'],
  ...['setTimeout', 'setInterval', 'queueMicrotask', 'requestAnimationFrame', 'Intl'],
]);

/** What a file of core reads of clock, chance and surroundings, as it stands in the source. */
export function surroundingsOf(source: ts.SourceFile): readonly string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (isSurrounding(node)) found.push(node.getText(source));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

function isSurrounding(node: ts.Node): boolean {
  if (ts.isNewExpression(node)) return isNamed(node.expression, 'Date') && (node.arguments?.length ?? 0) === 0;
  // `Date()` without `new` tells the time whatever it is given.
  if (ts.isCallExpression(node)) return isNamed(node.expression, 'Date') || node.expression.kind === ts.SyntaxKind.ImportKeyword;
  if (ts.isPropertyAccessExpression(node))
    return (
      (isNamed(node.expression, 'Math') && node.name.text === 'random') || (isNamed(node.expression, 'Date') && node.name.text === 'now')
    );
  return ts.isIdentifier(node) && SURROUNDINGS.has(node.text) && isFree(node);
}

const isNamed = (node: ts.Node, name: string): boolean => ts.isIdentifier(node) && node.text === name;

/** A name that is read, not one that is declared or stands behind a dot. */
function isFree(node: ts.Identifier): boolean {
  const { parent } = node;
  if (ts.isPropertyAccessExpression(parent) && parent.name === node) return false;
  if (ts.isPropertyAssignment(parent) && parent.name === node) return false;
  return !(ts.isPropertySignature(parent) || ts.isBindingElement(parent) || ts.isParameter(parent) || ts.isQualifiedName(parent));
}

/** Gear classes whose names nothing else bears: a union that holds them is of classes. */
const TELLING: readonly string[] = ['snatch-block', 'soft-shackle', 'steel-shackle'];

/** Whether a type is a choice among gear classes: the whole of them, or what is left after some are told apart. */
function isOfClasses(type: ts.Type): boolean {
  const members = type.isUnion() ? type.types : [type];
  return TELLING.filter((name) => members.some((member) => member.isStringLiteral() && member.value === name)).length >= 2;
}

/** Switches over gear classes with a `default:` in a file. */
export function switchesOverClasses(source: ts.SourceFile, checker: ts.TypeChecker): readonly string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isSwitchStatement(node) && isOfClasses(checker.getTypeAtLocation(node.expression)) && hasDefault(node))
      found.push(node.expression.getText(source));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const hasDefault = ({ caseBlock }: ts.SwitchStatement): boolean => caseBlock.clauses.some((clause) => ts.isDefaultClause(clause));

/** Comparisons of a gear class with the name of one, `kind === 'winch'` or `isClass(piece, 'winch')`, in a file. */
export function comparedClasses(source: ts.SourceFile, checker: ts.TypeChecker): readonly string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isBinaryExpression(node) && isEquality(node.operatorToken.kind) && comparesClass(node, checker))
      found.push(node.getText(source));
    if (ts.isCallExpression(node) && isNamed(node.expression, 'isClass')) found.push(node.getText(source));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const isEquality = (kind: ts.SyntaxKind): boolean =>
  kind === ts.SyntaxKind.EqualsEqualsEqualsToken || kind === ts.SyntaxKind.ExclamationEqualsEqualsToken;

const comparesClass = ({ left, right }: ts.BinaryExpression, checker: ts.TypeChecker): boolean =>
  (isNameOfClass(right) && isOfClasses(checker.getTypeAtLocation(left))) ||
  (isNameOfClass(left) && isOfClasses(checker.getTypeAtLocation(right)));

/** An empty choice of a form names no class. */
const isNameOfClass = (node: ts.Node): boolean => ts.isStringLiteral(node) && node.text !== '';

/** Types that a value may not be talked into: whatever it is, the compiler then holds it for what is wanted. */
const ROUND_TYPES = new Set([ts.SyntaxKind.NeverKeyword, ts.SyntaxKind.AnyKeyword, ts.SyntaxKind.NumberKeyword]);

/** The solver's arrays, of which an entry by a known index is a number: `residual[row] as number`. */
const ENTRIES_OF_ARRAYS = /^core\/src\/statics\//;

/** Ways round the checks of types in a file: `as never`, `as any`, `as number`, `as unknown as`. */
export function waysRoundTypes(source: ts.SourceFile, name: string): readonly string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isAsExpression(node) && goesRound(node) && !(ENTRIES_OF_ARRAYS.test(name) && isEntry(node))) found.push(node.getText(source));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const goesRound = ({ type, expression }: ts.AsExpression): boolean =>
  ROUND_TYPES.has(type.kind) || (ts.isAsExpression(expression) && expression.type.kind === ts.SyntaxKind.UnknownKeyword);

const isEntry = ({ type, expression }: ts.AsExpression): boolean =>
  type.kind === ts.SyntaxKind.NumberKeyword && ts.isElementAccessExpression(expression);

/** Files beside which a comparison with a class may stand: the classes' own room, and rules, which may be about one class alone. */
const ABOUT_CLASSES = /^core\/src\/(gear|judgement\/(rules|ask)|testing)\//;

/** Rooms with too many files. */
function fullRooms(root: string, files: readonly string[]): readonly Breach[] {
  const counts = new Map<string, number>();
  for (const file of files) {
    const room = relative(root, join(file, '..'));
    counts.set(room, (counts.get(room) ?? 0) + 1);
  }
  return [...counts]
    .filter(([, count]) => count > MOST_FILES)
    .map(([room, count]): Breach => ({ rule: 'room-too-full', file: room, what: `${count} files` }));
}

/** Everything below a project's folder that breaks a rule of the architecture which no import tells. */
export function breachesIn(root: string, packages: readonly string[]): readonly Breach[] {
  const files = packages.flatMap((name) => sourcesBelow(join(root, name, 'src')));
  const program = ts.createProgram([...files], optionsOf(root));
  const checker = program.getTypeChecker();
  const inFiles = files.flatMap((file): readonly Breach[] => {
    const source = program.getSourceFile(file);
    if (!source) return [];
    const name = relative(root, file);
    const surroundings = name.startsWith('core/src/') ? surroundingsOf(source) : [];
    const compared = ABOUT_CLASSES.test(name) ? [] : comparedClasses(source, checker);
    return [
      ...surroundings.map((what): Breach => ({ rule: 'no-surroundings-in-core', file: name, what })),
      ...waysRoundTypes(source, name).map((what): Breach => ({ rule: 'no-way-round-types', file: name, what })),
      ...switchesOverClasses(source, checker).map(
        (what): Breach => ({ rule: 'no-switch-over-classes', file: name, what: `default of ${what}` }),
      ),
      ...compared.map((what): Breach => ({ rule: 'no-switch-over-classes', file: name, what })),
    ];
  });
  return [...inFiles, ...fullRooms(root, files)];
}

function optionsOf(root: string): ts.CompilerOptions {
  const { config } = ts.readConfigFile(join(root, 'tsconfig.base.json'), ts.sys.readFile);
  const { options } = ts.parseJsonConfigFileContent(config, ts.sys, root);
  return {
    ...options,
    noEmit: true,
    customConditions: ['source'],
    jsx: ts.JsxEmit.ReactJSX,
    allowImportingTsExtensions: true,
    composite: false,
    incremental: false,
  };
}

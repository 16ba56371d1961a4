// @ts-check
// Reads what people will read out of a source file: texts of pages, labels, and strings that hold words.
import ts from 'typescript';

/** @typedef {{ readonly line: number, readonly text: string }} Sentence */

/** Attributes of an element that nobody reads. */
const UNREAD =
  /^(className|id|htmlFor|name|type|role|key|to|href|d|viewBox|fill|stroke.*|transform|data-.*|style|as|kind|mode|rel|target)$/;
/** Calls whose strings are for the one who mends the program. */
const FOR_PROGRAMMERS = /^(invariant|sql|cx|clsx|require|import|querySelector|getElementById|describe|it)$/;
const WORD = /[A-Za-z]{2,}/;

/** What people read in a source file, in the order of its lines. @param {ts.SourceFile} source @returns {readonly Sentence[]} */
export function sentencesOf(source) {
  /** @type {Sentence[]} */
  const found = [];
  const tableOfWords = /words|labels|names/.test(source.fileName);
  /** @param {ts.Node} node @param {string} text */
  const add = (node, text) => found.push({ line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1, text: tidy(text) });
  /** @param {ts.Node} node */
  const visit = (node) => {
    if (isUnread(node)) return;
    if (isElement(node) && holdsText(node)) {
      add(node, textOfJsx(node));
      for (const child of node.children) visitWithin(child);
      return;
    }
    if (isText(node) && isForPeople(textOfString(node), tableOfWords)) add(node, textOfString(node));
    if (!isText(node) || ts.isTemplateExpression(node)) ts.forEachChild(node, visit);
  };
  /** Within an element that has been told whole: only what its braces and attributes hold. @param {ts.Node} node */
  const visitWithin = (node) => {
    if (ts.isJsxText(node)) return;
    if (!ts.isJsxElement(node) || !isInline(node)) return visit(node);
    visit(node.openingElement);
    for (const child of node.children) visitWithin(child);
  };
  visit(source);
  return found;
}

/** @param {ts.Node} node @returns {node is ts.StringLiteral | ts.NoSubstitutionTemplateLiteral | ts.TemplateExpression} */
function isText(node) {
  return ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isTemplateExpression(node);
}

/** @param {ts.Node} node @returns {node is ts.JsxElement | ts.JsxFragment} */
function isElement(node) {
  return ts.isJsxElement(node) || ts.isJsxFragment(node);
}

/** Imports, types, and what only the program reads. @param {ts.Node} node */
function isUnread(node) {
  if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node) || ts.isTypeAliasDeclaration(node)) return true;
  return (ts.isJsxAttribute(node) && UNREAD.test(node.name.getText())) || isForProgrammers(node);
}

/** @param {ts.Node} node */
function isForProgrammers(node) {
  if (ts.isCallExpression(node)) return FOR_PROGRAMMERS.test(node.expression.getText().split('.').at(-1) ?? '');
  if (ts.isTaggedTemplateExpression(node)) return FOR_PROGRAMMERS.test(node.tag.getText().split('<')[0] ?? '');
  return false;
}

/** @param {ts.JsxElement | ts.JsxFragment} node */
function holdsText(node) {
  return node.children.some((child) => ts.isJsxText(child) && WORD.test(child.text));
}

/** @param {ts.JsxElement} node */
function isInline(node) {
  return /^(b|strong|em|i|span|code|kbd|sup|sub|Link|a|Figure|Term|output|time)$/.test(node.openingElement.tagName.getText());
}

/** @param {ts.JsxElement | ts.JsxFragment} node @returns {string} */
function textOfJsx(node) {
  return node.children
    .map((child) => {
      if (ts.isJsxText(child)) return child.text;
      if (ts.isJsxExpression(child)) return child.expression ? inBraces(child.expression) : '';
      if (ts.isJsxElement(child)) return isInline(child) ? textOfJsx(child) : '';
      return '';
    })
    .join('');
}

/** @param {ts.StringLiteral | ts.NoSubstitutionTemplateLiteral | ts.TemplateExpression} node @returns {string} */
function textOfString(node) {
  if (!ts.isTemplateExpression(node)) return node.text;
  return node.head.text + node.templateSpans.map(({ expression, literal }) => inBraces(expression) + literal.text).join('');
}

/** What stands in place of a value: its own words where it is text, else the last name in it. @param {ts.Expression} expression @returns {string} */
function inBraces(expression) {
  if (ts.isStringLiteral(expression)) return expression.text;
  if (ts.isConditionalExpression(expression)) return `{${chosen(expression.whenTrue)}|${chosen(expression.whenFalse)}}`;
  const names = expression.getText().match(/[A-Za-z]\w*/g) ?? [];
  return `{${ts.isCallExpression(expression) ? (names[0] ?? '') : (names.at(-1) ?? '')}}`;
}

/** @param {ts.Expression} expression */
function chosen(expression) {
  return isText(expression) ? textOfString(expression) : '…';
}

/** @param {string} text @param {boolean} tableOfWords */
function isForPeople(text, tableOfWords) {
  if (!WORD.test(text)) return false;
  if (/^[#./@]|^[\w-]+(\.[\w-]+)+$|^(application|text|image)\/|https?:|\$\d|^\{[^}]*\}$/.test(text)) return false;
  const words = text.trim().split(/\s+/);
  if (words.length === 1) return /^[A-Z][a-z]+[.:!?…]?$/.test(text) || (tableOfWords && /^[a-z]+$/.test(text));
  return !looksLikeStyles(words) && !/\b(select|insert|update|delete|from|where)\b.*\b(from|into|where|set|null)\b|;\s*$/.test(text);
}

/** Class names of a style sheet, paths of a drawing. @param {readonly string[]} words */
function looksLikeStyles(words) {
  const odd = words.filter((word) => /[:[\]]|^-?[a-z]+-[a-z0-9[]|^[MLQCZz][\d{]/.test(word) && !/[.,:;)]$/.test(word));
  return odd.length > words.length / 3;
}

/** @param {string} text */
const tidy = (text) => text.replaceAll(/\s+/g, ' ').trim();

import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';
import ts from 'typescript';
import { ROOT } from './processes.mjs';

/** Where words stand that somebody reads on a page, on paper or in a message. */
const SOURCES = ['core/src', 'contract/src', 'server/src', 'web/src'];
/** Words of the database, of addresses and of styles are read by nobody. */
const NOT_READ =
  /^(select|insert|update|delete|alter|create|drop|with) |^\/|https?:|[[{]|::|\b(flex|grid|border|text|bg|px|py|mt|min-h)-/i;

function files(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'migrations' ? [] : files(path);
    return /(?<!\.test)\.tsx?$/.test(entry.name) ? [path] : [];
  });
}

/** A template with what is filled in shown as dots. */
function textOf(node) {
  if (ts.isStringLiteralLike(node)) return node.text;
  if (ts.isTemplateExpression(node))
    return node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('');
  return ts.isJsxText(node) ? node.text.replace(/\s+/g, ' ') : null;
}

function isRead(node, text) {
  if (ts.isJsxText(node)) return /\p{L}{2}/u.test(text);
  const parent = node.parent;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return false;
  if (ts.isJsxAttribute(parent) && parent.name.getText() === 'className') return false;
  return /\p{L}+[ ’,].*\p{L}/u.test(text) && !NOT_READ.test(text);
}

/** Every text of a file that somebody may read, with its line. */
function sentencesOf(path) {
  const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  const found = [];
  const look = (node) => {
    const text = textOf(node);
    if (text !== null && isRead(node, text))
      found.push([source.getLineAndCharacterOfPosition(node.getStart()).line + 1, text.trim()]);
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

for (const source of SOURCES)
  for (const path of files(resolve(ROOT, source)))
    for (const [line, text] of sentencesOf(path)) console.log(`${relative(ROOT, path)}:${line}\t${text}`);

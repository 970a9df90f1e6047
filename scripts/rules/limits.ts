import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units';

/** Where the server’s own limits stand. */
const SERVER = { folders: ['src/server', 'src/db'], leftOut: /\.test\.|\/migrations\/|\/schema\// };
/** Where the reckoning's numbers stand; how a body is drawn is looked at in pictures. */
const CORE = { folders: ['src/core'], leftOut: /\.test\.|\/figure\/|\/studio\// };

/** A named number, or a few of them: what it is called, is, and is for. */
type Limit = {
  readonly file: string;
  readonly name: string;
  readonly value: string;
  readonly what: string;
};

const NAMED = /^[A-Z][A-Z0-9_]+$/;

/** What numbers made of numbers come to; null for everything else. */
function numberOf(node: ts.Expression, known: ReadonlyMap<string, number>): number | null {
  if (
    ts.isAsExpression(node) ||
    ts.isParenthesizedExpression(node) ||
    ts.isSatisfiesExpression(node)
  )
    return numberOf(node.expression, known);
  if (ts.isNumericLiteral(node)) return Number(node.text);
  if (ts.isIdentifier(node)) return known.get(node.text) ?? null;
  if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.MinusToken) {
    const number = numberOf(node.operand, known);
    return number === null ? null : -number;
  }
  if (!ts.isBinaryExpression(node)) return null;
  const [left, right] = [numberOf(node.left, known), numberOf(node.right, known)];
  if (left === null || right === null) return null;
  switch (node.operatorToken.kind) {
    case ts.SyntaxKind.AsteriskToken:
      return left * right;
    case ts.SyntaxKind.SlashToken:
      return left / right;
    case ts.SyntaxKind.PlusToken:
      return left + right;
    case ts.SyntaxKind.MinusToken:
      return left - right;
    case ts.SyntaxKind.AsteriskAsteriskToken:
      return left ** right;
    default:
      return null;
  }
}

/** What stands beside numbers in a table: words, a yes or no, nothing; null for everything else. */
function wordOf(node: ts.Expression): string | null {
  if (ts.isStringLiteralLike(node)) return `“${node.text}”`;
  switch (node.kind) {
    case ts.SyntaxKind.NullKeyword:
      return 'none';
    case ts.SyntaxKind.TrueKeyword:
      return 'yes';
    case ts.SyntaxKind.FalseKeyword:
      return 'no';
    default:
      return null;
  }
}

/**
 * The same in words: a number, a row of them, or a table of them by name, with words between them; null
 * where it holds anything else.
 */
function valueOf(node: ts.Expression, known: ReadonlyMap<string, number>): string | null {
  const number = numberOf(node, known);
  if (number !== null) return String(number);
  const word = wordOf(node);
  if (word !== null) return word;
  if (ts.isAsExpression(node) || ts.isSatisfiesExpression(node))
    return valueOf(node.expression, known);
  if (ts.isArrayLiteralExpression(node)) {
    const all = node.elements.map((one) => {
      const value = valueOf(one, known);
      return value !== null && isTable(one) ? `(${value})` : value;
    });
    return all.length > 0 && all.every((one) => one !== null) ? all.join(', ') : null;
  }
  if (ts.isObjectLiteralExpression(node)) {
    const all = node.properties.map((one) => {
      if (!ts.isPropertyAssignment(one)) return null;
      const value = valueOf(one.initializer, known);
      if (value === null) return null;
      return `${one.name.getText()} ${isTable(one.initializer) ? `(${value})` : value}`;
    });
    return all.length > 0 && all.every((one) => one !== null) ? all.join('; ') : null;
  }
  return null;
}

const isTable = (node: ts.Node) =>
  ts.isObjectLiteralExpression(node) || ts.isArrayLiteralExpression(node);

/** Whether any number stands in it: words alone are no limit. */
function holdsNumber(node: ts.Node): boolean {
  return ts.isNumericLiteral(node) || (ts.forEachChild(node, holdsNumber) ?? false);
}

/** The words above it, in one line. */
function wordsAbove(statement: ts.Statement, text: string): string {
  const above = ts.getLeadingCommentRanges(text, statement.getFullStart())?.at(-1);
  if (!above) return '';
  return text
    .slice(above.pos, above.end)
    .replace(/^\/\*\*?|\*\/$/g, '')
    .replace(/^\s*(\*|\/\/) ?/gm, '')
    .replace(/\s+/g, ' ')
    .trim();
}

/** The named limits of one file, in the order they stand in. */
export function limitsIn(file: string, text: string): Limit[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const known = new Map<string, number>(Object.entries({ MINUTE_MS, HOUR_MS, DAY_MS }));
  return source.statements.flatMap((statement) => {
    if (!ts.isVariableStatement(statement)) return [];
    return statement.declarationList.declarations.flatMap(({ name, initializer }) => {
      if (!ts.isIdentifier(name) || !NAMED.test(name.text) || !initializer) return [];
      const number = numberOf(initializer, known);
      if (number !== null) known.set(name.text, number);
      const value = valueOf(initializer, known);
      return value === null || (number === null && !holdsNumber(initializer))
        ? []
        : [{ file, name: name.text, value, what: wordsAbove(statement, text) }];
    });
  });
}

function filesOf(root: string, { folders, leftOut }: typeof SERVER): string[] {
  return folders
    .flatMap((folder) =>
      readdirSync(join(root, folder), { recursive: true }).map(
        (name) => `${folder}/${String(name).replaceAll('\\', '/')}`,
      ),
    )
    .filter((path) => path.endsWith('.ts') && !leftOut.test(path))
    .sort();
}

/** Every file of the server and its database, tests and tables left out. */
export const serverFiles = (root: string): string[] => filesOf(root, SERVER);

/** A page of every named number of some houses. */
function listing(root: string, of: typeof SERVER, title: string, about: string): string {
  const limits = filesOf(root, of).flatMap((path) =>
    limitsIn(path, readFileSync(join(root, path), 'utf8')),
  );
  const row = ({ file, name, value, what }: Limit) =>
    `| ${file.replace('src/', '')} | ${name} | ${value} | ${what.replaceAll('|', '\\|')} |`;
  return [
    `# ${title}`,
    '',
    `${about} Made by \`npm run rules\` from the code; a test holds that it says what the code says, so that one changes on purpose.`,
    '',
    '| where | name | is | what it is |',
    '|---|---|---|---|',
    ...limits.map(row),
    '',
  ].join('\n');
}

/** docs/limits.md: every named limit of the server and its database. */
export function limitsListing(root: string): string {
  return listing(
    root,
    SERVER,
    'The server’s limits',
    'Every named number of the server and its database: how many, how long, how large. Times are in milliseconds where a name ends in MS, in seconds where it ends in S.',
  );
}

/** docs/numbers.md: every named number that something is reckoned or judged by. */
export function numbersListing(root: string): string {
  return listing(
    root,
    CORE,
    'The numbers of the reckoning',
    'Every named number that a dose, a step, a verdict, a row or a picture of a course is reckoned by: bounds, shares, days, paces. Tables that decide stand in [rules.md](rules.md).',
  );
}

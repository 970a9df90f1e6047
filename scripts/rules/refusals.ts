import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { serverFiles } from './limits';

/** One refusal as the server writes it: with which answer, in which words, at which field. */
type Refusal = {
  readonly file: string;
  readonly status: string;
  readonly say: string;
  readonly at: string;
};

/** A sentence as it stands in the code; one that is made of parts shows where they go in. */
function words(node: ts.Expression | undefined, named: ReadonlyMap<string, string>): string {
  if (!node) return '';
  if (ts.isStringLiteralLike(node)) return node.text;
  const text = node.getText();
  return named.get(text) ?? text.replace(/^`|`$/g, '');
}

/** The sentences of a file that have a name. */
function namedIn(source: ts.SourceFile): ReadonlyMap<string, string> {
  const named = new Map<string, string>();
  for (const statement of source.statements)
    if (ts.isVariableStatement(statement))
      for (const { name, initializer } of statement.declarationList.declarations)
        if (initializer && ts.isStringLiteralLike(initializer))
          named.set(name.getText(), initializer.text);
  return named;
}

/** Every refusal of one file, in the order they stand in. */
export function refusalsIn(file: string, text: string): Refusal[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const named = namedIn(source);
  const found: Refusal[] = [];
  const visit = (node: ts.Node) => {
    if (ts.isNewExpression(node) && node.expression.getText() === 'Problem') {
      const [status, say, at] = node.arguments ?? [];
      found.push({
        file,
        status: status?.getText() ?? '',
        say: words(say, named).replace(/\s+/g, ' '),
        at:
          at && ts.isArrayLiteralExpression(at)
            ? at.elements.map((one) => words(one, named)).join('.')
            : '',
      });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** docs/refusals.md: everything the server says no to, in its own words. */
export function refusalsListing(root: string): string {
  const all = serverFiles(root).flatMap((path) =>
    refusalsIn(path, readFileSync(join(root, path), 'utf8')),
  );
  const row = ({ file, status, say, at }: Refusal) =>
    `| ${file.replace('src/', '')} | ${status} | ${say.replaceAll('|', '\\|')} | ${at} |`;
  return [
    '# What the server refuses',
    '',
    'Every refusal of the server, with its answer (400 what was sent is not right, 403 not for this person, 404 not there, 409 something else is there already, 429 too often), its words, and the field it is shown at. Made by `npm run rules` from the code; a test holds that it says what the code says, so that one changes on purpose. What stands as a name, or in `${…}`, is put together where it is said.',
    '',
    '| where | answer | words | field |',
    '|---|---|---|---|',
    ...all.map(row),
    '',
  ].join('\n');
}

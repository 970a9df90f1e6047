import ts from 'typescript';
import type { Mutation } from './operators';

/** What a probe calls where a test looks; anywhere else it is nothing. */
const hit = (index: number) => `globalThis.__reached?.(${index});`;

const holdsStatements = (node: ts.Node) =>
  ts.isBlock(node) || ts.isSourceFile(node) || ts.isCaseOrDefaultClause(node);

/** Where a probe stands: before a statement, or around what an arrow gives back. */
type Place =
  | { readonly kind: 'before'; readonly at: number }
  | { readonly kind: 'around'; readonly at: number; readonly end: number };

/**
 * The innermost place that runs whenever what stands at a position runs: before its statement, or
 * around its arrow's expression. Never later than the position itself, so a test that reaches the
 * change has passed its probe; a statement that ends early may be passed without reaching it.
 */
function placeOf(source: ts.SourceFile, start: number): Place {
  let place: Place = { kind: 'before', at: 0 };
  const visit = (node: ts.Node): void => {
    if (start < node.getStart(source) || start >= node.getEnd()) return;
    if (node.parent && ts.isStatement(node) && holdsStatements(node.parent))
      place = { kind: 'before', at: node.getStart(source) };
    if (
      node.parent &&
      ts.isArrowFunction(node.parent) &&
      node === node.parent.body &&
      !ts.isBlock(node)
    )
      place = { kind: 'around', at: node.getStart(source), end: node.getEnd() };
    ts.forEachChild(node, visit);
  };
  visit(source);
  return place;
}

/**
 * A file's text with a probe for each of these changes, and nothing else changed.
 *
 * @param changes the file's changes, each with the number its probe says
 */
export function probed(
  file: string,
  text: string,
  changes: readonly { readonly index: number; readonly mutation: Mutation }[],
): string {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const pieces = changes.flatMap(({ index, mutation }) => {
    const place = placeOf(source, mutation.start);
    return place.kind === 'before'
      ? [{ at: place.at, order: 1, put: hit(index) }]
      : [
          { at: place.at, order: 1, put: `(${hit(index).slice(0, -1)}, ` },
          { at: place.end, order: 0, put: ')' },
        ];
  });
  return pieces
    .toSorted((a, b) => b.at - a.at || b.order - a.order)
    .reduce((now, { at, put }) => now.slice(0, at) + put + now.slice(at), text);
}

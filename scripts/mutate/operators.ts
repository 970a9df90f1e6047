import ts from 'typescript';

/** The kinds of change, fixed beforehand. */
export const OPERATORS = [
  'comparison',
  'boundary',
  'constant',
  'boolean',
  'return',
  'removed call',
] as const;
export type Operator = (typeof OPERATORS)[number];

/** One small change of a file's text. */
export type Mutation = {
  readonly file: string;
  readonly line: number;
  readonly operator: Operator;
  readonly start: number;
  readonly end: number;
  readonly was: string;
  readonly becomes: string;
};

const OPPOSITE: Readonly<Partial<Record<ts.SyntaxKind, string>>> = {
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.EqualsEqualsToken]: '!=',
  [ts.SyntaxKind.ExclamationEqualsToken]: '==',
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
};
const BESIDE: Readonly<Partial<Record<ts.SyntaxKind, string>>> = {
  [ts.SyntaxKind.LessThanToken]: '<=',
  [ts.SyntaxKind.GreaterThanToken]: '>=',
  [ts.SyntaxKind.LessThanEqualsToken]: '<',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '>',
};

/** Every change the operators can make of a file, in the order of its text. */
export function mutationsOf(file: string, text: string): Mutation[] {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Mutation[] = [];
  const add = (operator: Operator, node: ts.Node, becomes: string) => {
    const start = node.getStart(source);
    found.push({
      file,
      line: source.getLineAndCharacterOfPosition(start).line + 1,
      operator,
      start,
      end: node.getEnd(),
      was: text.slice(start, node.getEnd()),
      becomes,
    });
  };
  const visit = (node: ts.Node): void => {
    // Types, and what only names modules, say nothing that runs.
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const { operatorToken } = node;
      const opposite = OPPOSITE[operatorToken.kind];
      if (opposite) add('comparison', operatorToken, opposite);
      const beside = BESIDE[operatorToken.kind];
      if (beside) add('boundary', operatorToken, beside);
      if (operatorToken.kind === ts.SyntaxKind.AmpersandAmpersandToken)
        add('boolean', operatorToken, '||');
      if (operatorToken.kind === ts.SyntaxKind.BarBarToken) add('boolean', operatorToken, '&&');
    }
    if (ts.isNumericLiteral(node) && !ts.isPropertyAssignment(node.parent.parent ?? node.parent))
      add('constant', node, `${node.text} + 1`);
    else if (ts.isNumericLiteral(node)) add('constant', node, `(${node.text} + 1)`);
    if (node.kind === ts.SyntaxKind.TrueKeyword) add('boolean', node, 'false');
    if (node.kind === ts.SyntaxKind.FalseKeyword) add('boolean', node, 'true');
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      add('boolean', node, `!!${node.operand.getText(source)}`);
    if (ts.isReturnStatement(node) && node.expression) {
      const returned = node.expression.getText(source);
      if (!['null', 'undefined', '[]'].includes(returned))
        add('return', node, 'return null as never;');
    }
    if (
      ts.isExpressionStatement(node) &&
      (ts.isCallExpression(node.expression) ||
        (ts.isAwaitExpression(node.expression) && ts.isCallExpression(node.expression.expression)))
    )
      add('removed call', node, ';');
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.map((one) =>
    one.operator === 'constant' && !one.becomes.startsWith('(')
      ? { ...one, becomes: `(${one.becomes})` }
      : one,
  );
}

/** A file's text with one change made. */
export function mutated(text: string, { start, end, becomes }: Mutation): string {
  return text.slice(0, start) + becomes + text.slice(end);
}

/** So many of these, drawn by a seed: the same seed draws the same. */
export function drawn<T>(all: readonly T[], count: number, seed: string): T[] {
  let state = [...seed].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7);
  const random = () => {
    // Mulberry32, a small generator with a 32-bit state.
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const left = [...all];
  const taken: T[] = [];
  while (taken.length < count && left.length > 0)
    taken.push(...left.splice(Math.floor(random() * left.length), 1));
  return taken;
}

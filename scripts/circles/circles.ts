import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import ts from 'typescript';

/** Files by the files they import when they run; imports of types alone do not count. */
export type Imports = ReadonlyMap<string, readonly string[]>;

/** What a folder's TypeScript files import of each other. */
export function importsBelow(folder: string): Imports {
  const files = readdirSync(folder, { recursive: true })
    .map((name) => join(folder, String(name)))
    .filter((path) => /\.tsx?$/.test(path) && !/\.test\./.test(path));
  return new Map(
    files.map((file) => [
      file,
      importedBy(readFileSync(file, 'utf8')).flatMap((name) => resolved(folder, file, name) ?? []),
    ]),
  );
}

function importedBy(text: string): string[] {
  const source = ts.createSourceFile('x.tsx', text, ts.ScriptTarget.Latest, false);
  return source.statements.flatMap((one) => {
    if (
      ts.isImportDeclaration(one) &&
      runs(one.importClause) &&
      ts.isStringLiteral(one.moduleSpecifier)
    )
      return [one.moduleSpecifier.text];
    if (
      ts.isExportDeclaration(one) &&
      !one.isTypeOnly &&
      one.moduleSpecifier &&
      ts.isStringLiteral(one.moduleSpecifier)
    )
      return [one.moduleSpecifier.text];
    return [];
  });
}

/** False for an import that only names types. */
function runs(clause: ts.ImportClause | undefined): boolean {
  if (!clause) return true;
  if (clause.phaseModifier === ts.SyntaxKind.TypeKeyword) return false;
  const { namedBindings } = clause;
  if (clause.name || !namedBindings || !ts.isNamedImports(namedBindings)) return true;
  return namedBindings.elements.some(({ isTypeOnly }) => !isTypeOnly);
}

function resolved(root: string, file: string, name: string): string | null {
  const base = name.startsWith('@/')
    ? join(root, name.slice(2))
    : name.startsWith('.')
      ? normalize(join(dirname(file), name))
      : null;
  if (base === null) return null;
  const candidates = [`${base}.ts`, `${base}.tsx`, join(base, 'index.ts'), join(base, 'index.tsx')];
  return candidates.find((path) => existsSync(path)) ?? null;
}

/** Every circle that a walk from file to file closes, each as the way round it. */
export function circlesIn(imports: Imports): string[][] {
  const done = new Set<string>();
  const way: string[] = [];
  const found: string[][] = [];
  const walk = (file: string): void => {
    const at = way.indexOf(file);
    if (at !== -1) {
      found.push([...way.slice(at), file]);
      return;
    }
    if (done.has(file)) return;
    way.push(file);
    for (const next of imports.get(file) ?? []) walk(next);
    way.pop();
    done.add(file);
  };
  for (const file of imports.keys()) walk(file);
  return found;
}

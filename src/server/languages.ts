import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ENGLISH, type Language, readLanguage } from '@/catalogue';
import { allSayings } from '@/catalogue/sayings';
import { SHIPPED_LANGUAGES } from '@/catalogue/shipped-languages';
import type { Patient } from '@/db';

/** Where language files lie: `pt.json`, `pt-BR.json` … with the keys of the English one. */
function folder(): string {
  return process.env.LANGUAGES_DIR ?? join(process.env.DATA_DIR ?? 'data', 'languages');
}

let known: ReadonlyMap<string, Language> | undefined;

/**
 * The languages a patient can choose: those that ship, and every file in the languages folder, read once; a file
 * of a shipped one's tag stands in its place. What is wrong in a file is told in the server's log, and that text is said in English.
 */
function languages(): ReadonlyMap<string, Language> {
  known ??= new Map([
    ...[ENGLISH, ...SHIPPED_LANGUAGES].map((one): [string, Language] => [one.tag, one]),
    ...filesIn(folder()).flatMap(languageIn),
  ]);
  return known;
}

function filesIn(path: string): string[] {
  try {
    return readdirSync(path)
      .filter((name) => name.endsWith('.json'))
      .sort()
      .map((name) => join(path, name));
  } catch {
    // No folder: English only.
    return [];
  }
}

function languageIn(path: string): [string, Language][] {
  const tag = path.replace(/^.*[\\/]/, '').replace(/\.json$/, '');
  const read = readLanguage(
    tag,
    jsonIn(path),
    allSayings().map(({ text }) => text),
  );
  if (!read) {
    console.error(`[dry-lantern] languages: ${tag}.json could not be read as a language`);
    return [];
  }
  if (read.problems.length > 0)
    console.error(
      `[dry-lantern] languages: ${tag}.json has ${read.problems.length} texts that stay English; first ${read.problems[0] ?? ''}`,
    );
  return [[tag, read.language]];
}

function jsonIn(path: string): unknown {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return null;
  }
}

/** Every language that can be chosen, English first. */
export function allLanguages(): readonly Language[] {
  return [...languages().values()];
}

/** What can be chosen, each by its own name. */
export function offeredLanguages(): { readonly tag: string; readonly name: string }[] {
  return [...languages().values()].map(({ tag, texts }) => ({ tag, name: texts['language.name'] }));
}

export function isOffered(tag: string): boolean {
  return languages().has(tag);
}

/** A language by its tag; English where there is none of it. */
export function languageOf(tag: string): Language {
  return languages().get(tag) ?? ENGLISH;
}

/** The language a patient reads; English where theirs is not there any more. */
export function languageFor({ language }: Pick<Patient, 'language'>): Language {
  return languageOf(language);
}

/**
 * The language for somebody who is not known yet, by what their browser asks for.
 *
 * @param accepted an Accept-Language header, such as "pt-BR,pt;q=0.9,en;q=0.8"
 */
export function languageAccepted(accepted: string | null): Language {
  for (const part of (accepted ?? '').split(',')) {
    const tag = part.split(';')[0]?.trim() ?? '';
    const found = languages().get(tag) ?? languages().get(tag.split('-')[0] ?? '');
    if (found) return found;
  }
  return ENGLISH;
}

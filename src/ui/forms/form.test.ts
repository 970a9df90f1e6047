import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '../../..', 'src');

// A bare form that scripts send is sent by the browser itself while they are on their way: into the address.
it('every form that the page’s scripts send is one that waits for them', () => {
  const bare = readdirSync(ROOT, { recursive: true })
    .map(String)
    .filter((path) => path.endsWith('.tsx') && !path.endsWith(join('forms', 'form.tsx')))
    .flatMap((path) => {
      const text = readFileSync(join(ROOT, path), 'utf8');
      return [...text.matchAll(/<form\b(?:=>|[^>])*>/g)]
        .filter(([tag]) => !/\baction=/.test(tag))
        .map(() => path);
    });
  expect(bare).toEqual([]);
});

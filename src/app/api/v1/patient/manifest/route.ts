import { sayToPatient, writtenWay } from '@/catalogue';
import { languageOf } from '@/server/languages';

/**
 * What a phone needs to put the patient's page on its home screen. It names nobody: only the language
 * stands in its address.
 */
function manifestIn(tag: string) {
  const language = languageOf(tag);
  return {
    name: 'Dry Lantern',
    short_name: 'Lantern',
    description: sayToPatient(language, 'app.about'),
    lang: language.tag,
    dir: writtenWay(language.tag),
    start_url: '/today',
    scope: '/today',
    display: 'standalone',
    background_color: '#f1f5f4',
    theme_color: '#f1f5f4',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  };
}

export function GET(request: Request): Response {
  const tag = new URL(request.url).searchParams.get('language') ?? 'en';
  return new Response(JSON.stringify(manifestIn(tag)), {
    headers: {
      'Content-Type': 'application/manifest+json',
      'Cache-Control': 'public, max-age=3600',
    },
  });
}

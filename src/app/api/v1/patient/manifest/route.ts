/** What a phone needs to put the patient's page on its home screen. It names nobody. */
const MANIFEST = {
  name: 'Dry Lantern',
  short_name: 'Lantern',
  description: 'Your exercises for today.',
  start_url: '/today',
  scope: '/today',
  display: 'standalone',
  background_color: '#f1f5f4',
  theme_color: '#f1f5f4',
  icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
};

export function GET(): Response {
  return new Response(JSON.stringify(MANIFEST), {
    headers: {
      'Content-Type': 'application/manifest+json',
      'Cache-Control': 'public, max-age=3600',
    },
  });
}

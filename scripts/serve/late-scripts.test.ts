import { lateScripts } from './late-scripts.mjs';

const PAGE =
  '<html><head><link rel="preload" as="script" fetchPriority="low" nonce="n1" href="/a.js"/>' +
  '<link rel="preload" as="font" href="/f.woff2"/><script src="/a.js" async="" nonce="n1"></script>' +
  '<script src="/old.js" noModule="" nonce="n1"></script></head><body><p>Chin tuck &lt;/body&gt;</p>' +
  '<script nonce="n1">(self.__next_f=[]).push([1,"x"])</script></body></html>';

describe('a page whose scripts begin late', () => {
  const late = lateScripts(PAGE);

  it('names its script files without loading them, and keeps everything else', () => {
    expect(late).toContain('<script type="text/late" data-late="/a.js" async="" nonce="n1">');
    expect(late).not.toContain('as="script"');
    expect(late).toContain('as="font"');
    expect(late).toContain('<script src="/old.js" noModule=""');
    expect(late).toContain('(self.__next_f=[]).push([1,"x"])');
    expect(late).toContain('<p>Chin tuck &lt;/body&gt;</p>');
  });

  it('begins them by a script of the page’s own nonce, the last of the body', () => {
    expect(late).toMatch(
      /<script nonce="n1">\(function wake\(\)[\s\S]*\)\(\)<\/script><\/body><\/html>$/,
    );
  });

  it('leaves alone what is no such page', () => {
    expect(lateScripts('{"ok":true}')).toBe('{"ok":true}');
    expect(lateScripts('<html><body>no script</body></html>')).toBe(
      '<html><body>no script</body></html>',
    );
  });
});

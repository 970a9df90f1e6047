import { NextResponse } from 'next/server';
import { type CookieKind, clearCookie, cookieOf, jarOf, renewCookies, setCookie } from './cookies';

const jar = (values: Readonly<Record<string, string>>) => ({
  get: (name: string) => {
    const value = values[name];
    return value === undefined ? undefined : { value };
  },
});
const given = (change: (response: NextResponse) => void) => {
  const response = NextResponse.json({});
  change(response);
  return response.headers.getSetCookie();
};
const over = (address: string | undefined) => {
  if (address === undefined) delete process.env.PUBLIC_URL;
  else process.env.PUBLIC_URL = address;
};
afterEach(() => over(undefined));

describe('what a browser keeps', () => {
  it('is bound to the very host over https, and the plain name is ended', () => {
    over('https://clinic.example');
    const [bound, plain] = given((response) => setCookie(response, 'patient', 'token'));
    expect(bound).toContain('__Host-dl_patient=token; Path=/;');
    for (const part of ['Secure', 'HttpOnly', 'SameSite=lax', `Max-Age=${400 * 86_400}`])
      expect(bound).toContain(part);
    expect(bound).not.toContain('Domain');
    expect(plain).toContain('dl_patient=; Path=/;');
    expect(plain).toContain('Max-Age=0');
  });

  it('has its plain name over http, as a trial on one machine', () => {
    const cookies = given((response) => setCookie(response, 'member', 'token'));
    expect(cookies).toHaveLength(1);
    expect(cookies[0]).toContain('dl_member=token; Path=/;');
    expect(cookies[0]).toContain(`Max-Age=${12 * 3600}`);
    expect(cookies[0]).not.toContain('Secure');
  });

  it('of the birth date is gone with the browser', () => {
    expect(given((response) => setCookie(response, 'birth', 'proof'))[0]).not.toContain('Max-Age');
  });

  it.each<CookieKind>(['member', 'patient', 'birth'])(
    'by the plain name still opens the door of a %s, and is renewed',
    (kind) => {
      over('https://clinic.example');
      const old = jar({ [`dl_${kind}`]: 'old' });
      expect(cookieOf(old, kind)).toBe('old');
      expect(given((response) => renewCookies(old, response))[0]).toContain(
        `__Host-dl_${kind}=old;`,
      );
      const both = jar({ [`dl_${kind}`]: 'old', [`__Host-dl_${kind}`]: 'new' });
      expect(cookieOf(both, kind)).toBe('new');
      expect(given((response) => renewCookies(both, response))).toEqual([]);
      expect(given((response) => renewCookies(jar({}), response))).toEqual([]);
      over('http://localhost:3000');
      expect(given((response) => renewCookies(old, response))).toEqual([]);
    },
  );

  it('is ended under both names', () => {
    over('https://clinic.example');
    const ended = given((response) => clearCookie(response, 'member'));
    expect(ended.map((one) => one.split('=')[0])).toEqual(['__Host-dl_member', 'dl_member']);
    expect(ended.every((one) => one.includes('Max-Age=0'))).toBe(true);
  });
});

describe('a jar of a head that no framework has read', () => {
  it('finds a cookie by its whole name, wherever it stands', () => {
    const jar = jarOf('other=1; dl_patient=4fQ-_x; dl_member=m');
    expect(jar.get('dl_patient')).toEqual({ value: '4fQ-_x' });
    expect(jar.get('dl_member')).toEqual({ value: 'm' });
    expect(jar.get('patient')).toBeUndefined();
    expect(jar.get('dl_')).toBeUndefined();
    expect(jarOf('a=1;b=2').get('b')).toEqual({ value: '2' });
    expect(jarOf('a=b=c').get('a')).toEqual({ value: 'b=c' });
    expect(jarOf('a=').get('a')).toEqual({ value: '' });
  });

  it('holds nothing where there is no head', () => {
    expect(jarOf(null).get('dl_patient')).toBeUndefined();
    expect(jarOf('').get('dl_patient')).toBeUndefined();
  });

  it('gives the last of two of a name, as the framework does', () => {
    expect(jarOf('a=1; a=2').get('a')).toEqual({ value: '2' });
  });

  it('is read by kind as a browser brings it over https, or did before', () => {
    over('https://clinic.example');
    expect(cookieOf(jarOf('dl_patient=old; __Host-dl_patient=bound'), 'patient')).toBe('bound');
    expect(cookieOf(jarOf('dl_patient=old'), 'patient')).toBe('old');
    expect(cookieOf(jarOf('dl_member=m'), 'patient')).toBeUndefined();
  });
});

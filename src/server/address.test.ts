import { addressOf, cookiesAreSecure, originOf, publicOrigin } from './address';

const headers = (given: Readonly<Record<string, string>>) => new Headers(given);
const request = (given: Readonly<Record<string, string>>) => ({
  headers: headers(given),
  url: 'http://127.0.0.1:3000/today',
});
const before = process.env.PUBLIC_URL;
afterEach(() => {
  if (before === undefined) delete process.env.PUBLIC_URL;
  else process.env.PUBLIC_URL = before;
});

describe('where patients reach the clinic', () => {
  it('is the public address, without a path, where one is set', () => {
    process.env.PUBLIC_URL = 'https://clinic.example/somewhere';
    expect(publicOrigin(request({ host: 'inside:3000' }))).toBe('https://clinic.example');
    expect(originOf(headers({}))).toBe('https://clinic.example');
    expect(cookiesAreSecure()).toBe(true);
  });

  it('is else the host that was asked, and of the address where none is said', () => {
    delete process.env.PUBLIC_URL;
    expect(publicOrigin(request({ host: 'clinic.local:3000' }))).toBe('http://clinic.local:3000');
    expect(publicOrigin(request({}))).toBe('http://127.0.0.1:3000');
    expect(originOf(headers({}), 'here')).toBe('http://here');
    expect(cookiesAreSecure()).toBe(false);
  });

  it('takes no secure cookie over plain http', () => {
    process.env.PUBLIC_URL = 'http://clinic.example';
    expect(cookiesAreSecure()).toBe(false);
  });
});

it('knows a browser by what the server wrote of it, and all as one where it wrote nothing', () => {
  expect(addressOf(request({ 'x-client-address': '10.0.0.7' }))).toBe('10.0.0.7');
  expect(addressOf(request({ 'x-forwarded-for': '10.0.0.8' }))).toBe('unknown');
});

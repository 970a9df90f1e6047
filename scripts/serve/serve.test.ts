import { kindOfPath } from './log.mjs';
import { isNoPath } from './request-fault.mjs';
import { listenFault, listeningHost, startFault } from './start-faults.mjs';

describe('an address asked for', () => {
  it('is a path, or nothing is handed on', () => {
    for (const url of ['/', '/today?x=1', '/patients/a%20b', '/_next/static/a.js'])
      expect([url, isNoPath(url)]).toEqual([url, false]);
    for (const url of ['//', '//evil.example', '', '*', 'http://a/', '/a\\b', '/%', '/%00', '/a b'])
      expect([url, isNoPath(url)]).toEqual([url, true]);
  });

  it('is written down by its kind, never by whose it is', () => {
    expect(kindOfPath('/patients/3f2a9c1e-0000-4000-8000-000000000000/plan?search=Ann')).toBe(
      '/patients/:id/plan',
    );
    expect(kindOfPath('/api/v1/calendar/SlI9w7Yr3dWX338lqGt6')).toBe('/api/v1/calendar/:id');
    expect(kindOfPath('/today')).toBe('/today');
  });
});

describe('what keeps a server from starting', () => {
  const fault = (environment: Record<string, string>) => startFault(environment, 3000);

  it('is a public address without https, unless it is a trial', () => {
    expect(fault({})).toBeNull();
    expect(fault({ PUBLIC_URL: 'https://clinic.example' })).toBeNull();
    expect(fault({ PUBLIC_URL: 'http://localhost:3000' })).toBeNull();
    expect(fault({ PUBLIC_URL: 'http://clinic.example' })).toContain('https');
    expect(fault({ PUBLIC_URL: 'http://clinic.example', ALLOW_HTTP: '1' })).toBeNull();
    expect(fault({ PUBLIC_URL: 'clinic.example' })).toContain('not an address');
    expect(fault({ PUBLIC_URL: 'ftp://clinic.example' })).toContain('https://');
    expect(fault({ HOST: '0.0.0.0' })).toContain('opens the server to the network');
    expect(fault({ HOST: '0.0.0.0', ALLOW_HTTP: '1' })).toBeNull();
    expect(fault({ HOST: '0.0.0.0', PUBLIC_URL: 'https://clinic.example' })).toBeNull();
    expect(startFault({}, 0)).toContain('The port');
    expect(startFault({}, 65_536)).toContain('The port');
  });

  it('is a port that cannot be had, in a sentence', () => {
    expect(listenFault({ code: 'EADDRINUSE' }, 3000)).toBe(
      'Port 3000 is in use by another program. Choose another one: --port 3001.',
    );
    expect(listenFault({ code: 'EACCES' }, 80)).toContain('above 1023');
    expect(listenFault({ code: 'EADDRNOTAVAIL' }, 3000)).toContain('HOST');
    expect(listenFault({ code: 'EWHATEVER' }, 3000)).toContain('EWHATEVER');
  });

  it('is not the network: this machine alone is listened to, unless it is told', () => {
    expect(listeningHost({})).toBe('127.0.0.1');
    expect(listeningHost({ HOST: '' })).toBe('127.0.0.1');
    expect(listeningHost({ HOST: '0.0.0.0' })).toBe('0.0.0.0');
  });
});

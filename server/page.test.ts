import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Request, Response } from 'express';
import { policy, servePage } from './page.js';

const folder = mkdtempSync(join(tmpdir(), 'ruvok-page-'));
writeFileSync(join(folder, 'index.html'), '<meta property="csp-nonce" content="__CSP_NONCE__">');
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function ask(method: string, path: string) {
  let sent: string | null = null;
  const same = () => response;
  const response = { locals: { nonce: 'abc' }, type: same, set: same, status: same, send: (text: string) => (sent = text) };
  const next = jest.fn();
  servePage(folder)({ method, path } as Request, response as unknown as Response, next);
  return { sent, passed: next.mock.calls.length > 0 };
}

test('every path of the page gets its one document, with the nonce of the answer', () => {
  for (const path of ['/', '/p/print-shed', '/p/print-shed/pieces/ink-case/carry']) {
    expect(ask('GET', path)).toEqual({ sent: '<meta property="csp-nonce" content="abc">', passed: false });
  }
  // By its own name too, however that is written: the mark alone would be no nonce.
  for (const path of ['/index.html', '/%69ndex.html', '/index']) expect(ask('GET', path).sent).toContain('content="abc"');
});

test.each([
  ['GET', '/api/projects'],
  ['GET', '/assets/index.js'],
  ['GET', '/assets/nothing'],
])('%s %s is not the page', (method, path) => {
  expect(ask(method, path)).toEqual({ sent: null, passed: true });
});

test.each(['POST', 'DELETE', 'PUT'])('%s of a page is refused', (method) => {
  for (const path of ['/', '/p/print-shed', '/assets/page.js', '/index.html'])
    expect(ask(method, path)).toMatchObject({ sent: expect.stringContaining('"status":405') as string, passed: false });
});

test('the policy lets nothing in from elsewhere', () => {
  const { directives } = policy("'nonce-abc'");
  expect(
    Object.values(directives)
      .flat()
      .filter((source) => /\*|http/.test(source)),
  ).toEqual([]);
  expect(directives.scriptSrc).not.toContain("'unsafe-inline'");
  expect(directives.styleSrc).toEqual(["'self'", "'nonce-abc'"]);
});

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
  const response = { locals: { nonce: 'abc' }, type: () => response, set: () => response, send: (text: string) => (sent = text) };
  const next = jest.fn();
  servePage(folder)({ method, path } as Request, response as unknown as Response, next);
  return { sent, passed: next.mock.calls.length > 0 };
}

test('every path of the page gets its one document, with the nonce of the answer', () => {
  for (const path of ['/', '/p/print-shed', '/p/print-shed/pieces/ink-case/carry']) {
    expect(ask('GET', path)).toEqual({ sent: '<meta property="csp-nonce" content="abc">', passed: false });
  }
});

test.each([
  ['GET', '/api/projects'],
  ['GET', '/assets/index.js'],
  ['GET', '/assets/nothing'],
  ['POST', '/p/print-shed'],
])('%s %s is not the page', (method, path) => {
  expect(ask(method, path)).toEqual({ sent: null, passed: true });
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

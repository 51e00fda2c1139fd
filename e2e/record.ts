import { rmSync } from 'node:fs';
import { test } from '@playwright/test';
import { makeFolder, type Running } from './server.js';

const PERSON = '/api/projects/print-shed/people/wren';

/** A record as the server stores it. */
export interface Stored {
  version: number;
  data: { name: string; height: number };
}

/** A data folder for each test of a file: without anything, or with the print shed in it. @returns its path, once a test runs */
export function freshFolder(make = makeFolder): () => string {
  let folder = '';
  test.beforeEach(() => {
    folder = make();
  });
  test.afterEach(() => rmSync(folder, { recursive: true, force: true }));
  return () => folder;
}

/** The record that these tests change. */
export const read = async (running: Running) => (await (await fetch(running.url + PERSON)).json()) as Stored;

/** Saves a height; true when the server acknowledged it. */
export async function save(running: Running, version: number, height: number): Promise<boolean> {
  const body = JSON.stringify({ version, data: { name: 'Wren', height }, label: 'Measured again' });
  try {
    return (await fetch(running.url + PERSON, { method: 'PUT', headers: { 'content-type': 'application/json' }, body })).ok;
  } catch {
    return false;
  }
}

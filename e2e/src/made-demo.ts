import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as later } from 'node:timers/promises';
import type { DesignPage } from '@aurantia/core';
import { PATIENCE } from './browser';
import { Program, ROOT } from './program';

const MADE = join(ROOT, '.test', 'demo');

/** Has the program fill a folder with its demo and paint all its cups: once for all tests, each of which begins from a copy. */
export async function makeDemo(): Promise<void> {
  rmSync(MADE, { recursive: true, force: true });
  const program = new Program(true, MADE);
  try {
    await program.start();
    const until = Date.now() + PATIENCE;
    while (!(await allPainted(program)))
      if (Date.now() > until) throw new Error('The demo’s cups are never all painted.');
      else await later(200);
  } finally {
    await program.stop();
  }
}

async function allPainted({ address }: Program): Promise<boolean> {
  const { designs } = (await (await fetch(`${address}/api/designs`)).json()) as DesignPage;
  return designs.length > 0 && designs.every(({ fresh }) => fresh);
}

/** The demo's folder as it was made, for one program alone. */
export function copyOfDemo(): string {
  const folder = mkdtempSync(join(tmpdir(), 'aurantia-'));
  cpSync(MADE, folder, { recursive: true });
  return folder;
}

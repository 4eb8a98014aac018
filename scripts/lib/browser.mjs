// Debian's Chromium without its windows: installed where it is missing. Imported after ensurePackages.
import { existsSync } from 'node:fs';
import { Failure } from './failure.mjs';
import { installDebian } from './cluster.mjs';

/** The whole browser does the same and needs half as much processor again. */
const SHELL = '/usr/bin/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';

/** Path of the browser. */
export function ensureChromium() {
  if (existsSync(SHELL)) return SHELL;
  if (process.getuid?.() === 0) {
    process.stderr.write('Installing Chromium …\n');
    try {
      installDebian(['chromium-headless-shell']);
    } catch (error) {
      if (!existsSync(WHOLE)) throw error;
    }
  }
  const path = [SHELL, WHOLE].find((each) => existsSync(each));
  if (!path) throw new Failure('Chromium is not installed. Run: sudo apt-get install -y chromium-headless-shell');
  return path;
}

export async function openBrowser() {
  const executablePath = ensureChromium();
  const { chromium } = await import('@playwright/test');
  return chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
}

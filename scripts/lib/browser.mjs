// Debian's Chromium: installed where it is missing, opened without a screen. Imported after ensurePackages.
import { existsSync } from 'node:fs';
import { Failure } from './failure.mjs';
import { installDebian } from './cluster.mjs';

const CHROMIUM = '/usr/bin/chromium';

export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  if (process.getuid?.() !== 0) throw new Failure('Chromium is not installed. Run: sudo apt-get install -y chromium');
  process.stderr.write('Installing Chromium …\n');
  installDebian(['chromium']);
}

export async function openBrowser() {
  ensureChromium();
  const { chromium } = await import('@playwright/test');
  return chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
}

// Runs before first paint, so that the chosen theme does not flash.
try {
  const chosen = localStorage.getItem('theme');
  const dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.classList.toggle('dark', dark);
} catch {
  // Without a store the page stays light.
}

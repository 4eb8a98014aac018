<script lang="ts">
  function turn(): void {
    const dark = document.documentElement.classList.toggle('dark');
    try {
      localStorage.setItem('theme', dark ? 'dark' : 'light');
    } catch {
      // Without a store the choice lasts as long as the page.
    }
  }
</script>

<button
  type="button"
  class="flex size-11 items-center justify-center rounded-full border hover:bg-wash fine:size-9"
  onclick={turn}
  aria-label="Light or dark"
  title="Light or dark"
>
  <svg viewBox="0 0 24 24" class="size-5 fill-current" aria-hidden="true"
    ><path d="M12 3a9 9 0 1 0 0 18V3Z" /><circle cx="12" cy="12" r="8" class="fill-none stroke-current stroke-2" /></svg
  >
</button>

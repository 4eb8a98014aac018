<script lang="ts">
  import MoonOutline from 'flowbite-svelte-icons/MoonOutline.svelte';
  import SunOutline from 'flowbite-svelte-icons/SunOutline.svelte';
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
  <MoonOutline class="dark:hidden" /><SunOutline class="hidden dark:block" />
</button>

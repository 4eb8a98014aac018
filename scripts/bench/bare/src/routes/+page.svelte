<script>
  import Button from 'flowbite-svelte/Button.svelte';
  import Checkbox from 'flowbite-svelte/Checkbox.svelte';
  import Input from 'flowbite-svelte/Input.svelte';
  import Label from 'flowbite-svelte/Label.svelte';
  import Modal from 'flowbite-svelte/Modal.svelte';
  import Select from 'flowbite-svelte/Select.svelte';
  import Textarea from 'flowbite-svelte/Textarea.svelte';
  import { onMount } from 'svelte';
  import '../app.css';

  let text = $state('');
  let open = $state(false);
  onMount(() => void (document.documentElement.dataset['hydrated'] = 'true'));
</script>

<Label for="text">Text</Label>
<Input id="text" bind:value={text} />
<Textarea aria-label="More" bind:value={text} />
<Select aria-label="One of" items={[{ value: text, name: text }]} bind:value={text} />
<Checkbox bind:checked={open}>Open</Checkbox>
<Button onclick={() => (open = true)}>Open</Button>
<Modal bind:open title="Text">{text}</Modal>

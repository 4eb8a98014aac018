<script>
  let { data } = $props();
</script>

<p>{data.row?.tag} {data.row?.title}</p>

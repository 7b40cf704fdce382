<script lang="ts">
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Jade Binder</title></svelte:head>
<h1 class="mt-10 mb-3">{page.status === 404 ? 'There is nothing here' : 'That did not work'}</h1>
<p class="mb-6">{page.error?.message}</p>
<a class="btn btn-primary" href={resolve('/')}>Go to the desk</a>

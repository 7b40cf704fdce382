<script lang="ts">
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Sign in · Jade Binder</title></svelte:head>

<h1 class="mb-2">Sign in</h1>
{#if data.role === 'viewer'}
	<p class="mb-3">Only the owner sees that, or changes anything: sign in as the owner.</p>
{/if}
<form method="POST" use:enhance class="flex flex-wrap items-end gap-3">
	<input type="hidden" name="to" value={data.to} />
	<Field label="Passphrase">
		<!-- The one thing there is to do here. -->
		<!-- svelte-ignore a11y_autofocus -->
		<input
			name="passphrase"
			type="password"
			class="input w-80 max-w-full"
			autocomplete="current-password"
			required
			autofocus
		/>
	</Field>
	<button class="btn btn-primary">Sign in</button>
</form>
<ProblemAlert problems={form?.problems} class="mt-3" />
<p class="mt-6 max-w-xl text-sm quiet">
	It was set by whoever keeps this collection. Forgotten: whoever runs the server starts it once
	with JADE_PASSPHRASE, which sets a new one.
</p>

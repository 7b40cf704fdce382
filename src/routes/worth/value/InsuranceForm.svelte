<script lang="ts">
	import { resolve } from '$app/paths';
	import Field from '$lib/ui/Field.svelte';

	/** A list for an insurer, of what is looked at. */
	let { scope }: { scope: string } = $props();
	let least = $state('20');
	let form = $state<'pdf' | 'xlsx' | 'csv'>('pdf');
	const path = $derived(resolve('/api/worth/insurance.[form=listform]', { form }));
	const query = $derived(new URLSearchParams({ of: scope, least }).toString());
</script>

<h2 class="mt-4 font-serif text-lg">For an insurer</h2>
<div class="flex flex-wrap items-end gap-3">
	<Field label="Singly from"
		><input class="input w-24 input-sm" inputmode="decimal" bind:value={least} /></Field
	>
	<Field label="As">
		<select class="select w-28 select-sm" bind:value={form}
			><option value="pdf">PDF</option><option value="xlsx">XLSX</option><option value="csv"
				>CSV</option
			></select
		>
	</Field>
	<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved above -->
	<a class="btn btn-sm" href="{path}?{query}" download>Write the list</a>
</div>

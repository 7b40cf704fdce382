<script lang="ts">
	import { onMount } from 'svelte';
	import Field from '$lib/ui/Field.svelte';

	/** What each column holds: guessed, adjustable, and remembered for files with the same header. */
	interface Props {
		table: {
			readonly sheets: readonly string[];
			readonly sheet: string | null;
			readonly header: readonly string[];
			readonly columns: readonly (string | null)[];
		};
		/** What a column may hold. */
		columns: readonly string[];
		changed: () => void;
	}
	let { table, columns, changed }: Props = $props();
	const memory = $derived(`jade columns ${table.header.join('|').slice(0, 500)}`);
	let isOpen = $state(false);

	onMount(recall);

	/** A choice made earlier for this header is taken again. */
	function recall() {
		const remembered = localStorage.getItem(memory)?.split('|');
		const now = table.columns.map((column) => column ?? '');
		if (!remembered || remembered.length !== now.length) return;
		if (remembered.join('|') === now.join('|')) return;
		selects().forEach((select, i) => (select.value = remembered[i] ?? ''));
		changed();
	}

	function selects(): HTMLSelectElement[] {
		return [...document.querySelectorAll<HTMLSelectElement>('select[name="column"]')];
	}

	function choose() {
		const chosen = selects().map(({ value }) => value);
		localStorage.setItem(memory, chosen.join('|'));
		changed();
	}
</script>

<div class="lg:col-span-2">
	{#if table.sheets.length > 1}
		<Field label="Sheet" class="mb-3 max-w-xs">
			<select class="select w-full" name="sheet" value={table.sheet} onchange={changed}>
				{#each table.sheets as sheet (sheet)}<option value={sheet}>{sheet}</option>{/each}
			</select>
		</Field>
	{/if}
	<details
		open={isOpen || table.columns.includes(null)}
		ontoggle={(event) => (isOpen = event.currentTarget.open)}
	>
		<summary class="cursor-pointer">What the columns hold</summary>
		<div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-6">
			{#each table.header as name, i (i)}
				<label class="block">
					<span class="block truncate text-sm quiet" title={name}>{name || `column ${i + 1}`}</span>
					<select
						class="select w-full select-sm"
						name="column"
						value={table.columns[i] ?? ''}
						onchange={choose}
					>
						<option value="">not read</option>
						{#each columns as column (column)}<option value={column}>{column}</option>{/each}
					</select>
				</label>
			{/each}
		</div>
	</details>
</div>

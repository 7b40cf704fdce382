<script lang="ts">
	import { tick } from 'svelte';
	import type { SheetName } from '$lib/core/checklist/rule-sheet/rule-sheet';
	import { SHEETS, type RuleBook } from './rule-book.svelte';

	interface Props {
		book: RuleBook;
		name: SheetName;
		/** Names that cells may use, by column. */
		suggestions: Readonly<Record<string, readonly string[]>>;
	}
	let { book, name, suggestions }: Props = $props();
	const sheet = $derived(SHEETS[name]);
	const rows = $derived(book.rows(name));
	let table: HTMLTableElement;

	async function focusCell(row: number, column: string) {
		await tick();
		table.querySelector<HTMLInputElement>(`[data-row="${row}"][data-field="${column}"]`)?.focus();
	}

	/** Alt with ↑ ↓ moves the row. */
	function onkeydown(event: KeyboardEvent, row: number, column: string) {
		const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
		if (!event.altKey || !step) return;
		event.preventDefault();
		event.stopPropagation();
		void focusCell(book.move(name, row, step === 1 ? 1 : -1), column);
	}

	async function add() {
		book.add(name);
		await focusCell(book.rows(name).length - 1, sheet.columns[0]?.key ?? '');
	}
</script>

<div class="overflow-x-auto">
	<table
		class="w-max min-w-full border-separate border-spacing-x-1 border-spacing-y-0.5"
		bind:this={table}
	>
		<thead>
			<tr class="text-left text-sm quiet">
				{#each sheet.columns as column (column.key)}
					<th class="font-normal" style:min-width="{column.width}rem">{column.name}</th>
				{/each}
				<th class="sr-only">Row</th>
			</tr>
		</thead>
		<tbody>
			{#each rows as row, r (`${row.key} ${r}`)}
				<tr>
					{#each sheet.columns as column (column.key)}
						{@const problem = book.problemAt(name, r, column.key)}
						<td class="align-top">
							<input
								class={[
									'input w-full min-w-0 input-sm placeholder:text-transparent focus:placeholder:text-base-content/60',
									problem && 'input-error',
									!problem && book.isChanged(name, r, column.key) && 'border-accent'
								]}
								size="1"
								data-field={column.key}
								data-row={r}
								value={row.cells[column.key] ?? ''}
								placeholder={column.hint}
								list={column.choices || suggestions[column.key]
									? `${name}-${column.key}`
									: undefined}
								aria-label="{column.name}, {sheet.row} {r + 1}"
								aria-invalid={problem ? 'true' : undefined}
								title={problem?.message}
								autocomplete="off"
								oninput={(event) => book.write(name, r, column.key, event.currentTarget.value)}
								onkeydown={(event) => onkeydown(event, r, column.key)}
							/>
						</td>
					{/each}
					<td class="whitespace-nowrap">
						<button
							class="btn btn-ghost text-error btn-sm"
							aria-label="Remove {sheet.row} {r + 1}"
							title="Remove this {sheet.row}"
							onclick={() => book.remove(name, r)}>✕</button
						>
					</td>
				</tr>
			{:else}
				<tr><td class="py-3 quiet" colspan={sheet.columns.length}>There is none yet.</td></tr>
			{/each}
		</tbody>
	</table>
</div>
<button class="btn mt-2 btn-sm" onclick={add}>Add a {sheet.row}</button>
{#each sheet.columns as column (column.key)}
	{@const words = column.choices ?? suggestions[column.key]}
	{#if words}
		<datalist id="{name}-{column.key}">
			{#each words as word (word)}<option value={word}></option>{/each}
		</datalist>
	{/if}
{/each}

<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { standsIn, type BoxKind } from '$lib/core/storage/kinds/box-kind';
	import { nameShelf, type Shelf } from '$lib/core/storage/shelves/shelf';
	import Field from '$lib/ui/Field.svelte';

	interface Props {
		/** Null: a new one. */
		box: {
			readonly name: string;
			readonly kind: { readonly key: string };
			readonly use: string;
			readonly shelfId: number | null;
			readonly id: number;
			readonly insideId: number | null;
			readonly insideRow: number | null;
		} | null;
		/** Boxes in whose rows a small one may stand. */
		hosts: readonly { readonly id: number; readonly name: string; readonly kind: BoxKind }[];
		kinds: readonly BoxKind[];
		/** What a box may be for. */
		uses: readonly string[];
		shelves: readonly (Shelf & { readonly id: number })[];
		action: string;
	}
	let { box, kinds, uses, hosts: all, shelves, action }: Props = $props();
	// svelte-ignore state_referenced_locally
	let kindKey = $state(box?.kind.key ?? '5000');
	const kind = $derived(kinds.find(({ key }) => key === kindKey));
	/** Larger boxes into whose rows one of this kind goes. */
	const hosts = $derived(
		all.filter((host) => host.id !== box?.id && kind && standsIn(kind, host.kind))
	);
	const insideOf = $derived(box?.insideId ? `${box.insideId}/${box.insideRow ?? 1}` : '');
	// A box keeps what it was for, though no rule names it any more.
	const allUses = $derived(box && !uses.includes(box.use) ? [box.use, ...uses] : uses);
</script>

<form method="POST" {action} use:enhance class="flex flex-wrap items-end gap-3">
	<Field label={box ? 'Name' : 'Name of a new box'}>
		<input
			class="input w-52 input-sm"
			name="name"
			maxlength="80"
			value={box?.name ?? ''}
			required
		/>
	</Field>
	<Field label="Kind">
		<select class="select w-52 select-sm" name="kind" bind:value={kindKey}>
			{#each kinds as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label="For">
		<select class="select w-36 select-sm" name="use" value={box?.use ?? 'sets'}>
			{#each allUses as use (use)}<option value={use}>{use}</option>{/each}
		</select>
	</Field>
	<Field label="Stands on">
		<select
			class="select w-80 truncate select-sm"
			name="shelfId"
			value={String(box?.shelfId ?? '')}
		>
			<option value="">no shelf</option>
			{#each shelves as shelf (shelf.id)}
				<option value={String(shelf.id)}>{shelf.room}: {nameShelf(shelf)}</option>
			{/each}
		</select>
	</Field>
	{#if hosts.length > 0}
		<Field label="or in a row of a larger box">
			<select class="select w-52 select-sm" name="inside" value={insideOf}>
				<option value="">in none</option>
				{#each hosts as { id, name, kind: { rows } } (id)}
					{#each Array.from({ length: rows }, (_, i) => i + 1) as row (row)}
						<option value="{id}/{row}">{name}, row {row}</option>
					{/each}
				{/each}
			</select>
		</Field>
	{:else}
		<input type="hidden" name="inside" value="" />
	{/if}
	<button class="btn btn-sm">{box ? 'Save' : 'Add box'}</button>
</form>

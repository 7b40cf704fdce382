<script lang="ts">
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { ListingsView } from '$lib/server/selling/listings/listings-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import LinesField from '$lib/ui/LinesField.svelte';

	interface Props {
		listing: ListingsView['done'][number];
		channels: readonly string[];
	}
	/** What of a listing that is not sold can be written anew. */
	let { listing, channels }: Props = $props();
	const names = $derived([...new Set([...channels, listing.channel])]);
</script>

<form method="POST" action="?/edit" class="mt-2 max-w-2xl" use:enhance>
	<input type="hidden" name="listing" value={listing.id} />
	<Field label="Title"
		><input
			name="title"
			class="input w-full input-sm"
			maxlength="200"
			value={listing.title}
		/></Field
	>
	<div class="my-2 flex flex-wrap gap-3">
		<Field label="Channel">
			<select name="channel" class="select w-40 select-sm" value={listing.channel}>
				{#each names as name (name)}<option>{name}</option>{/each}
			</select>
		</Field>
		<Field label="Asked"
			><input
				name="asking"
				class="input w-28 input-sm"
				inputmode="decimal"
				value={formatMinor(listing.askingMinor, listing.currency)}
			/></Field
		>
		<Field label="Not under"
			><input
				name="floor"
				class="input w-28 input-sm"
				inputmode="decimal"
				value={formatMinor(listing.floorMinor, listing.currency)}
			/></Field
		>
	</div>
	<Field label="Text"
		><LinesField name="text" value={listing.text} rows={5} maxlength={10_000} /></Field
	>
	<button class="btn mt-2 btn-sm">Keep</button>
</form>

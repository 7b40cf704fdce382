<script lang="ts">
	import type { FormAnswer } from '$lib/ui/form-answer';
	import { resolve } from '$app/paths';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { ListingsView } from '$lib/server/selling/listings/listings-view';
	import CopyPicker from '$lib/ui/CopyPicker.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf } from '$lib/ui/numerals';
	import PickedCopies from '$lib/ui/PickedCopies.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		data: ListingsView;
		answer: FormAnswer;
	}
	/** Copies that are found and offered together. */
	let { data, answer }: Props = $props();
	let picked = $state<ListingsView['found']>([]);
	const worth = $derived(
		picked.reduce(
			(sum, { valueMinor, currency }) =>
				sum + (valueMinor !== null && currency === data.currency ? valueMinor : 0),
			0
		)
	);
</script>

<section aria-labelledby="new" class="max-w-5xl">
	<h2 id="new" class="mb-1">Offer copies</h2>
	<CopyPicker
		path={resolve('/selling')}
		words={data.words}
		found={data.found}
		more={data.more}
		bind:picked
		isBlocked={({ status }) => status === 'incoming'}
		told={({ status, condition, place }) =>
			[status === 'incoming' ? 'on its way' : status, condition, place].filter(Boolean).join(', ')}
	/>
	{#if picked.length > 0}
		<form
			method="POST"
			action="?/make"
			use:enhance={() =>
				async ({ result, update }) => {
					await update({ reset: result.type === 'success' });
					if (result.type === 'success') picked = [];
				}}
		>
			<PickedCopies bind:picked>
				{#snippet asked(copy)}
					<Field label="How many"
						><input
							name="quantity"
							type="number"
							class="input w-20 input-sm"
							min="1"
							max={copy.quantity}
							value="1"
							aria-label="{copy.name}: how many"
						/></Field
					>
				{/snippet}
			</PickedCopies>
			<div class="flex flex-wrap items-end gap-3">
				<Field label="As">
					<select
						name="kind"
						class="select w-32 select-sm"
						value={picked.length === 1 ? 'single' : 'lot'}
					>
						<option value="single">a single</option>
						<option value="lot">a lot</option>
						<option value="set">a set</option>
					</select>
				</Field>
				<Field label="Where">
					<select name="channel" class="select w-40 select-sm">
						{#each data.channels as channel (channel)}<option>{channel}</option>{/each}
					</select>
				</Field>
				<Field label="Asked, {data.currency}"
					><input
						name="asking"
						class="input w-28 input-sm"
						inputmode="decimal"
						required
						value={worth > 0 ? formatMinor(worth, data.currency) : ''}
					/></Field
				>
				<Field label="Not under"
					><input
						name="floor"
						class="input w-28 input-sm"
						inputmode="decimal"
						placeholder="as asked"
					/></Field
				>
				<Field label="Title"
					><input name="title" class="input w-56 input-sm" placeholder="written for you" /></Field
				>
				<button class="btn btn-primary btn-sm"
					>Make it from {countOf(picked.length, 'copy', 'copies')}</button
				>
			</div>
		</form>
	{/if}
	<p role="status" class="min-h-6 text-sm text-primary">{answer.told}</p>
	<ProblemAlert problems={answer.problems} class="mt-2" />
</section>

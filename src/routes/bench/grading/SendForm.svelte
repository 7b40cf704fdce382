<script lang="ts">
	import { resolve } from '$app/paths';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { Problem } from '$lib/core/problem';
	import type { GradingView } from '$lib/server/worth/grading/grading-view';
	import CopyPicker from '$lib/ui/CopyPicker.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf } from '$lib/ui/numerals';
	import PickedCopies from '$lib/ui/PickedCopies.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	type Found = GradingView['found'][number];
	interface Props {
		found: readonly Found[];
		more: number;
		words: string;
		houses: readonly string[];
		currency: string;
		today: string;
		problems: readonly Problem[] | undefined;
	}
	/** Cards are found, put on the list, and sent together. */
	let { found, more, words, houses, currency, today, problems }: Props = $props();
	let picked = $state<readonly Found[]>([]);
</script>

<section aria-labelledby="send" class="max-w-5xl">
	<h2 id="send" class="mb-1">Send cards</h2>
	<CopyPicker
		path={resolve('/bench/grading')}
		{words}
		{found}
		{more}
		bind:picked
		isBlocked={({ isOut }) => isOut}
		told={(copy) =>
			copy.isOut
				? copy.status === 'incoming'
					? 'on its way'
					: 'is out'
				: copy.grade
					? [copy.house, copy.grade].filter(Boolean).join(' ')
					: (copy.condition ?? copy.suggested ?? 'state not said')}
	/>
	{#if picked.length > 0}
		<form
			method="POST"
			action="?/send"
			use:enhance={() =>
				async ({ result, update }) => {
					await update({ reset: result.type === 'success' });
					if (result.type === 'success') picked = [];
				}}
		>
			<PickedCopies bind:picked>
				{#snippet asked(copy)}
					<Field label="What for">
						<select
							name="purpose"
							class="select w-32 select-sm"
							aria-label="{copy.name}: what for"
							value={copy.grade ? 're-holder' : 'grade'}
						>
							<option value="grade">a grade</option>
							<option value="re-holder" disabled={!copy.grade}>a new holder</option>
						</select>
					</Field>
					<Field label="I think it is a"
						><input
							name="estimate"
							class="input w-24 input-sm"
							inputmode="decimal"
							aria-label="I think {copy.name} is a"
							value={copy.estimate ?? ''}
						/></Field
					>
					<Field label="Insured for"
						><input
							name="insured"
							class="input w-28 input-sm"
							inputmode="decimal"
							aria-label="{copy.name} is insured for"
							value={copy.valueMinor !== null && copy.currency === currency
								? formatMinor(copy.valueMinor, currency)
								: ''}
						/></Field
					>
				{/snippet}
			</PickedCopies>
			<div class="flex flex-wrap items-end gap-3">
				<Field label="House">
					{#if houses.length > 0}
						<select name="house" class="select w-48 select-sm">
							{#each houses as house (house)}<option>{house}</option>{/each}
						</select>
					{:else}
						<input name="house" class="input w-48 input-sm" required />
					{/if}
				</Field>
				<Field label="Tier"
					><input
						name="tier"
						class="input w-36 input-sm"
						placeholder="as the house calls it"
					/></Field
				>
				<Field label="Fee a card"
					><input name="fee" class="input w-24 input-sm" inputmode="decimal" /></Field
				>
				<Field label="Postage both ways"
					><input name="postage" class="input w-24 input-sm" inputmode="decimal" /></Field
				>
				<Field label="Sent on"
					><input name="sentOn" type="date" class="input w-40 input-sm" value={today} /></Field
				>
				<Field label="Back by"><input name="dueOn" type="date" class="input w-40 input-sm" /></Field
				>
				<button class="btn btn-primary btn-sm">Send {countOf(picked.length, 'card')}</button>
			</div>
			<p class="mt-1 text-sm quiet">
				Amounts in {currency} where nothing else is written. Of a pile one card goes.
			</p>
		</form>
	{/if}
	<ProblemAlert {problems} class="mt-2" />
</section>
